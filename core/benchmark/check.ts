import { checkReading, instruments, makeSetting, parseNumber, presetNamed, seeded } from '../src';

/** What one check costs: its middle and its 95th percentile, and the check over the parsing of its number, in one run. */
const conventions = presetNamed('Chemistry bench');
const [settings, warmUp] = [400, 100];

const rows = instruments.map((instrument) => {
  const random = seeded(9);
  const cases = Array.from({ length: settings }, (_, seed) => {
    const model = random.pick(instrument.models);
    return {
      model,
      setting: makeSetting(instrument, model, conventions, 'read', seed),
      text: String(random.whole(100, 9999) / 100),
    };
  });
  const checks: number[] = [];
  const parses: number[] = [];
  for (const [at, { model, setting, text }] of cases.entries()) {
    const began = performance.now();
    checkReading(instrument, setting, conventions, text, model.unit);
    const checked = performance.now();
    for (let times = 0; times < 20; times += 1) parseNumber(text);
    const parsed = performance.now();
    if (at < warmUp) continue;
    checks.push(checked - began);
    parses.push((parsed - checked) / 20);
  }
  return {
    instrument: instrument.name,
    'median, ms': quantile(checks, 0.5).toFixed(3),
    'p95, ms': quantile(checks, 0.95).toFixed(3),
    'check ÷ parse': Math.round(quantile(checks, 0.5) / quantile(parses, 0.5)),
  };
});
console.table(rows);

function quantile(values: readonly number[], share: number): number {
  return [...values].sort((a, b) => a - b)[Math.floor(share * (values.length - 1))] ?? NaN;
}
