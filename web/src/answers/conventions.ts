import { endpoints } from '@green-beam/contract';
import { useQuery } from '@tanstack/react-query';
import { call } from '../api';

/** The house rules that one's own work follows. */
export const useConventions = () =>
  useQuery({ queryKey: ['conventions'], queryFn: () => call(endpoints.conventions) });
