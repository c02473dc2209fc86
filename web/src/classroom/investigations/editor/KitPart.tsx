import { boundTo, instruments, type KitItem, type MethodStep, type Table } from '@green-beam/core';
import { makeOf, sameTag, useStock } from '../../../stock/useStock';
import { ChoiceField } from '../../../ui/fields';
import { Choice, List, Text, useAt } from './bound';

const kinds = instruments.map(({ kind, name }) => [kind, name] as const);

export function KitPart() {
  return (
    <List<KitItem>
      name="kit"
      copied={(item) => ({ ...item, tag: `${item.tag}b` })}
      title="Kit"
      one="piece"
      blank={{ tag: '', kind: 'graduated-cylinder', model: 'cylinder-100-1' }}
    >
      {(item, place, replace) => (
        <div className="grid gap-3 sm:grid-cols-[7rem_1fr_1fr_8rem_8rem]">
          <Text name={`${place}.tag`} label="Tag" mono />
          <Choice
            name={`${place}.kind`}
            label="Kind"
            choices={kinds}
            onChosen={(kind) =>
              replace({ ...item, kind: kind as KitItem['kind'], model: makesOf(kind)[0]?.[0] ?? '' })
            }
          />
          <Choice name={`${place}.model`} label="Make" choices={makesOf(item.kind)} />
          <Text name={`${place}.offset`} label="Zero may be off by" mono optional />
          <Text name={`${place}.scalePercent`} label="Scale off by, %" mono optional />
          <FromStock item={item} />
        </div>
      )}
    </List>
  );
}

/** A piece of its kind that the school has, in one choice: kit, columns and steps then speak of it. */
function FromStock({ item }: { readonly item: KitItem }) {
  const stock = useStock();
  const [kit, setKit] = useAt<readonly KitItem[]>('kit');
  const [steps, setSteps] = useAt<readonly MethodStep[]>('steps');
  const [tables, setTables] = useAt<readonly Table[]>('tables');
  const pieces = (stock.data?.pieces ?? []).filter(({ kind, outOfUse }) => kind === item.kind && !outOfUse);
  if (pieces.length === 0) return null;
  const own = pieces.find(({ tag }) => sameTag(tag, item.tag));
  return (
    <ChoiceField
      label="From the stockroom"
      value={own?.tag ?? ''}
      choices={[
        ['', 'any of its make'],
        ...pieces.map((piece) => [piece.tag, `${piece.tag}, ${makeOf(piece).name}`] as const),
      ]}
      onChange={(tag) => {
        const piece = pieces.find((one) => one.tag === tag);
        if (!piece) return;
        const bound = boundTo({ kit, steps, tables }, item.tag, piece);
        setTables(bound.tables);
        setSteps(bound.steps);
        setKit(bound.kit);
      }}
      className="sm:col-span-2"
    />
  );
}

const makesOf = (kind: string) =>
  (instruments.find((own) => own.kind === kind)?.models ?? []).map(({ id, name }) => [id, name] as const);
