import type { ArrivedEntries } from './logbook';

/** What the event stream says changed. What is small comes along; the rest is fetched by whoever looks at it. */
export type LiveEvent =
  /** Students of a class have something new on the board; some of it in these logbooks. */
  | {
      readonly changed: 'board';
      readonly classId: string;
      readonly students: readonly string[];
      readonly logbooks: readonly string[];
    }
  /** Something was added to a logbook that one writes in; the entries come along while they are few. */
  | { readonly changed: 'logbook'; readonly logbookId: string; readonly arrived: ArrivedEntries | null }
  | { readonly changed: 'question'; readonly classId: string }
  /** Somebody answered what a class is shown. */
  | { readonly changed: 'answers'; readonly classId: string }
  /** A bench called its teacher, or needs nobody any more. */
  | { readonly changed: 'calls'; readonly classId: string }
  /** The classes that one belongs to are others now. */
  | { readonly changed: 'classes' }
  /** The session has ended; the stream ends with it. */
  | { readonly changed: 'session' };
