import type { ArrivedEntries } from '@green-beam/contract';
import { randomUUID } from 'node:crypto';
import type { Logger } from 'pino';
import { QueryTypes } from 'sequelize';
import type { Database } from '../database/models';
import type { Change } from './change';
import { notifyStatement, openChannel } from './channel';
import type { Callers } from '../access/callers';
import { Streams } from './streams';

/** Tells open pages what changed, through whichever process they are open. */
export interface Publish {
  board(classId: string, students: readonly string[]): void;
  logbook(change: Omit<Extract<Change, { kind: 'logbook' }>, 'kind'>): void;
  question(classId: string): void;
  answers(classId: string): void;
  /** @param members of the bench that it is of */
  calls(classId: string, members: readonly string[]): void;
  /** Done once the other processes have been told. */
  people(people: readonly string[]): Promise<void>;
  readonly streams: Streams;
  close(): Promise<void>;
}

/** Entries that are longer than this are fetched by those who want them. */
const longestArrival = 4_000;

/** @param directUrl a connection without a pooler, to listen on. */
export function createPublish(database: Database, callers: Callers, directUrl: string, log: Logger): Publish {
  const streams = new Streams(callers);
  const channel = openChannel({
    url: directUrl,
    log,
    self: randomUUID(),
    notify: (payload) =>
      database.sequelize.query(notifyStatement, { type: QueryTypes.SELECT, bind: [payload] }),
    heard: (message) => streams.tell(message as Change),
    missed: () => {
      callers.forgetAll();
      streams.tellMissed();
    },
  });
  const send = (change: Change) => channel.send(change);
  return {
    board: (classId, students) => send({ kind: 'board', classId, students }),
    logbook: (change) => send({ kind: 'logbook', ...change, arrived: shortEnough(change.arrived) }),
    question: (classId) => send({ kind: 'question', classId }),
    answers: (classId) => send({ kind: 'answers', classId }),
    calls: (classId, members) => send({ kind: 'calls', classId, members }),
    people: (people) => channel.send({ kind: 'people', people }, { atOnce: true }),
    streams,
    close: async () => {
      streams.tellMissed();
      callers.close();
      await channel.close();
    },
  };
}

const shortEnough = (arrived: ArrivedEntries | null): ArrivedEntries | null =>
  arrived && arrived.entries.length <= 20 && JSON.stringify(arrived).length <= longestArrival
    ? arrived
    : null;
