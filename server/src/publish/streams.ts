import type { LiveEvent } from '@green-beam/contract';
import type { Response } from 'express';
import type { Logger } from 'pino';
import type { Database } from '../database/models';
import { withoutTexts } from '../http/answerProblems';
import { Problem } from '../http/problem';
import { holdingAmong, type Caller } from '../session/caller';
import type { Change } from './publish';

/** Devices and browsers on which one person may have Green Beam open at once; each has one stream, however many tabs. */
export const streamsPerPerson = 6;
const heartbeatMs = 20_000;
/** Sessions of all streams are looked at together, this often. */
const lookEveryMs = 3_000;
/** What is new on a board is gathered for this long. */
const boardMs = 700;

interface Stream {
  readonly response: Response;
  readonly personId: string;
  readonly sessionId: string;
  readonly teaches: boolean;
  /** The classes of the person, as they are now. */
  classes: readonly string[];
  /** What is new on the boards, by class, until it is told. */
  readonly boards: Map<string, Set<string>>;
  timer: NodeJS.Timeout | undefined;
}

/** The event streams that are open in this process. They end with the session that they were opened in. */
export class Streams {
  readonly #open = new Set<Stream>();
  readonly #byPerson = new Map<string, Set<Stream>>();
  readonly #byClass = new Map<string, Set<Stream>>();
  readonly #database: Database;
  readonly #log: Logger;
  readonly #now: () => Date;
  readonly #heartbeat: NodeJS.Timeout;
  readonly #looking: NodeJS.Timeout;
  #lookSoon: NodeJS.Timeout | undefined;

  constructor(database: Database, log: Logger, now: () => Date) {
    this.#database = database;
    this.#log = log;
    this.#now = now;
    this.#heartbeat = setInterval(() => {
      for (const { response } of this.#open) response.write(': still here\n\n');
    }, heartbeatMs).unref();
    this.#looking = setInterval(() => void this.#look(), lookEveryMs).unref();
  }

  get count(): number {
    return this.#open.size;
  }

  /** Keeps a response open as an event stream until either side ends it. @throws Problem where too many are open. */
  listen({ id, role, classes, sessionId }: Caller, response: Response): void {
    if ((this.#byPerson.get(id)?.size ?? 0) >= streamsPerPerson)
      throw new Problem('too-many-pages', undefined, { 'retry-after': '30' });
    response.set({
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      'x-accel-buffering': 'no',
    });
    response.flushHeaders();
    response.write('retry: 1000\n\n');
    const stream: Stream = {
      response,
      personId: id,
      sessionId,
      teaches: role === 'teacher',
      classes: classes.map((one) => one.id),
      boards: new Map(),
      timer: undefined,
    };
    this.#open.add(stream);
    put(this.#byPerson, id, stream);
    for (const one of stream.classes) put(this.#byClass, one, stream);
    response.on('close', () => this.#forget(stream));
  }

  /** Passes a change on to whom it concerns. */
  tell(change: Change): void {
    if (change.kind === 'people') {
      if (change.people.some((id) => this.#byPerson.has(id)))
        this.#lookSoon ??= setTimeout(() => {
          this.#lookSoon = undefined;
          void this.#look();
        }, 20).unref();
      return;
    }
    if (change.kind === 'logbook') {
      const { logbookId, arrived, members, classId } = change;
      for (const member of members)
        for (const stream of this.#byPerson.get(member) ?? [])
          write(stream, { changed: 'logbook', logbookId, arrived });
      for (const stream of this.#staffOf(classId))
        write(stream, { changed: 'logbook', logbookId, arrived: null });
      this.tell({ kind: 'board', classId, students: members });
      return;
    }
    const { classId } = change;
    if (change.kind === 'board') {
      for (const stream of this.#staffOf(classId)) gather(stream, classId, change.students);
      return;
    }
    if (change.kind === 'answers') {
      for (const stream of this.#staffOf(classId)) write(stream, { changed: 'answers', classId });
      return;
    }
    for (const stream of this.#byClass.get(classId) ?? []) write(stream, { changed: 'show', classId });
  }

  /** Something may not have been heard: every page comes again and fetches what it shows. */
  tellMissed(): void {
    for (const { response } of this.#open) response.end();
  }

  close(): void {
    clearInterval(this.#heartbeat);
    clearInterval(this.#looking);
    clearTimeout(this.#lookSoon);
    this.tellMissed();
  }

  #staffOf = (classId: string): Stream[] =>
    [...(this.#byClass.get(classId) ?? [])].filter(({ teaches }) => teaches);

  /** Ends the streams whose session has ended, and has the others follow their person's classes. */
  async #look(): Promise<void> {
    if (this.#open.size === 0) return;
    const streams = [...this.#open];
    try {
      const ids = [...new Set(streams.map(({ sessionId }) => sessionId))];
      const holding = await holdingAmong(this.#database.sequelize, ids, this.#now());
      for (const stream of streams) {
        const classes = holding.get(stream.sessionId);
        if (!classes) {
          write(stream, { changed: 'session' });
          stream.response.end();
        } else if (classes.join() !== stream.classes.join()) {
          for (const one of stream.classes) drop(this.#byClass, one, stream);
          stream.classes = classes;
          for (const one of classes) put(this.#byClass, one, stream);
          write(stream, { changed: 'classes' });
        }
      }
    } catch (error) {
      this.#log.warn({ error: withoutTexts(error) }, 'the sessions of open pages could not be looked at');
    }
  }

  #forget(stream: Stream): void {
    clearTimeout(stream.timer);
    this.#open.delete(stream);
    drop(this.#byPerson, stream.personId, stream);
    for (const one of stream.classes) drop(this.#byClass, one, stream);
  }
}

function gather(stream: Stream, classId: string, students: readonly string[]): void {
  const fresh = stream.boards.get(classId) ?? new Set();
  stream.boards.set(classId, fresh);
  for (const student of students) fresh.add(student);
  stream.timer ??= setTimeout(() => {
    stream.timer = undefined;
    for (const [one, those] of stream.boards)
      write(stream, { changed: 'board', classId: one, students: [...those] });
    stream.boards.clear();
  }, boardMs).unref();
}

const write = ({ response }: Stream, event: LiveEvent): void => {
  if (!response.writableEnded) response.write(`data: ${JSON.stringify(event)}\n\n`);
};

function put(map: Map<string, Set<Stream>>, key: string, stream: Stream): void {
  const streams = map.get(key) ?? new Set();
  streams.add(stream);
  map.set(key, streams);
}

function drop(map: Map<string, Set<Stream>>, key: string, stream: Stream): void {
  const streams = map.get(key);
  streams?.delete(stream);
  if (streams?.size === 0) map.delete(key);
}
