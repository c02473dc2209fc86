import type { BoardAnswer, ClassName } from '@green-beam/contract';
import { Link } from 'react-router';
import { boardOf, useBoard } from '../answers/board';
import { marksOf } from '../answers/marks';
import { useAnswered } from '../answers/useAnswered';
import { Calls, callsOf } from '../calls/Calls';
import { WorthFiveMinutes } from '../classroom/WorthFiveMinutes';
import { useWho } from '../session/who';
import { Loading, Page, Trouble } from '../ui/Notice';
import { AddClass } from './AddClass';
import { Fact } from './Fact';
import { Running } from './Running';

/** The teacher's classes at a glance. */
export function TeacherToday() {
  const { name, classes } = useWho();
  const inUse = classes.filter(({ putAway }) => !putAway);
  const away = classes.filter(({ putAway }) => putAway);
  const answered = useAnswered(inUse.flatMap(({ id }) => [boardOf(id), callsOf(id), marksOf(id)]));
  if (!answered) return <Loading what="your day" />;
  return (
    <Page title="Today" aside={name}>
      {classes.length === 0 && (
        <p className="mb-5">You have no class yet. Give it a name; the students come next.</p>
      )}
      <div className="flex flex-col gap-10">
        {inUse.map((line) => (
          <ClassToday key={line.id} line={line} />
        ))}
        <AddClass />
        {away.length > 0 && (
          <p className="flex flex-wrap gap-x-4">
            Put away:
            {away.map((line) => (
              <Link key={line.id} to={`/class/${line.id}/staff`} className="underline underline-offset-4">
                {line.name}
              </Link>
            ))}
          </p>
        )}
        {classes.length > 0 && (
          <p>
            <Link to="/logbook" className="underline underline-offset-4">
              Logbooks of your own
            </Link>
          </p>
        )}
      </div>
    </Page>
  );
}

function ClassToday({ line }: { readonly line: ClassName }) {
  const board = useBoard(line.id);
  if (board.data === undefined) {
    return board.isError ? (
      <Trouble error={board.error} again={() => void board.refetch()} />
    ) : (
      <Loading what={line.name} />
    );
  }
  const { students, atWorkToday, readingsToday, worthFiveMinutes, instruments } = board.data;
  return (
    <section aria-label={line.name}>
      <div className="mb-4 flex flex-wrap items-baseline gap-x-5 border-b-2 border-ink pb-1">
        <h2 className="text-xl">{line.name}</h2>
        <p className="text-soft">class code {line.code}</p>
        <Link to={`/class/${line.id}/tasks`} className="ml-auto underline underline-offset-4">
          Set work
        </Link>
        <Link to={`/class/${line.id}/marks`} className="underline underline-offset-4">
          Marks
        </Link>
        <Link to={`/class/${line.id}`} className="font-bold underline underline-offset-4">
          Open the class
        </Link>
      </div>
      <Calls classId={line.id} />
      {worthFiveMinutes && (
        <WorthFiveMinutes classId={line.id} topic={worthFiveMinutes} instruments={instruments} />
      )}
      <dl className="flex flex-wrap gap-x-10 gap-y-3">
        <Fact name="At work today" value={`${atWorkToday} of ${students.length}`} />
        <Fact name="Readings today" value={String(readingsToday)} />
        <Fact name="Logbooks" value={logbookWords(board.data)} />
        <Fact name="Last three readings wrong" value={stuckWords(board.data)} />
        <Running classId={line.id} />
      </dl>
    </section>
  );
}

function logbookWords({ students }: BoardAnswer): string {
  const books = new Map(students.flatMap(({ logbooks }) => logbooks).map((line) => [line.logbookId, line]));
  const complete = [...books.values()].filter(({ resultText }) => resultText !== null).length;
  return `${complete} of ${books.size} with a result`;
}

/** Who is stuck, and on what. */
function stuckWords({ students, instruments }: BoardAnswer): string {
  const stuck = students.flatMap(({ name, latest }) => {
    const last = latest.slice(0, 3);
    if (last.length < 3 || last.some(({ right }) => right)) return [];
    const kind = last[0]?.kind;
    return [`${name} (${instruments.find((own) => own.kind === kind)?.name ?? kind})`];
  });
  return stuck.length === 0 ? 'nobody' : stuck.join(', ');
}
