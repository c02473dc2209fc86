import { createHash, createHmac, randomBytes, randomUUID } from 'node:crypto';
import { Agent, request } from 'node:http';
import pg from 'pg';

/** Makes the load of scripts/load.mjs in a process of its own, and tells what it cost itself. */
const perBench = 3;
const perClass = 30;
const betweenMs = [5_000, 10_000];
const warmSeconds = 20;
const state = {};

process.on('message', async (message) => {
  try {
    if (message.prepare) process.send(await prepare(message.prepare));
    else if (message.idle) process.send({ idleMs: await idle(message.idle) });
    else process.send(await load(message.load));
  } catch (error) {
    console.error(error);
    process.exit(1);
  }
});

/** Classes, benches, logbooks and sessions, put straight into the database; pages opened. */
async function prepare({ students, boards, direct, secret, address }) {
  Object.assign(state, {
    address,
    agent: new Agent({ keepAlive: true, maxSockets: 96, scheduling: 'lifo' }),
  });
  const client = new pg.Client({ connectionString: direct });
  await client.connect();
  const q = async (sql, values) => (await client.query(sql, values)).rows;
  const [demo] = await q(
    `select id, (select id from class_conventions where class_id = c.id) as conventions from classes c`,
  );
  const [pin] = await q(`select body from investigations where class_id = $1 order by created_at limit 1`, [
    demo.id,
  ]);
  const [conventions] = await q(`select body from class_conventions where id = $1`, [demo.conventions]);
  const people = [];
  const sessions = [];
  const session = (person) => {
    const sid = randomBytes(24).toString('base64url');
    const signature = createHmac('sha256', secret).update(sid).digest('base64').replace(/=+$/, '');
    sessions.push([createHash('sha256').update(sid).digest('hex'), person]);
    return `green-beam=${encodeURIComponent(`s:${sid}.${signature}`)}`;
  };
  const classes = [];
  for (let nth = 0; nth * perClass < students; nth += 1) {
    const [classId, conventionsId, investigationId, teacher] = [
      randomUUID(),
      randomUUID(),
      randomUUID(),
      randomUUID(),
    ];
    await q(`insert into classes (id, code, name, created_at) values ($1, $2, $3, now())`, [
      classId,
      `LOAD${nth}`,
      `Class ${nth}`,
    ]);
    await q(
      `insert into class_conventions (id, class_id, version, body, created_at) values ($1, $2, 1, $3, now())`,
      [conventionsId, classId, conventions.body],
    );
    await q(
      `insert into investigations (id, class_id, body, family_id, version, retired, created_at) values ($1, $2, $3, $1, 1, false, now())`,
      [investigationId, classId, pin.body],
    );
    await q(
      `insert into people (id, role, name, secret_hash, created_at) values ($1, 'teacher', $2, 'x', now())`,
      [teacher, `Teacher ${nth}`],
    );
    await q(
      `insert into class_staff (class_id, person_id, role, created_at) values ($1, $2, 'owner', now())`,
      [classId, teacher],
    );
    classes.push({ id: classId, teacher, cookie: session(teacher) });
    for (let bench = 0; bench < perClass / perBench; bench += 1) {
      const [groupId, logbookId] = [randomUUID(), randomUUID()];
      await q(`insert into bench_groups (id, class_id, name, created_at) values ($1, $2, $3, now())`, [
        groupId,
        classId,
        `Bench ${bench + 1}`,
      ]);
      await q(
        `insert into logbooks (id, investigation_id, conventions_id, created_at) values ($1, $2, $3, now())`,
        [logbookId, investigationId, conventionsId],
      );
      for (let seat = 0; seat < perBench; seat += 1) {
        const id = randomUUID();
        const name = `Student ${nth}-${bench}-${seat}`;
        await q(
          `insert into people (id, role, name, secret_hash, created_at) values ($1, 'student', $2, 'x', now())`,
          [id, name],
        );
        await q(
          `insert into class_students (class_id, person_id, name_key, created_at) values ($1, $2, $3, now())`,
          [classId, id, name.toLowerCase()],
        );
        await q(`insert into bench_group_members (group_id, person_id, created_at) values ($1, $2, now())`, [
          groupId,
          id,
        ]);
        await q(`insert into logbook_members (logbook_id, person_id, created_at) values ($1, $2, now())`, [
          logbookId,
          id,
        ]);
        people.push({
          id,
          cookie: session(id),
          logbookId,
          seat,
          trial: 1,
          setting: null,
          tries: 0,
          entries: seat % 2 === 0,
        });
      }
    }
  }
  for (let at = 0; at < sessions.length; at += 500)
    await q(
      `insert into sessions (id, person_id, own_device, started_at, seen_at, created_at)
       select id, person, false, now(), now(), now() from unnest($1::text[], $2::uuid[]) as s(id, person)`,
      [
        sessions.slice(at, at + 500).map(([id]) => id),
        sessions.slice(at, at + 500).map(([, person]) => person),
      ],
    );
  await client.query('analyze');
  await client.end();
  state.people = people;
  state.classes = classes.slice(0, boards);
  state.counts = { events: 0, requests: 0, errors: 0 };
  return { people: people.length };
}

/** One entry after another on a server that has nothing else to do: the median, in milliseconds. */
async function idle(count) {
  const person = state.people[0];
  const times = [];
  for (let nth = 0; nth < count; nth += 1) times.push((await entry(person)).ms);
  return quantile(times, 0.5);
}

async function load({ seconds }) {
  const streams = [];
  for (const person of state.people) streams.push(await stream(person, () => undefined));
  const boardTimes = [];
  for (const board of state.classes) {
    const who = { id: board.teacher, cookie: board.cookie };
    await ask(who, 'GET', `/api/classes/${board.id}/board`);
    const wanted = new Set();
    let busy = false;
    const patch = async (students) => {
      students.forEach((id) => wanted.add(id));
      if (busy) return;
      busy = true;
      while (wanted.size > 0) {
        const now = [...wanted];
        wanted.clear();
        const { ms } = await ask(who, 'GET', `/api/classes/${board.id}/board?students=${now.join(',')}`);
        boardTimes.push(ms);
      }
      busy = false;
    };
    streams.push(await stream(who, (event) => event.changed === 'board' && void patch(event.students)));
  }
  let [began, cpu] = [0, process.cpuUsage()];
  const until = performance.now() + (warmSeconds + seconds) * 1000;
  const times = [];
  // Everybody has come in before it counts.
  setTimeout(() => {
    [began, cpu] = [performance.now(), process.cpuUsage()];
    Object.assign(state.counts, { events: 0, requests: 0, errors: 0 });
    process.send({ counts: true });
  }, warmSeconds * 1000);
  const work = Promise.all(
    state.people.map(async (person) => {
      await pause(Math.random() * betweenMs[1]);
      while (performance.now() < until) {
        person.entries = !person.entries;
        const took = person.entries ? await entry(person) : await reading(person);
        if (began > 0) times.push(took.ms);
        if (performance.now() < until)
          await pause(betweenMs[0] + Math.random() * (betweenMs[1] - betweenMs[0]));
      }
    }),
  );
  await pause(until - performance.now());
  const tookSeconds = (performance.now() - began) / 1000;
  const used = process.cpuUsage(cpu);
  process.send({ counts: false });
  const [held, told] = [{ ...state.counts }, [...times]];
  await work;
  for (const open of streams) open.destroy();
  const { requests, events } = held;
  const { errors } = state.counts;
  return {
    tookSeconds,
    requests,
    errors,
    writesPerSecond: told.length / tookSeconds,
    requestsPerSecond: requests / tookSeconds,
    eventsPerSecond: events / tookSeconds,
    p50Ms: quantile(told, 0.5),
    p99Ms: quantile(told, 0.99),
    boardMs: quantile(boardTimes, 0.5),
    generatorShare: (used.user + used.system) / 1e6 / tookSeconds,
  };
}

/** What a reader writes on the page: the three readings of a trial, one after another, cells of their own for each seat. */
function entry(person) {
  const trial = 1 + (person.trial++ % 66) * 3 + person.seat;
  return ask(person, 'POST', `/api/logbooks/${person.logbookId}/entries`, {
    id: randomUUID(),
    trial: Math.min(200, trial),
    column: ['mass', 'before', 'after'][person.trial % 3],
    text: (200 + Math.random() * 10).toFixed(1),
    replaces: null,
    reason: null,
    writtenAt: new Date().toISOString(),
  });
}

/** A try on the bench; after three tries another setting is taken. */
async function reading(person) {
  if (!person.setting || person.tries >= 3) {
    const { body } = await ask(person, 'POST', '/api/bench/settings', {
      id: randomUUID(),
      kind: ['graduated-cylinder', 'burette', 'vernier-caliper', 'ruler'][Math.floor(Math.random() * 4)],
      mode: 'read',
    });
    person.setting = body;
    person.tries = 0;
  }
  person.tries += 1;
  const answer = await ask(person, 'POST', `/api/bench/settings/${person.setting.id}/attempts`, {
    id: randomUUID(),
    text: (Math.random() * 20).toFixed(2),
    unit: person.setting.unitChoices[0],
    hands: null,
  });
  if (answer.body?.triesLeft === 0) person.tries = 3;
  return answer;
}

function ask(person, method, path, body) {
  const began = performance.now();
  const text = body === undefined ? undefined : JSON.stringify(body);
  state.counts.requests += 1;
  return new Promise((resolve) => {
    const failed = (why) => {
      state.counts.errors += 1;
      if (state.counts.errors < 5) console.error(method, path, why);
      resolve({ ms: performance.now() - began, body: null });
    };
    const asked = request(state.address + path, {
      method,
      agent: state.agent,
      headers: {
        cookie: person.cookie,
        'x-person': person.id,
        origin: state.address,
        ...(text === undefined
          ? {}
          : { 'content-type': 'application/json', 'content-length': Buffer.byteLength(text) }),
      },
    });
    asked.on('response', (answer) => {
      const parts = [];
      answer.on('data', (part) => parts.push(part));
      answer.on('end', () => {
        const ms = performance.now() - began;
        const said = Buffer.concat(parts).toString();
        if (answer.statusCode !== 200) return failed(`${answer.statusCode} ${said}`);
        resolve({ ms, body: JSON.parse(said) });
      });
      answer.on('error', failed);
    });
    asked.on('error', failed);
    asked.end(text);
  });
}

/** An open page: it hears what changed. */
function stream(person, hear) {
  return new Promise((resolve, reject) => {
    const asked = request(`${state.address}/api/events`, {
      agent: false,
      headers: { cookie: person.cookie, 'x-person': person.id },
    });
    asked.on('response', (answer) => {
      if (answer.statusCode !== 200)
        return reject(new Error(`a stream was answered with ${answer.statusCode}`));
      let rest = '';
      answer.on('data', (part) => {
        const lines = (rest + part).split('\n\n');
        rest = lines.pop();
        for (const line of lines)
          if (line.startsWith('data: ')) {
            state.counts.events += 1;
            hear(JSON.parse(line.slice(6)));
          }
      });
      answer.on('error', () => undefined);
      resolve(asked);
    });
    asked.on('error', () => undefined);
    asked.end();
  });
}

const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
const quantile = (values, share) =>
  [...values].sort((a, b) => a - b)[Math.floor(share * (values.length - 1))] ?? NaN;
