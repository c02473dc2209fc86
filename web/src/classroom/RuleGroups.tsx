import {
  houseSample,
  questionGroups,
  questions,
  questionsIn,
  sampleGroups,
  samplePicture,
  type Conventions,
  type CylinderPicture,
  type QuestionKey,
} from '@green-beam/core';
import { cylinderView, GraduatedCylinder } from '@green-beam/drawing';
import { useMemo } from 'react';
import { OwnSteps } from './OwnSteps';
import { RuleNumbers } from './RuleNumbers';

interface Props {
  readonly rules: Conventions;
  /** What stands now: an answer that differs from it is marked. */
  readonly inForce: Conventions;
  readonly mayChange: boolean;
  readonly onChange: (part: Partial<Conventions>) => void;
}

/** The questions as a teacher thinks of them, each group with what its answers come to. */
export function RuleGroups({ rules, inForce, mayChange, onChange }: Props) {
  const sample = useMemo(() => houseSample(rules), [rules]);
  return (
    <div className="flex flex-col gap-10">
      {sampleGroups.map((group) => (
        <section key={group} aria-labelledby={`rules-${group}`}>
          <h2 id={`rules-${group}`} className="mb-3 border-b-2 border-ink pb-1 text-xl">
            {questionGroups[group]}
          </h2>
          <div className="grid gap-x-12 gap-y-6 lg:grid-cols-[3fr_2fr]">
            <div className="flex flex-col gap-5">
              {questionsIn(group).map((key) => (
                <Question
                  key={key}
                  name={key}
                  answer={rules[key]}
                  before={inForce[key]}
                  mayChange={mayChange}
                  onChange={(answer) => onChange({ [key]: answer } as Partial<Conventions>)}
                />
              ))}
              <RuleNumbers {...{ group, rules, mayChange, onChange }} />
              {group === 'reading' && <OwnSteps {...{ rules, mayChange, onChange }} />}
            </div>
            <aside aria-label={`What it comes to: ${questionGroups[group]}`}>
              <div className="bg-white p-5 lg:sticky lg:top-4">
                {group === 'reading' && <SampleScale />}
                <dl className="flex flex-col gap-3">
                  {sample[group].map(({ given, shows }) => (
                    <div key={given}>
                      <dt className="text-sm text-soft">{given}</dt>
                      <dd className="font-mono text-[0.95rem]">{shows}</dd>
                    </div>
                  ))}
                </dl>
              </div>
            </aside>
          </div>
        </section>
      ))}
    </div>
  );
}

/** The part of a cylinder’s scale that the first line speaks of. */
function SampleScale() {
  const picture = useMemo(() => samplePicture() as CylinderPicture, []);
  return (
    <svg
      viewBox={`150 ${cylinderView.height / 2 - 130} 420 260`}
      role="img"
      aria-label="A cylinder, its liquid between two lines"
      className="mb-4 w-full bg-bench"
    >
      <GraduatedCylinder picture={picture} card />
    </svg>
  );
}

function Question({
  name,
  answer,
  before,
  mayChange,
  onChange,
}: {
  readonly name: QuestionKey;
  readonly answer: string;
  readonly before: string;
  readonly mayChange: boolean;
  readonly onChange: (answer: string) => void;
}) {
  const { asks, answers } = questions[name];
  return (
    <fieldset disabled={!mayChange}>
      <legend className="font-bold">
        {asks}
        {answer !== before && <span className="ml-2 font-normal text-brass">changed</span>}
      </legend>
      <div className="mt-1 flex flex-col gap-0.5">
        {Object.entries(answers).map(([own, words]) => (
          <label key={own} className="flex min-h-6 items-baseline gap-2">
            <input
              type="radio"
              name={name}
              className="accent-beam"
              checked={answer === own}
              onChange={() => onChange(own)}
            />
            {words}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
