import {
  faultyTable,
  judgeMarks,
  lookRules,
  seedFrom,
  type AuditTable,
  type Mark,
  type MarkVerdict,
  type Place,
} from '@green-beam/core';
import clsx from 'clsx';
import { useState } from 'react';
import { useDraft } from '../outbox/useDraft';
import { useWho } from '../session/who';
import { Button } from '../ui/Button';
import { FieldTrouble } from '../ui/FieldTrouble';
import { Figure } from '../ui/Figure';
import { FiguresPage } from './Figures';
import { useKeepTry } from './useKeepTry';

interface Kept {
  readonly seed: number;
  readonly marks: readonly Mark[];
  readonly judged: boolean;
}

/** A results table with faults planted in it: mark the cells, say what is wrong, have it judged. */
export function SpotTheFault() {
  const [draft, setDraft] = useDraft('spot');
  const kept = readKept(draft, firstSeed(useWho().id));
  const { keepSpotted, trouble } = useKeepTry();
  const keep = (part: Partial<Kept>) => setDraft(JSON.stringify({ ...kept, ...part }));
  const table = faultyTable(kept.seed);
  const [chosen, setChosen] = useState<Place | null>(null);
  const judged = kept.judged ? judgeMarks(table, kept.marks) : null;
  const mark = (code: string) => {
    if (!chosen) return;
    const others = kept.marks.filter(({ place }) => !same(place, chosen));
    keep({ marks: code === '' ? others : [...others, { place: chosen, code }] });
    setChosen(null);
  };
  return (
    <FiguresPage
      title="Spot the fault"
      aside="Two or three things are wrong in this table. Press what is wrong, and say why."
    >
      <h2 className="mb-3">{table.title}</h2>
      <Table
        table={table}
        marks={kept.marks}
        verdicts={judged?.verdicts ?? []}
        chosen={chosen}
        onChoose={judged ? null : setChosen}
      />
      {chosen && (
        <section aria-label="What is wrong" className="mt-5 border-l-4 border-brass-line pl-4">
          <p className="mb-2">{placeWords(table, chosen)}: what is wrong?</p>
          <div className="flex flex-wrap gap-2">
            {lookRules.map(({ code, label: says }) => (
              <Button key={code} className="text-sm" onClick={() => mark(code)}>
                {says}
              </Button>
            ))}
            <Button look="quiet" onClick={() => mark('')}>
              Nothing after all
            </Button>
          </div>
        </section>
      )}
      <div className="mt-6 flex flex-wrap items-center gap-4">
        {judged ? (
          <Button
            look="main"
            onClick={() => setDraft(JSON.stringify({ seed: kept.seed + 1, marks: [], judged: false }))}
          >
            Next table
          </Button>
        ) : (
          <Button
            look="main"
            disabled={kept.marks.length === 0}
            onClick={() => {
              keep({ judged: true });
              keepSpotted({ exerciseId: crypto.randomUUID(), seed: kept.seed, marks: [...kept.marks] });
            }}
          >
            Judge my marks
          </Button>
        )}
        <p className="text-soft">
          {kept.marks.length} {kept.marks.length === 1 ? 'mark' : 'marks'}
        </p>
      </div>
      <FieldTrouble says={trouble} />
      {judged && (
        <div role="status" className="mt-5 flex flex-col gap-2">
          {judged.verdicts.map(({ mark: { place, code }, is }) => (
            <p key={`${place.trial}/${place.column}`}>
              <strong className={is === 'right' ? 'text-beam' : 'text-vermilion'}>
                {
                  {
                    right: 'Right',
                    'another reason': 'Right place, another reason',
                    nothing: 'Nothing is wrong there',
                  }[is]
                }
              </strong>
              : {placeWords(table, place)}, {says(code)}.
            </p>
          ))}
          {judged.missed.map(({ place, code, sentence }) => (
            <p key={`${place.trial}/${place.column}/${code}`}>
              <strong>Missed</strong>: {placeWords(table, place)}. {sentence}
            </p>
          ))}
          {judged.missed.length === 0 && <p className="font-bold text-beam">Level: you found everything.</p>}
        </div>
      )}
    </FiguresPage>
  );
}

const same = (a: Place, b: Place): boolean => a.trial === b.trial && a.column === b.column;
const says = (code: string): string =>
  lookRules.find((rule) => rule.code === code)?.label.toLowerCase() ?? code;

function placeWords({ columns }: AuditTable, { trial, column }: Place): string {
  const heading = columns.find(({ key }) => key === column)?.heading ?? column;
  if (trial === 'heading') return `the heading “${heading}”`;
  return trial === 'mean' ? `the mean of ${heading}` : `${heading} of trial ${trial}`;
}

function Table({
  table,
  marks,
  verdicts,
  chosen,
  onChoose,
}: {
  readonly table: AuditTable;
  readonly marks: readonly Mark[];
  readonly verdicts: readonly MarkVerdict[];
  readonly chosen: Place | null;
  readonly onChoose: ((place: Place) => void) | null;
}) {
  const cell = (place: Place, text: string) => {
    const marked = marks.find((mark) => same(mark.place, place));
    const verdict = verdicts.find(({ mark }) => same(mark.place, place));
    return (
      <button
        type="button"
        disabled={!onChoose}
        aria-pressed={marked !== undefined}
        aria-label={`${placeWords(table, place)}: ${text}${marked ? `, marked: ${says(marked.code)}` : ''}`}
        onClick={() => onChoose?.(place)}
        className={clsx(
          'w-full rounded-sm border-2 px-2 py-1 text-left',
          chosen && same(chosen, place)
            ? 'border-water'
            : marked
              ? 'border-brass-line'
              : 'border-transparent hover:border-rule',
          verdict?.is === 'right' && 'border-beam bg-beam/10',
          verdict && verdict.is !== 'right' && 'border-vermilion',
        )}
      >
        {place.trial === 'heading' ? text : <Figure text={text} className="text-lg" />}
      </button>
    );
  };
  return (
    <div className="overflow-x-auto">
      <table className="border-collapse">
        <caption className="sr-only">{table.title}</caption>
        <thead>
          <tr className="border-b-2 border-ink text-left">
            <th scope="col" className="px-2 py-1">
              Trial
            </th>
            {table.columns.map(({ key, heading, unit }) => (
              <th key={key} scope="col" className="py-1 font-bold">
                {cell(
                  { trial: 'heading', column: key },
                  unit === null || unit === 'clock' ? heading : `${heading} in ${unit}`,
                )}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {table.rows.map(({ trial, excluded, cells }) => (
            <tr key={trial} className={clsx('border-b border-rule', excluded !== null && 'text-soft')}>
              <th scope="row" className="px-2 py-1 text-left font-normal">
                {trial}
                {excluded !== null && <span className="ml-2 text-sm">excluded: {excluded}</span>}
              </th>
              {table.columns.map(({ key }) => (
                <td key={key} className={clsx('py-1', excluded !== null && 'line-through')}>
                  {cell({ trial, column: key }, cells[key] ?? '')}
                </td>
              ))}
            </tr>
          ))}
          {table.mean && (
            <tr>
              <th scope="row" className="px-2 py-1 text-left font-normal">
                Mean
              </th>
              {table.columns.map(({ key }) => (
                <td key={key} className="py-1">
                  {table.mean?.column === key && cell({ trial: 'mean', column: key }, table.mean.text)}
                </td>
              ))}
            </tr>
          )}
        </tbody>
      </table>
    </div>
  );
}

/** Each begins with a table of their own. */
const firstSeed = (person: string): number => Math.abs(seedFrom(person)) % 1_000_000;

function readKept(draft: string, seed: number): Kept {
  try {
    return JSON.parse(draft) as Kept;
  } catch {
    return { seed, marks: [], judged: false };
  }
}
