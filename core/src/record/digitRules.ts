import { percentError } from '../density/percentError';
import { Exact, measured, parseNumber } from '../figures';
import { instrumentOf } from '../instruments';
import { readAs } from './advice';
import { close, decimals } from './auditTable';
import { besides, kitOf, type Investigation } from './investigation';
import { eachMeasured, type Found, type LogbookRule } from './logbookLook';
import { cellKey, type Cell } from './table';

/** What a second look finds about how fine a reading is, and how rounded a number was when it was used. */
export const digitRules: readonly LogbookRule[] = [
  {
    code: 'finer-than-glass',
    find: (look) =>
      eachMeasured(look, (column, table, trials) => {
        const { investigation, conventions, cells } = look;
        // What holds liquid: its maker's tolerance, not the eye, sets how fine a reading may be.
        if (instrumentOf(kitOf(investigation, column.tag).kind).quantity !== 'volume') return [];
        const { make, step } = readAs(column, investigation, conventions);
        return trials.flatMap((trial): Found[] => {
          const parsed = parseNumber(cells.get(cellKey(trial, column.key))?.current.text ?? '');
          // More decimals than the step has are told already.
          if (!parsed.ok || parsed.number.decimals > step.decimals) return [];
          if (parsed.number.value.mod(step.size).isZero()) return [];
          return [
            {
              code: 'finer-than-glass',
              table,
              place: { trial, column: column.key },
              sentence: `${parsed.number.text.trim()} is finer than ${column.tag} deserves: it is read to ${step.size.toString()} ${column.unit}, and good to ±${make.tolerance} ${column.unit}.`,
              sure: 'likely',
            },
          ];
        });
      }),
  },
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
          .filter((text) => close(new Exact(text), fromRounded, text) && !close(new Exact(text), exact, text))
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
    const answer = cells.get(cellKey(0, besides.answer(key)))?.current.text ?? '';
    return [...answer.matchAll(/(\d+(?:[.,]\d+)?)\s*%/g)].map(([, text = '']) => text.replace(',', '.'));
  });
