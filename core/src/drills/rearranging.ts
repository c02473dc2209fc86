import { seeded, seedFrom } from '../chance/random';
import { evaluate, exactly, ExpressionProblem, expressionTex, parseExpression, type Names } from '../figures';
import { pure } from '../units';
import type { Cause } from '../answer';

/** A formula to be solved for one of its letters. */
export interface Rearranging {
  readonly id: string;
  readonly formula: string;
  readonly wanted: string;
  readonly names: readonly string[];
  readonly answer: string;
  /** Step by step, each with why. */
  readonly steps: readonly { readonly line: string; readonly why: string }[];
  readonly mistakes: readonly (Cause & { readonly expression: string })[];
}

const upsideDown = (expression: string) => ({
  code: 'density-upside-down',
  skill: 'working' as const,
  title: 'It is upside down.',
  look: 'Put the units in: do they work out to those of what you want?',
  expression,
});
const multiplied = (expression: string) => ({
  code: 'multiplied-for-divided',
  skill: 'working' as const,
  title: 'It was multiplied where it has to be divided.',
  look: 'What stands below a fraction bar comes up on the other side, and what stands above goes down.',
  expression,
});
const partLeft = (expression: string) => ({
  code: 'part-left-behind',
  skill: 'working' as const,
  title: 'One letter was not taken to the other side.',
  look: 'Everything that stands beside what you want has to go: do the same on both sides for each.',
  expression,
});

/** Formulas of the investigations, solved for what is not on the left. */
export const rearrangings: readonly Rearranging[] = [
  {
    id: 'mass',
    formula: 'ρ = m / V',
    wanted: 'm',
    names: ['ρ', 'V'],
    answer: 'ρ × V',
    steps: [{ line: 'ρ × V = m', why: 'Both sides times V.' }],
    mistakes: [
      upsideDown('V / ρ'),
      {
        ...multiplied('ρ / V'),
        code: 'divided-for-multiplied',
        skill: 'working' as const,
        title: 'It was divided where it has to be multiplied.',
      },
    ],
  },
  {
    id: 'volume',
    formula: 'ρ = m / V',
    wanted: 'V',
    names: ['ρ', 'm'],
    answer: 'm / ρ',
    steps: [
      { line: 'ρ × V = m', why: 'Both sides times V.' },
      { line: 'V = m / ρ', why: 'Both sides over ρ.' },
    ],
    mistakes: [upsideDown('ρ / m'), multiplied('m × ρ')],
  },
  {
    id: 'box-height',
    formula: 'V = L × W × h',
    wanted: 'h',
    names: ['V', 'L', 'W'],
    answer: 'V / (L × W)',
    steps: [{ line: 'V / (L × W) = h', why: 'Both sides over L and over W.' }],
    mistakes: [
      upsideDown('(L × W) / V'),
      multiplied('V × L × W'),
      partLeft('V / L × W'),
      partLeft('V / L'),
      partLeft('V / W'),
    ],
  },
  {
    id: 'cylinder-height',
    formula: 'V = π × d^2 × h / 4',
    wanted: 'h',
    names: ['V', 'd'],
    answer: '4 × V / (π × d^2)',
    steps: [
      { line: '4 × V = π × d^2 × h', why: 'Both sides times 4.' },
      { line: '4 × V / (π × d^2) = h', why: 'Both sides over π and d².' },
    ],
    mistakes: [
      upsideDown('π × d^2 / (4 × V)'),
      partLeft('V / (π × d^2)'),
      {
        code: 'diameter-for-radius',
        skill: 'working' as const,
        title: 'The diameter was taken for the radius.',
        look: 'The 4 belongs to the diameter: d²/4 is r².',
        expression: 'V / (π × d^2)',
      },
      {
        code: 'square-lost',
        skill: 'working' as const,
        title: 'The square was lost.',
        look: 'd stands there twice.',
        expression: '4 × V / (π × d)',
      },
    ],
  },
  {
    id: 'sheet-thickness',
    formula: 'ρ = m / (L × W × h)',
    wanted: 'h',
    names: ['ρ', 'm', 'L', 'W'],
    answer: 'm / (ρ × L × W)',
    steps: [
      { line: 'ρ × L × W × h = m', why: 'Both sides times L, W and h.' },
      { line: 'h = m / (ρ × L × W)', why: 'Both sides over ρ, L and W.' },
    ],
    mistakes: [
      upsideDown('(ρ × L × W) / m'),
      multiplied('m × L × W / ρ'),
      partLeft('m / ρ'),
      partLeft('m / (L × W)'),
    ],
  },
];

export type RearrangingVerdict =
  | { readonly outcome: 'right' }
  | { readonly outcome: 'wrong'; readonly causes: readonly Cause[] }
  | { readonly outcome: 'unreadable'; readonly at: number; readonly message: string };

/** Checks what somebody wrote for the wanted letter: right where it gives the same number, whatever its letters stand for. */
export function checkRearranged(item: Rearranging, text: string): RearrangingVerdict {
  const written = text.replace(new RegExp(`^\\s*${item.wanted}\\s*=`), (head) => ' '.repeat(head.length));
  try {
    parseExpression(written);
    if (alike(item, written, item.answer)) return { outcome: 'right' };
    const causes = item.mistakes
      .filter(({ expression }) => alike(item, written, expression))
      .map(({ code, title, look }): Cause => ({ code, title, look, skill: 'working' }));
    return { outcome: 'wrong', causes };
  } catch (error) {
    if (error instanceof ExpressionProblem)
      return { outcome: 'unreadable', at: error.at, message: error.message };
    throw error;
  }
}

/** True when two expressions agree for several sets of values. @throws ExpressionProblem */
function alike({ id, names }: Rearranging, a: string, b: string): boolean {
  const random = seeded(seedFrom(id));
  return [1, 2, 3].every(() => {
    const values: Names = Object.fromEntries(
      names.map((name) => [name, { ...exactly(random.whole(11, 97)), unit: pure, point: false }]),
    );
    const [left, right] = [a, b].map(
      (text) => evaluate(text, { rounding: 'half-away', roundWhen: 'end' }, values).result.value,
    );
    return left !== undefined && right !== undefined && left.minus(right).abs().lte(right.abs().times(1e-20));
  });
}

/** A formula line as TeX. */
export const lineTex = (line: string): string =>
  line
    .split('=')
    .map((side) => expressionTex(parseExpression(side)))
    .join(' = ');
