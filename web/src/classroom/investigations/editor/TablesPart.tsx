import {
  footKinds,
  footNames,
  replicateWays,
  type Column,
  type FootKind,
  type KitItem,
  type NamedRow,
  type Replicates,
  type SuppliedRow,
  type Table,
} from '@green-beam/core';
import { CheckField } from '../../../ui/fields';
import { Choice, Lines, List, Text, useAt, Whole } from './bound';
import { ColumnFields } from './ColumnFields';
import { rowLine, rowsFrom } from './rowLines';

const wayNames: Readonly<Record<Replicates, string>> = {
  afresh: 'each afresh',
  'one receiver': 'into one receiver',
  'mark to mark': 'from mark to mark',
};

export function TablesPart() {
  const [tables] = useAt<readonly Table[]>('tables');
  const [kit] = useAt<readonly KitItem[]>('kit');
  return (
    <List<Table>
      name="tables"
      title="Tables"
      one="table"
      blank={{ key: `table${tables.length + 1}`, title: 'Trials', trials: 3, columns: [] }}
      copied={copyOfTable}
    >
      {(table, place) => (
        <div className="flex flex-col gap-3">
          <div className="grid gap-3 sm:grid-cols-[1fr_8rem_14rem]">
            <Text name={`${place}.title`} label="Title" />
            <Whole name={`${place}.trials`} label="Trials wanted" least={0} />
            <Choice
              name={`${place}.replicates`}
              label="Its trials are"
              choices={replicateWays.map((way) => [way === 'afresh' ? '' : way, wayNames[way]] as const)}
            />
          </div>
          <Lines<NamedRow>
            name={`${place}.rows`}
            label="Names of its rows, one a line, with what is accepted there: Burette = 20.00 ± 0.05 mL, its mark"
            lineOf={rowLine}
            from={rowsFrom}
          />
          {!table.rows && <FootField name={`${place}.foot`} />}
          <SuppliedField name={`${place}.supplied`} columns={table.columns} />
          <div className="border-l-2 border-rule pl-4">
            <List<Column>
              name={`${place}.columns`}
              title={`Columns of ${table.title.toLowerCase()}`}
              one="column"
              blank={{
                kind: 'measured',
                key: '',
                heading: '',
                symbol: '',
                unit: '',
                tag: kit[0]?.tag ?? '',
              }}
              copied={(column) => ({
                ...column,
                key: freeKey(column.key, namesIn(tables)),
                heading: `${column.heading} again`,
              })}
            >
              {(column, own, replace) => (
                <ColumnFields column={column} place={own} kit={kit} among={table.columns} replace={replace} />
              )}
            </List>
          </div>
        </div>
      )}
    </List>
  );
}

/** What stands under its columns; the mean alone where nothing else was chosen. */
function FootField({ name }: { readonly name: string }) {
  const [foot, set] = useAt<readonly FootKind[] | undefined>(name);
  const chosen = foot ?? ['mean'];
  return (
    <fieldset>
      <legend className="text-sm text-soft">Under its columns</legend>
      <ul className="flex flex-wrap gap-x-5">
        {footKinds.map((kind) => (
          <li key={kind}>
            <CheckField
              label={footNames[kind]}
              checked={chosen.includes(kind)}
              onChange={(wanted) =>
                set(footKinds.filter((own) => (own === kind ? wanted : chosen.includes(own))))
              }
            />
          </li>
        ))}
      </ul>
    </fieldset>
  );
}

/** Rows that the teacher measured, a line each: who, when, and what was read, in the order of the columns. */
function SuppliedField({ name, columns }: { readonly name: string; readonly columns: readonly Column[] }) {
  const read = columns.filter(({ kind }) => kind !== 'derived' && kind !== 'given');
  return (
    <Lines<SuppliedRow>
      name={name}
      label={`Rows that you measured for all, one a line: who | on 2026-10-12${read.map(({ heading }) => ` | ${heading}`).join('')}`}
      lineOf={({ reader, on, cells }) => [reader, on, ...read.map(({ key }) => cells[key] ?? '')].join(' | ')}
      from={(lines) =>
        lines.length === 0
          ? undefined
          : lines.map((line) => {
              const [reader = '', on = '', ...texts] = line.split('|').map((part) => part.trim());
              const cells = read.flatMap(({ key }, at) => (texts[at] ? [[key, texts[at]] as const] : []));
              return { reader, on, cells: Object.fromEntries(cells) };
            })
      }
    />
  );
}

const namesIn = (tables: readonly Table[]): string[] =>
  tables.flatMap(({ columns }) => columns.map(({ key }) => key));

/** A name like another that nothing bears yet. */
function freeKey(key: string, taken: readonly string[]): string {
  const stem = key.replace(/\d+$/, '') || 'x';
  for (let nth = 2; ; nth += 1) if (!taken.includes(`${stem}${nth}`)) return `${stem}${nth}`;
}

/** A table once more: its columns have names of their own, and its formulas speak of these. */
function copyOfTable(table: Table, tables: readonly Table[]): Table {
  const taken = [...namesIn(tables)];
  const names = new Map(
    table.columns.map(({ key }) => {
      const own = freeKey(key, taken);
      taken.push(own);
      return [key, own] as const;
    }),
  );
  const renamed = (formula: string) =>
    formula.replace(/[A-Za-z][A-Za-z0-9]*/g, (word) => names.get(word) ?? word);
  return {
    ...table,
    key: freeKey(
      table.key,
      tables.map(({ key }) => key),
    ),
    title: `${table.title} again`,
    columns: table.columns.map((column) => ({
      ...column,
      key: names.get(column.key) ?? column.key,
      ...(column.kind === 'derived' ? { formula: renamed(column.formula) } : {}),
    })),
  };
}
