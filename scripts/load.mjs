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

const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;

const hostilePage = ({ students, boards, seconds, phaseP99Ms, ratio, errors, writesPerSecond, attacked }) =>
  `# A school under fire

Written by \`npm run load -- --hostile\`: ${students} students and ${boards} boards as in load.md, four times ${seconds} seconds on ${cpus().length} cores. In the second and
the fourth part four students send the longest formulas that are allowed as fast as they are answered, sixty browsers guess
passphrases of names that are there and that are not, and one student pastes 2 400 cells again and again.

| | quiet | under fire | quiet | under fire |
|---|---:|---:|---:|---:|
| a write, p99 of every six seconds: the median, ms | ${phaseP99Ms.map((values) => median(values).toFixed(1)).join(' | ')} |
| the greatest, ms | ${phaseP99Ms.map((values) => Math.max(...values).toFixed(1)).join(' | ')} |

| | |
|---|---:|
| **median p99 under fire to quiet** | **${ratio.toFixed(1)}** (at most 3) |
| honest writes a second | ${writesPerSecond.toFixed(0)} |
| honest requests that failed | ${errors} |
| honest sign-ins under fire, answered | ${attacked.signIns - attacked.refusedSignIns} of ${attacked.signIns} |
| the longest of them, ms | ${Math.round(attacked.longestSignInMs)} |
| formulas sent, and refused | ${attacked.formulas}, ${attacked.refusedFormulas} |
| blocks pasted, and refused | ${attacked.blocks}, ${attacked.refusedBlocks} |
| guesses sent | ${attacked.guesses} |
`;

await main(async () => {
  const { values } = parseArgs({
    options: {
      seconds: { type: 'string', default: '60' },
      pooler: { type: 'boolean', default: false },
      processes: { type: 'string', default: '1' },
      hostile: { type: 'boolean', default: false },
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
    if (values.hostile) return await underFire(cluster.urlFor('load_hostile'), values);
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

/** The same school, and in every second minute some who mean ill. */
async function underFire(direct, values) {
  const told = await run({ ...stages[0], aside: 5 }, direct, null, {
    ...values,
    seconds: Number(values.seconds) * 4,
    phases: 4,
    between: attack,
  });
  console.log(told);
  const [quiet, fire] = [0, 1].map((first) =>
    median([...told.phaseP99Ms[first], ...told.phaseP99Ms[first + 2]]),
  );
  const ratio = fire / quiet;
  const text = hostilePage({ ...told, ...values, ratio });
  writeFileSync(join(home, 'docs', 'load-hostile.md'), text);
  console.log(text);
  const { refusedSignIns, signIns } = told.attacked;
  if (ratio > 3)
    throw new Sentence(`The median p99 is ${ratio.toFixed(1)} times as long under fire; 3 is asked.`);
  if (told.errors > 0 || refusedSignIns > 0 || signIns === 0)
    throw new Sentence(
      `Honest requests refused: ${told.errors}; honest sign-ins: ${refusedSignIns} of ${signIns}.`,
    );
}

/** Those who mean ill, in a process of their own: at work in every second part. */
async function attack(address, people, partMs) {
  const attackers = fork(join(home, 'scripts/loadHostile.mjs'), { cwd: home });
  attackers.send({ address, people });
  for (let part = 1; part < 4; part += 1) {
    await new Promise((resolve) => setTimeout(resolve, partMs));
    attackers.send({ fire: part % 2 === 1 });
  }
  await new Promise((resolve) => setTimeout(resolve, partMs - 1_000));
  const counted = once(attackers, 'message');
  attackers.send({ end: true });
  const [told] = await counted;
  attackers.kill('SIGKILL');
  return told;
}

async function run(stage, direct, pooled, { seconds, processes, phases = 1, between }) {
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
    const address = `http://127.0.0.1:${port}`;
    const { aside } = await ask({ prepare: { ...stage, direct, secret, address } });
    await ask({ idle: 1500 });
    const beforeIdle = cpuOf(server.pid);
    const { idleMs } = await ask({ idle: 1000 });
    const entryMs = cpuOf(server.pid) - beforeIdle;
    let serverCpu = 0;
    let attacked = null;
    const ended = new Promise((resolve) => {
      // It says when it begins to count, when it ends, and what came of it.
      generator.on('message', (said) => {
        if (said.counts) attacked = between?.(address, aside, (Number(seconds) * 1000) / phases);
        if ('counts' in said) serverCpu = cpuOf(server.pid) - (said.counts ? 0 : serverCpu);
        else resolve(said);
      });
      generator.send({ load: { seconds: Number(seconds), phases } });
    });
    const told = await Promise.race([ended, failed]);
    return {
      ...stage,
      ...told,
      attacked: await attacked,
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
