import type { WorkedVerdict } from '@green-beam/core';

/** Whether a value that was worked by hand is right, and if not, by which mistake. */
export function Worked({ verdict }: { readonly verdict: WorkedVerdict }) {
  if (verdict.outcome === 'right') return <p className="text-sm text-beam">Worked right.</p>;
  if (verdict.outcome === 'unreadable')
    return <p className="text-sm text-brass">{verdict.problem.message}</p>;
  const [cause] = verdict.causes;
  return (
    <p className="text-sm text-vermilion">
      {cause ? `${cause.title} ${cause.hint}` : 'Your readings give another value. Work it out again.'}
    </p>
  );
}
