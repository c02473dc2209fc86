import { enoughFor, enoughWords, type Shown } from '@green-beam/core';
import { useState } from 'react';
import { TextField } from '../ui/fields';

/** What to use, and how often, to know something to within a ± that one needs. */
export function Wanted({ shown, unit }: { readonly shown: readonly Shown[]; readonly unit: string }) {
  const [text, setText] = useState('');
  const wanted = Number(text.trim().replace(',', '.'));
  const asked = text.trim() !== '';
  return (
    <section aria-label="What to use" className="no-print">
      <h2 className="mb-1">What to use</h2>
      <TextField
        label={`To know it within ±, in ${unit || 'its unit'}`}
        mono
        longest={12}
        value={text}
        onChange={setText}
        className="mb-2 w-64"
      />
      {asked && !(wanted > 0) && <p role="alert">A ± is a number that is more than nothing.</p>}
      {wanted > 0 && (
        <ul>
          {enoughFor(shown, wanted).map((one) => (
            <li key={one.key}>
              {enoughWords(
                one,
                unit,
                shown.some(({ key, sd }) => key === one.key && sd !== null),
              )}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
