import { endpoints } from '@green-beam/contract';
import { materials, type Material } from '@green-beam/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { call } from '../api';

const key = ['materials'] as const;

/** The school’s own materials. */
export const useSchoolMaterials = () =>
  useQuery({ queryKey: key, queryFn: () => call(endpoints.materials), staleTime: 60_000 });

/** All that a density may be: what comes with the app and, once it is here, what the school has added. */
export function useMaterials(): readonly Material[] {
  const own = useSchoolMaterials().data?.materials;
  return own ? [...materials, ...own] : materials;
}

export function useKeepMaterial() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (body: Material) => call(endpoints.keepMaterial, { body }),
    onSuccess: (answer) => queries.setQueryData(key, answer),
  });
}

export function useRemoveMaterial() {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (id: string) => call(endpoints.removeMaterial, { params: { materialId: id } }),
    onSuccess: (answer) => queries.setQueryData(key, answer),
  });
}
