import type { DesignContent, Problem } from '@yellow-cell/contract';

/** The schema of design contents that this program writes. */
export const DESIGN_SCHEMA_VERSION_NOW: DesignContent['schemaVersion'] = 1;

/** Each entry raises a stored design from the version before. Saved versions never change; they are raised on reading. */
const upgraders: Readonly<Record<number, (old: Record<string, unknown>) => Record<string, unknown>>> = {};

/** A stored or imported design raised to the schema of today, or the sentence that refuses it. The result is not yet validated. */
export function upgradeDesign(
  stored: Record<string, unknown>,
): { ok: true; design: unknown } | { ok: false; problem: Problem } {
  const from = stored.schemaVersion;
  if (typeof from !== 'number' || !Number.isInteger(from) || from < 1) {
    return {
      ok: false,
      problem: {
        path: 'schemaVersion',
        value: from,
        sentence: 'A design says which schema version it has, from 1.',
      },
    };
  }
  if (from > DESIGN_SCHEMA_VERSION_NOW) {
    return {
      ok: false,
      problem: {
        path: 'schemaVersion',
        value: from,
        sentence: `This design was saved by a newer program (schema ${from}); this one reads up to ${DESIGN_SCHEMA_VERSION_NOW}.`,
      },
    };
  }
  let design = stored;
  for (let version = from; version < DESIGN_SCHEMA_VERSION_NOW; version++) {
    design = upgraders[version + 1]?.(design) ?? design;
  }
  return { ok: true, design };
}
