// Glass and cuts by hand sums, term by term.
import { describe, expect, it } from '@jest/globals';
import { thicknessAt } from '../foil/foil.ts';
import { skinOf } from '../measure/skin.ts';
import { volume_L } from '../measure/volume.ts';
import { modelNamed } from '../models/models.ts';
import { halfBreadthAt } from '../outline/outline.ts';
import { shapeOf } from '../shape/shape.ts';
import { type BlankLines } from './blank.ts';
import { fitInBlank } from './blankFit.ts';
import { type GlassSchedule, laminated, lighter } from './glass.ts';
import { USUAL_ASSUMPTIONS as usual } from './glassAssumptions.ts';
import { planingPlan } from './planing.ts';

const shape = shapeOf(modelNamed('Slack Water')!);
const L = shape.board.length_mm;
const skin = skinOf(shape);
const full: GlassSchedule = {
  resin: 'epoxy',
  deck: ['e6', 's4'],
  bottom: ['e4'],
  deckPatch: 'e6',
  tailPatch: 'carbon5_7',
  finish: 'gloss',
};
const made = (schedule: GlassSchedule, foam: 'pu' | 'eps1_5' = 'pu', stringer_mm = 4) => {
  const result = laminated(shape, foam, stringer_mm, schedule);
  if (!result.ok) throw new Error(result.reason);
  return result.laminate;
};
/** oz/yd² in g/m², NIST SP 811 (2008), appendix B.8: 3.390 575 E+01. */
const OUNCE = 33.90575;

describe('cloth to cut', () => {
  it('is each layer with a lap along both rails, and patches without', () => {
    const laps = 2 * L * usual.lap_mm;
    expect(made(full).cuts).toEqual([
      { cloth: 'e6', for: 'deck', length_mm: L + 150, area_mm2: skin.deck_mm2 + laps },
      { cloth: 's4', for: 'deck', length_mm: L + 150, area_mm2: skin.deck_mm2 + laps },
      { cloth: 'e4', for: 'bottom', length_mm: L + 150, area_mm2: skin.bottom_mm2 + laps },
      { cloth: 'e6', for: 'deck patch', length_mm: 0.45 * L, area_mm2: 0.45 * skin.deck_mm2 },
      { cloth: 'carbon5_7', for: 'tail patch', length_mm: 0.22 * L, area_mm2: 0.22 * skin.bottom_mm2 },
    ]);
    const { deckPatch: _deck, tailPatch: _tail, ...plain } = full;
    expect(made(plain).cuts.map((cut) => cut.for)).toEqual(['deck', 'deck', 'bottom']);
  });
});

describe('what the parts weigh', () => {
  const laminate = made(full);
  const part = (name: string) => laminate.parts.find((entry) => entry.name === name)!.mass_kg;
  const laps = 2 * L * usual.lap_mm;
  const cloth_g =
    (OUNCE / 1e6) *
    (10 * (skin.deck_mm2 + laps) +
      4 * (skin.bottom_mm2 + laps) +
      6 * 0.45 * skin.deck_mm2 +
      5.7 * 0.22 * skin.bottom_mm2);

  it('is cloth by its ounces, resin by what cloth and skin take, once each', () => {
    expect(part('cloth')).toBeCloseTo(cloth_g / 1000, 6);
    const whole_m2 = skin.total_mm2 / 1e6;
    const resin_g = cloth_g * usual.resinToCloth + whole_m2 * (usual.hotCoat_gm2 + usual.gloss_gm2);
    expect(part('resin')).toBeCloseTo(resin_g / 1000, 6);
    expect(part('fin boxes')).toBeCloseTo(3 * usual.finBox_kg, 12);
    expect(part('leash plug')).toBe(usual.plug_kg);
    const sanded = made({ ...full, finish: 'sanded' });
    expect(laminate.mass_kg - sanded.mass_kg).toBeCloseTo((whole_m2 * usual.gloss_gm2) / 1000, 9);
    expect(sanded.batches.map(({ name }) => name)).toEqual(['laminate', 'hot coat']);
  });

  it('is foam less the stringer’s own room, and the stringer in its wood', () => {
    // The stringer's side by the trapezoid rule on a fine grid: within 1e-4 of the integral.
    const n = 4000;
    let side_mm2 = 0;
    for (let k = 0; k < n; k++) side_mm2 += (thicknessAt(shape.foil, ((k + 0.5) / n) * L) * L) / n;
    const stringer_m3 = (side_mm2 * 4) / 1e9;
    expect(part('stringer')).toBeCloseTo(stringer_m3 * usual.stringer_kgm3, 5);
    expect(part('foam')).toBeCloseTo((volume_L(shape) / 1000 - stringer_m3) * usual.pu_kgm3, 5);
    const without = made(full, 'pu', 0);
    expect(without.parts.find(({ name }) => name === 'stringer')?.mass_kg).toBe(0);
  });

  it('is said within 7 % each way', () => {
    expect(laminate.low_kg).toBeCloseTo(0.93 * laminate.mass_kg, 12);
    expect(laminate.high_kg).toBeCloseTo(1.07 * laminate.mass_kg, 12);
  });

  it('is mixed with the waste on top, catalyst for polyester by its own share', () => {
    const [batch] = made({ ...full, resin: 'polyester' }).batches;
    expect(batch.mix_g).toBeCloseTo(cloth_g * usual.resinToCloth * (1 + usual.waste), 3);
    expect(batch.hardener_g / batch.resin_g).toBeCloseTo(usual.catalystShare, 12);
    expect(batch.resin_ml).toBeCloseTo(batch.resin_g / usual.polyester_gcm3, 9);
    expect(batch.hardener_ml).toBeCloseTo(batch.hardener_g / usual.catalyst_gcm3, 9);
    expect(batch.ratio).toContain('catalyst');
  });

  it('is lighter by just what each change takes away, the most first', () => {
    const heavy: GlassSchedule = { ...full, bottom: ['e6'] };
    const found = lighter(shape, 'pu', 4, heavy);
    const saved = (words: string) => found.find((entry) => entry.words === words)!.saves_kg;
    const mass = made(heavy).mass_kg;
    expect(saved('one layer less on the deck')).toBeCloseTo(mass - made({ ...heavy, deck: ['s4'] }).mass_kg, 9);
    expect(saved('4 oz under the bottom')).toBeCloseTo(mass - made({ ...heavy, bottom: ['e4'] }).mass_kg, 9);
    expect(saved('EPS of 1 1/2 lb with epoxy')).toBeCloseTo(mass - made(heavy, 'eps1_5').mass_kg, 9);
    expect(saved('no deck patch')).toBeGreaterThan(0.05);
    expect([...found].sort((a, b) => b.saves_kg - a.saves_kg)).toEqual(found);
    expect(lighter(shape, 'eps1_5', 4, full).map(({ words }) => words)).not.toContain('EPS of 1 1/2 lb with epoxy');
  });
});

describe('a blank grown by a known amount', () => {
  const at = (x: number) => Math.min(L, Math.max(0, x));
  const bottomOf = (x: number) => shape.rocker.line.valueAt(at(x));
  /** 5 mm under the bottom's stringer, 3 mm over the deck. */
  const grown: BlankLines = {
    length_mm: L,
    half: (x) => halfBreadthAt(shape.outline, at(x)) + 30,
    bottom: (x) => bottomOf(x) - 5,
    deck: (x) => bottomOf(x) + thicknessAt(shape.foil, at(x)) + 3,
  };
  const none = { surface_mm: 0, width_mm: 0, ends_mm: 0 };

  it('has a mean cut of half the foam between them', () => {
    const fit = fitInBlank(shape, grown, none);
    expect(fit.fits).toBe(true);
    const mean = fit.margins.reduce((sum, m) => sum + (m.deck_mm + m.bottom_mm) / 2, 0) / fit.margins.length;
    expect(fit.meanCut_mm).toBeCloseTo(mean, 9);
    // 8 mm together at the stringer, less what the concave hollows under it.
    expect(fit.meanCut_mm).toBeGreaterThan(1.5);
    expect(fit.meanCut_mm).toBeLessThanOrEqual(4.001);
  });

  it('is planed in even passes: 5 mm in two from the bottom, then 3 mm in one from the deck', () => {
    const plan = planingPlan(shape, grown, { shift_mm: 0, raise_mm: 0, tilt_rad: 0 }, [400, 900, 1400], 3.2);
    for (const { x_mm, passes } of plan) {
      expect(passes.map(({ side }) => side)).toEqual(['bottom', 'bottom', 'deck']);
      const design = thicknessAt(shape.foil, x_mm);
      [2.5, 2.5, 3].forEach((depth, k) => expect(passes[k].depth_mm).toBeCloseTo(depth, 9));
      [design + 5.5, design + 3, design].forEach((left, k) => expect(passes[k].thicknessAfter_mm).toBeCloseTo(left, 9));
    }
    // Raised by 1 mm and tilted by a thousandth, what comes off each side changes by just that.
    const [tilted] = planingPlan(shape, grown, { shift_mm: 0, raise_mm: 1, tilt_rad: 0.001 }, [400], 20);
    expect(tilted.passes.map(({ depth_mm }) => depth_mm)).toEqual([
      expect.closeTo(5 + 1.4, 9),
      expect.closeTo(3 - 1.4, 9),
    ]);
  });
});
