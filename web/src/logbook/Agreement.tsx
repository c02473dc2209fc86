import { agreementOfRoutes, type Result } from '@green-beam/core';

const agreementWords = {
  agree: 'agree',
  doubtful: 'agree only doubtfully',
  disagree: 'do not agree',
} as const;

/** Every pair of results that ought to be the same, held against each other. */
export function Agreement({ results }: { readonly results: readonly Result[] }) {
  const routes = agreementOfRoutes(results);
  if (routes.length === 0) return null;
  return (
    <section aria-label="Do the routes agree?">
      <h2 className="mb-1">Do the routes agree?</h2>
      <ul className="ml-5 list-disc">
        {routes.map(({ first, other, times, verdict, surer }) => (
          <li key={`${first.plan.key} ${other.plan.key}`}>
            {first.plan.name} and {other.plan.name.charAt(0).toLowerCase()}
            {other.plan.name.slice(1)} {agreementWords[verdict]}: they differ by {times.toFixed(1)} times
            their combined uncertainty. {surer.plan.name} is the more certain.
          </li>
        ))}
      </ul>
    </section>
  );
}
