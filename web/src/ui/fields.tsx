import clsx from 'clsx';
import { useId, useState, type ReactNode } from 'react';
import { Button } from './Button';

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
        <textarea {...field} rows={2} onChange={(event) => onChange(event.target.value)} />
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
  readonly className?: string;
}) {
  return (
    <label className={clsx('flex items-center gap-2 py-1.5', className ?? 'self-end')}>
      <input type="checkbox" checked={checked} onChange={({ target }) => onChange(target.checked)} />
      {label}
    </label>
  );
}

/** A list whose items can be added, moved and taken away. */
export function ListField<T>({
  title,
  one,
  items,
  blank,
  onChange,
  children,
}: {
  readonly title: string;
  /** What one item is called, for the buttons. */
  readonly one: string;
  readonly items: readonly T[];
  readonly blank: T;
  readonly onChange: (items: readonly T[]) => void;
  readonly children: (item: T, change: (part: Partial<T>) => void, replace: (item: T) => void) => ReactNode;
}) {
  const put = (at: number, item: T) => onChange(items.map((own, nth) => (nth === at ? item : own)));
  const swap = (at: number, to: number) =>
    onChange(
      items.map((item, nth) => (nth === at ? (items[to] ?? item) : nth === to ? (items[at] ?? item) : item)),
    );
  return (
    <section aria-label={title}>
      <h2 className="mb-2">{title}</h2>
      <ol className="flex flex-col divide-y divide-rule border-y border-rule">
        {items.map((item, at) => (
          <li key={at} className="py-3">
            {children(
              item,
              (part) => put(at, { ...item, ...part }),
              (whole) => put(at, whole),
            )}
            <div className="mt-1 flex gap-3 text-sm">
              <Button look="quiet" className="text-sm" disabled={at === 0} onClick={() => swap(at, at - 1)}>
                Up
              </Button>
              <Button
                look="quiet"
                className="text-sm"
                disabled={at === items.length - 1}
                onClick={() => swap(at, at + 1)}
              >
                Down
              </Button>
              <Button
                look="quiet"
                className="text-sm"
                aria-label={`Take away ${one} ${at + 1}`}
                onClick={() => onChange(items.filter((_, nth) => nth !== at))}
              >
                Take away
              </Button>
            </div>
          </li>
        ))}
      </ol>
      <Button look="quiet" className="mt-2" onClick={() => onChange([...items, blank])}>
        Add {/^[aeiou]/.test(one) ? 'an' : 'a'} {one}
      </Button>
    </section>
  );
}
