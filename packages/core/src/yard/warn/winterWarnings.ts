import { autumnTime } from '../../winter/autumn.ts';
import { tooColdToOpen } from '../due/weather.ts';
import { withoutQueen } from '../withoutQueen.ts';
import type { Act } from './act.ts';
import type { Objection, Situation } from './situation.ts';

/** What speaks against reducing a cavity, or against a plan for the winter (requirement 64; handbook 7, when and who). */
export function winterWarnings(situation: Situation, act: Act): Objection[] {
  const { state, weather, constants } = situation;
  if (!reduces(act)) return openings(situation, act);
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

/** Combs out of a colony in the cold (requirements 62 and 63). */
function openings({ weather, constants, on }: Situation, { kind }: Act): Objection[] {
  const cold = OPENS.includes(kind) ? tooColdToOpen(weather, constants, on) : undefined;
  return cold
    ? [
        {
          sentence: `Days reach ${cold.mean_C.toFixed(0)} °C in the mean of a fortnight: out of season a colony is not opened but for the short check (strips, a look down, floor, lid, strap), or for food above the cluster.`,
        },
      ]
    : [];
}
const OPENS: readonly Act['kind'][] = ['frameAudited', 'patternScored', 'wildCellsSearched', 'queenMarked'];

const reduces = ({ kind, payload }: Act): boolean =>
  kind === 'winterPlanned' || (kind === 'framesMoved' && payload.purpose === 'reduce');
/** Frames come out, now or as planned; to feed, or to join, harms at no time. */
const cuts = ({ kind, payload }: Act): boolean =>
  kind === 'winterPlanned'
    ? payload.act === 'reduce'
    : kind === 'framesMoved' && payload.moves.some(({ to }) => to === null);
