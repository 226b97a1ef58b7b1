import type { DesignContent, Family, Length } from '@yellow-cell/contract';
import { withCompartments } from './editDesign.ts';
import { familyFor } from './familyName.ts';
import { type BodySizes, coverSheet, emptyBody, mm, USUAL } from './plainParts.ts';
import { DESIGN_SCHEMA_VERSION_NOW } from './schemaVersion.ts';

/** A plain stack to start from: a floor with a lip, one body, a thin cover for each compartment, a flat roof. Lengths in mm. */
export interface NewBody extends BodySizes {
  thickness: Length;
  frames: readonly number[];
  family?: Family;
}

export function newDesign({ frames, thickness, family, ...body }: NewBody): DesignContent {
  const empty: DesignContent = {
    schemaVersion: DESIGN_SCHEMA_VERSION_NOW,
    family: family ?? familyFor(frames.length, body.insideWidth.mm),
    lastPart: 3,
    floor: {
      kind: 'solid',
      thickness: mm(USUAL.floor),
      lip: mm(USUAL.lip),
      mesh: null,
      fixed: false,
      strips: [],
    },
    layers: [emptyBody('body-1', 'bay-2', body), coverSheet('sheet-3')],
    roof: { kind: 'flat', thickness: mm(USUAL.roof), room: mm(0), each: false },
    fastenings: ['latches', 'strap'],
    folding: null,
    bed: null,
    vaporiser: null,
    overrules: [],
    limits: {},
  };
  return withCompartments(empty, frames, thickness);
}
