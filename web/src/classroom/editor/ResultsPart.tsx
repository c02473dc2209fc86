import type { ResultPlan } from '@green-beam/core';
import { ListField } from '../../ui/fields';
import type { Part } from './part';
import { ResultFields } from './ResultFields';

export function ResultsPart({ body, change }: Part) {
  const columns = body.tables.flatMap((table) => table.columns);
  const names = columns.map(({ key, heading }) => [key, `${heading} (${key})`] as const);
  return (
    <ListField<ResultPlan>
      title="Results"
      one="result"
      items={body.results}
      blank={{
        kind: 'mean',
        key: `result${body.results.length + 1}`,
        name: '',
        symbol: '',
        unit: '',
        column: columns.at(-1)?.key ?? '',
        accepted: null,
      }}
      onChange={(results) => change({ results })}
    >
      {(plan, _, replace) => <ResultFields plan={plan} names={names} tables={body.tables} set={replace} />}
    </ListField>
  );
}
