import { useEffect, useState } from 'react';
import type { Board } from '@june-tide/core/document';
import type { BandCounts, RailBands } from '@june-tide/core/make';
import { solidClient } from '../../../workers/solidClient.ts';

/** Bands found, by board and counts: the bench and the plank ask for the same ones. */
const found = new WeakMap<Board, Map<string, Promise<RailBands>>>();

function bandsFor(board: Board, counts: BandCounts): Promise<RailBands> {
  const ofBoard = found.get(board) ?? new Map<string, Promise<RailBands>>();
  found.set(board, ofBoard);
  const key = `${counts.deck} ${counts.under}`;
  let asked = ofBoard.get(key);
  if (!asked) {
    asked = solidClient.ask('bands', { board, counts });
    asked.catch(() => ofBoard.delete(key));
    ofBoard.set(key, asked);
  }
  return asked;
}

/** The rail bands of a board, worked out in the worker; undefined until they are there. */
export function useBands(board: Board, { deck, under }: BandCounts): { bands: RailBands | undefined; failed: boolean } {
  const [state, setState] = useState<{ bands?: RailBands; failed: boolean }>({ failed: false });
  useEffect(() => {
    let dropped = false;
    bandsFor(board, { deck, under }).then(
      (bands) => {
        if (!dropped) setState({ bands, failed: false });
      },
      () => {
        if (!dropped) setState({ failed: true });
      },
    );
    return () => {
      dropped = true;
    };
  }, [board, deck, under]);
  return { bands: state.bands, failed: state.failed };
}
