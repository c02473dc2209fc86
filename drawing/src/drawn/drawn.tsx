import type { DrawnShape } from '@green-beam/core';
import { memo } from 'react';

/** A list of shapes as it came over the wire. */
export const Drawn = memo(function Drawn({ shapes }: { readonly shapes: readonly DrawnShape[] }) {
  return (
    <g aria-hidden="true">
      {shapes.map((shape, at) => {
        if ('d' in shape) return <path key={at} {...shape} />;
        const { text, at: matrix, ...words } = shape;
        return (
          <text key={at} transform={`matrix(${matrix.join(' ')})`} {...words}>
            {text}
          </text>
        );
      })}
    </g>
  );
});
