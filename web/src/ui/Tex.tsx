import katex from 'katex';
import 'katex/dist/katex.min.css';
import { useLayoutEffect, useRef } from 'react';

/** One displayed formula. Built as nodes, not as text, because the page allows no inline styles. */
export default function Tex({ tex }: { readonly tex: string }) {
  const place = useRef<HTMLDivElement>(null);
  useLayoutEffect(() => {
    if (place.current)
      katex.render(`\\displaystyle ${tex}`, place.current, { throwOnError: false, strict: false });
  }, [tex]);
  return (
    <div
      ref={place}
      className="overflow-x-auto overflow-y-hidden py-1.5 text-lg"
      tabIndex={0}
      role="group"
      aria-label="Formula"
    />
  );
}
