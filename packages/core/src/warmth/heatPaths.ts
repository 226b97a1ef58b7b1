import type { Compartment } from '../box/model.ts';
import type { AtRest } from './atRest.ts';
import type { HeatFace } from './network.ts';
import type { Scene } from './scene.ts';
import { uValue } from './warmth.ts';

/** A way that heat goes, with its share of all that a compartment loses. */
export interface HeatPath {
  part: HeatFace['part'] | 'air';
  watts: number;
  share: number;
}

/** Heat paths of a compartment ranked, largest first; what comes in counts against what goes out by the same part. */
export function heatPaths(
  each: Compartment,
  { network, conditions, constants }: Scene,
  { at, sky, flow_m3s }: AtRest,
): HeatPath[] {
  const { spaces } = each;
  const temperature = (name: string): number => at.get(name) ?? conditions.outside_C;
  const risen_K = temperature(spaces[0] ?? '') - conditions.outside_C;
  const watts = new Map<HeatPath['part'], number>([
    ['air', constants.airHeat_Jm3K * (flow_m3s.get(each) ?? 0) * risen_K],
  ]);
  network.faces.forEach((face, index) => {
    const [a, b] = face.between;
    const mine = spaces.includes(a) ? [a, b] : spaces.includes(b) ? [b, a] : undefined;
    if (!mine || (spaces.includes(a) && spaces.includes(b))) return;
    const felt_K = temperature(mine[0] ?? '') - temperature(mine[1] ?? '') - (sky.outer_K[index] ?? 0);
    const lost = uValue(face, constants) * face.area_m2 * felt_K;
    watts.set(face.part, (watts.get(face.part) ?? 0) + lost);
  });
  const all = [...watts.values()].reduce((sum, path) => sum + Math.max(0, path), 0);
  return [...watts]
    .map(([part, path]) => ({ part, watts: path, share: all > 0 ? Math.max(0, path) / all : 0 }))
    .sort((a, b) => b.watts - a.watts);
}
