import { parseNumber } from '@green-beam/core';
import clsx from 'clsx';

/** A measured number: certain digits in ink, the doubtful one in brass with a bar under it. */
export function Figure({ text, className }: { readonly text: string; readonly className?: string }) {
  const at = doubtfulAt(text);
  return (
    <span className={clsx('font-mono whitespace-pre', className)}>
      {at < 0 ? (
        text
      ) : (
        <>
          {text.slice(0, at)}
          <span className="text-brass border-b-2 border-brass-line">{text.slice(at, at + 1)}</span>
          {text.slice(at + 1)}
        </>
      )}
    </span>
  );
}

export function doubtfulAt(text: string): number {
  const parsed = parseNumber(text);
  return parsed.ok ? parsed.number.doubtfulAt : -1;
}

/** `(8.8 ± 0.3) g/cm³` with its doubtful digits marked; any other text as it is. */
export function Stated({ text, className }: { readonly text: string; readonly className?: string }) {
  const parts = /^\((.+) ± (.+)\) (.+)$/.exec(text);
  if (!parts) {
    const [number = '', ...unit] = text.split(' ');
    return (
      <span className={clsx('font-mono', className)}>
        <Figure text={number} /> {unit.join(' ')}
      </span>
    );
  }
  const [, value = '', uncertainty = '', unit = ''] = parts;
  return (
    <span className={clsx('font-mono', className)}>
      (<Figure text={value} /> ± <Figure text={uncertainty} />) {unit}
    </span>
  );
}
