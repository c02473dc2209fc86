import type { Conventions } from '../conventions';
import { Decimal, roundToFigures } from '../figures';
import { instrumentOf, type Make as Make } from '../instruments';
import { kitOf, type Investigation, type KitItem } from './investigation';
import { OutcomeEvaluator } from './outcome';
import type { Result } from './result';
import { combineTypeAandB } from './combination';
import type { Cell } from './table';

/** One thing that could be done, and what the uncertainty would then be. */
export interface Improvement {
  readonly what: string;
  /** In the result's unit. */
  readonly uncertainty: number;
  /** What it is now over what it would be. */
  readonly times: number;
  readonly text: string;
}

/** Less than a twentieth better changes nothing that is written. */
const worthTelling = 1.05;

/**
 * What would make a result more certain, reckoned anew for each: another make of the same kind in place of a piece of the kit,
 * and more trials. Best first; only what changes something that is written.
 */
export function improvements(
  investigation: Investigation,
  cells: ReadonlyMap<string, Cell>,
  conventions: Conventions,
  result: Result,
): Improvement[] {
  const { plan, uncertainty, typeA, typeB } = result;
  if (uncertainty === null || uncertainty === 0) return [];
  const n = result.kind === 'value' ? 0 : result.n;
  const told = (what: string, then: number): Improvement => ({
    what,
    uncertainty: then,
    times: uncertainty / then,
    text: `${what}: ±${roundToFigures(new Decimal(then), 2).toString()} ${plan.unit}, ${(uncertainty / then).toFixed(1)} times as certain.`,
  });
  const kit = investigation.kit.flatMap((item) =>
    finerMakes(investigation, cells, item).flatMap((make) => {
      const changed = {
        ...investigation,
        kit: investigation.kit.map((own) => (own.tag === item.tag ? { ...own, model: make.id } : own)),
      };
      const state = new OutcomeEvaluator(changed, conventions)
        .outcomeOf(cells)
        .results.find((result) => result.plan.key === plan.key);
      const then = state?.state === 'reckoned' ? state.result.uncertainty : null;
      return then === null || then === undefined || then >= uncertainty
        ? []
        : [told(`${make.name}, in place of ${item.tag}`, then)];
    }),
  );
  const more = (extra: number): Improvement[] =>
    typeA === null || n < 2
      ? []
      : [
          told(
            `${extra} more trials`,
            combineTypeAandB(typeA * Math.sqrt(n / (n + extra)), typeB, conventions),
          ),
        ];
  return [
    ...kit,
    ...twiceAsMuch(result, conventions).map((then) => told('Twice as much of it, or twice as large', then)),
    ...more(3),
    ...more(9),
  ]
    .filter(({ times }) => times >= worthTelling)
    .sort((a, b) => a.uncertainty - b.uncertainty);
}

const densities: readonly string[] = ['g/cm³', 'g/mL', 'kg/m³', 'kg/L', 'g/L'];

/**
 * A density of twice as much: mass and volume double, what is read and what the makers allow stay, so that their part
 * halves; what grows with the reading does not. Trials may scatter as before, a line is twice as long.
 */
function twiceAsMuch(
  { kind, plan, contributions, typeA, typeB }: Result,
  conventions: Conventions,
): readonly number[] {
  if (!densities.includes(plan.unit)) return [];
  const instruments = contributions.filter((part) => part.kind !== 'repeat');
  const then = instruments.map(({ kind: of, contribution }) =>
    of === 'scale factor' ? contribution : contribution / 2,
  );
  const now = Math.hypot(...instruments.map(({ contribution }) => contribution));
  if (now === 0) return [];
  return [
    combineTypeAandB(
      (typeA ?? 0) / (kind === 'line' ? 2 : 1),
      (typeB * Math.hypot(...then)) / now,
      conventions,
    ),
  ];
}

/** Makes of the same kind and unit that are finer, and whose scale holds everything that was read. */
function finerMakes(investigation: Investigation, cells: ReadonlyMap<string, Cell>, item: KitItem): Make[] {
  const { models } = instrumentOf(item.kind);
  const own = models.find(({ id }) => id === kitOf(investigation, item.tag).model);
  if (!own) return [];
  const keys = new Set(
    investigation.tables.flatMap(({ columns }) =>
      columns.flatMap((column) =>
        column.kind === 'measured' && column.tag === item.tag ? [column.key] : [],
      ),
    ),
  );
  const largest = Math.max(
    0,
    ...[...cells.values()].flatMap(({ current }) =>
      current.kind === 'reading' && keys.has(current.column)
        ? [Number(current.text.replace(',', '.')) || 0]
        : [],
    ),
  );
  return models.filter(
    ({ id, unit, tolerance, division, highest, lowest }) =>
      id !== own.id &&
      unit === own.unit &&
      Number(highest) >= largest &&
      Number(lowest) <= largest &&
      (Number(tolerance) < Number(own.tolerance) || Number(division) < Number(own.division)),
  );
}
