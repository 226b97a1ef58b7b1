import type { BoxWeights, BuildPart, DesignContent } from '@yellow-cell/contract';
import { BEES_PER_CM2, combSide } from '../box/measures.ts';
import { deriveBox } from '../box/model.ts';
import { bodyName } from '../box/spaces.ts';
import type { Constants } from '../constants/registry.ts';

/** What a box weighs empty, in season and full of honey, and the heaviest piece that is lifted alone (handbook 4). */
export function weightsOf(
  design: DesignContent,
  parts: readonly BuildPart[],
  constants: Constants,
): BoxWeights {
  const { stack, frames } = deriveBox(design);
  const weigh = (own: readonly BuildPart[]): number =>
    own.reduce((sum, { count, weight_kg }) => sum + count * weight_kg, 0);
  const honeyOf = (of: typeof frames): number =>
    of
      .filter(({ holds }) => holds !== 'feeder')
      .reduce((sum, { format }) => sum + (2 * combSide(format) * constants.honey_gcm2) / 1_000, 0);
  const bees = frames
    .filter(({ holds }) => holds === 'comb' || holds === 'display')
    .reduce(
      (sum, { format }) =>
        sum + (2 * combSide(format) * BEES_PER_CM2 * constants.covered) / constants.bees_kg1,
      0,
    );
  const empty_kg = weigh(parts);
  const hung = frames.length * constants.frame_kg;
  const lifts = stack.bodies.map((placed) => {
    const { body } = placed;
    const bays = new Set(body.bays.map(({ id }) => id));
    const own = frames.filter(({ bay }) => bays.has(bay));
    const boards = new Set(body.boards.map(({ id }) => id));
    return {
      name: stack.bodies.length > 1 ? bodyName(placed, stack.bodies) : 'the body',
      kg:
        weigh(parts.filter(({ of }) => of === body.id || boards.has(of))) +
        own.length * constants.frame_kg +
        honeyOf(own),
    };
  });
  const heaviest = lifts.reduce((most, each) => (each.kg > most.kg ? each : most));
  const kg = (value: number) => `${value.toFixed(1)} kg`;
  return {
    empty_kg,
    season_kg: empty_kg + hung + bees + honeyOf(frames) * constants.seasonShare,
    full_kg: empty_kg + hung + honeyOf(frames),
    heaviestLift_kg: heaviest.kg,
    heaviest: heaviest.name,
    sentence:
      heaviest.kg > constants.liftAlone_kg
        ? `Full, ${heaviest.name} weighs ${kg(heaviest.kg)}, over ${constants.liftAlone_kg} kg: two lift it, or its frames are taken out first.`
        : `Full, ${heaviest.name} weighs ${kg(heaviest.kg)}: one can lift it, with a straight back.`,
  };
}
