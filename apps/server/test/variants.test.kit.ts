import { randomUUID } from 'node:crypto';
import { z } from 'zod';

/** One way to fill a schema, and what is special in it. */
export interface Variant {
  what: string;
  value: unknown;
}

/** Gives ids that mean something for a field, the likeliest first; a field that it does not know gets a made-up one. */
export type PickId = (field: string) => readonly string[];

type Def = z.core.$ZodTypes['_zod']['def'];
const defOf = (schema: z.core.$ZodType): Def => (schema as z.core.$ZodTypes)._zod.def;

/**
 * Every variant of a schema: each choice of an enum or a union, each optional field there and not, null where it may be,
 * numbers at their limits, ids known and unknown; of several fields one at a time differs from the first variant.
 */
export function variantsOf(schema: z.core.$ZodType, pick: PickId, field = ''): Variant[] {
  const def = defOf(schema);
  switch (def.type) {
    case 'object': {
      const fields = Object.entries(def.shape).map(([name, inner]) => ({
        name,
        all: variantsOf(inner, pick, name),
      }));
      const base: Record<string, unknown> = {};
      for (const { name, all } of fields) if (all[0]?.value !== undefined) base[name] = all[0]?.value;
      const others = fields.flatMap(({ name, all }) =>
        all
          .slice(1)
          .map(({ what, value }) => ({ what: `${name} ${what}`, value: { ...base, [name]: value } })),
      );
      // Fields that may each be left out, but not all of them at once.
      return [{ what: 'plain', value: base }, ...others].filter(({ value }) => holdsTogether(def, value));
    }
    case 'optional':
      return [{ what: 'left out', value: undefined }, ...variantsOf(def.innerType, pick, field)];
    case 'nullable':
      return [...variantsOf(def.innerType, pick, field), { what: 'null', value: null }];
    case 'array':
      return variantsOf(def.element, pick, field).map(({ what, value }) => ({
        what: `of ${what}`,
        value: [value],
      }));
    case 'tuple': {
      const items = def.items.map((item) => variantsOf(item, pick, field));
      const base = items.map(([first]) => first?.value);
      const others = items.flatMap((all, at) =>
        all.slice(1).map(({ what, value }) => ({ what: `${at} ${what}`, value: base.with(at, value) })),
      );
      return [{ what: 'plain', value: base }, ...others];
    }
    case 'union':
      return def.options.flatMap((option, at) =>
        variantsOf(option, pick, field)
          // What a body or a sheet may be in all its fields is the design's own schema, tried there.
          .slice(0, field === 'layer' ? 1 : undefined)
          .map(({ what, value }) => ({ what: `kind ${at} ${what}`, value })),
      );
    case 'enum':
      return Object.values(def.entries).map((value) => ({ what: `is ${value}`, value }));
    case 'literal':
      return def.values.map((value) => ({ what: `is ${value}`, value }));
    case 'boolean':
      return [true, false].map((value) => ({ what: `is ${value}`, value }));
    case 'number':
      return numbers(schema);
    case 'string':
      return texts(schema, pick, field);
    default:
      throw new Error(`No variants are known of ${def.type} at ${field}.`);
  }
}

/** What a schema demands of its fields together; ids need not be right for that. */
const holdsTogether = ({ checks = [] }: Def, value: unknown): boolean =>
  checks.every((check) => {
    const { fn } = check._zod.def as { fn?: (value: unknown) => boolean };
    return fn === undefined || fn(value);
  });

/** Both limits and what lies between. */
function numbers(schema: z.core.$ZodType): Variant[] {
  const { type, minimum, maximum, exclusiveMinimum, exclusiveMaximum } = z.toJSONSchema(schema) as {
    type: string;
    [limit: string]: number | string | undefined;
  };
  const step = type === 'integer' ? 1 : 0.25;
  const low = exclusiveMinimum === undefined ? Number(minimum ?? 0) : Number(exclusiveMinimum) + step;
  const high = exclusiveMaximum === undefined ? Number(maximum ?? 100) : Number(exclusiveMaximum) - step;
  const middle = Math.min(high, Math.max(low, 1));
  return [...new Set([middle, low, high])].map((value) => ({ what: `is ${value}`, value }));
}

function texts(schema: z.core.$ZodType, pick: PickId, field: string): Variant[] {
  const { format } = defOf(schema) as { format?: string };
  const { pattern, maxLength = 100 } = z.toJSONSchema(schema) as { pattern?: string; maxLength?: number };
  const plain = (values: readonly string[]) => values.map((value) => ({ what: `is ${value}`, value }));
  if (format === 'uuid')
    return [
      ...pick(field)
        .slice(0, 1)
        .map((value) => ({ what: 'known', value })),
      { what: 'unknown', value: randomUUID() },
      ...pick(field)
        .slice(0, 1)
        .map((value) => ({ what: 'in capitals', value: value.toUpperCase() })),
    ];
  if (format === 'date') return plain(['2026-06-20', '1900-01-01', '2199-12-31']);
  if (format === 'datetime') return plain(['2026-05-31T16:00:00.000Z', '2026-05-31T23:00:00+14:00']);
  if (pattern)
    return [
      ...pick(field).map((value) => ({ what: 'known', value })),
      { what: 'unknown', value: 'no-such-part' },
    ];
  const typed = ['Grüße “🐝” שלום', "x' or 1=1 --", '\\u0000 %s \t'];
  return plain(typed.every(({ length }) => length <= maxLength) ? typed : ['ü“🐝”', "x' --", '%s\t']);
}
