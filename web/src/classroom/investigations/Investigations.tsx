import { Link, useParams } from 'react-router';
import { Loading, Page, Trouble } from '../../ui/Notice';
import { FreeLogbooks } from './FreeLogbooks';
import { ReadyMade } from './ReadyMade';
import { SetWork } from './SetWork';
import { Shapes } from './Shapes';
import { useInvestigations } from '../../answers/investigations';

/** What is set for a class, its logbooks, and what comes with the app. */
export function Investigations() {
  const { classId = '' } = useParams();
  const answer = useInvestigations(classId);
  if (answer.data === undefined) {
    return answer.isError ? (
      <Trouble error={answer.error} again={() => void answer.refetch()} />
    ) : (
      <Loading what="the investigations" />
    );
  }
  const { investigations, readyMade } = answer.data;
  return (
    <Page title="Investigations" aside={answer.data.class.name}>
      <div className="grid gap-x-12 gap-y-8 xl:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <section aria-label="Set for this class">
          <div className="mb-2 flex flex-wrap items-baseline justify-between gap-3">
            <h2>Set for this class</h2>
            <Link to="edit" className="underline underline-offset-4">
              Write a new one, or read one from a file
            </Link>
          </div>
          <ul className="divide-y divide-rule border-y border-rule">
            {investigations.map((line) => (
              <li key={line.id} className="py-4">
                <SetWork classId={classId} line={line} />
              </li>
            ))}
          </ul>
          <FreeLogbooks classId={classId} free={answer.data.freeLogbooks} />
        </section>
        <div className="flex flex-col gap-8">
          <Shapes />
          <ReadyMade
            classId={classId}
            bodies={readyMade}
            set={new Set(investigations.map(({ body: { title } }) => title))}
          />
        </div>
      </div>
    </Page>
  );
}
