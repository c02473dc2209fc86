import { mainLines, type BudgetLine } from '@green-beam/core';
import { scaleLinear } from 'd3-scale';
import { figureFont, ink, textFont } from './ink';

const [width, rowHeight, labelWidth] = [560, 36, 250] as const;

/** What each main source adds to an uncertainty: its share of the variance as a bar, the largest first. */
export function Budget({ budget }: { readonly budget: readonly BudgetLine[] }) {
  const lines = mainLines(budget);
  const x = scaleLinear([0, 1], [labelWidth, width - 60]);
  const height = lines.length * rowHeight + 8;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width="100%"
      role="img"
      aria-label={lines.map(({ source, share }) => `${source}: ${percent(share)}`).join('; ')}
      style={{ maxWidth: width }}
    >
      {lines.map(({ source, share }, at) => {
        const y = at * rowHeight + 6;
        return (
          <g key={source}>
            <text
              x={labelWidth - 10}
              y={y + 18}
              textAnchor="end"
              fontSize={14}
              fontFamily={textFont}
              fill={ink.ink}
            >
              {source.length <= oneLine
                ? source
                : inLines(source).map((part, nth) => (
                    <tspan key={part} x={labelWidth - 10} dy={nth === 0 ? -7 : 15}>
                      {part}
                    </tspan>
                  ))}
            </text>
            <rect
              x={labelWidth}
              y={y}
              width={Math.max(1, x(share) - labelWidth)}
              height={rowHeight - 10}
              fill={at === 0 ? ink.brass : ink.water}
            />
            <text x={x(share) + 8} y={y + 18} fontSize={14} fontFamily={figureFont} fill={ink.ink}>
              {percent(share)}
            </text>
          </g>
        );
      })}
      <line x1={labelWidth} x2={labelWidth} y1={0} y2={height} stroke={ink.ink} />
    </svg>
  );
}

/** What finds room in one line of the labels. */
const oneLine = 36;

/** A long name in two lines. */
function inLines(source: string): readonly string[] {
  const at = source.lastIndexOf(' ', oneLine);
  return at < 0 ? [source] : [source.slice(0, at), source.slice(at + 1)];
}

const percent = (share: number): string =>
  share > 0 && share < 0.01 ? '< 1 %' : `${Math.round(share * 100)} %`;
