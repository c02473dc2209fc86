import type { Conventions } from '../conventions';
import type { InstrumentKind } from '../conventions/kinds';
import { perGramCube } from '../density';
import { Decimal, decimalOf, roundToFigures } from '../figures';
import { instrumentOf, modelOf, type Make } from '../instruments';
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
    finerMakes(investigation, cells, item, result).flatMap(({ kind, make }) => {
      const then = withPiece(investigation, cells, conventions, result, {
        ...item,
        kind,
        model: make.id,
        tolerance: undefined,
      });
      return then === null || then >= uncertainty
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
    ...zerosChecked(investigation, cells, conventions, result).map(([tag, then]) =>
      told(`The zero of ${tag} checked, and corrected`, then),
    ),
    ...vesselsWeighed(investigation, conventions, result).map(([tag, then]) =>
      told(`What ${tag} holds found by weighing water in it`, then),
    ),
    ...twiceAsMuch(result, conventions).map((then) => told('Twice as much of it, or twice as large', then)),
    ...more(3),
    ...more(9),
  ]
    .filter(({ times }) => times >= worthTelling)
    .sort((a, b) => a.uncertainty - b.uncertainty);
}

/** The uncertainty of a result with another piece of the same tag; null where it cannot be reckoned. */
function withPiece(
  investigation: Investigation,
  cells: ReadonlyMap<string, Cell>,
  conventions: Conventions,
  { plan }: Result,
  piece: KitItem,
): number | null {
  const kit = investigation.kit.map((own) => (own.tag === piece.tag ? piece : own));
  const state = new OutcomeEvaluator({ ...investigation, kit }, conventions)
    .outcomeOf(cells)
    .results.find((result) => result.plan.key === plan.key);
  return state?.state === 'reckoned' ? state.result.uncertainty : null;
}

/** Each piece whose zero is not known, without what it may stand off. */
const zerosChecked = (
  investigation: Investigation,
  cells: ReadonlyMap<string, Cell>,
  conventions: Conventions,
  result: Result,
): (readonly [tag: string, then: number])[] =>
  investigation.kit.flatMap((item) => {
    if (!item.offset || item.correction) return [];
    const then = withPiece(investigation, cells, conventions, result, { ...item, offset: undefined });
    return then === null ? [] : [[item.tag, then] as const];
  });

/**
 * Each vessel whose tolerance matters, were what it holds found on a balance of the kit: the balance's tolerance then stands
 * in place of the maker's, for water of about 1 g/mL.
 */
function vesselsWeighed(
  { kit }: Investigation,
  conventions: Conventions,
  { contributions, typeA, typeB }: Result,
): (readonly [tag: string, then: number])[] {
  const toleranceOf = ({ kind, model, tolerance }: KitItem) =>
    decimalOf(tolerance ?? modelOf(instrumentOf(kind), model).tolerance).toNumber();
  const balances = kit.filter(({ kind }) => instrumentOf(kind).quantity === 'mass').map(toleranceOf);
  if (balances.length === 0) return [];
  const instruments = contributions.filter(({ kind }) => kind !== 'repeat');
  const now = Math.hypot(...instruments.map(({ contribution }) => contribution));
  return kit.flatMap((item) => {
    const own = toleranceOf(item);
    const better = Math.min(...balances) / own;
    const ofIt = `tolerance of ${item.tag}`;
    if (instrumentOf(item.kind).quantity !== 'volume' || !(better < 1) || now === 0) return [];
    const then = instruments.map(({ source, contribution }) =>
      source === ofIt || source.startsWith(`${ofIt},`) ? contribution * better : contribution,
    );
    return [
      [item.tag, combineTypeAandB(typeA ?? 0, (typeB * Math.hypot(...then)) / now, conventions)] as const,
    ];
  });
}

/**
 * A density of twice as much: mass and volume double, what is read and what the makers allow stay, so that their part
 * halves; what grows with the reading does not. Trials may scatter as before, a line is twice as long.
 */
function twiceAsMuch(
  { kind, plan, contributions, typeA, typeB }: Result,
  conventions: Conventions,
): readonly number[] {
  if (perGramCube(plan.unit) === null) return [];
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

/**
 * Makes that are finer, of the same unit, and whose scale holds everything that was read: of the same kind, or cylinders for
 * a beaker. Where only differences count, a narrower one that holds these is enough.
 */
function finerMakes(
  investigation: Investigation,
  cells: ReadonlyMap<string, Cell>,
  item: KitItem,
  { contributions }: Result,
): { readonly kind: InstrumentKind; readonly make: Make }[] {
  const own = modelOf(instrumentOf(item.kind), kitOf(investigation, item.tag).model);
  const kinds: readonly InstrumentKind[] =
    item.kind === 'beaker' ? ['beaker', 'graduated-cylinder'] : [item.kind];
  const read = readOnPiece(investigation, cells, item.tag);
  const largest = Math.max(0, ...read);
  const onlyDifferences = contributions.some(({ source }) => source === `tolerance of ${item.tag}`);
  const holds = ({ highest, lowest }: Make): boolean =>
    (Number(highest) >= largest && Number(lowest) <= largest) ||
    (onlyDifferences &&
      item.kind === 'graduated-cylinder' &&
      Number(highest) - Number(lowest) >= largest - Math.min(...read));
  return kinds.flatMap((kind) =>
    instrumentOf(kind)
      .models.filter(
        (make) =>
          make.id !== own.id &&
          make.unit === own.unit &&
          holds(make) &&
          (Number(make.tolerance) < Number(own.tolerance) || Number(make.division) < Number(own.division)),
      )
      .map((make) => ({ kind, make })),
  );
}

/** All numbers that were read on a piece. */
function readOnPiece(
  { tables }: Investigation,
  cells: ReadonlyMap<string, Cell>,
  tag: string,
): readonly number[] {
  const keys = new Set(
    tables.flatMap(({ columns }) =>
      columns.flatMap((column) => (column.kind === 'measured' && column.tag === tag ? [column.key] : [])),
    ),
  );
  return [...cells.values()].flatMap(({ current }) =>
    current.kind === 'reading' && keys.has(current.column)
      ? [Number(current.text.replace(',', '.')) || 0]
      : [],
  );
}
