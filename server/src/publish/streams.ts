import type { LiveEvent } from '@green-beam/contract';
import type { Response } from 'express';
import { Problem } from '../http/problem';
import type { Caller } from '../access/caller';
import type { Callers } from '../access/callers';
import type { Change } from './change';

/** Devices and browsers on which one person may have Green Beam open at once; each has one stream, however many tabs. */
export const streamsPerPerson = 6;
const heartbeatMs = 20_000;
/** What is new on a board is gathered for this long. */
const boardMs = 1_300;

interface Stream {
  readonly response: Response;
  readonly personId: string;
  readonly sessionId: string;
  readonly teaches: boolean;
  /** The classes of the person, as they are now. */
  classes: readonly string[];
  /** What is new on the boards, by class, until it is told. */
  readonly boards: Map<string, { readonly students: Set<string>; readonly logbooks: Set<string> }>;
  timer: NodeJS.Timeout | undefined;
}

/** The event streams that are open in this process. They end with the session that they were opened in. */
export class Streams {
  readonly #open = new Set<Stream>();
  readonly #byPerson = new Map<string, Set<Stream>>();
  readonly #byClass = new Map<string, Set<Stream>>();
  readonly #callers: Callers;

  constructor(callers: Callers) {
    this.#callers = callers;
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
    const end = this.#callers.follow(sessionId, (caller) => this.#followed(stream, caller));
    const heartbeat = setInterval(() => response.write(': still here\n\n'), heartbeatMs).unref();
    response.on('close', () => {
      clearInterval(heartbeat);
      end();
      this.#forget(stream);
    });
  }

  /** Passes a change on to whom it concerns. */
  tell(change: Change): void {
    if (change.kind === 'people') {
      this.#callers.changed(change.people);
      return;
    }
    if (change.kind === 'logbook') {
      const { logbookId, arrived, members, classId, by } = change;
      for (const member of members)
        for (const stream of this.#byPerson.get(member) ?? [])
          if (stream.sessionId !== by) write(stream, { changed: 'logbook', logbookId, arrived });
      for (const stream of this.#staffOf(classId)) gather(stream, classId, members, logbookId);
      return;
    }
    const { classId } = change;
    if (change.kind === 'board') {
      for (const stream of this.#staffOf(classId)) gather(stream, classId, change.students);
      return;
    }
    if (change.kind === 'calls') {
      const mates = change.members.flatMap((member) => [...(this.#byPerson.get(member) ?? [])]);
      for (const stream of [...mates, ...this.#staffOf(classId)])
        write(stream, { changed: 'calls', classId });
      return;
    }
    if (change.kind === 'answers') {
      for (const stream of this.#staffOf(classId)) write(stream, { changed: 'answers', classId });
      return;
    }
    for (const stream of this.#byClass.get(classId) ?? []) write(stream, { changed: 'question', classId });
  }

  /** Something may not have been heard: every page comes again and fetches what it shows. */
  tellMissed(): void {
    for (const { response } of this.#open) response.end();
  }

  #staffOf = (classId: string): Stream[] =>
    [...(this.#byClass.get(classId) ?? [])].filter(({ teaches }) => teaches);

  /** The session has ended, or the classes of its person are others. */
  #followed(stream: Stream, caller: Caller | null): void {
    const classes = caller?.classes.map(({ id }) => id);
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

  #forget(stream: Stream): void {
    clearTimeout(stream.timer);
    this.#open.delete(stream);
    drop(this.#byPerson, stream.personId, stream);
    for (const one of stream.classes) drop(this.#byClass, one, stream);
  }
}

function gather(stream: Stream, classId: string, students: readonly string[], logbookId?: string): void {
  const news = stream.boards.get(classId) ?? { students: new Set(), logbooks: new Set() };
  stream.boards.set(classId, news);
  for (const student of students) news.students.add(student);
  if (logbookId !== undefined) news.logbooks.add(logbookId);
  stream.timer ??= setTimeout(() => {
    stream.timer = undefined;
    for (const [one, those] of stream.boards)
      write(stream, {
        changed: 'board',
        classId: one,
        students: [...those.students],
        logbooks: [...those.logbooks],
      });
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
