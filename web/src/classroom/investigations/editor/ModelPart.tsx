import type { Investigation, Table } from '@green-beam/core';
import { TextField } from '../../../ui/fields';
import { useAt } from './bound';

/** A trial that the teacher works as a model: texts by column, and a word on it. Empty, there is none. */
export function ModelPart() {
  const [tables] = useAt<readonly Table[]>('tables');
  const [model, set] = useAt<Investigation['model']>('model');
  const columns = tables.flatMap((table) => table.columns);
  const cells = model?.cells ?? {};
  const words = model?.words ?? '';
  const put = (next: Readonly<Record<string, string>>, said: string) => {
    const kept = Object.fromEntries(Object.entries(next).filter(([, text]) => text.trim() !== ''));
    set(Object.keys(kept).length === 0 && said === '' ? null : { cells: kept, words: said });
  };
  return (
    <section aria-label="A worked trial as a model">
      <h2 className="mb-2">A worked trial as a model</h2>
      <div className="grid gap-3 sm:grid-cols-4">
        {columns.map(({ key, heading }) => (
          <TextField
            key={key}
            label={heading}
            mono
            longest={60}
            value={cells[key] ?? ''}
            onChange={(text) => put({ ...cells, [key]: text }, words)}
          />
        ))}
        <TextField
          label="A word on it"
          value={words}
          onChange={(said) => put(cells, said)}
          className="sm:col-span-4"
        />
      </div>
    </section>
  );
}
