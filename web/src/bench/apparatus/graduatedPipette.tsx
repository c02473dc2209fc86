import { graduatedPipetteModel, type GraduatedPipettePicture } from '@green-beam/core';
import { buretteView, Downward, downwardSpots, eyeMmAt } from '@green-beam/drawing';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import type { ApparatusProps } from './apparatus';
import { CardButton } from './CardButton';
import { BulbOnly } from './BulbOnly';
import { Finger } from './Outflow';
import { eyeHandle, eyeWords, ringWords } from './eyeHandle';

import { Stage } from './Stage';
import { useFlow } from './tap';
import { useHands } from './useHands';

/** The graduated pipette in hand: a fingertip on top lets it run, drip, or holds it. */
export function GraduatedPipetteApparatus({ picture, handled, left, onHands }: ApparatusProps) {
  const pipette = picture as GraduatedPipettePicture;
  const { highest, division } = graduatedPipetteModel(pipette.model);
  const [hands, move] = useHands(
    {
      level: pipette.levelMl,
      initial: pipette.initialMl,
      noted: false,
      eyeMm: pipette.eyeMm,
      card: !handled,
    },
    left,
    onHands,
  );
  const [open, setOpen] = useState(0);
  useFlow(open, Number(highest) / 10, Number(division) / 2, (ml) =>
    move({ level: Number(Math.min(Number(highest) + 0.5, hands.level + ml).toFixed(4)) }),
  );
  const eyeProps = eyeHandle({
    eyeMm: hands.eyeMm,
    reachMm: 140,
    along: 'y',
    says: ringWords(hands.eyeMm),
    placeToMm: eyeMmAt,
    onLook: (eyeMm) => move({ eyeMm }),
  });
  const pair = !handled && pipette.task === 'delivered';
  const seen = { ...pipette, eyeMm: hands.eyeMm, levelMl: hands.level };
  const turnCard = () => move({ card: !hands.card });
  return (
    <Stage
      label="Graduated pipette"
      view={buretteView}
      keys={{ c: turnCard }}
      says={handled ? eyeWords : ''}
      spots={() => downwardSpots(seen, pair)}
      tools={
        <>
          <CardButton pressed={hands.card} onPress={turnCard} />
          {handled && (
            <>
              <Finger open={open} onOpen={setOpen} />
              <Button
                look="bench"
                disabled={open > 0}
                onClick={() => move({ noted: true, initial: hands.level })}
              >
                {hands.noted ? 'Start noted; note again' : 'Note the start'}
              </Button>
              <Button
                look="bench"
                onClick={() => move({ level: pipette.initialMl, initial: pipette.initialMl, noted: false })}
              >
                Draw it up again
              </Button>
              <BulbOnly />
            </>
          )}
        </>
      }
    >
      <Downward picture={seen} card={hands.card} pair={pair} {...(handled ? { eyeProps } : {})} />
    </Stage>
  );
}
