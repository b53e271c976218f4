import type { Board } from '../../document/schema.ts';
import { INCH_mm } from '../../units/length.ts';
import type { MeasureKey } from '../../measure/catalogue.ts';

export type LeverUnit = 'mm' | 'rad' | 'share' | 'part';

/**
 * One thing a shaper can move: by how much at first, how it is said, and the change itself. `shift` takes how far in the
 * lever's unit, more being positive, and returns the board as it is where the lever has nothing to hold on. Results may leave
 * what can be built; whoever moves a lever far asks boardIssues().
 */
interface LeverData {
  /** As in “more nose rocker”, “less nose rocker”. */
  more: string;
  less: string;
  /** One step, in the unit: mm, rad, a plain share, or a part that is there or not. */
  step: number;
  unit: LeverUnit;
  /** What it moves, to rank by: the measure that it pushes up. */
  reads?: MeasureKey;
  /** It pushes that measure down instead. */
  falls?: true;
  /** What has no measure of its own: the number that calls for more of it, and when. */
  calledBy?: { key: MeasureKey; when: 'high' | 'low' };
  /** What a lot more, and a lot less, of it does. */
  lotMore: string;
  lotLess: string;
  shift: (board: Board, by: number) => Board;
}

/** A lever that is moved by a number of its first steps. */
export interface Lever extends LeverData {
  move: (board: Board, steps: number) => Board;
}

/** Levers from their data: a step is said once, and moved by as often as asked. */
export function movable<K extends string>(levers: Readonly<Record<K, LeverData>>): Readonly<Record<K, Lever>> {
  return Object.fromEntries(
    Object.entries<LeverData>(levers).map(([id, lever]) => [
      id,
      { ...lever, move: (board: Board, steps: number) => lever.shift(board, steps * lever.step) },
    ]),
  ) as Record<K, Lever>;
}

export const inch = (value: number) => value * INCH_mm;
export const degrees = (angle: number) => (angle * Math.PI) / 180;
export const clamp = (value: number, low: number, high: number) => Math.min(high, Math.max(low, value));
