import type { ResultPlan, Table } from '@green-beam/core';
import { ChoiceField, TextField } from '../../ui/fields';

export function ResultFields({
  plan,
  names,
  tables,
  set,
}: {
  readonly plan: ResultPlan;
  readonly names: readonly (readonly [string, string])[];
  readonly tables: readonly Table[];
  readonly set: (plan: ResultPlan) => void;
}) {
  const { key, name, symbol, unit, accepted, quantity, perRow } = plan;
  const head = {
    key,
    name,
    symbol,
    unit,
    accepted,
    ...(quantity ? { quantity } : {}),
    ...(perRow ? { perRow } : {}),
  };
  const [first = ''] = names.map(([own]) => own);
  const turn: Record<ResultPlan['kind'], () => ResultPlan> = {
    mean: () => ({ ...head, kind: 'mean', column: first }),
    value: () => ({ ...head, kind: 'value', formula: '' }),
    line: () => ({ ...head, kind: 'line', x: first, y: first, throughOrigin: false, gives: 'slope' }),
  };
  return (
    <div className="grid gap-3 sm:grid-cols-4">
      <TextField label="Name" value={name} onChange={(text) => set({ ...plan, name: text })} />
      <TextField label="Symbol" value={symbol} onChange={(text) => set({ ...plan, symbol: text })} />
      <TextField label="Unit" value={unit} onChange={(text) => set({ ...plan, unit: text })} />
      <ChoiceField
        label="Kind"
        value={plan.kind}
        choices={[
          ['mean', 'mean of a column'],
          ['value', 'formula over means'],
          ['line', 'straight line'],
        ]}
        onChange={(kind) => set(turn[kind as ResultPlan['kind']]())}
      />
      {plan.kind === 'mean' && (
        <ChoiceField
          label="Column"
          value={plan.column}
          choices={names}
          onChange={(column) => set({ ...plan, column })}
        />
      )}
      {plan.kind === 'value' && (
        <TextField
          label="Formula"
          mono
          value={plan.formula}
          onChange={(formula) => set({ ...plan, formula })}
        />
      )}
      {plan.kind === 'line' && (
        <>
          <ChoiceField label="x" value={plan.x} choices={names} onChange={(x) => set({ ...plan, x })} />
          <ChoiceField label="y" value={plan.y} choices={names} onChange={(y) => set({ ...plan, y })} />
          <ChoiceField
            label="It gives"
            value={plan.gives}
            choices={[
              ['slope', 'its slope'],
              ['y', 'the y at an x'],
              ['x', 'the x at a y'],
            ]}
            onChange={(gives) => set({ ...plan, gives: gives as 'slope' | 'y' | 'x' })}
          />
          <ChoiceField
            label="Through the origin"
            value={String(plan.throughOrigin)}
            choices={[
              ['false', 'no'],
              ['true', 'yes'],
            ]}
            onChange={(value) => set({ ...plan, throughOrigin: value === 'true' })}
          />
          {plan.gives !== 'slope' && (
            <TextField
              label="Asked at"
              mono
              value={plan.at ?? ''}
              onChange={(text) => set({ ...plan, at: text })}
            />
          )}
        </>
      )}
      {tables.some(({ rows }) => rows) && (
        <ChoiceField
          label="Reckoned"
          value={plan.perRow ?? ''}
          choices={[
            ['', 'over all trials'],
            ...tables.flatMap(({ key: own, title, rows }) =>
              rows ? [[own, `for each row of ${title}`] as const] : [],
            ),
          ]}
          onChange={(table) => set({ ...plan, perRow: table === '' ? undefined : table })}
        />
      )}
      <TextField
        label="Same quantity as"
        value={plan.quantity ?? ''}
        onChange={(text) => set({ ...plan, quantity: text === '' ? undefined : text })}
      />
      <TextField
        label="Accepted value"
        mono
        value={accepted?.value ?? ''}
        onChange={(value) =>
          set({ ...plan, accepted: value === '' ? null : { source: accepted?.source ?? '', value, unit } })
        }
      />
      {accepted && (
        <TextField
          label="Good to ±"
          mono
          value={accepted.tolerance ?? ''}
          onChange={(tolerance) =>
            set({ ...plan, accepted: { ...accepted, tolerance: tolerance === '' ? undefined : tolerance } })
          }
        />
      )}
      {accepted && (
        <TextField
          label="Its source"
          value={accepted.source}
          onChange={(source) => set({ ...plan, accepted: { ...accepted, source } })}
          className="sm:col-span-2"
        />
      )}
    </div>
  );
}
