import { randomUUID } from 'node:crypto';
import { clearInterval, setInterval } from 'node:timers';
import { LoadClient } from './loadClient.mjs';
import { makeSchool } from './loadSchool.mjs';

/** Makes the load of scripts/load.mjs in a process of its own, and tells what it cost itself. */
const betweenMs = [5_000, 10_000];
const warmSeconds = 20;
/** How often a board asks what lies before its students. */
const everyMs = 8_000;
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

/** @param aside so many of the students write nothing here: they are handed over */
async function prepare({ boards, address, aside = 0, ...school }) {
  const { people: all, classes } = await makeSchool(school);
  const people = all.slice(0, all.length - aside);
  Object.assign(state, { client: new LoadClient(address), people, classes: classes.slice(0, boards) });
  return { people: people.length, aside: all.slice(people.length) };
}

/** One entry after another on a server that has nothing else to do: the median, in milliseconds. */
async function idle(count) {
  const person = state.people[0];
  const times = [];
  for (let nth = 0; nth < count; nth += 1) times.push((await entry(person)).ms);
  return quantile(times, 0.5);
}

/** @param phases into how many parts of equal length the time is cut; of each is told the slowest hundredth of every few seconds */
async function load({ seconds, phases = 1 }) {
  const streams = [];
  for (const person of state.people) streams.push(await state.client.open(person, () => undefined));
  const [boardTimes, clocks] = [[], []];
  for (const board of state.classes) {
    const who = { id: board.teacher, cookie: board.cookie };
    await state.client.ask(who, 'GET', `/api/classes/${board.id}/board`);
    const wanted = new Set();
    let busy = false;
    const patch = async (students) => {
      students.forEach((id) => wanted.add(id));
      if (busy) return;
      busy = true;
      while (wanted.size > 0) {
        const now = [...wanted];
        wanted.clear();
        const { ms } = await state.client.ask(
          who,
          'GET',
          `/api/classes/${board.id}/board?students=${now.join(',')}`,
        );
        boardTimes.push(ms);
      }
      busy = false;
    };
    streams.push(
      await state.client.open(who, (event) => event.changed === 'board' && void patch(event.students)),
    );
    const look = () => void state.client.ask(who, 'GET', `/api/classes/${board.id}/now`);
    clocks.push(setTimeout(() => clocks.push(setInterval(look, everyMs)), Math.random() * everyMs));
  }
  let [began, cpu] = [0, process.cpuUsage()];
  const until = performance.now() + (warmSeconds + seconds) * 1000;
  const times = [];
  // Everybody has come in before it counts.
  setTimeout(() => {
    [began, cpu] = [performance.now(), process.cpuUsage()];
    Object.assign(state.client.counts, { events: 0, requests: 0, errors: 0 });
    process.send({ counts: true });
  }, warmSeconds * 1000);
  const work = Promise.all(
    state.people.map(async (person) => {
      await pause(Math.random() * betweenMs[1]);
      while (performance.now() < until) {
        person.entries = !person.entries;
        const took = person.entries ? await entry(person) : await reading(person);
        if (began > 0 && took.ms >= 0) times.push({ ms: took.ms, at: performance.now() - took.ms - began });
        if (performance.now() < until)
          await pause(betweenMs[0] + Math.random() * (betweenMs[1] - betweenMs[0]));
      }
    }),
  );
  await pause(until - performance.now());
  const tookSeconds = (performance.now() - began) / 1000;
  const used = process.cpuUsage(cpu);
  process.send({ counts: false });
  const held = { ...state.client.counts };
  const told = times.map(({ ms }) => ms);
  const phaseMs = (seconds * 1000) / phases;
  const phaseP99Ms = Array.from({ length: phases }, (_, nth) =>
    Array.from({ length: Math.round(phaseMs / windowMs) }, (_, window) => {
      const from = nth * phaseMs + window * windowMs;
      return quantile(
        times.filter(({ at }) => at >= from && at < from + windowMs).map(({ ms }) => ms),
        0.99,
      );
    }),
  );
  await work;
  clocks.forEach(clearInterval);
  for (const open of streams) open.destroy();
  const { requests, events } = held;
  const { errors } = state.client.counts;
  return {
    tookSeconds,
    requests,
    errors,
    writesPerSecond: told.length / tookSeconds,
    requestsPerSecond: requests / tookSeconds,
    eventsPerSecond: events / tookSeconds,
    p50Ms: quantile(told, 0.5),
    p99Ms: quantile(told, 0.99),
    phaseP99Ms,
    boardMs: quantile(boardTimes, 0.5),
    generatorShare: (used.user + used.system) / 1e6 / tookSeconds,
  };
}

/** What a reader writes on the page: the three readings of a trial, one after another, cells of their own for each seat. */
function entry(person) {
  const trial = 1 + (person.trial++ % 66) * 3 + person.seat;
  return state.client.ask(person, 'POST', `/api/logbooks/${person.logbookId}/entries`, {
    id: randomUUID(),
    trial: Math.min(200, trial),
    kind: 'reading',
    of: ['mass', 'before', 'after'][person.trial % 3],
    text: (200 + Math.random() * 10).toFixed(1),
    replaces: null,
    reason: null,
    writtenAt: new Date().toISOString(),
  });
}

/** A try on the bench; after three tries another setting is taken. */
async function reading(person) {
  if (!person.setting || person.tries >= 3) {
    const { body } = await state.client.ask(person, 'POST', '/api/bench/settings', {
      id: randomUUID(),
      kind: ['graduated-cylinder', 'burette', 'vernier-caliper', 'ruler'][Math.floor(Math.random() * 4)],
      mode: 'read',
    });
    // It was refused: counted already, and tried again the next time.
    if (!body) return { ms: NaN, body };
    person.setting = body;
    person.tries = 0;
  }
  person.tries += 1;
  const answer = await state.client.ask(person, 'POST', `/api/bench/settings/${person.setting.id}/attempts`, {
    id: randomUUID(),
    text: (Math.random() * 20).toFixed(2),
    unit: person.setting.unitChoices[0],
    hands: null,
  });
  if (answer.body?.triesLeft === 0) person.tries = 3;
  return answer;
}

const windowMs = 6_000;
const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));
const quantile = (values, share) =>
  [...values].sort((a, b) => a - b)[Math.floor(share * (values.length - 1))] ?? NaN;
