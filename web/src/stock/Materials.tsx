import { yupResolver } from '@hookform/resolvers/yup';
import { materialSchema } from '@green-beam/contract';
import { materialKinds, materials, type Material } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useForm, useWatch, type Resolver } from 'react-hook-form';
import { Link } from 'react-router';
import { sentenceFor } from '../api';
import { useWho } from '../session/who';
import { Button } from '../ui/Button';
import { ChoiceField, TextField } from '../ui/fields';
import { firstMessage, Held } from '../ui/Held';
import { Headings } from '../ui/Headings';
import { Page } from '../ui/Notice';
import { useKeepMaterial, useRemoveMaterial, useSchoolMaterials } from '../answers/materials';

/** What a density is held against: the table that comes with the app, and what the school adds to it. */
export function Materials() {
  const own = useSchoolMaterials();
  const remove = useRemoveMaterial();
  const teaches = useWho().role === 'teacher';
  const rows = own.data?.materials ?? [];
  return (
    <Page title="Materials" aside="densities at 20 °C in g/cm³">
      <p className="mb-4">
        <Link to="/stock" className="underline decoration-edge underline-offset-4">
          Stockroom
        </Link>
      </p>
      {teaches && <NewMaterial />}
      {own.isError && <p role="alert">{sentenceFor(own.error)}</p>}
      {remove.isError && <p role="alert">{sentenceFor(remove.error)}</p>}
      <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="The table of materials">
        <table className="w-full min-w-[36rem]">
          <Headings of={['Material', 'Kind', 'From', 'To', 'Source']} />
          <tbody>
            {rows.map((material) => (
              <MaterialRow key={material.id} material={material}>
                {teaches && (
                  <Button
                    look="quiet"
                    className="text-sm"
                    disabled={remove.isPending}
                    onClick={() => remove.mutate(material.id)}
                  >
                    Take out<span className="sr-only"> {material.name}</span>
                  </Button>
                )}
              </MaterialRow>
            ))}
            {materials.map((material) => (
              <MaterialRow key={material.name} material={material} />
            ))}
          </tbody>
        </table>
      </div>
    </Page>
  );
}

function MaterialRow({
  material: { name, kind, low, high, source },
  children,
}: {
  readonly material: Material;
  readonly children?: ReactNode;
}) {
  return (
    <tr className="border-b border-rule align-baseline">
      <th scope="row" className="py-1 pr-4 text-left font-normal">
        {name}
      </th>
      <td className="py-1 pr-4 text-soft">{kind}</td>
      <td className="py-1 pr-4 font-mono">{low}</td>
      <td className="py-1 pr-4 font-mono">{high}</td>
      <td className="py-1 text-sm text-soft">
        {source} {children}
      </td>
    </tr>
  );
}

/** As it is typed: numbers are texts until they are looked at. */
type Typed = Omit<Material, 'low' | 'high'> & { readonly low: string; readonly high: string };

const blank: Typed = { name: '', kind: 'wood', low: '', high: '', source: '' };

const asNumber = (text: string): number => (text.trim() === '' ? NaN : Number(text.trim().replace(',', '.')));
const asMaterial = ({ low, high, ...rest }: Typed): Material => ({
  ...rest,
  low: asNumber(low),
  high: asNumber(high.trim() === '' ? low : high),
});

const schema = yupResolver(materialSchema as never) as unknown as Resolver<Typed>;
const resolver: Resolver<Typed> = (typed, context, options) =>
  schema(asMaterial(typed) as never, context, options);

function NewMaterial() {
  const keep = useKeepMaterial();
  const { control, setValue, handleSubmit, reset, formState, getValues } = useForm<Typed>({
    defaultValues: blank,
    resolver,
  });
  const now = useWatch({ control }) as Typed;
  const set = (key: keyof Typed, value: string) =>
    setValue(key, value as never, { shouldValidate: formState.isSubmitted });
  const wrong = (key: keyof Typed) => firstMessage(formState.errors[key]);
  return (
    <form
      onSubmit={(event) =>
        void handleSubmit(() => keep.mutate(asMaterial(getValues()), { onSuccess: () => reset(blank) }))(
          event,
        )
      }
      className="mb-6 grid max-w-4xl gap-3 sm:grid-cols-[1fr_10rem_9rem_9rem]"
      aria-label="Add a material"
    >
      <Held says={wrong('name')}>
        <TextField label="Name" longest={60} value={now.name} onChange={(name) => set('name', name)} />
      </Held>
      <Held says={wrong('kind')}>
        <ChoiceField
          label="Kind"
          value={now.kind}
          choices={materialKinds.map((kind) => [kind, kind] as const)}
          onChange={(kind) => set('kind', kind)}
        />
      </Held>
      <Held says={wrong('low')}>
        <TextField label="From, g/cm³" mono value={now.low} onChange={(low) => set('low', low)} />
      </Held>
      <Held says={wrong('high')}>
        <TextField label="To" mono value={now.high} onChange={(high) => set('high', high)} />
      </Held>
      <Held says={wrong('source')} className="sm:col-span-3">
        <TextField
          label="Where the numbers come from"
          longest={200}
          value={now.source}
          onChange={(source) => set('source', source)}
        />
      </Held>
      <Button type="submit" className="self-end" disabled={keep.isPending}>
        Add it
      </Button>
      {keep.isError && (
        <p role="alert" className="sm:col-span-4">
          {sentenceFor(keep.error)}
        </p>
      )}
    </form>
  );
}
