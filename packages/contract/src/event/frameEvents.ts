import { z } from 'zod';
import { CalendarDate, Id, name, PartId } from '../primitives.ts';
import { inColony } from './where.ts';

const share = z.number().min(0, 'A share cannot be below 0.').max(1, 'A share cannot be above 1.');

/** One side of a comb, as shares of its area; what is left over is empty drawn comb. */
export const CombSide = z
  .strictObject({
    eggs: share,
    openBrood: share,
    sealed: share,
    drone: share,
    stores: share,
    pollen: share,
    partDrawn: share,
    foundation: share,
  })
  .partial()
  .refine((side) => Object.values(side).reduce<number>((sum, part) => sum + (part ?? 0), 0) <= 1 + 1e-9, {
    error: 'The shares of one side come to more than the whole side.',
  });
export type CombSide = z.infer<typeof CombSide>;
export type CombContent = keyof CombSide;

/** A place for a frame: the slot of a box as its design names it. */
export const FramePlace = z.strictObject({ box: Id, slot: PartId });
export type FramePlace = z.infer<typeof FramePlace>;

export const FramePurpose = z.enum(['equalise', 'stock', 'reduce', 'show', 'graft', 'search', 'other']);
export type FramePurpose = z.infer<typeof FramePurpose>;

/** A frame has identity from the first time that something is told of it. */
export const frameEvents = {
  frameAudited: z.strictObject({
    ...inColony,
    frame: Id,
    slot: PartId,
    /** Seen from the bearing of the box's front: the side nearer x = 0, then the other. */
    sides: z.tuple([CombSide, CombSide]),
    /** Share of each side that bees cover. */
    bees: z.tuple([share, share]).optional(),
  }),
  /** Frames moved at once, so that two can change places. */
  framesMoved: z.strictObject({
    moves: z
      .array(
        z.strictObject({
          frame: Id,
          from: FramePlace.nullable(),
          /** Null: out of any box. */
          to: FramePlace.nullable(),
          /** Put in the other way round. */
          turned: z.boolean(),
        }),
      )
      .min(1)
      .max(40, 'At most 40 frames are moved at once.'),
    purpose: FramePurpose,
    /** Of frames taken out: the day by which they are wanted back. */
    backBy: CalendarDate.optional(),
    /** What a person says of where the frames went. */
    where: name(80).optional(),
  }),
} as const;
