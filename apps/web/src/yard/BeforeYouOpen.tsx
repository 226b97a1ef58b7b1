import { clockBySun, listOf, mayBeOut, sunset } from '@yellow-cell/core';
import type { BoxView, CompartmentView, YardView } from './useYard.ts';

interface BeforeYouOpenProps {
  view: YardView;
  boxView: BoxView;
  compartment: CompartmentView;
}

/** The cautions of opening, short, with the neighbours' names. */
export function BeforeYouOpen({ view, boxView: { compartments }, compartment }: BeforeYouOpenProps) {
  const { on, yard } = view;
  const sets = sunset(on, yard);
  const neighbours = compartments.filter(({ position }) => Math.abs(position - compartment.position) === 1);
  const virgins = compartments.filter((each) => mayBeOut(each, on, view.constants));
  const confined = compartment.role === 'donor' && compartment.queens.length > 0;
  return (
    <>
      <h3 className="eyebrow">Before you open</h3>
      <p className="text-soft">
        Veil and gloves; whoever has reacted to stings before keeps away or works under a doctor’s advice.{' '}
        {neighbours.length > 0 &&
          `One compartment at a time: keep ${listOf(neighbours.map(({ name }) => name))} covered, and look under the lid for the queen. `}
        {virgins.length > 0 &&
          `Not between 11 and 17 h by the sun (${clockBySun(on, 11, yard)} to ${clockBySun(on, 17, yard)} by the clock) in flying weather: ${listOf(virgins.map(({ name }) => name))} may have a virgin out. `}
        {confined && 'Before you close: the queen is known to be on her side. '}
        {sets && `Dusk: the sun sets at ${sets}. `}
      </p>
    </>
  );
}
