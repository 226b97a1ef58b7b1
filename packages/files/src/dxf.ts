import { Colors, DxfWriter, LWPolylineFlags, point2d, point3d, Units } from '@tarikjabiri/dxf';
import type { BuildPart, Machining } from '@yellow-cell/contract';
import { labelOf, laidOut } from './sheetLayout.ts';

/**
 * Parts as a DXF in millimetres. Layers by tool and depth: OUTLINE (cut through), HOLE (drilled through), GROOVE_5.0
 * and the like (to that depth, in mm, from the inner face; with _OUTER from the outer), BEND, ENGRAVE (letters).
 */
export function partsDxf(parts: readonly BuildPart[]): string {
  const dxf = new DxfWriter();
  dxf.setUnits(Units.Millimeters);
  const layers = new Map<string, number>([
    ['OUTLINE', Colors.White],
    ['HOLE', Colors.Red],
    ['BEND', Colors.Green],
    ['ENGRAVE', Colors.Blue],
  ]);
  for (const { machining } of parts)
    for (const each of machining) if (each.depth_mm !== null) layers.set(layerOf(each), Colors.Cyan);
  for (const [name, colour] of layers) dxf.addLayer(name, colour, 'CONTINUOUS');
  for (const { part, x, y } of laidOut(parts)) {
    const ring = (points: readonly (readonly [number, number])[], layerName: string) =>
      dxf.addLWPolyline(
        points.map(([px, py]) => ({ point: point2d(x + px, y + py) })),
        { flags: LWPolylineFlags.Closed, layerName },
      );
    for (const points of part.rings) ring(points, 'OUTLINE');
    for (const each of part.machining) {
      const { x_mm, y_mm, width_mm, height_mm, depth_mm, round } = each;
      if (round)
        dxf.addCircle(point3d(x + x_mm + width_mm / 2, y + y_mm + height_mm / 2), width_mm / 2, {
          layerName: depth_mm === null ? 'HOLE' : layerOf(each),
        });
      else if (depth_mm !== null)
        ring(
          [
            [x_mm, y_mm],
            [x_mm + width_mm, y_mm],
            [x_mm + width_mm, y_mm + height_mm],
            [x_mm, y_mm + height_mm],
          ],
          layerOf(each),
        );
    }
    for (const { from, to } of part.bends)
      dxf.addLine(point3d(x + from[0], y + from[1]), point3d(x + to[0], y + to[1]), { layerName: 'BEND' });
    dxf.addText(point3d(x, y + part.width_mm + 4), 8, labelOf(part), { layerName: 'ENGRAVE' });
  }
  return dxf.stringify();
}

const layerOf = ({ depth_mm, face }: Machining): string =>
  `GROOVE_${(depth_mm ?? 0).toFixed(1)}${face === 'outer' ? '_OUTER' : ''}`;
