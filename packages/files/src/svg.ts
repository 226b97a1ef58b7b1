import type { BuildPart } from '@yellow-cell/contract';
import { stringify } from 'svgson';
import { labelOf, laidOut } from './sheetLayout.ts';

interface Node {
  name: string;
  type: string;
  value: string;
  attributes: Record<string, string>;
  children: Node[];
}
const node = (name: string, attributes: Record<string, string | number>, children: Node[] = []): Node => ({
  name,
  type: 'element',
  value: '',
  attributes: Object.fromEntries(Object.entries(attributes).map(([key, value]) => [key, String(value)])),
  children,
});
const words = (value: string): Node => ({ name: '', type: 'text', value, attributes: {}, children: [] });
const PAD = 20;
/** Lines as thin as a laser or a router reads them as cuts. */
const HAIR = 0.2;

/** Parts as an SVG in millimetres, in groups by tool: outline, hole, groove (its depth in data-depth-mm), bend, engrave. */
export function partsSvg(parts: readonly BuildPart[]): string {
  const laid = laidOut(parts);
  const right = Math.max(1, ...laid.map(({ part, x }) => x + part.length_mm)) + PAD;
  const low = Math.min(0, ...laid.map(({ y }) => y)) - PAD;
  const up = (y: number): number => -y;
  const groups: Record<string, Node[]> = { outline: [], hole: [], groove: [], bend: [], engrave: [] };
  for (const { part, x, y } of laid) {
    const path = (points: readonly (readonly [number, number])[]): string =>
      `M${points.map(([px, py]) => `${x + px} ${up(y + py)}`).join('L')}Z`;
    for (const points of part.rings)
      groups.outline?.push(node('path', { d: path(points), 'data-part': part.key }));
    for (const { x_mm, y_mm, width_mm, height_mm, depth_mm, round, face } of part.machining) {
      if (depth_mm === null && !round) continue;
      const depth = depth_mm === null ? {} : { 'data-depth-mm': depth_mm, 'data-face': face };
      (depth_mm === null ? groups.hole : groups.groove)?.push(
        round
          ? node('circle', {
              cx: x + x_mm + width_mm / 2,
              cy: up(y + y_mm + height_mm / 2),
              r: width_mm / 2,
              ...depth,
            })
          : node('rect', {
              x: x + x_mm,
              y: up(y + y_mm + height_mm),
              width: width_mm,
              height: height_mm,
              ...depth,
            }),
      );
    }
    for (const { from, to } of part.bends)
      groups.bend?.push(
        node('line', {
          x1: x + from[0],
          y1: up(y + from[1]),
          x2: x + to[0],
          y2: up(y + to[1]),
          'stroke-dasharray': '4 3',
        }),
      );
    groups.engrave?.push(
      node('text', { x, y: up(y + part.width_mm + 4), 'font-size': 9 }, [words(escaped(labelOf(part)))]),
    );
  }
  const colours: Record<string, string> = {
    outline: '#000',
    hole: '#c00',
    groove: '#06c',
    bend: '#080',
    engrave: '#555',
  };
  const svg = node(
    'svg',
    {
      xmlns: 'http://www.w3.org/2000/svg',
      width: `${right + PAD}mm`,
      height: `${PAD - low}mm`,
      viewBox: `${-PAD} ${-PAD} ${right + PAD} ${PAD - low}`,
    },
    Object.entries(groups).map(([id, children]) =>
      node(
        'g',
        id === 'engrave'
          ? { id, fill: colours[id] ?? '#000', stroke: 'none' }
          : { id, fill: 'none', stroke: colours[id] ?? '#000', 'stroke-width': HAIR },
        children,
      ),
    ),
  );
  return stringify(svg);
}

const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');
