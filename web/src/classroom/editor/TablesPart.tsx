import { replicateWays, type Column, type NamedRow, type Replicates, type Table } from '@green-beam/core';
import { ChoiceField, LinesField, ListField, TextField } from '../../ui/fields';
import { ColumnFields } from './ColumnFields';
import type { Part } from './part';

const wayNames: Readonly<Record<Replicates, string>> = {
  afresh: 'each afresh',
  'one receiver': 'into one receiver',
  'mark to mark': 'from mark to mark',
};

export function TablesPart({ body, change }: Part) {
  return (
    <ListField<Table>
      title="Tables"
      one="table"
      items={body.tables}
      blank={{ key: `table${body.tables.length + 1}`, title: 'Trials', trials: 3, columns: [] }}
      onChange={(tables) => change({ tables })}
    >
      {(table, set) => (
        <div className="flex flex-col gap-3">
          <div className="grid gap-3 sm:grid-cols-[1fr_8rem_14rem]">
            <TextField label="Title" value={table.title} onChange={(title) => set({ title })} />
            <TextField
              label="Trials wanted"
              value={String(table.trials)}
              onChange={(text) => set({ trials: Number(text.replace(/\D/g, '')) || 0 })}
            />
            <ChoiceField
              label="Its trials are"
              value={table.replicates ?? 'afresh'}
              choices={replicateWays.map((way) => [way, wayNames[way]] as const)}
              onChange={(way) =>
                set({ replicates: way === 'afresh' ? undefined : (way as Table['replicates']) })
              }
            />
          </div>
          <LinesField
            label="Names of its rows, one a line; none where all trials are alike"
            lines={(table.rows ?? []).map(({ name }) => name)}
            onChange={(names) => set({ rows: rowsFrom(names, table.rows) })}
          />
          <div className="border-l-2 border-rule pl-4">
            <ListField<Column>
              title={`Columns of ${table.title.toLowerCase()}`}
              one="column"
              items={table.columns}
              blank={{
                kind: 'measured',
                key: '',
                heading: '',
                symbol: '',
                unit: '',
                tag: body.kit[0]?.tag ?? '',
              }}
              onChange={(columns) => set({ columns })}
            >
              {(column, _, replace) => <ColumnFields column={column} kit={body.kit} set={replace} />}
            </ListField>
          </div>
        </div>
      )}
    </ListField>
  );
}

/** A row that keeps its place keeps its key and what is accepted for it. */
const rowsFrom = (names: readonly string[], before: Table['rows']): readonly NamedRow[] | undefined =>
  names.length === 0
    ? undefined
    : names.map((name, at) => ({ ...(before?.[at] ?? { key: `row${at + 1}` }), name }));
