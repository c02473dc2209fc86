import type { Conventions } from '../conventions';
import { Decimal } from '../decimal/decimal';
import { percentWords } from '../density/percentError';
import type { Compared, ClaimVerdict, ComparisonClaim } from './judged';
import type { Shown } from './shown';
import type { ClaimKind, Settles, ComparisonVerdict } from './verdict';

/** A size with two figures, in plain decimals. */
export const sizeText = (size: number): string => Math.abs(size).toFixed(decimalsOf(size));

/** How many decimals its second figure takes. */
const decimalsOf = (size: number): number =>
  size === 0 ? 0 : Math.min(12, Math.max(0, 1 - Math.floor(Math.log10(Math.abs(size)))));

/** A mean to the second figure of its spread, or of its interval; where it has neither as it was read, to thousandths at most. */
export function meanText({ mean, sd, interval, step }: Shown): string {
  const by = sd && sd > 0 ? sd : interval;
  const places =
    by && by > 0
      ? Math.max(0, 1 - Math.floor(Math.log10(by)))
      : step > 0
        ? Math.max(0, -Math.floor(Math.log10(step) + 1e-9))
        : 3;
  const text = mean.toFixed(Math.min(places, 9));
  // What rounds to nothing has no sign.
  return Number(text) === 0 ? text.replace('-', '') : text.replace('-', '−');
}

/** A percent error as the class writes it, with two figures of the error itself. */
export const percentErrorText = (percent: number, conventions: Conventions): string =>
  percentWords(new Decimal(percent), decimalsOf(percent), conventions);

/** `0.31 mL less than it should be`. */
export const errorWords = (error: number, unit: string): string =>
  error === 0
    ? 'just what it should be'
    : `${sizeText(error)} ${unit} ${error < 0 ? 'less' : 'more'} than it should be`;

/** What these trials show, in one sentence each, as they stand. */
export function shownWords({ shown, nearest, closest }: Compared, unit: string): string[] {
  const sentences: string[] = [];
  if (nearest)
    sentences.push(
      `As they stand, ${nearest.name} comes nearest to what it should be: ${offWords(nearest, unit)}.`,
    );
  else if (shown.filter(({ error }) => error !== null).length > 1)
    sentences.push('As they stand, none comes nearest to what it should be alone.');
  if (closest)
    sentences.push(
      `The trials of ${closest.name} lie closest together: ${closest.sd === 0 ? 'they do not differ' : `s = ${sizeText(closest.sd ?? 0)} ${unit}`}.`,
    );
  else if (shown.filter(({ sd }) => sd !== null).length > 1)
    sentences.push('No group’s trials alone lie closest together.');
  else if (shown.some(({ sd }) => sd !== null) && shown.length === 1)
    sentences.push('There is one group: nothing to hold it against yet.');
  else sentences.push('One trial has no spread: from two on there is something to say of it.');
  return sentences;
}

const offWords = ({ error, percentError }: Shown, unit: string): string =>
  percentError === null ? errorWords(error ?? 0, unit) : `${sizeText(percentError)} % off`;

/** What these trials can carry, a sentence for each verdict. @param nameOf a group by its key. */
export function verdictWords(
  verdict: ComparisonVerdict,
  nameOf: (key: string) => string,
  unit: string,
): string {
  const { claim, of, carried } = verdict;
  const [a = '', b = ''] = of.map(nameOf);
  return carried
    ? carriedWords[claim](verdict, a, b, unit)
    : `${openWords[claim](a, b, of.length)}: ${settlesWords(verdict.settles)}.`;
}

const carriedWords: Readonly<
  Record<ClaimKind, (verdict: ComparisonVerdict, a: string, b: string, unit: string) => string>
> = {
  biased: ({ size }, a, _, unit) => `${a} leans one way: it is ${errorWords(size, unit)}.`,
  'more accurate': ({ size }, a, b, unit) =>
    `${a} is more accurate than ${b}: nearer to what it should be by ${sizeText(size)} ${unit}.`,
  'more precise': ({ size }, a, b) =>
    `${a} is more precise than ${b}: its trials scatter ${sizeText(size)} times less.`,
  differ: ({ size, of }, a, b, unit) =>
    of.length > 2
      ? `These ${of.length} groups do not all give the same: they lie up to ${sizeText(size)} ${unit} apart.`
      : `${a} gives ${sizeText(size)} ${unit} ${size < 0 ? 'less' : 'more'} than ${b}.`,
};

const openWords: Readonly<Record<ClaimKind, (a: string, b: string, count: number) => string>> = {
  biased: (a) => `Whether ${a} leans one way`,
  'more accurate': (a, b) => `${a} more accurate than ${b}`,
  'more precise': (a, b) => `${a} more precise than ${b}`,
  differ: (a, b, count) => (count > 2 ? `That these ${count} groups differ` : `That ${a} and ${b} differ`),
};

/** So many open claims of one group are told one by one. */
const toldApart = 3;

/** What is told at once, in words: open claims of one group over many others, for one reason, are one sentence. */
export function toldWords(
  told: readonly ComparisonVerdict[],
  nameOf: (key: string) => string,
  unit: string,
): { readonly carried: boolean; readonly words: string }[] {
  const alike = new Map<string, ComparisonVerdict[]>();
  for (const verdict of told) {
    const { claim, of, carried, settles } = verdict;
    const key = carried ? `${claim} ${of.join()}` : `${claim} ${of[0] ?? ''} ${of.length} ${settles.by}`;
    alike.set(key, [...(alike.get(key) ?? []), verdict]);
  }
  return [...alike.values()].flatMap((own) => {
    const [first] = own;
    if (!first || own.length <= toldApart)
      return own.map((one) => ({ carried: one.carried, words: verdictWords(one, nameOf, unit) }));
    // So many trials settle all of them.
    const most = own.reduce((a, b) => (moreOf(b) > moreOf(a) ? b : a));
    const others = `${own.length} others`;
    const open = openWords[first.claim](nameOf(first.of[0] ?? ''), others, first.of.length);
    return [{ carried: false, words: `${open}: ${settlesWords(most.settles)}.` }];
  });
}

const moreOf = ({ settles }: ComparisonVerdict): number => (settles.by === 'trials' ? settles.more : 0);

/** Two figures: more of them nobody could promise. */
const roughly = (count: number): number => Number(count.toPrecision(2));

function settlesWords(settles: Settles): string {
  switch (settles.by) {
    case 'these':
      return 'these trials say so';
    case 'trials':
      return `cannot tell yet; about ${roughly(settles.more)} more ${settles.more === 1 ? 'trial' : 'trials'} of each would`;
    case 'five':
      return 'cannot tell yet; a spread needs five trials of each';
    case 'resolution':
      return 'limited by resolution; a finer scale would tell';
    case 'never':
      return 'cannot tell, and more trials with this kit would not';
  }
}

/** What is said of a student’s claim. @param name of the group that it is of. */
export function claimWords(verdict: ClaimVerdict, { question }: ComparisonClaim, name: string): string {
  const better = question === 'more accurate' ? 'nearest to what it should be' : 'closest together';
  switch (verdict) {
    case 'right':
      return 'That is what these trials say.';
    case 'other group':
      return `${name} does not lie ${better} here: look at the ${question === 'more accurate' ? 'errors' : 'spreads'} once more.`;
    case 'beyond the data':
      return `A claim beyond what the data carry: ${name} lies ${better} as they stand, and chance alone could well have brought that about.`;
    case 'too careful':
      return 'It can be told: these trials carry more than you claim.';
  }
}
