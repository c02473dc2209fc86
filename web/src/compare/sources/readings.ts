import { endpoints, type ReadingsAnswer } from '@green-beam/contract';
import {
  isoDay,
  isSlip,
  readersCompared,
  readingGroupings,
  sameTruth,
  type ReadingGrouping,
  type ReadOnce,
} from '@green-beam/core';
import { queryOptions } from '@tanstack/react-query';
import { call } from '../../api';
import { clock, wholeDay } from '../../ui/clock';
import { named } from '../named';
import type { Seen } from './seen';

/** The first readings of a class on one kind of instrument, or at one question; of neither, what there is. */
export const readingsOf = (classId: string, kind: string | null, question: string | null) =>
  queryOptions({
    queryKey: ['readings', classId, kind, question],
    queryFn: () =>
      call(endpoints.readings, {
        params: { classId },
        query:
          kind || question ? `?${new URLSearchParams(question ? { question } : { kind: kind ?? '' })}` : '',
      }),
  });

/** What an address says of readings: between what they are compared, and whether misreadings count. */
export function readingsChosen(answer: ReadingsAnswer, search: URLSearchParams) {
  const by: ReadingGrouping = readingGroupings.find((own) => own === search.get('by')) ?? 'reader';
  const asked = answer.questions.find(({ id }) => id === search.get('question'));
  const kind = answer.kinds.find((own) => own.kind === search.get('kind'));
  const slipsCount = search.get('slips') === 'counted';
  const readings = answer.readings.map(({ at, ...own }): ReadOnce => ({ ...own, day: isoDay(at) }));
  const counted = slipsCount ? readings : readings.filter((own) => !isSlip(own));
  return {
    ...{ by, asked, kind, slipsCount, readings },
    comparison: named(asked ? sameTruth(counted, by, answer.unit) : readersCompared(counted, by), by),
  };
}

/** The groups of which an address speaks. */
export function readingsSeen(answer: ReadingsAnswer, search: URLSearchParams): Seen {
  const { asked, kind, comparison } = readingsChosen(answer, search);
  return {
    comparison,
    name: asked
      ? `${asked.instrumentName}, ${wholeDay(asked.at)}, ${clock(new Date(asked.at))}`
      : (kind?.name ?? 'Readings'),
    trials: 'readings',
    causes: [],
  };
}
