import { describe, expect, it } from '@jest/globals';
import { LAYER_KINDS } from '../document/schema.ts';
import type { BottomAcross } from '../bottom/bottom.ts';
import { seeded } from '../testing/random.ts';
import { capped } from '../curve/ease.ts';
import { deckHeightAt, undersideHeightAt } from './heights.ts';
import {
  bottomPoint,
  deckParameterAt,
  deckPoint,
  deckShare,
  filletPoint,
  halfArea,
  type SectionInput,
  sectionOf,
  type SectionPoint,
  underPoint,
} from './section.ts';

const flat: BottomAcross = { layers: [], depths: [], raised_mm: 0 };

const usual: SectionInput = {
  half_mm: 240,
  notch_mm: 0,
  thickness_mm: 62,
  crown_mm: 8,
  flat: 0,
  levelled: 0,
  stepDrop_mm: 0,
  stepInset_mm: 0,
  rail: { apex: 0.4, fullness: 0.65, tuck_mm: 30, edge: 0.3, edgeRadius_mm: 4 },
  bottom: flat,
  lens: 1,
};

/** The ring of a half section as points, deck stringer to bottom stringer. */
function ring(input: SectionInput, count = 60): SectionPoint[] {
  const section = sectionOf(input);
  const out: SectionPoint[] = [];
  const at: SectionPoint = { y_mm: 0, z_mm: 0 };
  const run = (
    write: (s: typeof section, t: number, out: SectionPoint) => void,
    from: number,
    to: number,
    n: number,
  ) => {
    for (let k = 0; k <= n; k++) {
      write(section, from + ((to - from) * k) / n, at);
      out.push({ ...at });
    }
  };
  run(deckPoint, 0, 1, count);
  run(underPoint, 0, 1, count);
  run(filletPoint, 0, 1, 20);
  run(bottomPoint, section.bottomEnd, 0, 2 * count);
  return out;
}

function shoelace(points: readonly SectionPoint[]): number {
  let twice = 0;
  points.forEach((p, i) => {
    const q = points[(i + 1) % points.length];
    twice += p.y_mm * q.z_mm - q.y_mm * p.z_mm;
  });
  return Math.abs(twice) / 2;
}

describe('a section', () => {
  it('has the thickness, half width and apex it was asked for', () => {
    const section = sectionOf(usual);
    const at: SectionPoint = { y_mm: 0, z_mm: 0 };
    deckPoint(section, 0, at);
    expect([at.y_mm, at.z_mm]).toEqual([0, usual.thickness_mm]);
    deckPoint(section, 1, at);
    expect(at.y_mm).toBeCloseTo(usual.half_mm, 9);
    expect(at.z_mm).toBeCloseTo(section.apex_mm, 9);
    expect(section.apex_mm).toBeCloseTo(0.4 * (usual.thickness_mm - usual.crown_mm), 9);
    expect(section.half_mm - section.edgeY_mm).toBeCloseTo(30, 9);
  });

  it('has the area of its own ring, by the shoelace', () => {
    for (const change of [
      {},
      { crown_mm: 16 },
      { thickness_mm: 25 },
      { half_mm: 40 },
      { rail: { ...usual.rail, edge: 0.9 } },
    ]) {
      const input = { ...usual, ...change };
      expect(halfArea(sectionOf(input)) / shoelace(ring(input, 1200))).toBeCloseTo(1, 5);
    }
  });

  it('a fuller rail, a flatter deck and less tuck each hold more foam', () => {
    const area = (change: Partial<SectionInput>) => halfArea(sectionOf({ ...usual, ...change }));
    const base = area({});
    expect(area({ rail: { ...usual.rail, fullness: 1 } })).toBeGreaterThan(base);
    expect(area({ rail: { ...usual.rail, fullness: 0 } })).toBeLessThan(base);
    expect(area({ crown_mm: 2 })).toBeGreaterThan(base);
    expect(area({ flat: 0.6, levelled: 1 })).toBeGreaterThan(base);
    expect(area({ flat: 0.6, levelled: 0.5 })).toBeCloseTo((area({ flat: 0.6, levelled: 1 }) + base) / 2, 6);
    expect(area({ stepDrop_mm: 8, stepInset_mm: 50 })).toBeLessThan(base);
    expect(area({ rail: { ...usual.rail, tuck_mm: 6 } })).toBeGreaterThan(base);
  });

  it('a soft edge runs on from the bottom without a corner; a hard one turns', () => {
    const turn = (edge: number) => sectionOf({ ...usual, rail: { ...usual.rail, edge } }).edgeAngle_rad;
    expect(turn(0)).toBeCloseTo(0, 9);
    expect(turn(0.7)).toBeGreaterThan(turn(0.3));
  });

  it('bends alike on both sides of the apex, for every ordinary rail', () => {
    const curvature = (write: typeof deckPoint, s0: number, ds: number) => {
      const section = sectionOf(usualWith.input);
      const [a, b, c] = [0, 1, 2].map((k) => {
        const at: SectionPoint = { y_mm: 0, z_mm: 0 };
        write(section, s0 + k * ds, at);
        return at;
      });
      const area = (b.y_mm - a.y_mm) * (c.z_mm - a.z_mm) - (b.z_mm - a.z_mm) * (c.y_mm - a.y_mm);
      const sides = [
        Math.hypot(b.y_mm - a.y_mm, b.z_mm - a.z_mm),
        Math.hypot(c.y_mm - b.y_mm, c.z_mm - b.z_mm),
        Math.hypot(c.y_mm - a.y_mm, c.z_mm - a.z_mm),
      ];
      return (2 * Math.abs(area)) / (sides[0] * sides[1] * sides[2]);
    };
    const usualWith = { input: usual };
    for (const [apex, fullness, tuck_mm] of [
      [0.5, 0.55, 60],
      [0.4, 0.65, 38],
      [0.4, 1, 26],
      [0.3, 0.6, 20],
    ]) {
      usualWith.input = { ...usual, rail: { ...usual.rail, apex, fullness, tuck_mm, edge: 0.2 } };
      const deck = curvature(deckPoint, 1, -1e-3);
      const under = curvature(underPoint, 0, 1e-3);
      expect(Math.abs(deck / under - 1)).toBeLessThan(0.06);
    }
  });

  it('heights at a place are those of the ring', () => {
    const section = sectionOf(usual);
    for (const p of ring(usual, 40)) {
      const deck = Math.abs(deckHeightAt(section, p.y_mm) - p.z_mm);
      const under = Math.abs(undersideHeightAt(section, p.y_mm) - p.z_mm);
      expect(Math.min(deck, under)).toBeLessThan(0.02);
    }
    for (const s of [0.1, 0.37, 0.82])
      expect(deckParameterAt(section, usual.half_mm * deckShare(section, s))).toBeCloseTo(s, 9);
  });

  it('stays legal for 20 000 random sections over every range, to a hundredth of a millimetre of breadth', () => {
    const random = seeded(7);
    const between = (low: number, high: number) => low + random() * (high - low);
    for (let k = 0; k < 20_000; k++) {
      const layers = LAYER_KINDS.filter(() => random() < 0.2).map((kind) => ({
        kind,
        width: between(0.05, 1),
        depths: [],
      }));
      const thickness_mm = between(0.5, 98);
      const half_mm = 10 ** between(-2, 2.5);
      const limit = Math.min(0.45 * thickness_mm, 0.35 * half_mm) / Math.max(1, layers.length);
      const input: SectionInput = {
        half_mm,
        notch_mm: random() < 0.1 ? 0.5 * half_mm : 0,
        thickness_mm,
        crown_mm: between(0, 40),
        flat: between(0, 0.85),
        levelled: random() < 0.2 ? random() : 0,
        stepDrop_mm: random() < 0.2 ? between(0, 20) : 0,
        stepInset_mm: between(10, 200),
        rail: {
          apex: between(0.1, 0.75),
          fullness: random(),
          tuck_mm: between(0, 120),
          edge: random(),
          edgeRadius_mm: between(0.3, 30),
        },
        bottom: { layers, depths: layers.map(() => between(-limit, limit)), raised_mm: 0 },
        lens: between(0.01, 1),
      };
      const section = sectionOf(input);
      const at: SectionPoint = { y_mm: 0, z_mm: 0 };
      let y = -1e-9;
      for (let i = 0; i <= 8; i++) {
        deckPoint(section, i / 8, at);
        if (!(at.y_mm >= y && Number.isFinite(at.z_mm))) throw new Error(`deck turns back: ${JSON.stringify(input)}`);
        y = at.y_mm;
      }
      for (let i = 0; i <= 8; i++) {
        underPoint(section, i / 8, at);
        if (!(at.y_mm <= y + 1e-6 && Number.isFinite(at.z_mm)))
          throw new Error(`rail turns back: ${JSON.stringify(input)}`);
        y = at.y_mm;
      }
      if (!(halfArea(section) > 0)) throw new Error(`no area: ${JSON.stringify(input)}`);
    }
  });
});

describe('capped', () => {
  it('is the value itself up to half the limit, eases to it, and never passes it', () => {
    expect(capped(10, 3)).toBe(3);
    expect(capped(10, 5)).toBe(5);
    let before = 0;
    for (let v = 0; v < 60; v += 0.25) {
      const eased = capped(10, v);
      expect(eased).toBeGreaterThanOrEqual(before);
      expect(eased).toBeLessThanOrEqual(10);
      before = eased;
    }
    const slope = (capped(10, 5 + 1e-6) - capped(10, 5)) / 1e-6;
    expect(slope).toBeCloseTo(1, 4);
    expect(capped(0, 4)).toBe(0);
    expect(capped(NaN, 4)).toBe(0);
  });
});
