import type { WorkedVerdict } from '../answer';
import { floatsIn, perGramCube } from '../density';
import { parseNumber } from '../figures';
import { waterDensity } from '../reference';
import { digitRules } from './digitRules';
import { columnOf } from './investigation';
import { eachMeasured, type Found, type LogbookRule } from './logbookLook';
import { readOn } from './columnRule';
import { cellKey, subjectKey } from './subject';
import { besideOf, checkWorked } from './worked';
import { checkMean } from './workedMean';

/** Everything a second look looks for in a whole logbook; a new rule is a row. */
export const logbookRules: readonly LogbookRule[] = [
  {
    code: 'other-balance',
    find: ({ investigation, cells, outcome }) =>
      investigation.tables.flatMap((table) =>
        (outcome.trials[table.key] ?? []).flatMap(({ trial }) =>
          table.columns.flatMap((column): Found[] => {
            const written = cells.get(cellKey(trial, column.key))?.current;
            if (column.kind !== 'measured' || !written || written.tag === column.tag) return [];
            return [
              {
                code: 'other-balance',
                table: table.key,
                place: { trial, column: column.key },
                sentence: `It was read on ${written.tag}, the others on ${column.tag}: an offset no longer cancels.`,
                sure: 'certain',
              },
            ];
          }),
        ),
      ),
  },
  {
    code: 'looks-copied',
    find: (look) =>
      eachMeasured(look, (column, table, trials): Found[] => {
        // Four in a row without any scatter is rare where something is estimated; a display may well repeat itself.
        if (column.carried || readOn(column, look.investigation).make.reads === 'digits') return [];
        const texts = trials.flatMap((trial) => {
          const text = look.cells.get(cellKey(trial, column.key))?.current.text.trim();
          return text ? [{ trial, text }] : [];
        });
        const [first] = texts;
        if (!first || texts.length < 4 || texts.some(({ text }) => text !== first.text)) return [];
        return [
          {
            code: 'looks-copied',
            table,
            place: { trial: texts.at(-1)?.trial ?? first.trial, column: column.key },
            sentence: `${first.text} ${texts.length} times: was it read anew each time?`,
            sure: 'worth a look',
          },
        ];
      }),
  },
  {
    code: 'outlier',
    find: ({ investigation, outcome }) =>
      outcome.results.flatMap((state): Found[] => {
        if (state.state !== 'reckoned' || state.result.kind !== 'mean' || !state.result.suspect) return [];
        const { plan, suspect } = state.result;
        const { trial, sentence } = suspect;
        const table = columnOf(investigation, plan.column)?.table.key ?? '';
        return [
          {
            code: 'outlier',
            table,
            place: { trial, column: plan.column },
            sentence,
            sure: 'worth a look',
          },
        ];
      }),
  },
  {
    code: 'wrong-direction',
    find: ({ investigation, outcome }) =>
      investigation.tables.flatMap((table) =>
        (outcome.trials[table.key] ?? []).flatMap(({ trial, derived, standing }) =>
          standing !== 'counts'
            ? []
            : Object.entries(derived).flatMap(([column, cell]): Found[] =>
                cell.state === 'refused'
                  ? [
                      {
                        code: 'wrong-direction',
                        table: table.key,
                        place: { trial, column },
                        sentence: cell.reason,
                        sure: 'certain',
                      },
                    ]
                  : [],
              ),
        ),
      ),
  },
  {
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
              : [{ code: 'worked-wrong', table: table.key, place, sentence, sure: 'certain' }];
          }),
        ),
      ),
  },
  {
    code: 'mean-contradicted',
    find: ({ investigation, cells, outcome, conventions }) =>
      investigation.tables.flatMap((table) =>
        table.columns.flatMap((column): Found[] => {
          const text = cells.get(subjectKey({ kind: 'mean', column: column.key }))?.current.text;
          if (column.kind !== 'derived' || text === undefined) return [];
          const trials = outcome.trials[table.key] ?? [];
          const sentence = whatIsWrong(
            checkMean(text, column, outcome.means[column.key], trials, conventions),
          );
          const place = { trial: 'mean', column: column.key } as const;
          return sentence === null
            ? []
            : [{ code: 'mean-contradicted', table: table.key, place, sentence, sure: 'certain' }];
        }),
      ),
  },
  {
    code: 'contradicts-floating',
    find: ({ cells, outcome, investigation }) => {
      const floats = saysThatItFloats(
        cells.get(subjectKey({ kind: 'answer', question: 'float' }))?.current.text,
      );
      if (floats === null) return [];
      return outcome.results.flatMap((state): Found[] => {
        const per = perGramCube(state.plan.unit);
        if (state.state !== 'reckoned' || per === null) return [];
        const { value, expanded, uncertainty } = state.result;
        const foretold = floatsIn(
          value.value.toNumber() * per,
          (expanded?.size ?? uncertainty ?? 0) * per,
          waterDensity(20) / 1000,
        );
        return foretold === 'cannot tell' || (foretold === 'floats') === floats
          ? []
          : [
              {
                code: 'contradicts-floating',
                table: investigation.tables[0]?.key ?? '',
                place: { trial: 'mean', column: state.plan.key },
                sentence: `You wrote that it ${floats ? 'floats on' : 'sinks in'} water, and ${state.result.text} says the opposite.`,
                sure: 'likely',
              },
            ];
      });
    },
  },
  {
    code: 'supplied-number',
    find: (look) =>
      look.investigation.supplied
        ? []
        : eachMeasured(look, (column, table, trials) =>
            trials.flatMap((trial): Found[] =>
              look.cells.get(cellKey(trial, column.key))?.current.origin === 'teacher'
                ? [
                    {
                      code: 'supplied-number',
                      table,
                      place: { trial, column: column.key },
                      sentence: 'This number was supplied; here only what you read yourselves counts.',
                      sure: 'certain',
                    },
                  ]
                : [],
            ),
          ),
  },
  {
    code: 'not-a-count',
    find: ({ investigation, cells, outcome }) =>
      investigation.tables.flatMap((table) =>
        (outcome.trials[table.key] ?? []).flatMap(({ trial }) =>
          table.columns.flatMap((column): Found[] => {
            const text = cells.get(cellKey(trial, column.key))?.current.text;
            if (column.kind !== 'count' || text === undefined) return [];
            const parsed = parseNumber(text);
            return parsed.ok && parsed.number.value.isInteger()
              ? []
              : [
                  {
                    code: 'not-a-count',
                    table: table.key,
                    place: { trial, column: column.key },
                    sentence: `${text} is no count.`,
                    sure: 'certain',
                  },
                ];
          }),
        ),
      ),
  },
  ...digitRules,
];

/** What to say of a number that a student worked; null where nothing is amiss. */
function whatIsWrong(verdict: WorkedVerdict | null): string | null {
  if (!verdict || verdict.outcome === 'right') return null;
  if (verdict.outcome === 'unreadable') return verdict.problem.message;
  const [cause] = verdict.causes;
  return cause ? `${cause.title} ${cause.hint}` : 'Its readings give another value: reckon it once more.';
}

/** Whether a student wrote that it floats; null where they did not say, or said both. */
function saysThatItFloats(text = ''): boolean | null {
  const plainly = text.replace(/(\bnot|n[’']t|\bnever)\s+float(s|ed)?\b/gi, ' sinks');
  const [floats, sinks] = [/\b(yes|floats?|floated)\b/i, /\b(no|sinks?|sank)\b/i].map((words) =>
    words.test(plainly),
  );
  return floats === sinks ? null : floats === true;
}
