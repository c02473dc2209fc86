import { levelWithin, pointerMarks, screwReach, type BalancePicture } from '@green-beam/core';
import { balanceSpots, balanceView, BeamBalance, beamModel, gramsAt } from '@green-beam/drawing';
import { useEffect, useState, type ReactNode } from 'react';
import { Button } from '../../ui/Button';
import type { ApparatusProps, Hands } from './apparatus';
import { handleProps } from './handle';
import { Stage } from './Stage';
import { useHands } from './useHands';
import { useSettling } from './useSettling';

/** How near to a notch a rider has to be let go to drop into it, as a share of the way to the next. */
const snapsWithin = 0.36;

/** A balance with beams in hand: riders, pan, zero screw; the beam tips, swings and settles. */
export function BalanceApparatus({ picture, handled, left, onHands }: ApparatusProps) {
  const balance = picture as BalancePicture;
  const model = beamModel(balance.model);
  const d = Number(model.division);
  const [hands, move] = useHands(
    { ...balance.riders, onPan: balance.onPan, screw: 0 } as Hands,
    left,
    onHands,
  );
  const grams = (key: string) => Number(hands[key] ?? 0);
  const onPan = hands['onPan'] === true;
  const imbalance =
    (onPan ? balance.loadMoment : 0) +
    balance.zeroMoment +
    grams('screw') -
    model.beams.reduce((sum, { key }) => sum + grams(key), 0);
  const level = !handled || Math.abs(imbalance) <= levelWithin(model) + 1e-9;
  const target = level ? 0 : pointerMarks(model, imbalance);
  const [rests, setRests] = useState(true);

  const shown = { ...balance, riders: { ...balance.riders, ...numbers(hands) }, onPan };

  const place = (key: string, top: number, to: number) =>
    move({ [key]: Number(Math.min(top, Math.max(0, to)).toFixed(4)) });
  const riderProps = ({ key, name, top, notch }: (typeof model.beams)[number]) =>
    handleProps({
      label: `Rider on the beam of ${name}`,
      share: grams(key) / top,
      says:
        notch === null
          ? `${Math.round((grams(key) / top) * 100)} hundredths along the beam`
          : inNotches(grams(key) / notch),
      along: 'x',
      onStep: (direction, finer) =>
        place(
          key,
          top,
          finer
            ? grams(key) + direction * (notch === null ? d / 10 : notch * 0.1)
            : notch === null
              ? grams(key) + direction * d
              : nextNotch(grams(key), notch, direction),
        ),
      onStop: (direction) => place(key, top, direction === 1 ? top : 0),
      onDrag: (x) => place(key, top, gramsAt({ top }, x)),
      onDrop: () => notch !== null && place(key, top, snapped(grams(key), notch)),
    });

  return (
    <Stage
      label={model.name}
      view={balanceView}
      says={handled ? pointerWords(rests, target) : ''}
      spots={() => balanceSpots(shown)}
      tools={
        handled && (
          <>
            <Button look="bench" onClick={() => move({ onPan: !onPan })}>
              {onPan ? 'Take the tin off' : 'Put the tin on the pan'}
            </Button>
            <label className="flex items-center gap-2">
              Zero screw
              <input
                type="range"
                min={-screwReach(model)}
                max={screwReach(model)}
                step={d / 2}
                value={grams('screw')}
                aria-valuetext={screwWords(grams('screw') / (d / 2))}
                onChange={(event) => move({ screw: Number(event.target.value) })}
                className="w-36 accent-[#c79a45]"
              />
            </label>
          </>
        )
      }
    >
      <Swing target={target} onRests={setRests}>
        {(stands) => <BeamBalance picture={shown} pointer={stands} {...(handled ? { riderProps } : {})} />}
      </Swing>
      {!handled && <title>Riders as they stand; the pointer rests on its zero mark.</title>}
    </Stage>
  );
}

/** What swings, drawn apart from what stands still around it. */
function Swing({
  target,
  onRests,
  children,
}: {
  readonly target: number;
  readonly onRests: (rests: boolean) => void;
  readonly children: (stands: number) => ReactNode;
}) {
  const { stands, rests } = useSettling(target);
  useEffect(() => onRests(rests), [onRests, rests]);
  return children(stands);
}

const numbers = (hands: Readonly<Record<string, number | boolean>>): Record<string, number> =>
  Object.fromEntries(
    Object.entries(hands).flatMap(([key, value]) => (typeof value === 'number' ? [[key, value]] : [])),
  );

export const snapped = (grams: number, notch: number): number => {
  const nearest = Math.round(grams / notch) * notch;
  return Math.abs(grams - nearest) <= snapsWithin * notch ? nearest : grams;
};

const nextNotch = (grams: number, notch: number, direction: 1 | -1): number =>
  (direction === 1 ? Math.floor(grams / notch + 1e-6) + 1 : Math.ceil(grams / notch - 1e-6) - 1) * notch;

const inNotches = (notches: number): string =>
  Math.abs(notches - Math.round(notches)) < 1e-6 ? `in notch ${Math.round(notches)}` : 'between two notches';

const screwWords = (clicks: number): string =>
  clicks === 0
    ? 'as found'
    : `turned ${Math.round(Math.abs(clicks))} clicks ${clicks < 0 ? 'left' : 'right'}`;

/** Level is judged at rest, or sooner by equal swings. */
function pointerWords(rests: boolean, target: number): string {
  if (rests && target === 0) return 'The pointer rests on its mark.';
  if (rests)
    return `The pointer rests ${target > 0 ? 'high' : 'low'}${Math.abs(target) > 9.5 ? ', at its stop' : ''}.`;
  return target === 0
    ? 'The pointer swings as far above its mark as below.'
    : `The pointer swings further ${target > 0 ? 'above' : 'below'} its mark.`;
}
