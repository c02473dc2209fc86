import { Exact, parseNumber, roundToPlace } from '../figures';
import { readAs } from './advice';
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
        if (!glass.has(kitOf(investigation, column.tag).kind)) return [];
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
    find: ({ investigation, cells, outcome }) =>
      outcome.results.flatMap((state): Found[] => {
        if (state.state !== 'reckoned' || !state.result.percentError || !state.plan.accepted) return [];
        const { result, plan } = state;
        const accepted = new Exact(state.plan.accepted.value);
        const rounded = parseNumber(result.valueText);
        if (!rounded.ok || accepted.isZero()) return [];
        const fromRounded = rounded.number.value.minus(accepted).div(accepted).times(100).abs();
        const exact = state.result.percentError.percent.abs();
        return percentsIn(investigation, cells)
          .filter((text) => reads(fromRounded, text) && !reads(exact, text))
          .map((text) => ({
            code: 'percent-from-rounded',
            table: investigation.tables[0]?.key ?? '',
            place: { trial: 'mean', column: plan.key },
            sentence: `${text} % is what the rounded ${result.valueText} gives; with all its digits the percent error is ${exact.toDecimalPlaces(Math.max(1, decimalsOf(text))).toString()} %.`,
            sure: 'likely',
          }));
      }),
  },
];

/** Glass that holds liquid: its maker's tolerance, not the eye, sets how fine a reading may be. */
const glass: ReadonlySet<string> = new Set([
  'graduated-cylinder',
  'burette',
  'graduated-pipette',
  'volumetric-pipette',
  'squeeze-pipette',
  'beaker',
  'volumetric-flask',
]);

/** The percentages that stand in written answers, without their signs. */
const percentsIn = ({ questions }: Investigation, cells: ReadonlyMap<string, Cell>): string[] =>
  questions.flatMap(({ key }) => {
    const answer = cells.get(cellKey(0, besides.answer(key)))?.current.text ?? '';
    return [...answer.matchAll(/(\d+(?:[.,]\d+)?)\s*%/g)].map(([, text = '']) => text.replace(',', '.'));
  });

const decimalsOf = (text: string): number => text.split('.')[1]?.length ?? 0;

/** Whether a number reads like this to the decimals that the text has, whichever way a tie is rounded. */
const reads = (value: Exact, text: string): boolean =>
  (['half-away', 'half-even'] as const).some((rounding) =>
    roundToPlace(value, -decimalsOf(text), rounding).eq(text),
  );
