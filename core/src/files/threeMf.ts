import { strToU8, zipSync } from 'fflate';
import type { Mesh } from '../solid/mesh.ts';
import { escapeXml } from './svg.ts';

const TYPES = `<?xml version="1.0" encoding="UTF-8"?>
<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default Extension="model" ContentType="application/vnd.ms-package.3dmanufacturing-3dmodel+xml"/></Types>
`;
const RELATIONS = `<?xml version="1.0" encoding="UTF-8"?>
<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Target="/3D/3dmodel.model" Id="rel0" Type="http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel"/></Relationships>
`;
/** A zip must carry a time; ours is always the same, so that the same board gives the same bytes. */
const STAMP = new Date(2020, 0, 1);

/**
 * A mesh as a 3MF package (3MF Core Specification 1.x): content types, the root relationship, and one model part with one
 * mesh object in millimetres, turned so that it stands on the build plate's positive side.
 */
export function meshToThreeMf(mesh: Mesh, name: string): Uint8Array {
  const low = [Infinity, Infinity, Infinity];
  const p = mesh.positions;
  for (let v = 0; v < p.length; v++) low[v % 3] = Math.min(low[v % 3], p[v]);
  const vertices: string[] = [];
  for (let v = 0; v < p.length; v += 3) {
    const [x, y, z] = [0, 1, 2].map((k) => (p[v + k] - low[k]).toFixed(4));
    vertices.push(`<vertex x="${x}" y="${y}" z="${z}"/>`);
  }
  const t = mesh.triangles;
  const triangles: string[] = [];
  for (let f = 0; f < t.length; f += 3) triangles.push(`<triangle v1="${t[f]}" v2="${t[f + 1]}" v3="${t[f + 2]}"/>`);
  const model = `<?xml version="1.0" encoding="UTF-8"?>
<model unit="millimeter" xml:lang="en" xmlns="http://schemas.microsoft.com/3dmanufacturing/core/2015/02">
<metadata name="Title">${escapeXml(name)}</metadata>
<metadata name="Application">June Tide</metadata>
<resources><object id="1" type="model" name="${escapeXml(name)}"><mesh><vertices>
${vertices.join('\n')}
</vertices><triangles>
${triangles.join('\n')}
</triangles></mesh></object></resources>
<build><item objectid="1"/></build>
</model>
`;
  return zipSync(
    {
      '[Content_Types].xml': strToU8(TYPES),
      '_rels/.rels': strToU8(RELATIONS),
      '3D/3dmodel.model': strToU8(model),
    },
    { level: 6, mtime: STAMP },
  );
}
