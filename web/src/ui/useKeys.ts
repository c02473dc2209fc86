import { useEffectEvent, useLayoutEffect } from 'react';
import { isTyping } from './isTyping';

/** Hears single keys wherever nobody types. It listens before anything is painted: who sees the page may press at once. */
export function useKeys(hear: (event: KeyboardEvent) => void): void {
  const pressed = useEffectEvent((event: KeyboardEvent) => {
    if (isTyping(event.target) || event.ctrlKey || event.metaKey || event.altKey) return;
    hear(event);
  });
  useLayoutEffect(() => {
    const onKey = (event: KeyboardEvent) => pressed(event);
    addEventListener('keydown', onKey);
    return () => removeEventListener('keydown', onKey);
  }, []);
}
