import type { ReactNode } from 'react';
import { ink } from './ink';
import { brass, cork, enamel, Flat, paper, Piece, Round, rubber, slate, steel, Stroke, wood } from './matter';
import { smooth, Vessel, type Profile } from './vessel';

const jar: Profile = [[0, 26], [52, 26], ...smooth(53, 62, 26, 18, 4), [72, 18]];
const bottle: Profile = [[0, 22], [50, 22], ...smooth(51, 66, 22, 8, 6), [84, 8]];
const dish: Profile = [[0, 34], ...smooth(1, 26, 36, 54, 6)];

const beaker: Profile = [
  [0, 30],
  [62, 30],
  [64, 33],
];

/** The things of the museum’s drawer, each 120 × 100. */
const drawings: Readonly<Record<string, ReactNode>> = {
  'bolt pin': (
    <g transform="rotate(-18 60 50)">
      <Round x={24} y={38} width={80} height={24} of={brass} />
      <Round x={12} y={28} width={16} height={44} of={brass} />
      <circle cx={92} cy={50} r={4} fill={brass.edge} />
    </g>
  ),
  'shackle ring': (
    <g>
      <circle cx={60} cy={50} r={30} fill="none" stroke={steel.edge} strokeWidth={17} />
      <circle cx={60} cy={50} r={30} fill="none" stroke={steel.base} strokeWidth={15} />
      <path
        d="M33 38 A30 30 0 0 1 52 21"
        fill="none"
        stroke={steel.light}
        strokeWidth={4}
        strokeLinecap="round"
      />
      <path
        d="M86 64 A30 30 0 0 1 68 79"
        fill="none"
        stroke={steel.dark}
        strokeWidth={5}
        strokeLinecap="round"
      />
    </g>
  ),
  'tally token': (
    <g>
      <Flat x={14} y={24} width={92} height={52} of={slate} />
      <Stroke d="M30 36 V64 M42 36 V64 M54 36 V64 M66 36 V64 M24 60 L74 40" colour={slate.edge} width={3.5} />
      <circle cx={92} cy={50} r={6} fill={ink.bench} stroke={slate.edge} />
    </g>
  ),
  'deck sleeve': (
    <g>
      <Piece of={brass} d="M22 28 L40 14 H80 L98 28 V70 L80 86 H40 L22 70 Z" />
      <path d="M22 28 L40 14 V86 L22 70 Z" fill={brass.light} />
      <path d="M98 28 L80 14 V86 L98 70 Z" fill={brass.dark} />
      <ellipse cx={60} cy={24} rx={16} ry={6} fill={brass.edge} />
    </g>
  ),
  'oil jar': <Vessel profile={jar} x={60} floorY={88} px={1.08} levelMm={null} lip={3} />,
  'lamp oil': (
    <g>
      <Vessel profile={bottle} x={60} floorY={92} px={0.9} levelMm={40} colour="#d9b24a" lip={2} />
      <Flat x={53} y={10} width={14} height={9} of={cork} />
    </g>
  ),
  brine: <Vessel profile={jar} x={60} floorY={88} px={1.08} levelMm={44} lip={3} />,
  'evaporating pan': (
    <g>
      <Vessel profile={dish} x={60} floorY={76} px={0.9} levelMm={12} lip={4} />
      <path
        d="M44 30 q-6 -10 0 -20 M60 28 q-6 -10 0 -20 M76 30 q-6 -10 0 -20"
        fill="none"
        stroke={ink.chalk}
        strokeWidth={2}
        strokeOpacity={0.7}
      />
    </g>
  ),
  rivets: (
    <g>
      {[
        [18, 60],
        [46, 66],
        [74, 58],
        [32, 34],
        [62, 32],
      ].map(([x = 0, y = 0]) => (
        <g key={`${x} ${y}`}>
          <Round x={x + 5} y={y + 8} width={12} height={22} of={brass} along="y" />
          <Piece
            of={brass}
            d={`M${x} ${y + 9} Q${x + 1} ${y - 3} ${x + 11} ${y - 3} Q${x + 21} ${y - 3} ${x + 22} ${y + 9} Z`}
          />
        </g>
      ))}
    </g>
  ),
  'squeeze pipette': (
    <g transform="rotate(24 60 50)">
      <path
        d="M58 98 L56 62 L54 46 C54 40 46 38 46 30 V14 C46 4 74 4 74 14 V30 C74 38 66 40 66 46 L64 62 L62 98 Z"
        fill="#dfeae5"
        fillOpacity={0.5}
        stroke="#c6dbd3"
        strokeWidth={1.5}
      />
      <path d="M58.5 96 L57 70 H63 L61.5 96 Z" fill={ink.water} />
      <Stroke d="M52 12 V30" colour="#ffffff" width={3} />
    </g>
  ),
  'net float': (
    <g>
      <Piece of={cork} d="M20 50 C20 24 100 24 100 50 C100 76 20 76 20 50 Z" />
      <path d="M34 66 C60 76 92 72 98 54 C92 66 60 70 34 66 Z" fill={cork.dark} />
      <ellipse cx={60} cy={50} rx={7} ry={5} fill={cork.edge} />
    </g>
  ),
  'name tag': (
    <g>
      <Flat x={18} y={28} width={84} height={44} of={paper} rx={4} />
      <Stroke d="M32 46 H88 M32 58 H72" colour={paper.edge} width={3} />
    </g>
  ),
  'copper sheathing': (
    <g>
      <Piece of={rubber} d="M16 34 Q40 24 62 34 T106 32 V66 Q84 76 62 66 T16 70 Z" />
      <Stroke d="M18 36 Q40 27 62 36 T104 34" colour={rubber.light} width={3} />
    </g>
  ),
  water: <Vessel profile={beaker} x={60} floorY={86} px={0.95} levelMm={40} lip={4} />,
  balance: (
    <g>
      <Flat x={34} y={30} width={52} height={7} of={steel} rx={3} />
      <Flat x={54} y={37} width={12} height={12} of={steel} />
      <Piece of={enamel} d="M18 80 L26 49 H94 L102 80 Z" />
      <Flat x={40} y={57} width={40} height={15} of={paper} rx={2} />
      <Stroke d="M48 65 H72" colour={ink.bench} width={4} />
    </g>
  ),
  'bolt pin and tally token': (
    <g>
      <Stroke d="M14 12 H106 M38 12 V40 M84 12 V48" colour={steel.edge} width={2.5} />
      <Round x={30} y={40} width={16} height={44} of={brass} along="y" />
      <Round x={25} y={36} width={26} height={10} of={brass} />
      <Flat x={66} y={48} width={36} height={28} of={slate} />
      <circle cx={84} cy={54} r={3} fill={ink.bench} stroke={slate.edge} />
    </g>
  ),
  'chart of the harbour': (
    <g>
      <Flat x={14} y={18} width={92} height={64} of={paper} rx={2} />
      <path d="M14 58 Q34 44 46 58 T78 52 T106 60 V82 H14 Z" fill={ink.water} fillOpacity={0.35} />
      <Stroke d="M14 58 Q34 44 46 58 T78 52 T106 60" colour={paper.edge} width={2} />
      <Stroke d="M86 28 V44 M80 38 L86 28 L92 38" colour={paper.edge} width={2} />
    </g>
  ),
  'pieces of slate': (
    <g>
      <Piece of={slate} d="M12 62 L20 40 L44 34 L56 54 L46 72 L20 76 Z" />
      <Piece of={slate} d="M58 46 L74 22 L102 28 L108 56 L88 70 L64 64 Z" />
      <Piece of={slate} d="M54 86 L58 76 L74 76 L80 86 L68 92 Z" />
      <Stroke d="M22 42 L43 36 M76 25 L100 30" colour={slate.light} width={2.5} />
    </g>
  ),
  'pulley bush': (
    <g>
      <Piece of={brass} d="M28 30 V72 A32 12 0 0 0 92 72 V30 A32 12 0 0 0 28 30 Z" />
      <path d="M34 34 V76 A32 12 0 0 0 44 81 V38 Z" fill={brass.light} />
      <ellipse cx={60} cy={30} rx={32} ry={12} fill={brass.base} stroke={brass.edge} strokeWidth={1.5} />
      <ellipse cx={60} cy={30} rx={17} ry={6} fill={brass.edge} />
    </g>
  ),
  'tally board': (
    <g transform="rotate(-6 60 50)">
      <Flat x={10} y={36} width={100} height={28} of={wood} />
      <Stroke d="M24 44 V56 M32 44 V56 M40 44 V56 M48 44 V56 M20 54 L52 46" colour={wood.edge} width={3} />
      <circle cx={100} cy={50} r={4} fill={ink.bench} stroke={wood.edge} />
    </g>
  ),
  thermometer: (
    <g transform="rotate(28 60 50)">
      <Round x={54} y={0} width={12} height={82} of={paper} along="y" />
      <circle cx={60} cy={88} r={9} fill={rubber.base} stroke={rubber.edge} strokeWidth={1.5} />
      <Stroke d="M60 84 V34" colour={rubber.base} width={4} />
      <Stroke d="M66 20 H71 M66 32 H71 M66 44 H71 M66 56 H71" colour={paper.edge} width={2} />
    </g>
  ),
};

/** What an investigation is about, drawn; nothing for an object of somebody’s own. */
export function ObjectDrawing({
  object,
  className,
}: {
  readonly object: string;
  readonly className?: string;
}) {
  const drawing = drawings[object.trim().toLowerCase()];
  if (!drawing) return null;
  return (
    <svg viewBox="0 0 120 100" className={className} aria-hidden="true" focusable="false">
      {drawing}
    </svg>
  );
}

/** Whether there is a drawing of it. */
export const isDrawn = (object: string): boolean => object.trim().toLowerCase() in drawings;
