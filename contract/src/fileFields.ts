import { array, boolean, lazy, number, object, string, type ISchema, type ObjectShape } from 'yup';

// What the files that people bring are made of: each says in a sentence what it expects.

export const text = (longest: number) =>
  string()
    .strict()
    .typeError('A text is expected here.')
    .max(longest, `This is at most ${longest} characters long.`)
    .test('storable', 'This holds a character that cannot be stored.', (value) => !value?.includes('\0'));
export const needed = (longest: number) => text(longest).required('This is missing.');
export const maybe = (longest: number) => text(longest).optional();
export const flag = () => boolean().strict().typeError('true or false is expected here.');
export const count = (least: number, most: number) =>
  number()
    .strict()
    .typeError('A number is expected here.')
    .integer('A whole number is expected here.')
    .min(least, `This is at least ${least}.`)
    .max(most, `This is at most ${most}.`);
export const only = (shape: ObjectShape) =>
  object(shape)
    .noUnknown(({ unknown }) => `“${String(unknown)}” is not known here.`)
    .strict();
/** One of several shapes, told apart by `kind`. */
export const byKind = (shapes: Readonly<Record<string, ReturnType<typeof only>>>) =>
  lazy((value: unknown) => {
    const kind = typeof value === 'object' && value !== null && 'kind' in value ? String(value.kind) : '';
    // A name that every object inherits is no kind.
    return (
      (Object.hasOwn(shapes, kind) ? shapes[kind] : undefined) ??
      only({
        kind: string()
          .oneOf(Object.keys(shapes), `This is one of ${Object.keys(shapes).join(', ')}.`)
          .required('This is missing.'),
      })
    );
  }).meta({ shapes } as Record<string, unknown>);

type Shapes = Readonly<Record<string, ISchema<unknown>>>;

/** The shapes of what is told apart by `kind`; undefined for anything else. */
export const shapesOf = (schema: ISchema<unknown>): Shapes | undefined =>
  'type' in schema && schema.type === 'lazy'
    ? ((schema as ReturnType<typeof byKind>).meta()?.['shapes'] as Shapes | undefined)
    : undefined;

export const maybeList = (of: ISchema<unknown>, most: number) =>
  array(of).strict().typeError('A list is expected here.').max(most, `There are at most ${most} here.`);
export const list = (of: ISchema<unknown>, most: number) => maybeList(of, most).required('This is missing.');
export const decimal = () =>
  text(40).matches(/^[+\-−]?\d+([.,]\d+)?$/, {
    message: 'A decimal number is expected here.',
    excludeEmptyString: true,
  });
