/** Kilograms in each unit that weights are typed in. */
export const KG_PER: Readonly<Record<string, number>> = {
  kg: 1,
  g: 0.001,
  lb: 0.453592,
  lbs: 0.453592,
  oz: 0.0283495,
};

/** A weight as a person types it, in kg, to the gram: a bare number is in `unit`; “26 lb”, “250 g”. NaN where it is none. */
export function readWeight(typed: string, unit: 'kg' | 'lb' = 'kg'): number {
  const [, number = '', said = ''] = /^\s*(\d+(?:[.,]\d+)?|[.,]\d+)\s*([a-z]*)\s*$/i.exec(typed) ?? [];
  const per = KG_PER[said.toLowerCase() || unit];
  return number === '' || per === undefined ? Number.NaN : inGrams(Number(number.replace(',', '.')) * per);
}

export const inGrams = (kg: number): number => Number(kg.toFixed(3));
