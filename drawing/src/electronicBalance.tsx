import {
  displayed,
  electronicBalances,
  stableAfterSeconds,
  type ElectronicBalancePicture,
} from '@green-beam/core';
import { memo } from 'react';
import { Display, Key } from './display';
import { figureFont, ink, textFont } from './ink';
import { cork, Flat, Grooves, hardPlastic, Piece, Round, satin, steel, Stroke, wood } from './matter';
import { Vessel, type Profile } from './vessel';
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

/** An electronic balance: keys and display in front, the pan in a glass box with a sliding door, a level, four feet. */
export function ElectronicBalance({
  picture,
  state,
}: {
  readonly picture: ElectronicBalancePicture;
  readonly state: ElectronicBalanceState;
}) {
  return (
    <g fontFamily={figureFont}>
      <Case model={picture.model} />
      <g className="pan">
        <Round x={368} y={302} width={34} height={42} of={steel} along="y" />
        <Piece of={steel} d="M268 286 H502 L494 304 H276 Z" />
        <path d="M404 288 H500 L493 303 H400 Z" fill={steel.dark} />
        <Stroke d="M269 287 H501" colour={steel.light} width={3} />
      </g>
      {picture.emptyGrams > 0 && <Piece of={cork} d="M470 285 q4 -10 10 -5 q6 -4 9 5 Z" />}
      <OnThePan picture={picture} load={state.load} mended={state.mended} />
      <Box doorOpen={state.doorOpen} />
      <Display
        x={182}
        y={410}
        width={406}
        height={122}
        text={displayText(picture, state)}
        unit="g"
        size={78}
        steady={isSteady(state)}
        net={state.zeroed === 1}
      />
    </g>
  );
}

/** The glass around the pan; its right-hand wall is the door, which slides back. */
const Box = memo(function Box({ doorOpen }: { readonly doorOpen: boolean }) {
  return (
    <g className="draught-shield">
      <rect
        x={190}
        y={40}
        width={390}
        height={306}
        fill="#cfe2da"
        fillOpacity={0.1}
        stroke="#c6dbd3"
        strokeWidth={3}
      />
      <path
        d="M214 64 L262 64 M206 84 L300 84"
        stroke="#ffffff"
        strokeOpacity={0.35}
        strokeWidth={4}
        strokeLinecap="round"
      />
      <rect x={186} y={34} width={398} height={9} fill={satin.base} stroke={satin.edge} />
      <g className="door" transform={doorOpen ? 'translate(48 0)' : undefined}>
        <rect
          x={568}
          y={43}
          width={14}
          height={303}
          fill="#cfe2da"
          fillOpacity={0.4}
          stroke="#c6dbd3"
          strokeWidth={2}
        />
        <rect
          x={571}
          y={168}
          width={22}
          height={52}
          rx={4}
          fill={hardPlastic.base}
          stroke={hardPlastic.edge}
        />
      </g>
    </g>
  );
});

/** Housing with its keys, the bubble that shows whether it stands level, and the feet that set it so. */
const Case = memo(function Case({ model }: { readonly model: string }) {
  const make = electronicBalances.find(({ id }) => id === model);
  return (
    <g fontFamily={textFont}>
      {[128, 590].map((x) => (
        <g key={x} className="foot">
          <Round x={x} y={592} width={52} height={22} of={hardPlastic} along="y" />
          <Grooves x={x} y={592} width={52} height={22} of={hardPlastic} along="y" count={12} />
        </g>
      ))}
      <path d="M152 346 H618 L662 392 H108 Z" fill={satin.dark} stroke={satin.edge} />
      <Flat x={96} y={392} width={578} height={202} of={satin} bevel={5} rx={4} />
      <g className="level">
        <ellipse cx={628} cy={372} rx={24} ry={11} fill="#c9d98a" stroke={satin.edge} strokeWidth={2} />
        <ellipse cx={628} cy={372} rx={10} ry={4.5} fill="none" stroke={ink.ink} strokeWidth={1.2} />
        <ellipse cx={628} cy={371} rx={6} ry={2.8} fill="#ffffff" stroke={satin.edge} strokeWidth={0.8} />
      </g>
      <Key name="on" x={108} y={442} width={60} height={56} />
      <Key name="zero" x={602} y={442} width={60} height={56} main />
      <text x={385} y={568} textAnchor="middle" fontSize={17} fill={ink.ink}>
        {make && `max ${make.highest} g    d = ${make.division} g`}
      </text>
    </g>
  );
});

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
      <g>
        <Flat x={244} y={150} width={282} height={136} of={wood} />
        <Stroke d="M244 196 H526 M244 240 H526" colour={wood.edge} width={2} />
        <Flat x={268} y={150} width={16} height={136} of={wood} />
        <Flat x={486} y={150} width={16} height={136} of={wood} />
      </g>
    );
  if (picture.task === 'straight') {
    const flaw = mended ? 'none' : picture.flaw;
    const x = flaw === 'off-centre' ? 452 : 385;
    return (
      <g>
        <circle cx={x} cy={232} r={42} fill="none" stroke={steel.edge} strokeWidth={22} />
        <circle cx={x} cy={232} r={42} fill="none" stroke={steel.base} strokeWidth={20} />
        <path
          d={`M${x - 40} 214 A44 44 0 0 1 ${x - 8} 189`}
          fill="none"
          stroke={steel.light}
          strokeWidth={5}
          strokeLinecap="round"
        />
        <path
          d={`M${x + 42} 246 A44 44 0 0 1 ${x + 12} 275`}
          fill="none"
          stroke={steel.dark}
          strokeWidth={7}
          strokeLinecap="round"
        />
        {flaw === 'wet' &&
          [-46, -18, 12, 40].map((dx) => (
            <ellipse key={dx} cx={x + dx} cy={278} rx={5} ry={8} fill="#9cc4e8" stroke="#cfe4f6" />
          ))}
        {flaw === 'warm' &&
          [-30, 0, 30].map((dx) => (
            <path
              key={dx}
              d={`M${x + dx} 168 q-10 -16 0 -32 q10 -16 0 -32`}
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
    <Vessel
      profile={panBeaker}
      x={385}
      floorY={283}
      px={1}
      levelMm={load === 2 ? 70 : null}
      colour="#d9b24a"
      spout
    />
  );
}

const panBeaker: Profile = [
  [0, 56],
  [132, 56],
];

/** Where its parts lie. */
export const electronicBalanceSpots: Spots = {
  display: { x: 430, y: 472 },
  edge: { x: 385, y: 280 },
};
