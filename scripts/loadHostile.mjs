import { randomUUID } from 'node:crypto';

/** Those who mean ill, for `npm run load -- --hostile`: told when to fire, and asked at the end what they did. */
const guessers = 60;
const signInEveryMs = 2_000;
const counts = {
  formulas: 0,
  refusedFormulas: 0,
  blocks: 0,
  refusedBlocks: 0,
  guesses: 0,
  signIns: 0,
  refusedSignIns: 0,
  longestSignInMs: 0,
};
const state = { address: '', firing: false };
/** The browser of whoever means well: it was signed in with before. */
let marks = '';

const letters = Array.from({ length: 24 }, (_, at) => `b${at}`);
const nested = letters.map((letter) => `${letter}*(1+`).join('') + '1' + ')'.repeat(24);
const longest = [
  [
    '/api/rearranged',
    () => ({
      id: randomUUID(),
      exerciseId: randomUUID(),
      formula: `a = ${letters.join('+')}`,
      wanted: 'b3',
      text: 'a',
    }),
  ],
  [
    '/api/rearranged',
    () => ({
      id: randomUUID(),
      exerciseId: randomUUID(),
      formula: `a = ${nested}`,
      wanted: 'b23',
      text: 'a',
    }),
  ],
  [
    null,
    () => ({
      id: randomUUID(),
      expression: Array.from({ length: 60 }, () => 'exp(1.23456789012)').join('*'),
    }),
  ],
  [null, () => ({ id: randomUUID(), expression: `${'sqrt('.repeat(60)}2.50${')'.repeat(60)}` })],
];

/** The cookie of the device, without that of the session. */
const marksOf = (answer) =>
  (answer?.headers.getSetCookie() ?? [])
    .map((line) => line.split(';')[0])
    .filter((line) => line.startsWith('green-beam-device='))
    .join('; ');

async function post(path, body, person) {
  const began = performance.now();
  const answer = await fetch(state.address + path, {
    method: 'POST',
    headers: {
      'content-type': 'application/json',
      origin: state.address,
      ...(person ? { cookie: person.cookie, 'x-person': person.id ?? '' } : {}),
    },
    body: JSON.stringify(body),
  }).catch(() => null);
  await answer?.arrayBuffer().catch(() => undefined);
  if (person?.marked) marks = marksOf(answer) || marks;
  return { ok: answer?.ok ?? false, ms: performance.now() - began };
}

/** Again and again, as fast as it is answered, while there is fire. */
async function again(act) {
  for (;;) {
    if (state.firing) await act();
    else await new Promise((resolve) => setTimeout(resolve, 20));
  }
}

async function begin({ address, people }) {
  state.address = address;
  marks = marksOf(await fetch(`${address}/api/session`));
  await signIn();
  const [pasting, ...writing] = people;
  for (const [at, person] of writing.entries())
    void again(async () => {
      const [path, body] = longest[(at + counts.formulas) % longest.length];
      counts.formulas += 1;
      const { ok } = await post(path ?? `/api/logbooks/${person.logbookId}/calculations`, body(), person);
      if (!ok) counts.refusedFormulas += 1;
    });
  void again(async () => {
    counts.blocks += 1;
    const entries = Array.from({ length: 2_400 }, (_, at) => ({
      id: randomUUID(),
      trial: (at % 200) + 1,
      kind: 'reading',
      of: ['mass', 'before', 'after'][at % 3],
      text: '214.6',
      replaces: null,
      reason: null,
      writtenAt: new Date().toISOString(),
    }));
    const { ok } = await post(
      `/api/logbooks/${pasting.logbookId}/blocks`,
      { id: randomUUID(), entries },
      pasting,
    );
    if (!ok) counts.refusedBlocks += 1;
  });
  for (let nth = 0; nth < guessers; nth += 1)
    void again(async () => {
      counts.guesses += 1;
      const name = nth % 2 === 0 ? 'Delphi Marsh' : `Nobody ${nth}`;
      await post('/api/session/student', {
        classCode: 'TERN9',
        name,
        passphrase: `guess number ${counts.guesses}`,
      });
    });
  // And somebody who means well signs in.
  void again(async () => {
    await signIn();
    await new Promise((resolve) => setTimeout(resolve, signInEveryMs));
  });
}

async function signIn() {
  counts.signIns += 1;
  const { ok, ms } = await post(
    '/api/session/student',
    {
      classCode: 'TERN9',
      name: 'Verity Moss',
      passphrase: 'verity lantern quay',
    },
    { cookie: marks, marked: true },
  );
  if (!ok) counts.refusedSignIns += 1;
  counts.longestSignInMs = Math.max(counts.longestSignInMs, ms);
}

process.on('message', (message) => {
  if (message.address) void begin(message);
  if ('fire' in message) state.firing = message.fire;
  if (message.end) process.send(counts);
});
