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

/** A difference that comes out the wrong way round, or a formula that its readings cannot be put into. */
export const refusedColumn: LogbookRule = {
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
                      code: cell.wrongWay ? 'wrong-direction' : 'not-workable',
                      table: table.key,
                      place: { trial, column },
                      sentence: cell.reason,
                      sure: cell.wrongWay ? 'certain' : 'worth a look',
                    },
                  ]
                : [],
            ),
      ),
    ),
};
