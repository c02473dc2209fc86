import { instruments, partMastery, suggest } from '@green-beam/core';
import type { BenchAnswer } from '@green-beam/contract';
import type { Practice } from '../kept/practice';

/** The instruments on the bench with what a person can do with each. */
export function benchOf({ tries, marks }: Practice): BenchAnswer {
  const lines = instruments.flatMap(({ kind, name, quantity, models, options = [] }) => {
    const of = marks.get(kind);
    return of
      ? [
          {
            kind,
            name,
            quantity,
            models: models.map(({ id, name: make, unit, division, lowest, highest, tolerance }) => ({
              id,
              name: make,
              unit,
              division,
              lowest,
              highest,
              tolerance,
            })),
            options: options.map((option) => ({
              key: option.key,
              name: option.name,
              inItsUnit: 'inItsUnit' in option && option.inItsUnit,
              choices: 'choices' in option ? option.choices : [],
            })),
            skill: of.skill,
            parts: partMastery(kind, tries),
            mark: of.mark,
          },
        ]
      : [];
  });
  return { instruments: lines, suggestion: suggest(lines.map(({ skill }) => skill)) ?? null };
}
