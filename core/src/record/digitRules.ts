import { percentError } from '../density/percentError';
import { Decimal, measured, parseNumber } from '../figures';
import { close, decimals } from './auditTable';
import { type Investigation } from './investigation';
import type { Found, LogbookRule } from './logbookLook';
import { subjectKey } from './subject';
import { type Cell } from './table';

/** What a second look finds about how fine a reading is, and how rounded a number was when it was used. */
export const digitRules: readonly LogbookRule[] = [
  {
    code: 'percent-from-rounded',
    find: ({ investigation, cells, outcome, conventions }) =>
      outcome.results.flatMap((state): Found[] => {
        if (state.state !== 'reckoned' || !state.result.percentError || !state.plan.accepted) return [];
        const { result, plan } = state;
        const [rounded, accepted] = [result.valueText, state.plan.accepted.value].map((text) =>
          parseNumber(text),
        );
        if (!rounded?.ok || !accepted?.ok) return [];
        const fromRounded = percentError(
          measured(rounded.number),
          accepted.number,
          conventions,
        ).percent.abs();
        const exact = state.result.percentError.percent.abs();
        return percentsIn(investigation, cells)
          .filter(
            (text) => close(new Decimal(text), fromRounded, text) && !close(new Decimal(text), exact, text),
          )
          .map((text) => ({
            code: 'percent-from-rounded',
            table: investigation.tables[0]?.key ?? '',
            place: { trial: 'mean', column: plan.key },
            sentence: `${text} % is what the rounded ${result.valueText} gives; with all its digits the percent error is ${exact.toDecimalPlaces(Math.max(1, decimals(text))).toString()} %.`,
            sure: 'likely',
          }));
      }),
  },
];

/** The percentages that stand in written answers, without their signs. */
const percentsIn = ({ questions }: Investigation, cells: ReadonlyMap<string, Cell>): string[] =>
  questions.flatMap(({ key }) => {
    const answer = cells.get(subjectKey({ kind: 'answer', question: key }))?.current.text ?? '';
    return [...answer.matchAll(/(\d+(?:[.,]\d+)?)\s*%/g)].map(([, text = '']) => text.replace(',', '.'));
  });
