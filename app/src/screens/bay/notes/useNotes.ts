import { useMemo } from 'react';
import { judged, type Note } from '@june-tide/core/judge';
import { writerFor } from '../../../store/derived.ts';
import { useShed } from '../../../store/shed.ts';
import { useBay } from '../useBay.ts';

/** The notes on the board as it was when the hand last rested. */
export function useNotes(): readonly Note[] {
  const { record, judgedAs } = useBay();
  const settings = useShed((shed) => shed.settings);
  return useMemo(() => judged(judgedAs, writerFor(settings), record.answers), [judgedAs, settings, record.answers]);
}

export const LEVEL_WORDS = { conflict: 'Conflict', look: 'Look here', note: 'Note' } as const;
