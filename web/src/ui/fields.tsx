import clsx from 'clsx';
import { useId, useState } from 'react';

const box = 'w-full rounded-sm border border-edge bg-white px-2 py-1.5';

/** A labelled line of text. */
export function TextField({
  label,
  value,
  onChange,
  long = false,
  mono = false,
  longest,
  className,
}: {
  readonly label: string;
  readonly value: string;
  readonly onChange: (value: string) => void;
  readonly long?: boolean;
  readonly mono?: boolean;
  /** Characters that it takes at most. */
  readonly longest?: number;
  readonly className?: string;
}) {
  const id = useId();
  const field = { id, value, maxLength: longest, className: clsx(box, mono && 'font-mono') };
  return (
    <div className={className}>
      <label htmlFor={id} className="block text-sm text-soft">
        {label}
      </label>
      {long ? (
        <textarea
          {...field}
          className={clsx(field.className, 'min-h-16 [field-sizing:content]')}
          rows={2}
          onChange={(event) => onChange(event.target.value)}
        />
      ) : (
        <input {...field} onChange={(event) => onChange(event.target.value)} />
      )}
    </div>
  );
}

/** A list of texts, one a line; a line that is still empty waits to be written. */
export function LinesField({
  label,
  lines,
  onChange,
  className,
}: {
  readonly label: string;
  readonly lines: readonly string[];
  readonly onChange: (lines: readonly string[]) => void;
  readonly className?: string;
}) {
  const [typed, setTyped] = useState(lines.join('\n'));
  const linesOf = (text: string) => text.split('\n').filter((line) => line.trim() !== '');
  const same = linesOf(typed).join('\n') === lines.join('\n');
  return (
    <TextField
      label={label}
      long
      mono
      value={same ? typed : lines.join('\n')}
      onChange={(text) => {
        setTyped(text);
        onChange(linesOf(text));
      }}
      className={className ?? ''}
    />
  );
}

/** A labelled choice. */
export function ChoiceField({
  label,
  value,
  choices,
  onChange,
  className,
}: {
  readonly label: string;
  readonly value: string;
  readonly choices: readonly (readonly [value: string, words: string])[];
  readonly onChange: (value: string) => void;
  readonly className?: string;
}) {
  const id = useId();
  return (
    <div className={className}>
      <label htmlFor={id} className="block text-sm text-soft">
        {label}
      </label>
      <select id={id} value={value} onChange={(event) => onChange(event.target.value)} className={box}>
        {!choices.some(([own]) => own === value) && <option value={value}>{value || '–'}</option>}
        {choices.map(([own, words]) => (
          <option key={own} value={own}>
            {words}
          </option>
        ))}
      </select>
    </div>
  );
}

/** A labelled box to tick. */
export function CheckField({
  label,
  checked,
  onChange,
  className,
}: {
  readonly label: string;
  readonly checked: boolean;
  readonly onChange: (checked: boolean) => void;
  readonly className?: string | undefined;
}) {
  return (
    <label className={clsx('flex items-center gap-2 py-1.5', className ?? 'self-end')}>
      <input type="checkbox" checked={checked} onChange={({ target }) => onChange(target.checked)} />
      {label}
    </label>
  );
}
