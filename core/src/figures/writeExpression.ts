import { foldExpression, type Expression, type Operator } from './expressionTree';

const rank: Readonly<Record<Operator, number>> = { '+': 1, '−': 1, '×': 2, '÷': 2, '^': 4 };
const spaced: Readonly<Record<Operator, string>> = {
  '+': ' + ',
  '−': ' − ',
  '×': ' × ',
  '÷': ' / ',
  '^': '^',
};

interface Written {
  readonly text: string;
  /** How tightly its outermost operator binds; 5 for what stands by itself. */
  readonly binds: number;
}

/** An expression as text that parses to the same again, with no more parentheses than it needs. */
export const writeExpression = (root: Expression): string => foldExpression<Written>(root, written).text;

function written(node: Expression, parts: readonly Written[]): Written {
  const [first = { text: '', binds: 5 }, second = { text: '', binds: 5 }] = parts;
  switch (node.kind) {
    case 'number':
      // A whole number of a formula is exact; elsewhere it keeps its mark.
      return { text: `${node.number.text.trim()}${node.exact ? ' exact' : ''}`, binds: 5 };
    case 'name':
      return { text: node.name, binds: 5 };
    case 'group':
      return first;
    case 'negative':
      return { text: `−${held(first, 3)}`, binds: 3 };
    case 'call':
      return { text: `${node.name}(${parts.map(({ text }) => text).join('; ')})`, binds: 5 };
    case 'operation': {
      const own = rank[node.operator];
      // What is taken off or divided by has to be held together; a power holds its base.
      const right = node.operator === '−' || node.operator === '÷' ? own + 1 : own;
      const left = node.operator === '^' ? own + 1 : own;
      const power = node.operator === '^' ? second.text.replace(/ exact$/, '') : held(second, right);
      return {
        text: `${held(first, left)}${spaced[node.operator]}${node.operator === '^' && second.binds < 5 ? `(${second.text})` : power}`,
        binds: own,
      };
    }
  }
}

const held = ({ text, binds }: Written, least: number): string => (binds < least ? `(${text})` : text);
