import { type Investigation } from '@green-beam/core';

/** What to do, and what to mind: precautions protect the number, cautions protect people. */
export function Method({
  investigation,
  called = 'Method',
}: {
  readonly investigation: Investigation;
  /** Where two of them stand on a page, they have names of their own. */
  readonly called?: string;
}) {
  return (
    <section aria-label={called} className="flex flex-col gap-6">
      <div>
        <h2 className="mb-2">Method</h2>
        <ol className="flex flex-col gap-3">
          {investigation.steps.map(({ text, precaution, caution, waitMinutes }, at) => (
            <li key={text} className="grid grid-cols-[1.5rem_1fr]">
              <span className="font-mono text-soft">{at + 1}</span>
              <div>
                <p>{text}</p>
                {precaution && <p className="text-sm text-soft">For the number: {precaution}</p>}
                {waitMinutes !== undefined && waitMinutes > 0 && (
                  <p className="text-sm text-soft">Wait {waitMinutes} minutes.</p>
                )}
                {caution && (
                  <p className="mt-1 border-l-4 border-brass-line pl-2 text-sm">
                    <strong>Caution.</strong> {caution}
                  </p>
                )}
              </div>
            </li>
          ))}
        </ol>
      </div>
    </section>
  );
}
