import type { Status } from '@yellow-cell/contract';
import { countOf } from '../../say/words.ts';
import type { Guide, Scene } from './guidance.ts';

type Check = NonNullable<Guide['against']>;

/** The first that speaks against it. */
export const firstOf =
  (...checks: readonly Check[]): Check =>
  (scene) =>
    checks.reduce<string | undefined>((found, check) => found ?? check(scene), undefined);

export const hasBees: Check = ({ room }) =>
  room.colony ? undefined : 'No bees are recorded in this room yet.';

const WITH_A_QUEEN: readonly Status[] = ['laying', 'proven', 'queenright', 'virgin'];
const DAY_MS = 86_400_000;
export const queenKnown: Check = ({ room: { colony, queens, status }, now, constants: { sheKnown_d } }) => {
  const seen = colony?.evidenceOn;
  if (queens.length === 0 && !WITH_A_QUEEN.includes(status)) return 'No queen is known to be in this room.';
  return seen !== undefined && Date.parse(now) - Date.parse(seen) <= sheKnown_d * DAY_MS
    ? undefined
    : `Neither she nor her eggs were seen in this room in the last ${countOf(sheKnown_d, 'day')}.`;
};

/** Queens that are known to walk free in it. */
export const noFreeQueen: Check = ({ room: { queens, status } }) => {
  const free = queens.filter(({ cage }) => cage === undefined);
  if (free.length > 0)
    return `${countOf(free.length, 'queen is', 'queens are')} known to be free in this room.`;
  return WITH_A_QUEEN.includes(status) ? 'These bees are recorded with a queen.' : undefined;
};

/** Flight entrances of the room that let workers out. */
export const flies = ({ view, room }: Pick<Scene, 'view' | 'room'>): number =>
  (view.model.compartments[room.position]?.entrances ?? []).filter(({ opening }) =>
    ['open', 'reduced', 'workersOnly'].includes(opening.state),
  ).length;

export const canFly: Check = (scene) =>
  flies(scene) > 0 ? undefined : 'No entrance of this room lets bees out.';
export const isShut: Check = (scene) =>
  flies(scene) > 0
    ? `${countOf(flies(scene), 'entrance lets', 'entrances let')} bees out of this room still.`
    : undefined;
