import { personHeader, type ClassName, type SessionAnswer, type SlipsAnswer } from '@green-beam/contract';
import type { Page } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import { baseUrl, expect, signIn } from './people';

/** Asks the server what the page might ask, as whoever is signed in on the page. */
export async function ask<T>(page: Page, method: string, path: string, body?: object): Promise<T> {
  const address = new URL(page.url()).origin;
  const { who } = (await (await page.request.get(`${address}/api/session`)).json()) as SessionAnswer;
  const answer = await page.request.fetch(address + path, {
    method,
    headers: { origin: address, [personHeader]: who?.id ?? '' },
    ...(body ? { data: body } : {}),
  });
  if (!answer.ok()) throw new Error(`${method} ${path}: ${answer.status()} ${await answer.text()}`);
  return (await answer.json()) as T;
}

/** A class of its own, with slips for its students. */
export interface Room {
  readonly code: string;
  readonly classId: string;
  /** The passphrase on a student's slip. */
  slip(name: string): string;
  signIn(page: Page, name: string, address?: string): Promise<void>;
  /** Something the teacher does, without a page. */
  asTeacher<T>(method: string, path: string, body?: object): Promise<T>;
}

/** Makes a class with students, and sets an investigation in it. */
export async function makeRoom(
  title: string,
  students: readonly string[],
  investigation?: object,
  address = baseUrl(),
  teacher = 'Ms Marrow',
): Promise<Room> {
  let cookie = '';
  let person = '';
  const asTeacher = async <T>(method: string, path: string, body: object = {}): Promise<T> => {
    const answer = await fetch(address + path, {
      method,
      headers: { 'content-type': 'application/json', origin: address, cookie, [personHeader]: person },
      ...(method === 'GET' ? {} : { body: JSON.stringify(body) }),
    });
    cookie =
      answer.headers
        .getSetCookie()
        .find((line) => line.startsWith('green-beam='))
        ?.split(';')[0] ?? cookie;
    if (!answer.ok) throw new Error(`${path}: ${answer.status} ${await answer.text()}`);
    return (await answer.json()) as T;
  };
  const { who } = await asTeacher<SessionAnswer>('POST', '/api/session/teacher', {
    name: teacher,
    password: 'level beam 9',
  });
  person = who?.id ?? '';
  const made = await asTeacher<ClassName>('POST', '/api/classes', { name: title });
  const { slips } = await asTeacher<SlipsAnswer>('POST', `/api/classes/${made.id}/students`, {
    names: students,
  });
  if (investigation)
    await asTeacher('POST', `/api/classes/${made.id}/investigations`, {
      id: randomUUID(),
      body: investigation,
    });
  const slip = (name: string) => slips.find((own) => own.name === name)?.passphrase ?? '';
  return {
    code: made.code,
    classId: made.id,
    slip,
    asTeacher,
    signIn: (page, name, at = address) =>
      signIn(page, { student: { classCode: made.code, name, passphrase: slip(name), ownDevice: false } }, at),
  };
}

/** Fills the door and goes through it. */
export async function enter(page: Page, code: string, name: string, passphrase: string): Promise<void> {
  await page.getByLabel('Class code').fill(code);
  await page.getByLabel('Your name').fill(name);
  await page.getByLabel('Passphrase').fill(passphrase);
  await page.getByRole('button', { name: 'Sign in' }).click();
}

/** Opens the logbook of an investigation from the list. */
export async function openBook(page: Page, title: string): Promise<void> {
  await page.getByRole('link', { name: 'Logbook', exact: true }).click();
  const line = page.getByRole('listitem').filter({ hasText: title });
  await line.getByRole('button', { name: 'Open the logbook' }).or(line.getByRole('link')).click();
  await expect(page.getByRole('heading', { name: 'Method' })).toBeVisible();
}

/** A block of rows, pasted from its first cell on as a spreadsheet would. */
export async function writeRows(page: Page, firstCell: string, ...rows: string[]): Promise<void> {
  await page.getByLabel(firstCell).focus();
  await page.evaluate(
    (pasted) => {
      const clipboardData = new DataTransfer();
      clipboardData.setData('text/plain', pasted);
      document.activeElement?.dispatchEvent(
        new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }),
      );
    },
    rows.map((row) => row.split(' ').join('\t')).join('\n'),
  );
  await page.getByRole('button', { name: /^Write \d+ cells$/ }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
}
