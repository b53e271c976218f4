import { meshToObj, meshToPly, meshToStl } from '@june-tide/core/files';
import { railBands, rankedBlanks } from '@june-tide/core/make';
import { shapeOf } from '@june-tide/core/shape';
import { deckShade, litMesh, type Mesh, meshOf } from '@june-tide/core/solid';
import { meshToThreeMf } from '@june-tide/core/files/packages';
import type { ShadeRequest, SolidAnswer, SolidFormat, SolidRequest } from './solidMessages.ts';

self.addEventListener('message', (event: MessageEvent<SolidRequest>) => {
  const request = event.data;
  try {
    const shape = shapeOf(request.board);
    switch (request.kind) {
      case 'shade': {
        const rgba = coloured(deckShade(shape, request.columns, request.rows).tone, request);
        const { columns, rows } = request;
        answer({ kind: 'shade', revision: request.revision, picture: { columns, rows, rgba } }, [rgba.buffer]);
        break;
      }
      case 'lit': {
        const mesh = litMesh(meshOf(shape, { stations: 180, ring: 96 }));
        const { positions, normals, triangles } = mesh;
        answer({ kind: 'lit', revision: request.revision, mesh }, [positions.buffer, normals.buffer, triangles.buffer]);
        break;
      }
      case 'blanks':
        answer(
          { kind: 'blanks', revision: request.revision, ranked: rankedBlanks(shape, request.shelf, request.allowance) },
          [],
        );
        break;
      case 'bands':
        answer({ kind: 'bands', revision: request.revision, bands: railBands(shape, request.counts) }, []);
        break;
      case 'solid': {
        const bytes = written(meshOf(shape), request.to, request.board.name);
        answer({ kind: 'solid', revision: request.revision, bytes }, [bytes.buffer]);
        break;
      }
    }
  } catch (error) {
    const words = error instanceof Error ? `${error.message}\n${error.stack ?? ''}` : String(error);
    answer({ kind: 'failed', revision: request.revision, words }, []);
  }
});

function coloured(tone: Uint8Array, { dark, strength }: ShadeRequest): Uint8ClampedArray<ArrayBuffer> {
  const rgba = new Uint8ClampedArray(4 * tone.length);
  for (let i = 0; i < tone.length; i++) {
    rgba[4 * i] = dark[0];
    rgba[4 * i + 1] = dark[1];
    rgba[4 * i + 2] = dark[2];
    rgba[4 * i + 3] = (255 - tone[i]) * strength;
  }
  return rgba;
}

function written(mesh: Mesh, to: SolidFormat, name: string): Uint8Array<ArrayBuffer> {
  switch (to) {
    case 'stl':
      return meshToStl(mesh, name);
    case '3mf':
      return Uint8Array.from(meshToThreeMf(mesh, name));
    case 'obj':
      return Uint8Array.from(new TextEncoder().encode(meshToObj(mesh, name)));
    case 'ply':
      return Uint8Array.from(new TextEncoder().encode(meshToPly(mesh, name)));
  }
}

function answer(message: SolidAnswer, transfer: Transferable[]): void {
  self.postMessage(message, { transfer });
}
