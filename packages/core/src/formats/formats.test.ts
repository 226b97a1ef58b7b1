import { Format } from '@yellow-cell/contract';
import { describe, expect, it } from 'vitest';
import { framesWidth } from '../box/fit.ts';
import { frameFormat, standardFormats, standardOf } from './formats.ts';

describe('standard formats', () => {
  it('are valid, have ids of their own, and are found again from a design’s copy', () => {
    expect(new Set(standardFormats.map(({ id }) => id)).size).toBe(standardFormats.length);
    for (const standard of standardFormats) {
      expect(Format.parse(frameFormat(standard))).toEqual(frameFormat(standard));
      expect(standardOf(frameFormat(standard))).toBe(standard);
    }
    expect(standardOf({ ...frameFormat(standardFormats[0] as Format), id: 'own' })).toBeUndefined();
  });

  it('fit their usual widths with their usual number of frames, and not one more', () => {
    for (const { widths, ...format } of standardFormats) {
      for (const { width_mm, frames } of widths) {
        expect({ format: format.name, slack: framesWidth(frames, format) <= width_mm }).toEqual({
          format: format.name,
          slack: true,
        });
        const more = width_mm - framesWidth(frames + 1, format);
        // British National is the exception that the handbook names: eleven frames and a dummy.
        if (!format.id.startsWith('national')) expect(more).toBeLessThan(3);
      }
    }
  });

  it('hang in their body: the bar reaches beyond the inside, the frame does not, with bee space at its ends and below', () => {
    for (const { topBar_mm, bodyLength_mm, insideLength_mm, depth_mm, bodyDepth_mm } of standardFormats) {
      expect(topBar_mm).toBeGreaterThan(insideLength_mm);
      const ends = (insideLength_mm - bodyLength_mm) / 2;
      expect(ends).toBeGreaterThanOrEqual(6);
      expect(ends).toBeLessThanOrEqual(9.5);
      expect(bodyDepth_mm).toBeGreaterThan(depth_mm);
    }
  });
});
