import type { BuildPart } from '@yellow-cell/contract';
import { familyDesign, METRIC, parts, showLengthBare } from '@yellow-cell/core';
import DxfParser from 'dxf-parser';
import Papa from 'papaparse';
import { parseSync } from 'svgson';
import { describe, expect, it } from 'vitest';
import { cutListCsv, laidOut, partsDxf, partsSvg } from './index.ts';

const FAMILIES = ['nucleus', 'threeWay', 'donorHolding', 'foldedSheet', 'observation'] as const;
type Point = { x: number; y: number };
const answers = FAMILIES.flatMap((family) =>
  (['butt', 'box'] as const).map((joint) => ({
    family,
    joint,
    ...parts({ design: familyDesign(family), joint }),
  })),
);
const sameRing = (
  read: readonly Point[],
  ring: readonly (readonly [number, number])[],
  x: number,
  y: number,
): boolean =>
  read.length === ring.length &&
  ring.every(
    ([px, py], index) => Math.hypot((read[index]?.x ?? 0) - x - px, (read[index]?.y ?? 0) - y - py) < 1e-6,
  );

describe.each(answers)('$family with $joint joints', ({ parts: all, fittings }) => {
  it('reads back from DXF, by a reader of others: outlines, hole centres, layers by depth, millimetres', () => {
    const dxf = new DxfParser().parseSync(partsDxf(all));
    if (!dxf) throw new Error('The DXF cannot be read.');
    expect(dxf.header.$INSUNITS).toBe(4);
    const rings = dxf.entities
      .filter(({ type, layer }) => type === 'LWPOLYLINE' && layer === 'OUTLINE')
      .map((entity) => (entity as unknown as { vertices: Point[] }).vertices);
    expect(rings).toHaveLength(all.reduce((sum, part) => sum + part.rings.length, 0));
    const circles = dxf.entities.filter(({ type }) => type === 'CIRCLE') as unknown as {
      center: Point;
      radius: number;
      layer: string;
    }[];
    for (const { part, x, y } of laidOut(all)) {
      for (const ring of part.rings) expect(rings.some((read) => sameRing(read, ring, x, y))).toBe(true);
      for (const { round, x_mm, y_mm, width_mm, depth_mm, height_mm } of part.machining) {
        if (!round || depth_mm !== null) continue;
        const found = circles.find(
          ({ center, radius }) =>
            Math.hypot(center.x - x - x_mm - width_mm / 2, center.y - y - y_mm - height_mm / 2) < 1e-6 &&
            Math.abs(radius - width_mm / 2) < 1e-6,
        );
        expect(found?.layer).toBe('HOLE');
      }
      for (const { depth_mm, round } of part.machining)
        if (depth_mm !== null && !round)
          expect(dxf.entities.some(({ layer }) => layer.startsWith(`GROOVE_${depth_mm.toFixed(1)}`))).toBe(
            true,
          );
    }
  });

  it('reads back from SVG: the same outlines, in millimetres', () => {
    const svg = parseSync(partsSvg(all));
    expect(svg.attributes.width).toMatch(/mm$/);
    const group = (id: string) => svg.children.find(({ attributes }) => attributes.id === id)?.children ?? [];
    expect(group('outline')).toHaveLength(all.reduce((sum, part) => sum + part.rings.length, 0));
    const holes = (test: (each: BuildPart['machining'][number]) => boolean) =>
      all.reduce((sum, { machining }) => sum + machining.filter(test).length, 0);
    expect(group('hole')).toHaveLength(holes(({ depth_mm, round }) => depth_mm === null && round));
    expect(group('groove')).toHaveLength(holes(({ depth_mm }) => depth_mm !== null));
    const { part, x, y } = laidOut(all)[0] as ReturnType<typeof laidOut>[number];
    const path = group('outline')[0]?.attributes.d ?? '';
    const read = [...path.matchAll(/(-?[\d.]+(?:e-?\d+)?) (-?[\d.]+(?:e-?\d+)?)/g)].map(([, px, py]) => ({
      x: Number(px),
      y: -Number(py),
    }));
    expect(sameRing(read, part.rings[0] ?? [], x, y)).toBe(true);
  });

  it('has a line for each part and fitting in its cut list, times the boxes', () => {
    const { data } = Papa.parse<Record<string, string>>(cutListCsv(all, fittings, 3, METRIC), {
      header: true,
    });
    expect(data).toHaveLength(all.length + fittings.length);
    for (const [index, part] of all.entries()) {
      expect(Number(data[index]?.count)).toBe(part.count * 3);
      expect(Number(data[index]?.length_mm)).toBeCloseTo(part.length_mm, 2);
    }
    const inches = Papa.parse<Record<string, string>>(cutListCsv(all, [], 1, { length: 'inch' }), {
      header: true,
    });
    for (const [index, part] of all.entries())
      expect(inches.data[index]?.length_in).toBe(showLengthBare(part.length_mm, 'inch'));
  });
});
