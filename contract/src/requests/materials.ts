import { materialKinds, materials, type Material } from '@green-beam/core';
import { number, object, string, type Schema } from 'yup';
import { needed } from './fields';

const density = (what: string) =>
  number()
    .strict()
    .typeError(`${what}: a number in g/cm³.`)
    .min(0.01, `${what}: a density is at least 0.01 g/cm³.`)
    .max(23, `${what}: no material is denser than 23 g/cm³.`)
    .required(`${what} is missing.`);

/** A material of the school’s own, beside those that come with the app. */
export const materialSchema = object({
  name: needed('name', 60).test('own', 'That one comes with the app.', (name) =>
    materials.every((own) => own.name !== name?.trim().toLowerCase()),
  ),
  kind: string().oneOf(materialKinds, 'There is no such kind of material.').required('The kind is missing.'),
  low: density('The least density'),
  high: density('The greatest density').test(
    'order',
    'The greatest density is not less than the least.',
    (high, { parent }) => !(high < Number((parent as { readonly low: unknown }).low)),
  ),
  source: needed('source', 200),
}).noUnknown() as unknown as Schema<Material>;
