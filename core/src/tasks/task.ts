import type { InstrumentKind } from '../conventions/kinds';
import type { MasteryState } from '../evidence';

/** Practice that is set: what to read, how long, for whom, until when. */
export interface Practising {
  readonly kinds: readonly InstrumentKind[];
  /** So many settings of each; null until each is steady. */
  readonly settings: number | null;
  /** Ids of benches that it is for; the whole class where none is said. Whoever sits there now. */
  readonly benches: readonly string[];
  /** The moment at which it is late, as an instant; null for never. */
  readonly due: string | null;
  readonly place: 'lesson' | 'home';
  readonly note: string;
}

/** How far somebody has come with one kind since it was set. */
export interface KindProgress {
  readonly kind: InstrumentKind;
  /** First readings of settings since it was set. */
  readonly read: number;
  readonly state: MasteryState;
  readonly done: boolean;
}

export interface TaskProgress {
  readonly kinds: readonly KindProgress[];
  readonly done: boolean;
  /** Due and not done. */
  readonly late: boolean;
}

/** Whether a task is for somebody: of the class, or of one of its benches as it sits now. */
export const isFor = ({ benches }: Pick<Practising, 'benches'>, bench: string | null): boolean =>
  benches.length === 0 || (bench !== null && benches.includes(bench));

/** @param readOf first readings of a kind since it was set. @param stateOf how sure somebody is of a kind now. */
export function progressOf(
  { kinds, settings, due }: Pick<Practising, 'kinds' | 'settings' | 'due'>,
  readOf: (kind: InstrumentKind) => number,
  stateOf: (kind: InstrumentKind) => MasteryState,
  now: Date,
): TaskProgress {
  const each = kinds.map((kind): KindProgress => {
    const [read, state] = [readOf(kind), stateOf(kind)];
    return { kind, read, state, done: settings === null ? state === 'steady' : read >= settings };
  });
  const done = each.every((own) => own.done);
  return { kinds: each, done, late: !done && due !== null && now.getTime() > Date.parse(due) };
}

/** The last instant of a day by the clock on the wall, whatever that clock does on it. @param day `2026-11-03` */
export function endOfDay(day: string): Date {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  return new Date(year, month - 1, date, 23, 59, 59, 999);
}
