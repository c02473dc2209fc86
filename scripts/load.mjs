import { fork } from 'node:child_process';
import { once } from 'node:events';
import { readFileSync, rmSync, mkdirSync, writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { build, checkNode, dataFolder, home, nodePackages, serverFlags } from './machine.mjs';
import { pooler } from './pgbouncer.mjs';
import { freePort, startCluster } from './postgres.mjs';
import { main, Sentence } from './run.mjs';

/**
 * A whole school at once: students who write every five to ten seconds, half of it readings on the bench and half entries in
 * logbooks, each with a page open; and boards that follow them. Asked is the ratio of the slowest hundredth of all writes to one
 * entry on the idle server, so that it says the same on any machine.
 */
const stages = [
  { students: 300, boards: 10, most: 10 },
  { students: 1200, boards: 40, most: 20 },
];

const page = (rows, { seconds, pooler: viaPooler, processes }) => {
  const line = (name, of) => `| ${name} | ${rows.map(of).join(' | ')} |`;
  const ms = (value) => value.toFixed(1);
  return `# A whole school at once

Written by \`npm run load${viaPooler ? ' -- --pooler' : ''}\`: ${seconds} seconds each, on ${cpus().length} cores that server, PostgreSQL${viaPooler ? ', PgBouncer (transactions; LISTEN on a direct connection)' : ''} and
the generator of the load share; ${processes === '1' ? 'one process' : `${processes} processes`} of the server. Each student has a page open, writes every 5 to 10 s, in turn a reading
on the bench and an entry in the logbook of a bench of three; each board follows its class and fetches what is new of it, and every 8 s what lies before
each student.

${line('students', ({ students }) => students)}
|---|${rows.map(() => '---:').join('|')}|
${[
  line('boards', ({ boards }) => boards),
  line('writes a second', ({ writesPerSecond }) => writesPerSecond.toFixed(0)),
  line('all requests a second', ({ requestsPerSecond }) => requestsPerSecond.toFixed(0)),
  line('events heard a second', ({ eventsPerSecond }) => eventsPerSecond.toFixed(0)),
  line('failed', ({ errors }) => errors),
  line('one entry on the idle server, median, ms', ({ idleMs }) => ms(idleMs)),
  line('processor time of the server for it, ms', ({ entryMs }) => entryMs.toFixed(2)),
  line('a write under load, median, ms', ({ p50Ms }) => ms(p50Ms)),
  line('a write under load, p99, ms', ({ p99Ms }) => ms(p99Ms)),
  line('**p99 to one idle entry**', ({ ratio, most }) => `**${ratio.toFixed(1)}** (at most ${most})`),
  line('what is new on a board, median, ms', ({ boardMs }) => ms(boardMs)),
  line('processor of the server, of one core', ({ serverShare }) => `${(serverShare * 100).toFixed(0)} %`),
  line('processor time of the server a request, ms', ({ nodeMsPerRequest }) => nodeMsPerRequest.toFixed(2)),
  line(
    'processor of the generator, of one core',
    ({ generatorShare }) => `${(generatorShare * 100).toFixed(0)} %`,
  ),
].join('\n')}
`;
};

await main(async () => {
  const { values } = parseArgs({
    options: {
      seconds: { type: 'string', default: '60' },
      pooler: { type: 'boolean', default: false },
      processes: { type: 'string', default: '1' },
    },
  });
  checkNode();
  nodePackages();
  build();
  const folder = join(dataFolder, 'load');
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  const cluster = await startCluster(join(folder, 'cluster'));
  const rows = [];
  try {
    for (const stage of stages) {
      const direct = cluster.urlFor(`load_${stage.students}`);
      const bouncer = values.pooler ? await pooler(direct) : null;
      try {
        const told = await run(stage, direct, bouncer?.url ?? null, values);
        rows.push(told);
        console.log(told);
      } finally {
        await bouncer?.stop();
      }
    }
  } finally {
    await cluster.stop();
  }
  const name = values.pooler ? 'load-pooled.md' : 'load.md';
  writeFileSync(join(home, 'docs', name), page(rows, values));
  console.log(page(rows, values));
  for (const { students, most, ratio, errors } of rows) {
    if (ratio > most)
      throw new Sentence(
        `With ${students} students p99 is ${ratio.toFixed(1)} times one idle entry; ${most} is asked.`,
      );
    if (errors > 0) throw new Sentence(`With ${students} students ${errors} requests failed.`);
  }
});

async function run(stage, direct, pooled, { seconds, processes }) {
  const port = await freePort();
  const secret = 'a secret for the load only, long enough';
  const server = fork(join(home, 'server/dist/main.js'), {
    cwd: home,
    execArgv: serverFlags,
    env: {
      ...process.env,
      DATABASE_URL: pooled ?? direct,
      ...(pooled ? { DIRECT_DATABASE_URL: direct } : {}),
      SESSION_SECRET: secret,
      PORT: String(port),
      PROCESSES: processes,
      LOG_LEVEL: 'silent',
      DEMO: 'true',
    },
  });
  await once(server, 'message');
  const generator = fork(join(home, 'scripts/loadGenerator.mjs'), { cwd: home });
  const failed = once(generator, 'exit').then(() => {
    throw new Sentence('The generator of the load has ended before its time.');
  });
  const ask = async (message) => {
    const answered = once(generator, 'message');
    generator.send(message);
    return (await Promise.race([answered, failed]))[0];
  };
  try {
    await ask({ prepare: { ...stage, direct, secret, address: `http://127.0.0.1:${port}` } });
    await ask({ idle: 1500 });
    const beforeIdle = cpuOf(server.pid);
    const { idleMs } = await ask({ idle: 1000 });
    const entryMs = cpuOf(server.pid) - beforeIdle;
    let serverCpu = 0;
    const ended = new Promise((resolve) => {
      // It says when it begins to count, when it ends, and what came of it.
      generator.on('message', (said) => {
        if ('counts' in said) serverCpu = cpuOf(server.pid) - (said.counts ? 0 : serverCpu);
        else resolve(said);
      });
      generator.send({ load: { seconds: Number(seconds) } });
    });
    const told = await Promise.race([ended, failed]);
    return {
      ...stage,
      ...told,
      idleMs,
      entryMs,
      ratio: told.p99Ms / idleMs,
      serverShare: serverCpu / told.tookSeconds,
      nodeMsPerRequest: (serverCpu * 1000) / told.requests,
    };
  } finally {
    failed.catch(() => undefined);
    generator.kill('SIGKILL');
    server.kill('SIGTERM');
    await once(server, 'exit');
  }
}

/** Seconds of processor time that a process and its children have used. */
function cpuOf(pid) {
  const [, rest] = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ');
  const fields = rest.split(' ');
  return (Number(fields[11]) + Number(fields[12]) + Number(fields[13]) + Number(fields[14])) / 100;
}
