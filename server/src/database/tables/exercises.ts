import type { InstrumentKind } from '@green-beam/core';
import { DataTypes } from 'sequelize';
import { id, key, needed, type Define, type Row } from './table';

/** What was put before a person: read on the bench, worked in a drill, rearranged, looked through for faults. */
export interface ExerciseRow extends Row {
  id: string;
  personId: string;
  conventionsId: string | null;
  /** What it practises: a kind of instrument, a drill. */
  kind: string;
  /** What it was made from; null where its maker chose it. */
  seed: number | null;
  /** What was asked, whole, with the truth: never leaves the server as it is. Read through `storedExercise`. */
  item: unknown;
  /** The question to a class that it is a go at, if it is one; the work that is set for which it was taken. */
  questionId?: string | null;
  taskId?: string | null;
  /** How often it may be answered; null for as often as usual. */
  triesAllowed?: number | null;
  /** What holds its answers back until that is revealed: its question or its task. */
  heldBy?: string | null;
  /** Which of its task it is, of those of its kind, where they are taken in order. */
  place?: number | null;
}

export interface TryRow extends Row {
  id: string;
  exerciseId: string;
  personId: string;
  ordinal: number;
  /** Both are read through `storedTry`. */
  answer: unknown;
  verdict: unknown;
  /** The number in the instrument's own unit; null when it could not be compared. */
  value: number | null;
  divisionsOff: number | null;
  /** True where what is right had been told by then: it is no first try of anybody. */
  late?: boolean;
}

/** What a class was asked to read all together. */
export interface ClassQuestionRow extends Row {
  id: string;
  classId: string;
  personId: string;
  kind: InstrumentKind;
  model: string;
  /** Read through `storedSetting`. */
  setting: unknown;
}

/** Practice that is set for a class. */
export interface TaskRow extends Row {
  id: string;
  classId: string;
  /** Read through `storedSetWork`. */
  body: unknown;
  withdrawn: boolean;
  /** True where its exercises are taken one after another, none passed over. */
  inOrder?: boolean;
}

/** Since when answers that a question or a task held back are told of: since it was revealed, or ended. */
export interface RevealRow extends Row {
  ofId: string;
}

export interface ClassQuestionEndRow extends Row {
  questionId: string;
}

const { BOOLEAN, DOUBLE, INTEGER, JSONB, TEXT, UUID } = DataTypes;

/** What people and classes were asked, and what they answered. */
export const exercisesTables = (table: Define) => ({
  exercises: table<ExerciseRow>('exercises', {
    id: id(),
    personId: needed(UUID),
    conventionsId: UUID,
    kind: needed(TEXT),
    seed: INTEGER,
    item: needed(JSONB),
    questionId: UUID,
    taskId: UUID,
    triesAllowed: INTEGER,
    heldBy: UUID,
    place: INTEGER,
  }),
  tries: table<TryRow>('tries', {
    id: id(),
    exerciseId: needed(UUID),
    personId: needed(UUID),
    ordinal: needed(INTEGER),
    answer: needed(JSONB),
    verdict: needed(JSONB),
    value: DOUBLE,
    divisionsOff: DOUBLE,
    late: { ...needed(BOOLEAN), defaultValue: false },
  }),
  classQuestions: table<ClassQuestionRow>('class_questions', {
    id: id(),
    classId: needed(UUID),
    personId: needed(UUID),
    kind: needed(TEXT),
    model: needed(TEXT),
    setting: needed(JSONB),
  }),
  tasks: table<TaskRow>('tasks', {
    id: id(),
    classId: needed(UUID),
    body: needed(JSONB),
    withdrawn: { ...needed(BOOLEAN), defaultValue: false },
    inOrder: { ...needed(BOOLEAN), defaultValue: false },
  }),
  reveals: table<RevealRow>('reveals', { ofId: key() }),
  classQuestionEnds: table<ClassQuestionEndRow>('class_question_ends', { questionId: key() }),
});
