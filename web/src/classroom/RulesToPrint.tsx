import {
  answerWords,
  houseSample,
  overrideWords,
  questionGroups,
  questions,
  questionsIn,
  sampleGroups,
  type Conventions,
} from '@green-beam/core';
import { useParams } from 'react-router';
import { useConventions, useHouseRules } from '../answers/conventions';
import { Button } from '../ui/Button';
import { Loading, Page, Trouble } from '../ui/Notice';

/** How we read and write in this class: the page that a teacher prints. */
export function ClassRulesToPrint() {
  const { classId = '' } = useParams();
  const rules = useHouseRules(classId);
  const newest = rules.data?.versions[0];
  if (!rules.data || !newest)
    return rules.isError ? <Trouble error={rules.error} /> : <Loading what="the house rules" />;
  return <Sheet rules={newest.rules} of={rules.data.class.name} />;
}

/** The same for a student, of their own class. */
export function OwnRulesToPrint() {
  const own = useConventions();
  if (own.data === undefined)
    return own.isError ? <Trouble error={own.error} /> : <Loading what="the house rules" />;
  return <Sheet rules={own.data.conventions} of={null} />;
}

function Sheet({ rules, of }: { readonly rules: Conventions; readonly of: string | null }) {
  const sample = houseSample(rules);
  return (
    <Page
      title="How we read and write in this class"
      aside={`${of ? `${of}, ` : ''}${rules.preset}, version ${rules.version}`}
    >
      <Button className="no-print mb-5" onClick={() => print()}>
        Print
      </Button>
      <div className="grid gap-x-12 gap-y-6 md:grid-cols-2 print:grid-cols-2">
        {sampleGroups.map((group) => (
          <section
            key={group}
            aria-label={questionGroups[group]}
            className="break-inside-avoid border-t-2 border-beam pt-2"
          >
            <h2 className="mb-1">{questionGroups[group]}</h2>
            <dl>
              {questionsIn(group).map((key) => (
                <div key={key} className="mb-1.5">
                  <dt className="text-sm text-soft">{questions[key].asks}</dt>
                  <dd>{answerWords(rules, key)}</dd>
                </div>
              ))}
              {group === 'reading' && rules.overrides.length > 0 && (
                <div className="mb-1.5">
                  <dt className="text-sm text-soft">By a rule of their own</dt>
                  <dd>{rules.overrides.map(overrideWords).join('; ')}</dd>
                </div>
              )}
            </dl>
            <table className="mt-2 text-sm">
              <caption className="sr-only">Examples: {questionGroups[group]}</caption>
              <tbody>
                {sample[group].map(({ given, shows }) => (
                  <tr key={given} className="align-baseline">
                    <th scope="row" className="pr-4 text-left font-normal text-soft">
                      {given}
                    </th>
                    <td className="font-mono">{shows}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
        ))}
      </div>
    </Page>
  );
}
