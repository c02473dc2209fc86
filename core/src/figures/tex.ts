import { raised, type UnitProduct } from '../units/product';
import { writeTracked } from './arithmetic';
import { Decimal } from '../decimal/decimal';
import { type Quantity, type EvaluationStep } from './quantity';
import { parseExpression } from './expression';
import { foldExpression, isFunction, type Expression, type Operator } from './expressionTree';
import { functions } from './functions';
import { noFigure, type Rounding } from './rounding';
import { plainDigits } from './writtenNumber';

/** A number with its doubtful digit underlined. */
export function numberTex(text: string, doubtfulAt: number): string {
  if (text === noFigure) return `\\text{${text}}`;
  const plain = (part: string) =>
    part
      .replace(
        /[×x*]\s*10\s*(?:\^\s*([+\-−]?\d+)|([⁺⁻]?[⁰¹²³⁴-⁹]+))/i,
        (_, power: string | undefined, raisedPower: string = '') =>
          `\\times 10^{${(power ?? plainDigits(raisedPower)).replace('−', '-')}}`,
      )
      .replaceAll('…', '\\ldots ')
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

/** A part of an expression as TeX, and as it stands in a fraction: without its parentheses. */
interface SetPart {
  readonly tex: string;
  readonly bare: string;
  readonly node: Expression;
}

/** The whole expression as stacked fractions; units that cancel in a fraction are struck. */
export const expressionTex = (root: Expression): string => foldExpression<SetPart>(root, setNode).tex;

function setNode(node: Expression, parts: readonly SetPart[]): SetPart {
  const [first = '', second = ''] = parts.map(({ tex }) => tex);
  const made = (tex: string, bare = tex): SetPart => ({ tex, bare, node });
  switch (node.kind) {
    case 'number':
      return made(literalTex(node, new Set()));
    case 'name':
      return made(
        node.name === 'pi' || node.name === 'π'
          ? '\\pi'
          : node.name.length === 1
            ? node.name
            : `\\mathit{${node.name.replaceAll('_', '\\_')}}`,
      );
    case 'negative':
      return made(`-${first}`);
    case 'group':
      return { ...made(`\\left(${first}\\right)`, parts[0]?.bare ?? first), node: parts[0]?.node ?? node };
    case 'call':
      return made(functions[node.name].tex(parts.map(({ tex }) => tex)));
    case 'operation':
      if (node.operator === '÷') return made(fractionTex(parts));
      if (node.operator === '^') return made(`{${first}}^{${second}}`);
      return made(
        `${first} ${node.operator === '×' ? '\\times' : node.operator === '−' ? '-' : '+'} ${second}`,
      );
  }
}

function fractionTex([above, below]: readonly SetPart[]): string {
  if (!above || !below) return '';
  const cancelled = sharedUnits(above.node, below.node);
  const side = ({ node, bare }: SetPart) => (node.kind === 'number' ? literalTex(node, cancelled) : bare);
  return `\\frac{${side(above)}}{${side(below)}}`;
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
export function stepTex({ operation, operands, result }: EvaluationStep, rounding: Rounding): string {
  const given = operands.map((operand) => quantityTex(operand));
  const [first = '', second = ''] = given;
  const written: Record<Operator, string> = {
    '+': `${first} + ${second}`,
    '−': `${first} - ${second}`,
    '×': `${first} \\times ${second}`,
    '÷': `\\frac{${first}}{${second}}`,
    '^': `{${first}}^{${second}}`,
  };
  const formula = isFunction(operation) ? functions[operation].tex(given) : written[operation];
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

/** A line with an equals sign as TeX: V = L × W × h. @throws ExpressionProblem */
export const lineTex = (line: string): string =>
  line
    .split('=')
    .map((side) => expressionTex(parseExpression(side)))
    .join(' = ');
