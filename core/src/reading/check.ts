import { stepFor, type Conventions, type Step } from '../conventions';
import { parseNumber, tenTo, type Exact, type NumberProblem } from '../figures';
import { modelOf, type Instrument, type Point, type Setting } from '../instruments/instrument';
import { conversionFactor, findUnit, sameQuantity } from '../units/units';
import { acceptsSome, type Acceptance } from './acceptance';
import { checkForm, type Form, type WrittenValue } from './form';
import { leanOf, type Lean } from './lean';
import { Foreseen, trulyAccepted, written, type Prediction, type Reading } from './predictions';

/** A fault as it is told to the reader. */
export interface Cause {
  readonly code: string;
  readonly title: string;
  readonly look: string;
  /** Which part of the drawing to look at; absent where no part shows it. */
  readonly point?: Point;
}

/** One way in which the number may have come about: one fault, or two at once. */
export type Explanation = readonly Cause[];

/** What there is to say about a written reading. It never holds the answer. */
export type Verdict =
  | { readonly outcome: 'right'; readonly lean: Lean; readonly remarks: readonly string[] }
  | {
      readonly outcome: 'wrong';
      readonly lean: Lean;
      /** Every explanation that fits; none when the number fits no known fault. */
      readonly explanations: readonly Explanation[];
      readonly lookFirst: string;
      readonly remarks: readonly string[];
    }
  | { readonly outcome: 'unreadable'; readonly problem: NumberProblem }
  /** The apparatus has to be handled further first. */
  | { readonly outcome: 'not ready'; readonly message: string };

/** A verdict on a reading that was taken: it counts as a try. */
export type Judgement = Extract<Verdict, { outcome: 'right' | 'wrong' }>;

/** What a reading of this setting has to look like: the engine's own answer. */
export interface Expected {
  readonly indication: number;
  readonly step: Step;
  /** The right reading as this class writes it, without unit. */
  readonly text: string;
  readonly unit: string;
  readonly accepted: Acceptance;
}

/** @throws RangeError for a setting of a model that the instrument does not have. */
export function expectReading(
  instrument: Instrument,
  setting: Setting,
  conventions: Conventions,
  tag?: string,
): Expected {
  const reading = readingOf(instrument, setting, conventions, tag);
  const indication = instrument.indication(reading.setting);
  return {
    indication,
    step: reading.step,
    text: written(reading, indication),
    unit: reading.unit,
    accepted: trulyAccepted(reading),
  };
}

/** A setting as a class takes it, with the scale, step and strictness that govern it. */
export function readingOf(
  instrument: Instrument,
  found: Setting,
  conventions: Conventions,
  tag?: string,
): Reading {
  const setting = instrument.under?.(found, conventions) ?? found;
  const { division, reads, unit } = { ...modelOf(instrument, setting.model), ...instrument.scale?.(setting) };
  const step = stepFor(conventions, { kind: instrument.kind, model: setting.model, division, reads, tag });
  const judging = {
    d: Number(division),
    step: step.size.toNumber(),
    judged: step.judged,
    strictness: conventions.strictness,
    estimates: instrument.estimates?.(setting) ?? 1,
  };
  return { instrument, setting, conventions, unit, step, judging };
}

/**
 * Checks a reading: text in, verdict out. A correct reading is never called wrong.
 * @param unitText the unit that was chosen beside the number; '' when none was. A unit in the text goes before it.
 */
export const checkReading = (
  instrument: Instrument,
  setting: Setting,
  conventions: Conventions,
  text: string,
  unitText: string,
  tag?: string,
): Verdict => checkAgainst(new Foreseen(readingOf(instrument, setting, conventions, tag)), text, unitText);

/** The same, for a setting of which several answers are checked. */
export function checkAgainst(foreseen: Foreseen, text: string, unitText: string): Verdict {
  const { reading, truly } = foreseen;
  const { instrument, setting, conventions, judging } = reading;
  const parsed = parseNumber(text, conventions.trailingZeros);
  if (!parsed.ok) return { outcome: 'unreadable', problem: parsed.problem };
  const { number } = parsed;
  const unit = inInstrumentUnit(reading, number, number.unitText || unitText);

  const form = checkForm(
    unit.written,
    reading.step,
    (meant) => acceptsSome(truly, meant.low, meant.high),
    reading.unit,
  );
  const valueIsRight = acceptsSome(truly, form.meant.low, form.meant.high);
  const lean = leanOf(unit.written.value.toNumber(), instrument.indication(setting), truly, judging.d);

  if (valueIsRight && form.faults.length === 0 && unit.faults.length === 0)
    return { outcome: 'right', lean, remarks: unit.remarks };
  return {
    outcome: 'wrong',
    lean: valueIsRight ? { direction: 'level', distance: 'level' } : lean,
    explanations: explain(
      foreseen,
      !valueIsRight && wellWritten(unit, reading) ? { ...form, faults: [] } : form,
      valueIsRight,
      unit.faults,
    ),
    lookFirst: instrument.lookFirst(setting),
    remarks: unit.remarks,
  };
}

/** True when another unit was chosen, and the number would have every digit that it should in the scale's own. */
function wellWritten({ asWritten, written }: InUnit, { step }: Reading): boolean {
  return !asWritten.value.eq(written.value) && asWritten.decimals === step.decimals;
}

/** Every way in which the written number can have come about, simplest first. */
function explain(
  foreseen: Foreseen,
  form: Form,
  valueIsRight: boolean,
  unitFaults: readonly Cause[],
): Explanation[] {
  if (valueIsRight) {
    if (form.faults.length === 0) return [unitFaults];
    return form.faults.map((fault) => [fault, ...unitFaults]);
  }
  const fits = ({ acceptance }: Prediction) => acceptsSome(acceptance, form.meant.low, form.meant.high);
  const alone = foreseen.alone.filter(fits);
  const matching = alone.length > 0 ? alone : foreseen.pairs.filter(fits);
  // With the value at fault too, one sentence on its digits is enough.
  const inTheWriting = [...form.faults.slice(0, 1), ...unitFaults];
  const told = matching.map(({ faults }) => [
    ...faults.map(({ code, title, look, point }) => ({
      code,
      title,
      look: look(foreseen.reading.setting),
      ...(point ? { point } : {}),
    })),
    ...(faults.some(({ rescales }) => rescales) ? unitFaults : inTheWriting),
  ]);
  if (told.length === 0 && inTheWriting.length > 0) return [inTheWriting];
  return distinct(told);
}

function distinct(explanations: readonly Explanation[]): Explanation[] {
  const key = (explanation: Explanation) => explanation.map(({ code }) => code).join('+');
  return explanations.filter((one, at) => explanations.findIndex((other) => key(other) === key(one)) === at);
}

interface InUnit {
  /** In the instrument's own unit. */
  readonly written: WrittenValue;
  readonly asWritten: WrittenValue;
  readonly faults: readonly Cause[];
  readonly remarks: readonly string[];
}

/** The number in the instrument's own unit, with what there is to say about the unit that was written. */
function inInstrumentUnit(
  { instrument, unit: ownUnit, conventions }: Reading,
  number: { readonly value: Exact; readonly decimals: number },
  unitText: string,
): InUnit {
  const own = findUnit(ownUnit)?.unit;
  const found = findUnit(unitText);
  const asWritten = { value: number.value, decimals: number.decimals };
  const fault = (code: string, title: string, look: string): InUnit => ({
    written: asWritten,
    asWritten,
    faults: [{ code, title, look }],
    remarks: [],
  });
  if (unitText === '') {
    return fault(
      'unit-missing',
      'The unit is missing.',
      'A number without its unit says nothing. What does this scale measure in?',
    );
  }
  if (!found || !own) {
    return fault(
      'unit-wrong',
      `“${unitText}” is not a unit that is known here.`,
      'Look for the symbol printed on the scale.',
    );
  }
  if (!sameQuantity(found.unit, own)) {
    return fault(
      'unit-wrong',
      `The unit measures something else.`,
      `${found.unit.symbol} is a unit of ${found.unit.quantity}; this ${instrument.name} measures ${instrument.quantity}.`,
    );
  }
  if (found.unit === own && found.standardSpelling)
    return { written: asWritten, asWritten, faults: [], remarks: [] };
  const factor = conversionFactor(found.unit, own);
  if (!factor.eq(tenTo(factor.e))) {
    return fault(
      'unit-wrong',
      'The scale is in another unit.',
      `This ${instrument.name} is divided in ${own.symbol}. Write what it shows.`,
    );
  }
  const written = { value: number.value.times(factor), decimals: number.decimals - factor.e };
  if (found.standardSpelling || conventions.symbolSpelling === 'accept')
    return { written, asWritten, faults: [], remarks: [] };
  const sentence = `“${unitText}” is understood; its symbol is ${found.unit.symbol}.`;
  if (conventions.symbolSpelling === 'remark') return { written, asWritten, faults: [], remarks: [sentence] };
  return {
    written,
    asWritten,
    faults: [{ code: 'unit-misspelt', title: 'The unit is misspelt.', look: sentence }],
    remarks: [],
  };
}
