import { vi } from 'vitest';

/** Looks until it holds; gives up only after so long that something must hang, on however busy a machine. */
export const eventually = <T>(look: () => T | Promise<T>): Promise<T> =>
  vi.waitFor(look, { timeout: 60_000, interval: 50 });
