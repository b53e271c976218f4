import { volume_L } from '@june-tide/core/measure';
import { modelNamed } from '@june-tide/core/models';
import { shapeOf } from '@june-tide/core/shape';
import { meshNormals, meshOf } from '@june-tide/core/solid';
import { medianOf } from './timing.ts';

/** How mesh, normals and memory grow with stations and ring. */
export function growth(): string[] {
  const shape = shapeOf(modelNamed('Slack Water')!);
  const lines = ['stations x ring    vertices    mesh ms    normals ms    us a vertex'];
  for (const [stations, ring] of [
    [60, 48],
    [120, 96],
    [240, 96],
    [240, 192],
    [480, 192],
    [960, 384],
  ]) {
    let mesh = meshOf(shape, { stations, ring });
    const normals = meshNormals(mesh);
    const build = medianOf(() => (mesh = meshOf(shape, { stations, ring }, mesh)), 40, 8);
    const shade = medianOf(() => meshNormals(mesh, normals), 40, 8);
    const vertices = mesh.positions.length / 3;
    lines.push(
      `${`${stations} x ${ring}`.padEnd(15)}${String(vertices).padStart(12)}${build.toFixed(3).padStart(11)}${shade.toFixed(3).padStart(14)}${((1000 * build) / vertices).toFixed(4).padStart(15)}`,
    );
  }
  return lines;
}

/** Whether memory stays level over many frames of a drag: the heap after every quarter. */
export function memoryOverFrames(frames = 10_000): string[] {
  const board = modelNamed('Slack Water')!;
  let shape = shapeOf(board);
  let mesh = meshOf(shape);
  let normals = meshNormals(mesh);
  const lines: string[] = [];
  let litres = 0;
  for (let frame = 0; frame <= frames; frame++) {
    const width_mm = board.outline.width_mm + 0.05 * (frame % 40);
    shape = shapeOf({ ...board, outline: { ...board.outline, width_mm } }, shape);
    mesh = meshOf(shape, undefined, mesh);
    normals = meshNormals(mesh, normals);
    litres += volume_L(shape);
    if (frame % (frames / 4) === 0) {
      globalThis.gc?.();
      const { heapUsed, arrayBuffers } = process.memoryUsage();
      lines.push(
        `after ${String(frame).padStart(6)} frames: heap ${(heapUsed / 1e6).toFixed(1)} MB, buffers ${(arrayBuffers / 1e6).toFixed(1)} MB`,
      );
    }
  }
  if (!Number.isFinite(litres)) throw new Error('a frame lost its litres');
  return lines;
}
