import { useEffect, useState } from 'react';
import type { Board } from '@june-tide/core/document';
import type { LitMesh } from '@june-tide/core/solid';
import { Latest } from '../../../workers/latest.ts';
import { solidClient } from '../../../workers/workClient.ts';

/** The solid of a board from the worker; the last one stays until the next is there. None for none. */
export function useSolid(board: Board | undefined): LitMesh | undefined {
  const [mesh, setMesh] = useState<LitMesh>();
  const [latest] = useState(() => new Latest((of: Board) => solidClient.ask('lit', { board: of }), setMesh));
  useEffect(() => {
    if (board) latest.want(board);
  }, [latest, board]);
  return board && mesh;
}
