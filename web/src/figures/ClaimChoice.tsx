import type { Claim } from '@green-beam/core';
import { scaleLinear } from 'd3-scale';
import type { Ref } from 'react';
import { Figure } from '../ui/Figure';

const width = 360;
const rim = 12;

/** Writings of one reading, each with the interval that it claims, drawn on one scale; one of them is chosen. */
export function ClaimChoice({
  claims,
  chosen,
  disabled,
  onChoose,
  fieldRef,
}: {
  readonly claims: readonly Claim[];
  readonly chosen: string;
  readonly disabled: boolean;
  readonly onChoose: (text: string) => void;
  /** The first of the choices, to come back to. */
  readonly fieldRef: Ref<HTMLInputElement>;
}) {
  const ends = claims.flatMap(({ low, high }) => [Number(low), Number(high)]);
  const x = scaleLinear()
    .domain([Math.min(...ends), Math.max(...ends)])
    .range([rim, width - rim]);
  return (
    <fieldset disabled={disabled} className="flex flex-col gap-1 bg-white p-4">
      <legend className="sr-only">Writings</legend>
      {claims.map(({ text, low, high }, at) => (
        <label
          key={text}
          className="grid min-h-12 grid-cols-[auto_7rem_1fr] items-center gap-3 border-b border-rule last:border-0"
        >
          <input
            ref={at === 0 ? fieldRef : undefined}
            type="radio"
            name="claim"
            className="size-5 accent-beam"
            checked={chosen === text}
            onChange={() => onChoose(text)}
          />
          <Figure text={text} className="text-2xl" />
          <svg
            viewBox={`0 0 ${width} 30`}
            role="img"
            aria-label={`claims from ${low} to ${high}`}
            className="w-full"
          >
            <line x1={rim} x2={width - rim} y1={15} y2={15} className="stroke-rule" />
            <line
              x1={x(Number(low))}
              x2={Math.max(x(Number(high)), x(Number(low)) + 1.5)}
              y1={15}
              y2={15}
              strokeWidth={10}
              className="stroke-brass"
            />
          </svg>
        </label>
      ))}
    </fieldset>
  );
}
