import { describe, expect, it } from 'vitest';
import { warmSide } from './warmSide.ts';

describe('the side that the sun warms', () => {
  it('is west of a front to the south, and east of one to the north in the south', () => {
    expect(warmSide(180, 48, '2026-12-01')).toMatchObject({ end: 'left', bearing_deg: 270 });
    // Seen with the front nearest, west is at the right of a front to the north.
    expect(warmSide(0, -41, '2026-06-01')).toMatchObject({ end: 'right', bearing_deg: 270 });
    expect(warmSide(90, 48, '2026-12-01')).toMatchObject({ end: 'left', bearing_deg: 180 });
    expect(warmSide(270, 48, '2026-12-01')).toMatchObject({ end: 'right', bearing_deg: 180 });
  });

  it('mirrors between the halves of the earth, half a year apart', () => {
    const north = warmSide(150, 45, '2026-12-21');
    const south = warmSide(30, -45, '2026-06-21');
    expect(south.end).not.toBe(north.end);
    expect(south.more).toBeCloseTo(north.more, 1);
  });
});
