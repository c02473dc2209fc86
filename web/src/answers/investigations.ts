import { endpoints } from '@green-beam/contract';
import { useQuery } from '@tanstack/react-query';
import { call } from '../api';

export const useInvestigations = (classId: string) =>
  useQuery({
    queryKey: ['investigations', classId],
    queryFn: () => call(endpoints.investigations, { params: { classId } }),
  });
