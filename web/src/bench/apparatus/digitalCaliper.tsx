import type { DigitalCaliperPicture } from '@green-beam/core';
import { DigitalCaliper, digitalCaliperSpots, digitalCaliperView, digitalJawAt } from '@green-beam/drawing';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import type { ApparatusProps } from './apparatus';
import { handleProps } from './handle';
import { Stage } from './Stage';
import { useHands } from './useHands';

/** The digital caliper in hand: closed and zeroed, millimetres or inches, and jaws that can squeeze. */
export function DigitalCaliperApparatus({ picture, handled, left, onHands }: ApparatusProps) {
  const caliper = picture as DigitalCaliperPicture;
  const { sizeMm, yieldsMm } = caliper;
  const [hands, move] = useHands(
    { at: caliper.atMm, zeroed: caliper.zeroed, inch: caliper.model === 'digital-inch' },
    left,
    onHands,
  );
  const [closed, setClosed] = useState(false);
  const slide = (at: number) =>
    move({ at: Number(Math.min(150, Math.max(sizeMm - yieldsMm, at)).toFixed(3)) });
  const jawProps = handleProps({
    label: 'Sliding jaw',
    share: hands.at / 150,
    says: touchWords(hands.at, sizeMm),
    along: 'x',
    onStep: (direction, finer) => {
      const next = hands.at + direction * (finer ? 0.05 : 2);
      slide(hands.at > sizeMm && next < sizeMm ? sizeMm : next);
    },
    onStop: (direction) => slide(direction === 1 ? 150 : sizeMm),
    onDrag: (_, by) => slide(hands.at + digitalJawAt(by) - digitalJawAt(0)),
  });
  const seen: DigitalCaliperPicture = {
    ...caliper,
    model: hands.inch ? 'digital-inch' : 'digital-mm',
    zeroed: hands.zeroed,
    atMm: closed ? 0 : hands.at,
  };
  return (
    <Stage
      label="Digital caliper"
      view={digitalCaliperView}
      says={
        handled ? (closed ? 'The jaws are closed, with nothing between.' : touchWords(hands.at, sizeMm)) : ''
      }
      spots={() => digitalCaliperSpots(seen)}
      tools={
        <>
          <Button look="bench" aria-pressed={closed} onClick={() => setClosed(!closed)}>
            Close the jaws (check zero)
          </Button>
          {handled && (
            <>
              <Button look="bench" disabled={!closed} onClick={() => move({ zeroed: true })}>
                Zero
              </Button>
              <Button look="bench" onClick={() => move({ inch: !hands.inch })}>
                {hands.inch ? 'To millimetres' : 'To inches'}
              </Button>
            </>
          )}
        </>
      }
    >
      <DigitalCaliper picture={seen} closed={closed} {...(handled && !closed ? { jawProps } : {})} />
    </Stage>
  );
}

const touchWords = (at: number, size: number): string => {
  if (at > size + 0.005) return 'The jaws do not touch the object yet.';
  return at < size - 0.005 ? 'The jaws press into the object.' : 'The jaws touch the object.';
};
