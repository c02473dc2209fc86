import { type Mistake } from '../answer';
import type { Random } from '../chance/random';
import type { Conventions } from '../conventions';
import { convert, Decimal, figuresOf, leadingPlace, type Quantity } from '../figures';
import { parseProduct } from '../units';
import { ask, draw, writtenAt, type Drill, type DrillItem } from './drill';
import { tracked } from './sums';

interface Case {
  readonly from: string;
  readonly to: string;
  readonly factor: string;
  /** 2 for an area, 3 for a volume. */
  readonly power: number;
  readonly low: number;
  readonly high: number;
}

const cases: readonly Case[] = [
  { from: 'cm', to: 'in', factor: '2.54', power: 1, low: 11, high: 95 },
  { from: 'in', to: 'cm', factor: '0.3937007874', power: 1, low: 2, high: 12 },
  { from: 'cm²', to: 'in²', factor: '2.54', power: 2, low: 20, high: 90 },
  { from: 'cm³', to: 'in³', factor: '2.54', power: 3, low: 30, high: 120 },
  { from: 'mm³', to: 'cm³', factor: '10', power: 3, low: 210, high: 980 },
  { from: 'cm²', to: 'mm²', factor: '0.1', power: 2, low: 2, high: 9 },
];

/** Between units: to inches, kelvin, squared and cubed. */
export const conversions: Drill = {
  kind: 'conversions',
  name: 'Convert',
  about: 'to inches and kelvin, squared and cubed',
  make: (random, conventions, level) =>
    random.chance(0.3) ? temperature(random, conventions) : length(random, conventions, level),
};

function length(random: Random, conventions: Conventions, level: number): DrillItem {
  const { from, to, factor, power, low, high } = random.pick(level === 0 ? cases.slice(0, 3) : cases);
  const text = draw(random, low, high, 1);
  const quantity: Quantity = { ...tracked(text), unit: parseProduct(from), point: false };
  const result = convert(quantity, to);
  const figures = figuresOf(quantity);
  const one = new Decimal(factor);
  const wrong = (code: string, title: string, hint: string, value: Decimal): Mistake => ({
    code,
    skill: 'unit' as const,
    title,
    hint,
    text: writtenAt(value, leadingPlace(value) - figures + 1, conventions),
  });
  return ask(
    {
      prompt: `Write this in ${to}.`,
      given: [
        `${text} ${from}`,
        ...(factor === '10' || factor === '0.1' ? [] : ['1 in is exactly 2.54 cm.']),
      ],
      result,
      mistakes: [
        wrong(
          'conversion-upside-down',
          'The factor was used upside down.',
          `Which is larger, one ${to} or one ${from}? So do you need more of them or fewer?`,
          quantity.value.times(one.pow(power)),
        ),
        ...(power > 1
          ? [
              wrong(
                'factor-not-raised',
                power === 2 ? 'The factor was not squared.' : 'The factor was not cubed.',
                `Write the factor once for each ${power === 2 ? 'side' : 'edge'}: ${power} times.`,
                quantity.value.div(one),
              ),
            ]
          : []),
      ],
      working: [
        `Divide by ${Number(factor) < 1 ? `1/${new Decimal(1).div(factor).toSignificantDigits(3).toString()}` : factor}${power > 1 ? `, ${power} times` : ''}: ${result.value.toSignificantDigits(7).toString()}…`,
        `The factor is exact: the figures of ${text} govern.`,
      ],
    },
    conventions,
  );
}

function temperature(random: Random, conventions: Conventions): DrillItem {
  const difference = random.chance(0.4);
  const text = draw(random, 12, 88, random.pick([1, 2]));
  const quantity: Quantity = { ...tracked(text), unit: parseProduct('°C'), point: !difference };
  const result = convert(quantity, 'K');
  const place = quantity.lastPlace ?? 0;
  const row = (code: string, title: string, hint: string, value: Decimal, lastPlace = place): Mistake => ({
    code,
    skill: 'unit' as const,
    title,
    hint,
    text: writtenAt(value, lastPlace, conventions),
  });
  const kelvin = quantity.value.plus('273.15');
  return ask(
    {
      prompt: difference
        ? 'The water has warmed by this much. How much is that in kelvin?'
        : 'What is this temperature in kelvin?',
      given: [`${text} °C`],
      unit: 'K',
      unitChoices: ['°C', 'K', '°F'],
      result,
      mistakes: difference
        ? [
            row(
              'offset-on-difference',
              'The offset was applied to a difference.',
              'Both ends of a difference move by the same 273.15: it stays as it is.',
              kelvin,
            ),
          ]
        : [
            row(
              '273-for-273.15',
              '273 was taken for 273.15.',
              'The offset is exactly 273.15.',
              quantity.value.plus(273),
            ),
            row(
              'product-rule-on-kelvin',
              'The rule for products was used on a sum.',
              'Adding the offset keeps the decimals.',
              kelvin,
              leadingPlace(kelvin) - figuresOf(quantity) + 1,
            ),
            row(
              'offset-subtracted',
              'The offset was taken off.',
              'Zero on the kelvin scale lies far below 0 °C: the number has to grow.',
              quantity.value.minus('273.15'),
            ),
          ],
      working: difference
        ? ['A difference has no offset.']
        : [`${text} + 273.15 = ${kelvin.toString()}; the decimals of ${text} stay.`],
    },
    conventions,
  );
}
