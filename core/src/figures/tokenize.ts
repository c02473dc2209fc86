import { parseProduct, pure, type UnitProduct } from '../units/product';
import {
  ExpressionProblem,
  isFunction,
  notUnderstood,
  type FunctionName,
  type Leaf,
  type Operator,
} from './expressionTree';
import { parseNumber, type TrailingZeros } from './writtenNumber';

const deepest = 60;
const mostLeaves = 3_000;

/** One piece of an expression; `at` is where it begins in the text. */
export type Token =
  | { readonly kind: 'leaf'; readonly at: number; readonly leaf: Leaf }
  | { readonly kind: 'operator'; readonly at: number; readonly operator: Operator }
  | { readonly kind: 'open'; readonly at: number; readonly name: FunctionName | null }
  | { readonly kind: 'close' | 'separator' | 'end'; readonly at: number };

const pieces = {
  space: /\s+/y,
  number:
    /(?:[1-9]\d{0,2}(?:[ \u00a0\u2009\u202f]\d{3})+(?!\d)|\d+)?(?:\.\d*|,\d+)?(?:[eE][+\-−]?\d{1,4}(?![\d.])|\s*[×xX*·]\s*10\s*(?:\^\s*[+\-−]?\d{1,4}|[⁺⁻]?[⁰¹²³⁴-⁹]{1,4}))?/y,
  unit: /[ \u00a0\u2009\u202f]*((?:[a-zA-ZµμΩ°%]+(?:\^?-?\d(?![.,\d])|[⁻]?[¹²³⁴-⁹])?)(?:[/·*](?:[a-zA-Zµμ°]+(?:\^?-?\d(?![.,\d])|[⁻]?[¹²³⁴-⁹])?))*)/y,
  // The mark of an earlier version is still understood.
  exact: /\s*(?:!|exact(?![A-Za-z0-9_]))/y,
  name: /[A-Za-z_α-ωΑ-Ωρ][A-Za-z0-9_α-ωΑ-Ω₀-₉′']*/y,
};

const operators: Readonly<Record<string, Operator>> = {
  '+': '+',
  '-': '−',
  '−': '−',
  '–': '−',
  '*': '×',
  '×': '×',
  '·': '×',
  '⋅': '×',
  '/': '÷',
  '÷': '÷',
  ':': '÷',
  '^': '^',
};

/** A parenthesis that is open: of a function or of a group, and how its values are parted so far. */
interface Open {
  readonly name: FunctionName | null;
  semicolon: boolean;
  /** Where a number with a comma stands in it. */
  comma: { readonly at: number; readonly text: string } | null;
}

/** Cuts an expression into its pieces: numbers as they are written, each with its unit. @throws ExpressionProblem */
export function tokenize(text: string, trailingZeros: TrailingZeros): Token[] {
  const tokens: Token[] = [];
  const open: Open[] = [];
  let at = 0;
  let leaves = 0;
  const take = (piece: RegExp): string | null => {
    piece.lastIndex = at;
    const match = piece.exec(text);
    if (!match || match[0] === '') return null;
    at = piece.lastIndex;
    return match[0];
  };
  const leaf = (made: Leaf) => {
    leaves += 1;
    if (leaves > mostLeaves)
      throw new ExpressionProblem(
        'too-long',
        made.at,
        `An expression holds at most ${mostLeaves} numbers and names.`,
      );
    tokens.push({ kind: 'leaf', at: made.at, leaf: made });
  };
  const begin = (from: number, name: FunctionName | null) => {
    open.push({ name, semicolon: false, comma: null });
    if (open.length > deepest)
      throw new ExpressionProblem('too-deep', from, `Parentheses nest at most ${deepest} deep.`);
    tokens.push({ kind: 'open', at: from, name });
  };
  while (at < text.length) {
    if (take(pieces.space)) continue;
    const from = at;
    const character = text.charAt(at);
    if (/[\d.]/.test(character)) {
      const written = take(pieces.number);
      if (!written || !/\d/.test(written))
        throw new ExpressionProblem('number', from, notUnderstood(text, from));
      const inside = open.at(-1);
      if (written.includes(',') && inside?.name) inside.comma ??= { at: from, text: written };
      const marked = take(pieces.exact) !== null;
      const unit = marked
        ? pure
        : takeUnit(
            take,
            () => at,
            (back) => (at = back),
          );
      const exact = marked || take(pieces.exact) !== null;
      leaf(literal(written, from, at, unit, exact, trailingZeros));
      continue;
    }
    const name = take(pieces.name);
    if (name) {
      const calls = /^\s*\(/.exec(text.slice(at, at + 40));
      if (!calls) leaf({ kind: 'name', at: from, name });
      else if (isFunction(name)) {
        at += calls[0].length;
        begin(from, name);
      } else
        throw new ExpressionProblem('unknown-name', from, `“${name}” is not a function that is known here.`);
      continue;
    }
    at += 1;
    const operator = operators[character];
    if (operator) tokens.push({ kind: 'operator', at: from, operator });
    else if (character === '(') begin(from, null);
    else if (character === ')') {
      const closed = open.pop();
      if (!closed)
        throw new ExpressionProblem(
          'not-understood',
          from,
          `The parenthesis at place ${from + 1} was never opened.`,
        );
      askAboutComma(closed);
      tokens.push({ kind: 'close', at: from });
    } else if (character === ',' || character === ';') {
      const inside = open.at(-1);
      if (inside && character === ';') inside.semicolon = true;
      tokens.push({ kind: 'separator', at: from });
    } else throw new ExpressionProblem('not-understood', from, notUnderstood(text, from));
  }
  if (open.length > 0)
    throw new ExpressionProblem('not-understood', text.length, 'A parenthesis is not closed.');
  tokens.push({ kind: 'end', at: text.length });
  return tokens;
}

/** In `mean(11,52,18)` nobody can tell a decimal comma from one that parts two values. */
function askAboutComma({ name, semicolon, comma }: Open): void {
  if (name !== 'mean' || semicolon || !comma) return;
  throw new ExpressionProblem(
    'number',
    comma.at,
    `Is the comma in “${comma.text}” a decimal comma, or does it part two values? Write ${comma.text.replace(',', '.')}, or part the values by “;”.`,
  );
}

/** A unit right after a number; a name that is no unit is left for the parser. */
function takeUnit(
  take: (piece: RegExp) => string | null,
  place: () => number,
  back: (at: number) => void,
): UnitProduct {
  const from = place();
  const written = take(pieces.unit);
  if (!written) return pure;
  // `g/x` is g divided by x: what is not a unit is given back, piece by piece.
  const parts = written.split(/(?=[/·*])/);
  for (let kept = parts.length; kept > 0; kept -= 1) {
    const text = parts.slice(0, kept).join('');
    try {
      const unit = parseProduct(text);
      back(from + text.length);
      return unit;
    } catch {
      continue;
    }
  }
  throw new ExpressionProblem(
    'unit',
    from + (written.length - written.trimStart().length),
    `“${written.trim()}” is not a unit that is known here.`,
  );
}

function literal(
  written: string,
  at: number,
  end: number,
  unit: UnitProduct,
  exact: boolean,
  trailingZeros: TrailingZeros,
): Leaf {
  const parsed = parseNumber(written, trailingZeros);
  if (!parsed.ok)
    throw new ExpressionProblem('number', at + Math.max(0, parsed.problem.at), parsed.problem.message);
  return { kind: 'number', at, end, number: parsed.number, unit, exact };
}
