import { outliersIn, type Comparison } from '@green-beam/core';
import { shortNumber } from './shortNumber';

/** Values that lie apart, only ever suggested. */
export function Outliers({ comparison }: { readonly comparison: Comparison }) {
  const found = outliersIn(comparison);
  if (found.length === 0) return null;
  return (
    <ul aria-label="Worth a look">
      {found.map(({ group: { key, name }, observation: { value, trial, bench }, test }) => (
        <li key={key} className="border-l-4 border-brass-line pl-3">
          {name}: {shortNumber(value)} {comparison.unit}
          {trial !== undefined && `, trial ${trial}`}
          {bench && ` of ${bench}`} lies apart by {test}’s test. Only a person leaves it out, with a reason.
        </li>
      ))}
    </ul>
  );
}
