import { endpoints } from '@green-beam/contract';
import { queryOptions } from '@tanstack/react-query';
import { call } from '../api';

/** What is on the shelf, with what the reader can do with each. */
export const ownBench = queryOptions({ queryKey: ['bench'], queryFn: () => call(endpoints.bench) });

/** What is set for them to measure, and logbooks of their own. */
export const ownLogbooks = queryOptions({ queryKey: ['logbooks'], queryFn: () => call(endpoints.logbooks) });

/** What the teacher shows just now. */
export const shownNow = queryOptions({ queryKey: ['question'], queryFn: () => call(endpoints.question) });

/** Practice and questions that are set for them. */
export const ownTasks = queryOptions({ queryKey: ['tasks', 'own'], queryFn: () => call(endpoints.ownTasks) });
