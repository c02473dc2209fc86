import { rulerEyeReachMm, type RulerPicture } from '@green-beam/core';
import { Ruler, rulerEyeMmAt, rulerView, rulerSpots } from '@green-beam/drawing';
import type { ApparatusProps } from './apparatus';
import { eyeHandle, eyeWords } from './eyeHandle';
import { Stage } from './Stage';
import { useHands } from './useHands';

/** The ruler in hand: the eye moves along it until it is square above the end. */
export function RulerApparatus({ picture, handled, left, onHands }: ApparatusProps) {
  const rule = picture as RulerPicture;
  const [hands, move] = useHands({ eyeMm: rule.eyeMm, eyeSquare: !handled }, left, onHands);
  const eyeProps = eyeHandle({
    eyeMm: hands.eyeMm,
    reachMm: rulerEyeReachMm,
    along: 'x',
    says:
      Math.abs(hands.eyeMm) < 3
        ? 'square above the end'
        : `to the ${hands.eyeMm > 0 ? 'right' : 'left'} of the end`,
    placeToMm: rulerEyeMmAt,
    onLook: (eyeMm) => move({ eyeMm }),
  });
  return (
    <Stage
      label="Ruler on a slate tally token"
      view={rulerView}
      spots={() => rulerSpots({ ...rule, eyeMm: hands.eyeMm })}
      says={handled ? eyeWords : ''}
    >
      <Ruler picture={{ ...rule, eyeMm: hands.eyeMm }} {...(handled ? { eyeProps } : {})} />
    </Stage>
  );
}
