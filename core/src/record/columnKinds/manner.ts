import { Decimal } from '../../figures';
import type { ColumnRule } from '../columnRule';
import type { Manner, MeasuredColumn } from '../investigation';

const decimal = /^[+\-−]?\d+(?:[.,]\d+)?$/;
const mainAndLine = /^\s*([+\-−]?\d+(?:[.,]\d+)?)\s*\+\s*(\d+(?:[.,]\d+)?)\s*$/;

/**
 * The readings that a cell holds, each as one number in writing: several where the thing is turned, the sum of its parts where these are written.
 * What is written in another way stands as it is.
 */
export function readingsIn(
  text: string,
  { manner }: Pick<MeasuredColumn, 'manner'>,
  rule: ColumnRule | undefined,
): readonly string[] {
  return manner === undefined ? [text] : splits[manner](text, rule);
}

const splits: Readonly<Record<Manner, (text: string, rule: ColumnRule | undefined) => readonly string[]>> = {
  zero: (text) => [text],
  turned: (text) => {
    const bySemicolon = text
      .split(';')
      .map((part) => part.trim())
      .filter(Boolean);
    const byBlank = text.trim().split(/\s+/);
    return bySemicolon.length < 2 && byBlank.length > 1 && byBlank.every((part) => decimal.test(part))
      ? byBlank
      : bySemicolon;
  },
  parts: (text, rule) => {
    const [, main, line] = mainAndLine.exec(text) ?? [];
    return main === undefined || line === undefined || !rule || isBeyond(line, rule)
      ? [text]
      : [sumOf(main, line, rule)];
  },
};

const highestOf = ({ instrument, make }: ColumnRule): number => instrument.highestLine?.(make) ?? Infinity;

/** True for a line that is not there. Between the last one and the first of the next turn there is still something to estimate. */
const isBeyond = (line: string, rule: ColumnRule): boolean =>
  Math.floor(Number(line.replace(',', '.'))) > highestOf(rule);

/** The main scale and so many lines of the least count, to as many decimals as the line was read to. */
function sumOf(main: string, line: string, { make }: ColumnRule): string {
  const [scale, read] = [main, line].map((part) => new Decimal(part.replace(',', '.').replace('−', '-')));
  const least = new Decimal(make.division);
  const beyond = read?.times(least) ?? new Decimal(0);
  const places = least.decimalPlaces() + (read?.decimalPlaces() ?? 0);
  return (scale?.isNegative() ? scale.minus(beyond) : (scale ?? new Decimal(0)).plus(beyond)).toFixed(places);
}

/** What is asked for where a cell is not written in the manner of its column; null where it is. */
export function mannerAdvice(text: string, { manner }: MeasuredColumn, rule: ColumnRule): string | null {
  if (manner === 'turned' && readingsIn(text, { manner }, rule).length < 2)
    return 'Turn it and read it again, here in the same cell: 14.02; 14.04';
  if (manner === 'parts' && !mainAndLine.test(text))
    return `Write the main scale, + and the line that meets one: 14 + 7 is ${sumOf('14', '7', rule)}.`;
  const [, , line = ''] = mainAndLine.exec(text) ?? [];
  if (manner === 'parts' && isBeyond(line, rule))
    return `Line ${line} does not exist. The lines go from 0 to ${highestOf(rule)}.`;
  return null;
}
