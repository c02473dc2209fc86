import type { StaffQuestion } from '@green-beam/contract';
import { DotPlot } from '@green-beam/drawing';
import { useState } from 'react';
import { PresetTable } from '../bench/PresetTable';
import { Button } from '../ui/Button';
import { Stated } from '../ui/Figure';

/** The class's answers as they come; the build-up a step at a time; the answer when it is wanted. */
export function QuestionPanel({
  question,
  named,
  onReveal,
  onEnd,
}: {
  readonly question: StaffQuestion;
  /** Whether names stand at the dots: for the teacher alone. */
  readonly named: boolean;
  readonly onReveal: () => void;
  readonly onEnd: () => void;
}) {
  // The class has been told; the page may be covered again for those who come late.
  const [covered, setCovered] = useState(false);
  const revealed = question.revealed && !covered;
  const [steps, setSteps] = useState(0);
  const [presets, setSchools] = useState(false);
  const { answers, buildUp } = question;
  const right = answers.filter((answer) => answer.right).length;
  const dots = answers.flatMap(({ value, right: isRight, name }) =>
    typeof value === 'number' ? [{ value, right: isRight, name: named ? name : '' }] : [],
  );
  // The last step names the reading: it is the answer.
  const lastHidden = !revealed && steps >= buildUp.length;
  return (
    <>
      <section aria-label="Answers">
        <p aria-live="polite">
          {answers.length === 0
            ? 'No answer yet. Students find it on Today and on the Bench.'
            : `${answers.length} ${answers.length === 1 ? 'answer' : 'answers'}${revealed ? `, ${right} right` : ''}.`}
        </p>
        <DotPlot
          dots={dots}
          accepted={question.accepted}
          truth={revealed ? Number(question.text) : null}
          unit={question.unit}
          division={question.division}
          enlarged={!named}
        />
        {revealed && <Causes answers={answers} named={named} />}
      </section>
      {(steps > 0 || revealed) && (
        <ol className="ml-5 list-decimal text-lg" aria-label="How the reading is built up">
          {buildUp.slice(0, revealed ? buildUp.length : Math.min(steps, buildUp.length - 1)).map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ol>
      )}
      {revealed && (
        <p className="text-2xl">
          <Stated text={`${question.text} ${question.unit}`} />
        </p>
      )}
      <div className="flex flex-wrap gap-3">
        {!revealed && (
          <Button disabled={steps >= buildUp.length - 1 || lastHidden} onClick={() => setSteps(steps + 1)}>
            Next step of the reading
          </Button>
        )}
        <Button
          look="main"
          aria-pressed={revealed}
          onClick={() => (question.revealed ? setCovered(!covered) : onReveal())}
        >
          {revealed ? 'Hide the answer' : 'Reveal the answer'}
        </Button>
        <Button look="quiet" aria-expanded={presets} onClick={() => setSchools(!presets)}>
          Other house rules
        </Button>
        <Button look="quiet" onClick={onEnd}>
          End the question
        </Button>
      </div>
      {presets && revealed && <PresetTable presets={question.presets} />}
      {presets && !revealed && (
        <p className="text-soft">Reveal the answer to see what other house rules accept.</p>
      )}
    </>
  );
}

/** Which causes the wrong answers have, most frequent first; whose they are, for the teacher alone. */
function Causes({ answers, named }: { readonly answers: StaffQuestion['answers']; readonly named: boolean }) {
  const made = new Map<string, string[]>();
  for (const { right, causes, name } of answers) {
    if (right) continue;
    const cause = causes[0] ?? 'No known slip leads to it.';
    made.set(cause, [...(made.get(cause) ?? []), name]);
  }
  const sorted = [...made].sort((a, b) => b[1].length - a[1].length);
  if (sorted.length === 0) return null;
  return (
    <ul className="mt-2">
      {sorted.map(([cause, names]) => (
        <li key={cause}>
          <strong className="font-mono">{names.length}</strong> {cause}
          {named && <span className="block text-sm text-soft">{names.join(', ')}</span>}
        </li>
      ))}
    </ul>
  );
}
