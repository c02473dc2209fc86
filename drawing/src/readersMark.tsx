import type { ReadersMark as Mark } from '@green-beam/core';
import { ink } from './ink';

const [width, height, reachDivisions] = [112, 24, 2.5];
const x = (divisions: number): number =>
  width / 2 + (Math.max(-1, Math.min(1, divisions / reachDivisions)) * width) / 2;

/** A reader's habit: the offset of the mark is their bias, its width their spread, against the true line. */
export function ReadersMark({ mark, shaky = false }: { readonly mark: Mark; readonly shaky?: boolean }) {
  const colour = shaky ? ink.vermilion : ink.ink;
  const [from, to] = [x(mark.bias - mark.spread), x(mark.bias + mark.spread)];
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width={width}
      height={height}
      role="img"
      aria-label={inWords(mark)}
    >
      <line x1={0} x2={width} y1={height / 2} y2={height / 2} stroke={ink.rule} strokeWidth={2} />
      <rect
        x={from}
        y={height / 2 - 5}
        width={Math.max(4, to - from)}
        height={10}
        rx={2}
        fill={colour}
        fillOpacity={0.3}
      />
      <line x1={width / 2} x2={width / 2} y1={2} y2={height - 2} stroke={ink.beam} strokeWidth={2} />
      <line x1={x(mark.bias)} x2={x(mark.bias)} y1={4} y2={height - 4} stroke={colour} strokeWidth={4} />
    </svg>
  );
}

function inWords({ bias, spread, n }: Mark): string {
  const lean =
    Math.abs(bias) < 0.2
      ? 'no lean'
      : `leans ${Math.abs(bias).toFixed(1)} divisions ${bias < 0 ? 'low' : 'high'}`;
  return `${lean}, spread ${spread.toFixed(1)} divisions, ${n} readings`;
}
