import { autumnTime } from '../../winter/autumn.ts';
import { withoutQueen } from '../withoutQueen.ts';
import type { Act } from './act.ts';
import type { Objection, Situation } from './situation.ts';

/** What speaks against reducing a cavity, or against a plan for the winter (requirement 64; handbook 7, when and who). */
export function winterWarnings({ state, weather, constants }: Situation, act: Act): Objection[] {
  if (!reduces(act)) return [];
  const time = autumnTime(weather, constants);
  const colony = act.kind === 'winterPlanned' ? state.colonies.get(act.payload.colony) : undefined;
  const spends = act.kind === 'winterPlanned' && act.payload.act !== 'combine' && act.payload.act !== 'leave';
  return [
    ...(time.is === 'expanding' && cuts(act)
      ? [
          {
            sentence: `${time.sentence} Against the board a growing colony finds no room, and may swarm.`,
          },
        ]
      : []),
    ...(spends && colony && withoutQueen(colony.status)
      ? [{ sentence: 'These bees have no queen: they are combined before room or feed is spent on them.' }]
      : []),
  ];
}

const reduces = ({ kind, payload }: Act): boolean =>
  kind === 'winterPlanned' || (kind === 'framesMoved' && payload.purpose === 'reduce');
/** Frames come out, now or as planned; to feed, or to join, harms at no time. */
const cuts = ({ kind, payload }: Act): boolean =>
  kind === 'winterPlanned'
    ? payload.act === 'reduce'
    : kind === 'framesMoved' && payload.moves.some(({ to }) => to === null);
