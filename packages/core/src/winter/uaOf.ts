import type { DesignContent } from '@yellow-cell/contract';
import type { Compartment } from '../box/model.ts';
import type { Constants } from '../constants/registry.ts';
import type { Row } from '../warmth/row.ts';
import { winterWalls } from '../warmth/winterWalls.ts';

/** Boxes of a version stand alike: what a room lets through (W/K), beside bays that are lived in, is worked out once for a design and its figures. */
const kept = new WeakMap<DesignContent, Map<string, { constants: Constants; ua_WK: number | undefined }>>();
export function uaOf(
  design: DesignContent,
  own: Compartment,
  lived: ReadonlySet<string>,
  constants: Constants,
  insulation_mm: number,
  row?: Row,
): number | undefined {
  const known = kept.get(design) ?? new Map();
  kept.set(design, known);
  const key = [own.bays.join(), [...lived].sort().join(), insulation_mm, row?.boxes, row?.place].join('|');
  const found = known.get(key);
  if (found?.constants === constants) return found.ua_WK;
  const walls = winterWalls(
    design,
    ({ bays }) => bays.some((bay) => own.bays.includes(bay) || lived.has(bay)),
    constants,
    insulation_mm,
    row,
  );
  const ua_WK = [...walls].find(([{ bays }]) => bays.some((bay) => own.bays.includes(bay)))?.[1];
  known.set(key, { constants, ua_WK });
  return ua_WK;
}
