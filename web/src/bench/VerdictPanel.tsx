import type { AttemptAnswer, Solution } from '@green-beam/contract';
import type { Explanation, Judgement } from '@green-beam/core';
import { gaugeInWords, LevelGauge, type Gauge } from '@green-beam/drawing';
import { Stated } from '../ui/Figure';
import { KeptAnswer } from '../ui/KeptAnswer';

/** What is to be said of a try: the gauge, the cause before the rule, and at the end how the reading is built up. */
export function VerdictPanel({ attempt }: { readonly attempt: AttemptAnswer }) {
  const { verdict, solution } = attempt;
  if (verdict.outcome === 'unreadable' || verdict.outcome === 'not ready') {
    return (
      <p role="status" className="border-l-4 border-brass-line pl-3">
        {verdict.outcome === 'unreadable' ? verdict.problem.message : verdict.message} This cost no try.
      </p>
    );
  }
  if (verdict.outcome === 'held') return <KeptAnswer text={attempt.text} unit={attempt.unit} />;
  const gauge = gaugeFor(verdict, solution);
  return (
    <div className="flex flex-col gap-4">
      <div>
        <LevelGauge gauge={gauge} />
        <p className={verdict.outcome === 'right' ? 'font-bold text-beam' : 'font-bold text-vermilion'}>
          <Stated text={`${attempt.text.trim()} ${attempt.unit}`} className="mr-3 font-normal text-ink" />
          {verdict.outcome === 'right' ? 'Level: rightly read.' : sentence(gaugeInWords(gauge))}
        </p>
      </div>
      <div role="status" className="flex flex-col gap-3">
        {attempt.late && <p>This answer came after the right one was shown, so it does not count.</p>}
        {verdict.outcome === 'wrong' && (
          <Causes explanations={verdict.explanations} lookFirst={verdict.lookFirst} />
        )}
        {verdict.remarks.map((remark) => (
          <p key={remark}>{remark}</p>
        ))}
        {solution && <BuildUp solution={solution} right={verdict.outcome === 'right'} />}
      </div>
    </div>
  );
}

/** Coarse while the answer is still to be found, exact once it is told. */
function gaugeFor(verdict: Judgement, solution: Solution | null): Gauge {
  if (!solution || solution.divisionsOff === null) return { shows: 'lean', lean: verdict.deviation };
  // Where the value was right and only its writing was not, the pointer stays level.
  if (verdict.deviation.direction === 'level') return { shows: 'lean', lean: verdict.deviation };
  return {
    shows: 'exact',
    off: solution.divisionsOff,
    accepted: solution.acceptedDivisions,
    unit: 'divisions',
  };
}

function Causes({
  explanations,
  lookFirst,
}: {
  readonly explanations: readonly Explanation[];
  readonly lookFirst: string;
}) {
  if (explanations.length === 0) return <p>{lookFirst}</p>;
  return (
    <>
      {explanations.length > 1 && <p>More than one slip leads to this number. Which was it?</p>}
      {explanations.map((causes) => (
        <div
          key={causes.map(({ code }) => code).join()}
          className={explanations.length > 1 ? 'border-l-2 border-rule pl-3' : ''}
        >
          {causes.map(({ code, title, hint }) => (
            <p key={code}>
              <strong>{title}</strong> {hint}
            </p>
          ))}
        </div>
      ))}
    </>
  );
}

function BuildUp({ solution, right }: { readonly solution: Solution; readonly right: boolean }) {
  return (
    <div className="border-t border-rule pt-3">
      <p className="mb-2">
        {right ? 'How it is built up:' : 'The reading is '}
        {!right && <Stated text={`${solution.text} ${solution.unit}`} className="text-lg" />}
        {!right && '. How it is built up:'}
      </p>
      <ol className="ml-5 list-decimal">
        {solution.buildUp.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ol>
    </div>
  );
}

const sentence = (words: string): string => {
  const said = words === 'level' ? 'the value is level; its writing is not right yet' : words;
  return `${said.charAt(0).toUpperCase()}${said.slice(1)}.`;
};
