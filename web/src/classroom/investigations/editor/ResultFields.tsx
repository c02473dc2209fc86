import type { ResultPlan, Table } from '@green-beam/core';
import { TextField } from '../../../ui/fields';
import { Choice, Text, useAt, YesNo } from './bound';

export function ResultFields({
  plan,
  place,
  tables,
  replace,
}: {
  readonly plan: ResultPlan;
  readonly place: string;
  readonly tables: readonly Table[];
  readonly replace: (plan: ResultPlan) => void;
}) {
  const names = tables
    .flatMap(({ columns }) => columns)
    .map(({ key, heading }) => [key, `${heading} (${key})`] as const);
  const { key, name, symbol, unit, accepted, quantity, perRow, perWord } = plan;
  const head = {
    key,
    name,
    symbol,
    unit,
    accepted,
    ...(quantity ? { quantity } : {}),
    ...(perRow ? { perRow } : {}),
    ...(perWord ? { perWord } : {}),
  };
  const choices = tables.flatMap(({ columns }) =>
    columns.flatMap(({ kind, key: own, heading }) => (kind === 'choice' ? [[own, heading] as const] : [])),
  );
  const [first = ''] = names.map(([own]) => own);
  const turn: Record<ResultPlan['kind'], () => ResultPlan> = {
    mean: () => ({ ...head, kind: 'mean', column: first }),
    value: () => ({ ...head, kind: 'value', formula: '' }),
    line: () => ({ ...head, kind: 'line', x: first, y: first, throughOrigin: false, gives: 'slope' }),
  };
  return (
    <div className="grid gap-3 sm:grid-cols-4">
      <Text name={`${place}.name`} label="Name" />
      <Text name={`${place}.symbol`} label="Symbol" />
      <Text name={`${place}.unit`} label="Unit" />
      <Choice
        name={`${place}.kind`}
        label="Kind"
        choices={[
          ['mean', 'mean of a column'],
          ['value', 'formula over means'],
          ['line', 'straight line'],
        ]}
        onChosen={(kind) => replace(turn[kind as ResultPlan['kind']]())}
      />
      {plan.kind === 'mean' && (
        <>
          <Choice name={`${place}.column`} label="Column" choices={names} />
          <Text name={`${place}.concordant`} label="Concordant within" mono optional />
        </>
      )}
      {plan.kind === 'value' && <Text name={`${place}.formula`} label="Formula" mono />}
      {plan.kind === 'line' && (
        <>
          <Choice name={`${place}.x`} label="x" choices={names} />
          <Choice name={`${place}.y`} label="y" choices={names} />
          <Choice
            name={`${place}.gives`}
            label="It gives"
            choices={[
              ['slope', 'its slope'],
              ['y', 'the y at an x'],
              ['x', 'the x at a y'],
            ]}
          />
          <YesNo name={`${place}.throughOrigin`} label="Through the origin" yes="yes" no="no" />
          {plan.gives !== 'slope' && <Text name={`${place}.at`} label="Asked at" mono />}
        </>
      )}
      {tables.some(({ rows }) => rows) && (
        <Choice
          name={`${place}.perRow`}
          label="Reckoned"
          choices={[
            ['', 'over all trials'],
            ...tables.flatMap(({ key: own, title, rows }) =>
              rows ? [[own, `for each row of ${title}`] as const] : [],
            ),
          ]}
        />
      )}
      {choices.length > 0 && (
        <Choice
          name={`${place}.perWord`}
          label="For each word of"
          choices={[['', 'no column'], ...choices]}
        />
      )}
      <Text name={`${place}.quantity`} label="Same quantity as" optional />
      <AcceptedFields place={`${place}.accepted`} unit={unit} />
    </div>
  );
}

/** What is accepted; without a value, nothing is. */
function AcceptedFields({ place, unit }: { readonly place: string; readonly unit: string }) {
  const [accepted, set] = useAt<ResultPlan['accepted']>(place);
  return (
    <>
      <TextField
        label="Accepted value"
        mono
        value={accepted?.value ?? ''}
        onChange={(value) => set(value === '' ? null : { source: '', ...accepted, value, unit })}
      />
      {accepted && (
        <>
          <Text name={`${place}.tolerance`} label="Good to ±" mono optional />
          <Text name={`${place}.source`} label="Its source" className="sm:col-span-2" />
        </>
      )}
    </>
  );
}
