import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Decimal, parseExpression, type Expression } from '../figures';
import { readyMade } from '../record';
import { dualOf, inputsOf, propagate, quadrature, termOf, type Component, type Input } from '.';

/**
 * A second way to the same: the expression itself, in 60 decimal digits, moved a little up and down. It shares nothing
 * with the derivatives that are carried through.
 */
function at(node: Expression, values: Readonly<Record<string, Decimal>>): Decimal {
  const of = (part: Expression) => at(part, values);
  switch (node.kind) {
    case 'number':
      return node.unit.reduce(
        (value, { unit, power }) => value.times(new Decimal(unit.inBase).pow(power)),
        node.number.value,
      );
    case 'name': {
      const value = values[node.name] ?? (node.name === 'π' ? Decimal.acos(-1) : undefined);
      if (!value) throw new Error(`${node.name} has no value.`);
      return value;
    }
    case 'negative':
      return of(node.of).neg();
    case 'group':
      return of(node.of);
    case 'operation': {
      const [left, right] = [of(node.left), of(node.right)];
      return {
        '+': () => left.plus(right),
        '−': () => left.minus(right),
        '×': () => left.times(right),
        '÷': () => left.div(right),
        '^': () => left.pow(right),
      }[node.operator]();
    }
    case 'call': {
      const given = node.arguments.map(of);
      const one = given[0] ?? new Decimal(NaN);
      return {
        sqrt: () => one.sqrt(),
        log: () => one.log(10),
        ln: () => one.ln(),
        exp: () => one.exp(),
        sin: () => one.sin(),
        cos: () => one.cos(),
        abs: () => one.abs(),
        water: () => tanaka(one),
        waterVolume: () => one.div(tanaka(given[1] ?? new Decimal(NaN))),
        // Antoine, of a pressure in Pa.
        boiling: () =>
          new Decimal('1730.63')
            .div(new Decimal('8.07131').minus(one.times(760).div(101_325).log(10)))
            .minus('233.426'),
        pressureAt: () => new Decimal(1).minus(one.times('2.25577e-5')).pow('5.25588').times(101_325),
        mean: () => given.reduce((sum, value) => sum.plus(value), new Decimal(0)).div(given.length),
      }[node.name as 'sqrt']();
    }
  }
}

/** Water in kg/m³, from 0 to 40 °C (Tanaka et al. 2001). */
const tanaka = (t: Decimal): Decimal =>
  new Decimal(1)
    .minus(
      t
        .minus('3.983035')
        .pow(2)
        .times(t.plus('301.797'))
        .div(new Decimal('522528.9').times(t.plus('69.34881'))),
    )
    .times('999.97495');

const little = new Decimal('1e-20');
const slope = (node: Expression, values: Readonly<Record<string, Decimal>>, name: string): number => {
  const moved = (by: Decimal) => at(node, { ...values, [name]: (values[name] ?? new Decimal(0)).plus(by) });
  return moved(little).minus(moved(little.neg())).div(little.times(2)).toNumber();
};

/** Relative to the larger of what is compared and what rounding leaves of a double. */
const agrees = (found: number, wanted: number, scale: number) =>
  expect(Math.abs(found - wanted)).toBeLessThanOrEqual(1e-9 * Math.max(Math.abs(wanted), 1e-4 * scale));

/** Carries some sizes through a formula both ways; one source is shared by the first two inputs. */
function compare(formula: string, numbers: Readonly<Record<string, number>>): void {
  const node = parseExpression(formula);
  const term = termOf(node, (name) => (numbers[name] === undefined ? undefined : { kind: 'input', name }));
  const names = inputsOf(term);
  const values = Object.fromEntries(names.map((name) => [name, new Decimal(numbers[name] ?? NaN)]));
  const inputs = names.map((name, nth): Input => {
    const size = Math.abs(numbers[name] ?? 0) * 0.003 + 0.001 * (nth + 1);
    const own: Component = { source: name, kind: 'reading', u: size };
    const shared: Component = { source: 'shared', kind: 'offset', u: nth === 0 ? -0.02 : 0.03 };
    return { name, value: numbers[name] ?? NaN, components: nth < 2 ? [own, shared] : [own] };
  });
  const found = propagate((input) => dualOf(term, input), inputs);
  const slopes = new Map(names.map((name) => [name, slope(node, values, name)]));
  const scale = Math.max(...[...slopes.values()].map(Math.abs));
  agrees(found.value, at(node, values).toNumber(), Math.abs(found.value));
  for (const name of names) agrees(found.sensitivities.get(name) ?? 0, slopes.get(name) ?? NaN, scale);
  const sums = new Map<string, number>();
  for (const { name, components } of inputs)
    for (const { source, u: size } of components)
      sums.set(source, (sums.get(source) ?? 0) + (slopes.get(name) ?? NaN) * size);
  const wanted = Math.sqrt([...sums.values()].reduce((sum, amount) => sum + amount ** 2, 0));
  agrees(quadrature(found.contributions), wanted, wanted);
}

describe('carrying uncertainties through a formula agrees with moving its inputs, to nine digits', () => {
  it.each([
    ['m / V', { m: 214.6, V: 24.5 }],
    ['(after - before)', { after: 74.5, before: 50 }],
    ['m / (after - before)', { m: 214.6, after: 74.5, before: 74.1 }],
    ['π × (d / 2)^2 × h', { d: 12.02, h: 40.18 }],
    ['2 × (sqrt(2) - 1) × w^2 × h - π × (d / 2)^2 × h', { w: 30, d: 12, h: 40 }],
    ['π × D^2 / 4 × (D / 2)', { D: 24.2 }],
    ['sqrt(a^2 + b^2 + a × b)', { a: 3.1, b: -4.2 }],
    ['ln(a) × exp(-b) + log(c)', { a: 7.3, b: 1.4, c: 0.03 }],
    ['sin(a) / cos(b)', { a: 0.4, b: 1.5 }],
    ['mean(a, b, c) / abs(d)', { a: 9.81, b: 9.79, c: 9.83, d: -2.5 }],
    ['a^3 / b^2 - a^0.5', { a: 2.7, b: 0.31 }],
    ['(a - b) / (a + b)', { a: 1.0000001, b: 1 }],
    ['water(t) × V', { t: 21.4, V: 25.3 }],
    ['waterVolume(m; t)', { m: 24.93, t: 18.2 }],
    ['boiling(p) - 0 × p', { p: 98_700 }],
    ['boiling(pressureAt(h))', { h: 240 }],
    ['a × b × c / (d × e)', { a: 1e5, b: 1e-4, c: 3, d: 7e3, e: 2e-6 }],
  ])('%s', (formula, numbers) => compare(formula, numbers));

  const formulas = readyMade.flatMap((what) =>
    what.tables.flatMap((table) =>
      table.columns.flatMap((column) =>
        column.kind === 'derived' ? [[what.title, column.formula] as const] : [],
      ),
    ),
  );
  it.each(formulas)('%s: %s', (_, formula) => {
    const names = inputsOf(termOf(parseExpression(formula), (name) => ({ kind: 'input', name }))).filter(
      (name) => name !== 'π' && name !== 'pi',
    );
    // Growing numbers, so that a difference of a later and an earlier one is not nothing.
    const numbers = Object.fromEntries(names.map((name, nth) => [name, 17.3 / (1 + 0.37 * nth)]));
    compare(formula, numbers);
  });

  it('of any numbers', () => {
    const size = fc.double({ min: 0.01, max: 1e4, noNaN: true });
    fc.assert(
      fc.property(size, size, size, size, (m, from, to, d) => {
        fc.pre(Math.abs(to - from) > 1e-3 * (to + from));
        compare('m / (to - from) + sqrt(d) × m^2 / (from + to)', { m, from, to, d });
      }),
      { numRuns: 300 },
    );
  });
});
