import type { Board } from '../../document/schema.ts';
import { shapeOf } from '../../shape/shape.ts';
import type { Cloud } from './cloud.ts';
import { offOf, pickedFrom, type Place } from './place.ts';
import { surfaceOf } from './surface.ts';

/** Where a scan and the board made of it are apart: from the tail, left of the stringer, up. */
export interface Apart {
  x_mm: number;
  y_mm: number;
  z_mm: number;
  off_mm: number;
}

export interface HeldAgainst {
  rms_mm: number;
  /** 95 of a hundred points are no farther off. */
  most_mm: number;
  /** Farther out at the right rail than at the left, by station, mm. */
  sides: { at_mm: number; right_mm: number }[];
  /** Places all over the board and how far the scan is off it there: outside is positive. */
  apart: Apart[];
}

/** Points farther off than this are no part of the board's skin, in turn: fins, what was left of strays. mm. */
export const GATES_mm = [25, 10, 6] as const;

/** Deviations are told at no more than about so many points. */
const TOLD = 15_000;

/** How far a scan is off a board that lies in it at a place, told at so many of its points. What is farther off than the last gate is no skin. */
export function heldAgainst(board: Board, cloud: Cloud, place: Place, count: number): HeldAgainst {
  const surface = surfaceOf(shapeOf(board));
  const points = pickedFrom(cloud, count, board.length_mm);
  const moved = new Float64Array(points.length);
  const off = offOf(surface, place, board.length_mm / 2, points, moved);
  const last = GATES_mm[GATES_mm.length - 1];
  const own = [...off.keys()].filter((k) => Math.abs(off[k]) <= last);
  const sizes = own.map((k) => Math.abs(off[k])).sort((a, b) => a - b);
  const rms = Math.sqrt(own.reduce((sum, k) => sum + off[k] * off[k], 0) / Math.max(1, own.length));
  const step = Math.max(1, Math.floor(own.length / TOLD));
  const sides = [0.17, 0.33, 0.5, 0.67, 0.83].map((share) => {
    const at_mm = share * board.length_mm;
    const half = (k: number) => Math.abs(moved[3 * k + 1]);
    const near = own.filter((k) => Math.abs(moved[3 * k] - at_mm) < 0.05 * board.length_mm);
    const rail = near.filter((k) => half(k) > 0.8 * Math.max(...near.map(half)));
    const mean = (sign: number) => {
      const side = rail.filter((k) => sign * moved[3 * k + 1] > 0);
      return side.reduce((sum, k) => sum + off[k], 0) / Math.max(1, side.length);
    };
    // y runs to the left.
    return { at_mm, right_mm: mean(-1) - mean(1) };
  });
  return {
    rms_mm: rms,
    most_mm: sizes[Math.floor(0.95 * (sizes.length - 1))] ?? 0,
    sides,
    apart: own
      .filter((_, i) => i % step === 0)
      .map((k) => ({ x_mm: moved[3 * k], y_mm: moved[3 * k + 1], z_mm: moved[3 * k + 2], off_mm: off[k] })),
  };
}
