import { Button } from '../../ui/Button';

interface Props {
  readonly open: number;
  readonly onOpen: (open: number) => void;
}

/** How liquid is let out by hand: stopped, drop by drop, or running. */
const outflow = (label: string, stop: string, drops: string, run: string) =>
  function Outflow({ open, onOpen }: Props) {
    return (
      <div role="group" aria-label={label} className="flex gap-2">
        {(
          [
            [stop, 0],
            [drops, 0.3],
            [run, 0.9],
          ] as const
        ).map(([name, to]) => (
          <Button key={name} look="bench" aria-pressed={open === to} onClick={() => onOpen(to)}>
            {name}
          </Button>
        ))}
      </div>
    );
  };

/** A fingertip on the top of a pipette: held it keeps, eased it drips, lifted it runs. */
export const Finger = outflow('Fingertip on the top', 'Hold', 'Ease: drops', 'Lift: run');

/** A wash bottle: a stream, then drops. */
export const Pour = outflow('Wash bottle', 'Stop', 'By drops', 'Pour');
