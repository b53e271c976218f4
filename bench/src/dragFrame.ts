import { anchorsOf, type Board } from '@june-tide/core/document';
import { volume_L } from '@june-tide/core/measure';
import { modelNamed } from '@june-tide/core/models';
import { sprungOutline } from '@june-tide/core/outline';
import { type Shape, shapeOf } from '@june-tide/core/shape';
import { meshNormals, meshOf } from '@june-tide/core/solid';
import Module from 'manifold-3d';
import { medianOf } from './timing.ts';
import type { Timed } from './table.ts';

/** The boards of a drag: one number changing a little from frame to frame, all three curves touched. */
function dragged(board: Board): (frame: number) => Board {
  return (frame) => {
    const off = 0.05 * (frame % 40);
    return {
      ...board,
      outline: { ...board.outline, width_mm: board.outline.width_mm + off },
      rocker: { ...board.rocker, noseLift_mm: board.rocker.noseLift_mm + off },
      foil: { ...board.foil, thickness_mm: board.foil.thickness_mm + off / 10 },
    };
  };
}

/** A whole drag frame and its parts, beside manifold-3d building and measuring the very same solid. */
export async function dragFrame(): Promise<Timed[]> {
  const board = modelNamed('Slack Water')!;
  const frames = dragged(board);
  let frame = 0;
  let shape: Shape = shapeOf(board);
  let last = meshOf(shape);
  let normals: Float32Array<ArrayBuffer> | undefined;
  const whole = medianOf(() => {
    shape = shapeOf(frames(frame++), shape);
    last = meshOf(shape, undefined, last);
    normals = meshNormals(last, normals);
    return volume_L(shape);
  });
  const curves = medianOf(() => (shape = shapeOf(frames(frame++), shape)));
  const mesh = meshOf(shape);
  const meshing = medianOf(() => (last = meshOf(shape, undefined, last)));
  const shading = medianOf(() => meshNormals(mesh, normals));
  const volume = medianOf(() => volume_L(shape));
  const one = medianOf(() => sprungOutline(board.outline, anchorsOf(board)), 400);

  const library = await Module();
  library.setup();
  const { Manifold, Mesh } = library;
  const vertProperties = Float32Array.from(mesh.positions);
  const reference = medianOf(
    () => {
      const solid = new Manifold(new Mesh({ numProp: 3, vertProperties, triVerts: mesh.triangles }));
      const found = solid.volume();
      solid.delete();
      return found;
    },
    20,
    3,
  );
  return [
    { what: 'drag frame: curves, 240 x 96 mesh, normals, volume', ms: whole, note: 'aim: under 3 ms' },
    { what: '  three curves', ms: curves },
    { what: '  mesh', ms: meshing },
    { what: '  normals', ms: shading },
    { what: '  volume by sections', ms: volume, note: 'aim: under 0.3 ms' },
    { what: 'one outline sprung, cold', ms: one, note: 'must stay under 1 ms' },
    { what: 'manifold-3d: the same mesh taken in, volume', ms: reference },
  ];
}
