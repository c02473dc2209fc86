import { endpoints } from '@green-beam/contract';
import { useQuery } from '@tanstack/react-query';
import { call } from '../api';

/** The house rules that one's own work follows. */
export const useConventions = () =>
  useQuery({ queryKey: ['conventions'], queryFn: () => call(endpoints.conventions) });

export const houseRulesKey = (classId: string) => ['houseRules', classId] as const;

/** Every version of a class’s house rules. */
export const useHouseRules = (classId: string) =>
  useQuery({
    queryKey: houseRulesKey(classId),
    queryFn: () => call(endpoints.houseRules, { params: { classId } }),
  });
