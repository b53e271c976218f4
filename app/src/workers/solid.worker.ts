import { deckShade, litMesh, type Mesh, meshOf, meshToObj, meshToPly, meshToStl, shapeOf } from '@june-tide/core';
import { meshToThreeMf } from '@june-tide/core/packages';
import type { SolidAnswer, SolidFormat, SolidRequest } from './solidMessages.ts';

self.addEventListener('message', (event: MessageEvent<SolidRequest>) => {
  const request = event.data;
  try {
    const shape = shapeOf(request.board);
    switch (request.kind) {
      case 'shade': {
        const shade = deckShade(shape, request.columns, request.rows);
        answer({ kind: 'shade', revision: request.revision, shade }, [shade.tone.buffer]);
        break;
      }
      case 'lit': {
        const mesh = litMesh(meshOf(shape, { stations: 180, ring: 96 }));
        const { positions, normals, triangles } = mesh;
        answer({ kind: 'lit', revision: request.revision, mesh }, [positions.buffer, normals.buffer, triangles.buffer]);
        break;
      }
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
