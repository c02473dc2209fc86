import { useSearchParams } from 'react-router';
import { useConventions } from '../answers/conventions';
import { useStock } from '../stock/useStock';
import { ChoiceField } from '../ui/fields';
import { Loading, Trouble } from '../ui/Notice';
import { piecesChosen } from './sources/pieces';
import { Whole } from './Whole';

/** Pieces of the stockroom, by what their checks found: how far each is off, and by how much that scatters. */
export function PiecesCompare() {
  const [search, setSearch] = useSearchParams();
  const stock = useStock();
  const rules = useConventions();
  const error = stock.error ?? rules.error;
  if (stock.data === undefined || rules.data === undefined)
    return error ? <Trouble error={error} /> : <Loading what="the checks" />;
  const { kinds, kind, comparison } = piecesChosen(stock.data, search);
  return (
    <Whole
      title={kind ? `Compare: ${kind.name}` : 'Compare: pieces'}
      aside="what each showed, less what was known"
      back={{ to: '/stock', name: 'Back to the stockroom' }}
      name={kind?.name ?? 'Pieces'}
      place={`stock/${kind?.kind ?? ''}`}
      comparison={comparison}
      conventions={rules.data.conventions}
      wanted={false}
      choice={
        kinds.length > 1 && (
          <div className="no-print mb-5">
            <ChoiceField
              label="Kind"
              value={kind?.kind ?? ''}
              choices={kinds.map((own) => [own.kind, own.name] as const)}
              onChange={(value) => setSearch({ kind: value }, { replace: true })}
              className="w-64"
            />
          </div>
        )
      }
    />
  );
}
