import { instruments, type Column, type GivenValue, type KitItem } from '@green-beam/core';
import { CheckField, ChoiceField, LinesField, TextField } from '../../ui/fields';

const columnKinds = [
  ['measured', 'read from an instrument'],
  ['derived', 'a formula'],
  ['count', 'a count'],
  ['clock', 'a time of day'],
  ['given', 'given, not measured'],
  ['choice', 'one of some words'],
  ['text', 'words'],
] as const;

export function ColumnFields({
  column,
  kit,
  set,
}: {
  readonly column: Column;
  readonly kit: readonly KitItem[];
  readonly set: (column: Column) => void;
}) {
  const unitOfTag = (tag: string) => {
    const item = kit.find((own) => own.tag === tag);
    return (
      instruments.find(({ kind }) => kind === item?.kind)?.models.find(({ id }) => id === item?.model)
        ?.unit ?? ''
    );
  };
  const { key, heading, symbol } = column;
  const head = { key, heading, symbol };
  const unit = 'unit' in column ? column.unit : '';
  const turn: Record<Column['kind'], () => Column> = {
    measured: () => ({
      ...head,
      kind: 'measured',
      unit: unitOfTag(kit[0]?.tag ?? ''),
      tag: kit[0]?.tag ?? '',
    }),
    derived: () => ({ ...head, kind: 'derived', unit, formula: '', by: 'app' }),
    count: () => ({ ...head, kind: 'count', unit: '' }),
    clock: () => ({ ...head, kind: 'clock' }),
    given: () => ({ ...head, kind: 'given', unit, values: [] }),
    choice: () => ({ ...head, kind: 'choice', options: [] }),
    text: () => ({ ...head, kind: 'text' }),
  };
  return (
    <div className="grid gap-3 sm:grid-cols-[1fr_7rem_7rem_11rem]">
      <TextField label="Heading" value={heading} onChange={(text) => set({ ...column, heading: text })} />
      <TextField
        label="Name in formulas"
        mono
        value={key}
        onChange={(text) => set({ ...column, key: text })}
      />
      <TextField label="Symbol" value={symbol} onChange={(text) => set({ ...column, symbol: text })} />
      <ChoiceField
        label="Kind"
        value={column.kind}
        choices={columnKinds}
        onChange={(kind) => set(turn[kind as Column['kind']]())}
      />
      {column.kind === 'measured' && (
        <ChoiceField
          label="Read on"
          value={column.tag}
          choices={kit.map(({ tag }) => [tag, tag] as const)}
          onChange={(tag) => set({ ...column, tag, unit: unitOfTag(tag) })}
        />
      )}
      {column.kind === 'measured' && (
        <>
          <TextField
            label="Planned"
            mono
            value={column.planned ?? ''}
            onChange={(text) => set({ ...column, planned: text === '' ? undefined : text })}
          />
          <CheckField
            label="The same thing in all trials"
            checked={column.carried ?? false}
            onChange={(carried) => set({ ...column, carried: carried || undefined })}
            className="sm:col-span-2"
          />
        </>
      )}
      {(column.kind === 'measured' || column.kind === 'count') && (
        <CheckField
          label="Differs by plan"
          checked={column.differs ?? false}
          onChange={(differs) => set({ ...column, differs: differs || undefined })}
          className="sm:col-span-2"
        />
      )}
      {column.kind === 'derived' && (
        <>
          <TextField
            label="Formula"
            mono
            value={column.formula}
            onChange={(formula) => set({ ...column, formula })}
          />
          <TextField label="Unit" value={column.unit} onChange={(text) => set({ ...column, unit: text })} />
          <ChoiceField
            label="Worked by"
            value={column.by}
            choices={[
              ['app', 'Green Beam'],
              ['student', 'the student, and checked'],
            ]}
            onChange={(by) => set({ ...column, by: by as 'app' | 'student' })}
          />
          <CheckField
            label="More than nothing"
            checked={column.rises ?? false}
            onChange={(rises) => set({ ...column, rises: rises || undefined })}
          />
        </>
      )}
      {column.kind === 'given' && (
        <LinesField
          label="Given: value ± bound, source; a line for each row, or one for all"
          lines={column.values.map(givenLine)}
          onChange={(lines) => set({ ...column, values: lines.map(givenFrom) })}
          className="sm:col-span-3"
        />
      )}
      {column.kind === 'choice' && (
        <LinesField
          label="The words, one a line"
          lines={column.options}
          onChange={(options) => set({ ...column, options })}
          className="sm:col-span-3"
        />
      )}
      {(column.kind === 'count' || column.kind === 'given') && (
        <TextField label="Unit" value={column.unit} onChange={(text) => set({ ...column, unit: text })} />
      )}
    </div>
  );
}

const givenLine = ({ value, plusMinus, source }: GivenValue): string =>
  `${value}${plusMinus ? ` ± ${plusMinus}` : ''}${source === '' ? '' : `, ${source}`}`;

/** `20.00 ± 0.05, the mark`: what cannot be told apart stays where it was typed, and is refused there. */
function givenFrom(line: string): GivenValue {
  const comma = line.indexOf(', ');
  const [number, source] = comma < 0 ? [line, ''] : [line.slice(0, comma), line.slice(comma + 2)];
  const [value = '', plusMinus] = number.split(/\s*±\s*/);
  return { value: value.trim(), ...(plusMinus ? { plusMinus: plusMinus.trim() } : {}), source };
}
