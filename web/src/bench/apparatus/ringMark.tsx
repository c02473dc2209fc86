import { modelIn, mmPerMl, volumetricFlasks, volumetricPipettes, type RingPicture } from '@green-beam/core';
import { eyeMmAt, RingMark, ringSpots, ringView } from '@green-beam/drawing';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import type { ApparatusProps } from './apparatus';
import { CardButton } from './CardButton';
import { BulbOnly } from './BulbOnly';
import { eyeHandle, ringWords } from './eyeHandle';
import { Finger, Pour } from './Outflow';
import { Stage } from './Stage';
import { useFlow } from './tap';
import { useHands } from './useHands';
import { useTicking } from './useTicking';

/** How far the surface creeps at most at a time, in millimetres. */
const creepMm = 0.5;

/** Seconds that a pipette takes to run out, and then is waited for. */
const runsOutIn = 4;

/** Glass with one ring in hand: a flask is filled up to it, a pipette is run down to it and then delivered. */
export function RingMarkApparatus({ picture, handled, left, onHands }: ApparatusProps) {
  const glass = picture as RingPicture;
  const pipette = glass.kind === 'volumetric-pipette';
  const model = modelIn([...volumetricPipettes, ...volumetricFlasks], 'ring-marked glass', glass.model);
  const start = {
    aboveMm: glass.aboveMm,
    eyeMm: glass.eyeMm,
    delivered: false,
    ranFor: -1,
    touched: !pipette || !handled,
    blown: false,
    card: !handled,
  };
  const [hands, move] = useHands(start, left, onHands);
  const [open, setOpen] = useState(0);
  const perMl = mmPerMl(model);
  // In a narrow neck a whole drop would pass the ring: an eased fingertip lets the surface creep.
  useFlow(open, 14 / perMl, Math.min(0.05, creepMm / perMl), (ml) => {
    const by = ml * perMl * (pipette ? -1 : 1);
    move({ aboveMm: Number(Math.max(-180, Math.min(60, hands.aboveMm + by)).toFixed(3)) });
  });
  useTicking(hands.ranFor >= 0 && !hands.delivered, (seconds) => {
    const ranFor = hands.ranFor + seconds;
    move({ ranFor, delivered: ranFor >= runsOutIn });
  });
  const eyeProps = eyeHandle({
    eyeMm: hands.eyeMm,
    reachMm: 140,
    along: 'y',
    says: ringWords(hands.eyeMm),
    placeToMm: eyeMmAt,
    onLook: (eyeMm) => move({ eyeMm }),
  });
  const again = () => {
    setOpen(0);
    move({ ...start, eyeMm: hands.eyeMm, card: hands.card });
  };
  const turnCard = () => move({ card: !hands.card });
  const running = hands.ranFor >= 0;
  return (
    <Stage
      label={model.name}
      view={ringView}
      keys={{ c: turnCard }}
      says={
        handled
          ? running
            ? hands.delivered
              ? 'It has run out.'
              : 'It runs out.'
            : placeWords(hands.aboveMm)
          : ''
      }
      spots={() => ringSpots({ ...glass, aboveMm: hands.aboveMm, eyeMm: hands.eyeMm })}
      tools={
        <>
          <CardButton pressed={hands.card} onPress={turnCard} />
          {handled && (
            <>
              {pipette ? (
                !running && <Finger open={open} onOpen={setOpen} />
              ) : (
                <Pour open={open} onOpen={setOpen} />
              )}
              {pipette && (
                <>
                  <Button look="bench" disabled={open > 0 || running} onClick={() => move({ ranFor: 0 })}>
                    Deliver
                  </Button>
                  <Button
                    look="bench"
                    disabled={!hands.delivered || hands.touched}
                    onClick={() => move({ touched: true })}
                  >
                    Touch the tip to the wall
                  </Button>
                  <Button
                    look="bench"
                    disabled={!hands.delivered || hands.blown}
                    onClick={() => move({ blown: true })}
                  >
                    Expel the last drop
                  </Button>
                </>
              )}
              <Button look="bench" onClick={again}>
                {pipette ? 'Draw it up again' : 'Empty it'}
              </Button>
              {pipette && <BulbOnly />}
            </>
          )}
        </>
      }
    >
      <RingMark
        picture={{
          ...glass,
          aboveMm: running ? hands.aboveMm - Math.max(0, hands.ranFor) * 60 : hands.aboveMm,
          eyeMm: hands.eyeMm,
        }}
        card={hands.card && !running}
        {...(handled && !running ? { eyeProps } : {})}
      />
    </Stage>
  );
}

const placeWords = (aboveMm: number): string => {
  if (Math.abs(aboveMm) > 25) return `The surface is far ${aboveMm > 0 ? 'above' : 'below'} the ring.`;
  return 'The surface is near the ring.';
};
