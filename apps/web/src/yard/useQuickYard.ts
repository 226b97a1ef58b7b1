import type { ReachWarning } from '@yellow-cell/contract';
import {
  type BoxChange,
  bodiesOf,
  drawnDesign,
  type QuickAct,
  type QuickBox,
  warningsOf,
} from '@yellow-cell/core';
import { useEffect } from 'react';
import { useAsOf } from '../app/now.ts';
import { tellQuickYard } from '../app/quickContext.ts';
import type { Choice } from './useChoice.ts';
import type { BoxView, YardView } from './useYard.ts';

/** While a yard is on screen as it stands today, the quick line may enter what was done in it. */
export function useQuickYard(view: YardView, { box, bay }: Choice): void {
  const { isToday } = useAsOf();
  useEffect(() => {
    if (!isToday) return undefined;
    const at = view.boxes.find((each) => each.box.id === box);
    const compartment = at?.compartments.findIndex(({ bays }) => bay !== undefined && bays.includes(bay));
    tellQuickYard({
      context: {
        boxes: view.boxes.map((each) => quickBox(view, each)),
        rounds: [...view.state.rounds.values()].map(({ id, number }) => ({ id, number })),
        today: view.on,
        ...(box
          ? { chosen: { box, ...(compartment !== undefined && compartment >= 0 ? { compartment } : {}) } }
          : {}),
      },
      warningsFor: (acts) => acts.flatMap((act) => warningsFor(view, act)),
    });
    return () => tellQuickYard(undefined);
  }, [view, isToday, box, bay]);
}

function quickBox({ designs }: YardView, { box, compartments, model }: BoxView): QuickBox {
  const drawn = drawnDesign(designs, box);
  return {
    id: box.id,
    label: box.label,
    boards: drawn ? bodiesOf(drawn).flatMap(({ boards }) => boards.map(({ id }) => id)) : [],
    compartments: compartments.map(({ name, colony, attempt, status, queens, bays, frames }, index) => ({
      name,
      colony: colony?.id,
      queen: queens.length === 1 ? queens[0]?.id : undefined,
      attempt: attempt && status !== 'stocked' && status !== 'failed' ? attempt.id : undefined,
      entrances: model.compartments[index]?.entrances.map(({ id }) => id) ?? [],
      bays,
      frames,
    })),
  };
}

function warningsFor({ state, designs }: YardView, act: QuickAct): readonly ReachWarning[] {
  const change = changeOf(act);
  const box = change && 'box' in act.payload ? state.boxes.get(act.payload.box) : undefined;
  return change && box ? warningsOf(state, designs, box, change) : [];
}

/** What an entry changes of the box that it is about; most change nothing. */
function changeOf(act: QuickAct): BoxChange | undefined {
  switch (act.kind) {
    case 'dividerSet':
      return { kind: 'divider', board: act.payload.board, stands: act.payload.stands };
    case 'entranceSet':
      return { kind: 'entrance', entrance: act.payload.entrance, state: act.payload.state };
    case 'cellGiven':
      return { kind: 'cell', colony: act.payload.colony };
    case 'queenGiven':
      return { kind: 'queen', colony: act.payload.colony, what: act.payload.what };
    default:
      return undefined;
  }
}
