import { instruments } from '../instruments';
import { errorCauses } from './errorCauses';
import { checkFormula } from './checkFormula';
import { checkResults } from './checkResults';
import { parseNumber } from '../figures';
import type { GivenColumn, Investigation, Table } from './investigation';
import { checkUnit, repeated, type InvestigationProblem } from './investigationProblem';

const keyShape = /^[A-Za-z][A-Za-z0-9]*$/;

/** Everything that is wrong with an investigation whose shape is right; empty when it can be used. Never throws. */
export function checkInvestigation(investigation: Investigation): InvestigationProblem[] {
  return [
    ...checkKit(investigation),
    ...investigation.tables.flatMap((table, at) => checkTable(investigation, table, `tables[${at}]`)),
    ...repeated(
      investigation.tables.flatMap(({ columns }, table) =>
        columns.map(({ key }, at) => ({ key, place: `tables[${table}].columns[${at}].key` })),
      ),
      (key) => `Two columns are called “${key}”.`,
    ),
    ...checkResults(investigation),
    ...repeated(
      investigation.results.map(({ key }, at) => ({ key, place: `results[${at}].key` })),
      (key) => `Two results are called “${key}”.`,
    ),
    ...investigation.predictions.flatMap(({ result }, at) =>
      investigation.results.some(({ key }) => key === result)
        ? []
        : [
            {
              place: `predictions[${at}].result`,
              sentence: `There is no result “${result}” to compare it with.`,
            },
          ],
    ),
    ...investigation.causes.flatMap((code, at) =>
      errorCauses.some((cause) => cause.code === code)
        ? []
        : [{ place: `causes[${at}]`, sentence: `“${code}” is not a cause of error that is known here.` }],
    ),
  ];
}

function checkKit({ kit }: Investigation): InvestigationProblem[] {
  return [
    ...kit.flatMap(({ kind, model }, at): InvestigationProblem[] => {
      const instrument = instruments.find((candidate) => candidate.kind === kind);
      if (!instrument)
        return [{ place: `kit[${at}].kind`, sentence: `“${kind}” is not a kind of instrument.` }];
      return instrument.models.some(({ id }) => id === model)
        ? []
        : [{ place: `kit[${at}].model`, sentence: `There is no ${instrument.name} called “${model}”.` }];
    }),
    ...repeated(
      kit.map(({ tag }, at) => ({ key: tag, place: `kit[${at}].tag` })),
      (tag) => `Two pieces of the kit are tagged “${tag}”.`,
    ),
  ];
}

function checkTable(investigation: Investigation, table: Table, place: string): InvestigationProblem[] {
  const columns = table.columns.flatMap((column, at): InvestigationProblem[] => {
    const here = `${place}.columns[${at}]`;
    const problems: InvestigationProblem[] = [];
    if (!keyShape.test(column.key))
      problems.push({
        place: `${here}.key`,
        sentence: `“${column.key}” cannot be a name: a letter, then letters and digits.`,
      });
    if ('unit' in column) problems.push(...checkUnit(column.unit, `${here}.unit`));
    if (column.kind === 'given') problems.push(...checkGiven(column, table, here));
    if (column.kind === 'choice' && new Set(column.options).size < Math.max(2, column.options.length))
      problems.push({ place: `${here}.options`, sentence: 'A choice has at least two words, each once.' });
    if (column.kind === 'measured') problems.push(...checkTag(investigation, column.tag, column.unit, here));
    if (column.kind === 'derived' && problems.length === 0)
      problems.push(...checkFormula(investigation, table, column.formula, column.unit, at, here));
    return problems;
  });
  return [...checkRows(table, place), ...columns];
}

function checkRows({ rows, trials }: Table, place: string): InvestigationProblem[] {
  if (!rows) return [];
  if (rows.length === 0 || trials % rows.length !== 0)
    return [
      {
        place: `${place}.trials`,
        sentence: `${trials} trials cannot be shared out evenly among ${rows.length} rows.`,
      },
    ];
  return repeated(
    rows.map(({ key }, at) => ({ key, place: `${place}.rows[${at}].key` })),
    (key) => `Two rows are called “${key}”.`,
  );
}

function checkGiven({ values }: GivenColumn, { rows }: Table, here: string): InvestigationProblem[] {
  const wanted = rows?.length ?? 1;
  if (values.length !== 1 && values.length !== wanted)
    return [
      {
        place: `${here}.values`,
        sentence: `One value is given for all rows, or one for each of the ${wanted}; there are ${values.length}.`,
      },
    ];
  return values.flatMap(({ value }, at) => {
    const parsed = parseNumber(value);
    return parsed.ok ? [] : [{ place: `${here}.values[${at}].value`, sentence: parsed.problem.message }];
  });
}

function checkTag({ kit }: Investigation, tag: string, unit: string, here: string): InvestigationProblem[] {
  const item = kit.find((candidate) => candidate.tag === tag);
  if (!item) return [{ place: `${here}.tag`, sentence: `The kit holds nothing tagged “${tag}”.` }];
  const make = instruments.find(({ kind }) => kind === item.kind)?.models.find(({ id }) => id === item.model);
  return !make || make.unit === unit
    ? []
    : [
        {
          place: `${here}.unit`,
          sentence: `${tag} is read in ${make.unit}, not in ${unit || 'a pure number'}.`,
        },
      ];
}
