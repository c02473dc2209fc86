import type { Random } from '@green-beam/core';

const wholes = [0, -1, 1.5, 1e308, -1e308, 2 ** 53, 2 ** 31, 1e15, 201];
const texts = [
  '',
  ' ',
  '\0',
  'a\0b',
  '\ud800',
  'x\udfff',
  '=1+1',
  '’’’',
  '١٢٣',
  '１２．４',
  'é'.normalize('NFD'),
  '🧪'.repeat(30),
  '<script>alert(1)</script>',
  `'; drop table people; --`,
  '$1',
  '%00',
  '../../etc',
  'toString',
  '__proto__',
  'constructor',
  '1e400',
  '0000-01-01T00:00:00Z',
  '9999-12-31T23:59:59Z',
  '-271821-04-20T00:00:00Z',
  '2026-02-30T25:61:00Z',
  'x'.repeat(61),
  'y'.repeat(5_000),
  '@mean rho',
  '@photo pin',
  '@standing pin',
  '3f2b8c1e-5d4a-4b6c-8e9f-0a1b2c3d4e5f',
  '12.40',
  '0×10^2',
  '((((((((((',
  '2*-3',
  'mean(11,52,18)',
];

/** Something that nobody means: of the kinds that servers stumble over. */
export function nastyValue(random: Random, depth = 0): unknown {
  const kind = Math.floor(random.between(0, depth > 3 ? 5 : 9));
  switch (kind) {
    case 0:
      return null;
    case 1:
      return random.chance(0.5);
    case 2:
      return random.pick(wholes);
    case 3:
    case 4:
      return random.pick(texts);
    case 5:
      return Array.from({ length: Math.floor(random.between(0, 4)) }, () => nastyValue(random, depth + 1));
    case 6:
      return { [random.pick(texts)]: nastyValue(random, depth + 1) };
    case 7:
      return { toString: 1, valueOf: 2, length: -1 };
    default:
      return JSON.parse(
        `{"__proto__": ${JSON.stringify(random.pick(texts))}, "constructor": {"prototype": 1}}`,
      ) as object;
  }
}

/** A body with one or more of its parts spoilt. */
export function spoilt(body: object, random: Random): unknown {
  if (random.chance(0.06)) return nastyValue(random);
  const copy = JSON.parse(JSON.stringify(body)) as Record<string, unknown>;
  const keys = Object.keys(copy);
  for (let times = random.chance(0.7) ? 1 : 3; times > 0 && keys.length > 0; times -= 1) {
    const key = random.pick(keys);
    const value = copy[key];
    if (random.chance(0.1)) delete copy[key];
    else if (Array.isArray(value) && random.chance(0.6))
      copy[key] = [...value, nastyValue(random), ...(random.chance(0.2) ? value : [])];
    else if (typeof value === 'object' && value !== null && random.chance(0.6))
      copy[key] = spoilt(value, random);
    else copy[key] = nastyValue(random);
  }
  const more = random.chance(0.1) ? '__proto__' : random.chance(0.1) ? random.pick(texts) : null;
  if (more !== null)
    Object.defineProperty(copy, more, { value: nastyValue(random), enumerable: true, configurable: true });
  return copy;
}

/** A part of an address that is none. */
export const nastyPart = (random: Random): string =>
  random.pick([
    '%00',
    '%E0%A4%A',
    '..',
    '.',
    '%2e%2e',
    'null',
    'undefined',
    '1e400',
    'x'.repeat(2_000),
    '%F0%9F%A7%AA',
    '00000000-0000-0000-0000-000000000000',
    "'",
    '*',
    '__proto__',
  ]);

/** Addresses that lead nowhere, or out of the house. */
export const nastyAddresses: readonly string[] = [
  '/assets/../../x',
  '/assets/..%2f..%2fx',
  '/assets/%2e%2e/%2e%2e/etc/passwd',
  '/.env',
  '/.git/config',
  '/healthz',
  '/api',
  '/api/',
  '/api/nothing',
  '/api/session/../bench',
  '//api/bench',
  '/%',
  '/%ff',
  '/bench/%00',
  '/api/logbooks/%/entries',
  '/api/events?for=%00',
  '/index.html',
  '/sw.js',
  '/health',
  '/ready',
  '/api/bench?for[]=1&for[]=2',
  '/api/logbooks?x='.padEnd(3_000, 'y'),
];
