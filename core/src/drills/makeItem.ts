import { seeded } from '../chance/random';
import type { Conventions } from '../conventions';
import type { Drill, DrillItem } from './drill';
import { sameWriting } from '../answer';

const tries = 60;

/**
 * An item to work out, the same for the same seed. Items in which two mistakes would write the same are passed over, so that
 * a wrong answer can be told by its cause.
 */
export function makeItem(drill: Drill, conventions: Conventions, level: number, seed: number): DrillItem {
  const random = seeded(seed);
  let question = drill.make(random, conventions, level);
  for (let attempt = 1; attempt < tries && clashes(question); attempt += 1)
    question = drill.make(random, conventions, level);
  return question;
}

const clashes = ({ mistakes, text }: DrillItem): boolean =>
  mistakes.length === 0 ||
  mistakes.some(
    (mistake, at) =>
      sameWriting(mistake.text, text) ||
      mistakes
        .slice(at + 1)
        .some((other) => other.code !== mistake.code && sameWriting(other.text, mistake.text)),
  );
