import type { Units } from '@yellow-cell/contract';

/** Resistance to heat: m²K/W, or ft²·°F·h/BTU where lengths are read in inches (0.3048² m² × 5/9 K × 3,600 s / 1,055.056 J). */
const PER_SI: Readonly<Record<Units, number>> = { mm: 1, inch: 5.678263 };
export const R_UNITS: Readonly<Record<Units, string>> = { mm: 'm²K/W', inch: 'ft²·°F·h/BTU' };

export const rIn = (r_m2KW: number, units: Units): number => r_m2KW * PER_SI[units];
export const rOf = (shown: number, units: Units): number => shown / PER_SI[units];
