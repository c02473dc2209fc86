import {
  errorWords,
  meanText,
  percentErrorText,
  sizeText,
  type Conventions,
  type Shown,
} from '@green-beam/core';
import { Figure } from '../ui/Figure';

/** What each group comes to. */
export function GroupNumbers({
  shown,
  unit,
  conventions,
}: {
  readonly shown: readonly Shown[];
  readonly unit: string;
  readonly conventions: Conventions;
}) {
  const hasReference = shown.some(({ error }) => error !== null);
  // Of nothing there is no percentage.
  const hasPercent = shown.some(({ percentError }) => percentError !== null);
  const hasTolerance = shown.some(({ tolerance }) => tolerance !== null);
  const headings = [
    'Group',
    'n',
    `mean, ${unit}`,
    ...(hasReference ? ['error'] : []),
    ...(hasPercent ? ['percent error'] : []),
    `s, ${unit}`,
    's/√n',
    'mean abs. deviation',
    '95 %',
    ...(hasTolerance ? ['tolerance'] : []),
  ];
  const dash = <span className="text-soft">–</span>;
  const number = (value: number | null) => (value === null ? dash : <Figure text={sizeText(value)} />);
  return (
    <div className="overflow-x-auto" tabIndex={0} role="region" aria-label="Numbers of each group">
      <table className="w-full min-w-[46rem]">
        <thead>
          <tr className="border-b-2 border-ink text-left">
            {headings.map((heading) => (
              <th key={heading} scope="col" className="py-1 pr-4 text-sm">
                {heading}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {shown.map((one) => (
            <tr key={one.key} className="border-b border-rule">
              <th scope="row" className="py-1 pr-4 text-left">
                {one.name}
              </th>
              <td className="pr-4 font-mono">
                {one.n}
                {one.excluded > 0 && (
                  <span className="font-sans text-sm text-soft"> of {one.n + one.excluded}</span>
                )}
              </td>
              <td className="pr-4">
                <Figure text={meanText(one)} />
              </td>
              {hasReference && (
                <td className="pr-4">{one.error === null ? dash : errorWords(one.error, unit)}</td>
              )}
              {hasPercent && (
                <td className="pr-4">
                  {one.percentError === null ? (
                    dash
                  ) : (
                    <span className="font-mono">{percentErrorText(one.percentError, conventions)}</span>
                  )}
                </td>
              )}
              <td className="pr-4">{number(one.sd)}</td>
              <td className="pr-4">{number(one.sdOfMean)}</td>
              <td className="pr-4">{one.sd === null ? dash : number(one.meanAbsoluteDeviation)}</td>
              <td className="pr-4">
                {one.interval === null ? dash : <span className="font-mono">±{sizeText(one.interval)}</span>}
              </td>
              {hasTolerance && (
                <td className="pr-4 text-sm">
                  {one.tolerance === null ? dash : `${one.againstTolerance ?? ''} ±${one.tolerance}`}
                </td>
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
