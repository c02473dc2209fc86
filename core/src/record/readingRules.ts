import { parseNumber } from '../figures';
import { readOn } from './columnRule';
import { eachMeasured, type Found, type LogbookRule } from './logbookLook';
import { cellKey } from './subject';

/** Two pieces in one row: what is off of either no longer cancels. */
export const otherBalance: LogbookRule = {
  code: 'other-balance',
  find: ({ investigation, cells, outcome }) =>
    investigation.tables.flatMap((table) =>
      (outcome.trials[table.key] ?? []).flatMap(({ trial }) =>
        table.columns.flatMap((column): Found[] => {
          const tagOf = (key: string) => cells.get(cellKey(trial, key))?.current.tag;
          const tag = tagOf(column.key);
          if (column.kind !== 'measured' || tag === undefined) return [];
          const together = table.columns.flatMap((other) =>
            other.kind === 'measured' && other.tag === column.tag ? (tagOf(other.key) ?? []) : [],
          );
          const usual =
            together.length === 1 && investigation.kit.some((item) => item.tag === tag)
              ? tag
              : together.length === 1
                ? column.tag
                : mostOf(together, column.tag);
          return tag === usual
            ? []
            : [
                {
                  code: 'other-balance',
                  table: table.key,
                  place: { trial, column: column.key },
                  sentence: `It was read on ${tag}, the others on ${usual}: an offset no longer cancels.`,
                  sure: 'certain',
                },
              ];
        }),
      ),
    ),
};

/** The same reading again and again, where something is estimated. */
export const looksCopied: LogbookRule = {
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
};

/** A planned amount that stands once; where it stands more often, the look at the table says so. */
export const plannedOnce: LogbookRule = {
  code: 'planned-amount',
  find: (look) =>
    eachMeasured(look, (column, table, trials): Found[] => {
      if (column.planned === undefined) return [];
      const same = trials.filter(
        (trial) => look.cells.get(cellKey(trial, column.key))?.current.text.trim() === column.planned,
      );
      const [trial] = same;
      return trial === undefined || same.length > 1
        ? []
        : [
            {
              code: 'planned-amount',
              table,
              place: { trial, column: column.key },
              sentence: `This is exactly the planned ${column.planned}. Was it read from the scale?`,
              sure: 'worth a look',
            },
          ];
    }),
};

/** A supplied number where only what was read counts. */
export const suppliedNumber: LogbookRule = {
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
};

/** Half a drop. */
export const notACount: LogbookRule = {
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
};

/** On what most of a row was read; of as many, on the plan’s own piece, or on that of the first. */
function mostOf(tags: readonly string[], own: string): string {
  const count = (tag: string) => tags.filter((other) => other === tag).length;
  const most = Math.max(...tags.map(count));
  const usual = tags.filter((tag) => count(tag) === most);
  return usual.includes(own) ? own : (usual[0] ?? own);
}
