import pg from 'pg';
import type { Logger } from 'pino';
import { withoutTexts } from '../http/answerProblems';

const name = 'green_beam';
/** PostgreSQL carries 8000 bytes at once. */
const longest = 7_500;
const gatherMs = 50;
const retryMs = 1_000;

/** Carries messages to every process on this database, this one included, through LISTEN and NOTIFY. */
export interface Channel {
  /** Goes here at once and to the other processes within a moment, or at once too. */
  send(message: object, how?: { readonly atOnce: boolean }): Promise<void>;
  close(): Promise<void>;
}

interface Settings {
  /** A direct connection: a pooler would not keep it listening. */
  readonly url: string;
  readonly log: Logger;
  /** Passes a batch on to the database. */
  readonly notify: (payload: string) => Promise<unknown>;
  readonly heard: (message: object) => void;
  /** The line was down: something may not have been heard. */
  readonly missed: () => void;
  /** Names this process, which has heard its own messages already. */
  readonly self: string;
}

/** What is too long to be carried is left out: who is told of less fetches more. */
export function openChannel({ url, log, notify, heard, missed, self }: Settings): Channel {
  let waiting: string[] = [];
  let timer: NodeJS.Timeout | undefined;
  let closed = false;
  let client: pg.Client | undefined;

  const passOn = async (): Promise<void> => {
    clearTimeout(timer);
    timer = undefined;
    const batches: string[][] = [[]];
    let length = 0;
    for (const text of waiting) {
      if (Buffer.byteLength(text) > longest - 200) continue;
      if (length + Buffer.byteLength(text) > longest - 200) {
        batches.push([]);
        length = 0;
      }
      batches.at(-1)?.push(text);
      length += Buffer.byteLength(text) + 1;
    }
    waiting = [];
    for (const batch of batches.filter(({ length }) => length > 0))
      try {
        await notify(`{"from":"${self}","messages":[${batch.join()}]}`);
      } catch (error) {
        log.warn({ error: withoutTexts(error) }, 'a change could not be passed on');
      }
  };

  const listen = async (again: boolean): Promise<void> => {
    if (closed) return;
    const fresh = new pg.Client({ connectionString: url, keepAlive: true, connectionTimeoutMillis: 3_000 });
    let gone = false;
    const lost = () => {
      if (gone) return;
      gone = true;
      fresh.removeAllListeners('notification');
      void fresh.end().catch(() => undefined);
      if (!closed) setTimeout(() => void listen(true), retryMs).unref();
    };
    fresh.on('error', lost);
    fresh.on('end', lost);
    fresh.on('notification', ({ payload }) => {
      const { from, messages } = JSON.parse(payload ?? '{}') as { from: string; messages: object[] };
      if (from !== self) messages.forEach(heard);
    });
    try {
      await fresh.connect();
      await fresh.query(`listen ${name}`);
      client = fresh;
      if (again) missed();
    } catch {
      lost();
    }
  };
  void listen(false);

  return {
    send: async (message, { atOnce } = { atOnce: false }) => {
      heard(message);
      waiting.push(JSON.stringify(message));
      if (atOnce) await passOn();
      else timer ??= setTimeout(() => void passOn(), gatherMs);
    },
    close: async () => {
      closed = true;
      if (timer) await passOn();
      await client?.end().catch(() => undefined);
    },
  };
}

export const notifyStatement = `select pg_notify('${name}', $1)`;
