import {
  checkAgainst,
  Decimal,
  expectReading,
  Diagnosis,
  makeSetting,
  presets,
  readingOf,
  seeded,
  written,
  type Conventions,
  type Instrument,
  type Make,
  type Prediction,
  type Random,
  type Reading,
  type Setting,
  type Step,
  type Verdict,
} from '../src';

/** How often something was tried, and how often it was named: in the named set, and as the only cause. */
export interface Count {
  applied: number;
  named: number;
  single: number;
}

export interface Tally {
  settings: number;
  rightAnswers: number;
  rightCalledWrong: number;
  /** Per misreading, over all settings. */
  misreadings: Record<string, Count>;
  /** Every (setting, misreading) of the practice settings. */
  practice: Count;
  /** Every (setting, pair of misreadings). */
  pairs: Count;
  examples: string[];
}

const noCount = (): Count => ({ applied: 0, named: 0, single: 0 });

export const emptyTally = (): Tally => ({
  settings: 0,
  rightAnswers: 0,
  rightCalledWrong: 0,
  misreadings: {},
  practice: noCount(),
  pairs: noCount(),
  examples: [],
});

/**
 * Reads many seeded settings rightly, in several accepted writings and with honest estimates, and with each applicable
 * misreading and one pair of them, and counts what the engine says of them.
 */
export function soak(
  instrument: Instrument,
  settings: number,
  firstSeed: number,
  conventionsList: readonly Conventions[] = presets,
): Tally {
  const tally = emptyTally();
  for (let at = 0; at < settings; at += 1) {
    const seed = firstSeed + at;
    const random = seeded(seed ^ 0x5bd1e995);
    const conventions = random.pick(conventionsList);
    const model = random.pick(instrument.models);
    const practice = at % 3 === 0;
    const diagnosis = new Diagnosis(
      readingOf(instrument, settingAt(at, instrument, model, conventions, seed), conventions),
    );
    const { reading } = diagnosis;
    tally.settings += 1;
    readRightly(tally, diagnosis, random);
    for (const prediction of diagnosis.alone) {
      const code = prediction.faults[0]?.code ?? '';
      const { named, single, said } = codesSaid(diagnosis, prediction);
      count((tally.misreadings[code] ??= noCount()), named, single);
      if (practice) count(tally.practice, named, single);
      if (!named) tally.examples.push(`${example(reading)}: ${code}, said ${said}`);
    }
    if (diagnosis.pairs.length > 0) {
      const pair = random.pick(diagnosis.pairs);
      const { named, single, said } = codesSaid(diagnosis, pair);
      count(tally.pairs, named, single);
      if (!named && tally.examples.length < 20)
        tally.examples.push(
          `${example(reading)}: pair ${pair.faults.map(({ code }) => code).join('+')}, said ${said}`,
        );
    }
  }
  return tally;
}

function readRightly(tally: Tally, diagnosis: Diagnosis, random: Random): void {
  const { instrument, setting, rule, step, unit, conventions } = diagnosis.reading;
  const answer = honestAnswer(instrument.indication(setting), rule.d, step, conventions, random);
  const own = expectReading(instrument, setting, conventions).text;
  tally.rightAnswers += 1;
  for (const text of [spell(answer, random), own]) {
    if (checkAgainst(diagnosis, text, unit).outcome === 'right') continue;
    tally.rightCalledWrong += 1;
    tally.examples.push(`${example(diagnosis.reading)} refused ${text}`);
  }
}

const example = ({ setting, conventions: { preset } }: Reading): string =>
  `${preset} ${JSON.stringify(setting)}`;

/** Whether what these faults would write is called by their names: as one explanation, or as the only one. */
function codesSaid(diagnosis: Diagnosis, { faults, value }: Prediction) {
  const { reading } = diagnosis;
  const verdict = checkAgainst(diagnosis, written(reading, value), reading.unit);
  const said = explanationsOf(verdict);
  const wanted = faults.map(({ code }) => code);
  const named = said.some((codes) => wanted.every((code) => codes.includes(code)));
  return {
    named,
    single: named && said.length === 1,
    said: said.map((codes) => codes.join('+')).join(' or '),
  };
}

const explanationsOf = (verdict: Verdict): string[][] =>
  verdict.outcome === 'wrong' ? verdict.explanations.map((causes) => causes.map(({ code }) => code)) : [];

function count(into: Count, named: boolean, single: boolean): void {
  into.applied += 1;
  into.named += Number(named);
  into.single += Number(single);
}

/** Practice settings, raw ones and handled ones in turn: a verdict must hold on all. */
function settingAt(
  at: number,
  instrument: Instrument,
  model: Make,
  conventions: Conventions,
  seed: number,
): Setting {
  if (at % 3 === 0) return makeSetting(instrument, model, conventions, 'read', seed, at % 30 === 0);
  return at % 3 === 1
    ? instrument.sampleSetting(model, seeded(seed))
    : instrument.sampleHandled(model, seeded(seed));
}

/** A reader who estimates within the class's strictness, reckoned without the engine's own acceptance. */
function honestAnswer(
  truth: number,
  d: number,
  step: Step,
  { strictness }: Conventions,
  random: Random,
): string {
  const size = step.size.toNumber();
  if (step.judged === 'line below') return (Math.floor(truth / size + 1e-9) * size).toFixed(step.decimals);
  if (step.judged !== 'estimate') {
    const beside = step.judged === 'digits' ? 0 : random.whole(-1, 1);
    return new Decimal(((Math.round(truth / size) + beside) * size).toPrecision(12)).toFixed(step.decimals);
  }
  const reach = Math.max(strictness * d, size / 2 + 0.1 * d);
  const wanted = truth + random.between(-1, 1) * reach;
  const steps = [Math.round(wanted / size), Math.round(truth / size)];
  const answer =
    steps.map((number) => number * size).find((value) => Math.abs(value - truth) <= reach) ?? truth;
  return new Decimal(answer.toPrecision(12)).toFixed(step.decimals);
}

/** The same number in one of the accepted writings. */
function spell(text: string, random: Random): string {
  const commaIsClear = !/^[1-9]\d{0,2}\.\d{3}$/.test(text);
  return random.pick([
    text,
    text,
    ` ${text} `,
    commaIsClear ? text.replace('.', ',') : text,
    `${text}e0`,
    `${text}×10^0`,
  ]);
}

export function addTallies(a: Tally, b: Tally): Tally {
  const misreadings = structuredClone(a.misreadings);
  for (const [code, more] of Object.entries(b.misreadings))
    misreadings[code] = addCounts(misreadings[code] ?? noCount(), more);
  return {
    settings: a.settings + b.settings,
    rightAnswers: a.rightAnswers + b.rightAnswers,
    rightCalledWrong: a.rightCalledWrong + b.rightCalledWrong,
    misreadings,
    practice: addCounts(a.practice, b.practice),
    pairs: addCounts(a.pairs, b.pairs),
    examples: [...a.examples, ...b.examples].slice(0, 20),
  };
}

const addCounts = (a: Count, b: Count): Count => ({
  applied: a.applied + b.applied,
  named: a.named + b.named,
  single: a.single + b.single,
});
