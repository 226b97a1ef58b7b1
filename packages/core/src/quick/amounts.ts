import type { LineMeasures } from '@yellow-cell/contract';
import { LITRES_PER_PINT } from '../units/volume.ts';
import { inGrams, KG_PER } from '../units/weight.ts';

/** An amount as it is said: a weight, or a volume that wants a density. */
export type Amount = { kg: number } | { litres: number } | { pints: number };

const LITRES: Readonly<Record<string, number>> = {
  l: 1,
  litre: 1,
  litres: 1,
  liter: 1,
  liters: 1,
  ml: 0.001,
};
const PINTS: Readonly<Record<string, number>> = {
  pt: 1,
  pint: 1,
  pints: 1,
  pts: 1,
  qt: 2,
  qts: 2,
  quart: 2,
  quarts: 2,
};
const KILOGRAMS: Readonly<Record<string, number>> = {
  ...KG_PER,
  kgs: 1,
  kilo: 1,
  kilos: 1,
  gram: 0.001,
  grams: 0.001,
  gr: 0.001,
  pound: KG_PER.lb ?? 0,
  pounds: KG_PER.lb ?? 0,
  ounce: KG_PER.oz ?? 0,
  ounces: KG_PER.oz ?? 0,
};
export const weightUnits: readonly string[] = Object.keys(KILOGRAMS);
export const volumeUnits: readonly string[] = [...Object.keys(LITRES), ...Object.keys(PINTS)];

export function weightOf(value: number, unit: string): number | undefined {
  const per = KILOGRAMS[unit];
  return per === undefined ? undefined : inGrams(value * per);
}
export function volumeOf(value: number, unit: string, { pints }: LineMeasures): Amount | undefined {
  const litres = LITRES[unit];
  if (litres !== undefined) return { litres: value * litres };
  const measured = PINTS[unit];
  if (measured === undefined) return undefined;
  return pints ? { litres: value * measured * LITRES_PER_PINT[pints] } : { pints: value * measured };
}
