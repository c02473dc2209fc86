import {
  Exact,
  expectReading,
  checkReading,
  makeSetting,
  predictAlone,
  presets,
  readingOf,
  seeded,
  written,
  type Conventions,
  type Instrument,
  type Model,
  type Random,
  type Setting,
  type Step,
  type Verdict,
} from '../src';

export interface Tally {
  settings: number;
  rightAnswers: number;
  rightCalledWrong: number;
  /** Per misreading: how often it applied, was in the named set, and was the only one named. */
  misreadings: Record<string, { applied: number; named: number; single: number }>;
  examples: string[];
}

export const emptyTally = (): Tally => ({
  settings: 0,
  rightAnswers: 0,
  rightCalledWrong: 0,
  misreadings: {},
  examples: [],
});

/**
 * Reads many seeded settings rightly, in several accepted writings and with honest estimates, and with each
 * applicable misreading alone, and counts what the engine says of them.
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
    const setting = settingAt(at, instrument, model, conventions, seed);
    const reading = readingOf(instrument, setting, conventions);
    tally.settings += 1;

    const answer = honestAnswer(
      instrument.indication(setting),
      Number(model.division),
      reading.step,
      conventions,
      random,
    );
    tally.rightAnswers += 1;
    if (
      checkReading(instrument, setting, conventions, spell(answer, random), reading.unit).outcome !== 'right'
    ) {
      tally.rightCalledWrong += 1;
      tally.examples.push(`${conventions.preset} ${model.id} ${JSON.stringify(setting)} refused ${answer}`);
    }
    const own = expectReading(instrument, setting, conventions).text;
    if (checkReading(instrument, setting, conventions, own, reading.unit).outcome !== 'right') {
      tally.rightCalledWrong += 1;
      tally.examples.push(`${conventions.preset} ${model.id} refused its own answer ${own}`);
    }

    for (const { faults, value } of predictAlone(reading)) {
      const code = faults[0]?.code ?? '';
      const text = written(reading, value);
      const named = codesNamed(checkReading(instrument, setting, conventions, text, reading.unit));
      const count = (tally.misreadings[code] ??= { applied: 0, named: 0, single: 0 });
      count.applied += 1;
      if (named.includes(code)) count.named += 1;
      else
        tally.examples.push(
          `${conventions.preset} ${model.id} ${JSON.stringify(setting)}: ${code} wrote ${text}, named ${named.join(', ')}`,
        );
      if (named.length === 1 && named[0] === code) count.single += 1;
    }
  }
  return tally;
}

/** Practice settings, raw ones and handled ones in turn: a verdict must hold on all. */
function settingAt(
  at: number,
  instrument: Instrument,
  model: Model,
  conventions: Conventions,
  seed: number,
): Setting {
  if (at % 3 === 0) return makeSetting(instrument, model, conventions, 'read', seed);
  return at % 3 === 1 ? instrument.sample(model, seeded(seed)) : instrument.leave(model, seeded(seed));
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
    return new Exact(((Math.round(truth / size) + beside) * size).toPrecision(12)).toFixed(step.decimals);
  }
  const reach = Math.max(strictness * d, size / 2 + 0.1 * d);
  const wanted = truth + random.between(-1, 1) * reach;
  const steps = [Math.round(wanted / size), Math.round(truth / size)];
  const answer =
    steps.map((count) => count * size).find((value) => Math.abs(value - truth) <= reach) ?? truth;
  return new Exact(answer.toPrecision(12)).toFixed(step.decimals);
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

const codesNamed = (verdict: Verdict): string[] =>
  verdict.outcome === 'wrong'
    ? verdict.explanations.flatMap((explanation) => explanation.map(({ code }) => code))
    : [];

export function addTallies(a: Tally, b: Tally): Tally {
  const sum: Tally = {
    settings: a.settings + b.settings,
    rightAnswers: a.rightAnswers + b.rightAnswers,
    rightCalledWrong: a.rightCalledWrong + b.rightCalledWrong,
    misreadings: structuredClone(a.misreadings),
    examples: [...a.examples, ...b.examples].slice(0, 20),
  };
  for (const [code, count] of Object.entries(b.misreadings)) {
    const into = (sum.misreadings[code] ??= { applied: 0, named: 0, single: 0 });
    into.applied += count.applied;
    into.named += count.named;
    into.single += count.single;
  }
  return sum;
}
