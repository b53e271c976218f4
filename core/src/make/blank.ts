import * as z from 'zod';
import { nameOf } from '../document/naming.ts';
import { type Blend, blendAt, cubicThrough } from '../curve/blend.ts';
import { INCH_mm } from '../units/length.ts';

/** Foams a blank is cut from, with their densities. EPS is sold by the pound a cubic foot. */
export const FOAMS = ['pu', 'eps1', 'eps1_5', 'eps2'] as const;
export type Foam = (typeof FOAMS)[number];
/** 1 lb/ft³ in kg/m³, exactly: 0.45359237 kg over 0.3048³ m³. */
const POUND_PER_CUBIC_FOOT = 0.45359237 / 0.3048 ** 3;
/** PU about 2.6 lb/ft³ through the whole blank: common practice, from memory; the supplier's sheet has its own. */
export const FOAM_DENSITY_kgm3: Readonly<Record<Foam, number>> = {
  pu: 2.6 * POUND_PER_CUBIC_FOOT,
  eps1: POUND_PER_CUBIC_FOOT,
  eps1_5: 1.5 * POUND_PER_CUBIC_FOOT,
  eps2: 2 * POUND_PER_CUBIC_FOOT,
};
export const FOAM_WORDS: Readonly<Record<Foam, string>> = {
  pu: 'PU',
  eps1: 'EPS, 1 lb',
  eps1_5: 'EPS, 1 1/2 lb',
  eps2: 'EPS, 2 lb',
};

const mm = (low: number, high: number) => z.number().min(low).max(high);

/** A blank as it comes: sizes at its tips, 12 in from them and in the middle; lifts over a straightedge at the middle. */
export const blankSchema = z.strictObject({
  id: z.string().min(1).max(64),
  name: nameOf(60),
  foam: z.enum(FOAMS),
  stringer_mm: mm(0, 30),
  stock: z.number().int().min(0).max(9999),
  /** What it costs the shop, in its own money. */
  price: z.number().min(0).max(100000).optional(),
  length_mm: mm(1200, 4200),
  width_mm: mm(300, 900),
  noseWidth12_mm: mm(50, 900),
  tailWidth12_mm: mm(50, 900),
  thickness_mm: mm(30, 250),
  noseThickness12_mm: mm(10, 250),
  tailThickness12_mm: mm(10, 250),
  noseTip_mm: mm(5, 200),
  tailTip_mm: mm(5, 200),
  noseLift_mm: mm(0, 600),
  noseLift12_mm: mm(0, 500),
  tailLift_mm: mm(0, 400),
  tailLift12_mm: mm(0, 300),
});
export type Blank = z.infer<typeof blankSchema>;
export const shelfSchema = z.array(blankSchema).max(5000);

/** A blank as lines over its own stations from the tail, mm: half width, bottom and deck at the stringer. */
export interface BlankLines {
  length_mm: number;
  half: (x_mm: number) => number;
  bottom: (x_mm: number) => number;
  deck: (x_mm: number) => number;
}

const TWELVE = 12 * INCH_mm;

/** The blank's lines, blended without overshoot through its five sizes. Tips are square: half of the width at 12 in is 0.62. */
export function blankLines(blank: Blank): BlankLines {
  const L = blank.length_mm;
  const along = (tail: number, t12: number, middle: number, n12: number, nose: number): Blend =>
    cubicThrough([
      { x_mm: 0, value: tail },
      { x_mm: TWELVE, value: t12 },
      { x_mm: L / 2, value: middle },
      { x_mm: L - TWELVE, value: n12 },
      { x_mm: L, value: nose },
    ]);
  const half = along(
    0.31 * blank.tailWidth12_mm,
    blank.tailWidth12_mm / 2,
    blank.width_mm / 2,
    blank.noseWidth12_mm / 2,
    0.2 * blank.noseWidth12_mm,
  );
  // Beyond its tips the rocker is thought on, so that the blend keeps its slope to the very ends.
  const beyond = (tip: number, at12: number) => 2.2 * tip - 1.2 * at12;
  const bottom = cubicThrough([
    { x_mm: -TWELVE, value: beyond(blank.tailLift_mm, blank.tailLift12_mm) },
    { x_mm: 0, value: blank.tailLift_mm },
    { x_mm: TWELVE, value: blank.tailLift12_mm },
    { x_mm: L / 2, value: 0 },
    { x_mm: L - TWELVE, value: blank.noseLift12_mm },
    { x_mm: L, value: blank.noseLift_mm },
    { x_mm: L + TWELVE, value: beyond(blank.noseLift_mm, blank.noseLift12_mm) },
  ]);
  const thick = along(
    blank.tailTip_mm,
    blank.tailThickness12_mm,
    blank.thickness_mm,
    blank.noseThickness12_mm,
    blank.noseTip_mm,
  );
  return {
    length_mm: L,
    half: (x) => blendAt(half, x),
    bottom: (x) => blendAt(bottom, x),
    deck: (x) => blendAt(bottom, x) + blendAt(thick, x),
  };
}

/** An invented shelf to begin with: thirty blanks in a run of lengths, each in the foams that are usual for it. */
export function usualShelf(): Blank[] {
  const sizes: [feet: number, inches: number, width: number, thick: number, rocker: 'low' | 'usual' | 'high'][] = [
    [5, 9, 23, 2.75, 'low'],
    [6, 0, 21.5, 2.75, 'usual'],
    [6, 2, 22, 2.8, 'usual'],
    [6, 3, 23.5, 3, 'low'],
    [6, 5, 22, 2.875, 'high'],
    [6, 8, 22.5, 3, 'usual'],
    [7, 0, 22.5, 3.1, 'high'],
    [7, 4, 23.5, 3.2, 'usual'],
    [7, 9, 24, 3.3, 'low'],
    [8, 4, 23, 3.4, 'high'],
    [8, 8, 23.5, 3.5, 'usual'],
    [9, 2, 25, 3.5, 'low'],
    [9, 5, 24.5, 3.5, 'usual'],
    [9, 8, 25, 3.6, 'usual'],
    [10, 2, 24, 4, 'high'],
  ];
  const lift = { low: 0.82, usual: 1, high: 1.2 } as const;
  const words = { low: 'low', usual: 'standard', high: 'curved' } as const;
  return sizes.flatMap(([feet, inches, width, thick, rocker], i) => {
    const length = 12 * feet + inches;
    const k = lift[rocker] * (length / 74) ** 0.5;
    const make = (foam: Foam, stock: number): Blank => ({
      id: `shelf-${feet}-${inches}-${foam}`,
      name: `${feet}'${inches} ${words[rocker]}`,
      foam,
      stringer_mm: foam === 'pu' ? 4 : 3,
      stock,
      length_mm: length * INCH_mm,
      width_mm: width * INCH_mm,
      noseWidth12_mm: width * (length > 100 ? 0.84 : 0.76) * INCH_mm,
      tailWidth12_mm: width * 0.8 * INCH_mm,
      thickness_mm: thick * INCH_mm,
      noseThickness12_mm: thick * 0.72 * INCH_mm,
      tailThickness12_mm: thick * 0.74 * INCH_mm,
      noseTip_mm: thick * 0.36 * INCH_mm,
      tailTip_mm: thick * 0.4 * INCH_mm,
      noseLift_mm: 5.2 * k * INCH_mm,
      noseLift12_mm: 2.45 * k * INCH_mm,
      tailLift_mm: 2.5 * k * INCH_mm,
      tailLift12_mm: 1.02 * k * INCH_mm,
    });
    return [make('pu', 4 - (i % 3)), make(i % 3 === 0 ? 'eps2' : i % 3 === 1 ? 'eps1_5' : 'eps1', 1 + (i % 2))];
  });
}
