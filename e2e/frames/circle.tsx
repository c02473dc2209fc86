import { useState } from 'react';
import { flushSync } from 'react-dom';
import { createRoot } from 'react-dom/client';

/** One circle that is moved as the parts of the instruments are: the least that a frame takes with React in it. */
function Circle() {
  const [x, setX] = useState(385);
  return (
    <svg viewBox="0 0 770 640" width="770">
      <circle
        role="slider"
        tabIndex={0}
        aria-label="The circle"
        cx={x}
        cy={320}
        r={30}
        onPointerMove={(event) => flushSync(() => setX(event.clientX))}
      />
    </svg>
  );
}

const root = document.getElementById('root');
if (root) createRoot(root).render(<Circle />);
