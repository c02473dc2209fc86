import { instruments } from '../instruments';
import { errorCauses } from './errorCauses';
import { checkFormula } from './checkFormula';
import { checkResults } from './checkResults';
import { isScale, parseNumber } from '../figures';
import { unitFactor } from '../units';
import type { Column, GivenColumn, Investigation, MeasuredColumn, Table } from './investigation';
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
    ...checkVariations(investigation),
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
    ...checkComparisons(investigation),
    ...investigation.causes.flatMap((code, at) =>
      errorCauses.some((cause) => cause.code === code)
        ? []
        : [{ place: `causes[${at}]`, sentence: `“${code}” is not a cause of error that is known here.` }],
    ),
  ];
}

/** A comparison is of a mean that is reckoned for each of something. */
const checkComparisons = ({ questions, results }: Investigation): InvestigationProblem[] =>
  questions.flatMap(({ kind, compares }, at) =>
    kind !== 'compares' ||
    results.some(
      (plan) =>
        plan.kind === 'mean' && plan.key === compares?.of && (plan.perRow ?? plan.perWord) !== undefined,
    )
      ? []
      : [
          {
            place: `questions[${at}].compares`,
            sentence: `There is no mean for each row or word${compares ? ` called “${compares.of}”` : ''} to compare.`,
          },
        ],
  );

function checkVariations({ tables, variations = [] }: Investigation): InvestigationProblem[] {
  const columns = tables.flatMap((table) => table.columns);
  const is = (kind: Column['kind'], wanted: string) =>
    columns.some((column) => column.kind === kind && column.key === wanted);
  return variations.flatMap(({ planned = {}, worked = [] }, at) => [
    ...Object.keys(planned).flatMap((key) =>
      is('measured', key)
        ? []
        : [{ place: `variations[${at}].planned.${key}`, sentence: `“${key}” is no column that is read.` }],
    ),
    ...worked.flatMap((key, nth) =>
      is('derived', key)
        ? []
        : [{ place: `variations[${at}].worked[${nth}]`, sentence: `“${key}” is no column of a formula.` }],
    ),
  ]);
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
    if (column.kind === 'measured') problems.push(...checkTag(investigation, column, here));
    if (column.kind === 'derived' && problems.length === 0)
      problems.push(...checkFormula(investigation, table, column.formula, column.unit, at, here));
    return problems;
  });
  return [
    ...checkRows(table, place),
    ...checkSupplied(table, place),
    ...columns,
    ...checkSeconds(table, place),
  ];
}

function checkSupplied({ supplied = [], trials, columns }: Table, place: string): InvestigationProblem[] {
  if (supplied.length > trials)
    return [
      {
        place: `${place}.supplied`,
        sentence: `${supplied.length} rows are supplied, and ${trials} trials wanted.`,
      },
    ];
  return supplied.flatMap(({ cells }, at) =>
    Object.entries(cells).flatMap(([key, text]): InvestigationProblem[] => {
      const here = `${place}.supplied[${at}].cells.${key}`;
      const column = columns.find((own) => own.key === key);
      if (!column || column.kind === 'derived' || column.kind === 'given')
        return [{ place: here, sentence: `“${key}” is no column that is read.` }];
      const parsed = column.kind === 'measured' && column.manner === undefined ? parseNumber(text) : null;
      return parsed && !parsed.ok ? [{ place: here, sentence: parsed.problem.message }] : [];
    }),
  );
}

const checkSeconds = ({ columns }: Table, place: string): InvestigationProblem[] =>
  columns.flatMap((column, at) =>
    column.kind === 'measured' &&
    column.secondOf !== undefined &&
    !columns.some(({ key, kind }) => key === column.secondOf && kind === 'measured' && key !== column.key)
      ? [
          {
            place: `${place}.columns[${at}].secondOf`,
            sentence: `“${column.secondOf}” is no other column that is read here.`,
          },
        ]
      : [],
  );

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

/** Another unit of the same quantity; a scale that begins elsewhere is none. */
const isOther = (own: string, unit: string): boolean =>
  checkUnit(unit, '').length === 0 && !isScale(own) && !isScale(unit) && unitFactor(own, unit) !== null;

function checkTag({ kit }: Investigation, column: MeasuredColumn, here: string): InvestigationProblem[] {
  const { tag, unit, manner } = column;
  const item = kit.find((candidate) => candidate.tag === tag);
  if (!item) return [{ place: `${here}.tag`, sentence: `The kit holds nothing tagged “${tag}”.` }];
  const instrument = instruments.find(({ kind }) => kind === item.kind);
  const make = instrument?.models.find(({ id }) => id === item.model);
  if (manner === 'parts' && make && !(instrument?.parts && make.unit === unit))
    return [
      {
        place: `${here}.manner`,
        sentence: `${tag} is not read in parts: a vernier or a screw is, in its own unit.`,
      },
    ];
  return !make || make.unit === unit || isOther(make.unit, unit)
    ? []
    : [
        {
          place: `${here}.unit`,
          sentence: `${tag} is read in ${make.unit}, not in ${unit || 'a pure number'}.`,
        },
      ];
}
