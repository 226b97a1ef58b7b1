import { KG_PER } from '@yellow-cell/core';
import type { ScaleLinear } from 'd3-scale';
import { useMeasures } from '../app/units.ts';
import { Ticks } from './Ticks.tsx';

/** Lines across a chart of kg, at round figures of the reader’s own unit of weight. */
export function WeightTicks({ y, from, to }: { y: ScaleLinear<number, number>; from: number; to: number }) {
  const per = KG_PER[useMeasures().weight] ?? 1;
  const inUnit = y.copy().domain(y.domain().map((kg) => kg / per));
  return <Ticks y={inUnit} from={from} to={to} show={String} />;
}
