import type { BreathAnswer, DesignContent } from '@yellow-cell/contract';
import { factorOf } from '../air/flow.ts';
import type { Compartment } from '../box/model.ts';
import { type AtRest, atRest } from './atRest.ts';
import type { Conditions } from './conditions.ts';
import {
  beesOf,
  freeAir_m3,
  groundIn,
  homesOf,
  openingsIn,
  type Scene,
  scenesOf,
  storedIn,
} from './scene.ts';
import { breathIn, type ShutBox, type ShutCourse, shutAtLast, shutCourses } from './shutBox.ts';

/** A design shut as it is asked about, all its compartments at once: bees with brood hold it when it begins, the rest is as warm as it was. */
export function shutBoxOf(scene: Scene, { sky, at, bees }: AtRest, wider = 1): ShutBox {
  const { network, living, conditions, constants } = scene;
  const { outside_C, brood, shutOn = 'closed' } = conditions;
  const homeOf = homesOf(scene);
  const factors = new Map(
    living.map((each) => [
      each,
      factorOf(
        openingsIn(scene, each, shutOn).map((opening) => ({
          ...opening,
          area_cm2: opening.area_cm2 * constants.clustered * wider,
        })),
        constants.discharge,
      ),
    ]),
  );
  return {
    outside_C,
    // Closing never cools: what a clear night would take is left out.
    outer_K: sky.outer_K.map((each) => Math.max(0, each)),
    fixed: groundIn(conditions),
    faces: network.faces,
    flows: network.flows,
    spaces: network.spaces.map(({ id, like }) => {
      const home = homeOf(like);
      return {
        id,
        heat_W: (sky.through_W.get(id) ?? 0) + (home ? shutHeat(home, scene, bees) : 0),
        capacity_JK: storedIn(like, home, scene),
        factor: home ? (factors.get(home) ?? 0) : 0,
        start_C: home && brood ? Math.max(constants.broodNest_C, outside_C) : (at.get(like) ?? outside_C),
      };
    }),
  };
}

/** What bees give shut in, in W: by their mood, and those that hold themselves warm go on with it. */
const shutHeat = (home: Compartment, scene: Scene, bees: AtRest['bees']): number =>
  Math.max(beesOf(home, scene) * scene.conditions.heat_Wkg, bees.get(home)?.heat_W ?? 0);

export type ShutRoom = ShutCourse & { breath: BreathAnswer };

/** How each compartment fares, shut with all the others. */
export function shutRooms(scene: Scene, rest: AtRest): (each: Compartment) => ShutRoom {
  const { constants } = scene;
  const limits_C = [constants.fanning_C, constants.danger_C, constants.slump_C];
  const courses = shutCourses(shutBoxOf(scene, rest), limits_C, constants);
  return (each) => {
    const course = courses.get(each.spaces[0] ?? '');
    if (!course) throw new Error(`${each.name} has no space.`);
    const { flow_m3s } = course;
    return {
      ...course,
      breath: breathIn(freeAir_m3(each, scene), shutHeat(each, scene, rest.bees), flow_m3s),
    };
  };
}

/** How many times as wide all openings of a shut box would have to be to keep it out of danger; undefined where no width does. */
export function ventsWider(design: DesignContent, conditions: Conditions): number | undefined {
  const { scene } = scenesOf(design, conditions);
  const rest = atRest(scene);
  const { danger_C } = scene.constants;
  const homeOf = homesOf(scene);
  const isSafe = (wider: number): boolean => {
    const box = shutBoxOf(scene, rest, wider);
    const last = shutAtLast(box, scene.constants);
    return scene.network.spaces.every(
      ({ like }, index) => homeOf(like) === undefined || (last[index] ?? 0) <= danger_C,
    );
  };
  if (!isSafe(WIDEST)) return undefined;
  let [low, high] = [1, WIDEST];
  for (let step = 0; step < WIDER_STEPS; step++) {
    const middle = Math.sqrt(low * high);
    if (isSafe(middle)) high = middle;
    else low = middle;
  }
  return high;
}
const WIDEST = 16;
const WIDER_STEPS = 8;
