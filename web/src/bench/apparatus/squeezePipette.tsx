import { squeezeModel, type SqueezePicture } from '@green-beam/core';
import { eyeMmAt, SqueezePipette, squeezeSpots, squeezeView } from '@green-beam/drawing';
import { Button } from '../../ui/Button';
import type { ApparatusProps } from './apparatus';
import { CardButton } from './CardButton';
import { eyeHandle, eyeWords, ringWords } from './eyeHandle';
import { Stage } from './Stage';
import { useHands } from './useHands';

/** A squeeze pipette in hand: its rough scale is read, or its drops fall at a press and are counted. */
export function SqueezeApparatus({ picture, handled, left, onHands }: ApparatusProps) {
  const pipette = picture as SqueezePicture;
  const { counts } = squeezeModel(pipette.model);
  const [hands, move] = useHands(
    { eyeMm: pipette.eyeMm, card: !handled, drops: pipette.drops },
    left,
    onHands,
  );
  const seen = { ...pipette, eyeMm: hands.eyeMm, drops: hands.drops };
  const turnCard = () => move({ card: !hands.card });
  const fall = () => move({ drops: hands.drops + 1 });
  const eyeProps = eyeHandle({
    eyeMm: hands.eyeMm,
    reachMm: 140,
    along: 'y',
    says: ringWords(hands.eyeMm),
    placeToMm: eyeMmAt,
    onLook: (eyeMm) => move({ eyeMm }),
  });
  return (
    <Stage
      label={counts ? 'Drops from a squeeze pipette' : 'Squeeze pipette'}
      view={squeezeView}
      keys={counts ? (handled ? { d: fall } : {}) : { c: turnCard }}
      says={handled && !counts ? eyeWords : ''}
      spots={() => squeezeSpots(seen)}
      tools={
        counts ? (
          handled && (
            <>
              <Button look="bench" onClick={fall}>
                Let a drop fall <kbd className="font-mono text-sm opacity-80">d</kbd>
              </Button>
              <Button look="bench" onClick={() => move({ drops: 0 })}>
                Lost the count: begin again
              </Button>
            </>
          )
        ) : (
          <CardButton pressed={hands.card} onPress={turnCard} />
        )
      }
    >
      <SqueezePipette picture={seen} card={hands.card} {...(handled ? { eyeProps } : {})} />
    </Stage>
  );
}
