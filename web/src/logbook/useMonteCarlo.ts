import type { Drawn, Spread } from '@green-beam/core';
import { useEffect, useRef, useState } from 'react';
import type { DrawMessage, DrawRequest } from './monteCarlo.worker';

export type Drawing =
  | { readonly state: 'idle' }
  | { readonly state: 'drawing'; readonly drawn: number; readonly of: number }
  | { readonly state: 'drawn'; readonly result: Drawn & Spread };

/** Draws in a worker, so that the page goes on; it can be stopped at once, and ends with the page. */
export function useMonteCarlo(): readonly [
  drawing: Drawing,
  start: (request: DrawRequest) => void,
  stop: () => void,
] {
  const [drawing, setDrawing] = useState<Drawing>({ state: 'idle' });
  const worker = useRef<Worker | null>(null);
  const stop = () => {
    worker.current?.terminate();
    worker.current = null;
    setDrawing({ state: 'idle' });
  };
  const start = (request: DrawRequest) => {
    worker.current?.terminate();
    const own = new Worker(new URL('./monteCarlo.worker.ts', import.meta.url), { type: 'module' });
    worker.current = own;
    setDrawing({ state: 'drawing', drawn: 0, of: request.draws });
    own.onmessage = ({ data }: MessageEvent<DrawMessage>) => {
      if ('result' in data) {
        setDrawing({ state: 'drawn', result: data.result });
        own.terminate();
      } else setDrawing({ state: 'drawing', drawn: data.drawn, of: request.draws });
    };
    own.postMessage(request);
  };
  useEffect(() => () => worker.current?.terminate(), []);
  return [drawing, start, stop];
}
