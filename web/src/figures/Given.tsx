import { Figure } from '../ui/Figure';

/** A line with one number: what stands before it, its whole part, its decimals, and its unit. */
const oneNumber = /^([+−]?)\s*(\d+)((?:[.,]\d*)?)(\s+\S+)?$/;

/**
 * What an item gives, a line each. Lines of one number are set with their points under one another.
 * @param unmarked true where the doubtful digit is what is asked for.
 */
export function Given({
  lines,
  unmarked,
}: {
  readonly lines: readonly string[];
  readonly unmarked: boolean;
}) {
  const parts = lines.map((line) => oneNumber.exec(line));
  if (lines.length > 1 && parts.every((part) => part !== null))
    return (
      <ul className="grid w-fit grid-cols-[auto_auto_auto] gap-y-2 font-mono text-2xl whitespace-pre">
        {parts.map(([line = '', sign = '', whole = '', decimals = '', unit = ''], at) => (
          <li key={at} className="contents" aria-label={line}>
            <span className="pr-2">{sign}</span>
            <span className="text-right">
              <Number text={`${whole}${decimals}`} part="whole" unmarked={unmarked} />
            </span>
            <span>
              <Number text={`${whole}${decimals}`} part="decimals" unmarked={unmarked} />
              {unit}
            </span>
          </li>
        ))}
      </ul>
    );
  return (
    <ul className="flex flex-col gap-2 text-2xl">
      {lines.map((line, at) => (
        <li key={at} className="font-mono">
          {line.split(' ').map((word, nth) => (
            <span key={nth}>
              {nth > 0 && ' '}
              {unmarked ? word : <Figure text={word} />}
            </span>
          ))}
        </li>
      ))}
    </ul>
  );
}

/** Half of a number: what stands before its point, or the point and what follows. */
function Number({
  text,
  part,
  unmarked,
}: {
  readonly text: string;
  readonly part: 'whole' | 'decimals';
  readonly unmarked: boolean;
}) {
  const point = /[.,]/.exec(text)?.index ?? text.length;
  const [from, to] = part === 'whole' ? [0, point] : [point, text.length];
  return unmarked ? <>{text.slice(from, to)}</> : <Figure text={text} from={from} to={to} />;
}
