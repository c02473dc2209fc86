import { Decimal } from '../decimal/decimal';
import { dimensionOf, parseProduct, productFactor } from '../units';
import type { Comparison, Group, Observation, Reference } from './observation';
import { counting } from './sample';

/** A group from somewhere, in the unit that it has there. */
export interface Gathered {
  readonly unit: string;
  readonly group: Group;
  /** Names where its trials come from: the same for groups that may be of the same trials. */
  readonly source: string;
}

/** As it was found; less what it should be; that in percent of what it should be. */
export const waysTogether = ['values', 'errors', 'percent'] as const;
export type WayTogether = (typeof waysTogether)[number];

export interface Together {
  readonly comparison: Comparison;
  /** The groups that cannot stand beside the others, and why. */
  readonly apart: readonly { readonly key: string; readonly name: string; readonly why: string }[];
}

/**
 * Groups from anywhere as one comparison, in the unit of the first of them. A group that measures something else, is held against nothing
 * where errors are compared, or is of trials that are there already, stands apart and is told why. Never throws on what is measured.
 */
export function together(gathered: readonly Gathered[], way: WayTogether): Together {
  const groups: Group[] = [];
  const apart: { key: string; name: string; why: string }[] = [];
  const trials = new Trials();
  const unit = way === 'percent' ? '%' : (gathered[0]?.unit ?? '');
  for (const own of gathered) {
    const { key, name } = own.group;
    const twice = trials.twice(own);
    const why = twice ? `${countOf(twice.count)} in ${twice.name} already` : whyApart(own, way, unit);
    if (why !== null) apart.push({ key, name, why });
    else {
      groups.push(toward(own, way, unit));
      trials.add(own);
    }
  }
  return { comparison: { unit, groups }, apart };
}

/** The way in which most can be told of groups: as they were found, where they measure one thing and should be the same. */
export function usualWay(gathered: readonly Gathered[]): WayTogether {
  const [first] = gathered;
  if (!first) return 'values';
  const oneQuantity = gathered.every(({ unit }) => factorOf(unit, first.unit) !== null);
  const held = gathered.every(({ group }) => group.reference !== null);
  if (!oneQuantity)
    return gathered.every((own) => whyApart(own, 'percent', '%') === null) ? 'percent' : 'values';
  const same = new Set(
    gathered.map(
      ({ group, unit }) => group.reference && inUnits(group.reference.value, unit, first.unit).toString(),
    ),
  );
  return held && same.size > 1 ? 'errors' : 'values';
}

/** How many `to` one `from` is; null where they do not measure the same, or on scales that begin elsewhere. */
function factorOf(from: string, to: string): Decimal | null {
  if (from === to) return new Decimal(1);
  try {
    const [a, b] = [parseProduct(from), parseProduct(to)];
    // Degrees of two kinds begin at two zeros.
    if (dimensionOf(a)[2] !== 0) return null;
    return productFactor(a, b);
  } catch {
    return null;
  }
}

const inUnits = (value: string, from: string, to: string): Decimal =>
  new Decimal(value).times(factorOf(from, to) ?? 1);

function whyApart({ unit: own, group }: Gathered, way: WayTogether, unit: string): string | null {
  if (way !== 'percent' && factorOf(own, unit) === null)
    return `it is in ${own}, and the first is in ${unit}`;
  if (way !== 'values' && group.reference === null) return 'nothing says what it should be';
  if (way === 'percent' && new Decimal(group.reference?.value ?? 0).isZero())
    return 'it should be 0, of which nothing is a percent';
  return null;
}

/** The group as it is compared. Sizes that are no values (a step, a ±) go along with the scale alone. */
function toward({ unit: from, group, source }: Gathered, way: WayTogether, unit: string): Group {
  const { reference } = group;
  const scale =
    way === 'percent'
      ? new Decimal(100).div(new Decimal(reference?.value ?? 1).abs())
      : (factorOf(from, unit) ?? new Decimal(1));
  const zero = way === 'values' ? 0 : (reference?.value ?? 0);
  const size = (own: number): number => scale.times(own).toNumber();
  return {
    ...group,
    reference:
      reference &&
      ({
        value: way === 'values' ? plain(scale.times(reference.value)) : '0',
        ...(reference.u === undefined ? {} : { u: size(reference.u) }),
        ...(reference.tolerance === undefined ? {} : { tolerance: plain(scale.times(reference.tolerance)) }),
      } satisfies Reference),
    step: size(group.step),
    ...(group.shared ? { shared: { ...group.shared, u: size(group.shared.u) } } : {}),
    observations: group.observations.map((own): Observation => ({
      ...own,
      value: plain(scale.times(new Decimal(own.value).minus(zero))),
      book: `${source} ${own.book ?? ''}`,
    })),
  };
}

const plain = (value: Decimal): string => value.toSignificantDigits(15).toString();

const countOf = (count: number): string =>
  count === 1 ? 'one of its trials is' : `${count} of its trials are`;

/** Of which trials groups are: the same trials in two groups are no two groups. */
class Trials {
  readonly #known = new Map<string, { readonly name: string; readonly trials: Set<number | undefined> }[]>();

  add({ group, source }: Gathered): void {
    for (const { book = '', trial } of counting(group)) {
      const place = `${source} ${book}`;
      const here = this.#known.get(place) ?? [];
      const own = here.find(({ name }) => name === group.name);
      if (own) own.trials.add(trial);
      else here.push({ name: group.name, trials: new Set([trial]) });
      this.#known.set(place, here);
    }
  }

  /** How many trials of a group are in one that was added; of a logbook that is there by its mean, all are. */
  twice({ group, source }: Gathered): { readonly count: number; readonly name: string } | null {
    const found = counting(group).flatMap(({ book = '', trial }) => {
      const here = this.#known.get(`${source} ${book}`) ?? [];
      return (
        here.find(({ trials }) => trial === undefined || trials.has(undefined) || trials.has(trial)) ?? []
      );
    });
    const [first] = found;
    return first ? { count: found.length, name: first.name } : null;
  }
}
