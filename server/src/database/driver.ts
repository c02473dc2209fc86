import pg from 'pg';

/** So many statements have names at most. Their texts are ours, so there are fewer. */
const most = 500;
const names = new Map<string, string>();

function nameOf(text: string): string | undefined {
  if (!names.has(text) && names.size < most) names.set(text, `s${names.size}`);
  return names.get(text);
}

/** A connection whose end is always heard: where nobody listens, an error ends the process. */
class HeardClient extends pg.Client {
  constructor(settings?: pg.ClientConfig) {
    super(settings);
    this.on('error', () => undefined);
  }
}

/**
 * The driver as Sequelize uses it. By itself it listens from a moment after it has connected; a database that ends within that
 * moment would take the process with it.
 */
export const driver = Object.create(pg, { Client: { value: HeardClient } }) as typeof pg;

/** From now on a statement with parameters is read and planned once on this connection, and not at each call. */
export function planOnce(connection: pg.Client): void {
  const query = connection.query.bind(connection) as (...args: unknown[]) => unknown;
  connection.query = ((text: unknown, values: unknown, ...rest: unknown[]) =>
    typeof text === 'string' && Array.isArray(values)
      ? query({ text, name: nameOf(text) }, values, ...rest)
      : query(text, values, ...rest)) as typeof connection.query;
}
