import { describe, expect, it } from '@jest/globals';
import { models } from '@june-tide/core/models';
import { liesOn, plankScale } from './scale.ts';
import { STEPS } from './useBay.ts';

const SIZES = [
  [1124, 443],
  [966, 411],
  [1124, 300],
  [1124, 263],
  [966, 252],
  [1700, 700],
] as const;

describe('the plank', () => {
  it('shows the whole of every model on every step, whatever the window', () => {
    for (const { length_mm, outline, rocker, foil, name } of models()) {
      const tallest_mm = Math.max(rocker.noseLift_mm + foil.noseTip_mm, foil.thickness_mm);
      const extent = { length_mm, width_mm: outline.width_mm, tallest_mm };
      for (const step of [...STEPS, 'strip'] as const) {
        for (const [width, height] of SIZES) {
          const scale = plankScale(extent, step, width, height);
          const half = (outline.width_mm / 2) * scale.k;
          const seen = {
            name,
            step,
            left: scale.x(0) >= 0,
            right: scale.x(length_mm) <= width,
            top: scale.centre - half >= 0,
            plan: scale.half || scale.centre + half <= scale.tapeTop,
            // On two steps something else hangs there.
            profile:
              step === 'strip' ||
              (step === 'rails' || step === 'bottom'
                ? scale.height - scale.tapeTop >= 80
                : scale.ground - tallest_mm * scale.k * scale.stretch >= scale.tapeTop),
          };
          expect(seen).toEqual({ name, step, left: true, right: true, top: true, plan: true, profile: true });
        }
      }
    }
  });

  it('laid out for one board holds another until that one sticks out: at an end, beside, or into the tape', () => {
    const extent = { length_mm: 1880, width_mm: 495, tallest_mm: 145 };
    const outline = plankScale(extent, 'outline', 1124, 443);
    const rocker = plankScale(extent, 'rocker', 1124, 443);
    for (const scale of [outline, rocker]) expect(liesOn(scale, extent)).toBe(true);
    // The plan has 15 px over it.
    expect(liesOn(outline, { ...extent, width_mm: extent.width_mm + 28 / outline.k })).toBe(true);
    expect(liesOn(outline, { ...extent, width_mm: extent.width_mm + 32 / outline.k })).toBe(false);
    // With no strip of light under it, on the fins, it is nearer to the tape than to the top.
    const fins = plankScale(extent, 'fins', 1124, 443);
    expect(liesOn(fins, { ...extent, width_mm: extent.width_mm + 20 / fins.k })).toBe(true);
    expect(liesOn(fins, { ...extent, width_mm: extent.width_mm + 25 / fins.k })).toBe(false);
    expect(liesOn(outline, { ...extent, length_mm: 3 * extent.length_mm })).toBe(false);
    expect(liesOn(rocker, { ...extent, tallest_mm: extent.tallest_mm + 3 / rocker.k })).toBe(true);
    expect(liesOn(rocker, { ...extent, tallest_mm: 2 * extent.tallest_mm })).toBe(false);
  });

  it('has one place for a station and one station for a place', () => {
    const scale = plankScale({ length_mm: 1830, width_mm: 490, tallest_mm: 140 }, 'outline', 1124, 443);
    for (const x of [0, 304.8, 915, 1830]) expect(scale.station(scale.x(x))).toBeCloseTo(x, 9);
  });

  it('draws heights taller only where the profile is the work, and says by how much in halves', () => {
    const extent = { length_mm: 1830, width_mm: 490, tallest_mm: 140 };
    expect(plankScale(extent, 'outline', 1124, 443).stretch).toBe(1);
    const { stretch } = plankScale(extent, 'rocker', 1124, 443);
    expect(stretch).toBeGreaterThan(1);
    expect(2 * stretch).toBe(Math.round(2 * stretch));
  });

  it('leaves room for what is drawn round a board: past its ends, beside it and under its straightedge', () => {
    const extent = { length_mm: 1880, width_mm: 495, tallest_mm: 145 };
    const around = { ends_mm: 120, width_mm: 572, tallest_mm: 225, under_mm: 25 };
    for (const [width, height] of SIZES) {
      const scale = plankScale(extent, 'make', width, height, around);
      const beside = (around.width_mm / 2) * scale.k;
      expect(scale.x(-around.ends_mm)).toBeGreaterThanOrEqual(0);
      expect(scale.x(extent.length_mm + around.ends_mm)).toBeLessThanOrEqual(width);
      expect(scale.centre - beside).toBeGreaterThanOrEqual(0);
      expect(scale.centre + beside).toBeLessThanOrEqual(scale.tapeTop);
      expect(scale.ground - around.tallest_mm * scale.k).toBeGreaterThanOrEqual(scale.tapeTop + 30);
      expect(scale.ground + around.under_mm * scale.k).toBeLessThanOrEqual(height);
      expect(scale.half).toBe(false);
    }
  });
});
