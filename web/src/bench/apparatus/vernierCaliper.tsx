import { caliperModel, leastCount, turnedBy, type CaliperPicture } from '@green-beam/core';
import { caliperSpots, caliperView, jawAt, VernierCaliper } from '@green-beam/drawing';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import type { ApparatusProps } from './apparatus';
import { handleProps } from './handle';
import { Stage } from './Stage';
import { useHands } from './useHands';

const quarter = 15;

/**
 * The vernier caliper in hand: the jaw slides until it touches, and further into what is soft; what is not round is
 * turned; with its jaws closed, as often as the class checks it, it shows its zero error.
 */
export function CaliperApparatus({ picture, handled, left, onHands }: ApparatusProps) {
  const caliper = picture as CaliperPicture;
  const model = caliperModel(caliper.model);
  const { yields, closings, outOfRound } = caliper;
  const [hands, move] = useHands({ at: caliper.at, turn: caliper.turn, locked: false }, left, onHands);
  const [closing, setClosing] = useState(-1);
  const closed = closing >= 0;
  const touchesAt = caliper.touchesAt - turnedBy(outOfRound, hands.turn);
  const inside = caliper.jaws === 'inside';
  // Around an object the jaws close until they touch, in a bore they open.
  const [least, most] = inside ? [caliper.closedAt, touchesAt] : [touchesAt - yields, Number(model.highest)];
  const slide = (at: number) => hands.locked || move({ at: Math.min(most, Math.max(least, at)) });
  const jawProps = handleProps({
    label: 'Sliding jaw',
    share: hands.at / Number(model.highest),
    says: touchWords(hands.at, touchesAt, inside),
    along: 'x',
    onStep: (direction, finer) => {
      const next = hands.at + direction * (finer ? leastCount(model) : model.mainDivision);
      // A jaw that meets the object stops there; only pressing on squeezes it.
      slide(hands.at > touchesAt && next < touchesAt ? touchesAt : next);
    },
    onStop: (direction) => slide(direction === 1 ? most : inside ? least : touchesAt),
    onDrag: (_, by) => slide(hands.at + jawAt(caliper, by) - jawAt(caliper, 0)),
  });
  const turnObject = (by: number) => {
    const turn = hands.turn + by;
    const touches = caliper.touchesAt - turnedBy(outOfRound, turn);
    // Turned between closed jaws, the object pushes them apart, or hangs loose.
    move({ turn, at: Math.max(hands.at, touches) });
  };
  const seen = {
    ...caliper,
    at: closed ? (closings[closing] ?? caliper.closedAt) : hands.at,
    turn: hands.turn,
    touchesAt,
  };
  return (
    <Stage
      label="Vernier caliper"
      view={caliperView}
      zoom={4}
      says={
        closed
          ? 'The jaws are closed, with nothing between.'
          : handled
            ? `${touchWords(hands.at, touchesAt, inside)}${hands.locked ? ' Locked.' : ''}`
            : ''
      }
      spots={() => caliperSpots(seen)}
      tools={
        <>
          <Button
            look="bench"
            aria-pressed={closed}
            onClick={() => setClosing(closing + 1 < closings.length ? closing + 1 : -1)}
          >
            Close the jaws (check zero)
            {closings.length > 1 && closed ? ` ${closing + 1} of ${closings.length}` : ''}
          </Button>
          {handled && outOfRound > 0 && (
            <div role="group" aria-label="Turn the pin" className="flex gap-2">
              <Button look="bench" onClick={() => turnObject(-quarter)}>
                ↶ Turn
              </Button>
              <Button look="bench" onClick={() => turnObject(quarter)}>
                Turn ↷
              </Button>
            </div>
          )}
          {handled && (
            <Button look="bench" aria-pressed={hands.locked} onClick={() => move({ locked: !hands.locked })}>
              Lock
            </Button>
          )}
        </>
      }
    >
      <VernierCaliper picture={seen} {...(handled && !closed ? { jawProps } : {})} />
    </Stage>
  );
}

function touchWords(at: number, touchesAt: number, inside: boolean): string {
  const touches = inside ? at >= touchesAt - 1e-9 : at <= touchesAt + 1e-9;
  const what = inside ? 'walls' : 'object';
  return touches ? `The jaws touch the ${what}.` : `The jaws do not touch the ${what} yet.`;
}
