import type { Conventions } from '../conventions';
import { Decimal, expressionTex, numberTex, quantityTex, stepTex, unitTex } from '../figures';
import { parseProduct } from '../units';
import { parsedFormula } from './formula';
import type { DerivedColumn, Investigation } from './investigation';
import type { Trial } from './trials';

/** One step of a working: formulas as TeX lines, and in words why it comes out as it does. */
export interface WorkingStep {
  readonly title: string;
  readonly tex: readonly string[];
  readonly why: string;
}

export const gap = '\\;=\\;';
export const unit = (symbol: string): string => (symbol === '' ? '' : unitTex(parseProduct(symbol)));

/** A number with its guard digits, cut so that a page can hold it. */
export const unrounded = (value: Decimal): string => {
  const cut = value.toSignificantDigits(7, Decimal.ROUND_DOWN);
  return cut.eq(value) ? value.toString() : `${cut.toString()}\\ldots`;
};

const ruleWords: Readonly<Record<string, string>> = {
  'coarsest last place': 'A sum or a difference keeps the coarsest last place of its numbers.',
  'fewest figures': 'A product or a quotient keeps the fewest figures of its factors.',
  'figures of the base': 'A power or a root keeps the figures of its base.',
  'decimals from figures': 'A logarithm has as many decimals as its number has figures.',
  'figures from decimals': 'A power of a measured exponent has as many figures as that has decimals.',
  'slope times the last place': 'The last place moves as steeply as the curve does there.',
  'last place of the readings': 'A mean keeps the last place of its readings.',
  'all exact': 'All of it is exact.',
};

/** The working of one trial: each derived column, formula first, then step by step. */
export function trialWorking(
  { tables }: Investigation,
  trial: Trial,
  { rounding }: Conventions,
): WorkingStep[] {
  const columns = (tables.find(({ key }) => key === trial.table)?.columns ?? []).filter(
    (column): column is DerivedColumn => column.kind === 'derived',
  );
  return columns.flatMap((column): WorkingStep[] => {
    const cell = trial.derived[column.key];
    if (cell?.state !== 'reckoned') return [];
    const rules = [...new Set(cell.steps.map(({ rule }) => rule))];
    const lost = cell.steps.reduce((most, { figuresLost }) => Math.max(most, figuresLost), 0);
    return [
      {
        title: `Trial ${trial.trial}: ${column.heading.charAt(0).toLowerCase()}${column.heading.slice(1)}`,
        tex: [
          `${symbolTex(column.symbol)}${gap}${expressionTex(parsedFormula(column.formula))}`,
          ...cell.steps.map((step) => stepTex(step, rounding)),
          `${symbolTex(column.symbol)}${gap}${quantityTex(cell.value)} \\;\\rightarrow\\; ${numberTex(cell.text, -1)}${unit(column.unit)}`,
        ],
        why:
          rules.map((rule) => ruleWords[rule] ?? rule).join(' ') +
          (lost > 0
            ? ` Subtracting nearly equal numbers lost ${lost} ${lost === 1 ? 'figure' : 'figures'}.`
            : ''),
      },
    ];
  });
}

/** `V_1`, `ρ`, `ρ_w` as TeX. @param index a further index, after its own. */
export function symbolTex(symbol: string, index = ''): string {
  const [letter = '', ...below] = symbol.split('_');
  const under = [...below, ...(index ? [index] : [])].map((part) =>
    part.length > 1 ? `\\mathrm{${escaped(part)}}` : part,
  );
  const main = letter.replaceAll('ρ', '\\rho ').replaceAll('π', '\\pi ');
  return under.length === 0 ? main : `{${main}}_{${under.join(',')}}`;
}

/** Text as TeX sets it: what has a meaning of its own there is written out. */
export const escaped = (text: string): string =>
  text.replace(/[\\{}$&#^_%~]/g, (sign) =>
    sign === '\\' ? '\\backslash ' : sign === '^' || sign === '~' ? `\\${sign}{}` : `\\${sign}`,
  );
