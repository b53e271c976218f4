import { createContext, useContext } from 'react';
import type { Over, OverChoice } from './over.ts';
import type { MarkedCurve } from '@june-tide/core/edit';
import type { Case } from '@june-tide/core/judge';
import type { Measures } from '@june-tide/core/measure';
import type { BoardRecord } from '@june-tide/core/record';
import type { Rider, Sized } from '@june-tide/core/rider';
import type { Shape } from '@june-tide/core/shape';

/** What every part of the bay needs of the one board on the stand. */
export interface BayContext {
  record: BoardRecord;
  shape: Shape;
  measures: Measures;
  rider: Rider | undefined;
  /** Litres to aim for, by the shop’s school first; empty without a rider. */
  sizes: readonly Sized[];
  target: Sized | undefined;
  /** What the board is judged from. */
  judgedAs: Case;
  step: StepKey;
  /** The station cursor, mm from the tail. */
  hook_mm: number;
  moveHook: (x_mm: number) => void;
  /** The mark in hand, of the step's curve. */
  held: string | undefined;
  hold: (key: string | undefined) => void;
  /** The board laid over ours, if one is. */
  over: Over | undefined;
  layOver: (choice: OverChoice | undefined) => void;
}

export const STEPS = [
  'rider',
  'outline',
  'rocker',
  'foil',
  'deck',
  'rails',
  'bottom',
  'fins',
  'check',
  'make',
  'ride',
] as const;
export type StepKey = (typeof STEPS)[number];
/** A key for each step. */
export const STEP_KEYS = '1234567890-';

export const STEP_WORDS: Readonly<Record<StepKey, string>> = {
  rider: 'Rider',
  outline: 'Outline',
  rocker: 'Rocker',
  foil: 'Foil',
  deck: 'Deck',
  rails: 'Rails',
  bottom: 'Bottom',
  fins: 'Fins',
  check: 'Check',
  make: 'Make',
  ride: 'Ride',
};

/** The curve a step is about, if it is about one. */
export function curveOf(step: StepKey): MarkedCurve | undefined {
  return step === 'outline' || step === 'rocker' || step === 'foil' ? step : undefined;
}

/** Steps that are about the section: it is their large drawing, and the plank is the small one. */
const SECTION_STEPS: ReadonlySet<StepKey> = new Set<StepKey>(['deck', 'rails', 'bottom']);
export const isSectionStep = (step: StepKey): boolean => SECTION_STEPS.has(step);

const live = createContext<BayContext | undefined>(undefined);
const rested = createContext<BayContext | undefined>(undefined);
/** The bay at each move of a drag. */
export const LiveBayProvider = live.Provider;
/** The bay as it was when the hand last rested: two contexts, so that a drag renders nothing that reads only this one. */
export const BayProvider = rested.Provider;

/** For what is beside the curve in hand: follows a drag when the hand rests, everything else at once. */
export function useBay(): BayContext {
  return insideOf(useContext(rested));
}

/** For what must follow each move of a drag: the lines, the section, the ticket. */
export function useLiveBay(): BayContext {
  return insideOf(useContext(live));
}

function insideOf(bay: BayContext | undefined): BayContext {
  if (!bay) throw new Error('useBay: not inside the bay');
  return bay;
}
