import { raised, type UnitProduct } from '../units/product';
import { writeTracked } from './arithmetic';
import { Decimal } from '../decimal/decimal';
import { type Quantity, type ReckoningStep } from './quantity';
import type { Expression } from './expressionTree';
import type { Rounding } from './rounding';

/** A number with its doubtful digit underlined. */
export function numberTex(text: string, doubtfulAt: number): string {
  const plain = (part: string) =>
    part
      .replace(
        /[×x*]\s*10\s*\^\s*([+\-−]?\d+)/i,
        (_, power: string) => `\\times 10^{${power.replace('−', '-')}}`,
      )
      .replace(/[eE]([+\-−]?\d+)/, (_, power: string) => `\\times 10^{${power.replace('−', '-')}}`)
      .replaceAll('−', '-')
      .replaceAll(',', '{,}')
      .replace(/[\s\u2009\u202f]+/g, '\\,');
  if (doubtfulAt < 0) return plain(text);
  return `${plain(text.slice(0, doubtfulAt))}\\underline{${text.charAt(doubtfulAt)}}${plain(text.slice(doubtfulAt + 1))}`;
}

/** A unit, each part cancelled of which `cancelled` says so. */
export function unitTex(product: UnitProduct, cancelled: ReadonlySet<string> = new Set()): string {
  const above = product.filter(({ power }) => power > 0);
  const below = raised(
    product.filter(({ power }) => power < 0),
    -1,
  );
  const join = (powers: UnitProduct) =>
    powers
      .map(({ unit, power }) => {
        const symbol = `\\mathrm{${unit.symbol.replace('°', '{^\\circ}').replace('µ', '\\text{µ}')}}${power === 1 ? '' : `^{${power}}`}`;
        return cancelled.has(unit.symbol) ? `\\cancel{${symbol}}` : symbol;
      })
      .join('\\,');
  if (product.length === 0) return '';
  if (below.length === 0) return `\\,${join(above)}`;
  return `\\,${above.length === 0 ? '1' : join(above)}/${join(below)}`;
}

/** The whole expression as stacked fractions; units that cancel in a fraction are struck. */
export function expressionTex(node: Expression): string {
  switch (node.kind) {
    case 'number':
      return literalTex(node, new Set());
    case 'name':
      return node.name === 'pi' || node.name === 'π'
        ? '\\pi'
        : node.name.length === 1
          ? node.name
          : `\\mathit{${node.name.replaceAll('_', '\\_')}}`;
    case 'negative':
      return `-${expressionTex(node.of)}`;
    case 'group':
      return `\\left(${expressionTex(node.of)}\\right)`;
    case 'call':
      return callTex(node);
    case 'operation':
      return operationTex(node);
  }
}

function operationTex({ operator, left, right }: Extract<Expression, { kind: 'operation' }>): string {
  if (operator === '÷') {
    const cancelled = sharedUnits(left, right);
    const side = (of: Expression) => {
      const bare = of.kind === 'group' ? of.of : of;
      return bare.kind === 'number' ? literalTex(bare, cancelled) : expressionTex(bare);
    };
    return `\\frac{${side(left)}}{${side(right)}}`;
  }
  if (operator === '^') return `{${expressionTex(left)}}^{${expressionTex(right)}}`;
  return `${expressionTex(left)} ${operator === '×' ? '\\times' : operator === '−' ? '-' : '+'} ${expressionTex(right)}`;
}

function callTex({ name, arguments: given }: Extract<Expression, { kind: 'call' }>): string {
  const inside = given.map(expressionTex);
  if (name === 'sqrt') return `\\sqrt{${inside[0] ?? ''}}`;
  if (name === 'abs') return `\\left|${inside[0] ?? ''}\\right|`;
  if (name === 'mean') return `\\frac{${inside.join(' + ')}}{${inside.length}}`;
  return `\\${name}\\left(${inside[0] ?? ''}\\right)`;
}

function literalTex(node: Extract<Expression, { kind: 'number' }>, cancelled: ReadonlySet<string>): string {
  const { number, unit, exact } = node;
  return `${numberTex(number.text.trim(), exact ? -1 : number.doubtfulAt)}${unitTex(unit, cancelled)}`;
}

/** Units that stand alike above and below a fraction bar. */
function sharedUnits(left: Expression, right: Expression): ReadonlySet<string> {
  const of = (node: Expression): UnitProduct => (node.kind === 'number' ? node.unit : []);
  const below = new Set(of(right).map(({ unit }) => unit.symbol));
  return new Set(of(left).flatMap(({ unit }) => (below.has(unit.symbol) ? [unit.symbol] : [])));
}

/** One step: numbers with units, unrounded, and where its figures end. */
export function stepTex({ operation, operands, result }: ReckoningStep, rounding: Rounding): string {
  const given = operands.map((operand) => quantityTex(operand));
  const [first = '', second = ''] = given;
  const written: Record<string, string> = {
    '+': `${first} + ${second}`,
    '−': `${first} - ${second}`,
    '×': `${first} \\times ${second}`,
    '÷': `\\frac{${first}}{${second}}`,
    '^': `{${first}}^{${second}}`,
    sqrt: `\\sqrt{${first}}`,
    abs: `\\left|${first}\\right|`,
    mean: `\\frac{${given.join(' + ')}}{${given.length}}`,
  };
  const formula = written[operation] ?? `\\${operation}\\left(${first}\\right)`;
  return `${formula} \\;=\\; ${quantityTex(result)} \\;\\rightarrow\\; ${roundedTex(result, rounding)}`;
}

/** A quantity with its guard digits, the one that its data justify underlined. */
export function quantityTex({ value, lastPlace, unit }: Quantity): string {
  const cut = value.toSignificantDigits(10, Decimal.ROUND_DOWN);
  const text = lastPlace === null ? cut.toString() : padded(cut, lastPlace);
  const dots = cut.eq(value) ? '' : '\\ldots';
  return `${numberTex(text, lastPlace === null ? -1 : placeIn(text, lastPlace))}${dots}${unitTex(unit)}`;
}

/** At least as many decimals as its last place needs. */
const padded = (value: Decimal, lastPlace: number): string =>
  value.toFixed(Math.max(value.decimalPlaces(), -lastPlace, 0));

/** Where the digit of a place stands in a plain decimal text; −1 where it does not. */
function placeIn(text: string, place: number): number {
  const point = text.includes('.') ? text.indexOf('.') : text.length;
  const at = place >= 0 ? point - 1 - place : point - place;
  return at >= 0 && /\d/.test(text.charAt(at)) ? at : -1;
}

/** A quantity rounded to the place that its data justify. */
export const roundedTex = (quantity: Quantity, rounding: Rounding): string =>
  `${numberTex(writeTracked(quantity, rounding), -1)}${unitTex(quantity.unit)}`;
