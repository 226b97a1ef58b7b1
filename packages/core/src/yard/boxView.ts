import type { BoxState, DesignContent } from '@yellow-cell/contract';
import { type BoxModel, deriveBox } from '../box/model.ts';
import type { Day } from '../calendar/days.ts';
import type { Constants } from '../constants/registry.ts';
import { boxFromAbove } from '../drawing/fromAbove.ts';
import type { Drawing } from '../drawing/shapes.ts';
import { carriedForward } from './ahead.ts';
import { byBox } from './byBox.ts';
import { compartmentsOf, designOf, type StandingCompartment } from './compartments.ts';
import type { Expectation, Weather } from './due/expectation.ts';
import { expectationsOf } from './due/rules.ts';
import { dueOn, firstExpectation, type Urgency, urgencyOn } from './due/urgency.ts';
import type { Known, YardState } from './state.ts';

/** A compartment with what is expected of it, and the one thing to name first. */
export interface CompartmentView extends StandingCompartment {
  /** True where the plan of a day ahead takes for done what is expected by then. */
  assumed?: true;
  expectations: readonly Expectation[];
  /** All that is due on the day, most pressing first. */
  due: readonly Expectation[];
  /** The most pressing, or where nothing is due what comes next. */
  first: Expectation | undefined;
  urgency: Urgency | undefined;
}

/** A box as it stands on a day: what screens, cards and lists show of it. */
export interface BoxView {
  box: BoxState;
  design: DesignContent;
  designName: string;
  drawing: Drawing;
  model: BoxModel;
  compartments: readonly CompartmentView[];
}

const byLabel = new Intl.Collator('en', { numeric: true });
export const inOrderOfLabels = (a: BoxView, b: BoxView): number => byLabel.compare(a.box.label, b.box.label);

/** The boxes that stand in a yard on a day, in the order of their labels; all of them, or those of `among`. */
export function boxViews(
  state: YardState,
  known: Known,
  yard: string,
  constants: Constants,
  asked: { on: Day; today: Day; now?: string },
  among: Iterable<BoxState> = state.boxes.values(),
): BoxView[] {
  const weather: Weather = state.weather.get(yard) ?? new Map();
  const own = byBox(state);
  return [...among]
    .filter(({ place, takenApartOn }) => place?.yard === yard && !takenApartOn)
    .flatMap((box): BoxView[] => {
      const design = designOf(known.designs, box);
      if (!design) return [];
      const compartments = compartmentsOf(own(box.id), known.designs, box).map((now): CompartmentView => {
        const compartment = carriedForward(now, asked, weather, constants);
        const expectations = expectationsOf(compartment, box, weather, constants);
        const first = firstExpectation(expectations, asked);
        return {
          ...compartment,
          expectations,
          due: dueOn(expectations, asked),
          first,
          urgency: first && urgencyOn(first, asked),
        };
      });
      const designName = known.designs.get(box.design)?.name ?? '';
      return [{ box, design, designName, ...shapesOf(design), compartments }];
    })
    .sort(inOrderOfLabels);
}

export const isDue = ({ due }: CompartmentView): boolean => due.length > 0;

/** Drawings are the same for all boxes of a version, and do not change with the date. */
const shapes = new WeakMap<DesignContent, { model: BoxModel; drawing: Drawing }>();
function shapesOf(design: DesignContent): { model: BoxModel; drawing: Drawing } {
  let found = shapes.get(design);
  if (!found) {
    const model = deriveBox(design);
    found = { model, drawing: boxFromAbove(model) };
    shapes.set(design, found);
  }
  return found;
}
