import type { Practising, TaskProgress } from '@green-beam/core';
import type { ClassName } from './session';

export interface TaskLine extends Practising {
  readonly id: string;
  readonly setAt: string;
  readonly withdrawn: boolean;
}

/** A task of one's own, with how far one has come. */
export interface OwnTask extends TaskLine, Omit<TaskProgress, 'kinds'> {
  readonly progress: TaskProgress['kinds'];
}

export interface OwnTasksAnswer {
  readonly tasks: readonly OwnTask[];
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
  readonly instruments: readonly { readonly kind: string; readonly name: string }[];
}
