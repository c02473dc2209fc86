import { decimalOf } from '../figures';
import type { Component } from '../uncertainty';
import { clockHalfWidth, halfWidthOf } from './columnKinds';
import { readOn } from './columnRule';
import { beforeSuffix } from './formula';
import { unitOf, type Column } from './investigation';
import { asStandard, perUnit, type ModelInputs } from './modelInputs';

/** What stands behind the readings of one column, in base units. */
interface Cause {
  readonly base: number;
  readonly called: string;
  readonly parts: readonly Component[];
  /** Grows with what is read: by what share of it. */
  readonly scale: { readonly source: string; readonly share: number } | null;
}

/** How each column may err where it is read, found once and named so that what is one cause acts together. */
export class ReadingCauses {
  readonly #known = new Map<string, Cause>();

  constructor(private readonly modelInputs: Pick<ModelInputs, 'investigation' | 'conventions'>) {}

  /** A column by its heading; where another bears the same one, with its symbol: they are two causes. */
  called(column: Column): string {
    const alike = this.modelInputs.investigation.tables.some(({ columns }) =>
      columns.some(({ heading, key }) => key !== column.key && heading === column.heading),
    );
    return alike ? `${lower(column.heading)} ${column.symbol}` : lower(column.heading);
  }

  /** @param cause what its components are named by: readings of one cause act together. */
  of(column: Column, lastPlace: number | null, cause: string): Cause {
    const key = column.kind === 'clock' ? `${cause} ${lastPlace}` : cause;
    const known = this.#known.get(key);
    if (known) return known;
    const base = perUnit(unitOf(column));
    const called = this.called(column);
    // Named by its heading, with what tells one look from another after it.
    const source = `reading ${called}${cause.slice(column.key.length).replace(beforeSuffix, ' of the trial before')}`;
    const made: Cause = { base, called, ...this.#partsOf(source, column, lastPlace, base) };
    this.#known.set(key, made);
    return made;
  }

  #partsOf(
    reading: string,
    column: Column,
    lastPlace: number | null,
    base: number,
  ): Pick<Cause, 'parts' | 'scale'> {
    const { investigation, conventions } = this.modelInputs;
    const bound = (source: string, kind: Component['kind'], size: number, per = base): Component => ({
      source,
      kind,
      u: asStandard(size, conventions) * per,
    });
    // Each look at a clock has its own error.
    if (column.kind === 'clock')
      return { parts: [bound(reading, 'reading', clockHalfWidth(lastPlace))], scale: null };
    if (column.kind !== 'measured') return { parts: [], scale: null };
    const { item, make } = readOn(column, investigation);
    const { tag, offset, scalePercent, correction } = item;
    return {
      parts: [
        bound(reading, 'reading', halfWidthOf(column, investigation, conventions)),
        ...(offset
          ? [
              bound(
                `${correction ? 'correction' : 'zero'} of ${tag}`,
                'offset',
                decimalOf(offset).toNumber(),
                perUnit(make.unit),
              ),
            ]
          : []),
      ],
      scale: scalePercent
        ? {
            source: `scale of ${tag}`,
            share: asStandard(decimalOf(scalePercent).toNumber() / 100, conventions),
          }
        : null,
    };
  }
}

const lower = (heading: string): string => heading.charAt(0).toLowerCase() + heading.slice(1);
