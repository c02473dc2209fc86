import { beams, levelWithinGrams, pointerMarks, type BalancePicture } from '@green-beam/core';
import { balanceView, gramsAt, ThreeBeamBalance, type BeamKey } from '@green-beam/drawing';
import { Button } from '../../ui/Button';
import type { ApparatusProps } from './apparatus';
import { handleProps } from './handle';
import { Stage } from './Stage';
import { useHands } from './useHands';
import { useSettling } from './useSettling';

/** How near to a notch a rider has to be let go to drop into it, as a share of the way to the next. */
const snapsWithin = 0.36;
const screwStepGrams = 0.05;

/** The three-beam balance in hand: riders, pan, zero screw; the beam tips and settles. */
export function BalanceApparatus({ picture, handled, left, onHands }: ApparatusProps) {
  const balance = picture as BalancePicture;
  const [hands, move] = useHands({ ...balance.riders, onPan: balance.onPan, screw: 0 }, left, onHands);
  const imbalance =
    (hands.onPan ? balance.loadMoment : 0) +
    balance.zeroMoment +
    hands.screw -
    hands.hundreds -
    hands.tens -
    hands.ones;
  const level = !handled || Math.abs(imbalance) <= levelWithinGrams;
  const { stands, rests } = useSettling(level ? 0 : pointerMarks(imbalance));

  const place = (key: BeamKey, grams: number) => {
    const top = beams.find((beam) => beam.key === key)?.top ?? 0;
    move({ [key]: Number(Math.min(top, Math.max(0, grams)).toFixed(3)) });
  };
  const riderProps = (key: BeamKey) => {
    const { notch, top, name } = beams.find((beam) => beam.key === key) ?? beams[2];
    const grams = hands[key];
    return handleProps({
      label: `Rider on the beam of ${name}`,
      share: grams / top,
      says:
        notch === null
          ? `${Math.round((grams / top) * 100)} hundredths along the beam`
          : inNotches(grams / notch),
      along: 'x',
      onStep: (direction, finer) =>
        place(
          key,
          finer
            ? grams + direction * (notch === null ? 0.01 : notch * 0.1)
            : notch === null
              ? grams + direction * 0.1
              : nextNotch(grams, notch, direction),
        ),
      onDrag: (x) => place(key, gramsAt(key, x)),
      onDrop: () => notch !== null && place(key, snapped(grams, notch)),
    });
  };

  return (
    <Stage
      label="Three-beam balance"
      view={balanceView}
      lensAt={{ x: 400, y: 490 }}
      tools={
        handled && (
          <>
            <Button look="bench" onClick={() => move({ onPan: !hands.onPan })}>
              {hands.onPan ? 'Take the tin off' : 'Put the tin on the pan'}
            </Button>
            <label className="flex items-center gap-2">
              Zero screw
              <input
                type="range"
                min={-3}
                max={3}
                step={screwStepGrams}
                value={hands.screw}
                aria-valuetext={screwWords(hands.screw)}
                onChange={(event) => move({ screw: Number(event.target.value) })}
                className="w-36 accent-[#c79a45]"
              />
            </label>
            <p role="status" className="ml-auto self-center text-sm">
              {pointerWords(stands, rests)}
            </p>
          </>
        )
      }
    >
      <ThreeBeamBalance
        picture={{ ...balance, riders: hands, onPan: hands.onPan }}
        pointer={stands}
        {...(handled ? { riderProps } : {})}
      />
      {!handled && <title>Riders as they stand; the pointer rests on its zero mark.</title>}
    </Stage>
  );
}

export const snapped = (grams: number, notch: number): number => {
  const nearest = Math.round(grams / notch) * notch;
  return Math.abs(grams - nearest) <= snapsWithin * notch ? nearest : grams;
};

const nextNotch = (grams: number, notch: number, direction: 1 | -1): number =>
  (direction === 1 ? Math.floor(grams / notch + 1e-6) + 1 : Math.ceil(grams / notch - 1e-6) - 1) * notch;

const inNotches = (notches: number): string =>
  Math.abs(notches - Math.round(notches)) < 1e-6 ? `in notch ${Math.round(notches)}` : 'between two notches';

const screwWords = (grams: number): string =>
  grams === 0
    ? 'as found'
    : `turned ${Math.round(Math.abs(grams) / screwStepGrams)} clicks ${grams < 0 ? 'left' : 'right'}`;

function pointerWords(stands: number, rests: boolean): string {
  if (!rests) return 'The pointer swings.';
  if (stands === 0) return 'The pointer rests on its mark.';
  return `The pointer rests ${stands > 0 ? 'high' : 'low'}${Math.abs(stands) > 9.5 ? ', at its stop' : ''}.`;
}
