import type { DrawnPicture } from '@green-beam/core';
import { Drawn } from '@green-beam/drawing';
import { useState } from 'react';
import { Button } from '../../ui/Button';
import { Stage } from './Stage';
import { useTicking } from './useTicking';

/** A display that hops shows each number for so long. */
const hopSeconds = 0.7;

/** An apparatus that is read for marks: its picture came as shapes, and what may be looked at is chosen below. */
export function DrawnApparatus({ picture }: { readonly picture: DrawnPicture }) {
  const { label, width, height, zoom, choose, views } = picture;
  const [chosen, setChosen] = useState(0);
  const [seconds, setSeconds] = useState(0);
  const view = views[chosen];
  const frames = view?.frames ?? [];
  useTicking(frames.length > 1, (passed) => setSeconds(seconds + passed));
  const shapes = frames[Math.floor(seconds / hopSeconds) % Math.max(1, frames.length)] ?? [];
  return (
    <Stage
      label={label}
      view={{ width, height }}
      zoom={zoom}
      says={view?.says ?? ''}
      spots={() => ({})}
      tools={
        choose !== null && (
          <div role="group" aria-label={choose} className="flex gap-2">
            {views.map(({ name }, at) => (
              <Button key={name} look="bench" aria-pressed={at === chosen} onClick={() => setChosen(at)}>
                {name}
              </Button>
            ))}
          </div>
        )
      }
    >
      <Drawn shapes={shapes} />
    </Stage>
  );
}
