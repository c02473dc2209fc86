import { errorCauses, type ErrorCause } from '@green-beam/core';
import { Fold } from '../ui/Fold';

/** What may lie behind a bias and behind a spread by this method, and how to test for each. */
export function LikelyCauses({ codes }: { readonly codes: readonly string[] }) {
  const causes = errorCauses.filter(({ code }) => codes.includes(code));
  if (causes.length === 0) return null;
  return (
    <Fold title="What may lie behind it" aside="by this method" startsOpen={false}>
      <div className="grid gap-x-10 gap-y-4 md:grid-cols-2">
        <Kind
          title="Behind an error that leans one way"
          causes={causes.filter(({ kind }) => kind !== 'random')}
        />
        <Kind title="Behind a scatter" causes={causes.filter(({ kind }) => kind !== 'systematic')} />
      </div>
    </Fold>
  );
}

function Kind({ title, causes }: { readonly title: string; readonly causes: readonly ErrorCause[] }) {
  if (causes.length === 0) return null;
  return (
    <section aria-label={title}>
      <h3 className="font-bold">{title}</h3>
      <ul className="flex flex-col gap-1">
        {causes.map(({ code, cause, effect, test }) => (
          <li key={code}>
            {cause}: {effect}. <span className="text-soft">{test}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
