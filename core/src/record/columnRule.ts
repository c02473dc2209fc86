import { judgeWriting, type AnswerRule, type Fractions, type Writing } from '../answer';
import { stepFor, type Conventions, type ScaleIdentity, type Step } from '../conventions';
import { Decimal } from '../figures';
import { instrumentOf, modelOf, type Instrument, type Make } from '../instruments';
import { correctionAt } from '../stock';
import { unitFactor } from '../units';
import { kitOf, type Investigation, type MeasuredColumn } from './investigation';

/** How a column is read in a class: on what, how far, and from where to where; all in the column's unit. */
export interface ColumnRule {
  readonly instrument: Instrument;
  readonly make: Make;
  readonly step: Step;
  readonly rule: AnswerRule;
  /** From the lowest to the highest that its scale or its display can show. */
  readonly range: { readonly lowest: Decimal; readonly highest: Decimal };
  /** What is done to every reading on this piece; null where nothing is. */
  readonly corrected: ((reading: Decimal) => Decimal) | null;
}

/** What a column is read on. @throws RangeError for a tag that the kit does not hold. */
export const readOn = (column: MeasuredColumn, investigation: Investigation) => {
  const item = kitOf(investigation, column.tag);
  const instrument = instrumentOf(item.kind);
  const make = modelOf(instrument, item.model);
  const scale: ScaleIdentity = {
    kind: item.kind,
    model: make.id,
    division: make.division,
    reads: make.reads,
    tag: item.tag,
  };
  return { item, instrument, make, scale };
};

/** @throws RangeError for a tag that the kit does not hold. */
export function columnRule(
  column: MeasuredColumn,
  investigation: Investigation,
  conventions: Conventions,
): ColumnRule {
  const { item, instrument, make, scale } = readOn(column, investigation);
  const { correction } = item;
  const own = stepFor(conventions, scale);
  // A column may be kept in another unit of its quantity: the step goes with it.
  const factor = unitFactor(make.unit, column.unit) ?? new Decimal(1);
  const size = own.size.times(factor);
  // A zero that is off stands somewhere near the first line that has a number.
  const belowZero = column.manner === 'zero' ? make.labelEvery : (make.belowZero ?? 0);
  return {
    instrument,
    make,
    step: { size, decimals: size.decimalPlaces(), judged: own.judged },
    rule: {
      unit: column.unit,
      headed: true,
      instrument,
      resolution: {
        by: 'step',
        size,
        estimated: own.judged === 'estimate',
        ...(make.fractions && factor.eq(1) ? { fractions: writtenInParts(Number(make.division)) } : {}),
      },
      accepts: null,
      reads: `${column.tag} is read`,
    },
    range: {
      lowest: new Decimal(make.lowest).minus(belowZero).times(factor),
      highest: new Decimal(make.highest).times(factor),
    },
    corrected: correction
      ? (reading) => reading.plus(correctionAt(correction, reading.div(factor)).times(factor))
      : null,
  };
}

/** Where nobody knows what is right, a fraction is only asked whether it is as fine as its scale. */
const writtenInParts = (division: number): Fractions => ({ division, readings: 1, reach: Infinity });

/** What there is to say about the writing of a reading in a column, as everywhere else. */
export const judgeCell = (text: string, { rule }: ColumnRule, conventions: Conventions): Writing =>
  judgeWriting(text, '', rule, conventions);

/** `0 to 150`, with a minus that is one. */
export const rangeWords = ({ lowest, highest }: ColumnRule['range']): string =>
  `${lowest.toString().replace('-', '−')} to ${highest.toString()}`;
