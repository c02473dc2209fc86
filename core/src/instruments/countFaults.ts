import type { Point, Skill } from '../answer/cause';
import type { Misreading, Setting } from './instrument';

/** A slip in counting, told by the parts that a reading is made of. */
export interface CountFault<Parts extends readonly unknown[]> {
  readonly code: string;
  readonly skill: Skill;
  readonly title: string;
  readonly hint: string;
  readonly point?: Point;
  predict(...parts: Parts): readonly number[];
}

/**
 * Makes count faults for an instrument whose reading has parts, such as a main scale and a vernier.
 * @param partsOf the parts of a number on this setting's scales.
 */
export const countFaults =
  <S extends Setting, Parts extends readonly unknown[]>(partsOf: (setting: S, seen: number) => Parts) =>
  ({ code, skill, title, hint, point, predict }: CountFault<Parts>): Misreading<S> => ({
    code,
    stage: 'count',
    skill,
    title,
    ...(point ? { point } : {}),
    predict: (setting, seen) => predict(...partsOf(setting, seen)),
    hint: () => hint,
  });
