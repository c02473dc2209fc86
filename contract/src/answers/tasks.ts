import type { SetWork, TaskProgress } from '@green-beam/core';
import type { ClassName } from './session';

export interface TaskLine extends SetWork {
  readonly id: string;
  readonly setAt: string;
  readonly withdrawn: boolean;
  /** True where its settings and items are taken one after another, none passed over. */
  readonly inOrder: boolean;
  /** True once what was held back of it is told. */
  readonly shown: boolean;
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
  /** What was taken for it, where its answers are held: to be looked at once they are shown. */
  readonly taken: readonly { readonly id: string; readonly kind: string; readonly of: 'setting' | 'drill' }[];
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
