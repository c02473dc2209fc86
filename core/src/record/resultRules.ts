import { columnOf } from './investigation';
import type { Found, LogbookRule } from './logbookLook';

/** A trial that lies apart from the others. */
export const outlier: LogbookRule = {
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
};

/** A difference that comes out the wrong way round. */
export const wrongDirection: LogbookRule = {
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
};
