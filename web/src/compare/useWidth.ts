import { useCallback, useState } from 'react';

const [least, most] = [340, 1900] as const;

/** How wide a place is, so that a drawing can keep its words readable. */
export function useWidth(): readonly [
  place: (element: HTMLElement | null) => (() => void) | undefined,
  width: number,
] {
  const [width, setWidth] = useState(900);
  const place = useCallback((element: HTMLElement | null) => {
    if (!element || typeof ResizeObserver === 'undefined') return undefined;
    const watch = new ResizeObserver(([entry]) => {
      if (entry) setWidth(Math.round(Math.max(least, Math.min(most, entry.contentRect.width))));
    });
    watch.observe(element);
    return () => watch.disconnect();
  }, []);
  return [place, width];
}
