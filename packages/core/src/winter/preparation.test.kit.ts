import type { CombSide, LogEvent } from '@yellow-cell/contract';
import { type Compartment, deriveBox } from '../box/model.ts';
import { standardDesign } from '../box/standardDesign.ts';
import { defaultConstants } from '../constants/registry.ts';
import { boxViews } from '../yard/boxView.ts';
import { fold } from '../yard/fold.ts';
import { told, YARD } from '../yard/story.test.kit.ts';
import { estimatedWinter } from './estimatedClimate.ts';
import { winterAhead } from './forecast.ts';
import { hived, knownOf } from './hived.test.kit.ts';
import { type Arrangement, prepareRoom } from './preparation.ts';

export const ON = '2026-10-10';
export const plain = standardDesign({ format: 'langstroth-deep', thickness: { mm: 9.5 }, frames: [10] });
export const room = deriveBox(plain).compartments[0] as Compartment;
export const slots = room.frames.map(({ id }) => id);
export const format = room.frames[0]?.format ?? ({} as never);
export const known = knownOf(plain);
export const season = { on: ON, ...winterAhead(estimatedWinter(), ON, 48), constants: defaultConstants };
export const begun = [
  ...hived(plain),
  told('strengthSeen', '2026-10-01', { box: 'b', colony: 'a', seams: 5 }),
];
export const looked = (place: number, sides: [CombSide, CombSide]) =>
  told(
    'frameAudited',
    '2026-10-05',
    { box: 'b', colony: 'a', frame: `f${place}`, slot: slots[place - 1] ?? '', sides },
    { hour: 8, id: `look ${place}` },
  );
export const both = (side: CombSide): [CombSide, CombSide] => [side, side];
/** Foundation, stores, brood in the middle, an empty comb, foundation. */
export const AUDITS: readonly LogEvent[] = [
  looked(1, both({ foundation: 1 })),
  looked(2, both({ stores: 0.8 })),
  looked(3, both({ stores: 0.5, pollen: 0.1 })),
  looked(4, both({ sealed: 0.3, stores: 0.4 })),
  looked(5, both({ sealed: 0.2, stores: 0.4 })),
  looked(6, both({ stores: 0.7 })),
  looked(7, [{ foundation: 1 }, { stores: 0.5 }]),
  looked(8, both({})),
  looked(9, both({ foundation: 1 })),
  looked(10, both({ foundation: 1 })),
];
export const LEFT: Arrangement = {
  school: 'sun',
  sunSide: 'left',
  end: 'left',
  follower: true,
  insulation_mm: 60,
};

export function scene(events: readonly LogEvent[]) {
  const state = fold(known, [...begun, ...events]);
  const [box] = boxViews(state, known, YARD, defaultConstants, { on: ON, today: ON });
  const compartment = box?.compartments[0];
  if (!box || !compartment) throw new Error('No box.');
  return { state, box, compartment };
}
export function prepared(events: readonly LogEvent[], with_: Partial<Arrangement> = {}, stores_kg?: number) {
  const { state, box, compartment } = scene(events);
  const { strength } = compartment.colony ?? {};
  const found = prepareRoom(
    state,
    box,
    compartment,
    { seams: strength?.seams, stores_kg },
    { ...LEFT, ...with_ },
    season,
  );
  if (!found) throw new Error('Nothing to prepare.');
  return found;
}
export const placesOf = (frames: ReturnType<typeof prepared>['frames']) =>
  frames
    .flatMap(({ slot, to }) => (to === null ? [] : [[to, slot.number]]))
    .sort(([a = 0], [b = 0]) => a - b);
