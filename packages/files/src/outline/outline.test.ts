import { familyDesign, parts } from '@yellow-cell/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { partsDxf, partsSvg } from '../index.ts';
import { readOutline } from './outline.ts';

const all = parts({ design: familyDesign('nucleus') }).parts;
const sizes = (text: string, unit?: 'mm' | 'inch') => {
  const read = readOutline(text, unit);
  if (!read.ok) throw new Error(read.problems[0]?.sentence);
  return read.outlines.map(({ width_mm, height_mm }) => [
    Number(width_mm.toFixed(2)),
    Number(height_mm.toFixed(2)),
  ]);
};
const dxf = (...entities: string[]): string =>
  ['0', 'SECTION', '2', 'ENTITIES', ...entities, '0', 'ENDSEC', '0', 'EOF'].join('\n');

describe('an outline', () => {
  it('comes back from our own DXF and SVG as large as the parts', () => {
    const largest = [...all].sort((a, b) => b.length_mm * b.width_mm - a.length_mm * a.width_mm)[0];
    for (const text of [partsDxf(all), partsSvg(all)])
      expect(sizes(text)).toContainEqual([largest?.length_mm, largest?.width_mm]);
  });

  it('is the inside within the outside, whatever order they are drawn in', () => {
    const square = (from: number, to: number) =>
      [
        '0',
        'LWPOLYLINE',
        '8',
        '0',
        '90',
        '4',
        '70',
        '1',
        '10',
        `${from}`,
        '20',
        `${from}`,
        '10',
        `${to}`,
        '20',
        `${from}`,
        '10',
        `${to}`,
        '20',
        `${to}`,
        '10',
        `${from}`,
        '20',
        `${to}`,
      ].join('\n');
    const read = readOutline(dxf(square(20, 220), square(0, 240)), 'mm');
    expect(read).toMatchObject({
      ok: true,
      outlines: [
        { width_mm: 240, within: false },
        { width_mm: 200, within: true },
      ],
    });
  });

  it('of lines, splines, circles, inches and without a unit is read, and what is odd is said', () => {
    const line = (x1: number, y1: number, x2: number, y2: number) =>
      ['0', 'LINE', '8', 'box', '10', `${x1}`, '20', `${y1}`, '11', `${x2}`, '21', `${y2}`].join('\n');
    const read = readOutline(
      dxf(line(0, 0, 15, 0), line(15, 0, 15, 9), line(15, 9, 0, 9), line(0, 9, 0, 0)),
      'inch',
    );
    expect(read).toMatchObject({ ok: true, outlines: [{ width_mm: 381, layer: 'box' }] });
    const unsaid = readOutline(dxf(line(0, 0, 300, 0), line(300, 0, 300, 200)));
    expect(unsaid.ok && unsaid.remarks[0]).toContain('does not say its unit');
    const spline = [
      '0',
      'SPLINE',
      '8',
      '0',
      '70',
      '8',
      '71',
      '3',
      '73',
      '3',
      '10',
      '0',
      '20',
      '0',
      '10',
      '100',
      '20',
      '150',
      '10',
      '200',
      '20',
      '0',
    ].join('\n');
    expect(sizes(dxf(spline), 'mm')).toEqual([[200, 150]]);
    const block = ['0', 'INSERT', '8', '0', '2', 'B', '10', '0', '20', '0'].join('\n');
    const inserted = readOutline(dxf(block, line(0, 0, 300, 0), line(300, 0, 300, 200)), 'mm');
    expect(inserted.ok && inserted.remarks[0]).toContain('explode');
  });

  it('of an SVG follows its size in mm, and rectangles, circles and polygons count', () => {
    const svg = (body: string) =>
      `<svg xmlns="http://www.w3.org/2000/svg" width="500mm" height="300mm" viewBox="0 0 1000 600">${body}</svg>`;
    expect(sizes(svg('<rect x="10" y="10" width="800" height="400"/>'))).toEqual([[400, 200]]);
    expect(sizes(svg('<circle cx="100" cy="100" r="100"/>'))).toEqual([[100, 100]]);
    expect(sizes(svg('<polygon points="0,0 600,0 600,200"/>'))).toEqual([[300, 100]]);
  });

  it('of anything else is refused with a sentence, never thrown', () => {
    for (const bad of [
      '',
      '   ',
      '<html></html>',
      '<svg><rect></svg',
      'hello',
      '0\nSECTION',
      dxf(),
      '{"a":1}',
    ])
      expect(readOutline(bad)).toMatchObject({
        ok: false,
        problems: [{ sentence: expect.stringMatching(/\.$/) }],
      });
    fc.assert(
      fc.property(
        fc.string(),
        fc.boolean(),
        (text, tagged) => void readOutline(tagged ? `<svg>${text}` : text),
      ),
      { numRuns: 200 },
    );
  });
});

describe('a drawing that is too much', () => {
  const pairs = (all: readonly (string | number)[]) => all.join('\n');
  const polyline = (said: number, points: number) =>
    pairs([
      ...['0', 'LWPOLYLINE', '8', '0', '90', said, '70', '1'],
      ...Array.from({ length: points }, (_, at) => pairs(['10', at % 300, '20', (at * 7) % 200])),
    ]);
  const lines = (count: number) =>
    Array.from({ length: count }, (_, at) =>
      pairs(['0', 'LINE', '8', '0', '10', at % 300, '20', 0, '11', 0, '21', at % 200]),
    );
  const nested = (deep: number) =>
    `<svg width="300mm" viewBox="0 0 300 300">${'<g>'.repeat(deep)}<rect width="99" height="99"/>${'</g>'.repeat(deep)}</svg>`;
  it.each([
    ['a polyline that says ten million points', () => dxf(polyline(10_000_000, 4)), false],
    ['20,000 lines', () => dxf(...lines(20_000)), true],
    ['61,000 lines', () => dxf(...lines(61_000)), false],
    ['200,000 points', () => dxf(polyline(200_000, 200_000)), true],
    ['200,001 points', () => dxf(polyline(200_001, 200_001)), false],
    ['groups 150 deep', () => nested(150), true],
    ['groups 5,000 deep', () => nested(5_000), false],
    ['a path of 300,000 points', () => `<svg><path d="M0 0${'L 5 7'.repeat(300_000)}"/></svg>`, false],
    ['21 MB', () => `<svg>${' '.repeat(21e6)}</svg>`, false],
  ] as const)('%s is read or refused with a sentence, at once', (_, make, isRead) => {
    const read = readOutline(make());
    expect(read.ok).toBe(isRead);
    if (!read.ok) expect(read.problems[0]?.sentence).toMatch(/[a-z].*\.$/);
  });
});
