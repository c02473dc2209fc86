import type { Cause } from '../answer';
import { judgeMarks } from '../drills';
import { lookRules } from '../record';
import { worked, type ExerciseKind } from './exercise';

/** A table in which faults are spotted: right where each was found, with its reason, and nothing else was marked. */
export const tableKind: ExerciseKind<'table'> = {
  kindOf: () => 'spot-the-fault',
  judge({ table }, { marks }) {
    const { verdicts, missed } = judgeMarks(table, marks);
    const causes: Cause[] = [
      ...missed.map(({ code, sentence }): Cause => ({
        code,
        skill: 'working',
        title: `Missed: ${lookRules.find((rule) => rule.code === code)?.label ?? code}.`,
        hint: sentence,
      })),
      ...verdicts
        .filter(({ is }) => is === 'nothing')
        .map(({ mark }): Cause => ({
          code: 'nothing-is-wrong',
          skill: 'working',
          title: 'Nothing is wrong there.',
          hint: `It was marked: ${lookRules.find((rule) => rule.code === mark.code)?.label ?? mark.code}.`,
        })),
    ];
    const right = causes.length === 0 && verdicts.every(({ is }) => is === 'right');
    return worked(right ? { outcome: 'right', remarks: [] } : { outcome: 'wrong', causes, remarks: [] });
  },
};
