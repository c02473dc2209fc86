import { drills } from '../drills';
import { triesAllowed } from '../exercises';
import type { MasteryState } from '../evidence';
import { instruments, type Make } from '../instruments';

/** Work that is set: what to read, to drill and to hand in, how long, for whom, from when to when. */
export interface SetWork {
  /** Kinds of instruments and of drills. */
  readonly kinds: readonly string[];
  /** The makes that are to be read, by their ids; any of an instrument of which none is said. */
  readonly makes: readonly string[];
  /** So many settings, or items, of each; null until each is steady. */
  readonly settings: number | null;
  /** Investigations that are to be handed in, by the ids of their families. */
  readonly investigations: readonly string[];
  /** Ids of benches and of students that it is for; the whole class where none is said. Whoever sits there now. */
  readonly benches: readonly string[];
  readonly students: readonly string[];
  /** The moments from which it is shown and after which it is late, as instants; null for at once, and for never. */
  readonly from: string | null;
  readonly due: string | null;
  readonly place: 'lesson' | 'home';
  readonly note: string;
  /** What it is worth in the book of marks; 0 for practice alone. */
  readonly counts: number;
  /** How often each setting or item may be answered before its answer is told. */
  readonly tries: number;
  /** Whether what is right is told as it is answered, or only once whoever set it shows it. */
  readonly answers: 'at once' | 'held';
}

/** What can be set to be practised, in the order in which it is offered. */
export const practisedKinds: readonly {
  readonly kind: string;
  readonly name: string;
  readonly of: 'reading' | 'drill';
}[] = [
  ...instruments.map(({ kind, name }) => ({ kind, name, of: 'reading' as const })),
  ...drills.map(({ kind, name }) => ({ kind, name, of: 'drill' as const })),
];

/** A kind by its name; one that is gone by what it was called. */
export const practisedNamed = (kind: string): (typeof practisedKinds)[number] =>
  practisedKinds.find((own) => own.kind === kind) ?? { kind, name: kind, of: 'reading' };

/** How far somebody has come with one kind since it was set. */
export interface KindProgress {
  readonly kind: string;
  /** First tries since it was set. */
  readonly read: number;
  readonly state: MasteryState;
  readonly done: boolean;
}

export interface TaskProgress {
  readonly kinds: readonly KindProgress[];
  /** Investigations by their families, and whether each was handed in. */
  readonly books: readonly { readonly family: string; readonly done: boolean }[];
  readonly done: boolean;
  /** Due and not done. */
  readonly late: boolean;
}

/** Whether a task is for somebody: of the class, one of its benches as it sits now, or by themselves. */
export const isFor = (
  { benches, students }: Pick<SetWork, 'benches' | 'students'>,
  { id, bench }: { readonly id: string; readonly bench: string | null },
): boolean =>
  (benches.length === 0 && students.length === 0) ||
  students.includes(id) ||
  (bench !== null && benches.includes(bench));

/** Whether its settings and items are taken one after another, none passed over: where marks or held answers hang on them. */
export const takenInOrder = ({ answers, counts }: Pick<SetWork, 'answers' | 'counts'>): boolean =>
  answers === 'held' || counts > 0;

/** Whether only what is taken for it counts: where it asks for other makes, or is answered by other rules, than practice of one’s own. */
export const hasOwnRules = ({
  tries,
  answers,
  makes,
  inOrder,
}: Pick<SetWork, 'tries' | 'answers' | 'makes'> & { readonly inOrder: boolean }): boolean =>
  tries < triesAllowed || answers === 'held' || makes.length > 0 || inOrder;

/** How its settings and items are answered, in words; empty for as usual, and where there are none. */
export function answeredWords({
  kinds,
  tries,
  answers,
}: Pick<SetWork, 'kinds' | 'tries' | 'answers'>): string {
  if (kinds.length === 0) return '';
  if (answers === 'held') return 'one answer each';
  return tries === triesAllowed ? '' : tries === 1 ? 'one try each' : `${tries} tries each`;
}

/** The makes of some kinds of instruments of which there are several to choose from. */
export const makesOf = (kinds: readonly string[]): readonly Make[] =>
  instruments.flatMap(({ kind, models }) => (kinds.includes(kind) && models.length > 1 ? models : []));

/** The names of those makes of some kinds that work is of, one after another; empty for any. */
export const makeNames = ({ makes }: Pick<SetWork, 'makes'>, kinds: readonly string[]): string =>
  makesOf(kinds)
    .flatMap(({ id, name }) => (makes.includes(id) ? [name] : []))
    .join(', ');

/** Whether it is shown to those that it is for. */
export const hasBegun = ({ from }: Pick<SetWork, 'from'>, now: Date): boolean =>
  from === null || now.getTime() >= Date.parse(from);

/** What is known of somebody's work. */
export interface WorkDone {
  /** First tries of a kind since it was set. */
  readOf(kind: string): number;
  /** How sure they are of a kind now. */
  stateOf(kind: string): MasteryState;
  /** Whether their logbook of a family of investigations was handed in. */
  handedIn(family: string): boolean;
}

export function progressOf(
  { kinds, settings, investigations, due }: Pick<SetWork, 'kinds' | 'settings' | 'investigations' | 'due'>,
  { readOf, stateOf, handedIn }: WorkDone,
  now: Date,
): TaskProgress {
  const each = kinds.map((kind): KindProgress => {
    const [read, state] = [readOf(kind), stateOf(kind)];
    return { kind, read, state, done: settings === null ? state === 'steady' : read >= settings };
  });
  const books = investigations.map((family) => ({ family, done: handedIn(family) }));
  const done = [...each, ...books].every((own) => own.done);
  return { kinds: each, books, done, late: !done && due !== null && now.getTime() > Date.parse(due) };
}

/** The last instant of a day by the clock on the wall, whatever that clock does on it. @param day `2026-11-03` */
export const endOfDay = (day: string): Date => atClock(day, 23, 59, 59, 999);

/** The first instant of a day by the clock on the wall. @param day `2026-11-03` */
export const startOfDay = (day: string): Date => atClock(day);

function atClock(day: string, ...clock: readonly number[]): Date {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  const [hours = 0, minutes = 0, seconds = 0, milliseconds = 0] = clock;
  return new Date(year, month - 1, date, hours, minutes, seconds, milliseconds);
}
