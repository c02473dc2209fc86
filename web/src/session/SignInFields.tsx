import { useId, type HTMLInputTypeAttribute } from 'react';

interface FieldProps {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly type?: HTMLInputTypeAttribute;
  readonly hint?: string;
  readonly autoComplete?: string;
  readonly autoFocus?: boolean;
}

export function Field({
  label,
  value,
  onChange,
  type = 'text',
  hint,
  autoComplete = 'off',
  autoFocus,
}: FieldProps) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="mb-1 block font-bold">
        {label}
      </label>
      <input
        id={id}
        type={type}
        value={value}
        required
        autoComplete={autoComplete}
        autoCapitalize="off"
        // A dialog that asks for one thing begins there.
        autoFocus={autoFocus}
        aria-describedby={hint ? `${id}-hint` : undefined}
        onChange={(event) => onChange(event.target.value)}
        className="w-full rounded-sm border border-edge bg-white px-3 py-2.5 text-lg"
      />
      {hint && (
        <p id={`${id}-hint`} className="mt-1 text-sm text-soft">
          {hint}
        </p>
      )}
    </div>
  );
}
