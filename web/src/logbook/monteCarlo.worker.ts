import {
  monteCarlo,
  spreadOf,
  type Drawn,
  type Input,
  type Spread,
  type ModelEquation,
} from '@green-beam/core';

/** What a worker is asked for. It is stopped by ending it. */
export interface DrawRequest {
  readonly term: ModelEquation;
  readonly inputs: readonly Input[];
  readonly draws: number;
  readonly seed: number;
  readonly standard: boolean;
}

export type DrawMessage = { readonly drawn: number } | { readonly result: Drawn & Spread };

const every = 50_000;

addEventListener('message', ({ data }: MessageEvent<DrawRequest>) => {
  const values = new Float64Array(data.draws);
  let told = 0;
  const tell = (message: DrawMessage) => postMessage(message);
  const drawn = monteCarlo(data.term, data.inputs, data, values, (count) => {
    if (count - told < every) return;
    told = count;
    tell({ drawn: count });
  });
  tell({ result: { ...drawn, ...spreadOf(values) } });
});
