import { z } from 'zod';
import { OwnFigures, spaceName } from './primitives.ts';

/** Questions to the physics of a box and their answers (air, warmth, winter, moisture). Field names carry their unit. */

const temperature = (what: string) =>
  z
    .number()
    .min(-90, `${what} of less than −90 °C is not on this earth.`)
    .max(150, `${what} of more than 150 °C is a fire.`);
const notNegative = (what: string, most: number, unit: string) =>
  z
    .number()
    .min(0, `${what} cannot be below 0 ${unit}.`)
    .max(most, `${what} of more than ${most} ${unit} is no hive's.`);
const aboveZero = (what: string, most: number, unit: string) =>
  z
    .number()
    .gt(0, `${what} must be above 0 ${unit}.`)
    .max(most, `${what} of more than ${most} ${unit} is no hive's.`);

export const AirQuestion = z.strictObject({
  outside_C: temperature('Outside'),
  ua_WK: notNegative('The heat that the box lets through', 1_000, 'W/K'),
  bees_kg: notNegative('The weight of the bees', 100, 'kg'),
  heat_Wkg: notNegative('The heat of the bees', 500, 'W/kg'),
  openings: z
    .array(
      z.strictObject({
        area_cm2: aboveZero('The area of an opening', 100_000, 'cm²'),
        height_m: notNegative('The height of an opening', 10, 'm'),
        tall_m: aboveZero('The height of an opening itself', 10, 'm').optional(),
      }),
    )
    .max(500, 'At most 500 openings can be asked about.'),
  comb_kg: notNegative('The weight of comb and stores', 1_000, 'kg'),
  limits_C: z.array(temperature('A limit')).max(100, 'At most 100 limits can be asked about.'),
  start_C: temperature('The start').optional(),
  sun_W: notNegative('The sun', 10_000, 'W').optional(),
  constants: OwnFigures.optional(),
});
export type AirQuestion = z.infer<typeof AirQuestion>;
export const AirAnswer = z.strictObject({
  rise_K: z.number(),
  inside_C: z.number(),
  flow_m3s: z.number(),
  minutesTo: z.array(z.strictObject({ limit_C: z.number(), minutes: z.number().nullable() })),
});
export type AirAnswer = z.infer<typeof AirAnswer>;

const between = z.tuple([spaceName, spaceName]);
export const FaceKind = z.enum(['wall', 'cover', 'floor', 'inner']);
export type FaceKind = z.infer<typeof FaceKind>;
const layer = z.strictObject({
  thickness_mm: aboveZero("A layer's thickness", 5_000, 'mm'),
  lambda_WmK: aboveZero("A layer's conductivity", 1_000, 'W/mK').min(
    1e-3,
    'No material conducts less than 0.001 W/mK.',
  ),
});
const area_m2 = aboveZero('The area of a face', 100, 'm²').min(1e-6, 'A face of less than 1 mm² is none.');
const layers = z.array(layer).max(50, 'At most 50 layers make a face.');
const flows = z
  .array(z.strictObject({ between, flow_m3s: notNegative('A flow', 10, 'm³/s') }))
  .max(5_000, 'At most 5,000 flows can be asked about.')
  .optional();

export const WarmthQuestion = z.strictObject({
  outside_C: temperature('Outside'),
  spaces: z
    .array(
      z.strictObject({
        name: spaceName,
        heat_W: notNegative('Heat', 10_000, 'W').optional(),
        hold_C: temperature('The temperature held').optional(),
      }),
    )
    .min(1, 'At least one space is needed.')
    .max(200, 'At most 200 spaces can be asked about.'),
  faces: z
    .array(
      z.strictObject({
        between,
        area_m2,
        kind: FaceKind,
        layers: layers.min(1, 'A face has at least one layer.'),
      }),
    )
    .max(5_000, 'At most 5,000 faces can be asked about.'),
  flows,
  constants: OwnFigures.optional(),
});
export type WarmthQuestion = z.infer<typeof WarmthQuestion>;
export const WarmthAnswer = z.strictObject({
  spaces: z.array(z.strictObject({ name: z.string(), inside_C: z.number(), heat_W: z.number() })),
  faces: z.array(z.strictObject({ u_Wm2K: z.number(), g_WK: z.number(), innerSurface_C: z.number() })),
});
export type WarmthAnswer = z.infer<typeof WarmthAnswer>;

const hours = aboveZero('The time', 240, 'hours');
const minutes = z.number().nullable();

/** All spaces of a shut box together in time; wood and combs are spaces without heat of their own. */
export const ShutQuestion = z.strictObject({
  outside_C: temperature('Outside'),
  /** Of all spaces that have none of their own; left out, the outside. */
  start_C: temperature('The start').optional(),
  hours,
  limits_C: z.array(temperature('A limit')).max(20, 'At most 20 limits can be asked about.'),
  spaces: z
    .array(
      z.strictObject({
        name: spaceName,
        heat_W: notNegative('Heat', 10_000, 'W').optional(),
        capacity_JK: aboveZero('The heat that a space stores', 1e8, 'J/K').min(
          0.01,
          'A space of less than 0.01 J/K stores nothing.',
        ),
        start_C: temperature('The start').optional(),
      }),
    )
    .min(1, 'At least one space is needed.')
    .max(60, 'At most 60 spaces can be asked about.'),
  faces: z
    .array(
      z.strictObject({
        between,
        area_m2,
        kind: FaceKind,
        layers,
      }),
    )
    .max(2_000, 'At most 2,000 faces can be asked about.'),
  flows,
  constants: OwnFigures.optional(),
});
export type ShutQuestion = z.infer<typeof ShutQuestion>;
export const ShutAnswer = z.strictObject({
  spaces: z.array(
    z.strictObject({
      name: z.string(),
      end_C: z.number(),
      hottest_C: z.number(),
      minutes: z.array(z.strictObject({ limit_C: z.number(), minutes })),
    }),
  ),
});
export type ShutAnswer = z.infer<typeof ShutAnswer>;

const percent = (what: string) =>
  z.number().min(0, `${what} cannot be below 0 %.`).max(100, `${what} cannot be above 100 %.`);
/** Carbon dioxide of a space that bees are shut into. */
export const BreathQuestion = z.strictObject({
  volume_m3: aboveZero('The volume', 100, 'm³').min(1e-6, 'A space of less than a cubic centimetre is none.'),
  bees_kg: notNegative('The weight of the bees', 100, 'kg'),
  heat_Wkg: notNegative('The heat of the bees', 500, 'W/kg'),
  flow_m3s: notNegative('The flow', 10, 'm³/s'),
  hours,
  limits_pct: z.array(percent('A limit')).max(20, 'At most 20 limits can be asked about.'),
  outside_pct: z
    .number()
    .min(0, 'The air outside cannot hold less than 0 %.')
    .max(21, 'The air outside cannot hold more than 21 %.')
    .optional(),
});
export type BreathQuestion = z.infer<typeof BreathQuestion>;
export const BreathAnswer = z.strictObject({
  steady_pct: z.number().nullable(),
  end_pct: z.number(),
  minutesTo: z.array(z.strictObject({ limit_pct: z.number(), minutes })),
});
export type BreathAnswer = z.infer<typeof BreathAnswer>;

export const WinterQuestion = z.strictObject({
  bees_kg: aboveZero('The weight of the bees', 100, 'kg'),
  ua_WK: aboveZero('The heat that the box lets through', 1_000, 'W/K'),
  outside_C: temperature('Outside'),
  days: notNegative('The time', 10_000, 'days'),
  brood: z.boolean(),
  litresPerKg: aboveZero('The room of a kilogram of bees', 100, 'L').optional(),
  constants: OwnFigures.optional(),
});
export type WinterQuestion = z.infer<typeof WinterQuestion>;
export const WinterAnswer = z.strictObject({
  radius_m: z.number(),
  watts: z.number(),
  effort_Wkg: z.number(),
  stores_kg: z.number(),
});
export type WinterAnswer = z.infer<typeof WinterAnswer>;

export const MoistureQuestion = z.strictObject({
  outside_C: temperature('Outside'),
  outside_RH: z
    .number()
    .min(0, 'Relative humidity is a share from 0 to 1.')
    .max(1, 'Relative humidity is a share from 0 to 1.'),
  inside_C: temperature('Inside'),
  flow_m3s: notNegative('The flow', 10, 'm³/s'),
  stores_kgDay: notNegative('The stores used', 100, 'kg a day'),
  surfaces: z
    .array(z.strictObject({ name: spaceName, surface_C: temperature('A surface') }))
    .min(1, 'At least one surface is needed.')
    .max(500, 'At most 500 surfaces can be asked about.'),
  /** Below 0 °C, dew point and saturation over ice; the outside's humidity stays over water. */
  ice: z.boolean().optional(),
  constants: OwnFigures.optional(),
});
export type MoistureQuestion = z.infer<typeof MoistureQuestion>;
export const MoistureAnswer = z.strictObject({
  inside_RH: z.number(),
  dewPoint_C: z.number(),
  condensate_gDay: z.number(),
  wettest: z.string().nullable(),
});
export type MoistureAnswer = z.infer<typeof MoistureAnswer>;
