import type { Grouping, Investigation, MeanPlan } from '@green-beam/core';
import { useSearchParams } from 'react-router';
import { ChoiceField } from '../ui/fields';
import { chosenIn } from './sources/logbooks';

const words: Readonly<Record<Grouping, string>> = {
  row: 'rows of the table',
  word: 'what is written in words',
  bench: 'benches',
  reader: 'readers',
  piece: 'pieces',
  day: 'days',
};

/** What is compared, kept in the address: a link leads to the same comparison. */
export function useChoice(plans: readonly MeanPlan[], tables: Investigation['tables'], usual: Grouping) {
  const [search, setSearch] = useSearchParams();
  const chosen = chosenIn(search, plans, tables, usual);
  const set = (name: string, value: string) =>
    setSearch(
      (before) => {
        before.set(name, value);
        // Other groups have other names.
        before.delete('only');
        return before;
      },
      { replace: true },
    );
  return { ...chosen, set };
}

export function Choice({
  choice: { plan, by, row, rows, possible, set },
  plans,
}: {
  readonly choice: ReturnType<typeof useChoice>;
  readonly plans: readonly MeanPlan[];
}) {
  return (
    <div className="no-print mb-5 flex flex-wrap gap-4">
      <ChoiceField
        label="What is compared"
        value={plan?.key ?? ''}
        choices={plans.map(({ key, name }) => [key, name] as const)}
        onChange={(value) => set('of', value)}
        className="w-64"
      />
      {possible.length > 1 && (
        <ChoiceField
          label="Between"
          value={by}
          choices={possible.map((own) => [own, words[own]] as const)}
          onChange={(value) => set('by', value)}
          className="w-52"
        />
      )}
      {by !== 'row' && rows.length > 0 && (
        <ChoiceField
          label="In the row"
          value={row ?? ''}
          choices={rows.map(({ key, name }) => [key, name] as const)}
          onChange={(value) => set('row', value)}
          className="w-52"
        />
      )}
    </div>
  );
}
