import type { Shape } from '../shape/shape.ts';
import { halfBreadthAt, notchHalfBreadthAt } from '../outline/outline.ts';
import { INCH_mm } from '../units/length.ts';
import { integrateAlong } from './integrate.ts';
import { sectionArea } from './volume.ts';

/** How an amount lies along the board, about the middle of its length. */
export interface Spread {
  total: number;
  ahead: number;
  behind: number;
  /** Centroid, mm ahead of the middle of the length; behind is negative. */
  centroidFromCentre_mm: number;
}

function spreadOf(shape: Shape, density: (x_mm: number) => number): Spread {
  const { length_mm } = shape.board;
  const { breaks } = shape.outline;
  const middle = length_mm / 2;
  const behind = integrateAlong(length_mm, breaks, density, { to_mm: middle });
  const ahead = integrateAlong(length_mm, breaks, density, { from_mm: middle });
  const moment =
    integrateAlong(length_mm, breaks, (x) => x * density(x), { to_mm: middle }) +
    integrateAlong(length_mm, breaks, (x) => x * density(x), { from_mm: middle });
  const total = ahead + behind;
  return { total, ahead, behind, centroidFromCentre_mm: moment / total - middle };
}

/** Plan width of foam at x: full width less a notch. mm. */
function foamWidth(shape: Shape, x_mm: number): number {
  return 2 * (halfBreadthAt(shape.outline, x_mm) - notchHalfBreadthAt(shape.outline, x_mm));
}

/** Plan area ahead of and behind the middle, mm². */
export function areaSpread_mm2(shape: Shape): Spread {
  return spreadOf(shape, (x) => foamWidth(shape, x));
}

/** Foam ahead of and behind the middle, litres. */
export function foamSpread_L(shape: Shape): Spread {
  return spreadOf(shape, (x) => sectionArea(shape, x) / 1e6);
}

/** Litres between two stations. */
export function litresBetween(shape: Shape, from_mm: number, to_mm: number): number {
  return (
    integrateAlong(shape.board.length_mm, shape.outline.breaks, (x) => sectionArea(shape, x), { from_mm, to_mm }) / 1e6
  );
}

/** Where a rider stands and lies on one board, mm from the tail. */
export interface Feet {
  backFoot_mm: number;
  frontFoot_mm: number;
  chest_mm: number;
}

/** Half the length of board that is counted to a foot, and to the chest. Our own definition. */
const FOOT_REACH_mm = 6 * INCH_mm;
const CHEST_REACH_mm = 9 * INCH_mm;

/**
 * Where the feet and chest usually are: the back foot over the fins, 17 % of the length up; the front foot a stance
 * ahead, 0.29 of the rider's height (20 in when no rider is known); the chest in paddling at 62 % of the length. Our own
 * starting figures, after common practice; no source.
 */
export function usualFeet(length_mm: number, height_mm = 1750): Feet {
  const backFoot_mm = 0.17 * length_mm;
  return { backFoot_mm, frontFoot_mm: backFoot_mm + 0.29 * height_mm, chest_mm: 0.62 * length_mm };
}

/** Litres within 6 in of either foot and within 9 in of the chest. */
export function litresUnder(shape: Shape, feet: Feet): { chest_L: number; frontFoot_L: number; backFoot_L: number } {
  const within = (centre: number, reach: number) => litresBetween(shape, centre - reach, centre + reach);
  return {
    chest_L: within(feet.chest_mm, CHEST_REACH_mm),
    frontFoot_L: within(feet.frontFoot_mm, FOOT_REACH_mm),
    backFoot_L: within(feet.backFoot_mm, FOOT_REACH_mm),
  };
}

/** Plan area behind the trailing edge of the foremost fins, mm²; 0 for a board with no fins. */
export function areaBehindFins_mm2(shape: Shape): number {
  const { boxes } = shape.board.fins;
  if (boxes.length === 0) return 0;
  const foremost = Math.max(...boxes.map((box) => box.trailingEdge_mm));
  return integrateAlong(shape.board.length_mm, shape.outline.breaks, (x) => foamWidth(shape, x), { to_mm: foremost });
}
