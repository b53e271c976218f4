import { bottomHeight } from '../bottom/bottom.ts';
import type { Section } from './section.ts';

/** What a straightedge laid across the bottom shows at one station. */
export interface StraightedgeReading {
  /** `flat`: it lies on the bottom; `light`: it rests toward the edges with light under it; `rocks`: on the stringer. */
  kind: 'flat' | 'light' | 'rocks';
  /** The most light under it. */
  gap_mm: number;
  /** Where that is, off the stringer. */
  at_mm: number;
  /** Where it rests, off the stringer. */
  rests_mm: number;
}

/** Less light than this, 1/64 in, is none: hand work is good to no better. */
const NO_LIGHT_mm = 0.4;
const SAMPLES = 64;

/**
 * A straightedge laid level across the bottom: it rests where the bottom is lowest, and the light under it is the
 * bottom's height over that. Sampled at 65 points of the half width.
 */
export function straightedgeAcross(section: Section): StraightedgeReading {
  const { bottom } = section.input;
  let low = 0;
  let high = 0;
  const z = (k: number) => bottomHeight(bottom, k / SAMPLES);
  for (let k = 1; k <= SAMPLES; k++) {
    if (z(k) < z(low)) low = k;
    if (z(k) > z(high)) high = k;
  }
  const gap_mm = z(high) - z(low);
  const y = (k: number) => (k / SAMPLES) * section.edgeY_mm;
  const kind = gap_mm < NO_LIGHT_mm ? 'flat' : low === 0 ? 'rocks' : 'light';
  return { kind, gap_mm, at_mm: y(high), rests_mm: y(low) };
}
