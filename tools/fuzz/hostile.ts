import type { Random } from '@yellow-cell/core';

/** Values that are wrong somewhere, or everywhere, and what becomes of a right request when they get into it. */
export type Json = null | boolean | number | string | Json[] | { [field: string]: Json };

const deep = (levels: number): Json => {
  let value: Json = 1;
  for (let level = 0; level < levels; level++) value = [value];
  return value;
};

const VALUES: readonly (() => Json)[] = [
  () => null,
  () => true,
  () => 0,
  () => -1,
  () => 0.5,
  () => -1e9,
  () => 1e9,
  () => 1e308,
  () => -1e308,
  () => 1e-320,
  () => 2_147_483_648,
  () => 9_007_199_254_740_992,
  () => '',
  () => ' ',
  () => 'x',
  () => '0',
  () => 'NaN',
  () => '\ud800',
  () => 'a\udc00b',
  () => '\u0000',
  () => '\u202e\u0007',
  () => '🐝'.repeat(50),
  () => 'x'.repeat(10_000),
  () => "'; drop table event; --",
  () => '%s%n{{7*7}}',
  () => '__proto__',
  () => 'constructor',
  () => 'toString',
  () => '../../etc/passwd',
  () => '9999-12-31',
  () => '0000-01-01',
  () => '2026-02-30',
  () => '-271821-04-20',
  () => '2026-05-31T10:00:00Z',
  () => '9999-12-31T23:59:59Z',
  () => '0000-01-01T00:00:00Z',
  () => '2026-05-31T10:00:00+16:00',
  () => '2026-05-31T10:00:00-23:59',
  () => '+16:00',
  () => 'Mars/Base',
  () => 'utc',
  () => '00000000-0000-0000-0000-000000000000',
  () => 'FFFFFFFF-FFFF-4FFF-8FFF-FFFFFFFFFFFF',
  () => [],
  () => ({}),
  () => [[]],
  () => ({ length: 1e9 }),
  () => deep(2_000),
  () => Array.from({ length: 3_000 }, (_, at) => at),
];
const FIELDS = [
  'x',
  '__proto__',
  'constructor',
  'toString',
  'length',
  '',
  'constants',
  'box',
  '\u0000',
  'id',
];

const pick = <T>(random: Random, from: readonly T[]): T => from[Math.floor(random() * from.length)] as T;
export const hostile = (random: Random): Json => pick(random, VALUES)();

/** The same request with some of it changed: a leaf, a branch, a field more or less, an element twice. */
export function spoiled(value: Json, random: Random): Json {
  if (random() < 0.03) return hostile(random);
  if (Array.isArray(value)) {
    if (value.length === 0 || random() < 0.1) return [...value, hostile(random)];
    const at = Math.floor(random() * value.length);
    if (random() < 0.1) return value.filter((_, index) => index !== at);
    if (random() < 0.1) return [...value, value[at] as Json];
    return value.map((each, index) => (index === at ? spoiled(each, random) : each));
  }
  if (value !== null && typeof value === 'object') {
    const fields = Object.keys(value);
    if (fields.length === 0 || random() < 0.08)
      return withField(value, pick(random, FIELDS), hostile(random));
    const field = pick(random, fields);
    if (random() < 0.1) return Object.fromEntries(Object.entries(value).filter(([name]) => name !== field));
    return withField(value, field, spoiled(value[field] as Json, random));
  }
  return random() < 0.75 ? hostile(random) : nearby(value, random);
}

/** Own fields only, the one called like every object's prototype among them. */
function withField(value: { [field: string]: Json }, field: string, inner: Json): { [field: string]: Json } {
  const copy = { ...value };
  Object.defineProperty(copy, field, { value: inner, enumerable: true, configurable: true, writable: true });
  return copy;
}

function nearby(value: Json, random: Random): Json {
  if (typeof value === 'number')
    return pick(random, [value + 1, value - 1, -value, value * 1_000, value / 1_000, Math.round(value)]);
  if (typeof value === 'string')
    return pick(random, [value.toUpperCase(), `${value} `, value.slice(1), value + value]);
  return !value;
}

/** Text of a request with some of its bytes changed. */
export function garbled(text: string, random: Random): string {
  const at = Math.floor(random() * text.length);
  return pick(random, [
    () => text.slice(0, at),
    () =>
      text.slice(0, at) +
      pick(random, ['}', ']', '"', ',', '\\', '1e999', 'NaN', '\u0000', '\\ud800']) +
      text.slice(at),
    () => text + text,
    () => `\ufeff${text}`,
  ])();
}
