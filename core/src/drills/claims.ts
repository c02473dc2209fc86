import { stepFor } from '../conventions';
import { Decimal, claimOf } from '../figures';
import { instrumentOf, modelOf } from '../instruments';
import { ask, type Drill } from './drill';

/** Instruments whose step differs from class to class, and what lies under them. */
const readings = [
  {
    kind: 'ruler',
    model: 'ruler-mm',
    unit: 'cm',
    thing: 'A slate token is measured with a ruler in millimetres',
  },
  {
    kind: 'graduated-cylinder',
    model: 'cylinder-100-1',
    unit: 'mL',
    thing: 'Lamp oil stands in a cylinder divided in 1 mL',
  },
  {
    kind: 'burette',
    model: 'burette-50-0_1',
    unit: 'mL',
    thing: 'Brine stands in a burette divided in 0.1 mL',
  },
  {
    kind: 'electronic-balance',
    model: 'electronic-0_01',
    unit: 'g',
    thing: 'A bolt pin stands on a balance that shows 0.01 g',
  },
  {
    kind: 'thermometer',
    model: 'thermometer-1',
    unit: '°C',
    thing: 'Rinsing water is measured with a thermometer divided in 1 °C',
  },
] as const;

/** Several writings of one reading, each with the interval that it claims: which may be written? */
export const claims: Drill = {
  kind: 'claims',
  name: 'What does it claim?',
  about: 'every digit claims an interval: which may be written',
  unmarked: true,
  make: (random, conventions, level) => {
    const { kind, model, unit, thing } = random.pick(readings);
    const make = modelOf(instrumentOf(kind), model);
    const { size } = stepFor(conventions, { kind, model, division: make.division, reads: make.reads });
    // A ruler in millimetres is written in centimetres here: its step goes with it.
    const step = size.times(unit === 'cm' ? '0.1' : '1');
    const whole = random.whole(kind === 'thermometer' ? 12 : 8, kind === 'thermometer' ? 60 : 44);
    // A zero at the end claims as much as any other digit, so it is met often.
    const steps = random.chance(0.5) ? 10 * random.whole(1, 8) : random.whole(11, 98);
    const decimals = step.decimalPlaces();
    const value = new Decimal(whole).plus(new Decimal(steps).times(step).mod(1));
    const right = value.toFixed(decimals);
    const finer = [1, ...(level > 0 ? [2] : [])].map((more) => value.toFixed(decimals + more));
    const coarser = decimals > 0 ? [value.toFixed(decimals - 1)] : [];
    const goes = `It is read to ${step.toString()} ${unit}`;
    const row = (text: string, coarse: boolean) => ({
      code: coarse ? 'claims-too-little' : 'claims-too-much',
      skill: 'digits' as const,
      title: coarse ? 'It claims less than was seen.' : 'It claims more than anybody saw.',
      hint: coarse
        ? `${goes}: a shorter number gives away a digit that was read.`
        : `${goes}: a longer number says that the next digit was seen to be 0.`,
      text,
    });
    const texts = [...coarser, right, ...finer]
      .map((text) => ({ text, at: random.next() }))
      .sort((a, b) => a.at - b.at)
      .map(({ text }) => text);
    return ask(
      {
        prompt: 'Which of these may be written?',
        given: [`${thing}, between ${whole} and ${whole + 1} ${unit}.`],
        choices: texts.map((text) => ({ text, ...claimOf(text) })),
        unit,
        unitChoices: [],
        headed: true,
        text: right,
        result: { value, lastPlace: decimals === 0 ? 0 : -decimals },
        mistakes: [...coarser.map((text) => row(text, true)), ...finer.map((text) => row(text, false))],
        working: [
          `${goes}, so its last digit is the ${decimals === 0 ? 'ones' : `${decimals}${decimals === 1 ? 'st' : decimals === 2 ? 'nd' : 'rd'} decimal`}.`,
          `${right} ${unit} claims from ${claimOf(right).low} to ${claimOf(right).high} ${unit}.`,
        ],
      },
      conventions,
    );
  },
};
