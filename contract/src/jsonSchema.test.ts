import { readyMade, shapes } from '@green-beam/core';
import Ajv2020 from 'ajv/dist/2020';
import { assert, constantFrom, property, integer, oneof, string } from 'fast-check';
import { describe, expect, it } from 'vitest';
import { investigationFile, readInvestigation } from '.';
import { jsonSchemaOf } from './jsonSchema';

const schema = {
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  title: 'An investigation of Green Beam',
  ...jsonSchemaOf(investigationFile),
};
const valid = new Ajv2020({ strict: false }).compile(schema);
const takes = (value: unknown) => investigationFile.isValidSync(value);

/** A document with something else in one of its places. */
function spoilt(document: unknown, nth: number, by: unknown): unknown {
  const copy: unknown = structuredClone(document);
  const places: (() => void)[] = [];
  const visit = (at: unknown): void => {
    if (typeof at !== 'object' || at === null) return;
    for (const key of Object.keys(at)) {
      const own = at as Record<string, unknown>;
      places.push(
        () => (own[key] = by),
        () => (Array.isArray(own) ? own.splice(Number(key), 1) : delete own[key]),
      );
      visit(own[key]);
    }
    if (!Array.isArray(at)) places.push(() => ((at as Record<string, unknown>)['beyond'] = by));
  };
  visit(copy);
  places[nth % places.length]?.();
  return copy;
}

describe('the JSON schema of an investigation', () => {
  it('is the one in the documents', async () => {
    await expect(`${JSON.stringify(schema, null, 2)}\n`).toMatchFileSnapshot(
      '../../docs/investigation.schema.json',
    );
  });

  it.each(
    [...readyMade, ...shapes.map(({ body }) => ({ ...body, object: 'thing' }))].map(
      (body) => [body.title, body] as const,
    ),
  )('takes %s', (_, body) => {
    expect([valid(body), valid.errors]).toEqual([true, null]);
  });

  it('takes and refuses what the reader takes and refuses', () => {
    const other = oneof(
      constantFrom<unknown>('', ' ', null, true, 7, -1, 2.5, [], {}, 'mean', 'measured', 'x'.repeat(130)),
      string({ maxLength: 50 }),
      integer(),
    );
    assert(
      property(constantFrom(...readyMade), integer({ min: 0, max: 5000 }), other, (body, nth, by) => {
        const document = spoilt(body, nth, by);
        expect([valid(document), document]).toEqual([takes(document), document]);
      }),
      { numRuns: 1500 },
    );
  });

  it('goes out, in and out again byte for byte', () => {
    assert(
      property(
        constantFrom(...readyMade),
        integer({ min: 0, max: 5000 }),
        constantFrom('2.5', 'other', ''),
        (body, nth, by) => {
          const out = JSON.stringify(spoilt(body, nth, by));
          const read = readInvestigation(out);
          if (read.ok) expect(JSON.stringify(read.investigation)).toBe(out);
        },
      ),
      { numRuns: 300 },
    );
  });
});
