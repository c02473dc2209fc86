import { ToggleGroup } from 'radix-ui';

/** The units offered beside a number; none is chosen beforehand. One that is chosen stays so when pressed again. */
export function UnitChoice({
  choices,
  unit,
  disabled,
  onChoose,
}: {
  readonly choices: readonly string[];
  readonly unit: string;
  readonly disabled: boolean;
  readonly onChoose: (unit: string) => void;
}) {
  return (
    <ToggleGroup.Root
      type="single"
      value={unit}
      onValueChange={(chosen) => chosen !== '' && onChoose(chosen)}
      disabled={disabled}
      aria-label="Unit"
      className="flex gap-1.5"
    >
      {choices.map((choice) => (
        <ToggleGroup.Item
          key={choice}
          value={choice}
          className="rounded-sm border border-edge bg-white px-3 py-2 font-mono data-[state=on]:border-ink data-[state=on]:bg-ink data-[state=on]:text-white"
        >
          {choice}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
