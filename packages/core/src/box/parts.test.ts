import { describe, expect, it } from 'vitest';
import { familyDesign } from '../families/build.ts';
import { families } from '../families/families.ts';
import { designProblems, partIdsOf } from './designProblems.ts';
import { withDividerAt } from './editDesign.ts';
import { withEntranceAdded, withVentAdded } from './entrances.ts';
import { deriveBox } from './model.ts';
import { bodyWith, findPart, withBody, withoutPart, withPart } from './parts.ts';
import { mm } from './plainParts.ts';
import { mainBody } from './stack.ts';

describe('parts by their ids', () => {
  it('are found in every family, each in its body', () => {
    for (const { family } of families) {
      const design = familyDesign(family);
      for (const id of partIdsOf(design)) expect(findPart(design, id)?.id).toBe(id);
      for (const { id } of mainBody(design).boards)
        expect(bodyWith(design, id)?.id).toBe(mainBody(design).id);
      expect(findPart(design, 'nothing')).toBeUndefined();
    }
  });

  it('are changed alone, and the design they came from stays as it was', () => {
    const design = familyDesign('threeWay');
    const before = JSON.parse(JSON.stringify(design));
    const [board, other] = mainBody(design).boards;
    const changed = withPart(design, board?.id ?? '', { thickness: mm(4), ears: false });
    expect(mainBody(changed).boards[0]).toEqual({ ...board, thickness: mm(4), ears: false });
    expect(mainBody(changed).boards[1]).toEqual(other);
    expect(design).toEqual(before);
  });

  it('go without leaving anything that names them', () => {
    for (const { family } of families) {
      const design = familyDesign(family);
      const removable = [
        ...mainBody(design).boards,
        ...mainBody(design).entrances,
        ...mainBody(design).bays.flatMap(({ frames }) => frames),
      ];
      for (const { id } of removable) {
        const without = withoutPart(design, id);
        expect(findPart(without, id)).toBeUndefined();
        expect(designProblems(without)).toEqual([]);
        expect(() => deriveBox(without)).not.toThrow();
      }
    }
  });

  it('come with an id that was never given before', () => {
    const design = familyDesign('threeWay');
    const { id, bays } = mainBody(design);
    const more = withVentAdded(
      withEntranceAdded(design, id, bays[1]?.id ?? '', 'back'),
      id,
      bays[1]?.id ?? '',
      'back',
    );
    const fresh = partIdsOf(more).filter((each) => !partIdsOf(design).includes(each));
    expect(fresh).toHaveLength(2);
    expect(more.lastPart).toBe(design.lastPart + 2);
    const opened = deriveBox(more).openings.filter((opening) => fresh.includes(opening.id));
    for (const { serves } of opened) expect(serves.map(({ space }) => space)).toEqual([bays[1]?.id]);
    expect(withEntranceAdded(design, id, 'no bay')).toEqual(design);
  });

  it('that do not exist change nothing', () => {
    const design = familyDesign('nucleus');
    expect(withDividerAt(design, 'no board', mm(10))).toBe(design);
    expect(withBody(design, 'no body', (body) => ({ ...body, depth: mm(1) })).layers).toEqual(design.layers);
  });
});
