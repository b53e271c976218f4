import { useCallback } from 'react';
import type { Board } from '@june-tide/core/document';
import type { Allowance, Blank, RankedBlank } from '@june-tide/core/make';
import { useShed } from '../../../store/shed.ts';
import { useAnswer } from '../../../parts/useAnswer.ts';
import { solidClient } from '../../../workers/workClient.ts';

/** What was asked last: the bench and the plank ask for the same blanks. */
let asked: { board: Board; shelf: readonly Blank[]; allowance: Allowance; answer: Promise<RankedBlank[]> } | undefined;

function blanksFor(board: Board, shelf: readonly Blank[], allowance: Allowance): Promise<RankedBlank[]> {
  if (asked?.board === board && asked.shelf === shelf && asked.allowance === allowance) return asked.answer;
  const answer = solidClient.ask('blanks', { board, shelf, allowance });
  asked = { board, shelf, allowance, answer };
  answer.catch(() => (asked = undefined));
  return answer;
}

/** The shelf's blanks with a board laid in each, worked out in the worker; undefined until they are there. */
export function useBlanks(board: Board): { ranked: RankedBlank[] | undefined; failed: boolean } {
  const shelf = useShed((shed) => shed.shelf);
  const { allowance } = useShed((shed) => shed.settings.workshop);
  const { answer, failed } = useAnswer(
    useCallback(() => blanksFor(board, shelf, allowance), [board, shelf, allowance]),
  );
  return { ranked: answer, failed };
}
