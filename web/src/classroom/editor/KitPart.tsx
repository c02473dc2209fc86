import { instruments, type KitItem } from '@green-beam/core';
import { ChoiceField, ListField, TextField } from '../../ui/fields';
import type { Part } from './part';

const kinds = instruments.map(({ kind, name }) => [kind, name] as const);

export function KitPart({ body, change }: Part) {
  return (
    <ListField<KitItem>
      title="Kit"
      one="piece"
      items={body.kit}
      blank={{ tag: '', kind: 'graduated-cylinder', model: 'cylinder-100-1' }}
      onChange={(kit) => change({ kit })}
    >
      {(item, set) => (
        <div className="grid gap-3 sm:grid-cols-[7rem_1fr_1fr_8rem_8rem]">
          <TextField label="Tag" mono value={item.tag} onChange={(tag) => set({ tag })} />
          <ChoiceField
            label="Kind"
            value={item.kind}
            choices={kinds}
            onChange={(kind) =>
              set({
                kind: kind as KitItem['kind'],
                model: instruments.find((own) => own.kind === kind)?.models[0]?.id ?? '',
              })
            }
          />
          <ChoiceField
            label="Make"
            value={item.model}
            choices={(instruments.find(({ kind }) => kind === item.kind)?.models ?? []).map(
              ({ id, name }) => [id, name] as const,
            )}
            onChange={(model) => set({ model })}
          />
          <TextField
            label="Zero may be off by"
            mono
            value={item.offset ?? ''}
            onChange={(offset) => set({ offset: offset === '' ? undefined : offset })}
          />
          <TextField
            label="Scale off by, %"
            mono
            value={item.scalePercent ?? ''}
            onChange={(percent) => set({ scalePercent: percent === '' ? undefined : percent })}
          />
        </div>
      )}
    </ListField>
  );
}
