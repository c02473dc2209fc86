import { checkInvestigationFile, endpoints, readInvestigation } from '@green-beam/contract';
import {
  formatVersion,
  placeInWords,
  shapes,
  type Investigation,
  type InvestigationProblem,
} from '@green-beam/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { memo, useEffect, useMemo, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { call, sentenceFor } from '../../api';
import { Button } from '../../ui/Button';
import { download, fileName } from '../../ui/download';
import { FileChoice } from '../../ui/FileChoice';
import { Loading, Page, Trouble } from '../../ui/Notice';
import { About } from './editor/About';
import { EditedForm } from './editor/bound';
import { Preview } from './editor/Preview';
import { KitPart } from './editor/KitPart';
import { ModelPart } from './editor/ModelPart';
import { QuestionsPart } from './editor/QuestionsPart';
import { ResultsPart } from './editor/ResultsPart';
import { StepsPart } from './editor/StepsPart';
import { TablesPart } from './editor/TablesPart';
import { VariationsPart } from './editor/VariationsPart';
import { useInvestigationForm } from './useInvestigationForm';
import { useInvestigations } from '../../answers/investigations';

const blank: Investigation = {
  format: formatVersion,
  title: '',
  aim: '',
  object: '',
  route: '',
  kit: [],
  steps: [{ text: '' }],
  tables: [{ key: 'trials', title: 'Trials', trials: 3, columns: [] }],
  results: [],
  predictions: [],
  questions: [],
  causes: [],
  bands: null,
  supplied: true,
  secondLook: 'students',
  model: null,
};

/** Writes or adapts an investigation; what is typed is kept until it is stored. */
export function InvestigationEditor() {
  const { classId = '' } = useParams();
  const [search] = useSearchParams();
  const answer = useInvestigations(classId);
  if (answer.data === undefined)
    return answer.isError ? <Trouble error={answer.error} /> : <Loading what="the investigation" />;
  const from = answer.data.investigations.find(({ id }) => id === search.get('from'));
  const ready = answer.data.readyMade.find(({ title }) => title === search.get('ready'));
  const shape = shapes.find(({ key }) => key === search.get('shape'));
  return (
    <Editor
      key={search.toString()}
      classId={classId}
      name={`investigation/${classId}/${search.toString()}`}
      start={from?.body ?? ready ?? shape?.body ?? blank}
      replaces={from?.id ?? null}
      version={from?.version ?? 0}
    />
  );
}

interface Props {
  readonly classId: string;
  readonly name: string;
  readonly start: Investigation;
  readonly replaces: string | null;
  readonly version: number;
}

function Editor({ classId, name, start, replaces, version }: Props) {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const { form, body, begun, undoable, undo, put, forget, puts } = useInvestigationForm(name, start);
  // A long list may lie behind it: it begins at its title.
  useEffect(() => {
    window.scrollTo(0, 0);
  }, []);
  const [fileProblems, setFileProblems] = useState<readonly InvestigationProblem[]>([]);
  const checked = useMemo(() => checkInvestigationFile(body), [body]);
  const problems = checked.ok ? [] : checked.problems;
  const keep = useMutation({
    mutationFn: () =>
      call(endpoints.newInvestigation, {
        params: { classId },
        body: { id: crypto.randomUUID(), replaces, body },
      }),
    onSuccess: async () => {
      forget();
      await queries.invalidateQueries({ queryKey: ['investigations', classId] });
      void navigate(`/class/${classId}/investigations`);
    },
  });
  const read = async (file: File) => {
    const result = readInvestigation(await file.text());
    setFileProblems(result.ok ? [] : result.problems);
    if (result.ok) put(result.investigation);
  };
  return (
    <Page
      title={replaces ? `Adapt: ${start.title}` : 'An investigation'}
      aside={replaces ? `becomes version ${version + 1}; open logbooks keep theirs` : 'new for this class'}
    >
      <div className="mb-6 flex flex-wrap items-center gap-x-5 gap-y-2 border-b border-rule pb-4">
        <Button look="main" disabled={!checked.ok || keep.isPending} onClick={() => keep.mutate()}>
          Set this work
        </Button>
        <FileChoice label="Read a file" accept=".json,application/json" onFile={read} />
        <Button
          look="quiet"
          onClick={() =>
            download(
              `${fileName(body.title) || 'investigation'}.json`,
              'application/json',
              JSON.stringify(body, null, 2),
            )
          }
        >
          Save as a file
        </Button>
        {undoable && (
          <Button look="quiet" onClick={undo}>
            Undo
          </Button>
        )}
        {begun && (
          <Button look="quiet" onClick={() => put(start)}>
            Begin again from {start.title === '' ? 'nothing' : 'what it was'}
          </Button>
        )}
        <Link to={`/class/${classId}/investigations`} className="underline underline-offset-4">
          Back
        </Link>
      </div>
      <Problems title="The file was not taken" problems={fileProblems} body={null} />
      {(begun || start !== blank) && (
        <Problems title="Before it can be set" problems={problems} body={body} />
      )}
      {keep.isError && (
        <p role="alert" className="mb-4 border-l-4 border-vermilion pl-3">
          {sentenceFor(keep.error)}
        </p>
      )}
      {/* Fields that hold what was typed begin again when a file is read. */}
      <div className="grid gap-x-10 gap-y-8 xl:grid-cols-[minmax(0,3fr)_minmax(0,2fr)]">
        <EditedForm value={form}>
          <Parts key={puts} />
        </EditedForm>
        <Preview classId={classId} body={checked.ok ? checked.investigation : null} />
      </div>
    </Page>
  );
}

const Parts = memo(() => (
  <div className="flex max-w-[64rem] flex-col gap-8">
    <About />
    <KitPart />
    <StepsPart />
    <TablesPart />
    <ModelPart />
    <ResultsPart />
    <QuestionsPart />
    <VariationsPart />
  </div>
));
Parts.displayName = 'Parts';

const sentenceCase = (words: string): string => words.charAt(0).toUpperCase() + words.slice(1);

function Problems({
  title,
  problems,
  body,
}: {
  readonly title: string;
  readonly problems: readonly InvestigationProblem[];
  /** What was looked at, so that places can be said in words; null for a file, where they stand as its writer finds them. */
  readonly body: Investigation | null;
}) {
  if (problems.length === 0) return null;
  return (
    <div role="alert" className="mb-6 border-l-4 border-vermilion pl-3">
      <p className="font-bold">{title}</p>
      <ul>
        {problems.slice(0, 8).map(({ place, sentence }) => (
          <li key={`${place}${sentence}`}>
            {place !== '' &&
              (body === null ? (
                <span className="font-mono text-sm">{place}: </span>
              ) : (
                <strong>{sentenceCase(placeInWords(place, body))}: </strong>
              ))}
            {sentence}
          </li>
        ))}
      </ul>
    </div>
  );
}
