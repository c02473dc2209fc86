import type { StatedElsewhere } from '@green-beam/core';
import { useState } from 'react';
import { Button } from './Button';
import { Stated } from './Figure';

/** One press away: what classes with other house rules would write. */
export function Elsewhere({
  question,
  own,
  rows,
}: {
  readonly question: string;
  /** What stands here: rows that say the same are told so. */
  readonly own: string;
  /** Asked for once it is unfolded. */
  readonly rows: () => readonly StatedElsewhere[];
}) {
  const [asked, setAsked] = useState(false);
  return (
    <div className="mt-2">
      <Button look="quiet" aria-expanded={asked} onClick={() => setAsked(!asked)}>
        {question}
      </Button>
      {asked && (
        <table className="mt-1 border-collapse">
          <caption className="sr-only">{question}</caption>
          <tbody>
            {rows().map(({ preset, text }) => (
              <tr key={preset} className="border-t border-rule align-baseline">
                <th scope="row" className="py-1 pr-6 text-left font-normal">
                  {preset}
                </th>
                <td className="py-1 pr-4">
                  <Stated text={text} />
                </td>
                <td className="py-1 text-sm text-soft">{text === own ? 'the same as here' : ''}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}
