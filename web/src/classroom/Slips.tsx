import type { SlipsAnswer } from '@green-beam/contract';
import { Button } from '../ui/Button';

/** Slips to print and cut: what a student needs to sign in. */
export function Slips({ answer }: { readonly answer: SlipsAnswer }) {
  return (
    <section aria-label="New slips" className="mb-8">
      <div className="no-print mb-3 flex items-center gap-4">
        <p role="status">
          {answer.slips.length === 1 ? 'One new slip.' : `${answer.slips.length} new slips.`} Print them now:
          the passphrases are not shown again.
        </p>
        <Button onClick={() => print()}>Print the slips</Button>
      </div>
      <ul className="grid gap-3 sm:grid-cols-2 lg:grid-cols-3">
        {answer.slips.map(({ studentId, name, passphrase }) => (
          <li key={studentId} className="break-inside-avoid border border-dashed border-ink bg-white p-4">
            <p className="text-sm text-soft">Green Beam · {location.host}</p>
            <p className="text-lg font-bold">{name}</p>
            <p>
              class code <span className="font-mono font-semibold">{answer.class.code}</span>
            </p>
            <p>
              passphrase <span className="font-mono font-semibold">{passphrase}</span>
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
}
