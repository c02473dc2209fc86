import { parseProduct, pure, type UnitProduct } from '../units/product';
import { ExpressionProblem, isFunction, notUnderstood, type Leaf } from './expressionTree';
import { parseNumber } from './writtenNumber';

const deepest = 60;

const mostLeaves = 3_000;

interface Lifted {
  /** The expression with a name in place of each literal and each name. */
  readonly text: string;
  /** For each character of it, where that stood. */
  readonly origin: readonly number[];
  readonly leaves: readonly Leaf[];
}

const pieces = {
  space: /\s+/y,
  number:
    /(?:[1-9]\d{0,2}(?:[ \u00a0\u2009\u202f]\d{3})+(?!\d)|\d+)?(?:[.,]\d*)?(?:[eE][+\-−]?\d{1,4}(?![\d.])|\s*[×xX*·]\s*10\s*(?:\^\s*[+\-−]?\d{1,4}|[⁺⁻]?[⁰¹²³⁴-⁹]{1,4}))?/y,
  unit: /[ \u00a0\u2009\u202f]*((?:[a-zA-ZµμΩ°]+(?:\^?-?\d(?![.,\d])|[⁻]?[¹²³⁴-⁹])?)(?:[/·*](?:[a-zA-Zµμ°]+(?:\^?-?\d(?![.,\d])|[⁻]?[¹²³⁴-⁹])?))*)/y,
  exact: /\s*!/y,
  name: /[A-Za-z_α-ωΑ-Ωρ][A-Za-z0-9_α-ωΑ-Ω₀-₉′']*/y,
};

const operators: Readonly<Record<string, string>> = {
  '+': '+',
  '-': '-',
  '−': '-',
  '–': '-',
  '*': '*',
  '×': '*',
  '·': '*',
  '⋅': '*',
  '/': '/',
  '÷': '/',
  ':': '/',
  '^': '^',
  '(': '(',
  ')': ')',
  ',': ',',
  ';': ',',
};

export function lift(text: string): Lifted {
  const out: string[] = [];
  const origin: number[] = [];
  const leaves: Leaf[] = [];
  let at = 0;
  let depth = 0;
  let afterValue = false;
  let negativePower = false;
  const emit = (written: string, from: number) => {
    for (const character of written) {
      out.push(character);
      origin.push(from);
    }
  };
  const take = (piece: RegExp): string | null => {
    piece.lastIndex = at;
    const match = piece.exec(text);
    if (!match || match[0] === '') return null;
    at = piece.lastIndex;
    return match[0];
  };
  const leaf = (made: Leaf) => {
    if (afterValue)
      throw new ExpressionProblem(
        'not-understood',
        made.at,
        `An operator is missing before place ${made.at + 1}.`,
      );
    leaves.push(made);
    if (leaves.length > mostLeaves)
      throw new ExpressionProblem(
        'too-long',
        made.at,
        `An expression holds at most ${mostLeaves} numbers and names.`,
      );
    emit(`q${leaves.length - 1}`, made.at);
    afterValue = true;
  };
  while (at < text.length) {
    if (take(pieces.space)) {
      emit(' ', at - 1);
      continue;
    }
    const from = at;
    const character = text.charAt(at);
    if (/[\d.]/.test(character)) {
      const written = take(pieces.number);
      if (!written || !/\d/.test(written))
        throw new ExpressionProblem('number', from, notUnderstood(text, from));
      const signedText = `${negativePower ? '-' : ''}${written}`;
      negativePower = false;
      leaf(
        literal(
          signedText,
          from,
          takeUnit(
            take,
            () => at,
            (back) => (at = back),
          ),
          take(pieces.exact) !== null,
        ),
      );
      continue;
    }
    const name = take(pieces.name);
    if (negativePower)
      throw new ExpressionProblem('not-understood', from, 'Put a negative power in parentheses.');
    if (name) {
      const calls = /^\s*\(/.test(text.slice(at));
      if (calls && isFunction(name)) {
        if (afterValue)
          throw new ExpressionProblem('not-understood', from, `An operator is missing before “${name}”.`);
        emit(`f_${name}`, from);
        at += /^\s*/.exec(text.slice(at))?.[0].length ?? 0;
        emit('(', at);
        at += 1;
        depth += 1;
      } else if (calls)
        throw new ExpressionProblem('unknown-name', from, `“${name}” is not a function that is known here.`);
      else leaf({ kind: 'name', at: from, name });
      continue;
    }
    const operator = operators[character];
    if (!operator) throw new ExpressionProblem('not-understood', from, notUnderstood(text, from));
    if (operator === '(') {
      if (afterValue)
        throw new ExpressionProblem(
          'not-understood',
          from,
          `An operator is missing before the parenthesis at place ${from + 1}.`,
        );
      emit('f_group(', from);
      depth += 1;
    } else if (operator === '-' && !afterValue && out.join('').trimEnd().endsWith('^')) {
      negativePower = true;
    } else if (operator === '-' && !afterValue) {
      // A sign binds less tightly than a power: −2^2 is −(2^2). It is written as a product that names it.
      emit('q_minus*', from);
      if (/(?:q_minus\*\s*){20}$/.test(out.slice(-240).join('')))
        throw new ExpressionProblem('too-deep', from, 'There are too many signs in a row.');
    } else if (operator === '+' && !afterValue) emit(' ', from);
    else emit(operator, from);
    if (operator === ')') depth -= 1;
    if (depth > deepest)
      throw new ExpressionProblem('too-deep', from, `Parentheses nest at most ${deepest} deep.`);
    if (depth < 0)
      throw new ExpressionProblem(
        'not-understood',
        from,
        `The parenthesis at place ${from + 1} was never opened.`,
      );
    afterValue = operator === ')';
    at += 1;
  }
  if (depth > 0) throw new ExpressionProblem('not-understood', text.length, 'A parenthesis is not closed.');
  return { text: out.join(''), origin, leaves };
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

function literal(written: string, at: number, unit: UnitProduct, exact: boolean): Leaf {
  const parsed = parseNumber(written);
  if (!parsed.ok)
    throw new ExpressionProblem('number', at + Math.max(0, parsed.problem.at), parsed.problem.message);
  return { kind: 'number', at, number: parsed.number, unit, exact };
}
