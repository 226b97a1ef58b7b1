import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type ClusterRoom, clusterArea } from './clusterShape.ts';

const wide: ClusterRoom = { width_m: 0.37, length_m: 0.46, depth_m: 0.24 };
const ball = (volume_m3: number): number => (36 * Math.PI * volume_m3 ** 2) ** (1 / 3);

describe('a cluster in its room', () => {
  it('is a ball where there is room for one, of the handbook’s radius', () => {
    // 0.5 kg of 4.5 L/kg: r 0.0813 m.
    expect(clusterArea(0.5, 4.5, wide)).toBeCloseTo(4 * Math.PI * 0.0813 ** 2, 3);
    expect(clusterArea(0, 4.5, wide)).toBe(0);
  });

  it('is a disc between boards, and a block where it fills their depth as well', () => {
    const narrow = { ...wide, width_m: 0.08 };
    const disc_m = Math.sqrt(0.00225 / (Math.PI * 0.08));
    expect(clusterArea(0.5, 4.5, narrow)).toBeCloseTo(2 * Math.PI * disc_m * (0.08 + disc_m), 9);
    const along_m = 0.0045 / (0.08 * 0.24);
    expect(clusterArea(1, 4.5, narrow)).toBeCloseTo(2 * (0.08 * 0.24 + 0.08 * along_m + 0.24 * along_m), 9);
  });

  it('never has less surface than the ball of as many bees, nor more than a room that it cannot fill', () => {
    const metres = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(
        metres(0.05, 4),
        fc.record({ width_m: metres(0.04, 0.5), length_m: metres(0.3, 0.5), depth_m: metres(0.1, 0.4) }),
        (bees_kg, room) => {
          const { width_m, length_m, depth_m } = room;
          const whole_m3 = width_m * length_m * depth_m;
          const volume_m3 = (bees_kg * 4.5) / 1_000;
          const area = clusterArea(bees_kg, 4.5, room);
          if (volume_m3 <= whole_m3) expect(area).toBeGreaterThanOrEqual(ball(volume_m3) * (1 - 1e-9));
          expect(area).toBeLessThanOrEqual(
            2 * (width_m * length_m + width_m * depth_m + length_m * depth_m) * (1 + 1e-9),
          );
        },
      ),
    );
  });
});
