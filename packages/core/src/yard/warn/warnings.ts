import type { BoxState, Payload } from '@yellow-cell/contract';
import type { Act } from './act.ts';
import { effectWarnings } from './effects.ts';
import { frameWarnings } from './frames.ts';
import { combiningWarnings, mixingWarnings } from './joining.ts';
import { type BoxChange, changeWarnings } from './passages.ts';
import { readinessWarnings } from './readiness.ts';
import { roleWarnings } from './roleWarnings.ts';
import type { Objection, Situation, Warning, WarningSource } from './situation.ts';
import { timeWarnings } from './timeWarnings.ts';
import { winterWarnings } from './winterWarnings.ts';

/** What speaks against an entry, before it is kept. Most have nothing against them. */
export const warningsOf = (situation: Situation, act: Act): Warning[] => [
  ...from('Special roles', roleWarnings(situation, act)),
  ...from('Watching a compartment', timeWarnings(situation, act)),
  ...ownWarnings(situation, act),
  ...from('Passages', effectWarnings(situation, act)),
  ...from('Reducing: when and who', winterWarnings(situation, act)),
];

const from = (source: WarningSource, objections: readonly Objection[]): Warning[] =>
  objections.map((each) => ({ ...each, source }));

function ownWarnings(situation: Situation, act: Act): Warning[] {
  const { state } = situation;
  switch (act.kind) {
    case 'framesMoved':
      return from('Keeping track', frameWarnings(situation, act.payload));
    case 'combined': {
      const [colony, into] = [act.payload.colony, act.payload.into].map((id) => state.colonies.get(id));
      return colony && into ? from('Combining', combiningWarnings(situation, colony, into)) : [];
    }
    case 'queenGiven':
      return [
        ...boxWarnings(situation, act),
        ...from('Giving cells', notQueenlessLong(situation, act.payload)),
      ];
    case 'stocked': {
      const [there, giver] = [act.payload.colony, act.payload.giver?.colony].map((id) =>
        id === undefined ? undefined : state.colonies.get(id),
      );
      const box = state.boxes.get(act.payload.box);
      return [
        ...(box && !there ? from('Order of assembly', readinessWarnings(box, situation)) : []),
        ...(there && giver ? from('Combining', mixingWarnings(situation, there, giver)) : []),
      ];
    }
    case 'coverSet': {
      const { box, colony, on } = act.payload;
      const open = [...state.colonies.values()].find(
        (each) => each.box === box && each.id !== colony && !each.ended && each.coverOffOn,
      );
      return !on && open
        ? [
            {
              sentence:
                'Another cover of this box is off: two open at once, and bees or a queen cross over. Put that one back first.',
              source: 'Passages',
            },
          ]
        : [];
    }
    case 'colonyMoved': {
      const box = state.boxes.get(act.payload.toBox);
      return box && act.payload.toBox !== act.payload.box
        ? from('Order of assembly', readinessWarnings(box, situation))
        : [];
    }
    default:
      return boxWarnings(situation, act);
  }
}

/** A virgin wants bees that have been without a queen for about a day (requirement 53). */
function notQueenlessLong(
  { state, on }: Situation,
  { colony: id, what }: Payload<'queenGiven'>,
): Objection[] {
  const colony = state.colonies.get(id);
  return what === 'virgin' && colony && colony.since >= on
    ? [
        {
          sentence:
            'These bees are without a queen since today: a virgin is taken better after about a day without one.',
        },
      ]
    : [];
}

function boxWarnings({ state, designs }: Situation, act: Act): Warning[] {
  const change = changeOf(act);
  const box: BoxState | undefined =
    change && 'box' in act.payload ? state.boxes.get(act.payload.box) : undefined;
  return change && box ? from('Passages', changeWarnings(state, designs, box, change)) : [];
}

/** What an entry changes of the box that it is about, as its passages see it. */
function changeOf(act: Act): BoxChange | undefined {
  switch (act.kind) {
    case 'dividerSet':
      return { kind: 'divider', board: act.payload.board, stands: act.payload.stands };
    case 'boardMoved':
      return { kind: 'board', board: act.payload.board, groove: act.payload.groove };
    case 'boardPlaced': {
      const { box: _, ...place } = act.payload;
      return { kind: 'place', place };
    }
    case 'holeSet':
      return { kind: 'hole', hole: act.payload.hole, closedBy: act.payload.closedBy };
    case 'entranceSet':
      return { kind: 'entrance', entrance: act.payload.entrance, state: act.payload.state };
    case 'cellGiven':
      return { kind: 'cell', colony: act.payload.colony, bay: act.payload.bay };
    case 'queenGiven':
      return {
        kind: 'queen',
        colony: act.payload.colony,
        what: act.payload.what,
        bay: act.payload.bay,
      };
    default:
      return undefined;
  }
}
