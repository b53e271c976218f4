import Module, { type ManifoldToplevel } from 'manifold-3d';
import type { Mesh } from '../solid/mesh.ts';

let loaded: Promise<ManifoldToplevel> | undefined;

/** The reference library, started once. */
export function manifoldLibrary(): Promise<ManifoldToplevel> {
  loaded ??= Module().then((library) => {
    library.setup();
    return library;
  });
  return loaded;
}

export interface Judged {
  status: string;
  genus: number;
  volume_mm3: number;
  area_mm2: number;
  triangles: number;
}

/** What manifold-3d, a geometry library that takes only closed solids, says of a mesh. */
export async function judgedByManifold(mesh: Mesh): Promise<Judged> {
  const { Manifold, Mesh: ManifoldMesh } = await manifoldLibrary();
  const solid = new Manifold(
    new ManifoldMesh({ numProp: 3, vertProperties: Float32Array.from(mesh.positions), triVerts: mesh.triangles }),
  );
  const judged = {
    status: solid.status(),
    genus: solid.genus(),
    volume_mm3: solid.volume(),
    area_mm2: solid.surfaceArea(),
    triangles: solid.numTri(),
  };
  solid.delete();
  return judged;
}
