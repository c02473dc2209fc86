import { restsAfterSeconds, thermometerEyeReachMm, type ThermometerPicture } from '@green-beam/core';
import { Thermometer, thermometerEyeMmAt, thermometerView, thermometerSpots } from '@green-beam/drawing';
import { Button } from '../../ui/Button';
import type { ApparatusProps } from './apparatus';
import { eyeHandle } from './eyeHandle';
import { Stage } from './Stage';
import { useHands } from './useHands';
import { useTicking } from './useTicking';

/** Lesson time is short: the column's time runs this much faster than the clock. */
const hurry = 4;

/** The thermometer in hand: the column takes its time, the clamp is raised clear of the base, the eye brought level. */
export function ThermometerApparatus({ picture, handled, left, onHands }: ApparatusProps) {
  const hung = picture as ThermometerPicture;
  const [hands, move] = useHands(
    { seconds: hung.seconds, bulbOnBase: hung.bulbOnBase, eyeMm: hung.eyeMm },
    left,
    onHands,
  );
  const moving = handled && hands.seconds < restsAfterSeconds;
  useTicking(moving, (passed) => move({ seconds: hands.seconds + hurry * passed }));
  const eyeProps = eyeHandle({
    eyeMm: hands.eyeMm,
    reachMm: thermometerEyeReachMm,
    along: 'y',
    says:
      Math.abs(hands.eyeMm) < 3
        ? 'level with the end of the column'
        : `${hands.eyeMm > 0 ? 'above' : 'below'} the end of the column`,
    placeToMm: thermometerEyeMmAt,
    onLook: (eyeMm) => move({ eyeMm }),
  });
  return (
    <Stage
      label="Thermometer in a beaker"
      view={thermometerView}
      says={handled ? (moving ? 'The column moves.' : 'The column rests.') : ''}
      spots={() => thermometerSpots({ ...hung, ...hands })}
      tools={
        handled && (
          <>
            {/* Moved to another place, the bulb has to settle anew. */}
            <Button
              look="bench"
              onClick={() => move({ bulbOnBase: !hands.bulbOnBase, seconds: Math.min(hands.seconds, 30) })}
            >
              {hands.bulbOnBase ? 'Raise the clamp' : 'Lower the clamp'}
            </Button>
          </>
        )
      }
    >
      <Thermometer picture={{ ...hung, ...hands }} {...(handled ? { eyeProps } : {})} />
    </Stage>
  );
}
