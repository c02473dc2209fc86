import type { NewClassQuestion, StaffQuestion } from '@green-beam/contract';
import { useDraft } from '../outbox/useDraft';

export type Planned = Omit<NewClassQuestion, 'id'>;

/** What came of a question of the run. */
export interface Asked {
  readonly name: string;
  readonly answers: number;
  readonly right: number;
}

interface Run {
  /** Still to come. */
  readonly planned: readonly Planned[];
  readonly asked: readonly Asked[];
  /** The question of the run that is shown now, by its id. */
  readonly current: string | null;
}

const none: Run = { planned: [], asked: [], current: null };

/** A run of questions to a class, one after the other; it is kept on this device until it is done with. */
export function useWarmUp(classId: string) {
  const [text, setText] = useDraft(`${classId}/warm-up`);
  const run = readRun(text);
  const put = (part: Partial<Run>) => {
    const next = { ...run, ...part };
    setText(next.planned.length + next.asked.length > 0 || next.current !== null ? JSON.stringify(next) : '');
  };
  return {
    ...run,
    add: (question: Planned) => put({ planned: [...run.planned, question] }),
    remove: (at: number) => put({ planned: run.planned.filter((_, nth) => nth !== at) }),
    /** The first of those to come is shown now, under an id; what came of the one before is noted. */
    goOn: (shown: StaffQuestion | null, id: string | null) =>
      put({
        planned: id === null ? run.planned : run.planned.slice(1),
        asked: shown && shown.id === run.current ? [...run.asked, askedOf(shown)] : run.asked,
        current: id,
      }),
    clear: () => setText(''),
  };
}

const askedOf = ({ instrumentName, answers }: StaffQuestion): Asked => ({
  name: instrumentName,
  answers: answers.length,
  right: answers.filter(({ right }) => right).length,
});

/** What was kept of a run. */
function readRun(text: string): Run {
  if (text === '') return none;
  try {
    return { ...none, ...(JSON.parse(text) as Partial<Run>) };
  } catch {
    return none;
  }
}
