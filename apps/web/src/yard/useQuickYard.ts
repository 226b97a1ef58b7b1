import { bodiesOf, drawnDesign, lineMeasures, type QuickBox } from '@yellow-cell/core';
import { useEffect } from 'react';
import { useAsOf } from '../app/now.ts';
import { useMeasures } from '../app/units.ts';
import { tellQuickYard } from '../quick/quickContext.ts';
import type { Choice } from './useChoice.ts';
import type { BoxView, YardView } from './useYard.ts';

/** While a yard is on screen as it stands today, the quick line may enter what was done in it. */
export function useQuickYard(view: YardView, { box, bay }: Pick<Choice, 'box' | 'bay'>): void {
  const { isToday } = useAsOf();
  const measures = useMeasures();
  useEffect(() => {
    if (!isToday) return undefined;
    const at = view.boxes.find((each) => each.box.id === box);
    const compartment = at?.compartments.findIndex(({ bays }) => bay !== undefined && bays.includes(bay));
    tellQuickYard({
      context: {
        boxes: view.boxes.map((each) => quickBox(view, each)),
        rounds: [...view.state.rounds.values()].map(({ id, number }) => ({ id, number })),
        today: view.on,
        measures: lineMeasures(measures),
        ...(box
          ? { chosen: { box, ...(compartment !== undefined && compartment >= 0 ? { compartment } : {}) } }
          : {}),
      },
      situation: view,
    });
    return () => tellQuickYard(undefined);
  }, [view, isToday, box, bay, measures]);
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
      stockedOn: colony?.stockedOn,
      queen: queens.length === 1 ? queens[0]?.id : undefined,
      attempt: attempt && status !== 'stocked' && status !== 'failed' ? attempt.id : undefined,
      entrances: model.compartments[index]?.entrances.map(({ id }) => id) ?? [],
      bays,
      frames,
    })),
  };
}
