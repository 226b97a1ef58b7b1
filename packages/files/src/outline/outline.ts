import type { Problem } from '@yellow-cell/contract';
import DxfParser, { type IEntity } from 'dxf-parser';
import { getPathBBox } from 'svg-path-commander/util';
import { type INode, parseSync } from 'svgson';
import { tooMuch } from './limits.ts';

/** A closed outline found in a drawing, by its extent, in mm; largest first. */
export interface Outline {
  width_mm: number;
  height_mm: number;
  /** Whether it lies within the outline before it: the inside of a body lies within its outside. */
  within: boolean;
  layer: string;
}
export type ReadOutline =
  | { ok: true; outlines: Outline[]; remarks: string[] }
  | { ok: false; problems: Problem[] };

interface Box {
  x: [number, number];
  y: [number, number];
  layer: string;
}
const LEAST_MM = 20;
const failed = (sentence: string): ReadOutline => ({ ok: false, problems: [{ path: '', sentence }] });

/** Outlines of an odd body, to take inside width and length from: a DXF or an SVG, by its text. */
export function readOutline(text: string, unit: 'mm' | 'inch' | 'unsaid' = 'unsaid'): ReadOutline {
  const trimmed = text.trimStart();
  if (trimmed === '') return failed('The file is empty.');
  const refused = tooMuch(text);
  if (refused) return failed(refused);
  return trimmed.startsWith('<') ? readSvg(trimmed, unit) : readDxf(text, unit);
}

const MM_PER_UNIT: Readonly<Record<number, number>> = { 1: 25.4, 2: 304.8, 4: 1, 5: 10, 6: 1_000 };

function readDxf(text: string, unit: 'mm' | 'inch' | 'unsaid'): ReadOutline {
  const parsed = parsedDxf(text);
  if (!parsed) return failed('The file is damaged, or it is no DXF: it could not be read.');
  const entities = parsed.entities ?? [];
  const remarks: string[] = [];
  const said = Number(parsed.header?.$INSUNITS ?? 0);
  const mm = unit === 'inch' ? 25.4 : unit === 'mm' ? 1 : (MM_PER_UNIT[said] ?? 1);
  if (unit === 'unsaid' && MM_PER_UNIT[said] === undefined)
    remarks.push('The drawing does not say its unit: taken as millimetres.');
  if (unit === 'unsaid' && mm !== 1 && MM_PER_UNIT[said] !== undefined)
    remarks.push(`The drawing is in another unit: taken as ${mm} mm each.`);
  const blocks = new Set(entities.filter(({ type }) => type === 'INSERT').map(({ layer }) => layer));
  if (blocks.size > 0) remarks.push('Blocks in the drawing are left out: explode them first.');
  const skipped = new Set<string>();
  const boxes = entities.flatMap((entity): Box[] => {
    const points = pointsOf(entity);
    if (points === undefined) {
      if (
        entity.type !== 'INSERT' &&
        entity.type !== 'TEXT' &&
        entity.type !== 'MTEXT' &&
        entity.type !== 'DIMENSION'
      )
        skipped.add(entity.type);
      return [];
    }
    return points.length > 0 ? [boxAround(points, mm, entity.layer)] : [];
  });
  if (skipped.size > 0) remarks.push(`Left out: ${[...skipped].join(', ').toLowerCase()}.`);
  const loose = looseLines(entities, mm);
  return answer([...boxes, ...loose], remarks);
}

function parsedDxf(text: string) {
  try {
    return new DxfParser().parseSync(text);
  } catch {
    return null;
  }
}

type Point = { x: number; y: number };
/** Corners of what can be an outline by itself; undefined for kinds that are none. */
function pointsOf(entity: IEntity): Point[] | undefined {
  const each = entity as IEntity & {
    vertices?: Point[];
    controlPoints?: Point[];
    fitPoints?: Point[];
    center?: Point;
    radius?: number;
  };
  switch (entity.type) {
    case 'LWPOLYLINE':
    case 'POLYLINE':
      return each.vertices ?? [];
    case 'SPLINE':
      // Its control points enclose it: a little more than the curve, never less.
      return each.fitPoints?.length ? each.fitPoints : (each.controlPoints ?? []);
    case 'CIRCLE': {
      const [c, r] = [each.center ?? { x: 0, y: 0 }, each.radius ?? 0];
      return [
        { x: c.x - r, y: c.y - r },
        { x: c.x + r, y: c.y + r },
      ];
    }
    case 'LINE':
    case 'ARC':
      return [];
    default:
      return undefined;
  }
}

function boxAround(points: readonly Point[], mm: number, layer: string): Box {
  const box: Box = {
    x: [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY],
    y: [Number.POSITIVE_INFINITY, Number.NEGATIVE_INFINITY],
    layer,
  };
  for (const { x, y } of points) {
    box.x = [Math.min(box.x[0], x * mm), Math.max(box.x[1], x * mm)];
    box.y = [Math.min(box.y[0], y * mm), Math.max(box.y[1], y * mm)];
  }
  return box;
}

/** Single lines make an outline together, layer by layer. */
function looseLines(entities: readonly IEntity[], mm: number): Box[] {
  const byLayer = new Map<string, Point[]>();
  for (const entity of entities)
    if (entity.type === 'LINE') {
      const { vertices = [] } = entity as IEntity & { vertices?: Point[] };
      const points = byLayer.get(entity.layer);
      if (points) points.push(...vertices);
      else byLayer.set(entity.layer, [...vertices]);
    }
  return [...byLayer].map(([layer, points]) => boxAround(points, mm, layer));
}

/** Pixels to an inch where an SVG gives no unit. */
const PX_PER_INCH = 96;
const SVG_UNITS: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  in: 25.4,
  pt: 25.4 / 72,
  px: 25.4 / PX_PER_INCH,
};

function readSvg(text: string, unit: 'mm' | 'inch' | 'unsaid'): ReadOutline {
  let root: INode;
  try {
    root = parseSync(text);
  } catch {
    return failed('The file is damaged, or it is no SVG: it could not be read.');
  }
  if (root.name !== 'svg') return failed('The file is no SVG drawing.');
  const remarks: string[] = [];
  const mm = unit === 'inch' ? 25.4 : unit === 'mm' ? 1 : scaleOf(root, remarks);
  const boxes: Box[] = [];
  const walk = (node: INode, layer: string): void => {
    const named = node.attributes.id ?? layer;
    if (node.attributes.transform)
      remarks.push('Parts that are moved or turned by “transform” are read where they were drawn.');
    const box = svgBox(node, mm, named);
    if (box) boxes.push(box);
    for (const child of node.children) walk(child, named);
  };
  walk(root, '');
  return answer(boxes, [...new Set(remarks)]);
}

function scaleOf({ attributes }: INode, remarks: string[]): number {
  const [, value, named = ''] = /^([\d.]+)\s*([a-z]*)$/.exec(attributes.width ?? '') ?? [];
  const viewWidth = Number(attributes.viewBox?.trim().split(/[\s,]+/)[2] ?? Number.NaN);
  const perUnit = SVG_UNITS[named || 'px'];
  if (value && perUnit && named) return viewWidth > 0 ? (Number(value) * perUnit) / viewWidth : perUnit;
  remarks.push('The drawing does not say its size in mm or inches: taken as millimetres.');
  return 1;
}

function svgBox({ name, attributes }: INode, mm: number, layer: string): Box | undefined {
  const number = (key: string): number => Number(attributes[key] ?? 0) * mm;
  if (name === 'rect')
    return {
      x: [number('x'), number('x') + number('width')],
      y: [number('y'), number('y') + number('height')],
      layer,
    };
  if (name === 'circle')
    return {
      x: [number('cx') - number('r'), number('cx') + number('r')],
      y: [number('cy') - number('r'), number('cy') + number('r')],
      layer,
    };
  if (name === 'polygon' || name === 'polyline') {
    const flat = (attributes.points ?? '')
      .trim()
      .split(/[\s,]+/)
      .map(Number)
      .filter(Number.isFinite);
    const points = Array.from({ length: Math.floor(flat.length / 2) }, (_, at) => ({
      x: flat[2 * at] ?? 0,
      y: flat[2 * at + 1] ?? 0,
    }));
    return points.length > 1 ? boxAround(points, mm, layer) : undefined;
  }
  if (name !== 'path' || !attributes.d) return undefined;
  try {
    const { x, y, x2, y2 } = getPathBBox(attributes.d);
    return { x: [x * mm, x2 * mm], y: [y * mm, y2 * mm], layer };
  } catch {
    return undefined;
  }
}

function answer(boxes: readonly Box[], remarks: string[]): ReadOutline {
  const size = ({ x, y }: Box) => ({ width: x[1] - x[0], height: y[1] - y[0] });
  const real = boxes
    .filter(
      (box) => Number.isFinite(size(box).width) && Math.min(size(box).width, size(box).height) >= LEAST_MM,
    )
    .sort((a, b) => size(b).width * size(b).height - size(a).width * size(a).height);
  if (real.length === 0)
    return failed(`There is no outline of at least ${LEAST_MM} × ${LEAST_MM} mm in the drawing.`);
  const inside = (a: Box, b: Box): boolean =>
    a.x[0] >= b.x[0] - 1e-6 && a.x[1] <= b.x[1] + 1e-6 && a.y[0] >= b.y[0] - 1e-6 && a.y[1] <= b.y[1] + 1e-6;
  return {
    ok: true,
    remarks,
    outlines: real.slice(0, 50).map((box, index) => ({
      width_mm: size(box).width,
      height_mm: size(box).height,
      within: index > 0 && inside(box, real[index - 1] as Box),
      layer: box.layer,
    })),
  };
}
