import { isSchema, type ISchema, type SchemaObjectDescription } from 'yup';
import { shapesOf } from './fileFields';

/** A JSON Schema (2020-12), or a part of one. */
export type JsonSchema = Readonly<Record<string, unknown>>;

/**
 * A Yup schema of a file as a JSON Schema: types, members, lengths, bounds, patterns and lists of words. What only makes sense together (a formula
 * and its columns) is not said in it.
 */
export function jsonSchemaOf(schema: ISchema<unknown>): JsonSchema {
  const shapes = shapesOf(schema);
  if (shapes)
    return {
      oneOf: Object.entries(shapes).map(([kind, shape]) => {
        const { properties, ...rest } = jsonSchemaOf(shape) as { readonly properties: JsonSchema };
        return { ...rest, properties: { ...properties, kind: { const: kind } } };
      }),
    };
  const described = schema.describe() as SchemaObjectDescription;
  const { type, oneOf, nullable, tests, meta } = described;
  const known = (meta as { readonly jsonSchema?: JsonSchema } | undefined)?.jsonSchema;
  if (known) return known;
  const words = oneOf.length > 0 ? { enum: oneOf } : {};
  if (type === 'mixed') return words;
  return {
    type: nullable ? [typeName(tests, type), 'null'] : typeName(tests, type),
    ...words,
    ...Object.assign({}, ...tests.map((test) => said[test.name ?? '']?.(test.params ?? {}, type) ?? {})),
    ...membersOf(schema),
  };
}

type Tests = SchemaObjectDescription['tests'];

const typeName = (tests: Tests, type: string): string =>
  type === 'number' && tests.some(({ name }) => name === 'integer') ? 'integer' : type;

/** What a test of Yup is in JSON Schema; one that is not here says more than that can. */
const said: Readonly<
  Record<string, (params: Readonly<Record<string, unknown>>, type: string) => JsonSchema>
> = {
  required: (_, type) => (type === 'string' ? { minLength: 1 } : {}),
  max: ({ max }, type) =>
    type === 'string' ? { maxLength: max } : type === 'array' ? { maxItems: max } : { maximum: max },
  min: ({ min, more }, type) =>
    type === 'array' ? { minItems: min } : more !== undefined ? { exclusiveMinimum: more } : { minimum: min },
  // A text that may be left out may be empty; one that is needed has a least length besides.
  matches: ({ regex }) => ({ pattern: `^$|${(regex as RegExp).source}` }),
  noUnknown: () => ({ additionalProperties: false }),
};

/** The members of an object, the items of a list. */
function membersOf(schema: ISchema<unknown>): JsonSchema {
  if ('innerType' in schema && isSchema(schema.innerType)) return { items: jsonSchemaOf(schema.innerType) };
  if (!('fields' in schema)) return {};
  const fields = Object.entries(schema.fields as Readonly<Record<string, ISchema<unknown>>>);
  return {
    properties: Object.fromEntries(fields.map(([name, field]) => [name, jsonSchemaOf(field)])),
    required: fields.flatMap(([name, field]) => (isOptional(field) ? [] : [name])),
  };
}

const isOptional = (field: ISchema<unknown>): boolean =>
  (field.describe() as SchemaObjectDescription).optional;
