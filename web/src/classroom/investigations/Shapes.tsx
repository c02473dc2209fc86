import { shapes } from '@green-beam/core';
import { Link } from 'react-router';

/** Methods without a thing: a new investigation begins with one, and only names and numbers are left to write. */
export function Shapes() {
  return (
    <section aria-label="Begin from a shape">
      <h2 className="mb-2">Begin from a shape</h2>
      <p className="mb-2 text-sm text-soft">Kit, steps, table and formulas are there; name it and set it.</p>
      <dl className="flex flex-col gap-2">
        {[...new Set(shapes.map(({ of }) => of))].map((of) => (
          <div key={of}>
            <dt className="text-sm text-soft">{of}</dt>
            <dd className="flex flex-wrap gap-x-4">
              {shapes
                .filter((shape) => shape.of === of)
                .map(({ key, name }) => (
                  <Link key={key} to={`edit?shape=${key}`} className="py-1 underline underline-offset-4">
                    {name}
                  </Link>
                ))}
            </dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
