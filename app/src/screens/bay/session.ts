import { create } from 'zustand';
import type { Board } from '@june-tide/core/document';
import { INCH_mm } from '@june-tide/core/units';
import type { OverChoice } from './over.ts';
import type { StepKey } from './useBay.ts';

/** What a hand has open in the bay and no disk keeps: of one board, begun anew with each. */
export interface BaySession {
  /** The record on the stand; empty before there is one. */
  id: string;
  /** The station cursor, mm from the tail. */
  hook_mm: number;
  /** The mark in hand, of the step's curve. */
  held: string | undefined;
  /** What is laid over. */
  over: OverChoice | undefined;
  /** The board as it was when it was put on the stand. */
  opened: Board | undefined;
  /** The list of keys is open. */
  keys: boolean;
  /** The words of the trade are open. */
  words: boolean;
  /** The station table is open. */
  stations: boolean;
  /** The board is seen in the round. */
  inRoom: boolean;
  /** It is seen in the round beside the drawing too. */
  pinned: boolean;
  /** Lines along the bottom that are drawn over the profile. */
  drawn: Readonly<Record<ProfileLine, boolean>>;
  /** Feet, pad, plug, fins, deepest concave and flat point are drawn on the plan together. */
  together: boolean;
  /** Which edge of a fin's base its distance from the tail is told to. */
  finEdge: FinEdge;
  /** What of each step was open when it was left, as its address has it: `?part=blank`. */
  left: Readonly<Partial<Record<StepKey, string>>>;
}

/** Shops measure to the one or to the other. */
export type FinEdge = 'trailing' | 'leading';

/** Lines that can be drawn over the profile: of the rail, and of the concave where it is highest. */
export type ProfileLine = 'rail' | 'concave';

const fresh = (id: string, opened: Board | undefined): BaySession => ({
  id,
  hook_mm: 20 * INCH_mm,
  held: undefined,
  over: undefined,
  opened,
  keys: false,
  words: false,
  stations: false,
  inRoom: false,
  pinned: false,
  drawn: { rail: false, concave: false },
  together: false,
  finEdge: 'trailing',
  left: {},
});

export const useSession = create<BaySession>(() => fresh('', undefined));

/** Puts a board on the stand; one that stands there already keeps what is open. */
export function openSession(id: string, board: Board): void {
  if (useSession.getState().id !== id) useSession.setState(fresh(id, board));
}

/** Nothing is on the stand: the next board, the same one too, begins anew. */
export const closeSession = (): void => useSession.setState(fresh('', undefined));

/** Moves the hook to a station, kept on the board. */
export function moveHookOn(length_mm: number, x_mm: number | ((now_mm: number) => number)): void {
  useSession.setState(({ hook_mm }) => {
    const to = typeof x_mm === 'function' ? x_mm(hook_mm) : x_mm;
    return { hook_mm: Math.min(length_mm, Math.max(0, to)) };
  });
}

export const hold = (held: string | undefined): void => useSession.setState({ held });
export const layOver = (over: OverChoice | undefined): void => useSession.setState({ over });
export const showKeys = (keys: boolean): void => useSession.setState({ keys });
export const showWords = (words: boolean): void => useSession.setState({ words });
export const showStations = (stations: boolean): void => useSession.setState({ stations });
export const pinRoom = (pinned: boolean): void => useSession.setState({ pinned });
export const goToRoom = (inRoom: boolean): void => useSession.setState({ inRoom });

/** Draws a line over the profile, or takes it off. */
export const turnLine = (line: ProfileLine): void =>
  useSession.setState(({ drawn }) => ({ drawn: { ...drawn, [line]: !drawn[line] } }));

export const tellFinEdge = (finEdge: FinEdge): void => useSession.setState({ finEdge });
/** Keeps what of a step is open, so that it is found again when one comes back to it. */
export const leave = (step: StepKey, search: string): void =>
  useSession.setState(({ left }) => (left[step] === search ? {} : { left: { ...left, [step]: search } }));

/** Where a step of a board is, with what of it was open. */
export const addressOf = (id: string, step: StepKey): string =>
  `/bay/${id}/${step}${useSession.getState().left[step] ?? ''}`;

export const drawTogether = (together: boolean): void => useSession.setState({ together });
