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
import { slips, undo, type Undoing } from './undo';

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

interface Solution {
  /** The operations around the letter, undone from the outside in, each with what then still stands around it. */
  readonly turns: readonly { readonly undone: Undoing; readonly rest: Expression }[];
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
    const undone = undo(rest, inLeft, side);
    rest = bare(inLeft ? rest.left : rest.right);
    side = undone.side;
    turns.push({ undone, rest });
  }
  return { turns, side };
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
    const solution = solved(wanted, tree, { kind: 'name', at: 0, name: left });
    if (!solution || solution.turns.length === 0) return [];
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
            const [title, hint] = slips[code];
            return { code, skill: 'working', title, hint, expression };
          }),
      },
    ];
  });
}
