import { buretteModel, drainsInSeconds, dropMl, type BurettePicture } from '@green-beam/core';
import { buretteView, Downward, downwardSpots, eyeMmAt, tapPlace } from '@green-beam/drawing';
import { Button } from '../../ui/Button';
import type { ApparatusProps } from './apparatus';
import { CardButton } from './CardButton';
import { eyeHandle, ringWords } from './eyeHandle';
import { handleProps } from './handle';
import { Stage } from './Stage';
import { dripsBelow, useFlow } from './tap';
import { useHands } from './useHands';
import { useTicking } from './useTicking';

/** The burette in hand: the tap, the tip and its drop, the start that is noted, the eye. */
export function BuretteApparatus({ picture, handled, left, onHands }: ApparatusProps) {
  const burette = picture as BurettePicture;
  const top = Number(buretteModel(burette.model).highest);
  const [hands, move] = useHands(
    {
      level: burette.levelMl,
      initial: burette.initialMl,
      noted: false,
      eyeMm: burette.eyeMm,
      air: burette.airInTip,
      bubbleLeft: false,
      dropHangs: false,
      wallWet: false,
      drained: drainsInSeconds,
      open: 0,
      card: !handled,
    },
    left,
    onHands,
  );
  useFlow(handled ? hands.open : 0, top / 12, dropMl, (ml, fast) => {
    const clears = hands.air && fast;
    move({
      level: Number(Math.min(top + 0.5, hands.level + ml + (clears ? burette.faults.bubble : 0)).toFixed(4)),
      dropHangs: true,
      ...(fast ? { wallWet: true, drained: 0 } : {}),
      ...(clears ? { air: false, bubbleLeft: hands.noted } : {}),
    });
  });
  // What clings to the wall comes down while one waits: the level settles a little.
  useTicking(handled && hands.open === 0 && hands.wallWet, (seconds) => {
    const drained = hands.drained + seconds * 2;
    move(drained >= drainsInSeconds ? { drained, wallWet: false } : { drained });
  });
  const turnTap = (open: number) => move({ open: Math.min(1, Math.max(0, Number(open.toFixed(3)))) });
  const tapProps = handleProps({
    label: 'Tap',
    share: hands.open,
    says: tapWords(hands.open),
    along: 'y',
    onStep: (direction, finer) => turnTap(hands.open + direction * (finer ? 0.05 : 0.2)),
    onStop: (direction) => turnTap(direction),
    onDrag: (y) => turnTap((tapPlace.y + 46 - y) / 92),
  });
  const eyeProps = eyeHandle({
    eyeMm: hands.eyeMm,
    reachMm: 140,
    along: 'y',
    says: ringWords(hands.eyeMm),
    placeToMm: eyeMmAt,
    onLook: (eyeMm) => move({ eyeMm }),
  });
  const pair = !handled && burette.task === 'delivered';
  const seen = { ...burette, eyeMm: hands.eyeMm, levelMl: hands.level };
  const fill = () =>
    move({
      level: burette.initialMl,
      initial: burette.initialMl,
      noted: false,
      bubbleLeft: false,
      wallWet: false,
      dropHangs: false,
      open: 0,
    });
  const turnCard = () => move({ card: !hands.card });
  return (
    <Stage
      label="Burette"
      view={buretteView}
      keys={{ c: turnCard }}
      says={
        handled
          ? [
              tapWords(hands.open),
              hands.air ? 'There is air in the tip.' : '',
              hands.dropHangs && hands.open === 0 ? 'A drop hangs at the tip.' : '',
              hands.wallWet ? 'The wall drains.' : '',
            ]
              .filter(Boolean)
              .join(' ')
          : ''
      }
      spots={() => downwardSpots(seen, pair)}
      tools={
        <>
          <CardButton pressed={hands.card} onPress={turnCard} />
          {handled && (
            <>
              <Button
                look="bench"
                onClick={() => move({ noted: true, initial: hands.level, bubbleLeft: false })}
                disabled={hands.open > 0}
              >
                {hands.noted ? 'Start noted; note again' : 'Note the start'}
              </Button>
              <Button
                look="bench"
                onClick={() => move({ dropHangs: false })}
                disabled={!hands.dropHangs || hands.open > 0}
              >
                Touch off the drop
              </Button>
              <Button look="bench" onClick={() => turnTap(0)}>
                Shut
              </Button>
              <Button look="bench" onClick={fill}>
                Fill again
              </Button>
            </>
          )}
        </>
      }
    >
      <Downward
        picture={{
          ...seen,
          levelMl:
            hands.level + (hands.wallWet ? burette.faults.wall * (1 - hands.drained / drainsInSeconds) : 0),
        }}
        card={hands.card}
        pair={pair}
        tap={{ open: hands.open, bubble: handled && hands.air, drop: hands.dropHangs && hands.open === 0 }}
        {...(handled ? { eyeProps, tapProps } : {})}
      />
    </Stage>
  );
}

function tapWords(open: number): string {
  if (open === 0) return 'The tap stands across: shut.';
  return open > dripsBelow ? 'The tap is open: it runs.' : 'The tap is feathered: it drips.';
}
