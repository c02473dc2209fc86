import { useLayoutEffect, useRef, useState, type RefObject } from 'react';

/** Whether something of so many rem does not fit into a box, which then scrolls sideways. */
export function useTooWide(rem: number): [box: RefObject<HTMLDivElement | null>, tooWide: boolean] {
  const box = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState(Infinity);
  useLayoutEffect(() => {
    const element = box.current;
    if (!element || typeof ResizeObserver === 'undefined') return;
    const observer = new ResizeObserver(([entry]) => setRoom(entry?.contentRect.width ?? Infinity));
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [box, room < rem * pxPerRem()];
}

/** As large as the reader has set the letters. */
const pxPerRem = (): number => parseFloat(getComputedStyle(document.documentElement).fontSize) || 16;
