import { useId, type ReactNode } from 'react';
import { ink } from './ink';

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** A round magnifier over a drawing: what is under `at` is drawn again, larger. Null puts it away. */
export function Lens({
  at,
  children,
  zoom = 2.4,
  radius = 120,
}: {
  readonly at: Point | null;
  readonly children: ReactNode;
  readonly zoom?: number;
  readonly radius?: number;
}) {
  const id = useId();
  return (
    <>
      <g id={`${id}content`}>{children}</g>
      {at && (
        <g aria-hidden="true" pointerEvents="none">
          <clipPath id={`${id}round`}>
            <circle cx={at.x} cy={at.y} r={radius} />
          </clipPath>
          <g clipPath={`url(#${id}round)`}>
            <circle cx={at.x} cy={at.y} r={radius} fill={ink.bench} />
            <use
              href={`#${id}content`}
              transform={`translate(${at.x * (1 - zoom)} ${at.y * (1 - zoom)}) scale(${zoom})`}
            />
          </g>
          <circle cx={at.x} cy={at.y} r={radius} fill="none" stroke={ink.chalk} strokeWidth={3} />
        </g>
      )}
    </>
  );
}
