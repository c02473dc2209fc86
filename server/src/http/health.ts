import type { Express } from 'express';
import { QueryTypes } from 'sequelize';
import { migrationNames } from '../database/migrate';
import type { Services } from '../services';

const patienceMs = 1_500;

/** The process is stopping: whoever stands in front should send nobody here any more. */
let stopping = false;
export const sayStopping = (): void => void (stopping = true);

/**
 * `/health` tells of the process, the database and its migrations; `/ready` whether requests may come. Both answer in good
 * time, whatever the database does.
 */
export function healthRoutes(app: Express, services: Services): void {
  app.get('/health', async (_request, response) => {
    const database = await look(services);
    response
      .status(database.ok ? 200 : 503)
      .set('cache-control', 'no-store')
      .json({
        status: database.ok ? 'ok' : 'failing',
        process: { pid: process.pid, uptimeSeconds: Math.floor(process.uptime()), stopping },
        database: database.ok ? 'ok' : 'unreachable',
        migrations: { done: database.migrations, known: migrationNames.length },
        pages: services.publish.streams.count,
      });
  });
  app.get('/ready', async (_request, response) => {
    const { ok, migrations } = await look(services);
    const ready = ok && migrations === migrationNames.length && !stopping;
    response
      .status(ready ? 200 : 503)
      .set('cache-control', 'no-store')
      .json({ ready });
  });
}

async function look({ database }: Services): Promise<{ ok: boolean; migrations: number | null }> {
  let timer: NodeJS.Timeout | undefined;
  try {
    const [row] = await Promise.race([
      database.sequelize.query<{ count: string }>(`select count(*) from "SequelizeMeta"`, {
        type: QueryTypes.SELECT,
      }),
      new Promise<never>((_, reject) => {
        timer = setTimeout(() => reject(new Error('The database is silent.')), patienceMs);
      }),
    ]);
    return { ok: true, migrations: Number(row?.count) };
  } catch {
    return { ok: false, migrations: null };
  } finally {
    clearTimeout(timer);
  }
}
