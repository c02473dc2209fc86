import type { Cause } from '../answer';
import { seeded, seedFrom } from '../chance/random';
import {
  evaluate,
  exactly,
  ExpressionProblem,
  expressionTex,
  foldExpression,
  namesIn,
  parseExpression,
  writeExpression,
  type Expression,
  type Decimal,
  type Names,
  type Operator,
  type Quantity,
} from '../figures';
import { beforeSuffix } from '../record/formula';
import type { Investigation } from '../record/investigation';
import { pure } from '../units';

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

const plainly = { rounding: 'half-away', roundWhen: 'end' } as const;

type Operation = Extract<Expression, { kind: 'operation' }>;

const operation = (operator: Operator, left: Expression, right: Expression): Expression => ({
  kind: 'operation',
  at: 0,
  operator,
  left,
  right,
});
const letter = (name: string): Expression => ({ kind: 'name', at: 0, name });

/** One operation that is undone: what that makes of the other side, why, and how it goes wrong. */
interface Undoing {
  readonly side: Expression;
  readonly why: string;
  readonly wrong: readonly { readonly code: string; readonly side: Expression }[];
}

/** Undoes the outermost operation around the side that holds what is wanted. */
function undo({ operator, left, right }: Operation, inLeft: boolean, side: Expression): Undoing {
  const [inner, other] = inLeft ? [left, right] : [right, left];
  const text = writeExpression(other);
  const leave = { code: 'part-left-behind', side };
  switch (operator) {
    case '+':
      return {
        side: operation('−', side, other),
        why: `Both sides less ${text}.`,
        wrong: [{ code: 'sign-not-turned', side: operation('+', side, other) }, leave],
      };
    case '−':
      return inLeft
        ? {
            side: operation('+', side, other),
            why: `Both sides plus ${text}.`,
            wrong: [{ code: 'sign-not-turned', side: operation('−', side, other) }, leave],
          }
        : {
            side: operation('−', other, side),
            why: `Both sides plus ${writeExpression(inner)}, then less the other side.`,
            wrong: [{ code: 'difference-reversed', side: operation('−', side, other) }, leave],
          };
    case '×':
      return {
        side: operation('÷', side, other),
        why: `Both sides over ${text}.`,
        wrong: [
          { code: 'multiplied-for-divided', side: operation('×', side, other) },
          { code: 'upside-down', side: operation('÷', other, side) },
          leave,
        ],
      };
    case '÷':
      return inLeft
        ? {
            side: operation('×', side, other),
            why: `Both sides times ${text}.`,
            wrong: [
              { code: 'divided-for-multiplied', side: operation('÷', side, other) },
              { code: 'upside-down', side: operation('÷', other, side) },
              leave,
            ],
          }
        : {
            side: operation('÷', other, side),
            why: `Both sides times ${writeExpression(inner)}, then over the other side.`,
            wrong: [
              { code: 'upside-down', side: operation('÷', side, other) },
              { code: 'multiplied-for-divided', side: operation('×', other, side) },
            ],
          };
    case '^':
      return {
        side: operation('^', side, operation('÷', parseExpression('1 exact'), other)),
        why: `The ${text === '2 exact' ? 'square root' : `root to the power ${text.replace(' exact', '')}`} of both sides.`,
        wrong: [
          { code: 'square-lost', side },
          { code: 'root-for-half', side: operation('÷', side, other) },
        ],
      };
  }
}

const words: Readonly<Record<string, readonly [title: string, look: string]>> = {
  'part-left-behind': [
    'One letter was not taken to the other side.',
    'Everything that stands beside what you want has to go: do the same on both sides for each.',
  ],
  'sign-not-turned': [
    'The sign was not turned.',
    'What is added on one side is taken off on the other, and the other way about.',
  ],
  'difference-reversed': [
    'The difference is the other way round.',
    'What is taken off comes back by adding it to both sides: which is then less which?',
  ],
  'multiplied-for-divided': [
    'It was multiplied where it has to be divided.',
    'What stands below a fraction bar comes up on the other side, and what stands above goes down.',
  ],
  'divided-for-multiplied': [
    'It was divided where it has to be multiplied.',
    'What stands below a fraction bar comes up on the other side, and what stands above goes down.',
  ],
  'upside-down': ['It is upside down.', 'Put the units in: do they work out to those of what you want?'],
  'square-lost': [
    'The power was lost.',
    'What you want stands there more than once: its root has to be taken.',
  ],
  'root-for-half': [
    'It was divided where a root has to be taken.',
    'A square is undone by a root, not by a half.',
  ],
};

/** What a side that holds the wanted letter is, with its parentheses taken away. */
const bare = (node: Expression): Expression => (node.kind === 'group' ? bare(node.of) : node);

const holds = (node: Expression, name: string): boolean => namesIn(node).includes(name);

/** How often a letter stands in an expression. */
const countOf = (root: Expression, name: string): number =>
  foldExpression<number>(
    root,
    (node, parts) =>
      Number(node.kind === 'name' && node.name === name) + parts.reduce((sum, part) => sum + part, 0),
  );

/** What cannot be reckoned at all is nothing that somebody would write. */
function differs(
  item: Parameters<typeof alike>[0] & { readonly answer: string },
  expression: string,
): boolean {
  try {
    return !alike(item, expression, item.answer);
  } catch (error) {
    if (error instanceof ExpressionProblem) return false;
    throw error;
  }
}

interface Turn {
  readonly undone: Undoing;
  readonly rest: Expression;
}

/** The operations around a letter, from the outside in; null where it cannot be got at. */
function turnsTo(wanted: string, from: Expression, start: Expression): Turn[] | null {
  const turns: Turn[] = [];
  let [rest, side] = [bare(from), start];
  while (!(rest.kind === 'name' && rest.name === wanted)) {
    if (rest.kind !== 'operation') return null;
    const inLeft = holds(rest.left, wanted);
    if (rest.operator === '^' && !inLeft) return null;
    const undone = undo(rest, inLeft, side);
    rest = bare(inLeft ? rest.left : rest.right);
    side = undone.side;
    turns.push({ undone, rest });
  }
  return turns;
}

/** The other side where one step went wrong and the others did not. */
function after(wanted: string, from: Expression, wrongSide: Expression): Expression {
  const rest = turnsTo(wanted, from, wrongSide);
  return rest?.at(-1)?.undone.side ?? wrongSide;
}

/**
 * A formula solved for every letter that stands in it once; none for those that no algebra of ours gets at.
 * @throws ExpressionProblem for what is no formula
 */
export function rearrangingsOf(left: string, formula: string): Rearranging[] {
  const tree = parseExpression(formula);
  const names = namesIn(tree);
  return names.flatMap((wanted): Rearranging[] => {
    if (countOf(tree, wanted) !== 1 || names.length < 2) return [];
    const turns = turnsTo(wanted, tree, letter(left));
    if (!turns || turns.length === 0) return [];
    const answer = turns.at(-1)?.undone.side ?? letter(left);
    const item = {
      id: `${left} = ${formula}, ${wanted}`,
      formula: `${left} = ${formula}`,
      wanted,
      names: [left, ...names.filter((name) => name !== wanted)],
      answer: writeExpression(answer),
    };
    const wrong = turns.flatMap(({ undone, rest }) =>
      undone.wrong.map(({ code, side }) => ({
        code,
        expression: writeExpression(after(wanted, rest, side)),
      })),
    );
    return [
      {
        ...item,
        steps: turns.map(({ undone, rest }) => ({
          line: `${writeExpression(undone.side)} = ${writeExpression(rest)}`,
          why: undone.why,
        })),
        mistakes: wrong
          .filter(({ expression }) => differs(item, expression))
          .map(({ code, expression }) => {
            const [title = '', look = ''] = words[code] ?? [];
            return { code, skill: 'working', title, look, expression };
          }),
      },
    ];
  });
}

/** A formula with another one put in for one of its letters: ρ = m / V with V = L × W × h. */
export const putIn = (formula: string, name: string, other: string): string =>
  writeExpression(replaced(parseExpression(formula), name, parseExpression(other)));

const replaced = (root: Expression, name: string, by: Expression): Expression =>
  foldExpression<Expression>(root, (node, parts) => {
    const [first = node, second = node] = parts;
    switch (node.kind) {
      case 'number':
        return node;
      case 'name':
        return node.name === name ? { kind: 'group', at: node.at, of: by } : node;
      case 'group':
      case 'negative':
        return { ...node, of: first };
      case 'operation':
        return { ...node, left: first, right: second };
      case 'call':
        return { ...node, arguments: parts };
    }
  });

/** The formulas that come again and again, and one put into another. */
const common: readonly (readonly [left: string, formula: string])[] = [
  ['ρ', 'm / V'],
  ['V', 'L × W × h'],
  ['V', 'π × d^2 × h / 4 exact'],
  ['ρ', putIn('m / V', 'V', 'L × W × h')],
  ['V', 'V₂ − V₁'],
  ['ρ', 'ρ₀ × m / (m − m₀)'],
];

/** Formulas of density, solved for what is not on the left. */
export const rearrangings: readonly Rearranging[] = common.flatMap(([left, formula]) =>
  rearrangingsOf(left, formula),
);

/** Every formula of an investigation, and each with another one of it put in, solved for what is not on the left. */
export function rearrangingsIn({ tables, results }: Investigation): Rearranging[] {
  const formulas = new Map<string, string>([
    ...tables.flatMap(({ columns }) =>
      columns.flatMap((column) =>
        column.kind === 'derived' && !column.formula.includes(beforeSuffix)
          ? [[column.key, column.formula] as const]
          : [],
      ),
    ),
    ...results.flatMap((plan) => (plan.kind === 'value' ? [[plan.key, plan.formula] as const] : [])),
  ]);
  return [...formulas].flatMap(([left, formula]) => [
    ...rearrangingsOf(left, formula),
    ...namesIn(parseExpression(formula)).flatMap((name) => {
      const inner = formulas.get(name);
      return inner === undefined ? [] : rearrangingsOf(left, putIn(formula, name, inner));
    }),
  ]);
}

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
    const distinct = causes.filter(({ code }, at) => causes.findIndex((other) => other.code === code) === at);
    return { outcome: 'wrong', causes: distinct };
  } catch (error) {
    if (error instanceof ExpressionProblem)
      return { outcome: 'unreadable', at: error.at, message: error.message };
    throw error;
  }
}

/**
 * True when two expressions agree for several sets of values for which the formula holds; a set for which one of them cannot be
 * reckoned says nothing.
 * @throws ExpressionProblem where what was written cannot be reckoned for any
 */
function alike(
  { id, formula, wanted, names }: Pick<Rearranging, 'id' | 'formula' | 'wanted' | 'names'>,
  a: string,
  b: string,
): boolean {
  const random = seeded(seedFrom(id));
  const [left = '', right = ''] = formula.split(' = ');
  const agree: boolean[] = [];
  let problem: unknown = null;
  for (let set = 0; set < 6 && agree.length < 3; set += 1) {
    const value = (number: Decimal | number) => ({ ...exactly(number), unit: pure, point: false });
    const given: Record<string, Quantity> = Object.fromEntries(
      [wanted, ...names].map((name) => [name, value(random.whole(11, 97))]),
    );
    try {
      const reckoned = (text: string, of: Names) => evaluate(text, plainly, of).result.value;
      const all: Names = { ...given, [left]: value(reckoned(right, given)) };
      const known = Object.fromEntries(Object.entries(all).filter(([name]) => name !== wanted));
      const [one, other] = [reckoned(a, known), reckoned(b, known)];
      agree.push(one.minus(other).abs().lte(other.abs().times(1e-20)));
    } catch (error) {
      if (!(error instanceof ExpressionProblem) || error.code === 'unknown-name') throw error;
      problem = error;
    }
  }
  if (agree.length === 0 && problem) throw problem;
  return agree.every(Boolean);
}

/** A formula line as TeX. */
export const lineTex = (line: string): string =>
  line
    .split('=')
    .map((side) => expressionTex(parseExpression(side)))
    .join(' = ');
