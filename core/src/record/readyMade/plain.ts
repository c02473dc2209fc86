import type {
  Accepted,
  Column,
  DerivedColumn,
  GivenValue,
  Investigation,
  MeanPlan,
  MeasuredColumn,
  MethodStep,
  Table,
} from '../investigation';

/** What an investigation is where nothing else is said of it. */
export const plain = {
  format: 2,
  route: '',
  predictions: [],
  questions: [],
  causes: [],
  bands: null,
  supplied: true,
  secondLook: 'students',
  model: null,
} as const satisfies Partial<Investigation>;

export const measured = (
  key: string,
  heading: string,
  symbol: string,
  unit: string,
  tag: string,
  rest: Partial<MeasuredColumn> = {},
): Column => ({ kind: 'measured', key, heading, symbol, unit, tag, ...rest });

export const derived = (
  key: string,
  heading: string,
  symbol: string,
  unit: string,
  formula: string,
  rest: Partial<DerivedColumn> = {},
): Column => ({ kind: 'derived', key, heading, symbol, unit, formula, by: 'app', ...rest });

export const given = (
  key: string,
  heading: string,
  symbol: string,
  unit: string,
  values: readonly GivenValue[],
): Column => ({ kind: 'given', key, heading, symbol, unit, values });

/** A level before and after, and what rises between them. */
export const displacement = (tag: string, by: DerivedColumn['by'] = 'app'): Column[] => [
  measured('before', 'Volume before', 'V_1', 'mL', tag),
  measured('after', 'Volume after', 'V_2', 'mL', tag),
  derived('V', 'Volume', 'V', 'mL', 'after - before', { rises: true, ...(by === 'app' ? {} : { by }) }),
];

/** The temperature of the water that a series is weighed with. */
export const waterTable = (tag: string): Table => ({
  key: 'water',
  title: 'The water',
  trials: 2,
  columns: [measured('t', 'Temperature of the water', 't', '°C', tag)],
});

export const density = (
  column: string,
  accepted: Accepted | null,
  rest: Partial<MeanPlan> = {},
): MeanPlan => ({
  kind: 'mean',
  key: column,
  name: 'Density',
  symbol: 'ρ',
  unit: 'g/cm³',
  column,
  accepted,
  ...rest,
});

export const clearUp: MethodStep = {
  text: 'Clear up and wash your hands.',
  caution: 'Your school’s own rules come before these.',
};
