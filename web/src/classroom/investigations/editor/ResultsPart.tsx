import type { ResultPlan, Table } from '@green-beam/core';
import { List, useAt } from './bound';
import { ResultFields } from './ResultFields';

export function ResultsPart() {
  const [tables] = useAt<readonly Table[]>('tables');
  const [results] = useAt<readonly ResultPlan[]>('results');
  const columns = tables.flatMap((table) => table.columns);
  return (
    <List<ResultPlan>
      name="results"
      title="Results"
      one="result"
      blank={{
        kind: 'mean',
        key: `result${results.length + 1}`,
        name: '',
        symbol: '',
        unit: '',
        column: columns.at(-1)?.key ?? '',
        accepted: null,
      }}
    >
      {(plan, place, replace) => <ResultFields plan={plan} place={place} tables={tables} replace={replace} />}
    </List>
  );
}
