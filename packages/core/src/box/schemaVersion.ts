import type { DesignContent, Problem } from '@yellow-cell/contract';

/** The schema of design contents that this program writes. */
export const DESIGN_SCHEMA_VERSION_NOW: DesignContent['schemaVersion'] = 2;

type Stored = Record<string, unknown>;
/** Each entry raises a stored design to its version from the one before. Saved versions never change; they are raised on reading. */
const upgraders: Readonly<Record<number, (old: Stored) => Stored>> = { 2: toStack };

/** A stored or imported design raised to the schema of today, or the sentence that refuses it. The result is not yet validated. */
export function upgradeDesign(
  stored: Stored,
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

const FAMILY_BY_COMPARTMENTS = ['nucleus', 'nucleus', 'twoWayBody', 'threeWay', 'fourWay'] as const;
const list = (value: unknown): Stored[] => (Array.isArray(value) ? (value as Stored[]) : []);

/** Version 1 knew one body without floor, covers or rebates. It becomes a stack with plain ones, its boards made to close. */
function toStack({ format, insideWidth, insideLength, depth, wall, lastPart, ...old }: Stored): Stored {
  const bays = list(old.bays);
  return {
    schemaVersion: 2,
    family: FAMILY_BY_COMPARTMENTS[bays.length] ?? 'fourWay',
    lastPart,
    floor: { kind: 'solid', thickness: { mm: 19 }, lip: { mm: 10 }, mesh: null, fixed: false, strips: [] },
    layers: [
      {
        kind: 'body',
        id: 'body-0',
        name: '',
        format,
        insideWidth,
        insideLength,
        depth,
        wall,
        material: 'pine',
        lining: null,
        rebate: null,
        cheeks: null,
        glass: [],
        doors: false,
        offset: { x: { mm: 0 }, y: { mm: 0 } },
        beside: false,
        grooves: list(old.grooves).map((groove) => ({ ...groove, depth: { mm: 0 }, play: { mm: 0 } })),
        boards: list(old.boards).map((board) => ({
          ...board,
          up: { mm: 0 },
          down: { mm: 10 },
          ends: { mm: 0 },
          ears: true,
          slot: { excluder: 4.2, screen: 2.5 }[board.kind as string] ?? null,
          window: null,
        })),
        bays: bays.map(({ id, frames }) => ({
          id,
          frames: (Array.isArray(frames) ? frames : []).map((slot: unknown) => ({ id: slot, holds: 'comb' })),
          format: null,
          use: 'mating',
        })),
        entrances: list(old.entrances).map(({ id, side, along, diameter }) => ({
          id,
          side,
          along,
          height: { mm: 25 },
          width: diameter,
          tall: diameter,
          shape: 'round',
          state: 'open',
          mark: null,
        })),
        vents: [],
      },
      {
        kind: 'sheet',
        id: 'sheet-0',
        what: 'board',
        thickness: { mm: 3 },
        each: true,
        slot: null,
        fits: '',
        holes: [],
      },
    ],
    roof: { kind: 'flat', thickness: { mm: 19 }, room: { mm: 0 }, each: false },
    fastenings: ['strap'],
    folding: null,
    bed: null,
    vaporiser: null,
    overrules: [],
    limits: {},
  };
}
