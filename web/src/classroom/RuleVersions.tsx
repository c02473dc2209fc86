import type { HouseRulesVersion } from '@green-beam/contract';
import { changesBetween } from '@green-beam/core';
import { wholeDay } from '../ui/clock';

/** Every version that was used: when it was made, what stays with it, and in what it differs from the one before. */
export function RuleVersions({ versions }: { readonly versions: readonly HouseRulesVersion[] }) {
  return (
    <section aria-labelledby="versions" className="mt-12">
      <h2 id="versions" className="mb-3 border-b-2 border-ink pb-1 text-xl">
        Versions
      </h2>
      <ol className="flex flex-col divide-y divide-rule">
        {versions.map(({ rules, madeAt, logbooks, settings }, nth) => {
          const before = versions[nth + 1]?.rules;
          const changes = before ? changesBetween(before, rules) : [];
          return (
            <li key={rules.version} className="py-3">
              <p>
                <strong>Version {rules.version}</strong>, {rules.preset}, {wholeDay(madeAt)}: {logbooks}{' '}
                {logbooks === 1 ? 'logbook' : 'logbooks'} and {settings}{' '}
                {settings === 1 ? 'reading' : 'readings'} on the bench.
              </p>
              {before && (
                <ul className="mt-1 ml-5 list-disc text-soft">
                  {changes.map(({ asks, from, to }) => (
                    <li key={asks}>
                      {asks} <s>{from}</s> → {to}
                    </li>
                  ))}
                  {changes.length === 0 && <li>The same answers as before.</li>}
                </ul>
              )}
            </li>
          );
        })}
      </ol>
    </section>
  );
}
