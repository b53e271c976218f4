// The area of a section against the shoelace of its own ring, where only plain ones were tried before.
import { describe, expect, it } from '@jest/globals';
import type { BottomAcross } from '../bottom/bottom.ts';
import { LAYER_KINDS } from '../document/schema.ts';
import { halfArea, type Section, type SectionInput, sectionOf } from './section.ts';
import { halfSection, sectionRing } from './walk.ts';

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
const FINE = { deck: 4000, under: 800, fillet: 400, bottom: 6000 };

/** Between the notch, or the stringer, and the rail. */
function shoelace(section: Section): number {
  const points = halfSection(section, FINE);
  let twice = 0;
  points.forEach((p, i) => {
    const q = points[(i + 1) % points.length];
    twice += p.y_mm * q.z_mm - q.y_mm * p.z_mm;
  });
  return Math.abs(twice) / 2;
}

const layers = (kind: (typeof LAYER_KINDS)[number], depth_mm: number, width: number): BottomAcross => ({
  layers: [{ kind, width, depths: [], ...(kind === 'channels' ? { count: 2 } : {}) }],
  depths: [depth_mm],
  raised_mm: 0,
});

describe('the area of a half section is that of its ring, within 2e-5', () => {
  const cases: [string, Partial<SectionInput>][] = [
    ['under the lens of a tip', { lens: 0.37, thickness_mm: 14, half_mm: 30, crown_mm: 3 }],
    ['with a deck flat to six tenths', { flat: 0.6, levelled: 1 }],
    ['with a deck flat to six tenths, under a lens', { flat: 0.6, levelled: 0.7, lens: 0.5 }],
    ['with a stepped rail', { stepDrop_mm: 8, stepInset_mm: 50 }],
    ['beside a notch', { notch_mm: 70 }],
    ['beside a notch, under a lens', { notch_mm: 70, lens: 0.8 }],
    ['with a raised edge', { bottom: { ...flat, raised_mm: 6 } }],
    ['of a rail so full that its bend is bounded', { rail: { ...usual.rail, fullness: 1, apex: 0.74, tuck_mm: 4 } }],
    ['of a rail so thin that its bend is bounded', { rail: { ...usual.rail, fullness: 0, apex: 0.12, tuck_mm: 118 } }],
    ['of a hard edge', { rail: { ...usual.rail, edge: 1, edgeRadius_mm: 0.5 } }],
    ['of a soft edge of large radius', { rail: { ...usual.rail, edge: 0, edgeRadius_mm: 28 } }],
    ...LAYER_KINDS.flatMap((kind): [string, Partial<SectionInput>][] =>
      [1, 0.55].map((width) => [`over ${kind}, ${width} wide`, { bottom: layers(kind, 6, width) }]),
    ),
  ];

  it.each(cases)('%s', (_name, change) => {
    const section = sectionOf({ ...usual, ...change });
    expect(halfArea(section) / shoelace(section)).toBeCloseTo(1, 4);
    expect(Math.abs(halfArea(section) / shoelace(section) - 1)).toBeLessThan(2e-5);
  });
});

describe('the lens of a tip', () => {
  it('scales every height about the apex: area by the lens, the ring point by point', () => {
    const plain = sectionOf({ ...usual, thickness_mm: 14 });
    const closed = sectionOf({ ...usual, thickness_mm: 14, lens: 0.3 });
    expect(halfArea(closed)).toBeCloseTo(0.3 * halfArea(plain), 9);
    const [a, b] = [plain, closed].map((section) =>
      halfSection(section, { deck: 20, under: 8, fillet: 6, bottom: 20 }),
    );
    a.forEach((p, i) => {
      expect(b[i].y_mm).toBeCloseTo(p.y_mm, 9);
      expect(b[i].z_mm - closed.apex_mm).toBeCloseTo(0.3 * (p.z_mm - plain.apex_mm), 9);
    });
  });
});

describe('the ring of a section', () => {
  it('goes once round, deck first, the same on both rails; a split tail shows its right half', () => {
    const ring = sectionRing(sectionOf(usual), 20);
    const half = 20 + 20 + 16 + 40 + 1;
    expect(ring).toHaveLength(2 * half - 2);
    expect(ring[0]).toEqual({ y_mm: 0, z_mm: usual.thickness_mm });
    ring.slice(1, half - 1).forEach((p, i) => {
      expect(ring[ring.length - 1 - i]).toEqual({ y_mm: -p.y_mm, z_mm: p.z_mm });
    });
    const split = sectionRing(sectionOf({ ...usual, notch_mm: 60 }), 20);
    expect(split).toHaveLength(half);
    expect(Math.min(...split.map(({ y_mm }) => y_mm))).toBeCloseTo(60, 9);
  });
});
