import { personHeader, type LogbooksAnswer, type SessionAnswer } from '@green-beam/contract';
import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { entry } from '../../server/test/entry';
import { home, Machine } from '../support/machine';
import { makeRoom, type Room } from '../support/room';

test.describe.configure({ timeout: 600_000 });

/** One browser of a student, as far as the API can tell. */
async function student(address: string, { code, slip }: Room, name: string) {
  const send = async <T>(method: string, path: string, body: object | undefined, headers = {}) => {
    const answer = await fetch(address + path, {
      method,
      headers: { 'content-type': 'application/json', origin: address, ...headers },
      ...(body ? { body: JSON.stringify(body) } : {}),
    });
    expect([path, answer.status]).toEqual([path, 200]);
    return [(await answer.json()) as T, answer.headers.getSetCookie()] as const;
  };
  const door = { classCode: code, name, passphrase: slip(name) };
  const [{ who }, cookies] = await send<SessionAnswer>('POST', '/api/session/student', door);
  const headers = {
    cookie: cookies.map((line) => line.split(';')[0]).join('; '),
    [personHeader]: who?.id ?? '',
  };
  return {
    id: who?.id ?? '',
    ask: async <T>(method: string, path: string, body?: object) =>
      (await send<T>(method, path, body, headers))[0],
  };
}

/** Opens the logbook of the bolt pin and writes one reading. */
async function writes({ ask }: Awaited<ReturnType<typeof student>>): Promise<void> {
  const { logbooks } = await ask<LogbooksAnswer>('GET', '/api/logbooks');
  const pin = logbooks.find(({ title }) => title.startsWith('Bolt pin'));
  const { logbookId } = await ask<{ logbookId: string }>(
    'POST',
    `/api/investigations/${pin?.investigationId}/logbook`,
    {},
  );
  await ask('POST', `/api/logbooks/${logbookId}/entries`, entry());
}

test('what docs/operations.md says, an ordinary account of the database does: installs, runs, saves, restores, upgrades, deletes', async () => {
  const machine = await Machine.make('docs/operations.md');
  try {
    await machine.run('## Install');
    const rights = 'select usesuper or usecreatedb as more from pg_user where usename = current_user';
    expect(await machine.query(rights)).toEqual([{ more: false }]);
    const printed = await machine.run('as its own account');
    const address = await machine.started();
    await machine.chooses('A. Teacher', /password: (.+)/.exec(printed)?.[1] ?? '', 'level beam 9');
    const names = ['Verity Moss', 'Wilfred Sand'];
    const room = await makeRoom('9 Ordinary', names, undefined, address, 'A. Teacher');
    const verity = await student(address, room, 'Verity Moss');
    await writes(verity);
    // Whichever of the two processes is asked, it tells of both.
    for (let go = 0; go < 4; go += 1)
      expect(await machine.metrics()).toMatch(/^green_beam_entries_total 1$/m);

    expect(await machine.run('## Backup and restore')).toMatch(
      /is restored: \d+ tables, every row as it was saved/,
    );
    await machine.run('To restore, into');
    expect(await machine.query('select text from logbook_entries', 'green_beam_restored')).toEqual([
      { text: '214.6' },
    ]);

    await machine.stop();
    await machine.run('## Upgrade');
    await machine.started();
    await machine.run('To delete a single person', { PERSON: verity.id });
    expect(await machine.whereIs(verity.id)).toEqual([]);
    expect(await machine.whereIs('Verity Moss')).toEqual([]);
    await writes(await student(address, room, 'Wilfred Sand'));
    const ofClass = `/api/classes/${room.classId}`;
    await room.asTeacher('POST', ofClass, { putAway: true, name: '9 Ordinary' });
    await room.asTeacher('POST', `${ofClass}/deletion`, { name: '9 Ordinary' });
    expect(await machine.whereIs(room.classId)).toEqual([]);
    await machine.stop();

    for (const older of ['before-0004', 'before-0006', 'before-0019', 'at-0019']) {
      await machine.refill(gunzipSync(readFileSync(join(home, 'server/test/older', `${older}.sql.gz`))));
      await machine.run('## Upgrade');
      await machine.started();
      await machine.stop();
    }
    expect(machine.refusals()).toEqual([]);
  } finally {
    await machine.end();
  }
});
