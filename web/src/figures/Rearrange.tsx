import {
  checkRearranged,
  lineTex,
  readyMade,
  rearrangings,
  rearrangingsIn,
  triesAllowed,
  type Rearranging,
  type WorkedVerdict,
} from '@green-beam/core';
import { lazy, Suspense, useMemo, useState, type FormEvent } from 'react';
import { useLogbook } from '../logbook/book';
import { useLogbooks } from '../logbook/LogbookIndex';
import { useDraft } from '../outbox/useDraft';
import { useWho } from '../session/who';
import { Button } from '../ui/Button';
import { FieldTrouble } from '../ui/FieldTrouble';
import { ChoiceField } from '../ui/fields';
import { FiguresPage } from './Figures';
import { useKeepTry } from './useKeepTry';

const Tex = lazy(() => import('../ui/Tex'));

/** Formulas to be solved for one of their letters: asked, checked, shown step by step. */
export function Rearrange() {
  const [at, setAt] = useState(0);
  const [source, setSource] = useState('');
  const { role } = useWho();
  const books = useLogbooks(role === 'student').data?.logbooks ?? [];
  const own = books.filter(({ logbookId }) => logbookId !== null && logbookId === source)[0];
  const opened = useLogbook(own?.logbookId ?? '', own !== undefined).data;
  const items = useMemo(() => {
    const investigation = opened?.investigation ?? readyMade.find(({ title }) => title === source);
    const found = investigation ? rearrangingsIn(investigation) : [];
    return found.length > 0 ? found : rearrangings;
  }, [opened, source]);
  const item = items[at % items.length];
  if (!item) return null;
  return (
    <FiguresPage title="Rearrange" aside="Solve a formula before you put numbers in.">
      <ChoiceField
        label="Formulas of"
        className="mb-5 w-80 max-w-full"
        value={source}
        choices={[
          ['', 'density and volume'],
          ...books.flatMap(({ logbookId, title }) =>
            logbookId === null ? [] : [[logbookId, `${title} (your logbook)`] as const],
          ),
          ...readyMade.map(({ title }) => [title, title] as const),
        ]}
        onChange={(next) => {
          setSource(next);
          setAt(0);
        }}
      />
      <OneFormula key={item.id} item={item} onNext={() => setAt(at + 1)} />
    </FiguresPage>
  );
}

function OneFormula({ item, onNext }: { readonly item: Rearranging; readonly onNext: () => void }) {
  const [text, setText] = useDraft(`rearrange/${item.id}`);
  const [verdict, setVerdict] = useState<WorkedVerdict | null>(null);
  const [steps, setSteps] = useState(0);
  const [exerciseId] = useState(() => crypto.randomUUID());
  const [tries, setTries] = useState(0);
  const { keepRearranged, trouble } = useKeepTry();
  const right = verdict?.outcome === 'right';
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (right) return onNext();
    if (text.trim() === '') return;
    const said = checkRearranged(item, text);
    setVerdict(said);
    if (said.outcome === 'unreadable') return;
    setTries(tries + 1);
    // What was done with steps in sight tells nothing of what somebody can do.
    if (steps === 0 && tries < triesAllowed)
      keepRearranged({ exerciseId, formula: item.formula, wanted: item.wanted, text });
  };
  return (
    <form onSubmit={submit} className="grid max-w-4xl gap-8 md:grid-cols-2">
      <div className="bg-white p-6">
        <Suspense fallback={null}>
          <Tex tex={lineTex(item.formula)} />
        </Suspense>
        {item.steps.slice(0, right ? item.steps.length : steps).map(({ line, why }) => (
          <div key={line}>
            <p className="text-sm text-soft">{why}</p>
            <Suspense fallback={null}>
              <Tex tex={lineTex(line)} />
            </Suspense>
          </div>
        ))}
      </div>
      <div className="flex flex-col gap-4">
        <label className="text-xl">
          {item.wanted} =
          <input
            value={text}
            maxLength={200}
            spellCheck={false}
            autoComplete="off"
            autoFocus
            onChange={(event) => setText(event.target.value)}
            className="mt-1 block w-full rounded-sm border-2 border-ink bg-white px-3 py-2 font-mono text-2xl"
          />
        </label>
        <div role="group" aria-label="Letters" className="flex flex-wrap gap-2">
          {[...item.names, '×', '/', '^2', 'π', '(', ')'].map((letter) => (
            <Button key={letter} className="font-mono" onClick={() => setText(`${text}${letter}`)}>
              {letter}
            </Button>
          ))}
        </div>
        <FieldTrouble says={trouble} />
        {verdict && <Said verdict={verdict} />}
        <div className="flex flex-wrap gap-3">
          <Button look="main" type="submit">
            {right ? 'Next formula' : 'Check it'}
          </Button>
          {!right && steps < item.steps.length && (
            <Button onClick={() => setSteps(steps + 1)}>Show a step</Button>
          )}
          {!right && (
            <Button look="quiet" onClick={onNext}>
              Another formula
            </Button>
          )}
        </div>
      </div>
    </form>
  );
}

function Said({ verdict }: { readonly verdict: WorkedVerdict }) {
  if (verdict.outcome === 'right')
    return (
      <p role="status" className="font-bold text-beam">
        Level: right.
      </p>
    );
  if (verdict.outcome === 'unreadable')
    return (
      <p role="status" className="border-l-4 border-brass-line pl-3">
        {verdict.problem.message}
      </p>
    );
  return (
    <div role="status" className="flex flex-col gap-2">
      <p className="font-bold text-vermilion">Not yet.</p>
      {verdict.causes.length === 0 && <p>Do one thing at a time, the same on both sides.</p>}
      {verdict.causes.map(({ code, title, hint }) => (
        <p key={code}>
          <strong>{title}</strong> {hint}
        </p>
      ))}
    </div>
  );
}
