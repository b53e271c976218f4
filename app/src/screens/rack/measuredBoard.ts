import type { Board } from '@june-tide/core/document';
import { boardFromStations, furthestOff, type TableChoices } from '@june-tide/core/files/packages';
import type { LengthStyle } from '@june-tide/core/units';

/** A board from the station table somebody measured; its notes say how far it came out off. */
export function measuredBoard(
  text: string,
  fileName: string,
  style: LengthStyle,
  choices?: TableChoices,
): { ok: true; board: Board } | { ok: false; reason: string } {
  const name =
    fileName
      .replace(/\.csv$/i, '')
      .trim()
      .slice(0, 80) || 'Measured board';
  const read = boardFromStations(text, name, undefined, choices);
  if (!read.ok) return read;
  const notes = `From a station table of ${read.rows} rows. ${furthestOff(read.residuals, style)}`;
  return { ok: true, board: { ...read.board, notes } };
}
