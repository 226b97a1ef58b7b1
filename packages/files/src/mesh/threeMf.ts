import { strToU8, zipSync } from 'fflate';
import type { PrintMesh } from './printMesh.ts';

/** All pieces in one 3MF (the public core specification), in mm. */
export function threeMfOf(meshes: readonly PrintMesh[]): Uint8Array {
  const objects = meshes.map(({ name, vertices, triangles }, index) => {
    const corners = Array.from(
      { length: vertices.length / 3 },
      (_, at) => `<vertex x="${vertices[3 * at]}" y="${vertices[3 * at + 1]}" z="${vertices[3 * at + 2]}"/>`,
    );
    const faces = Array.from(
      { length: triangles.length / 3 },
      (_, at) =>
        `<triangle v1="${triangles[3 * at]}" v2="${triangles[3 * at + 1]}" v3="${triangles[3 * at + 2]}"/>`,
    );
    return `<object id="${index + 1}" type="model" name="${escaped(name)}"><mesh><vertices>${corners.join('')}</vertices><triangles>${faces.join('')}</triangles></mesh></object>`;
  });
  const items = meshes.map((_, index) => `<item objectid="${index + 1}"/>`).join('');
  const model = `<?xml version="1.0" encoding="UTF-8"?><model unit="millimeter" xmlns="http://schemas.microsoft.com/3dmanufacturing/core/2015/02"><resources>${objects.join('')}</resources><build>${items}</build></model>`;
  const types =
    '<?xml version="1.0" encoding="UTF-8"?><Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="model" ContentType="application/vnd.ms-package.3dmanufacturing-3dmodel+xml"/></Types>';
  const relations =
    '<?xml version="1.0" encoding="UTF-8"?><Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Target="/3D/3dmodel.model" Id="rel0" Type="http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel"/></Relationships>';
  return zipSync({
    '[Content_Types].xml': strToU8(types),
    '_rels/.rels': strToU8(relations),
    '3D/3dmodel.model': strToU8(model),
  });
}

const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('"', '&quot;').replaceAll('<', '&lt;');
