import { claimWords, compared, judgeClaim, questionsOfClaims, type ComparisonClaim } from '../compare';
import type { AskedQuestion } from './asked';
import type { Found, LogbookRule } from './logbookLook';
import { comparable, comparisonOf, groupingsOf } from './pool';
import { subjectKey, type Subject } from './subject';
import type { Cell } from './table';

/** A claim as it was written, with how its writer knows. */
export interface WrittenClaim extends ComparisonClaim {
  readonly reason: string;
}

type Question = ComparisonClaim['question'];

/** Where a claim on a result stands. */
export const claimSubject = (result: string, question: Question): Subject => ({
  kind: 'claim',
  question: `${result}/${question}`,
});

/** The text of the entry that makes it. */
export const claimText = ({ of, reason }: Pick<WrittenClaim, 'of' | 'reason'>): string =>
  JSON.stringify({ of, reason });

/** What is claimed of the groups of a result; null where nothing is, or it cannot be read. */
export function claimIn(
  cells: ReadonlyMap<string, Cell>,
  result: string,
  question: Question,
): WrittenClaim | null {
  const text = cells.get(subjectKey(claimSubject(result, question)))?.current.text ?? '';
  if (text === '') return null;
  try {
    const { of, reason } = JSON.parse(text) as { of?: unknown; reason?: unknown };
    return {
      question,
      of: typeof of === 'string' ? of : null,
      reason: typeof reason === 'string' ? reason : '',
    };
  } catch {
    return null;
  }
}

/** Whether something was written to a question: an answer, or where it compares, a claim. */
export const isAnswered = (
  { key, kind, compares }: AskedQuestion,
  cells: ReadonlyMap<string, Cell>,
): boolean =>
  kind === 'compares' && compares
    ? claimIn(cells, compares.of, compares.question) !== null
    : (cells.get(subjectKey({ kind: 'answer', question: key }))?.current.text ?? '') !== '';

/** A claim that the trials do not carry, by the class’s rule, or that another group would have. */
export const claimBeyond: LogbookRule = {
  code: 'claim-beyond',
  find: ({ cells, investigation, outcome, conventions }) =>
    comparable(investigation).flatMap((plan) => {
      const claims = questionsOfClaims.flatMap((question) => claimIn(cells, plan.key, question) ?? []);
      const [by] = groupingsOf(plan);
      if (claims.length === 0 || !by) return [];
      const book = { id: '', bench: '', investigation, cells, outcome };
      const comparison = comparisonOf([book], plan.key, by);
      const all = compared(comparison);
      return claims.flatMap((claim): Found[] => {
        const verdict = judgeClaim(claim, all, conventions.howCompare);
        const name = comparison.groups.find(({ key }) => key === claim.of)?.name ?? '';
        return verdict === 'right'
          ? []
          : [
              {
                code: 'claim-beyond',
                table: investigation.tables[0]?.key ?? '',
                place: { trial: 'mean', column: plan.column },
                sentence: claimWords(verdict, claim, name),
                sure: 'likely',
              },
            ];
      });
    }),
};
