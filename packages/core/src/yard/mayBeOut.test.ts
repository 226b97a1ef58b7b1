import { describe, expect, it } from 'vitest';
import { defaultConstants } from '../constants/registry.ts';
import type { StandingCompartment } from './compartments.ts';
import { mayBeOut } from './mayBeOut.ts';

const room = (status: string, attempt?: object) => ({ status, attempt }) as unknown as StandingCompartment;
const out = (of: StandingCompartment, on: string) => mayBeOut(of, on, defaultConstants);
const cell = { what: 'cell', givenOn: '2026-05-10' };

describe('whether she may be out', () => {
  it('is so from the fourth day of her cell, and no more once she lays', () => {
    expect(out(room('cellGiven', cell), '2026-05-13')).toBe(false);
    expect(out(room('cellGiven', cell), '2026-05-14')).toBe(true);
    expect(out(room('virgin', cell), '2026-05-31')).toBe(true);
    expect(out(room('laying', cell), '2026-05-31')).toBe(false);
    expect(out(room('stocked'), '2026-05-31')).toBe(false);
  });

  it('counts from the day she was born, where that is known, and from any day where nothing is', () => {
    const virgin = { what: 'virgin', givenOn: '2026-05-20', bornOn: '2026-05-12' };
    expect(out(room('virgin', virgin), '2026-05-13')).toBe(false);
    expect(out(room('virgin', virgin), '2026-05-14')).toBe(true);
    expect(out(room('virgin'), '2026-05-01')).toBe(true);
  });
});
