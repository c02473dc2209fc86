import { forcedMm, micrometerModel, type MicrometerPicture } from '@green-beam/core';
import { Micrometer, micrometerView, spindleMm, micrometerSpots } from '@green-beam/drawing';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import type { ApparatusProps } from './apparatus';
import { handleProps } from './handle';
import { Stage } from './Stage';
import { useHands } from './useHands';

/** The micrometer in hand: the ratchet closes it until it slips; the thimble can be forced further. */
export function MicrometerApparatus({ picture, handled, left, onHands }: ApparatusProps) {
  const screw = picture as MicrometerPicture;
  const { pitch, division } = micrometerModel(screw.model);
  const { touchesAt, closedAt } = screw;
  const [hands, move] = useHands({ at: screw.at, locked: false }, left, onHands);
  const [closed, setClosed] = useState(false);
  const turn = (at: number) => hands.locked || move({ at: Math.min(25, Math.max(touchesAt - forcedMm, at)) });
  const thimbleProps = handleProps({
    label: 'Thimble',
    share: hands.at / 25,
    says: touchWords(hands.at, touchesAt),
    along: 'x',
    onStep: (direction, finer) => {
      const next = hands.at + direction * (finer ? Number(division) : pitch / 5);
      turn(hands.at > touchesAt && next < touchesAt ? touchesAt : next);
    },
    onStop: (direction) => turn(direction === 1 ? 25 : touchesAt),
    onDrag: (_, by) => turn(Math.max(touchesAt, hands.at + spindleMm(by))),
  });
  return (
    <Stage
      label="Micrometer"
      view={micrometerView}
      says={closed ? 'It is closed, with nothing between.' : handled ? touchWords(hands.at, touchesAt) : ''}
      spots={() => micrometerSpots({ ...screw, at: closed ? closedAt : hands.at })}
      zoom={3}
      tools={
        <>
          {handled && (
            <Button look="bench" onClick={() => turn(touchesAt)} disabled={closed || hands.locked}>
              Ratchet
            </Button>
          )}
          {handled && (
            <Button look="bench" aria-pressed={hands.locked} onClick={() => move({ locked: !hands.locked })}>
              Lock
            </Button>
          )}
          <Button look="bench" aria-pressed={closed} onClick={() => setClosed(!closed)}>
            Close the jaws (check zero)
          </Button>
        </>
      }
    >
      <Micrometer
        picture={{ ...screw, at: closed ? closedAt : hands.at }}
        {...(handled && !closed ? { thimbleProps } : {})}
      />
    </Stage>
  );
}

function touchWords(at: number, touchesAt: number): string {
  if (at >= 25) return 'It is fully open: 25 mm is all it takes.';
  if (at > touchesAt + 1e-9) return 'The spindle does not touch yet.';
  return at < touchesAt - 1e-9 ? 'The screw is forced.' : 'The ratchet slips: it touches.';
}
