import { Decimal, type Quantity } from '../../figures';
import { instrumentOf, modelOf } from '../../instruments';
import { fitLine, xWhere, yAt } from '../../statistics';
import { inBase, quadrature, worstCase, type Contribution } from '../../uncertainty';
import { parseProduct } from '../../units';
import { asStandard, Unfinished, type ModelInputs } from '../inputs';
import { columnOf, kitOf, unitOf, type LinePlan } from '../investigation';
import { stated, type LineResult } from '../result';
import { valueIn } from '../trials';

/**
 * A straight line. What shifts all readings alike goes to the intercept. The scatter of the points holds how they were read;
 * what the makers allow tilts the line by its tolerance over the stretch that was measured.
 */
export function lineResult(plan: LinePlan, modelInputs: ModelInputs): LineResult {
  const { investigation, conventions } = modelInputs;
  const [x, y] = [columnOf(investigation, plan.x), columnOf(investigation, plan.y)];
  if (!x || !y || x.table !== y.table) throw new RangeError('A line needs two columns of one table.');
  const rows = (modelInputs.trials[x.table.key] ?? []).filter(({ standing }) => standing === 'counts');
  const both = rows.flatMap((trial) => {
    const [atX, atY] = [valueIn(trial, x.column), valueIn(trial, y.column)];
    return atX && atY ? [{ trial: trial.trial, x: atX, y: atY }] : [];
  });
  const wanted = plan.throughOrigin ? 1 : 2;
  if (both.length <= wanted)
    throw new Unfinished(`A line with its uncertainty needs ${wanted + 1} points; ${both.length} are there.`);
  const points = both.map((point) => ({ trial: point.trial, x: point.x.value, y: point.y.value }));
  const line = fitLine(points, plan.throughOrigin);
  const [perX, perY, perResult] = [unitOf(x.column), unitOf(y.column), plan.unit].map((unit) =>
    inBase(parseProduct(unit)),
  ) as [number, number, number];
  const at = Number(plan.at ?? 0);
  const predicted = plan.gives === 'x' ? xWhere(line, at) : yAt(line, at);
  // From the units of the columns to that of the result.
  const factor = { slope: perY / perX, y: perY, x: perX }[plan.gives] / perResult;
  const raw = plan.gives === 'slope' ? { value: line.slope, sd: line.slopeSd } : predicted;
  const xs = points.map(({ x: own }) => own.toNumber());
  const stretch = Math.max(...xs) - Math.min(...xs);
  const reach =
    plan.gives === 'slope' ? 1 : plan.gives === 'y' ? at : predicted.value / Math.abs(line.slope || 1);
  const tilt = (column: typeof x.column, perSlope: number): Contribution[] => {
    if (column.kind !== 'measured' || stretch === 0) return [];
    const item = kitOf(investigation, column.tag);
    const tolerance = asStandard(Number(modelOf(instrumentOf(item.kind), item.model).tolerance), conventions);
    const amount = ((tolerance * perSlope) / stretch) * reach * factor;
    return [{ source: `tolerance of ${column.tag}`, kind: 'tolerance', contribution: Math.abs(amount) }];
  };
  const contributions = [...tilt(y.column, 1), ...tilt(x.column, line.slope)];
  const lastPlaces = both.map((point) => point.y.lastPlace ?? 0);
  const value: Quantity = {
    value: new Decimal(raw.value * factor),
    lastPlace: placeOf(raw.value * factor, raw.sd * factor, Math.max(...lastPlaces)),
    unit: parseProduct(plan.unit),
    point: false,
  };
  return {
    kind: 'line',
    plan,
    line,
    points,
    n: points.length,
    ...stated(plan, modelInputs, {
      value,
      contributions,
      typeB: conventions.combining === 'worst-case' ? worstCase(contributions) : quadrature(contributions),
      typeA: raw.sd * factor,
      degrees: line.degrees,
    }),
  };
}

/** A slope has the place of the first digit of its own uncertainty. */
const placeOf = (value: number, sd: number, fallback: number): number =>
  sd > 0 && Number.isFinite(sd)
    ? Math.floor(Math.log10(sd))
    : value === 0
      ? fallback
      : Math.floor(Math.log10(Math.abs(value))) - 2;
