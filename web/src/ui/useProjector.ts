import { useState } from 'react';

/** Whether a page is shown to a class, and how it is laid then: over everything else, larger, the whole screen where that is allowed. */
export function useProjector(): readonly [projector: boolean, project: () => void] {
  const [projector, setProjector] = useState(false);
  const project = () => {
    setProjector(!projector);
    const done = projector ? document.exitFullscreen?.() : document.documentElement.requestFullscreen?.();
    void done?.catch(() => undefined);
  };
  return [projector, project];
}
