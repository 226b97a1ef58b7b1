import { describe, expect, it } from 'vitest';
import { familyDesign } from '../families/build.ts';
import { observation } from '../families/observation.ts';
import { standardFormats } from '../formats/formats.ts';
import { BEHIND_LUGS_MM, hasBottomSpace, ledgeFor, rebateFor, wallFor } from '../formats/lugs.ts';
import { deriveBox } from './model.ts';
import { withLayers } from './parts.ts';
import { mm } from './plainParts.ts';
import { standardDesign } from './standardDesign.ts';

const gapsOf = (format: string) => {
  const { gaps } = deriveBox(standardDesign({ format, thickness: mm(9.5), frames: [4] }));
  return (kind: string) => gaps.find((gap) => gap.kind === kind)?.gap_mm ?? Number.NaN;
};

describe('gaps of standard bodies (handbook 2, formats)', () => {
  it('leave bee space at the ends of the frames in every format', () => {
    for (const { id } of standardFormats) {
      expect(gapsOf(id)('frameEnd')).toBeGreaterThanOrEqual(6);
      expect(gapsOf(id)('frameEnd')).toBeLessThanOrEqual(9.5);
    }
  });

  it('lie above the frames where the format has its bee space on top, below where it does not', () => {
    expect(gapsOf('langstroth-deep')('aboveFrames')).toBeCloseTo(6.5, 9);
    expect(gapsOf('langstroth-deep')('underFrames')).toBeCloseTo(10 + 5.5, 9);
    expect(gapsOf('national-deep')('aboveFrames')).toBeCloseTo(0, 9);
    expect(gapsOf('national-deep')('underFrames')).toBeCloseTo(10 + 9, 9);
  });

  it('come to 12 mm between two Langstroth bodies: 6.5 below the joint and 5.5 above it', () => {
    const one = standardDesign({ format: 'langstroth-deep', thickness: mm(9.5), frames: [10] });
    const two = withLayers(one, (layers, ids) => {
      const [first, ...rest] = layers;
      if (first?.kind !== 'body') return layers;
      const upper = {
        ...first,
        id: ids.next('body'),
        entrances: [],
        bays: [
          {
            ...(first.bays[0] as (typeof first.bays)[number]),
            id: ids.next('bay'),
            frames: [{ id: ids.next('slot'), holds: 'comb' as const }],
          },
        ],
      };
      return [first, upper, ...rest];
    });
    const joint = deriveBox(two).gaps.find(({ kind }) => kind === 'joint');
    expect(joint?.gap_mm).toBeCloseTo(12, 9);
    expect(joint?.verdict).toBe('beeSpace');
  });

  it('are measured from the comb to a pane, and from pane to pane', () => {
    const { gaps } = deriveBox(observation('wall'));
    expect(gaps.filter(({ kind }) => kind === 'pane').map(({ gap_mm }) => gap_mm)).toEqual(
      Array(6).fill(8.5),
    );
    expect(gaps.filter(({ kind }) => kind === 'paneToPane').map(({ gap_mm }) => gap_mm)).toEqual([
      42, 42, 42,
    ]);
  });

  it('beside the frames share the slack between both sides', () => {
    const { gaps } = deriveBox(familyDesign('threeWay'));
    for (const { gap_mm } of gaps.filter(({ kind }) => kind === 'besideFrames'))
      expect(gap_mm).toBeCloseTo(13.3 / 2, 6);
  });
});

describe('lug rests (handbook 2)', () => {
  const ledge = (id: string) => {
    const format = standardFormats.find((each) => each.id === id);
    if (!format) throw new Error(id);
    return { format, ledge: ledgeFor(format, format.insideLength_mm), inside: format.insideLength_mm };
  };

  it.each([
    ['langstroth-deep', 9.5],
    ['dadant-blatt', 10.5],
    ['zander', 20.5],
    ['national-deep', 31.5],
    ['national-14x12', 31.5],
  ])('%s needs a ledge of %d mm', (id, expected) => {
    expect(ledge(id).ledge).toBeCloseTo(expected, 9);
  });

  it('leave enough wall behind the lugs, and the rebate as deep as the format’s bee space wants', () => {
    for (const { id } of standardFormats) {
      const { format, ledge: width, inside } = ledge(id);
      expect(wallFor(format, inside, 19) - width).toBeGreaterThanOrEqual(BEHIND_LUGS_MM);
      expect(rebateFor(format, inside)?.depth.mm).toBe(hasBottomSpace(format) ? 9.5 : 16);
    }
  });
});
