import { Button } from '../../ui/Button';

/** The card behind a surface. */
export function CardButton({
  pressed,
  onPress,
}: {
  readonly pressed: boolean;
  readonly onPress: () => void;
}) {
  return (
    <Button look="bench" aria-pressed={pressed} onClick={onPress}>
      Card <kbd className="font-mono text-sm opacity-80">c</kbd>
    </Button>
  );
}
