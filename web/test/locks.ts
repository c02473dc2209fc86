type Act = () => unknown;
interface Options {
  readonly mode?: 'exclusive' | 'shared';
  readonly signal?: AbortSignal;
}

/** Stands in for the locks that the tabs of a browser share. */
export class Locks {
  readonly #last = new Map<string, Promise<unknown>>();
  readonly #held = new Map<string, number>();

  request(name: string, ...[first, second]: [Act] | [Options, Act]): Promise<unknown> {
    const [{ mode = 'exclusive', signal }, act] =
      typeof first === 'function' ? [{} as Options, first] : [first, second as Act];
    const before = mode === 'shared' ? Promise.resolve() : (this.#last.get(name) ?? Promise.resolve());
    const run = before
      .catch(() => undefined)
      .then(async () => {
        if (signal?.aborted) throw new DOMException('', 'AbortError');
        this.#held.set(name, (this.#held.get(name) ?? 0) + 1);
        try {
          return await act();
        } finally {
          this.#held.set(name, (this.#held.get(name) ?? 1) - 1);
        }
      });
    if (mode === 'exclusive') this.#last.set(name, run);
    return run;
  }

  async query() {
    return { held: [...this.#held].flatMap(([name, count]) => (count > 0 ? [{ name }] : [])) };
  }
}
