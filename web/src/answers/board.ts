import { endpoints, type BoardAnswer } from '@green-beam/contract';
import { queryOptions, useQuery, type QueryClient } from '@tanstack/react-query';
import { call } from '../api';

const keyOf = (classId: string) => ['board', classId] as const;

export const boardOf = (classId: string) =>
  queryOptions({
    queryKey: keyOf(classId),
    queryFn: () => call(endpoints.board, { params: { classId } }),
    enabled: classId !== '',
  });

export const useBoard = (classId: string) => useQuery(boardOf(classId));

const wanted = new Map<string, Set<string>>();

/** Fetches what is new of some students and puts it into the board where that is open; the rest of it stays as it is. */
export async function patchBoard(
  queries: QueryClient,
  classId: string,
  students: readonly string[],
): Promise<void> {
  if (!queries.getQueryData(keyOf(classId))) return;
  const before = wanted.get(classId);
  // One at a time: what comes meanwhile is asked for in the next go.
  if (before) return void students.forEach((id) => before.add(id));
  let now = new Set(students);
  try {
    while (now.size > 0) {
      wanted.set(classId, new Set());
      const patch = await call(endpoints.board, {
        params: { classId },
        query: `?students=${[...now].join(',')}`,
      });
      queries.setQueryData<BoardAnswer>(keyOf(classId), (board) => board && patched(board, patch, now));
      now = wanted.get(classId) ?? new Set();
    }
  } catch {
    // The line is down: when it is back, everything is fetched anew.
  } finally {
    wanted.delete(classId);
  }
}

function patched(board: BoardAnswer, patch: BoardAnswer, asked: ReadonlySet<string>): BoardAnswer {
  const fresh = new Map(patch.students.map((student) => [student.id, student]));
  const known = board.students.flatMap((student) => {
    const now = fresh.get(student.id);
    fresh.delete(student.id);
    // Asked for and not there any more: no longer in the class.
    return now ?? (asked.has(student.id) ? [] : student);
  });
  return { ...patch, students: [...known, ...fresh.values()].sort((a, b) => a.name.localeCompare(b.name)) };
}
