import type { Review } from '@green-beam/contract';
import { criteria, criterionWords, fullMarks, mostMarks, sumOfMarks } from '@green-beam/core';
import { dayAndTime } from '../ui/clock';

/** A logbook as it came back: its marks, and what was said. */
export function HandedBack({ review: { by, at, marks, remarks } }: { readonly review: Review }) {
  return (
    <section aria-label={`Handed back ${dayAndTime(at)}`} className="max-w-[70ch]">
      <h2 className="mb-1 border-b border-ink">
        {sumOfMarks(marks)} of {mostMarks}
        <span className="ml-3 text-sm font-normal text-soft">
          {by}, {dayAndTime(at)}
        </span>
      </h2>
      <dl className="mb-2 flex flex-wrap gap-x-6">
        {criteria.map((own) => (
          <div key={own} className="flex gap-2">
            <dt className="text-soft">{criterionWords[own]}</dt>
            <dd className="font-mono">
              {marks[own]}/{fullMarks}
            </dd>
          </div>
        ))}
      </dl>
      <ul className="flex flex-col gap-2">
        {remarks.map(({ about, text }, nth) => (
          <li key={nth} className="border-l-4 border-brass-line pl-3">
            {about && <span className="block text-sm text-soft">{about}</span>}
            {text}
          </li>
        ))}
      </ul>
    </section>
  );
}
