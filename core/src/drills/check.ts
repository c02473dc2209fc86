import type { Conventions } from '../conventions';
import { Exact, parseNumber, tenTo, type NumberProblem, type WrittenNumber } from '../figures';
import type { Cause } from '../reading/check';
import { findUnit, sameQuantity, conversionFactor } from '../units';
import type { Mistake, DrillItem } from './drill';
import { commonMistakes } from './mistakes';

/** What is said of an answer to a drill. It never holds the right one. */
export type DrillVerdict =
  | { readonly outcome: 'right'; readonly remarks: readonly string[] }
  | { readonly outcome: 'wrong'; readonly causes: readonly Cause[]; readonly remarks: readonly string[] }
  | { readonly outcome: 'unreadable'; readonly problem: NumberProblem };

/**
 * Checks an answer: the same value to the same place is right, in any accepted writing. A wrong one is named by the mistake
 * that leads to it: one of the item's own, else one that any item can have.
 * @param unitText the unit that was chosen beside it; a unit in the text goes before it.
 */
export function checkDrill(
  question: DrillItem,
  text: string,
  unitText: string,
  conventions: Conventions,
): DrillVerdict {
  const parsed = parseNumber(text, conventions.trailingZeros);
  if (!parsed.ok) return { outcome: 'unreadable', problem: parsed.problem };
  const unit = unitOf(question, parsed.number.unitText || unitText, conventions);
  const written = inUnit(parsed.number, unit.factor);
  const right = matches(question, question.text, written, conventions);
  const form = right ? formFaults(question, text) : [];
  const causes = [...(right ? [] : causesOf(question, written, conventions)), ...form, ...unit.causes];
  if (right && causes.length === 0) return { outcome: 'right', remarks: unit.remarks };
  return { outcome: 'wrong', causes, remarks: unit.remarks };
}

interface Written {
  readonly value: Exact;
  readonly lastPlace: number;
}

const inUnit = ({ value, lastPlace }: WrittenNumber, factor: Exact): Written => ({
  value: value.times(factor),
  lastPlace: lastPlace + factor.e,
});

/** An exact answer, a count say, is right whatever its last place. */
function matches(
  question: DrillItem,
  text: string,
  written: Written,
  { trailingZeros }: Conventions,
): boolean {
  const parsed = parseNumber(text, trailingZeros);
  if (!parsed.ok || !parsed.number.value.eq(written.value)) return false;
  return question.lastPlace === null || parsed.number.lastPlace === written.lastPlace;
}

function causesOf(question: DrillItem, written: Written, conventions: Conventions): Cause[] {
  const leads = ({ text }: Mistake) => matches(question, text, written, conventions);
  const own = question.mistakes.filter(leads);
  const told = own.length > 0 ? own : commonMistakes(question).filter(leads).slice(0, 1);
  const distinct = told.filter(({ code }, at) => told.findIndex((other) => other.code === code) === at);
  return distinct.map(({ code, title, look }) => ({ code, title, look }));
}

function formFaults({ form }: DrillItem, text: string): Cause[] {
  if (form === 'scientific' && !/^\s*[+\-−]?[1-9](?:[.,]\d*)?\s*(?:[eE]|[×xX*·])/.test(text))
    return [
      {
        code: 'not-scientific',
        title: 'That is not scientific notation yet.',
        look: 'One digit that is not 0 before the point, then times a power of ten: 4.20×10^-3.',
      },
    ];
  if (form === 'signed' && !/^\s*[+\-−]/.test(text))
    return [
      {
        code: 'sign-missing',
        title: 'The sign is missing.',
        look: 'Your class writes this error with its sign, a plus too: it says which way it leans.',
      },
    ];
  return [];
}

function unitOf(question: DrillItem, text: string, { symbolSpelling }: Conventions) {
  const one = new Exact(1);
  const none: readonly string[] = [];
  const fault = (code: string, title: string, look: string) => ({
    factor: one,
    causes: [{ code, title, look }],
    remarks: none,
  });
  if (question.unit === '') {
    if (text === '') return { factor: one, causes: [], remarks: none };
    return fault('unit-wrong', 'A unit stands where none belongs.', 'This is a pure number.');
  }
  if (text === '')
    return fault('unit-missing', 'The unit is missing.', 'A number without its unit says nothing.');
  const [found, own] = [findUnit(text), findUnit(question.unit)?.unit];
  if (!own) return { factor: one, causes: [], remarks: none };
  if (!found)
    return fault('unit-wrong', `“${text}” is not a unit that is known here.`, 'Look how the units work out.');
  if (!sameQuantity(found.unit, own))
    return fault(
      'unit-wrong',
      'The unit is another one.',
      'Write the units into the calculation and let them cancel.',
    );
  const factor = conversionFactor(found.unit, own);
  if (!factor.eq(tenTo(factor.e)))
    return fault('unit-wrong', 'Another unit was asked for.', `Write it in ${own.symbol}.`);
  if (found.standardSpelling || symbolSpelling === 'accept') return { factor, causes: [], remarks: none };
  const sentence = `“${text}” is understood; its symbol is ${found.unit.symbol}.`;
  if (symbolSpelling === 'remark') return { factor, causes: [], remarks: [sentence] };
  return {
    factor,
    causes: [{ code: 'unit-misspelt', title: 'The unit is misspelt.', look: sentence }],
    remarks: none,
  };
}
