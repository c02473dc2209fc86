import { Decimal, decimalOf, namesIn, type Quantity } from '../../figures';
import { fitLine, givenBy } from '../../statistics';
import { inBase, quadrature, worstCase } from '../../uncertainty';
import { parseProduct } from '../../units';
import { Inputs } from '../inputs';
import { Unfinished, type ModelInputs } from '../modelInputs';
import { variesByPlan } from '../byPlan';
import { parsedFormula } from '../formula';
import { columnOf, unitOf, type Column, type LinePlan, type Table } from '../investigation';
import { scatterOfTrials, stated, type LineResult } from '../result';
import { valueIn, type Trial } from '../trials';

/**
 * A straight line as a function of all its readings. Its scatter, carried by the fitted column, holds how that was read; a
 * reader’s habit does not show in it. The larger of scatter with habits and of the readings by themselves counts, never
 * both. Offsets and scales act once with their total sensitivity, a tolerance over the stretch.
 */
export function lineResult(plan: LinePlan, modelInputs: ModelInputs): LineResult {
  const { investigation, conventions } = modelInputs;
  const [x, y] = [columnOf(investigation, plan.x), columnOf(investigation, plan.y)];
  if (!x || !y || x.table !== y.table) throw new RangeError('A line needs two columns of one table.');
  const rows = (modelInputs.trials[x.table.key] ?? []).filter(({ standing }) => standing === 'counts');
  const both = rows.flatMap((trial) => {
    const [atX, atY] = [valueIn(trial, x.column), valueIn(trial, y.column)];
    return atX && atY ? [{ trial, x: atX, y: atY }] : [];
  });
  const wanted = plan.throughOrigin ? 1 : 2;
  if (both.length <= wanted)
    throw new Unfinished(`A line with its uncertainty needs ${wanted + 1} points; ${both.length} are there.`);
  const points = both.map(({ trial, ...point }) => ({
    trial: trial.trial,
    x: point.x.value,
    y: point.y.value,
  }));
  const line = fitLine(points, plan.throughOrigin);
  const [perX, perY, perResult] = [unitOf(x.column), unitOf(y.column), plan.unit].map((unit) =>
    inBase(parseProduct(unit)),
  ) as [number, number, number];
  const given = givenBy(
    line,
    points,
    plan.gives === 'slope' ? { gives: 'slope' } : { gives: plan.gives, at: decimalOf(plan.at ?? '0') },
  );
  // From the units of the columns to that of the result.
  const factor = { slope: perY / perX, y: perY, x: perX }[plan.gives] / perResult;
  const scatter = factor * line.residualSd * Math.hypot(...given.byY);
  const trials = both.map(({ trial }) => trial);
  const parts = new Inputs(modelInputs).throughPoints([
    { ...x, trials, by: given.byX.map((by) => (by * factor) / perX) },
    { ...y, trials, by: given.byY.map((by) => (by * factor) / perY) },
  ]);
  const byScatter = Math.hypot(scatter, quadrature(parts.habits)) >= quadrature(parts.readings);
  const contributions = [...(byScatter ? parts.habits : parts.readings), ...parts.others];
  const repeat = {
    source: scatterOfTrials,
    kind: 'repeat',
    contribution: scatter,
    degrees: line.degrees,
  } as const;
  const rival = byScatter ? [...parts.readings, ...parts.others] : [repeat, ...parts.habits, ...parts.others];
  const carrier = carrierOf(y.column, y.table);
  const lastPlaces = both.map((point) => point.y.lastPlace ?? 0);
  const value: Quantity = {
    value: new Decimal(given.value * factor),
    lastPlace: placeOf(given.value * factor, scatter, Math.max(...lastPlaces)),
    unit: parseProduct(plan.unit),
    point: false,
  };
  return {
    kind: 'line',
    plan,
    line,
    points,
    n: points.length,
    carried: byScatter && carrier ? carriedBy(carrier, trials, parts.by, scatter) : null,
    ...stated(plan, modelInputs, {
      value,
      contributions,
      typeB: conventions.combining === 'worst-case' ? worstCase(contributions) : quadrature(contributions),
      typeA: byScatter ? scatter : null,
      degrees: line.degrees,
      rival,
    }),
  };
}

/** The reading that a fitted column scatters with: itself, or what differs by plan in its formula. */
const carrierOf = (column: Column, table: Table): Column | undefined =>
  column.kind === 'derived'
    ? table.columns.find(
        (own) =>
          variesByPlan(own, table) &&
          own.kind === 'measured' &&
          namesIn(parsedFormula(column.formula)).includes(own.key),
      )
    : column;

/** @param scatter what all of them do together to the result. */
function carriedBy(
  { key }: Column,
  trials: readonly Trial[],
  by: ReadonlyMap<string, number>,
  scatter: number,
): LineResult['carried'] {
  const own = new Map(
    trials.map(({ trial }) => [`${key} of trial ${trial}`, by.get(`${key} of trial ${trial}`) ?? 0]),
  );
  const together = Math.hypot(...own.values());
  return together === 0 ? null : { by: own, sd: scatter / together };
}

/** A slope has the place of the first digit of its own uncertainty. */
const placeOf = (value: number, sd: number, fallback: number): number =>
  sd > 0 && Number.isFinite(sd)
    ? Math.floor(Math.log10(sd))
    : value === 0
      ? fallback
      : Math.floor(Math.log10(Math.abs(value))) - 2;
