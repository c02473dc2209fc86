import type { BookState, Marks } from '@green-beam/core';
import type { FoundIn } from './logbook';
import type { ClassName } from './session';

/** What was said of a place of a logbook, or of it as a whole. */
export interface ReviewRemark {
  /** The trial and column in words; empty for the logbook as a whole. */
  readonly about: string;
  readonly text: string;
}

/** A logbook as it was handed back: it stays, whatever comes after it. */
export interface Review {
  readonly id: string;
  readonly by: string;
  readonly at: string;
  readonly marks: Marks;
  readonly remarks: readonly ReviewRemark[];
}

/** The newest first. */
export interface ReviewsAnswer {
  readonly reviews: readonly Review[];
  /** For the staff: what the same investigation came to in the other logbooks of the class. */
  readonly others?: readonly {
    readonly logbookId: string;
    readonly readers: readonly string[];
    readonly resultText: string | null;
  }[];
}

/** Where a student stands in one investigation. */
export interface MarkCell {
  readonly task: string;
  readonly logbookId: string;
  readonly state: BookState;
  /** When it came to be so; null while it is only begun. */
  readonly at: string | null;
  readonly mark: number | null;
  readonly found: FoundIn;
}

/** Where a student stands in a task that is for them. */
export interface WorkCell {
  readonly task: string;
  readonly state: 'done' | 'open' | 'late';
}

export interface MarksAnswer {
  readonly class: ClassName;
  /** Investigations by their families, in the order in which they were set. */
  readonly tasks: readonly { readonly id: string; readonly title: string; readonly newest: string }[];
  /** What was set besides, the newest first. */
  readonly work: readonly {
    readonly id: string;
    readonly title: string;
    readonly counts: number;
    readonly due: string | null;
  }[];
  readonly students: readonly {
    readonly id: string;
    readonly name: string;
    readonly bench: string | null;
    readonly cells: readonly MarkCell[];
    readonly work: readonly WorkCell[];
  }[];
}
