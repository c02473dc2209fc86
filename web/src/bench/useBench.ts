import { endpoints } from '@green-beam/contract';
import { useQuery } from '@tanstack/react-query';
import { call } from '../api';

/** What is on the shelf, with what the reader can do with each. */
export const useBench = () => useQuery({ queryKey: ['bench'], queryFn: () => call(endpoints.bench) });
