import { useId } from 'react';

/** A day, as `2026-11-03`; empty for none. */
export function DayField({
  label,
  day,
  onChange,
}: {
  readonly label: string;
  readonly day: string;
  readonly onChange: (day: string) => void;
}) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="block text-sm text-soft">
        {label}
      </label>
      <input
        id={id}
        type="date"
        value={day}
        onChange={(event) => onChange(event.target.value)}
        className="rounded-sm border border-edge bg-white px-2 py-1.5"
      />
    </div>
  );
}
