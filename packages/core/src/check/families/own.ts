import type { Finding, Rule, Scene } from '../finding.ts';

/** A rule of one family alone; places may be left out where it concerns the whole box. */
export type Part = Omit<Finding, 'places'> & { places?: readonly string[] };
export const own =
  (rule: (scene: Scene) => Part[]): Rule =>
  (scene) =>
    rule(scene).map((part) => ({ places: [], ...part }));
