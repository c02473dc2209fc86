import { decimalOf } from '../figures';
import { instrumentOf, modelOf } from '../instruments';
import type { Component, Contribution, Input, ModelEquation } from '../uncertainty';
import { kitOf, type KitItem, type MeasuredColumn } from './investigation';
import { asStandard, perUnit, type ModelInputs } from './modelInputs';

/** Begins the name of an input that brings the scatter of a mean. */
export const scatterPrefix = 'scatter of ';

interface Read {
  readonly tag: string;
  readonly key: string;
  readonly called: string;
}

/**
 * The maker’s tolerance bounds the error between any two marks: it enters once for each difference of two readings of one
 * instrument, and once for a reading that is used by itself.
 */
export class Marks {
  readonly #read = new Map<string, Read>();
  readonly #sizes = new Map<string, number>();

  constructor(private readonly modelInputs: Pick<ModelInputs, 'investigation' | 'conventions'>) {}

  /** Tells of a reading: by what input it comes in, and what its column is called. */
  read(input: string, { tag, key }: MeasuredColumn, called: string): void {
    this.#read.set(input, { tag, key, called });
  }

  /**
   * A term whose differences have their tolerance, as inputs of value 0, and what readings used by themselves gain.
   * @param portions between the first mark and the last, where they follow each other: a tolerance acts once over all of it.
   */
  within(
    term: ModelEquation,
    portions: number,
  ): {
    readonly term: ModelEquation;
    readonly differences: readonly Input[];
    readonly alone: ReadonlyMap<string, Component>;
  } {
    const differences = new Map<string, Input>();
    const alone = new Map<string, Component>();
    /** The differences of an instrument that are known, by what columns they are of. */
    const known = new Map<string, string[]>();
    const subtracted = this.#subtracted(term);
    const visit = (of: ModelEquation): ModelEquation => {
      switch (of.kind) {
        case 'constant':
          return of;
        case 'input': {
          const read = this.#read.get(of.name);
          if (!read) return of;
          const component = this.#tolerance(read.tag, `tolerance of ${read.tag}, ${read.called}`);
          if (!subtracted.has(of.name)) {
            alone.set(of.name, component);
            return of;
          }
          // Used in a difference too, which has its own: here it acts where the reading stands by itself.
          return this.#added(
            of,
            { name: `${of.name} by itself`, value: 0, components: [component] },
            differences,
          );
        }
        case 'function':
          return { ...of, of: visit(of.of) };
        case 'mean':
          return { ...of, of: of.of.map(visit) };
        case 'operation': {
          const difference = this.#difference(of);
          const [left = '', right = ''] = difference ?? [];
          const [to, from] = [this.#read.get(left), this.#read.get(right)];
          if (!to || !from) return { ...of, left: visit(of.left), right: visit(of.right) };
          // The same difference in another row is of the same cause.
          const cause = `${to.key} − ${from.key}`;
          const before = known.get(to.tag) ?? [];
          if (!before.includes(cause)) known.set(to.tag, [...before, cause]);
          // One difference of an instrument needs no more than its tag; further ones say which they are.
          const first = before.length === 0 || before[0] === cause;
          const source = first ? `tolerance of ${to.tag}` : `tolerance of ${to.tag}, ${to.called}`;
          const name = `between ${left} and ${right}`;
          const components = [this.#tolerance(to.tag, source, portions)];
          return this.#added(of, { name, value: 0, components }, differences);
        }
      }
    };
    return { term: visit(term), differences: [...differences.values()], alone };
  }

  /** Over all readings of each instrument at once: T·max(Σc⁺, Σ|c⁻|), c what is given by one base unit more of an input. */
  over(by: ReadonlyMap<string, number>): Contribution[] {
    const byTag = new Map<string, { readonly up: number; readonly down: number }>();
    for (const [name, amount] of by) {
      const tag = this.#read.get(name)?.tag;
      if (tag === undefined) continue;
      const { up, down } = byTag.get(tag) ?? { up: 0, down: 0 };
      byTag.set(tag, { up: up + Math.max(0, amount), down: down + Math.max(0, -amount) });
    }
    return [...byTag].map(([tag, { up, down }]) => {
      const { source, kind, u } = this.#tolerance(tag, `tolerance of ${tag}`);
      return { source, kind, contribution: u * Math.max(up, down) };
    });
  }

  #added(to: ModelEquation, input: Input, inputs: Map<string, Input>): ModelEquation {
    inputs.set(input.name, input);
    return { kind: 'operation', operator: '+', left: to, right: { kind: 'input', name: input.name } };
  }

  /** The two readings of a difference on one instrument; null for anything else. */
  #difference(of: ModelEquation): readonly [to: string, from: string] | null {
    if (of.kind !== 'operation' || of.operator !== '−') return null;
    const [to, from] = [readingOf(of.left) ?? '', readingOf(of.right) ?? ''];
    const tag = this.#read.get(to)?.tag;
    return tag !== undefined && tag === this.#read.get(from)?.tag ? [to, from] : null;
  }

  /** All readings that are in some difference. */
  #subtracted(term: ModelEquation): ReadonlySet<string> {
    const found = new Set<string>();
    const visit = (of: ModelEquation): void => {
      this.#difference(of)?.forEach((name) => found.add(name));
      if (of.kind === 'operation') [of.left, of.right].forEach(visit);
      else if (of.kind === 'function') visit(of.of);
      else if (of.kind === 'mean') of.of.forEach(visit);
    };
    visit(term);
    return found;
  }

  #tolerance(tag: string, source: string, portions = 1): Component {
    const { investigation, conventions } = this.modelInputs;
    const size = this.#sizes.get(tag) ?? sizeOf(kitOf(investigation, tag));
    this.#sizes.set(tag, size);
    return { source, kind: 'tolerance', u: asStandard(size, conventions) / portions };
  }
}

/** What the maker of a piece promises, in base units. */
function sizeOf({ kind, model, tolerance: own }: KitItem): number {
  const { tolerance, unit } = modelOf(instrumentOf(kind), model);
  return decimalOf(own ?? tolerance).toNumber() * perUnit(unit);
}

/** The reading that a term is, alone or with the scatter of its mean. */
function readingOf(term: ModelEquation): string | null {
  if (term.kind === 'input') return term.name;
  if (
    term.kind === 'operation' &&
    term.operator === '+' &&
    term.right.kind === 'input' &&
    term.right.name.startsWith(scatterPrefix)
  )
    return readingOf(term.left);
  return null;
}
