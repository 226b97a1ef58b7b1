import type { DesignContent, Severity } from '@yellow-cell/contract';
import { type LimitName, type Limits, limitTable } from '../box/limits.ts';
import type { BoxModel, Compartment } from '../box/model.ts';
import { showLength } from '../units/length.ts';

/** What a rule looks at. */
export interface Scene {
  design: DesignContent;
  model: BoxModel;
  limits: Limits;
}

/** What a rule found at one place: that it holds, or not and by how much. */
export interface Finding {
  kind: string;
  severity: Severity;
  holds: boolean;
  places: readonly string[];
  sentence: string;
  figure?: number;
  limit?: { value: number; source: string };
  unit?: string;
  /** A change that may mend it; whoever offers it tries it first. */
  fix?: { label: string; apply: () => DesignContent };
}
export type Rule = (scene: Scene) => Finding[];

export const limitOf = (limits: Limits, name: LimitName): { value: number; source: string } => ({
  value: limits[name],
  source: limitTable[name].source,
});
export const fixed = (value: number, source: string): { value: number; source: string } => ({
  value,
  source,
});

export const mm = (value: number): string => showLength(value, 'mm');
/** To half a millimetre, as a saw can be set. */
export const toHalf = (value: number): number => Math.round(value * 2) / 2;

export const nameOf = ({ spaces }: BoxModel, id: string): string =>
  spaces.find((space) => space.id === id)?.name ?? id;
export const namesOf = (model: BoxModel, ids: readonly string[]): string =>
  ids.map((id) => nameOf(model, id)).join(' and ');
export const compartmentOf = ({ compartments }: BoxModel, space: string): Compartment | undefined =>
  compartments.find(({ spaces, rims }) => spaces.includes(space) || rims.includes(space));

/** Number of a board from the left in its body, as it is spoken of. */
export function boardName({ boards }: BoxModel, id: string): string {
  const placed = boards.find(({ board }) => board.id === id);
  const own = boards.filter(({ body }) => body.body.id === placed?.body.body.id);
  const word =
    placed?.board.kind === 'follower' ? 'follower' : placed?.board.kind === 'dummy' ? 'dummy' : 'divider';
  return own.length < 2
    ? `The ${word}`
    : `${word.charAt(0).toUpperCase()}${word.slice(1)} ${own.findIndex(({ board }) => board.id === id) + 1}`;
}
