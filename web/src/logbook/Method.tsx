import { instrumentOf, modelOf, type Investigation } from '@green-beam/core';

/** What to do, with what, and what to mind: precautions protect the number, cautions protect people. */
export function Method({ investigation }: { readonly investigation: Investigation }) {
  return (
    <section aria-label="Method" className="flex flex-col gap-6">
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
      <div>
        <h2 className="mb-2">Kit</h2>
        <ul className="flex flex-col gap-1">
          {investigation.kit.map(({ tag, kind, model }) => {
            const { name, unit, division, tolerance } = modelOf(instrumentOf(kind), model);
            return (
              <li key={tag}>
                <span className="font-mono">{tag}</span> {name}
                <span className="block text-sm text-soft">
                  divisions of {division} {unit}, ±{tolerance} {unit}
                </span>
              </li>
            );
          })}
        </ul>
      </div>
    </section>
  );
}
