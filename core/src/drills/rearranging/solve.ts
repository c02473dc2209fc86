import type { Cause } from '../../answer';
import {
  ExpressionProblem,
  foldExpression,
  namesIn,
  parseExpression,
  writeExpression,
  type Expression,
} from '../../figures';
import { sameAlgebra, type Solved } from './sameAlgebra';
import { slips, undo, whyOf, type Undoing } from './undo';

/** A formula to be solved for one of its letters. */
export interface Rearranging extends Solved {
  readonly answer: string;
  /** Step by step, each with why. */
  readonly steps: readonly { readonly line: string; readonly why: string }[];
  readonly mistakes: readonly (Cause & { readonly expression: string })[];
}

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
function differs(item: Solved & Pick<Rearranging, 'answer'>, expression: string): boolean {
  try {
    return !sameAlgebra(item, expression, item.answer);
  } catch (error) {
    if (error instanceof ExpressionProblem) return false;
    throw error;
  }
}

type Operation = Extract<Expression, { kind: 'operation' }>;

interface Solution {
  /** The operations around the letter, undone from the outside in, each with what then still stands around it. */
  readonly turns: readonly {
    readonly from: Operation;
    readonly inLeft: boolean;
    readonly undone: Undoing;
    readonly rest: Expression;
  }[];
  /** The other side in the end. */
  readonly side: Expression;
}

/** Takes away what stands around a letter; null where it cannot be got at. */
function solved(wanted: string, from: Expression, start: Expression): Solution | null {
  const turns: Solution['turns'][number][] = [];
  let [rest, side] = [bare(from), start];
  while (!(rest.kind === 'name' && rest.name === wanted)) {
    if (rest.kind !== 'operation') return null;
    const inLeft = holds(rest.left, wanted);
    if (rest.operator === '^' && !inLeft) return null;
    const from = rest;
    const undone = undo(from, inLeft, side);
    rest = bare(inLeft ? from.left : from.right);
    side = undone.side;
    turns.push({ from, inLeft, undone, rest });
  }
  return { turns, side };
}

/** So many numbers and letters stand in a formula that is rearranged at most: the work grows with the square of them. */
export const mostRearranged = 24;

const leaves = (tree: Expression): number =>
  foldExpression<number>(tree, (_, parts) =>
    parts.length === 0 ? 1 : parts.reduce((sum, part) => sum + part, 0),
  );

/**
 * A formula solved for every letter that stands in it once; none for those that no algebra of ours gets at, and none at all where
 * it is longer than `mostRearranged`.
 * @throws ExpressionProblem for what is no formula
 */
export function rearrangingsOf(left: string, formula: string): Rearranging[] {
  const tree = parseExpression(formula);
  return leaves(tree) > mostRearranged
    ? []
    : namesIn(tree).flatMap((wanted) => solvedFor(left, formula, tree, wanted) ?? []);
}

/**
 * A formula solved for one letter; null where it stands there not once, or cannot be got at.
 * @throws ExpressionProblem for what is no formula, or is longer than `mostRearranged`
 */
export function rearrangingFor(left: string, formula: string, wanted: string): Rearranging | null {
  const tree = parseExpression(formula);
  if (leaves(tree) > mostRearranged)
    throw new ExpressionProblem(
      'too-long',
      0,
      `A formula to rearrange holds at most ${mostRearranged} numbers and letters.`,
    );
  return solvedFor(left, formula, tree, wanted);
}

function solvedFor(left: string, formula: string, tree: Expression, wanted: string): Rearranging | null {
  const names = namesIn(tree);
  if (countOf(tree, wanted) !== 1 || names.length < 2) return null;
  const solution = solved(wanted, tree, { kind: 'name', at: 0, name: left });
  if (!solution || solution.turns.length === 0) return null;
  const { turns, side: answer } = solution;
  const item = {
    id: `${left} = ${formula}, ${wanted}`,
    formula: `${left} = ${formula}`,
    wanted,
    names: [left, ...names.filter((name) => name !== wanted)],
    answer: writeExpression(answer),
  };
  // One step goes wrong, those after it do not.
  const wrong = turns.flatMap(({ undone, rest }) =>
    undone.wrong.map(({ code, side }) => ({
      code,
      expression: writeExpression(solved(wanted, rest, side)?.side ?? side),
    })),
  );
  return {
    ...item,
    steps: turns.map(({ from, inLeft, undone, rest }) => ({
      line: `${writeExpression(undone.side)} = ${writeExpression(rest)}`,
      why: whyOf(from, inLeft),
    })),
    mistakes: wrong
      .filter(({ expression }) => differs(item, expression))
      .map(({ code, expression }) => {
        const [title, hint] = slips[code];
        return { code, skill: 'working', title, hint, expression };
      }),
  };
}
