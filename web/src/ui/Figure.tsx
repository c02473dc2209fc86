import clsx from 'clsx';
import { useWriting } from './useWriting';

interface Props {
  readonly text: string;
  readonly className?: string;
  /** The stretch of the text that is shown, where it is set in two halves. */
  readonly from?: number;
  readonly to?: number;
}

/** A measured number: certain digits in ink, the doubtful one in brass with a bar under it. */
export function Figure({ text: whole, className, from = 0, to = whole.length }: Props) {
  const text = whole.slice(from, to);
  const doubtful = useWriting()?.doubtfulAt(whole) ?? -1;
  const at = doubtful >= from && doubtful < to ? doubtful - from : -1;
  return (
    // Several readings of one cell go on in the next line.
    <span
      className={clsx('font-mono', text.includes(';') ? 'whitespace-pre-wrap' : 'whitespace-pre', className)}
    >
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
