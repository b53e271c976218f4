import type { Board } from '@june-tide/core/document';
import { scaledToLitres } from '@june-tide/core/edit';
import { meshToStl } from '@june-tide/core/files';
import { volume_L } from '@june-tide/core/measure';
import { modelNamed, models } from '@june-tide/core/models';
import { shapeOf } from '@june-tide/core/shape';
import { meshOf } from '@june-tide/core/solid';
import { loftedByJscad, loftedByOpenCascade, openCascade, sectionsOf } from '../../core/src/testing/lofts.ts';
import { manifoldLibrary } from '../../core/src/testing/manifold.ts';
import { medianOf } from './timing.ts';
import type { Timed } from './table.ts';

const board = (): Board => modelNamed('Slack Water')!;

/** Three libraries of the registry doing the same tasks. */
interface References {
  manifold: (board: Board) => number;
  jscad: (board: Board) => number;
  openCascade: (board: Board) => number;
}

async function references(): Promise<References> {
  const { Manifold, Mesh } = await manifoldLibrary();
  await openCascade();
  return {
    manifold: (b) => {
      const mesh = meshOf(shapeOf(b));
      const vertProperties = Float32Array.from(mesh.positions);
      const solid = new Manifold(new Mesh({ numProp: 3, vertProperties, triVerts: mesh.triangles }));
      const volume = solid.volume() / 1e6;
      solid.delete();
      return volume;
    },
    jscad: (b) => loftedByJscad(sectionsOf(shapeOf(b), 80, 16)) / 1e6,
    openCascade: (b) => loftedByOpenCascade(sectionsOf(shapeOf(b), 20, 8)) / 1e6,
  };
}

/** A volume by each library as the step of the same litres solve: secant on thickness, to 0.01 L. */
function solvedBy(read: (b: Board) => number): number {
  const wanted = read(board()) * 1.05;
  const at = (thickness_mm: number) => read({ ...board(), foil: { ...board().foil, thickness_mm } }) - wanted;
  let a = board().foil.thickness_mm;
  let b = a * 1.06;
  let missA = at(a);
  let missB = at(b);
  for (let round = 0; round < 8 && Math.abs(missB) > 0.01; round++) {
    const next = b - (missB * (b - a)) / (missB - missA);
    [a, missA] = [b, missB];
    b = next;
    missB = at(b);
  }
  return b;
}

/** Volume alone, litres solved for, and an export of all models: ours, then each library's. */
export async function againstReferences(): Promise<{ title: string; rows: Timed[] }[]> {
  const other = await references();
  const names = ['manifold', 'jscad', 'openCascade'] as const;
  const words = {
    manifold: 'manifold-3d, the mesh taken in',
    jscad: 'JSCAD, 80 sections',
    openCascade: 'OpenCascade, loft of 20 sections',
  };
  const shape = shapeOf(board());
  const volume: Timed[] = [
    { what: 'June Tide', ms: medianOf(() => volume_L(shape)) },
    ...names.map((name) => ({ what: words[name], ms: medianOf(() => other[name](board()), 3, 1) })),
  ];
  const solve: Timed[] = [
    { what: 'June Tide', ms: medianOf(() => scaledToLitres(board(), 30.5, ['outline']), 40) },
    ...names.map((name) => ({ what: words[name], ms: medianOf(() => solvedBy(other[name]), 1, 0) })),
  ];
  // As many as the figures before it were taken of.
  const list = models().slice(0, 16);
  const all: Timed[] = [
    {
      what: 'June Tide: solids of sixteen models as STL',
      ms: medianOf(() => list.map((b) => meshToStl(meshOf(shapeOf(b)), b.name)), 5, 2),
    },
    ...names.map((name) => ({
      what: `${words[name]}, one model times sixteen`,
      ms: 16 * medianOf(() => other[name](board()), 2, 0),
    })),
  ];
  return [
    { title: 'Volume alone', rows: volume },
    { title: 'Litres solved for, to 0.01 L', rows: solve },
    { title: 'Sixteen models', rows: all },
  ];
}
