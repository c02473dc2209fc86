import {
  Decimal,
  ExpressionProblem,
  foldExpression,
  functions,
  type Expression,
  type FunctionName,
  type PlainFunction,
  type RoundingPolicy,
} from '../figures';
import type { UnitProduct } from '../units';
import { applied, constant, averaged, minus, over, plus, power, times, type Dual } from './dual';

type Water = RoundingPolicy['water'];

/** A calculation as plain numbers in SI base units: what uncertainties are carried through. */
export type ModelEquation =
  | { readonly kind: 'constant'; readonly value: number }
  | { readonly kind: 'input'; readonly name: string }
  | {
      readonly kind: 'operation';
      readonly operator: '+' | '−' | '×' | '÷' | '^';
      readonly left: ModelEquation;
      readonly right: ModelEquation;
    }
  | {
      readonly kind: 'function';
      readonly name: FunctionName;
      readonly of: ModelEquation;
      readonly water?: Water;
    }
  | { readonly kind: 'mean'; readonly of: readonly ModelEquation[] };

/** How many SI base units one of a unit is. */
export const inBase = (unit: UnitProduct): number =>
  unit
    .reduce((factor, { unit: { inBase: one }, power: own }) => factor.times(one.pow(own)), new Decimal(1))
    .toNumber();

/**
 * An expression as a term.
 * @param resolve what a name stands for.
 * @param water how dense the class takes water to be.
 * @throws ExpressionProblem for a name it does not know.
 */
export function termOf(
  root: Expression,
  resolve: (name: string) => ModelEquation | undefined,
  water: Water = 'table',
): ModelEquation {
  return foldExpression<ModelEquation>(root, (node, parts) => {
    const [first = nothing, second = nothing] = parts;
    switch (node.kind) {
      case 'number':
        return { kind: 'constant', value: node.number.value.toNumber() * inBase(node.unit) };
      case 'name': {
        const found = resolve(node.name);
        if (found) return found;
        if (node.name === 'π' || node.name === 'pi') return { kind: 'constant', value: Math.PI };
        throw new ExpressionProblem('unknown-name', node.at, `“${node.name}” has no value yet.`);
      }
      case 'negative':
        return { kind: 'operation', operator: '×', left: { kind: 'constant', value: -1 }, right: first };
      case 'group':
        return first;
      case 'operation':
        return { kind: 'operation', operator: node.operator, left: first, right: second };
      case 'call':
        if (node.name === 'mean') return { kind: 'mean', of: parts };
        if (node.name === 'waterVolume')
          return {
            kind: 'operation',
            operator: '÷',
            left: first,
            right: { kind: 'function', name: 'water', of: second, water },
          };
        return { kind: 'function', name: node.name, of: first, water };
    }
  });
}

const nothing: ModelEquation = { kind: 'constant', value: NaN };

/** @throws RangeError for one that is put together of others. */
function plainOf({ name, water }: Extract<ModelEquation, { kind: 'function' }>): PlainFunction {
  const { plain } = functions[name];
  if (!plain) throw new RangeError(`“${name}” is not a function of one value.`);
  return plain(water ? { water } : {});
}

/** The names of all inputs of a term, each once. */
export function inputsOf(term: ModelEquation): string[] {
  const names = new Set<string>();
  const walk = (of: ModelEquation): void => {
    if (of.kind === 'input') names.add(of.name);
    else if (of.kind === 'operation') [of.left, of.right].forEach(walk);
    else if (of.kind === 'function') walk(of.of);
    else if (of.kind === 'mean') of.of.forEach(walk);
  };
  walk(term);
  return [...names];
}

const dualOperations = { '+': plus, '−': minus, '×': times, '÷': over } as const;

/** Its value with the derivatives by all inputs. @throws RangeError where it divides by zero, or raises what is not positive to an uncertain power. */
export function dualOf(term: ModelEquation, input: (name: string) => Dual): Dual {
  switch (term.kind) {
    case 'constant':
      return constant(term.value);
    case 'input':
      return input(term.name);
    case 'function':
      return applied(plainOf(term), dualOf(term.of, input));
    case 'mean':
      return averaged(term.of.map((of) => dualOf(of, input)));
    case 'operation': {
      const [left, right] = [dualOf(term.left, input), dualOf(term.right, input)];
      if (term.operator !== '^') return dualOperations[term.operator](left, right);
      return power(left, right);
    }
  }
}

/** Draws by the block: each input's values in, the term's values out, in one loop a step. */
export type Block = Float64Array<ArrayBuffer>;

/**
 * A term as a function of blocks of draws. The blocks that it works in are made once.
 * @param size how many draws a block holds.
 */
export function compiled(term: ModelEquation, size: number): (inputs: ReadonlyMap<string, Block>) => Block {
  switch (term.kind) {
    case 'constant': {
      const out = new Float64Array(size).fill(term.value);
      return () => out;
    }
    case 'input':
      return (inputs) => {
        const block = inputs.get(term.name);
        if (!block) throw new RangeError(`There is no input called “${term.name}”.`);
        return block;
      };
    case 'function': {
      const [of, out] = [compiled(term.of, size), new Float64Array(size)];
      const f = plainOf(term).value;
      return (inputs) => {
        const values = of(inputs);
        for (let at = 0; at < size; at += 1) out[at] = f(values[at] ?? NaN);
        return out;
      };
    }
    case 'mean': {
      const [of, out] = [term.of.map((part) => compiled(part, size)), new Float64Array(size)];
      return (inputs) => {
        out.fill(0);
        for (const part of of) {
          const values = part(inputs);
          for (let at = 0; at < size; at += 1) out[at] = (out[at] ?? 0) + (values[at] ?? NaN) / of.length;
        }
        return out;
      };
    }
    case 'operation':
      return operation(term.operator, compiled(term.left, size), compiled(term.right, size), size);
  }
}

type Compiled = (inputs: ReadonlyMap<string, Block>) => Block;

/** One loop for each operator, so that each stays a tight one. */
function operation(
  operator: '+' | '−' | '×' | '÷' | '^',
  left: Compiled,
  right: Compiled,
  size: number,
): Compiled {
  const out = new Float64Array(size);
  const loops: Record<typeof operator, (a: Block, b: Block) => void> = {
    '+': (a, b) => {
      for (let at = 0; at < size; at += 1) out[at] = (a[at] as number) + (b[at] as number);
    },
    '−': (a, b) => {
      for (let at = 0; at < size; at += 1) out[at] = (a[at] as number) - (b[at] as number);
    },
    '×': (a, b) => {
      for (let at = 0; at < size; at += 1) out[at] = (a[at] as number) * (b[at] as number);
    },
    '÷': (a, b) => {
      for (let at = 0; at < size; at += 1) out[at] = (a[at] as number) / (b[at] as number);
    },
    '^': (a, b) => {
      for (let at = 0; at < size; at += 1) out[at] = (a[at] as number) ** (b[at] as number);
    },
  };
  const loop = loops[operator];
  return (inputs) => {
    loop(left(inputs), right(inputs));
    return out;
  };
}
