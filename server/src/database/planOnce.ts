import type { Client } from 'pg';

/** So many statements have names at most. Their texts are ours, so there are fewer. */
const most = 500;
const names = new Map<string, string>();

function nameOf(text: string): string | undefined {
  if (!names.has(text) && names.size < most) names.set(text, `s${names.size}`);
  return names.get(text);
}

/** From now on a statement with parameters is read and planned once on this connection, and not at each call. */
export function planOnce(connection: Client): void {
  const query = connection.query.bind(connection) as (...args: unknown[]) => unknown;
  connection.query = ((text: unknown, values: unknown, ...rest: unknown[]) =>
    typeof text === 'string' && Array.isArray(values)
      ? query({ text, name: nameOf(text) }, values, ...rest)
      : query(text, values, ...rest)) as typeof connection.query;
}
