import { fork } from 'node:child_process';
import { once } from 'node:events';
import { join } from 'node:path';
import pg from 'pg';
import { home } from './machine.mjs';
import { freePort } from './postgres.mjs';
import { ask, Sentence } from './run.mjs';

const longestMs = 2_500;
const pause = (milliseconds) => new Promise((resolve) => setTimeout(resolve, milliseconds));

function startServer(url, port) {
  const server = fork(join(home, 'server/dist/main.js'), {
    cwd: home,
    silent: true,
    env: {
      ...process.env,
      DATABASE_URL: url,
      SESSION_SECRET: 'a secret for the soak only, long enough',
      PORT: String(port),
      DEMO: 'true',
      LOG_LEVEL: 'silent',
    },
  });
  server.stdout.resume();
  server.stderr.resume();
  return server;
}

/** What the older class wrote, as it stands in a database; the demo class comes besides. */
async function counted(url) {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  // Tries were called attempts before they were brought together.
  const {
    rows: [{ tries }],
  } = await client.query(`select coalesce(to_regclass('tries'), to_regclass('attempts'))::text as tries`);
  const { rows } = await client.query(
    `select count(*) as entries, md5(string_agg(e.id::text || e.text || e.seq, '' order by e.seq)) as sum,
            (select count(*) from ${tries} t join people p on p.id = t.person_id where p.name like 'Older %') as tries
       from logbook_entries e join people p on p.id = e.reader_id where p.name like 'Older %'`,
  );
  await client.end();
  return JSON.stringify(rows[0]);
}

/**
 * Kills a server at random instants of a first start, and of a start that has to bring an older database up to date; then starts it
 * in earnest. @returns how many of these starts worked, and how many left a database other than it should be
 */
export async function killStarts(cluster, times) {
  const admin = new pg.Client({ connectionString: cluster.administratorUrl() });
  await admin.connect();
  const old = cluster.urlFor('soak_older');
  // Half of the way up, by the migrations themselves, with what a class wrote then.
  if (ask('npx', ['tsx', join(home, 'server/test/olderDatabase.ts'), old], { cwd: home }) === null)
    throw new Sentence('An older database could not be made.');
  const { username: owner } = new URL(old);
  const before = await counted(old);
  const told = { first: 0, upgrade: 0, started: 0, changed: 0 };
  for (let nth = 0; nth < times; nth += 1) {
    const kind = nth % 2 === 0 ? 'first' : 'upgrade';
    const name = `soak_start_${nth}`;
    await admin.query(
      `create database ${name} owner ${owner} ${kind === 'upgrade' ? 'template soak_older' : ''}`,
    );
    const url = cluster.urlFor(name);
    const victim = startServer(url, await freePort());
    await pause(Math.random() * longestMs);
    const gone = once(victim, 'exit');
    victim.kill('SIGKILL');
    await gone;
    const port = await freePort();
    const server = startServer(url, port);
    await Promise.race([once(server, 'message'), once(server, 'exit')]);
    const ready = await fetch(`http://127.0.0.1:${port}/ready`).catch(() => null);
    told[kind] += 1;
    if (ready?.status === 200) told.started += 1;
    if (kind === 'upgrade' && (await counted(url)) !== before) told.changed += 1;
    const ended = once(server, 'exit');
    server.kill('SIGKILL');
    await ended;
  }
  await admin.end();
  return told;
}
