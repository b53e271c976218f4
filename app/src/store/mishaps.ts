import { create } from 'zustand';
import { type Mishap, mishapOf, mishapsFile, mishapsFrom, withMishap } from '@june-tide/core/record';
import { onWorkerTrouble } from '../workers/trouble.ts';
import { BY } from './checked.ts';
import { useShed } from './shedState.ts';

/** Beside the store and not in it: they are kept when the store does not open. */
const KEY = 'june-tide-mishaps';

function kept(): Mishap[] {
  try {
    return mishapsFrom(JSON.parse(window.localStorage.getItem(KEY) ?? '[]'));
  } catch {
    // The browser keeps nothing for this page, or what it kept is spoilt.
    return [];
  }
}

/** What went wrong in this browser. */
export const useMishaps = create<{ list: readonly Mishap[] }>(() => ({
  list: typeof window === 'undefined' ? [] : kept(),
}));

function keep(list: readonly Mishap[]): void {
  useMishaps.setState({ list });
  try {
    window.localStorage.setItem(KEY, JSON.stringify(list));
  } catch {
    // It is shown until the page is left.
  }
}

/** Every name of the shed: none is kept. */
function names(): string[] {
  const { records, bin, riders, settings, shelf } = useShed.getState();
  const boards = [...Object.values(records), ...Object.values(bin)].map(({ board }) => board.name);
  const shop = settings.house.name;
  return [
    ...boards,
    ...Object.values(riders).map(({ name }) => name),
    ...shelf.map(({ name }) => name),
    ...(shop ? [shop] : []),
  ];
}

/** Keeps what went wrong, without anybody's names. Never throws. */
export function noteMishap(error: unknown): void {
  try {
    keep(withMishap(kept(), mishapOf(error, window.location.pathname, names(), new Date().toISOString())));
  } catch {
    // Nothing may go wrong because something went wrong.
  }
}

export const forgetMishaps = (): void => keep([]);

export const mishapsText = (): string => mishapsFile(useMishaps.getState().list, BY);

/** Takes note of what nobody catches. */
export function noteUncaught(): void {
  window.addEventListener('error', ({ error, message }) => noteMishap(error ?? message));
  window.addEventListener('unhandledrejection', ({ reason }) => noteMishap(reason));
  onWorkerTrouble(noteMishap);
}
