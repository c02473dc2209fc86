import {
  toldOf,
  toldWords,
  verdictsOf,
  verdictWords,
  type Compared,
  type Comparison,
  type ComparisonVerdict,
  type Conventions,
} from '@green-beam/core';
import { Fold } from '../ui/Fold';

const rules: Readonly<Record<Conventions['howCompare'], string>> = {
  'as-they-stand': 'by the numbers as they stand',
  overlap: 'by whether the intervals overlap',
  tests: 'by whether the data carry it',
};

/** What the trials can carry, and how that was found. */
export function Carried({
  all,
  comparison,
  conventions,
}: {
  readonly all: Compared;
  readonly comparison: Comparison;
  readonly conventions: Conventions;
}) {
  const { unit, groups } = comparison;
  const nameOf = (key: string) => groups.find((group) => group.key === key)?.name ?? key;
  const every = verdictsOf(all);
  const told = toldOf(all);
  return (
    <section aria-label="What they can carry">
      <h2 className="mb-1">What they can carry</h2>
      <p className="text-sm text-soft">
        Your class judges a claim {rules[conventions.howCompare]}. Here: tests, all claims of a kind together
        wrong in 1 of 20 classes at most.
      </p>
      <ul className="mt-1 flex flex-col gap-1">
        {toldWords(told, nameOf, unit)
          .slice(0, 12)
          .map(({ carried, words }) => (
            <li
              key={words}
              className={carried ? 'border-l-4 border-beam pl-2' : 'border-l-4 border-rule pl-2 text-soft'}
            >
              {words}
            </li>
          ))}
      </ul>
      {told.length === 0 && <p>There is one group, or one trial in each: nothing can be tested yet.</p>}
      {every.length > 0 && <EveryClaim verdicts={every} nameOf={nameOf} unit={unit} />}
    </section>
  );
}

/** Rows of the table at most: of forty groups there are thousands of pairs. */
const mostRows = 200;

function EveryClaim({
  verdicts,
  nameOf,
  unit,
}: {
  readonly verdicts: readonly ComparisonVerdict[];
  readonly nameOf: (key: string) => string;
  readonly unit: string;
}) {
  return (
    <div className="mt-3">
      <Fold title="Every claim, with its test" startsOpen={false}>
        <div className="overflow-x-auto">
          <table className="text-sm">
            <thead>
              <tr className="border-b border-ink text-left">
                {['Claim', 'Test', 'Statistic', 'p, corrected'].map((heading) => (
                  <th key={heading} scope="col" className="pr-4">
                    {heading}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {verdicts.slice(0, mostRows).map((verdict) => (
                <tr key={`${verdict.claim} ${verdict.of.join()}`} className="border-b border-rule align-top">
                  <td className="py-1 pr-4">{verdictWords(verdict, nameOf, unit)}</td>
                  <td className="py-1 pr-4">{verdict.evidence?.test ?? '–'}</td>
                  <td className="py-1 pr-4 font-mono">
                    {verdict.evidence && Number.isFinite(verdict.evidence.statistic)
                      ? `${verdict.evidence.statistic.toFixed(2)} (${verdict.evidence.df.map((df) => Number(df.toFixed(1))).join(', ')})`
                      : '–'}
                  </td>
                  <td className="py-1 font-mono">{verdict.evidence ? pText(verdict.evidence.p) : '–'}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </Fold>
    </div>
  );
}

const pText = (p: number): string => (p < 0.0005 ? '< 0.001' : p.toFixed(3));
