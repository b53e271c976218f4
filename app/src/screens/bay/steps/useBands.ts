import { useCallback } from 'react';
import type { Board } from '@june-tide/core/document';
import { type BandPlan, type RailBands, USUAL_BANDS } from '@june-tide/core/make';
import { useAnswer } from '../../../parts/useAnswer.ts';
import { solidClient } from '../../../workers/workClient.ts';

/** Bands found, by board and plan: the bench and the plank ask for the same ones. */
const found = new WeakMap<Board, Map<string, Promise<RailBands>>>();

function bandsFor(board: Board, plan: BandPlan): Promise<RailBands> {
  const ofBoard = found.get(board) ?? new Map<string, Promise<RailBands>>();
  found.set(board, ofBoard);
  const key = JSON.stringify(plan);
  let asked = ofBoard.get(key);
  if (!asked) {
    asked = solidClient.ask('bands', { board, plan });
    asked.catch(() => ofBoard.delete(key));
    ofBoard.set(key, asked);
  }
  return asked;
}

/** The rail bands of a board, worked out in the worker; undefined until they are there. */
export function useBands(
  board: Board,
  plan: BandPlan = USUAL_BANDS,
): { bands: RailBands | undefined; failed: boolean } {
  const { answer, failed } = useAnswer(useCallback(() => bandsFor(board, plan), [board, plan]));
  return { bands: answer, failed };
}
