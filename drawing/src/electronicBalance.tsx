import {
  displayed,
  electronicBalances,
  stableAfterSeconds,
  type ElectronicBalancePicture,
} from '@green-beam/core';
import { figureFont, ink, textFont } from './ink';
import type { Spots } from './point';

/** Size of the drawing, in its own units. */
export const electronicBalanceView = { width: 770, height: 640 } as const;

/** What lies on the pan: nothing, the vessel alone, the whole load, or more than the balance carries. */
export type Load = 0 | 1 | 2 | 3;

export interface ElectronicBalanceState {
  readonly load: Load;
  /** What the balance was set to zero with, as a load; null when it was not. */
  readonly zeroed: Load | null;
  readonly doorOpen: boolean;
  readonly seconds: number;
  /** True once a wet, warm or badly placed load was put right. */
  readonly mended: boolean;
}

const gramsOf = ({ emptyGrams, vesselGrams, loadedGrams }: ElectronicBalancePicture, load: Load): number =>
  [emptyGrams, vesselGrams, loadedGrams][load] ?? 0;

/** True once the display stands: then the stable sign lights. */
export const isSteady = ({ doorOpen, seconds }: ElectronicBalanceState): boolean =>
  !doorOpen && seconds >= stableAfterSeconds;

/** The digits on the display. Through an open door the last ones never rest. */
export function displayText(picture: ElectronicBalancePicture, state: ElectronicBalanceState): string {
  const division = electronicBalances.find(({ id }) => id === picture.model)?.division ?? '0.1';
  if (state.load === 3) return '– – – –';
  const flawed = state.load === 2 && !state.mended;
  const drifts = flawed && picture.flaw === 'warm' ? 1 + 0.1 * Math.sin(state.seconds) : 1;
  const flaw = flawed ? picture.flawGrams * drifts : 0;
  const hop =
    picture.hops && state.load === 2 && Math.floor(state.seconds * 1.5) % 2 === 1 ? Number(division) : 0;
  const taken = state.zeroed === null ? 0 : gramsOf(picture, state.zeroed);
  const flutter = state.doorOpen ? (Math.floor(state.seconds * 2) % 3) - 1 : 0;
  const draught = state.doorOpen ? picture.draughtGrams + flutter * Number(division) : 0;
  const grams = displayed(
    gramsOf(picture, state.load) + draught + flaw + hop - taken,
    Number(division),
    state.seconds,
  );
  return grams.toFixed(division.split('.')[1]?.length ?? 0).replace('-', '−');
}

/** An electronic balance in its glass box, with what lies on the pan and what the display shows. */
export function ElectronicBalance({
  picture,
  state,
}: {
  readonly picture: ElectronicBalancePicture;
  readonly state: ElectronicBalanceState;
}) {
  const steady = isSteady(state);
  return (
    <g fontFamily={figureFont}>
      <rect
        x={180}
        y={60}
        width={410}
        height={310}
        fill="#cfe2da"
        fillOpacity={0.1}
        stroke="#9fb2aa"
        strokeWidth={3}
      />
      <rect
        x={state.doorOpen ? 620 : 570}
        y={60}
        width={14}
        height={310}
        fill="#cfe2da"
        fillOpacity={0.35}
        stroke="#9fb2aa"
        strokeWidth={2}
      />
      <path d="M300 372 H470 L452 354 H318 Z" fill={ink.metal} stroke={ink.metalEdge} />
      <rect x={286} y={342} width={198} height={12} rx={3} fill={ink.metal} stroke={ink.metalEdge} />
      {picture.emptyGrams > 0 && <path d="M452 342 q6 -7 14 0 Z" fill="#d9c48d" />}
      <OnThePan picture={picture} load={state.load} mended={state.mended} />
      <path d="M130 372 H640 L668 580 H102 Z" fill="#d5dedb" stroke={ink.metalEdge} />
      <rect x={190} y={420} width={390} height={104} rx={4} fill="#101b17" stroke="#405049" />
      <text x={530} y={494} textAnchor="end" fontSize={62} fill="#d7f5e6" letterSpacing={3}>
        {displayText(picture, state)}
      </text>
      <text x={544} y={494} fontSize={30} fill="#d7f5e6">
        g
      </text>
      <g fill={steady ? '#7fe0b1' : '#33463e'} fontFamily={textFont}>
        <path d="M206 440 h30 M206 447 h30" stroke={steady ? '#7fe0b1' : '#33463e'} strokeWidth={3} />
        <text x={206} y={468} fontSize={14}>
          steady
        </text>
      </g>
    </g>
  );
}

function OnThePan({
  picture,
  load,
  mended,
}: {
  readonly picture: ElectronicBalancePicture;
  readonly load: Load;
  readonly mended: boolean;
}) {
  if (load === 0) return null;
  if (load === 3)
    return (
      <path
        d="M250 230 H520 V340 H250 Z M250 266 H520 M250 302 H520"
        fill="#9c7440"
        stroke="#5d431f"
        strokeWidth={3}
      />
    );
  if (picture.task === 'straight') {
    const flaw = mended ? 'none' : picture.flaw;
    const x = flaw === 'off-centre' ? 466 : 385;
    return (
      <g>
        <circle cx={x} cy={288} r={44} fill="none" stroke="#b9c4c0" strokeWidth={20} />
        {flaw === 'wet' &&
          [-46, -18, 12, 40].map((dx) => (
            <ellipse key={dx} cx={x + dx} cy={332} rx={5} ry={8} fill="#9cc4e8" stroke="#cfe4f6" />
          ))}
        {flaw === 'warm' &&
          [-30, 0, 30].map((dx) => (
            <path
              key={dx}
              d={`M${x + dx} 226 q-10 -16 0 -32 q10 -16 0 -32`}
              fill="none"
              stroke="#e6efe9"
              strokeWidth={3}
              strokeOpacity={0.7}
            />
          ))}
      </g>
    );
  }
  return (
    <g>
      {load === 2 && <path d="M338 274 H432 V338 H338 Z" fill="#d9b24a" fillOpacity={0.85} />}
      <path d="M332 220 V340 H438 V220" fill="none" stroke="#bcd2ca" strokeWidth={5} />
    </g>
  );
}

/** Where its parts lie. */
export const electronicBalanceSpots: Spots = {
  display: { x: 470, y: 472 },
  edge: { x: 385, y: 330 },
};
