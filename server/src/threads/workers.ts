import { existsSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { resolve } from 'node:path';
import { Piscina } from 'piscina';
import { Problem } from '../http/problem';
import type { Done, JobName, Jobs } from './jobs';

/** So many jobs of one person are taken at once: nobody fills the queue for the others. */
const mostOfOne = 2;
const mostWaiting = 100;

/** Threads that do what may take long, so that nobody else waits for it. */
export interface Workers {
  /**
   * Does a job in a thread.
   * @param whose the person for whom it is done; a job of nobody in particular has the class’s or the logbook’s id
   * @throws Problem where what was sent cannot be worked, takes too long, or comes while too much of theirs is worked on
   */
  run<Name extends JobName>(
    name: Name,
    given: Parameters<Jobs[Name]>[0],
    whose: string,
  ): Promise<ReturnType<Jobs[Name]>>;
  /** How many jobs wait for a thread. */
  readonly waiting: number;
  close(): Promise<void>;
}

/** The built file of the threads: beside this one, or where the build puts it. */
export const workerFile = (): string => {
  const beside = resolve(import.meta.dirname, 'worker.js');
  return existsSync(beside) ? beside : resolve(import.meta.dirname, '../../../data/worker/worker.js');
};

/**
 * @param deadlineMs after so long a job is stopped, and its thread with it; whoever waits is told before their request is given up
 */
export function createWorkers({ deadlineMs = 3_000 }: { readonly deadlineMs?: number } = {}): Workers {
  const pool = new Piscina({
    filename: workerFile(),
    minThreads: 1,
    maxThreads: Math.max(1, availableParallelism() - 1),
    maxQueue: mostWaiting,
    idleTimeout: Infinity,
  });
  const atWork = new Map<string, number>();
  const count = (whose: string, by: 1 | -1) => {
    const left = (atWork.get(whose) ?? 0) + by;
    if (left > 0) atWork.set(whose, left);
    else atWork.delete(whose);
  };
  return {
    run: async <Name extends JobName>(name: Name, given: Parameters<Jobs[Name]>[0], whose: string) => {
      if ((atWork.get(whose) ?? 0) >= mostOfOne || pool.queueSize >= mostWaiting)
        throw new Problem('busy', undefined, { 'retry-after': '2' });
      count(whose, 1);
      try {
        const done = (await pool.run(
          { name, given },
          { signal: AbortSignal.timeout(deadlineMs) },
        )) as Done<Name>;
        if (!done.ok) throw new Problem('not-valid', done.sentence);
        return done.answer;
      } catch (error) {
        if (error instanceof Error && error.name === 'AbortError') throw new Problem('too-much-work');
        throw error;
      } finally {
        count(whose, -1);
      }
    },
    get waiting() {
      return pool.queueSize;
    },
    close: () => pool.destroy(),
  };
}
