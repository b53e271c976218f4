import { TAILS } from '../document/kinds.ts';
import type { OutlineDocument, TailKind } from '../document/schema.ts';

/** How a tail closes the base outline. Lengths in mm, half widths. */
export interface TailEnd {
  /** Does the outline close on the stringer with a vertical tangent? */
  readonly round: boolean;
  /** Half width at which the base outline ends. */
  readonly block_mm: number;
  /** The corner work reaches so far from the tail. */
  readonly corner_mm: number;
  /** Half width of the straight face at the very end, as a share of the base outline. */
  readonly flat: number;
  readonly sharpness: number;
  readonly power: number;
  /** Straight facets instead of curves. */
  readonly facets: boolean;
  /** Depth of the notch and half width of its mouth; 0 for none. */
  readonly notch_mm: number;
  readonly mouth_mm: number;
  readonly notchShape: 'vee' | 'moon' | 'none';
  /** Plan radius of a tip that closes on the stringer by its own cap; 0 for every other end. */
  readonly tip_mm: number;
}

/** Each tip of a swallow stays this wide: a blunt point that can be glassed. Common practice, no source. */
const BLUNT_TIP_mm = 5.5;

const closed = {
  corner_mm: 0,
  flat: 0,
  sharpness: 1,
  power: 1,
  facets: false,
  notch_mm: 0,
  mouth_mm: 0,
  notchShape: 'none',
  tip_mm: 0,
} as const;

/** Does this tail end in a block whose width is a number of its own? */
export function hasBlock(kind: TailKind): boolean {
  return TAILS[kind].closes === 'block';
}

/**
 * The end of one outline.
 * Method: y = f + (y0 − f) F, F = (1 − (1 − x/d)^m)^(1/k), f = flat y0; m ≥ 2.5 joins with continuous curvature and
 * k = 2 has a finite radius where the curve meets the face. docs/formulas.md lists d, m, k and flat for each tail.
 */
export function tailEnd(tail: OutlineDocument['tail']): TailEnd {
  const block_mm = tail.block_mm / 2;
  switch (tail.kind) {
    case 'round':
    case 'roundedPin':
      return { ...closed, round: true, block_mm: 0 };
    case 'pin':
      // The cap of `tipShare`: with m 3 and k 2 over 1.5 radii its radius on the stringer is the tip's.
      return {
        ...closed,
        round: false,
        block_mm: tail.tip_mm,
        tip_mm: tail.tip_mm,
        corner_mm: TIP_REACH * tail.tip_mm,
        flat: 0,
        sharpness: 3,
        power: 2,
      };
    case 'square':
      return { ...closed, round: false, block_mm, corner_mm: 4, flat: 0.95, sharpness: 3, power: 2 };
    case 'squash':
      return {
        ...closed,
        round: false,
        block_mm,
        corner_mm: clamp(tail.depth_mm, 8, 80),
        flat: 0.55,
        sharpness: 3,
        power: 2,
      };
    case 'thumb':
      return {
        ...closed,
        round: false,
        block_mm,
        corner_mm: clamp(tail.depth_mm, 30, 200),
        flat: 0.1,
        sharpness: 3,
        power: 2.2,
      };
    case 'diamond':
      return { ...closed, round: false, block_mm, corner_mm: clamp(tail.depth_mm, 20, 200), flat: 0, facets: true };
    case 'sixCorner':
      return { ...closed, round: false, block_mm, corner_mm: clamp(tail.depth_mm, 20, 200), flat: 0.45, facets: true };
    case 'swallow':
    case 'halfMoon':
      return {
        ...closed,
        round: false,
        block_mm,
        notch_mm: clamp(tail.depth_mm, 10, 400),
        mouth_mm: Math.max(block_mm - BLUNT_TIP_mm, block_mm / 2),
        notchShape: tail.kind === 'swallow' ? 'vee' : 'moon',
      };
  }
}

/** A tip is closed over so many of its radii: then its radius on the stringer is the one asked for. */
export const TIP_REACH = 1.5;

/** What is left of the half width where a pointed nose is closed by its tip, `from_mm` from the very end. */
export function tipShare(tip_mm: number, from_mm: number): number {
  const reach = TIP_REACH * tip_mm;
  if (from_mm >= reach) return 1;
  return from_mm <= 0 ? 0 : Math.sqrt(1 - (1 - from_mm / reach) ** 3);
}

function clamp(value: number, low: number, high: number): number {
  return Math.min(Math.max(value, low), high);
}

/** The outline with its tail end worked: `base_mm` is the base half width at x, `atCorner_mm` that at x = corner. */
export function closedOutline(end: TailEnd, x_mm: number, base_mm: number, atCorner_mm: number): number {
  if (x_mm >= end.corner_mm) return base_mm;
  const along = x_mm / end.corner_mm;
  if (end.facets) return atCorner_mm * (end.flat + (1 - end.flat) * along);
  const face = end.flat * base_mm;
  return face + (base_mm - face) * (1 - (1 - along) ** end.sharpness) ** (1 / end.power);
}

/** Half width of the notch at x: the board lies between it and the outline. 0 ahead of the crotch. */
export function notchAt(end: TailEnd, x_mm: number): number {
  if (!(x_mm < end.notch_mm)) return 0;
  const along = Math.max(x_mm, 0) / end.notch_mm;
  return end.mouth_mm * (end.notchShape === 'moon' ? Math.sqrt(1 - along * along) : 1 - along);
}
