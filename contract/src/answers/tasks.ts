import type { SetWork, TaskProgress } from '@green-beam/core';
import type { ClassName } from './session';

export interface TaskLine extends SetWork {
  readonly id: string;
  readonly setAt: string;
  readonly withdrawn: boolean;
}

/** A task of one's own, with how far one has come. */
export interface OwnTask extends TaskLine, Omit<TaskProgress, 'kinds' | 'books'> {
  readonly progress: TaskProgress['kinds'];
  readonly books: readonly {
    readonly family: string;
    readonly title: string;
    /** The open logbook; null before one is. */
    readonly logbookId: string | null;
    readonly done: boolean;
  }[];
}

export interface OwnTasksAnswer {
  readonly tasks: readonly OwnTask[];
}

/** An investigation that is set, by its family. */
export interface FamilyName {
  readonly id: string;
  readonly title: string;
}

export interface TasksAnswer {
  readonly class: ClassName;
  /** The newest first. */
  readonly tasks: readonly (TaskLine & {
    /** Names of those that it is for, by whether they are done. */
    readonly done: readonly string[];
    readonly open: readonly string[];
  })[];
  readonly benches: readonly { readonly id: string; readonly name: string }[];
  readonly students: readonly { readonly id: string; readonly name: string }[];
  readonly investigations: readonly FamilyName[];
}
