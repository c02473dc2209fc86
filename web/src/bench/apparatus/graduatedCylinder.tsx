import { cylinderModel, dropsWithin, eyeReachMm, mmPerMl, type CylinderPicture } from '@green-beam/core';
import { cylinderSpots, cylinderView, eyeMmAt, GraduatedCylinder } from '@green-beam/drawing';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import type { ApparatusProps } from './apparatus';
import { CardButton } from './CardButton';
import { eyeHandle, eyeWords, ringWords } from './eyeHandle';
import { Pour } from './Outflow';
import { Stage } from './Stage';
import { useFlow } from './tap';
import { useHands } from './useHands';

/** The graduated cylinder in hand: the eye on its rail, a card behind, and a wash bottle where it is to be filled. */
export function CylinderApparatus({ picture, handled, left, onHands }: ApparatusProps) {
  const cylinder = picture as CylinderPicture;
  const model = cylinderModel(cylinder.model);
  const filling = handled && cylinder.filling;
  const beginsAt = Number(model.lowest) * 0.6;
  const [hands, move] = useHands(
    { eyeMm: cylinder.eyeMm, card: !handled, level: filling ? beginsAt : 0 },
    left,
    onHands,
  );
  const [open, setOpen] = useState(0);
  // Near the mark a stream is slowed to a trickle: the last part goes in by drops.
  const near = Math.abs((cylinder.targetMl ?? 0) - hands.level) < dropsWithin * Number(model.division);
  useFlow(
    filling ? open : 0,
    near ? Number(model.division) * 2 : (cylinder.targetMl ?? 0) / 4,
    Number(model.division) * 0.07,
    (ml) => move({ level: Number(Math.min(Number(model.highest) * 1.05, hands.level + ml).toFixed(4)) }),
  );
  const seen: CylinderPicture = {
    ...cylinder,
    eyeMm: hands.eyeMm,
    ...(filling ? { heightMm: hands.level * mmPerMl(model) } : {}),
  };
  const eyeProps = eyeHandle({
    eyeMm: hands.eyeMm,
    reachMm: eyeReachMm,
    along: 'y',
    says: ringWords(hands.eyeMm),
    placeToMm: eyeMmAt,
    onLook: (eyeMm) => move({ eyeMm }),
  });
  const turnCard = () => move({ card: !hands.card });
  return (
    <Stage
      label={surfaceWords[cylinder.surface]}
      view={cylinderView}
      keys={{ c: turnCard }}
      says={handled && !filling ? eyeWords : ''}
      spots={() => cylinderSpots(seen)}
      tools={
        <>
          <CardButton pressed={hands.card} onPress={turnCard} />
          {filling && (
            <>
              <Pour open={open} onOpen={setOpen} />
              <Button
                look="bench"
                onClick={() => {
                  setOpen(0);
                  move({ level: beginsAt });
                }}
              >
                Pour it out
              </Button>
            </>
          )}
        </>
      }
    >
      <GraduatedCylinder picture={seen} card={hands.card} {...(handled ? { eyeProps } : {})} />
    </Stage>
  );
}

const surfaceWords = {
  concave: 'Graduated cylinder with a liquid that climbs the glass',
  convex: 'Graduated cylinder with a liquid whose surface is a dome',
  flat: 'Graduated cylinder with a liquid whose surface is flat',
} as const;
