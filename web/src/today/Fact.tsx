import type { ReactNode } from 'react';

/** A number with what it is of above it. */
export function Fact({ name, value }: { readonly name: string; readonly value: ReactNode }) {
  return (
    <div>
      <dt className="text-sm text-soft">{name}</dt>
      <dd className="text-lg">{value}</dd>
    </div>
  );
}
