import { seeded, type DrawnPicture, type InstrumentKind, type Picture } from '@green-beam/core';
import { asRead } from '../asRead';
import { flatten, type Matrix } from './flatten';

/** A drawing lies a little smaller on its sheet, and somewhere else for everybody: its coordinates alone say nothing. */
const [smallest, largest] = [0.95, 0.99] as const;

/**
 * The picture of an apparatus that is read, as shapes alone.
 * @param label what the apparatus is called. @param seed of where it lies
 */
export function drawnPicture(
  kind: InstrumentKind,
  picture: Picture,
  label: string,
  seed: number,
): DrawnPicture {
  const { size, zoom, choose, views } = asRead(kind, picture);
  const random = seeded(seed);
  const scale = random.between(smallest, largest);
  const placed: Matrix = [
    scale,
    0,
    0,
    scale,
    random.next() * size.width * (1 - scale),
    random.next() * size.height * (1 - scale),
  ];
  return {
    kind: 'drawn',
    model: picture.model,
    label,
    ...size,
    zoom,
    choose,
    views: views.map(({ name, says, frames }) => ({
      name,
      says,
      frames: frames.map((frame) => flatten(frame, placed)),
    })),
    asksDivision: 'task' in picture && picture.task === 'least count',
  };
}
