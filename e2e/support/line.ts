import { createConnection, createServer, type Server, type Socket } from 'node:net';

/** A line to a server that can be cut and joined again: what a school's network does. */
export class Line {
  readonly #open = new Set<Socket>();
  #server: Server | undefined;
  #port = 0;

  constructor(private readonly to: string) {}

  get address(): string {
    return `http://127.0.0.1:${this.#port}`;
  }

  async join(): Promise<void> {
    const { hostname, port } = new URL(this.to);
    const server = createServer((near) => {
      const far = createConnection({ host: hostname, port: Number(port) });
      for (const [one, other] of [
        [near, far],
        [far, near],
      ] as const) {
        this.#open.add(one);
        one.pipe(other);
        one.on('error', () => other.destroy());
        one.on('close', () => {
          this.#open.delete(one);
          other.destroy();
        });
      }
    });
    await new Promise<void>((ready) => server.listen(this.#port, '127.0.0.1', ready));
    const at = server.address();
    if (at && typeof at === 'object') this.#port = at.port;
    this.#server = server;
  }

  async cut(): Promise<void> {
    const server = this.#server;
    this.#server = undefined;
    if (!server) return;
    const closed = new Promise((done) => server.close(done));
    for (const socket of this.#open) socket.destroy();
    await closed;
  }
}
