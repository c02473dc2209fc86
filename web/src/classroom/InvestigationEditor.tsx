import { checkInvestigationFile, endpoints, readInvestigation } from '@green-beam/contract';
import {
  formatVersion,
  placeInWords,
  shapes,
  type Investigation,
  type InvestigationProblem,
} from '@green-beam/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { call, sentenceFor } from '../api';
import { useDraft } from '../outbox/useDraft';
import { Button } from '../ui/Button';
import { download, fileName } from '../ui/download';
import { FileChoice } from '../ui/FileChoice';
import { Loading, Page, Trouble } from '../ui/Notice';
import { About } from './editor/About';
import { KitPart } from './editor/KitPart';
import { ModelPart } from './editor/ModelPart';
import { QuestionsPart } from './editor/QuestionsPart';
import { ResultsPart } from './editor/ResultsPart';
import { StepsPart } from './editor/StepsPart';
import { TablesPart } from './editor/TablesPart';
import { useInvestigations } from './Investigations';

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
  const [draft, setDraft] = useDraft(name);
  // A long list may lie behind it: it begins at its title.
  useEffect(() => {
    window.scrollTo(0, 0);
  }, []);
  const [reads, setReads] = useState(0);
  const [fileProblems, setFileProblems] = useState<readonly InvestigationProblem[]>([]);
  const body = bodyOf(draft) ?? start;
  const change = (part: Partial<Investigation>) => setDraft(JSON.stringify({ ...body, ...part }));
  const checked = checkInvestigationFile(body);
  const problems = checked.ok ? [] : checked.problems;
  const keep = useMutation({
    mutationFn: () =>
      call(endpoints.newInvestigation, {
        params: { classId },
        body: { id: crypto.randomUUID(), replaces, body },
      }),
    onSuccess: async () => {
      setDraft('');
      await queries.invalidateQueries({ queryKey: ['investigations', classId] });
      void navigate(`/class/${classId}/investigations`);
    },
  });
  const read = async (file: File) => {
    const result = readInvestigation(await file.text());
    setFileProblems(result.ok ? [] : result.problems);
    if (!result.ok) return;
    setDraft(JSON.stringify(result.investigation));
    setReads((before) => before + 1);
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
        {draft !== '' && (
          <Button
            look="quiet"
            onClick={() => {
              setDraft('');
              setReads((before) => before + 1);
            }}
          >
            Begin again from {start.title === '' ? 'nothing' : 'what it was'}
          </Button>
        )}
        <Link to={`/class/${classId}/investigations`} className="underline underline-offset-4">
          Back
        </Link>
      </div>
      <Problems title="The file was not taken" problems={fileProblems} body={null} />
      {(draft !== '' || start !== blank) && (
        <Problems title="Before it can be set" problems={problems} body={body} />
      )}
      {keep.isError && (
        <p role="alert" className="mb-4 border-l-4 border-vermilion pl-3">
          {sentenceFor(keep.error)}
        </p>
      )}
      {/* Fields that hold what was typed begin again when a file is read. */}
      <div key={reads} className="flex max-w-[64rem] flex-col gap-8">
        <About body={body} change={change} />
        <KitPart body={body} change={change} />
        <StepsPart body={body} change={change} />
        <TablesPart body={body} change={change} />
        <ModelPart body={body} change={change} />
        <ResultsPart body={body} change={change} />
        <QuestionsPart body={body} change={change} />
      </div>
    </Page>
  );
}

function bodyOf(draft: string): Investigation | null {
  try {
    return draft === '' ? null : (JSON.parse(draft) as Investigation);
  } catch {
    return null;
  }
}

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
