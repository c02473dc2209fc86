import type { ArrivedEntries, LogbookAnswer, NewEntry, Who } from '@green-beam/contract';
import {
  columnOf,
  presetNamed,
  subjectFrom,
  subjectKey,
  type Entry,
  type Investigation,
} from '@green-beam/core';
import { screen } from '@testing-library/react';
import { History } from '../src/logbook/History';
import { Logbook } from '../src/logbook/Logbook';
import { Measure } from '../src/logbook/Measure';
import { Report } from '../src/logbook/Report';
import { ReviewPage } from '../src/logbook/ReviewPage';
import { SecondLook } from '../src/logbook/SecondLook';
import { Uncertainty } from '../src/logbook/Uncertainty';
import { open, serve, student, type Answers } from './page';

const routes = [
  {
    path: 'logbook/:logbookId',
    Component: Logbook,
    children: [
      { index: true, Component: Measure },
      { path: 'uncertainty', Component: Uncertainty },
      { path: 'second-look', Component: SecondLook },
      { path: 'history', Component: History },
      { path: 'report', Component: Report },
      { path: 'review', Component: ReviewPage },
    ],
  },
];

/** An open logbook over a made-up server that keeps what is sent to it. */
export async function openLogbook(
  investigation: Investigation,
  written: readonly Entry[] = [],
  {
    page = '',
    who = student,
    answers = {},
    ...rest
  }: { page?: string; who?: Who; answers?: Answers } & Partial<LogbookAnswer> = {},
) {
  const stored = [...written];
  const keep = (body: NewEntry): Entry => {
    const column = body.kind === 'reading' ? columnOf(investigation, body.of)?.column : undefined;
    const own: Entry = {
      ...subjectFrom(body),
      id: body.id,
      text: body.text,
      tag: body.tag ?? (column?.kind === 'measured' ? column.tag : ''),
      reader: who.name,
      writtenAt: String(body.writtenAt),
      replaces: body.replaces ?? null,
      reason: body.reason ?? null,
      origin: body.supplied ? 'teacher' : body.takenId ? 'balance' : body.attemptId ? 'simulated' : 'own',
    };
    if (!stored.some(({ id }) => id === own.id)) stored.push(own);
    return own;
  };
  const added = (bodies: readonly NewEntry[]): ArrivedEntries => {
    const after = stored.length;
    return { entries: bodies.map(keep), after, last: stored.length };
  };
  const server = serve({
    'GET /api/balance': { state: 'none' },
    'GET /api/stock': { pieces: [] },
    'GET /api/logbooks/book': () => ({
      id: 'book',
      investigation,
      conventions: presetNamed('Chemistry bench'),
      readers: ['Ada Lind', 'Bo Aasen'],
      entries: stored,
      last: stored.length,
      calculations: [],
      mayWrite: true,
      ...rest,
    }),
    'GET /api/logbooks/book/entries': ({ query }) => ({
      entries: stored.slice(Number(query.get('after'))),
      last: stored.length,
    }),
    'POST /api/logbooks/book/entries': ({ body }) => added([body as unknown as NewEntry]),
    'POST /api/logbooks/book/blocks': ({ body }) => added(body['entries'] as NewEntry[]),
    ...answers,
  });
  const view = open(routes, `/logbook/book${page && `/${page}`}`, who);
  await screen.findByRole('heading', { level: 1, name: investigation.title });
  /** What the server holds, as `trial column text`, or `trial kind of text`. */
  const lines = () => stored.map((entry) => `${subjectKey(entry).replace('/', ' ')} ${entry.text}`);
  return { ...view, ...server, stored, lines };
}
