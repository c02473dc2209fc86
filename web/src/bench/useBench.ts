import { useQuery } from '@tanstack/react-query';
import { ownBench } from '../answers/own';

export const useBench = () => useQuery(ownBench);
