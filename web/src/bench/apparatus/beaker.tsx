import type { BeakerPicture } from '@green-beam/core';
import { Beaker, beakerEyeMmAt, beakerSpots, beakerView } from '@green-beam/drawing';
import type { ApparatusProps } from './apparatus';
import { CardButton } from './CardButton';
import { eyeHandle, eyeWords, ringWords } from './eyeHandle';
import { Stage } from './Stage';
import { useHands } from './useHands';

/** A beaker or a conical flask in hand: the eye on its rail. */
export function BeakerApparatus({ picture, handled, left, onHands }: ApparatusProps) {
  const beaker = picture as BeakerPicture;
  const [hands, move] = useHands({ eyeMm: beaker.eyeMm, card: !handled }, left, onHands);
  const seen = { ...beaker, eyeMm: hands.eyeMm };
  const turnCard = () => move({ card: !hands.card });
  const eyeProps = eyeHandle({
    eyeMm: hands.eyeMm,
    reachMm: 140,
    along: 'y',
    says: ringWords(hands.eyeMm),
    placeToMm: (y) => beakerEyeMmAt(beaker, y),
    onLook: (eyeMm) => move({ eyeMm }),
  });
  return (
    <Stage
      label="Beaker or conical flask"
      view={beakerView}
      keys={{ c: turnCard }}
      says={handled ? eyeWords : ''}
      spots={() => beakerSpots(seen)}
      tools={<CardButton pressed={hands.card} onPress={turnCard} />}
    >
      <Beaker picture={seen} card={hands.card} {...(handled ? { eyeProps } : {})} />
    </Stage>
  );
}
