import { z } from 'zod';
import { EntranceState } from '../compute.ts';
import { DesignContent } from '../design.ts';
import { Layer } from '../event/boxEvents.ts';
import { Hole, Slot } from '../layer.ts';
import { CalendarDate } from '../primitives.ts';
import { Role } from '../status.ts';
import { Condition } from '../workshop.ts';
import { Run } from './run.ts';
import { list, may } from './shapes.ts';

/** A place where a board was set by hand, and the bay that it parts off to its right. */
export const BoardPlace = z.strictObject({
  board: z.string(),
  groove: z.string(),
  bay: z.string(),
  at_mm: z.number(),
  framesLeft: z.number(),
});
export type BoardPlace = z.infer<typeof BoardPlace>;

export const BoxState = z.strictObject({
  id: z.string(),
  label: z.string(),
  design: z.string(),
  version: z.number(),
  builtOn: CalendarDate,
  place: may(
    z.strictObject({
      yard: z.string(),
      stand: z.string(),
      east_m: z.number(),
      north_m: z.number(),
      bearing_deg: z.number(),
      since: CalendarDate,
    }),
  ),
  /** The box that it stands on. */
  onto: may(z.string()),
  takenApartOn: may(CalendarDate),
  /** What its rooms served as, and since when; the last that names a room, or none, holds for it. `at` is the instant, told in the time of `zone`. */
  roles: may(
    list(
      z.strictObject({
        role: Role,
        since: CalendarDate,
        at: z.string(),
        zone: z.string(),
        bays: may(list(z.string())),
      }),
    ),
  ),
  /** Steps of its build that are done, with the day. */
  buildSteps: may(z.record(z.string(), CalendarDate).readonly()),
  /** Its stack where that is no more as drawn: bodies, sheets, boards, floor and roof that it has now. */
  changed: may(DesignContent),
  /** What was taken off and lies beside it. */
  off: may(
    list(
      z.strictObject({
        layer: Layer,
        since: CalendarDate,
      }),
    ),
  ),
  /** Against its stack: boards that do not stand, boards in other grooves, entrances, vents and holes otherwise than drawn. */
  pulled: may(list(z.string())),
  /** The day on which the last of them was pulled. */
  pulledOn: may(CalendarDate),
  grooves: may(z.record(z.string(), z.string()).readonly()),
  /** Places that the design does not have, in the order in which they were made. */
  places: may(list(BoardPlace)),
  /** Feeders and combs in other places than drawn. */
  slots: may(z.record(z.string(), Slot.shape.holds).readonly()),
  entranceStates: may(z.record(z.string(), EntranceState).readonly()),
  ventsShut: may(list(z.string())),
  holes: may(z.record(z.string(), Hole.shape.closedBy).readonly()),
  /** Slots from which a frame went, and none came. */
  emptySlots: may(list(z.string())),
  /** As it was last looked at. */
  inspected: may(
    z.strictObject({
      on: CalendarDate,
      finish: z.string(),
      condition: Condition,
      missing: z.string(),
    }),
  ),
  weights: may(
    list(
      z.strictObject({
        on: CalendarDate,
        weight_kg: z.number(),
        felt: z.boolean(),
      }),
    ),
  ),
  temperature: may(
    z.strictObject({
      on: CalendarDate,
      inside_C: z.number(),
    }),
  ),
  /** Playbooks that were begun in it, oldest first. */
  runs: may(list(Run)),
});
export type BoxState = z.infer<typeof BoxState>;
