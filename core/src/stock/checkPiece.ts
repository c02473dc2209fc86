import { Decimal } from '../decimal/decimal';
import { instrumentKinds } from '../conventions/kinds';
import { instrumentOf } from '../instruments';
import type { Correction } from './correction';
import type { Piece } from './piece';

/** What is amiss with a piece: where, and one sentence. */
export interface PieceProblem {
  readonly field: 'tag' | 'kind' | 'model' | 'count' | 'certified' | 'correction' | 'checks';
  readonly sentence: string;
}

/** A plain decimal number, with a sign or without. */
export const isDecimal = (text: string): boolean => /^[+-]?\d+(\.\d+)?$/.test(text) && text.length <= 20;

const isDay = (text: string): boolean => {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return false;
  const day = new Date(`${text}T00:00:00Z`);
  return !Number.isNaN(day.getTime()) && day.toISOString().startsWith(text);
};

/** Everything that is amiss with a piece, in the order of its fields; nothing where it can be used. */
export function checkPiece({
  tag,
  kind,
  model,
  count,
  certified,
  correction,
  checks,
}: Piece): PieceProblem[] {
  const problems: PieceProblem[] = [];
  const say = (field: PieceProblem['field'], sentence: string) => problems.push({ field, sentence });
  if (!/^\S(.*\S)?$/.test(tag) || tag.length > 40)
    say('tag', 'The tag is what is written on it: 1 to 40 characters.');
  if (!instrumentKinds.includes(kind)) say('kind', `There is no kind of instrument “${String(kind)}”.`);
  else if (!instrumentOf(kind).models.some(({ id }) => id === model))
    say('model', `There is no make “${model}” of ${instrumentOf(kind).name.toLowerCase()}.`);
  if (!Number.isInteger(count) || count < 1 || count > 999) say('count', 'How many: a whole number from 1.');
  if (certified && !isPlusMinus(certified.plusMinus))
    say('certified', `The certificate’s ± is a number more than nothing, not “${certified.plusMinus}”.`);
  const wrong = correction && wrongIn(correction);
  if (wrong) say('correction', wrong);
  for (const { on, known, shown } of checks) {
    if (!isDay(on)) say('checks', `“${on}” is no day: write it as 2026-11-03.`);
    for (const text of [known, shown])
      if (!isDecimal(text)) say('checks', `In a check, “${text}” is no number.`);
  }
  return problems;
}

const isPlusMinus = (text: string): boolean => isDecimal(text) && new Decimal(text).gt(0);

function wrongIn(correction: Correction): string | null {
  const { plusMinus, on } = correction;
  const numbers =
    correction.kind === 'zero' ? [correction.error] : correction.points.flatMap(({ at, add }) => [at, add]);
  const bad = numbers.find((text) => !isDecimal(text));
  if (bad === '') return 'A number of the correction is missing.';
  if (bad !== undefined) return `In the correction, “${bad}” is no number.`;
  if (correction.kind === 'points') {
    const places = correction.points.map(({ at }) => new Decimal(at).toString());
    if (places.length === 0) return 'A correction says what is added at one reading at least.';
    const twice = places.find((at, nth) => places.indexOf(at) !== nth);
    if (twice !== undefined) return `The correction says twice what is added at ${twice}.`;
  }
  if (!isPlusMinus(plusMinus)) return 'Say how far the correction may be off: a ± more than nothing.';
  return isDay(on) ? null : `The day on which the correction was found, as 2026-11-03, not “${on}”.`;
}
