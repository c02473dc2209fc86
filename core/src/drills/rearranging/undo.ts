import { parseExpression, writeExpression, type Expression, type Operator } from '../../figures';

type Operation = Extract<Expression, { kind: 'operation' }>;

/** One operation that is undone: what that makes of the other side, and how it goes wrong. */
export interface Undoing {
  readonly side: Expression;
  readonly wrong: readonly { readonly code: Slip; readonly side: Expression }[];
}

const operation = (operator: Operator, left: Expression, right: Expression): Expression => ({
  kind: 'operation',
  at: 0,
  operator,
  left,
  right,
});

const undoing = (side: Expression, ...wrong: readonly (readonly [Slip, Expression])[]): Undoing => ({
  side,
  wrong: wrong.map(([code, side]) => ({ code, side })),
});

const one = parseExpression('1 exact');

/** Undoes the outermost operation around the side that holds what is wanted. */
export function undo({ operator, left, right }: Operation, inLeft: boolean, side: Expression): Undoing {
  const other = inLeft ? right : left;
  const by = (operator: Operator) => operation(operator, side, other);
  const turned = (operator: Operator) => operation(operator, other, side);
  const leave = ['part-left-behind', side] as const;
  switch (operator) {
    case '+':
      return undoing(by('−'), ['sign-not-turned', by('+')], leave);
    case '−':
      return inLeft
        ? undoing(by('+'), ['sign-not-turned', by('−')], leave)
        : undoing(turned('−'), ['difference-reversed', by('−')], leave);
    case '×':
      return undoing(by('÷'), ['multiplied-for-divided', by('×')], ['upside-down', turned('÷')], leave);
    case '÷':
      return inLeft
        ? undoing(by('×'), ['divided-for-multiplied', by('÷')], ['upside-down', turned('÷')], leave)
        : undoing(turned('÷'), ['upside-down', by('÷')], ['multiplied-for-divided', turned('×')]);
    case '^':
      return undoing(
        operation('^', side, operation('÷', one, other)),
        ['square-lost', side],
        ['root-for-half', by('÷')],
      );
  }
}

/** What is done to both sides for it, in words. */
export function whyOf({ operator, left, right }: Operation, inLeft: boolean): string {
  const [thing, text] = (inLeft ? [left, right] : [right, left]).map(writeExpression);
  switch (operator) {
    case '+':
      return `Both sides less ${text}.`;
    case '−':
      return inLeft ? `Both sides plus ${text}.` : `Both sides plus ${thing}, then less the other side.`;
    case '×':
      return `Both sides over ${text}.`;
    case '÷':
      return inLeft ? `Both sides times ${text}.` : `Both sides times ${thing}, then over the other side.`;
    case '^':
      return `The ${text === '2 exact' ? 'square root' : `root to the power ${(text ?? '').replace(' exact', '')}`} of both sides.`;
  }
}

export type Slip = keyof typeof slips;

/** What goes wrong in solving a formula, and a look that leads on. */
export const slips = {
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
} as const satisfies Readonly<Record<string, readonly [title: string, hint: string]>>;
