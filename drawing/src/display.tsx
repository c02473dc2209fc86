import { figureFont, ink, textFont } from './ink';
import { satin } from './matter';

interface Props {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly text: string;
  readonly unit: string;
  /** Height of its digits. */
  readonly size: number;
  /** A sign that it stands; absent where an instrument has none. */
  readonly steady?: boolean;
  /** True where what it shows is without what it was set to zero with. */
  readonly net?: boolean;
}

/** A display with dark digits on a pale ground, its unit beside them. */
export function Display({ x, y, width, height, text, unit, size, steady, net = false }: Props) {
  const unitWidth = size * 0.85;
  return (
    <g>
      <rect
        x={x}
        y={y}
        width={width}
        height={height}
        rx={5}
        fill="#d8e4cf"
        stroke="#0a110e"
        strokeWidth={3}
      />
      <path d={`M${x + 3} ${y + 4} H${x + width - 3}`} stroke="#a9bda0" strokeWidth={4} />
      <text
        className="digits"
        x={x + width - unitWidth}
        y={y + height / 2 + size * 0.36}
        textAnchor="end"
        fontSize={size}
        fontWeight={600}
        fontFamily={figureFont}
        fill={ink.ink}
      >
        {text}
      </text>
      <text
        x={x + width - unitWidth + size * 0.16}
        y={y + height / 2 + size * 0.36}
        fontSize={size * 0.34}
        fontFamily={textFont}
        fill={ink.ink}
      >
        {unit}
      </text>
      {net && (
        <text
          x={x + 14}
          y={y + height - 14}
          fontSize={17}
          fontWeight={600}
          fontFamily={textFont}
          fill={ink.ink}
        >
          net
        </text>
      )}
      {steady !== undefined && (
        <g visibility={steady ? 'visible' : 'hidden'}>
          <circle cx={x + 20} cy={y + 22} r={6} fill={ink.ink} />
          <text x={x + 32} y={y + 27} fontSize={16} fontWeight={600} fontFamily={textFont} fill={ink.ink}>
            steady
          </text>
        </g>
      )}
    </g>
  );
}

/** A key with its name on it. */
export function Key({
  name,
  x,
  y,
  width,
  height,
  main = false,
}: {
  readonly name: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** True for the one that is pressed most. */
  readonly main?: boolean;
}) {
  return (
    <g className="key">
      <rect
        x={x}
        y={y}
        width={width}
        height={height}
        rx={6}
        fill={main ? ink.beam : satin.base}
        stroke={satin.edge}
        strokeWidth={1.5}
      />
      <text
        x={x + width / 2}
        y={y + height / 2 + 7}
        textAnchor="middle"
        fontSize={19}
        fontWeight={600}
        fontFamily={textFont}
        fill={main ? '#ffffff' : ink.ink}
      >
        {name}
      </text>
    </g>
  );
}
