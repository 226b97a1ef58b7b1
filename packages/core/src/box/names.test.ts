import { describe, expect, it } from 'vitest';
import { compassPoint, sideBearing } from './compass.ts';
import { compartmentNames } from './names.ts';

describe('names of compartments', () => {
  it('follow the compass where the box stands: seen from above with the front south, x runs from west to east', () => {
    expect(compartmentNames(3, 180)).toEqual(['West', 'Middle', 'East']);
    expect(compartmentNames(2, 90)).toEqual(['South', 'North']);
    expect(compartmentNames(4, 0)).toEqual(['East', 'Mid-east', 'Mid-west', 'West']);
    expect(compartmentNames(2, 225)).toEqual(['North-west', 'South-east']);
  });
  it('are left and right on the drawing board', () => {
    expect(compartmentNames(2)).toEqual(['Left', 'Right']);
    expect(new Set(compartmentNames(9)).size).toBe(9);
  });
  it('are all different for any number and bearing', () => {
    for (let count = 1; count <= 9; count++)
      for (let bearing = 0; bearing < 360; bearing += 15)
        expect(new Set(compartmentNames(count, bearing)).size).toBe(count);
  });
});

describe('bearings', () => {
  it('go round', () => {
    expect(compassPoint(359)).toBe('north');
    expect(compassPoint(-45)).toBe('north-west');
    expect(sideBearing(180, 'left')).toBe(270);
    expect(sideBearing(350, 'back')).toBe(170);
  });
});
