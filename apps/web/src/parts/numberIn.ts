/** A number as a person types it, with a comma or a point; NaN where it is none. */
export const numberIn = (typed: string): number =>
  typed.trim() === '' ? Number.NaN : Number(typed.trim().replace(',', '.'));
