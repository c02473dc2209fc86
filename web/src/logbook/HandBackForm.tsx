import { endpoints, type NewReview } from '@green-beam/contract';
import {
  criteria,
  criterionWords,
  findingWeight,
  fullMarks,
  isAnswered,
  mostMarks,
  suggestedMarks,
  sumOfMarks,
  type BookState,
  type Marks,
} from '@green-beam/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { call, sentenceFor } from '../api';
import { useDraft } from '../outbox/useDraft';
import { Button } from '../ui/Button';
import { ChoiceField, TextField } from '../ui/fields';
import type { Book } from './book';
import { placeInWords } from './places';
import { reviewsKey } from './reviews';
import { useFindings } from './SecondLook';

interface Drafted {
  readonly marks: Partial<Marks>;
  readonly remarks: NewReview['remarks'];
}

/** Marks by the criteria, suggested by what was found; remarks on a place or on the whole; handed back in one press. */
export function HandBackForm({ book, state }: { readonly book: Book; readonly state: BookState }) {
  const { id, investigation } = book.answer;
  const found = useFindings(book) ?? [];
  const findings = [...found].sort((a, b) => findingWeight(b) - findingWeight(a));
  const unanswered = investigation.questions.filter((asked) => !isAnswered(asked, book.table)).length;
  const [text, setText, letGo] = useDraft(`${id}/review`);
  const drafted = readDraft(text);
  const marks = { ...suggestedMarks(findings, unanswered), ...drafted.marks };
  const put = (part: Partial<Drafted>) => setText(JSON.stringify({ ...drafted, ...part }));
  const queries = useQueryClient();
  const handBack = useMutation({
    mutationFn: () =>
      call(endpoints.handBack, {
        params: { logbookId: id },
        body: {
          id: crypto.randomUUID(),
          marks,
          remarks: drafted.remarks.filter((own) => own.text.trim() !== ''),
        },
      }),
    onSuccess: (answer) => {
      letGo();
      queries.setQueryData(reviewsKey(id), answer);
      void queries.invalidateQueries({ queryKey: ['marks'] });
    },
  });
  const remark = (about: string, words: string) =>
    put({ remarks: [...drafted.remarks, { about, text: words }] });
  return (
    <section aria-label="Hand back" className="grid gap-x-10 gap-y-6 lg:grid-cols-2">
      <div>
        <h2 className="mb-2">Found by the second look</h2>
        {findings.length === 0 ? (
          <p className="text-beam">Nothing.</p>
        ) : (
          <ul className="divide-y divide-rule border-y border-rule">
            {findings.map((finding) => {
              const about = placeInWords(investigation, finding.place.trial, finding.place.column);
              return (
                <li key={`${finding.code}${about}`} className="py-2">
                  <p className="text-sm text-soft">
                    {about} · {finding.sure}
                  </p>
                  <p>{finding.sentence}</p>
                  <Button look="quiet" className="text-sm" onClick={() => remark(about, finding.sentence)}>
                    Remark on it<span className="sr-only">: {about}</span>
                  </Button>
                </li>
              );
            })}
          </ul>
        )}
        <p className="mt-3 flex gap-x-5">
          <Link to="../history" relative="path" className="underline underline-offset-4">
            History
          </Link>
          <Link to="../report" relative="path" className="underline underline-offset-4">
            Report
          </Link>
        </p>
      </div>
      <div className="flex flex-col gap-4">
        <h2>
          Marks: {sumOfMarks(marks)} of {mostMarks}
        </h2>
        <p className="-mt-3 text-sm text-soft">Suggested by what was found; you decide.</p>
        <div className="grid grid-cols-2 gap-3 sm:grid-cols-3">
          {criteria.map((own) => (
            <ChoiceField
              key={own}
              label={criterionWords[own]}
              value={String(marks[own])}
              choices={Array.from(
                { length: fullMarks + 1 },
                (_, mark) => [String(mark), `${mark} of ${fullMarks}`] as const,
              )}
              onChange={(mark) => put({ marks: { ...drafted.marks, [own]: Number(mark) } })}
            />
          ))}
        </div>
        {drafted.remarks.map(({ about, text: words }, nth) => (
          <div key={nth} className="flex items-start gap-3">
            <TextField
              label={about === '' ? 'Remark on the whole' : `Remark on ${about}`}
              long
              longest={2000}
              value={words}
              onChange={(now) =>
                put({ remarks: drafted.remarks.map((own, at) => (at === nth ? { ...own, text: now } : own)) })
              }
              className="flex-1"
            />
            <Button
              look="quiet"
              className="mt-6 text-sm"
              onClick={() => put({ remarks: drafted.remarks.filter((_, at) => at !== nth) })}
            >
              Take it away
            </Button>
          </div>
        ))}
        <NewRemark places={placesIn(book)} onAdd={(about) => remark(about, '')} />
        <div className="flex flex-wrap items-center gap-4">
          <Button look="main" disabled={handBack.isPending} onClick={() => handBack.mutate()}>
            Hand it back
          </Button>
          <span className="text-sm text-soft">{state === 'begun' ? 'It was not handed in yet.' : state}</span>
        </div>
        {handBack.isError && (
          <p role="alert" className="text-vermilion">
            {sentenceFor(handBack.error)}
          </p>
        )}
      </div>
    </section>
  );
}

function NewRemark({
  places,
  onAdd,
}: {
  readonly places: readonly string[];
  readonly onAdd: (about: string) => void;
}) {
  const [about, setAbout] = useState('');
  return (
    <div className="flex flex-wrap items-end gap-3">
      <ChoiceField
        label="On what"
        value={about}
        choices={[['', 'the whole'] as const, ...places.map((own) => [own, own] as const)]}
        onChange={setAbout}
        className="w-72 max-w-full"
      />
      <Button onClick={() => onAdd(about)}>Add a remark</Button>
    </div>
  );
}

/** Every place at which something is written, in words. */
function placesIn({ table, answer: { investigation } }: Book): string[] {
  const cells = [...table.values()].flatMap(({ current }) =>
    current.kind === 'reading' ? [placeInWords(investigation, current.trial, current.column)] : [],
  );
  const asked = investigation.questions.map(({ text }) => `Question: ${text.slice(0, 120)}`);
  return [...new Set([...cells, ...asked])];
}

/** What was kept of a review that is not handed back yet. */
function readDraft(text: string): Drafted {
  try {
    const { marks, remarks } = JSON.parse(text) as Partial<Drafted>;
    return { marks: marks ?? {}, remarks: remarks ?? [] };
  } catch {
    return { marks: {}, remarks: [] };
  }
}
