import type { WorkedVerdict } from '../answer';
import { onlyAsks } from './clockSlips';
import type { Found, LogbookRule } from './logbookLook';
import { cellKey, subjectKey } from './subject';
import { besideOf, checkWorked } from './worked';
import { checkMean } from './workedMean';

/** A value that a student worked, and that its readings do not give. */
export const workedWrong: LogbookRule = {
  code: 'worked-wrong',
  find: ({ investigation, cells, outcome, conventions }) =>
    investigation.tables.flatMap((table) =>
      (outcome.trials[table.key] ?? []).flatMap((trial) =>
        table.columns.flatMap((column): Found[] => {
          const textOf = (key: string) => cells.get(cellKey(trial.trial, key))?.current.text;
          const text = textOf(column.key);
          if (column.kind !== 'derived' || column.by !== 'student' || text === undefined) return [];
          const verdict = checkWorked(text, column, besideOf(table, column, trial, textOf), conventions);
          const sentence = whatIsWrong(verdict);
          const place = { trial: trial.trial, column: column.key };
          return sentence === null
            ? []
            : [{ code: 'worked-wrong', table: table.key, place, sentence, sure: howSure(verdict) }];
        }),
      ),
    ),
};

/** A mean that a student worked, and that its trials do not give. */
export const meanContradicted: LogbookRule = {
  code: 'mean-contradicted',
  find: ({ investigation, cells, outcome, conventions }) =>
    investigation.tables.flatMap((table) =>
      table.columns.flatMap((column): Found[] => {
        const text = cells.get(subjectKey({ kind: 'mean', column: column.key }))?.current.text;
        if (column.kind !== 'derived' || text === undefined) return [];
        const trials = outcome.trials[table.key] ?? [];
        const sentence = whatIsWrong(checkMean(text, column, outcome.means[column.key], trials, conventions));
        const place = { trial: 'mean', column: column.key } as const;
        return sentence === null
          ? []
          : [{ code: 'mean-contradicted', table: table.key, place, sentence, sure: 'certain' }];
      }),
    ),
};

/** Certain, but where the number may be right and the time is to be written otherwise. */
const howSure = (verdict: WorkedVerdict | null): Found['sure'] =>
  verdict?.outcome === 'wrong' && verdict.causes.some(({ code }) => onlyAsks(code))
    ? 'worth a look'
    : 'certain';

/** What to say of a number that a student worked; null where nothing is amiss. */
function whatIsWrong(verdict: WorkedVerdict | null): string | null {
  if (!verdict || verdict.outcome === 'right') return null;
  if (verdict.outcome === 'unreadable') return verdict.problem.message;
  const [cause] = verdict.causes;
  return cause ? `${cause.title} ${cause.hint}` : 'The readings give another value. Work it out again.';
}
