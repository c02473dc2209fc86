import { unitFactor } from '../units';
import { halfWidthOf } from './columnKinds';
import { columnOf, unitOf } from './investigation';
import type { Found, LogbookRule } from './logbookLook';
import { valueIn } from './trials';

/** More than a tenth off cannot come from pieces that are alike. */
const notAlike = 0.1;

/**
 * Twice as many alike weigh twice as much: where a line through the origin is drawn over a count, each pair of rows of which one has
 * twice as many as the other is held against that.
 */
export const doublingRule: LogbookRule = {
  code: 'doubling',
  find: ({ investigation, outcome, conventions }) =>
    investigation.results.flatMap((plan): Found[] => {
      if (plan.kind !== 'line' || !plan.throughOrigin) return [];
      const [x, y] = [columnOf(investigation, plan.x), columnOf(investigation, plan.y)];
      if (x?.column.kind !== 'count' || !y) return [];
      const { table, column } = y;
      // Of a derived column, the coarsest of what it is made of.
      const reading = Math.max(
        0,
        ...table.columns.map((own) => {
          const factor = unitFactor(unitOf(own), unitOf(column));
          return own.kind === 'measured' && factor
            ? halfWidthOf(own, investigation, conventions) * factor.toNumber()
            : 0;
        }),
      );
      const rows = (outcome.trials[table.key] ?? []).flatMap((trial) => {
        const [n, size] = [valueIn(trial, x.column), valueIn(trial, column)];
        return trial.standing === 'counts' && n && size
          ? [{ trial: trial.trial, n: n.value.toNumber(), size: size.value.toNumber() }]
          : [];
      });
      return rows.flatMap((more) => {
        const half = rows.find(({ n }) => n > 0 && 2 * n === more.n);
        if (!half) return [];
        const off = Math.abs(more.size - 2 * half.size);
        if (off <= Math.max(6 * reading, notAlike * Math.abs(more.size))) return [];
        return [
          {
            code: 'doubling',
            table: table.key,
            place: { trial: more.trial, column: column.key },
            sentence: `${half.n} make ${written(half.size)} ${unitOf(column)} and ${more.n} make ${written(more.size)}: twice as many alike should make twice as much. Count again, and look at the empty vessel.`,
            sure: 'likely',
          },
        ];
      });
    }),
};

const written = (size: number): string => String(Number(size.toPrecision(4)));
