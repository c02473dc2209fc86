import type { ReactNode } from 'react';

/** The first sentence among the errors of a field and what is in it. */
export function firstMessage(error: unknown): string | null {
  if (typeof error !== 'object' || error === null) return null;
  if ('message' in error && typeof error.message === 'string') return error.message;
  for (const inner of Object.values(error)) {
    const message = firstMessage(inner);
    if (message !== null) return message;
  }
  return null;
}

/** A field with what is amiss under it. */
export const Held = ({
  says,
  quiet,
  className,
  children,
}: {
  readonly says: string | null;
  /** True where it is read aloud elsewhere. */
  readonly quiet?: boolean;
  readonly className?: string | undefined;
  readonly children: ReactNode;
}) => (
  <div className={className}>
    {children}
    <Problem says={says} quiet={quiet ?? false} />
  </div>
);

export const Problem = ({
  says,
  quiet = false,
}: {
  readonly says: string | null;
  readonly quiet?: boolean;
}) =>
  says && (
    <p role={quiet ? undefined : 'alert'} className="mt-1 text-sm text-vermilion">
      {says}
    </p>
  );
