import { foldExpression, type Expression } from '@green-beam/core';

type Literal = Extract<Expression, { kind: 'number' }>;

/** The numbers of a calculation, each with a switch that says whether it is exact: a count, a definition, a formula's own. */
export function ExactNumbers({
  text,
  expression,
  onChange,
}: {
  readonly text: string;
  readonly expression: Expression;
  readonly onChange: (text: string) => void;
}) {
  const numbers = literalsOf(expression);
  if (numbers.length === 0 || numbers.length > 12) return null;
  return (
    <fieldset className="mb-3 flex flex-wrap items-center gap-x-4 gap-y-1.5 text-sm">
      <legend className="sr-only">Which numbers are exact</legend>
      <span className="text-soft">Exact:</span>
      {numbers.map((number) => {
        const written = withoutMark(text.slice(number.at, number.end));
        return (
          <label key={number.at} className="flex min-h-6 items-center gap-1.5 font-mono">
            <input
              type="checkbox"
              className="size-4 accent-beam"
              checked={number.exact}
              onChange={({ target }) =>
                onChange(
                  `${text.slice(0, number.at)}${written}${target.checked ? ' exact' : ''}${text.slice(number.end)}`,
                )
              }
            />
            {written}
          </label>
        );
      })}
    </fieldset>
  );
}

/** A whole number as a power counts by itself. */
function literalsOf(expression: Expression): Literal[] {
  const found: Literal[] = [];
  const powers = new Set<Expression>();
  foldExpression<null>(expression, (node) => {
    if (node.kind === 'operation' && node.operator === '^') powers.add(node.right);
    if (node.kind === 'number') found.push(node);
    return null;
  });
  return found.filter((number) => !powers.has(number));
}

const withoutMark = (text: string): string => text.replace(/\s*(?:!|exact)$/, '');
