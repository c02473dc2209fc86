import { caliperModel, leastCount, type CaliperPicture } from '@green-beam/core';
import { caliperView, jawAt, VernierCaliper } from '@green-beam/drawing';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import type { ApparatusProps } from './apparatus';
import { handleProps } from './handle';
import { Stage } from './Stage';
import { useHands } from './useHands';

/** The vernier caliper in hand: the jaw slides until it touches, and further into what is soft; closed on nothing it shows its zero error. */
export function CaliperApparatus({ picture, handled, left, onHands }: ApparatusProps) {
  const caliper = picture as CaliperPicture;
  const model = caliperModel(caliper.model);
  const { touchesAt, yields, closedAt } = caliper;
  const [hands, move] = useHands({ at: caliper.at }, left, onHands);
  const [closed, setClosed] = useState(false);
  const slide = (at: number) =>
    move({ at: Math.min(Number(model.highest), Math.max(touchesAt - yields, at)) });
  const jawProps = handleProps({
    label: 'Sliding jaw',
    share: hands.at / Number(model.highest),
    says: touchWords(hands.at, touchesAt),
    along: 'x',
    onStep: (direction, finer) => {
      const next = hands.at + direction * (finer ? leastCount(model) : model.mainDivision);
      // A jaw that meets the object stops there; only pressing on squeezes it.
      slide(hands.at > touchesAt && next < touchesAt ? touchesAt : next);
    },
    onDrag: (x) => slide(jawAt(model, x - 46)),
  });
  const at = closed ? closedAt : hands.at;
  return (
    <Stage
      label="Vernier caliper"
      view={caliperView}
      lensAt={{ x: 260, y: 440 }}
      zoom={4}
      tools={
        <>
          <Button look="bench" aria-pressed={closed} onClick={() => setClosed(!closed)}>
            Closed on nothing
          </Button>
          <p role="status" className="ml-auto self-center text-sm">
            {closed
              ? 'The jaws are closed, with nothing between.'
              : handled
                ? touchWords(hands.at, touchesAt)
                : ''}
          </p>
        </>
      }
    >
      <VernierCaliper picture={{ ...caliper, at }} {...(handled && !closed ? { jawProps } : {})} />
    </Stage>
  );
}

const touchWords = (at: number, touchesAt: number): string =>
  at > touchesAt + 1e-9 ? 'The jaws do not touch the object yet.' : 'The jaws touch the object.';
