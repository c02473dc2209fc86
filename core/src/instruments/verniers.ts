import { modelIn, type Make } from './instrument';

export interface CaliperModel extends Make {
  /** Distance between two lines of the main scale, in the model's unit. */
  readonly mainDivision: number;
  /** Lines of the vernier, and how many main divisions they span. */
  readonly lines: number;
  readonly spans: number;
  /** Every so many lines the vernier carries a number; the numbers count 0, 1, 2 … or as `printed` says. */
  readonly numberedEvery: number;
  readonly printed: (line: number) => number;
  readonly inches: boolean;
}

/** How far the slide reaches left of the vernier's zero line, in main divisions. */
export const slideEdge = 1.5;

/** Least count = |k·s − m·s/N|, k the whole number nearest to m/N. */
export const leastCount = ({
  mainDivision,
  lines,
  spans,
}: Pick<CaliperModel, 'mainDivision' | 'lines' | 'spans'>): number =>
  Number((mainDivision * Math.abs(Math.round(spans / lines) - spans / lines)).toPrecision(6));

const make = (lines: number, spans: number, numberedEvery: number, inches = false): CaliperModel => {
  const mainDivision = inches ? 0.025 : 1;
  return {
    id: `vernier-${lines}-${spans}${inches ? '-inch' : ''}`,
    name: `Vernier caliper, ${lines} lines on ${spans} ${inches ? 'of 0.025 in' : 'mm'}`,
    unit: inches ? 'in' : 'mm',
    division: String(leastCount({ mainDivision, lines, spans })),
    reads: 'least count',
    labelEvery: inches ? '0.1' : '10',
    lowest: '0',
    highest: inches ? '5' : '130',
    belowZero: inches ? '0.1' : '2',
    tolerance: inches ? '0.001' : '0.05',
    mainDivision,
    lines,
    spans,
    numberedEvery,
    // In inches the numbers are thousandths; in millimetres tenths of a division.
    printed: inches ? (line) => line : (line) => line / numberedEvery,
    inches,
  };
};

export const calipers: readonly CaliperModel[] = [
  make(10, 9, 5),
  make(20, 19, 2),
  make(20, 39, 2),
  make(50, 49, 5),
  make(10, 19, 5),
  make(25, 24, 5, true),
].map((model) => (model.lines === 10 ? { ...model, printed: (line) => line } : model));

/** @throws RangeError for a model that there is not. */
export const caliperModel = (id: string): CaliperModel => modelIn(calipers, 'vernier caliper', id);

/** A place of the zero line as it is read: the main mark at or left of it, and the index of the line that coincides. */
export interface VernierParts {
  readonly main: number;
  readonly line: number;
}

/** Lines 0 and N coincide together; that is line 0 of the next main mark. */
export function vernierParts(model: CaliperModel, at: number): VernierParts {
  const count = leastCount(model);
  const steps = Math.round(at / count);
  const perMain = Math.round(model.mainDivision / count);
  const line = ((steps % perMain) + perMain) % perMain;
  return { main: Number((((steps - line) / perMain) * model.mainDivision).toPrecision(12)), line };
}
