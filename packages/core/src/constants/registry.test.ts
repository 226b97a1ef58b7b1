import { describe, expect, it } from 'vitest';
import { constantProblem, constantsWith, defaultConstants, registry } from './registry.ts';

describe('constants', () => {
  it('have defaults within their own range, a unit and a source', () => {
    for (const [name, { value, unit, source }] of Object.entries(registry)) {
      expect(constantProblem(name, value)).toBeUndefined();
      expect(unit).not.toBe('');
      expect(source).toMatch(/^[A-Z]/);
    }
  });
  it('take a yard’s own values, and refuse unknown names and values out of range', () => {
    expect(constantsWith({ eggsFrom_d: 11 }).eggsFrom_d).toBe(11);
    expect(constantsWith({ eggsFrom_d: 1_000, other: 3 })).toEqual(defaultConstants);
    expect(constantProblem('eggsFrom_d', Number.NaN)).toContain('outside');
    expect(constantProblem('other', 1)).toContain('no constant');
  });
});
