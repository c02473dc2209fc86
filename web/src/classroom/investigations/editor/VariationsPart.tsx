import type { DerivedColumn, MeasuredColumn, Table, Variation } from '@green-beam/core';
import { CheckField, TextField } from '../../../ui/fields';
import { List, Text, useAt } from './bound';

/** What is otherwise at some benches; none, and all do the same. */
export function VariationsPart() {
  const [variations] = useAt<readonly Variation[] | undefined>('variations');
  return (
    <List<Variation>
      name="variations"
      title="Otherwise at some benches"
      one="bench"
      blank={{ name: `Bench ${(variations?.length ?? 0) + 1}` }}
    >
      {(_, place) => (
        <div className="grid gap-3 sm:grid-cols-2">
          <Text name={`${place}.name`} label="Bench; another name goes to each in turn" />
          <Text name={`${place}.object`} label="Object" optional />
          <Text
            name={`${place}.words`}
            label="What is different, in words"
            long
            optional
            className="sm:col-span-2"
          />
          <PlannedFields name={`${place}.planned`} />
          <WorkedFields name={`${place}.worked`} />
        </div>
      )}
    </List>
  );
}

function PlannedFields({ name }: { readonly name: string }) {
  const [tables] = useAt<readonly Table[]>('tables');
  const [planned, set] = useAt<Variation['planned']>(name);
  const columns = tables.flatMap((table) =>
    table.columns.filter(
      (column): column is MeasuredColumn => column.kind === 'measured' && !!column.planned,
    ),
  );
  return columns.map(({ key, heading }) => (
    <TextField
      key={key}
      label={`${heading}, planned`}
      mono
      value={planned?.[key] ?? ''}
      onChange={(text) => {
        const others = Object.entries(planned ?? {}).filter(([own]) => own !== key);
        const all = text === '' ? others : [...others, [key, text] as const];
        set(all.length === 0 ? undefined : Object.fromEntries(all));
      }}
    />
  ));
}

function WorkedFields({ name }: { readonly name: string }) {
  const [tables] = useAt<readonly Table[]>('tables');
  const [worked, set] = useAt<Variation['worked']>(name);
  const columns = tables.flatMap((table) =>
    table.columns.filter((column): column is DerivedColumn => column.kind === 'derived'),
  );
  const now = worked ?? columns.filter(({ by }) => by === 'student').map(({ key }) => key);
  if (columns.length === 0) return null;
  return (
    <fieldset className="sm:col-span-2">
      <legend className="text-sm text-soft">Worked by hand</legend>
      <ul className="flex flex-wrap gap-x-5">
        {columns.map(({ key, heading }) => (
          <li key={key}>
            <CheckField
              label={heading}
              checked={now.includes(key)}
              onChange={(wanted) => set(wanted ? [...now, key] : now.filter((own) => own !== key))}
            />
          </li>
        ))}
      </ul>
    </fieldset>
  );
}
