import { deckShade, meshOf, meshToStl, meshVolume_mm3, shapeOf } from '@june-tide/core';
import type { SolidAnswer, SolidRequest } from './solidMessages.ts';

self.addEventListener('message', (event: MessageEvent<SolidRequest>) => {
  const request = event.data;
  try {
    const shape = shapeOf(request.board);
    if (request.kind === 'shade') {
      const shade = deckShade(shape, request.columns, request.rows);
      answer({ kind: 'shade', revision: request.revision, shade }, [shade.tone.buffer]);
    } else {
      const mesh = meshOf(shape);
      const bytes = meshToStl(mesh, request.board.name);
      answer({ kind: 'stl', revision: request.revision, bytes, volume_L: meshVolume_mm3(mesh) / 1e6 }, [bytes.buffer]);
    }
  } catch (error) {
    const words = error instanceof Error ? `${error.message}\n${error.stack ?? ''}` : String(error);
    answer({ kind: 'failed', revision: request.revision, words }, []);
  }
});

function answer(message: SolidAnswer, transfer: Transferable[]): void {
  self.postMessage(message, { transfer });
}
