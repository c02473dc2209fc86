import { at, paths, type BoardAnswer } from '@green-beam/contract';
import { useQuery } from '@tanstack/react-query';
import { call } from '../api';

export const useBoard = (classId: string) =>
  useQuery({
    queryKey: ['board', classId],
    queryFn: () => call<BoardAnswer>('GET', at(paths.board, { classId })),
    enabled: classId !== '',
  });
