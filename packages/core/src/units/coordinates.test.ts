import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readCoordinate, showCoordinate } from './coordinates.ts';

describe('a coordinate', () => {
  it.each([
    ['48.1', 'latitude', 48.1],
    ['−41.3', 'latitude', -41.3],
    ['41.3 S', 'latitude', -41.3],
    ['S 41,3', 'latitude', -41.3],
    ['41.3south', 'latitude', -41.3],
    ["41° 18' S", 'latitude', -41.3],
    ['41 18 0 s', 'latitude', -41.3],
    ['174° 46′ 30″ E', 'longitude', 174.775],
    ['13.6 w', 'longitude', -13.6],
    ['180', 'longitude', 180],
    ['0', 'latitude', 0],
  ] as const)('%s as a %s is %d', (typed, axis, degrees) => {
    expect(readCoordinate(typed, axis)).toBeCloseTo(degrees, 9);
  });
  it.each([
    ['', 'latitude'],
    ['north', 'latitude'],
    ['90.01', 'latitude'],
    ['181 E', 'longitude'],
    ['-41 S', 'latitude'],
    ['41 E', 'latitude'],
    ['41 N', 'longitude'],
    ['N 41 S', 'latitude'],
    ['41 60', 'latitude'],
    ['41°17′60″S', 'latitude'],
    ['41.5 30', 'latitude'],
    ['1 2 3 4', 'latitude'],
    ['1.2.3', 'latitude'],
    ['here', 'latitude'],
  ] as const)('“%s” is no %s', (typed, axis) => expect(readCoordinate(typed, axis)).toBeNaN());
  it('is read in degrees, minutes and seconds as in decimals', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 89 }),
        fc.nat(59),
        fc.nat(59),
        fc.constantFrom('N', 'S'),
        (d, m, s, side) => {
          const value = (d + m / 60 + s / 3600) * (side === 'S' ? -1 : 1);
          expect(readCoordinate(`${d}° ${m}' ${s}" ${side}`, 'latitude')).toBeCloseTo(value, 9);
          expect(readCoordinate(String(value), 'latitude')).toBeCloseTo(value, 9);
        },
      ),
    );
  });
  it('is said as it was read', () => {
    expect(showCoordinate(-41.3, 'latitude')).toBe('41.30° south');
    expect(showCoordinate(13.6, 'longitude')).toBe('13.60° east');
  });
});
