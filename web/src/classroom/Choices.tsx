import { CheckField } from '../ui/fields';

/** Several of many, each marked or not. */
export function Choices({
  of,
  chosen,
  onChange,
}: {
  readonly of: readonly (readonly [key: string, name: string])[];
  readonly chosen: readonly string[];
  readonly onChange: (chosen: readonly string[]) => void;
}) {
  return (
    <div className="grid grid-cols-2 gap-x-4 sm:grid-cols-3">
      {of.map(([key, name]) => (
        <CheckField
          key={key}
          label={name}
          checked={chosen.includes(key)}
          onChange={(on) => onChange(on ? [...chosen, key] : chosen.filter((own) => own !== key))}
        />
      ))}
    </div>
  );
}
