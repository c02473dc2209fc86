import { Lens, PointedOut, type Point, type Spot, type Spots } from '@green-beam/drawing';
import { useContext, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { useKeys } from '../../ui/useKeys';
import { Button } from '../../ui/Button';
import { inDrawing } from './handle';
import { PointedAt } from './pointedAt';

interface Props {
  readonly label: string;
  readonly view: { readonly width: number; readonly height: number };
  /** How much it enlarges; more for scales with fine lines. */
  readonly zoom?: number;
  /** Where the parts of the drawing lie: where the lens begins, and what a reader may be pointed to. */
  readonly spots: () => Spots;
  readonly children: ReactNode;
  /** What there is to say of how things stand; told to a screen reader when it changes. */
  readonly says?: string;
  /** Buttons beside the lens, in one row. */
  readonly tools?: ReactNode;
  /** Further single keys. */
  readonly keys?: Readonly<Record<string, () => void>>;
}

const lensStep = 24;

/** The dark bench with a drawing on it, the lens, and the tools below. */
export function Stage({ label, view, zoom = 2.4, spots, children, says = '', tools, keys }: Props) {
  const point = useContext(PointedAt);
  const spot = point && spots()[point];
  const [lens, setLens] = useState(false);
  const [at, setAt] = useState<Point>({ x: view.width / 2, y: view.height / 2 });
  const turnLens = () => {
    if (!lens) setAt(whereRead(spots()) ?? at);
    setLens(!lens);
  };
  const acts: Readonly<Record<string, () => void>> = { ...keys, l: turnLens };
  useKeys((event) => acts[event.key]?.());
  const moveLensTo = (event: PointerEvent<SVGSVGElement>) => {
    const place = inDrawing(event);
    if (place) setAt({ x: place.x, y: place.y });
  };
  const moveLens = (event: KeyboardEvent) => {
    const step = event.shiftKey ? lensStep / 6 : lensStep;
    const [dx, dy] = (
      { ArrowLeft: [-1, 0], ArrowRight: [1, 0], ArrowUp: [0, -1], ArrowDown: [0, 1] } as Record<
        string,
        [number, number]
      >
    )[event.key] ?? [0, 0];
    if (dx === 0 && dy === 0) return;
    event.preventDefault();
    setAt(({ x, y }) => ({ x: clamp(x + dx * step, view.width), y: clamp(y + dy * step, view.height) }));
  };
  return (
    <div className="on-bench relative flex min-h-0 min-w-0 flex-col bg-bench text-chalk">
      {/* Apart from the flow, so that a part that moves lays out nothing but the drawing. */}
      <div
        className="relative max-h-[calc(100svh-10.5rem)] min-h-48 w-full md:!aspect-auto md:max-h-none md:min-h-0 md:flex-1 [contain:strict]"
        style={{ aspectRatio: `${view.width} / ${view.height}` }}
      >
        <svg
          viewBox={`0 0 ${view.width} ${view.height}`}
          className="absolute inset-0 size-full"
          role="group"
          aria-label={label}
          onPointerMove={lens ? moveLensTo : undefined}
        >
          <Lens at={lens ? at : null} zoom={zoom}>
            {children}
            {spot && <PointedOut at={spot} />}
          </Lens>
        </svg>
      </div>
      <p role="status" className="min-h-6 px-4 text-sm md:h-6 md:[contain:size_layout]">
        {says}
      </p>
      {/* One row, however many: a drawing is never cut off by its buttons. What does not fit is scrolled to. */}
      <div
        role="group"
        aria-label="Tools"
        className="flex gap-2 overflow-x-auto px-4 pb-3 pt-1.5 [scrollbar-width:thin] [scrollbar-color:#5f8578_transparent]"
      >
        <Button look="bench" aria-pressed={lens} onClick={turnLens} onKeyDown={lens ? moveLens : undefined}>
          Lens <kbd className="font-mono text-sm opacity-80">l</kbd>
        </Button>
        {tools}
      </div>
    </div>
  );
}

/** The part that is read: the first of these that a drawing has. */
const whereRead = (spots: Spots): Spot | undefined =>
  [spots.level, spots['zero-line'], spots.display].find((spot) => spot !== undefined && 'x' in spot);

const clamp = (value: number, top: number): number => Math.min(top, Math.max(0, value));
