import type { Conventions, StepOverride } from './conventions';
import { questions, type QuestionKey } from './questions';

/** One thing in which two sets of house rules differ, in words. */
export interface RuleChange {
  readonly asks: string;
  readonly from: string;
  readonly to: string;
}

/** An answer of a class, in the words of its question. */
export const answerWords = (conventions: Conventions, key: QuestionKey): string =>
  (questions[key].answers as Readonly<Record<string, string>>)[conventions[key]] ?? conventions[key];

/** A rule of its own for some instruments, in words. */
export const overrideWords = ({ kind, division, model, tag, step }: StepOverride): string =>
  [
    tag ? `${tag} (${kind.replaceAll('-', ' ')})` : kind.replaceAll('-', ' '),
    ...(model ? [model] : []),
    ...(division ? [`divided in ${division}`] : []),
    `to ${step}`,
  ].join(', ');

/** Where one set of house rules differs from another, question by question; empty where nothing does. */
export function changesBetween(from: Conventions, to: Conventions): RuleChange[] {
  const lines: RuleChange[] = (Object.keys(questions) as QuestionKey[]).map((key) => ({
    asks: questions[key].asks,
    from: answerWords(from, key),
    to: answerWords(to, key),
  }));
  const listed = ({ overrides }: Conventions) =>
    overrides.length === 0 ? 'none' : overrides.map(overrideWords).join('; ');
  const bands = ({ bands: own }: Conventions) =>
    own.map(({ upToPercent, word }) => `up to ${upToPercent} % ${word}`).join(', ') || 'none';
  return [
    ...lines,
    { asks: 'Which instruments are read by a rule of their own?', from: listed(from), to: listed(to) },
    {
      asks: 'How far may an estimate be off?',
      from: `${from.strictness} of a division`,
      to: `${to.strictness} of a division`,
    },
    {
      asks: 'How often is a caliper’s zero checked?',
      from: String(from.zeroClosings),
      to: String(to.zeroClosings),
    },
    {
      asks: 'How many figures has a result, where that is fixed?',
      from: String(from.fixedFigures),
      to: String(to.fixedFigures),
    },
    { asks: 'What is a good percent error?', from: bands(from), to: bands(to) },
  ].filter((line) => line.from !== line.to);
}
