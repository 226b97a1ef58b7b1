import { z } from 'zod';
import { CalendarDate, Id, name, PartId, text } from '../primitives.ts';
import { WinterAct } from '../status.ts';
import { inColony } from './where.ts';

/** What is done of a short check, in its order. */
export const ShortCheck = z.enum(['strips', 'lookedDown', 'floor', 'closed', 'strapped']);
export type ShortCheck = z.infer<typeof ShortCheck>;

/** How a room is to be fitted to its bees. */
export const WinterRoom = z.strictObject({
  /** The frames that stay, in their order from the left, each turned round or not. */
  keeps: z
    .array(z.strictObject({ slot: PartId, turned: z.boolean() }))
    .min(1, 'At least one frame stays.')
    .max(60, 'At most 60 frames stay.'),
  /** The end of the row that the bees are kept at. */
  end: z.enum(['left', 'right']),
  /** A follower beside them, and what is put behind it. */
  follower: z.boolean(),
  insulation_mm: z.number().min(0).max(500, 'At most 500 mm of insulation are put behind a follower.'),
});
export type WinterRoom = z.infer<typeof WinterRoom>;

/** The cavity fitted to the colony: what is to be done before winter, and that it was. */
export const winterEvents = {
  /** Told again, it is planned anew. */
  winterPlanned: z.strictObject({
    ...inColony,
    act: WinterAct,
    room: WinterRoom.optional(),
    /** Where it is to move to. */
    to: z.strictObject({ box: Id, bays: z.array(PartId).min(1).max(100) }).optional(),
    /** The colony that it joins, or winters beside. */
    with: z.strictObject({ box: Id, colony: Id }).optional(),
    /** What that room or colony is called. */
    where: name(80).optional(),
    /** Labels of the boxes that its box is pushed together with. */
    pushedTo: name(80).optional(),
    sugar_kg: z.number().min(0).max(100, 'No colony is fed more than 100 kg.'),
    /** The last day for it. */
    by: CalendarDate.optional(),
    /** Why it is planned otherwise than advised, or sooner. */
    reason: text(300).optional(),
  }),
  /** Done as planned, but for what is still to be fed. */
  winterPrepared: z.strictObject(inColony),
  winterDropped: z.strictObject(inColony),
  /** The short check (handbook 12, 63): nothing is opened but the lid. */
  shortChecked: z.strictObject({
    ...inColony,
    did: z.array(ShortCheck).min(1, 'At least one thing was looked at.').max(5),
  }),
} as const;
