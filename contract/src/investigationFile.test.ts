import { boltPin, readyMade } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { readInvestigation } from '.';

const changed = (change: (body: Record<string, unknown>) => void): string => {
  const body = structuredClone(boltPin) as unknown as Record<string, unknown>;
  change(body);
  return JSON.stringify(body);
};

describe('the file of an investigation', () => {
  it.each(readyMade.map((what) => [what.title, what] as const))(
    'reads back %s as it was written',
    (_, what) => {
      expect(readInvestigation(JSON.stringify(what))).toEqual({ ok: true, investigation: what });
    },
  );

  it.each([
    ['no JSON', '{ "format": 1, ', '', /not valid JSON/],
    ['something else', '[1, 2]', '', /investigation is expected/],
    ['nothing', 'null', '', /./],
    ['another version', changed((body) => (body['format'] = 7)), 'format', /another version/],
    ['a missing title', changed((body) => delete body['title']), 'title', /missing/],
    ['a word too many', changed((body) => (body['colour'] = 'red')), '', /colour/],
    ['a number for a text', changed((body) => (body['aim'] = 7)), 'aim', /text is expected/],
    ['no table', changed((body) => (body['tables'] = [])), 'tables', /at least one table/],
    [
      'a column of no kind',
      changed((body) => ((body['tables'] as { columns: object[] }[])[0]!.columns[0] = { kind: 'guessed' })),
      'tables[0].columns[0].kind',
      /one of measured, clock, count, given, allowance, choice, text, derived/,
    ],
    [
      'half a trial',
      changed((body) => ((body['tables'] as { trials: number }[])[0]!.trials = 1.5)),
      'tables[0].trials',
      /whole number/,
    ],
    [
      'a formula that means nothing',
      changed(
        (body) =>
          ((body['tables'] as { columns: { formula?: string }[] }[])[0]!.columns[4]!.formula = 'mass / x'),
      ),
      'tables[0].columns[4].formula',
      /“x” is not the name/,
    ],
  ])('refuses %s with its place', (_, json, place, sentence) => {
    const read = readInvestigation(json);
    if (read.ok) throw new Error('It was taken.');
    const problem = read.problems.find((own) => own.place === place);
    expect(problem?.sentence).toMatch(sentence);
  });

  it.each(readyMade.map((what) => [what.title, what] as const))(
    '%s goes out and in byte for byte',
    (_, what) => {
      const out = JSON.stringify(what);
      const read = readInvestigation(out);
      expect(read.ok && JSON.stringify(read.investigation)).toBe(out);
    },
  );

  it('reads a file of version 1 as it stands, and refuses one of a version that nobody knows', () => {
    const old = readInvestigation(changed((body) => (body['format'] = 1)));
    expect(old.ok && old.investigation.format).toBe(1);
    const later = readInvestigation(changed((body) => (body['format'] = 3)));
    expect(!later.ok && later.problems[0]?.sentence).toMatch(/another version than 1 and 2/);
  });
});
