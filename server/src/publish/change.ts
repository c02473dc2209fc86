import type { ArrivedEntries } from '@green-beam/contract';

/** A change, as it goes from process to process. */
export type Change =
  /** Students of a class have something new on the board. */
  | { readonly kind: 'board'; readonly classId: string; readonly students: readonly string[] }
  | {
      readonly kind: 'logbook';
      readonly logbookId: string;
      readonly classId: string;
      /** Who writes in it. */
      readonly members: readonly string[];
      readonly arrived: ArrivedEntries | null;
      /** The session that it came through, which has it already. */
      readonly by: string;
    }
  /** A bench called, or needs nobody any more. */
  | { readonly kind: 'calls'; readonly classId: string; readonly members: readonly string[] }
  | { readonly kind: 'question' | 'answers'; readonly classId: string }
  /** Something about these people's sessions or classes is other than before. */
  | { readonly kind: 'people'; readonly people: readonly string[] };
