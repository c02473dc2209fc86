import clsx from 'clsx';
import type { InputHTMLAttributes, Ref } from 'react';
import { useWriting } from './useWriting';

interface Props extends Omit<InputHTMLAttributes<HTMLInputElement>, 'size' | 'value'> {
  readonly value: string;
  readonly size?: 'large' | 'cell';
  readonly ref?: Ref<HTMLInputElement>;
}

/**
 * A field for a measured number. What is typed is never changed; its doubtful digit is marked while it is typed,
 * by a copy of the text behind the transparent one.
 */
export function ReadingField({ value, size = 'cell', className, ...input }: Props) {
  const at = useWriting()?.doubtfulAt(value) ?? -1;
  const text = size === 'large' ? largeText(value.length) : 'text-lg';
  const box = size === 'large' ? 'px-1 py-1' : 'px-2 py-1.5';
  return (
    <span
      className={clsx(
        'relative block min-w-0 rounded-sm',
        // Of a fixed size, so that a key press lays out the field and not the page.
        size === 'cell' && 'h-11 bg-white/40 [contain:size_layout]',
        className,
      )}
    >
      <span
        aria-hidden="true"
        className={clsx(
          'absolute inset-0 overflow-hidden whitespace-pre font-mono border-2 border-transparent',
          text,
          box,
        )}
      >
        {at < 0 ? value : value.slice(0, at)}
        {at >= 0 && (
          <span className="text-brass shadow-[0_3px_0_0_var(--color-brass-line)]">
            {value.slice(at, at + 1)}
          </span>
        )}
        {at >= 0 && value.slice(at + 1)}
      </span>
      <input
        type="text"
        inputMode="text"
        autoComplete="off"
        autoCapitalize="off"
        spellCheck={false}
        maxLength={60}
        value={value}
        className={clsx(
          'relative w-full rounded-sm border-2 bg-transparent font-mono text-transparent caret-ink selection:bg-water/25 selection:text-transparent',
          size === 'large' ? 'border-transparent border-b-ink rounded-b-none' : 'border-rule',
          text,
          box,
        )}
        {...input}
      />
    </span>
  );
}

/** What is written stays in sight: a longer text is set smaller. */
const largeText = (length: number): string => {
  if (length <= 6) return 'text-5xl leading-tight tracking-wide';
  return length <= 10 ? 'text-3xl leading-[3.75rem]' : 'text-lg leading-[3.75rem]';
};
