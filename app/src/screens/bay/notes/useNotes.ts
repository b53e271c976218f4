import { useMemo } from 'react';
import { boardReading, judged, type Note } from '@june-tide/core/judge';
import { writerFor } from '../../../store/derived.ts';
import { useShed } from '../../../store/shed.ts';
import { useBay } from '../useBay.ts';

/** The notes on the board as it was when the hand last rested. */
export function useNotes(): readonly Note[] {
  const { record, judgedAs } = useBay();
  const settings = useShed((shed) => shed.settings);
  return useMemo(() => judged(judgedAs, writerFor(settings), record.answers), [judgedAs, settings, record.answers]);
}

/** What the board will do, in sentences to read to the rider. */
export function useReading(): readonly string[] {
  const { judgedAs } = useBay();
  const settings = useShed((shed) => shed.settings);
  return useMemo(() => boardReading(judgedAs, writerFor(settings)), [judgedAs, settings]);
}

export const LEVEL_WORDS = { conflict: 'Conflict', look: 'Look here', note: 'Note' } as const;
