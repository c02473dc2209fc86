import { useId } from 'react';

/** The units offered beside a number; none is chosen beforehand. */
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
  const name = useId();
  return (
    <div role="radiogroup" aria-label="Unit" className="flex gap-1.5">
      {choices.map((choice) => (
        <label
          key={choice}
          className="relative rounded-sm border border-edge bg-white px-3 py-2 font-mono has-checked:border-ink has-checked:bg-ink has-checked:text-white has-focus-visible:outline-3 has-focus-visible:outline-offset-2 has-focus-visible:outline-water"
        >
          <input
            type="radio"
            name={name}
            checked={choice === unit}
            disabled={disabled}
            className="absolute inset-0 cursor-pointer opacity-0"
            onChange={() => onChoose(choice)}
          />
          {choice}
        </label>
      ))}
    </div>
  );
}
