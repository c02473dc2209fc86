import { Button } from '../../ui/Button';

/** The card behind a surface, and how the eye is moved. */
export function CardButton({
  pressed,
  onPress,
  eye,
}: {
  readonly pressed: boolean;
  readonly onPress: () => void;
  readonly eye: boolean;
}) {
  return (
    <>
      <Button look="bench" aria-pressed={pressed} onClick={onPress}>
        Card <kbd className="font-mono text-sm opacity-80">c</kbd>
      </Button>
      {eye && <p className="ml-auto self-center text-sm">Drag the eye, or focus it and use ↑ ↓.</p>}
    </>
  );
}
