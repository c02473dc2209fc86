import { parseProduct } from '../units';

/** Something that is wrong with an investigation, and where: `tables[0].columns[2].formula`. */
export interface InvestigationProblem {
  readonly place: string;
  readonly sentence: string;
}

/** Nothing where it is a unit. */
export function checkUnit(unit: string, place: string): InvestigationProblem[] {
  try {
    parseProduct(unit);
    return [];
  } catch (error) {
    return [{ place, sentence: error instanceof RangeError ? error.message : `“${unit}” is not a unit.` }];
  }
}

/** What is called as something before it is. */
export function repeated(
  keys: readonly { readonly key: string; readonly place: string }[],
  sentence: (key: string) => string,
): InvestigationProblem[] {
  return keys.flatMap(({ key, place }, at) =>
    keys.findIndex((other) => other.key === key) < at ? [{ place, sentence: sentence(key) }] : [],
  );
}

const partNames: Readonly<Record<string, readonly [one: string, called: string]>> = {
  kit: ['piece of the kit', 'tag'],
  steps: ['step', ''],
  tables: ['table', 'title'],
  columns: ['column', 'heading'],
  rows: ['row', 'name'],
  values: ['value', ''],
  results: ['result', 'name'],
  predictions: ['prediction', ''],
  questions: ['question', ''],
  causes: ['cause', ''],
  bands: ['word for a percent error', ''],
};

const fieldNames: Readonly<Record<string, string>> = {
  key: 'name in formulas',
  perRow: 'row by row',
  perWord: 'word by word',
  throughOrigin: 'through the origin',
  at: 'asked at',
  scalePercent: 'scale in percent',
  plusMinus: '±',
  waitMinutes: 'minutes to wait',
};

/**
 * A place of an investigation as a teacher would say it: `tables[0].columns[2].formula` is
 * “table “Trials”, column “Density”, formula”. What it does not know stands as it is.
 * @param body what was looked at; it may be of any shape.
 */
export function placeInWords(place: string, body: unknown): string {
  let at: unknown = body;
  return place
    .split('.')
    .map((part) => {
      const [, name = part, index] = /^(\w+)\[(\d+)\]$/.exec(part) ?? [];
      at = memberOf(at, name);
      if (index === undefined) return fieldNames[name] ?? name;
      at = memberOf(at, index);
      const [one, called] = partNames[name] ?? [name, ''];
      const title = called === '' ? undefined : memberOf(at, called);
      return typeof title === 'string' && title.trim() !== ''
        ? `${one} “${title}”`
        : `${one} ${Number(index) + 1}`;
    })
    .join(', ');
}

const memberOf = (of: unknown, name: string): unknown =>
  typeof of === 'object' && of !== null ? (of as Readonly<Record<string, unknown>>)[name] : undefined;
