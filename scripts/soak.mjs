import { fork } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { build, checkNode, dataFolder, home, nodePackages } from './machine.mjs';
import { freePort, startCluster } from './postgres.mjs';
import { main, Sentence } from './run.mjs';
import pg from 'pg';
import { Besides } from './soakBesides.mjs';
import { killStarts } from './soakStarts.mjs';

/**
 * A stream of 50 entries a second for 30 seconds, while the server and the database are killed in turn. Every entry is sent
 * again with its own id until it is acknowledged, as the page does. Afterwards each acknowledged one must be there once. The server is two
 * processes. Before, servers are killed at random instants of their start.
 */
const [perSecond, seconds, writers] = [50, 30, 10];
const killedStarts = 40;
const kills = [
  [4, 'server'],
  [9, 'database'],
  [14, 'both'],
  [19, 'server'],
  [24, 'both'],
];
const port = await freePort();
const address = `http://127.0.0.1:${port}`;
const pause = (milliseconds) => new Promise((resolve) => setTimeout(resolve, milliseconds));

/** PostgreSQL and the built server, to be killed without a word. */
class Stack {
  #cluster;
  #server;

  get cluster() {
    return this.#cluster;
  }

  constructor(folder) {
    this.folder = folder;
  }

  async start() {
    this.#cluster = await startCluster(this.folder);
    await this.#startServer();
  }

  async #startServer() {
    this.#server = fork(join(home, 'server/dist/main.js'), {
      cwd: home,
      env: {
        ...process.env,
        DATABASE_URL: this.#cluster.urlFor('green_beam'),
        SESSION_SECRET: 'a secret for the soak only, long enough',
        PORT: String(port),
        DEMO: 'true',
        PROCESSES: '2',
        LOG_LEVEL: 'silent',
      },
    });
    await once(this.#server, 'message');
  }

  /** The database comes back at another port, so the server is started anew with it. */
  async kill(what) {
    if (what !== 'server') process.kill(this.#cluster.pid, 'SIGKILL');
    // For a while the server works on without its database.
    if (what === 'database') await pause(1000);
    const gone = once(this.#server, 'exit');
    this.#server.kill('SIGKILL');
    await gone;
    if (what !== 'server') this.#cluster = await startCluster(this.folder);
    await this.#startServer();
  }

  async stop() {
    this.#server.kill('SIGKILL');
    await this.#cluster.stop();
  }
}

/** One browser, as far as the server can tell. */
class Reader {
  #cookie;
  #person = '';

  static async signIn(as, words) {
    const reader = new Reader();
    const answer = await reader.send(`/api/session/${as}`, words);
    if (!answer.ok) throw new Sentence(`The sign-in was answered with ${answer.status}.`);
    reader.#cookie = answer.headers
      .getSetCookie()
      .find((line) => line.startsWith('green-beam='))
      ?.split(';')[0];
    reader.#person = (await answer.json()).who.id;
    return reader;
  }

  send(path, body) {
    return fetch(address + path, {
      method: 'POST',
      headers: {
        'content-type': 'application/json',
        origin: address,
        'x-person': this.#person,
        ...(this.#cookie ? { cookie: this.#cookie } : {}),
      },
      body: JSON.stringify(body),
      signal: globalThis.AbortSignal.timeout(5000),
    });
  }

  fetch(path) {
    return fetch(address + path, { headers: { cookie: this.#cookie, 'x-person': this.#person } });
  }

  async get(path) {
    return (await this.fetch(path)).json();
  }

  async openLogbook() {
    const { logbooks } = await this.get('/api/logbooks');
    return logbooks.find(({ logbookId }) => logbookId).logbookId;
  }
}

/** Entries come at their pace, to some writers in turn; each sends one at a time until it is acknowledged, as the page does. */
async function flow(reader, logbook, sent) {
  const began = Date.now();
  const writer = async (first) => {
    for (let at = first; at < perSecond * seconds; at += writers) {
      await pause(Math.max(0, began + (at * 1000) / perSecond - Date.now()));
      await untilAcknowledged(reader, logbook, sent, at);
    }
  };
  await Promise.all(Array.from({ length: writers }, (_, first) => writer(first)));
}

async function untilAcknowledged(reader, logbook, sent, at) {
  const entry = {
    id: randomUUID(),
    trial: (at % 200) + 1,
    kind: 'reading',
    of: ['mass', 'before', 'after'][Math.floor(at / 200) % 3],
    text: (200 + (at % 97) / 10).toFixed(1),
    replaces: null,
    reason: null,
    writtenAt: new Date().toISOString(),
  };
  const note = { text: entry.text, tries: 0 };
  sent.set(entry.id, note);
  for (;;) {
    note.tries += 1;
    const answer = await reader.send(`/api/logbooks/${logbook}/entries`, entry).catch(() => null);
    if (answer?.ok) return;
    if (answer && answer.status < 500 && answer.status !== 429)
      throw new Sentence(`An entry was refused with ${answer.status}: ${await answer.text()}`);
    await pause(200);
  }
}

/** Students and benches whose class is gone. */
async function leftOfDeleted(url) {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  const { rows } = await client.query(
    `select count(*)::int as left from people where name in ('Ivo Lark', 'Una Teal', 'Pia Knot')
        and id not in (select person_id from class_students)`,
  );
  await client.end();
  return rows[0].left;
}

function tell(sent, entries, starts, { deleted, saved, left }) {
  const times = new Map();
  for (const { id, text } of entries) if (sent.has(id)) times.set(id, [...(times.get(id) ?? []), text]);
  const lost = [...sent.keys()].filter((id) => !times.has(id)).length;
  const doubled = [...times.values()].filter(({ length }) => length > 1).length;
  const changed = [...times].filter(([id, [text]]) => text !== sent.get(id).text).length;
  const again = [...sent.values()].filter(({ tries }) => tries > 1).length;
  const rows = [
    ['entries acknowledged', sent.size],
    ['of them sent more than once', again],
    ['kills of server, database or both', kills.length],
    ['acknowledged entries lost', lost],
    ['entries doubled', doubled],
    ['entries changed', changed],
    ['classes made and deleted for good meanwhile', deleted],
    ['students left of them', left],
    ['times that the class was saved whole meanwhile', saved],
    ['first starts killed at a random instant', starts.first],
    ['upgrades killed at a random instant', starts.upgrade],
    ['of them, starts that worked afterwards', starts.started],
    ['of them, databases other than before', starts.changed],
  ];
  const table = rows.map(([what, count]) => `| ${what} | ${count} |`).join('\n');
  writeFileSync(
    join(home, 'docs/soak.md'),
    `# Nothing acknowledged is lost\n\nWritten by \`npm run soak\`: ${perSecond} entries a second for ${seconds} seconds into one logbook\nby ten writers, while the server (two processes) and the database\nare killed (SIGKILL) and started again. Each entry is sent again, with its own id, until it is acknowledged.\n\n| | |\n|---|---:|\n${table}\n`,
  );
  console.log(table);
  if (lost + doubled + changed > 0) throw new Sentence('An acknowledged entry was lost, doubled or changed.');
  if (left > 0 || deleted === 0 || saved === 0)
    throw new Sentence('A class was not deleted or saved as it should be.');
  if (starts.started < killedStarts || starts.changed > 0)
    throw new Sentence('A killed start left a database that could not be gone on with.');
}

await main(async () => {
  checkNode();
  nodePackages();
  build();
  const folder = join(dataFolder, 'soak');
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  const stack = new Stack(join(folder, 'cluster'));
  await stack.start();
  try {
    const starts = await killStarts(stack.cluster, killedStarts);
    console.log(starts);
    const reader = await Reader.signIn('student', {
      classCode: 'TERN9',
      name: 'Verity Moss',
      passphrase: 'verity lantern quay',
    });
    const teacher = await Reader.signIn('teacher', { name: 'Ms Marrow', password: 'level beam 9' });
    const besides = new Besides(teacher);
    const logbook = await reader.openLogbook();
    const sent = new Map();
    const stream = flow(reader, logbook, sent);
    const began = Date.now();
    for (const [second, what] of kills) {
      await pause(Math.max(0, began + second * 1000 - Date.now()));
      await stack.kill(what);
      console.log(`${second} s: ${what} killed and started again`);
    }
    await stream;
    const counts = await besides.stop();
    const { entries } = await reader.get(`/api/logbooks/${logbook}`);
    const left = await leftOfDeleted(stack.cluster.urlFor('green_beam'));
    tell(sent, entries, starts, { ...counts, left });
  } finally {
    await stack.stop();
    rmSync(folder, { recursive: true, force: true });
  }
});
