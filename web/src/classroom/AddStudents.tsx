import type { NewStudents } from '@green-beam/contract';
import { rosterLines } from '@green-beam/core';
import { useId, useState, type FormEvent } from 'react';
import { Button } from '../ui/Button';
import { FileChoice } from '../ui/FileChoice';

/** Students out of a pasted list or a file, each trouble at its line before anything is kept. */
export function AddStudents({
  there,
  busy,
  onAdd,
}: {
  /** The names that are taken. */
  readonly there: readonly string[];
  readonly busy: boolean;
  readonly onAdd: (students: NewStudents, onAdded: () => void) => void;
}) {
  const [text, setText] = useState('');
  const id = useId();
  const lines = rosterLines(text, there);
  const good = lines.filter(({ problem }) => problem === null);
  const bad = lines.filter(({ problem }) => problem !== null);
  const benches = new Set(good.flatMap(({ bench }) => (bench === '' ? [] : [bench.toLowerCase()])));
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (good.length === 0 || bad.length > 0) return;
    onAdd({ names: good.map(({ name }) => name), benches: good.map(({ bench }) => bench) }, () =>
      setText(''),
    );
  };
  return (
    <form onSubmit={submit} className="flex flex-col gap-2">
      <label htmlFor={id} className="font-bold">
        Add students
      </label>
      <p className="text-sm text-soft">
        One name a line, or a pasted list; a bench may follow after a semicolon. A first name and a letter are
        enough; no address is needed.
      </p>
      <textarea
        id={id}
        rows={5}
        value={text}
        onChange={(event) => setText(event.target.value)}
        className="rounded-sm border border-edge bg-white p-2"
      />
      <FileChoice
        label="Read a file"
        accept=".csv,.txt,text/csv,text/plain"
        onFile={async (file) => setText(await file.text())}
      />
      {bad.length > 0 && (
        <ul role="alert" className="border-l-4 border-vermilion pl-3 text-sm">
          {bad.map(({ line, problem }) => (
            <li key={line}>
              Line {line}: {problem}
            </li>
          ))}
        </ul>
      )}
      {benches.size > 0 && (
        <p className="text-sm">
          {good.length} {good.length === 1 ? 'name' : 'names'} at {benches.size}{' '}
          {benches.size === 1 ? 'bench' : 'benches'}.
        </p>
      )}
      <Button type="submit" look="main" disabled={busy || good.length === 0 || bad.length > 0}>
        {good.length === 1 ? 'Add one student' : `Add ${good.length || ''} students`}
      </Button>
    </form>
  );
}
