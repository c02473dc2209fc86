import type { KeyboardEvent, PointerEvent, SVGProps } from 'react';
import { flushSync } from 'react-dom';

export interface HandleSettings {
  readonly label: string;
  /** Where it stands, from 0 to 1: said for a screen reader without saying the reading. */
  readonly share: number;
  readonly says: string;
  readonly along: 'x' | 'y';
  /** Moved by keys: +1 to the right or up, −1 the other way; finer with Shift. */
  readonly onStep: (direction: 1 | -1, finer: boolean) => void;
  /** Taken to its lower or upper stop at once. */
  readonly onStop: (direction: 1 | -1) => void;
  /** Dragged to a place of the drawing, and so far from the place before. */
  readonly onDrag: (place: number, by: number) => void;
  readonly onDrop?: () => void;
}

/** Whichever way a handle goes, either pair of arrows moves it, as a slider’s do. */
const directions: Readonly<Record<string, 1 | -1 | undefined>> = {
  ArrowRight: 1,
  ArrowUp: 1,
  ArrowLeft: -1,
  ArrowDown: -1,
};

const stops: Readonly<Record<string, 1 | -1 | undefined>> = { Home: -1, End: 1 };

/** Where the one pointer that drags something was before. */
let before: DOMPoint | null = null;

/** Makes a part of a drawing something to take in hand: by pointer, touch or keys. */
export function handleProps({
  label,
  share,
  says,
  along,
  onStep,
  onStop,
  onDrag,
  onDrop,
}: HandleSettings): SVGProps<SVGGElement> {
  return {
    role: 'slider',
    tabIndex: 0,
    'aria-label': label,
    'aria-orientation': along === 'x' ? 'horizontal' : 'vertical',
    'aria-valuemin': 0,
    'aria-valuemax': 100,
    'aria-valuenow': Math.round(share * 100),
    'aria-valuetext': says,
    style: { cursor: 'grab', touchAction: 'none' },
    onKeyDown: (event: KeyboardEvent<SVGGElement>) => {
      if (event.key === 'Escape') return event.currentTarget.blur();
      const [direction, stop] = [directions[event.key], stops[event.key]];
      if (direction === undefined && stop === undefined) return;
      event.preventDefault();
      if (stop !== undefined) onStop(stop);
      else if (direction !== undefined) onStep(direction, event.shiftKey);
    },
    onPointerDown: (event: PointerEvent<SVGGElement>) => {
      // Else every movement would come twice, once more as that of a mouse.
      event.preventDefault();
      event.currentTarget.setPointerCapture(event.pointerId);
      event.currentTarget.focus({ preventScroll: true });
      before = inDrawing(event);
    },
    onPointerMove: (event: PointerEvent<SVGGElement>) => {
      if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
      const place = inDrawing(event);
      // At once, not in a task of its own: what the hand does is drawn in the frame in which it did it.
      if (!place) return;
      const by = place[along] - (before ?? place)[along];
      before = place;
      flushSync(() => onDrag(place[along], by));
    },
    onPointerUp: () => onDrop?.(),
  };
}

/** A pointer's place in the drawing's own units. */
export function inDrawing(event: PointerEvent<SVGElement>): DOMPoint | null {
  const svg = event.currentTarget.ownerSVGElement ?? event.currentTarget;
  const matrix = svg instanceof SVGSVGElement ? svg.getScreenCTM() : null;
  return matrix && new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
}
