import { flotation, spindles, type HydrometerPicture } from '@green-beam/core';
import { Hydrometer, hydrometerSpots, hydrometerView, type Held } from '@green-beam/drawing';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import type { ApparatusProps } from './apparatus';
import { Stage } from './Stage';
import { useHands } from './useHands';

/** The hydrometer set in hand: a spindle is chosen, lowered, and let go when it floats. */
export function HydrometerApparatus({ picture, handled, left, onHands }: ApparatusProps) {
  const jar = picture as HydrometerPicture;
  const [hands, move] = useHands({ spindle: -1, released: false }, left, onHands);
  const [lowered, setLowered] = useState<boolean>(hands.released);
  const chosen = spindles[hands.spindle] ?? null;
  const held: Held = !handled || hands.released ? 'released' : lowered ? 'held' : 'out';
  const take = (spindle: number) => {
    setLowered(false);
    move({ spindle, released: false });
  };
  return (
    <Stage
      label="Hydrometer in a jar"
      view={hydrometerView}
      says={
        handled
          ? !chosen
            ? 'Begin with the spindle for the lightest liquids.'
            : held === 'out'
              ? 'Lower it gently, and do not let go before it floats.'
              : held === 'held'
                ? heldWords[flotation(chosen, jar.density)]
                : releasedWords[flotation(chosen, jar.density)]
          : ''
      }
      spots={() => hydrometerSpots(chosen && handled ? { ...jar, model: chosen.id } : jar)}
      tools={
        handled && (
          <>
            <div role="group" aria-label="Spindle" className="flex flex-wrap gap-2">
              {spindles.map(({ id, lowest, highest }, at) => (
                <Button key={id} look="bench" aria-pressed={hands.spindle === at} onClick={() => take(at)}>
                  {Number(lowest).toFixed(2)}–{Number(highest).toFixed(2)}
                </Button>
              ))}
            </div>
            <Button look="bench" disabled={!chosen || lowered} onClick={() => setLowered(true)}>
              Lower it
            </Button>
            <Button
              look="bench"
              disabled={!lowered || hands.released}
              onClick={() => move({ released: true })}
            >
              Let go
            </Button>
          </>
        )
      }
    >
      <Hydrometer picture={jar} held={held} {...(handled ? { chosen: chosen?.id ?? null } : {})} />
    </Stage>
  );
}

const heldWords = {
  floats: 'You feel it carry itself.',
  sinks: 'It pulls down: let go, it would drop.',
  'stands out': 'It pushes up hard against your fingers.',
} as const;

const releasedWords = {
  floats: 'It floats, clear of the wall.',
  sinks: 'It dropped to the bottom. A real one breaks so: choose a lighter range first.',
  'stands out': 'Its whole scale stands out of the liquid: take the next range up.',
} as const;
