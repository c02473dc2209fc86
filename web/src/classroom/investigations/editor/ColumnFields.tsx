import { instruments, type Column, type GivenValue, type KitItem } from '@green-beam/core';
import { Check, Choice, Lines, Text } from './bound';

const columnKinds = [
  ['measured', 'read from an instrument'],
  ['derived', 'a formula'],
  ['count', 'a count'],
  ['clock', 'a time of day'],
  ['given', 'given, not measured'],
  ['allowance', 'an allowance by judgement'],
  ['choice', 'one of some words'],
  ['text', 'words'],
] as const;

export function ColumnFields({
  column,
  place,
  kit,
  among,
  replace,
}: {
  readonly column: Column;
  readonly place: string;
  readonly kit: readonly KitItem[];
  /** The columns of its table. */
  readonly among: readonly Column[];
  readonly replace: (column: Column) => void;
}) {
  const unitOfTag = (tag: string) => {
    const item = kit.find((own) => own.tag === tag);
    return (
      instruments.find(({ kind }) => kind === item?.kind)?.models.find(({ id }) => id === item?.model)
        ?.unit ?? ''
    );
  };
  const { key, heading, symbol } = column;
  const others = among.filter((other) => other.kind === 'measured' && other.key !== key);
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
    allowance: () => ({ ...head, kind: 'allowance', unit }),
    choice: () => ({ ...head, kind: 'choice', options: [] }),
    text: () => ({ ...head, kind: 'text' }),
  };
  return (
    <div className="grid gap-3 sm:grid-cols-[1fr_7rem_7rem_11rem]">
      <Text name={`${place}.heading`} label="Heading" />
      <Text name={`${place}.key`} label="Name in formulas" mono />
      <Text name={`${place}.symbol`} label="Symbol" />
      <Choice
        name={`${place}.kind`}
        label="Kind"
        choices={columnKinds}
        onChosen={(kind) => replace(turn[kind as Column['kind']]())}
      />
      {column.kind === 'measured' && (
        <>
          <Choice
            name={`${place}.tag`}
            label="Read on"
            choices={kit.map(({ tag }) => [tag, tag] as const)}
            onChosen={(tag) => replace({ ...column, tag, unit: unitOfTag(tag) })}
          />
          <Text name={`${place}.unit`} label="Unit" />
          <Text name={`${place}.planned`} label="Planned" mono optional />
          <Choice
            name={`${place}.manner`}
            label="A cell holds"
            choices={[
              ['', 'one reading'],
              ['zero', 'a zero reading'],
              ['turned', 'several, turned between'],
              ['parts', 'main scale + line'],
            ]}
          />
          {others.length > 0 && (
            <Choice
              name={`${place}.secondOf`}
              label="A second reader’s"
              choices={[
                ['', 'no'],
                ...others.map(({ key: own, heading: called }) => [own, `look at ${called}`] as const),
              ]}
            />
          )}
          <Check name={`${place}.carried`} label="The same thing in all trials" className="sm:col-span-2" />
        </>
      )}
      {(column.kind === 'measured' || column.kind === 'count') && (
        <Check name={`${place}.differs`} label="Differs by plan" className="sm:col-span-2" />
      )}
      {column.kind === 'derived' && (
        <>
          <Text name={`${place}.formula`} label="Formula" mono className="sm:col-span-2" />
          <Text name={`${place}.unit`} label="Unit" />
          <Choice
            name={`${place}.by`}
            label="Worked by"
            choices={[
              ['app', 'Green Beam'],
              ['student', 'the student, and checked'],
            ]}
          />
          <Check name={`${place}.rises`} label="More than nothing" />
        </>
      )}
      {column.kind === 'given' && (
        <Lines<GivenValue>
          name={`${place}.values`}
          label="Given: value ± bound, source; a line for each row, or one for all"
          lineOf={givenLine}
          from={(lines) => lines.map(givenFrom)}
          className="sm:col-span-3"
        />
      )}
      {column.kind === 'choice' && (
        <Lines<string>
          name={`${place}.options`}
          label="The words, one a line"
          lineOf={(word) => word}
          from={(lines) => lines}
          className="sm:col-span-3"
        />
      )}
      {(column.kind === 'count' || column.kind === 'given' || column.kind === 'allowance') && (
        <Text name={`${place}.unit`} label="Unit" />
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
