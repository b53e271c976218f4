import type { MarkedCurve } from '@june-tide/core/edit';
import { TWELVE_mm } from '@june-tide/core/measure';
import { INCH_mm } from '@june-tide/core/units';
import { redo, undo } from '../../store/shed.ts';
import { nextStation } from './section/stepStations.ts';
import { turnHold } from './markHold.ts';
import {
  addressOf,
  drawTogether,
  goToRoom,
  moveHookOn,
  pinRoom,
  showKeys,
  showStations,
  showWords,
  turnLine,
  useSession,
} from './session.ts';
import { STEP_KEYS, STEPS } from './useBay.ts';

interface OnStand {
  id: string;
  length_mm: number;
  wide_mm: number;
  /** The curve of the step, if it is about one. */
  curve: MarkedCurve | undefined;
  /** The stations of the step's work, mm from the tail. */
  stations: () => readonly number[];
  go: (address: string) => void;
}

/** Keys that work anywhere in the bay, but for the plain ones where somebody types. Keys.tsx lists them for people. */
export function bayKey(event: KeyboardEvent, { id, length_mm, wide_mm, curve, stations, go }: OnStand): void {
  const target = event.target instanceof Element ? event.target : undefined;
  const typing = target?.closest('input, textarea, select, [contenteditable], [role="combobox"], [role="listbox"]');
  const key = event.key.length === 1 ? event.key.toLowerCase() : event.key;
  if (event.ctrlKey || event.metaKey) {
    if (key === 'z' && target?.closest('textarea')) return;
    if (key !== 'z' && key !== 'y') return;
    event.preventDefault();
    if (key === 'y' || event.shiftKey) redo(id);
    else undo(id);
    return;
  }
  if (typing || event.altKey) return;
  const digit = event.key.length === 1 ? STEP_KEYS.indexOf(event.key) : -1;
  if (key === '?') showKeys(true);
  else if (key === 's') showStations(true);
  else if (key === 'g') showWords(true);
  else if (key === 'r') goToRoom(!useSession.getState().inRoom);
  else if (key === 'p') pinRoom(!useSession.getState().pinned);
  else if (key === 'f') drawTogether(!useSession.getState().together);
  else if (key === 'l') turnLine('rail');
  else if (key === 'c') turnLine('concave');
  else if (key === 'h') {
    const { held } = useSession.getState();
    if (curve !== undefined && held !== undefined) turnHold(id, curve, held);
  } else if (digit >= 0) go(addressOf(id, STEPS[digit]));
  else {
    const by = event.shiftKey ? INCH_mm / 4 : INCH_mm;
    const moves: Readonly<Record<string, (x: number) => number>> = {
      ArrowLeft: (x) => x - by,
      ArrowRight: (x) => x + by,
      n: () => length_mm - TWELVE_mm,
      t: () => TWELVE_mm,
      w: () => wide_mm,
      PageUp: (x) => nextStation(stations(), x, 1),
      PageDown: (x) => nextStation(stations(), x, -1),
    };
    if (!Object.hasOwn(moves, key)) return;
    event.preventDefault();
    moveHookOn(length_mm, moves[key]);
  }
}
