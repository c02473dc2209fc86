import { eyeReachMm, type CylinderPicture } from '@green-beam/core';
import { cylinderView, eyeMmAt, GraduatedCylinder } from '@green-beam/drawing';
import { Button } from '../../ui/Button';
import type { ApparatusProps } from './apparatus';
import { eyeHandle } from './eyeHandle';
import { Stage } from './Stage';
import { useHands } from './useHands';

/** The graduated cylinder in hand: the eye on its rail, a card behind. */
export function CylinderApparatus({ picture, handled, left, onHands }: ApparatusProps) {
  const cylinder = picture as CylinderPicture;
  const [hands, move] = useHands({ eyeMm: cylinder.eyeMm, card: !handled }, left, onHands);
  const eyeProps = eyeHandle({
    eyeMm: hands.eyeMm,
    reachMm: eyeReachMm,
    along: 'y',
    says: ringWords(hands.eyeMm),
    placeToMm: eyeMmAt,
    onLook: (eyeMm) => move({ eyeMm }),
  });
  const turnCard = () => move({ card: !hands.card });
  return (
    <Stage
      label={surfaceWords[cylinder.surface]}
      view={cylinderView}
      lensAt={{ x: 290, y: 330 }}
      keys={{ c: turnCard }}
      tools={
        <>
          <Button look="bench" aria-pressed={hands.card} onClick={turnCard}>
            Card <kbd className="font-mono text-sm opacity-80">c</kbd>
          </Button>
          {handled && <p className="ml-auto self-center text-sm">Drag the eye, or focus it and use ↑ ↓.</p>}
        </>
      }
    >
      <GraduatedCylinder
        picture={{ ...cylinder, eyeMm: hands.eyeMm }}
        card={hands.card}
        {...(handled ? { eyeProps } : {})}
      />
    </Stage>
  );
}

const surfaceWords = {
  concave: 'Graduated cylinder with a liquid that climbs the glass',
  convex: 'Graduated cylinder with a liquid whose surface is a dome',
  flat: 'Graduated cylinder with a liquid whose surface is flat',
} as const;

/** What the eye sees of the ring of the surface: it tells the height of the eye, not the reading. */
function ringWords(eyeMm: number): string {
  if (Math.abs(eyeMm) < 3) return 'the ring of the surface is closed to a line';
  return `you see the ring of the surface from ${eyeMm > 0 ? 'above' : 'below'}, ${Math.abs(eyeMm) > 60 ? 'wide open' : 'nearly closed'}`;
}
