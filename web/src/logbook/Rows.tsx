import { useWindowVirtualizer } from '@tanstack/react-virtual';
import { useLayoutEffect, useRef, useState, type ReactNode } from 'react';

/** Up to here a table is drawn whole; a longer one draws the rows in sight and some on either side. */
const drawnWhole = 40;
const usualHeight = 58;

interface Props {
  readonly count: number;
  /** A row by its number, from 1; it carries `data-index`, from 0. */
  readonly children: (number: number) => ReactNode;
}

/** The body of a table that may be long. */
export function Rows(props: Props) {
  return props.count > drawnWhole ? <LongRows {...props} /> : <tbody>{drawn(1, props)}</tbody>;
}

const drawn = (from: number, { count, children }: Props): ReactNode[] =>
  Array.from({ length: count }, (_, at) => children(from + at));

function LongRows({ count, children }: Props) {
  const body = useRef<HTMLTableSectionElement>(null);
  const [top, setTop] = useState(0);
  useLayoutEffect(() => {
    setTop((body.current?.getBoundingClientRect().top ?? 0) + scrollY);
  }, []);
  const rows = useWindowVirtualizer({
    count,
    estimateSize: () => usualHeight,
    overscan: 2,
    scrollMargin: top,
  });
  const items = rows.getVirtualItems();
  const [first, last] = [items[0], items.at(-1)];
  const before = first ? first.start - top : 0;
  const after = last ? rows.getTotalSize() - (last.end - top) : 0;
  return (
    // Each row a picture of its own: a key press in one paints none of the others.
    <tbody ref={body} className="*:will-change-transform">
      <Gap height={before} />
      {items.map(({ index }) => children(index + 1))}
      <Gap height={after} />
    </tbody>
  );
}

/** Stands in for rows that are out of sight. */
const Gap = ({ height }: { readonly height: number }) =>
  height > 0 ? (
    <tr aria-hidden="true">
      <td style={{ height, padding: 0 }} />
    </tr>
  ) : null;
