/** Litres in a pint: of 28.875 and of 34.677 cubic inches; two make a quart. */
export const LITRES_PER_PINT = { us: 0.473176473, imperial: 0.56826125 } as const;
