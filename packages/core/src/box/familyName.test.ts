import { describe, expect, it } from 'vitest';
import { familyDesign } from '../families/build.ts';
import { families } from '../families/families.ts';
import { withCompartmentCount } from './editDesign.ts';
import { rightlyNamed } from './familyName.ts';
import { withoutPart } from './parts.ts';
import { mainBody } from './stack.ts';

describe('the name of a plain family', () => {
  it('follows the rooms that it has', () => {
    const before = familyDesign('threeWay');
    const named = (rooms: number) => rightlyNamed(before, withCompartmentCount(before, rooms)).family;
    expect([1, 2, 3, 4].map(named)).toEqual(['nucleus', 'twoWayBody', 'threeWay', 'fourWay']);
  });

  it('follows a divider that is taken out', () => {
    const before = familyDesign('threeWay');
    const [board] = mainBody(before).boards;
    expect(rightlyNamed(before, withoutPart(before, board?.id ?? '')).family).toBe('twoWayBody');
  });

  it('is left where its rooms stay, where another was chosen, and of families that are more than rooms', () => {
    for (const { family } of families) {
      const design = familyDesign(family);
      expect(rightlyNamed(design, design)).toBe(design);
    }
    const chosen = { ...familyDesign('threeWay'), family: 'twoWayBody' as const };
    expect(rightlyNamed(familyDesign('threeWay'), chosen).family).toBe('twoWayBody');
    expect(rightlyNamed(chosen, withCompartmentCount(chosen, 4)).family).toBe('twoWayBody');
    const held = familyDesign('donorHolding');
    expect(rightlyNamed(held, withCompartmentCount(held, 1)).family).toBe('donorHolding');
  });
});
