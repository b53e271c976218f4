import { LAYERS } from '../document/kinds.ts';
import type { BottomLayer } from '../document/schema.ts';
import { type BottomAcross, bottomHeight, edgeSlope } from '../bottom/bottom.ts';
import type { RailAt } from '../rails/rails.ts';
import { capped, heldWithin, risen, smootherstep, softMax, softMin, softly } from '../curve/ease.ts';
import { GAUSS6 } from '../curve/gauss.ts';

/** What one cross-section is made from. All mm; z from the bottom at the stringer, up. */
export interface SectionInput {
  half_mm: number;
  /** Half width of a notch that splits the tail here; 0 for none. */
  notch_mm: number;
  thickness_mm: number;
  crown_mm: number;
  /** Share of the half width that stays level on the deck. */
  flat: number;
  /** How much of the deck falls as a flat one does, 0 to 1: a flat deck runs in and out along the board by this. */
  levelled: number;
  /** The deck's step near the rail: how far down, and how far in from the rail. */
  stepDrop_mm: number;
  stepInset_mm: number;
  rail: RailAt;
  bottom: BottomAcross;
  /** 1, or less within a closed tip: scales heights about the apex so that the solid closes in one point. */
  lens: number;
}

/** A cubic Bezier in the plane of the section: y then z of its four points. */
type Cubic = readonly [number, number, number, number, number, number, number, number];

/** One half of a cross-section. Built from a deck, an under-rail, an edge fillet and a bottom; docs/formulas.md. */
export interface Section {
  readonly input: SectionInput;
  readonly half_mm: number;
  /** Height of the apex. */
  readonly apex_mm: number;
  readonly crown_mm: number;
  /** Bottom edge: half breadth and height, where the bottom's own curve would end. */
  readonly edgeY_mm: number;
  readonly edgeZ_mm: number;
  /** Angle of the under-rail at the edge above level. */
  readonly edgeAngle_rad: number;
  readonly alpha: number;
  readonly beta: number;
  readonly under: Cubic;
  readonly fillet: Cubic;
  /** Where the bottom ends and the fillet begins, as a share of the half width to the edge. */
  readonly bottomEnd: number;
  readonly stepFrom: number;
  readonly stepOver: number;
  readonly stepDrop_mm: number;
}

/** How far down toward the corner the under-rail's first handle reaches, as a share of its height; it eases over so much of its logarithm. */
const B2 = { low: 0.25, high: 0.95, soft: 0.25 } as const;
/** How far out its second handle reaches: what it has where there is room, and the least and most. */
const GAMMA = { usual: 0.55, low: 0.15, high: 0.9 } as const;
/** How far down the deck's handle at the apex reaches, as a share of the rail's height over it: more would bulge, less is a corner. */
const BETA = { low: 0.3, high: 0.9, soft: 0.08 } as const;
/** Over so much of the logarithm of a curvature it eases into its limits: by half as much again either way. */
const APEX_SOFT = 0.4;
/** The fillet at the edge: the least turn it is drawn for, and its least reach in mm where the tuck is a mm or more. */
const LEAST_TURN_rad = 0.02;
const LEAST_FILLET = 0.02;
/** A bottom whose edge stands up by less than this leaves the crown the more room. */
const EDGE_UP_mm = 8;
/** A bottom that rises toward its edge by less than this slope turns the edge up by a part of it. */
const RISE = 0.06;

/**
 * The half cross-section of the given numbers. Legal for any numbers in their ranges, to the very tips: tuck, crown and
 * depths are capped where there is no room for them, and come out exactly as given where there is.
 *
 * The deck side is a cubic in y times a cubic in z over the crown, monotone in both; the under-rail is a cubic matched
 * to the deck's curvature at the apex; the edge is rounded by a fillet of the edge radius. `edge` turns the under-rail
 * from tangent to the bottom (soft) by up to 80 degrees (hard).
 */
export function sectionOf(input: SectionInput): Section {
  const b = input.half_mm;
  const t = input.thickness_mm;
  const { rail, bottom } = input;
  const land = b - input.notch_mm;
  const w = Math.max(1e-9, capped(0.65 * land, rail.tuck_mm));
  const yE = b - w;
  const zE = bottomHeight(bottom, 1);
  const crown = capped(0.55 * (t - risen(zE, EDGE_UP_mm)), input.crown_mm);
  const D1 = t - crown;
  const h = zE + rail.apex * (D1 - zE);
  const alpha = 0.35 + 0.6 * rail.fullness;
  const wantedBeta = 0.42 + 0.36 * rail.fullness;

  const slopeE = edgeSlope(bottom) / yE;
  const bottomAngle = Math.atan(slopeE);
  const room = Math.atan((0.7 * (h - zE)) / w);
  const phi = capped(room, Math.atan(risen(slopeE, RISE)) + ((80 * Math.PI) / 180) * rail.edge);
  const C_z = zE + w * Math.tan(phi);
  const H = h - C_z;
  const turn = phi - bottomAngle;
  const cos = Math.cos(phi);
  const sin = Math.sin(phi);
  // Never quite none: where bottom and under-rail run on in one line the fillet is a short piece of it.
  const bend = Math.sqrt(turn * turn + LEAST_TURN_rad * LEAST_TURN_rad);
  const reach = softMin((0.45 * w) / cos, 0.45 * (yE - input.notch_mm), 0.1 * w);
  const d = capped(reach, softMax(rail.edgeRadius_mm * Math.tan(bend / 2), LEAST_FILLET * softMin(w, 1, 0.5), 0.02));

  const deckCurvature = ((2 / 3) * b * (1 - alpha)) / (wantedBeta * (D1 - h)) ** 2;
  const P3y = yE + d * cos;
  const P3z = zE + d * sin;
  const W2 = (2 / 3) * (w - d * cos);
  // One curvature at the apex for both sides: the deck's, held softly within what the under-rail has room for.
  const least = (W2 * (1 - GAMMA.high)) / (B2.high * B2.high * H * H);
  const most = (W2 * (1 - GAMMA.low)) / (B2.low * B2.low * H * H);
  const apexCurvature = heldWithin(deckCurvature, least, most, APEX_SOFT);
  const beta = softly(BETA.high, softMax(wantedBeta * Math.sqrt(deckCurvature / apexCurvature), BETA.low, BETA.soft));
  const b2 = heldWithin(Math.sqrt((W2 * (1 - GAMMA.usual)) / apexCurvature) / H, B2.low, B2.high, B2.soft);
  const gamma = 1 - (apexCurvature * b2 * b2 * H * H) / W2;
  const under: Cubic = [b, h, b, h - b2 * H, P3y + gamma * (b - P3y), P3z + gamma * (C_z - P3z), P3y, P3z];
  const startY = yE - d;
  const bottomEnd = startY / yE;
  const startZ = bottomHeight(bottom, bottomEnd);
  const k = ((4 / 3) * Math.tan(bend / 4)) / Math.tan(bend / 2);
  const fillet: Cubic = [
    P3y,
    P3z,
    P3y + k * (yE - P3y),
    P3z + k * (zE - P3z),
    startY + k * (yE - startY),
    startZ + k * (zE - startZ),
    startY,
    startZ,
  ];
  const stepInset = softMin(input.stepInset_mm, 0.6 * land, 0.1 * land);
  const stepDrop = input.stepDrop_mm > 0 ? capped(0.5 * (D1 - h), input.stepDrop_mm) : 0;
  return {
    input,
    half_mm: b,
    apex_mm: h,
    crown_mm: crown,
    edgeY_mm: yE,
    edgeZ_mm: zE,
    edgeAngle_rad: phi,
    alpha,
    beta,
    under,
    fillet,
    bottomEnd,
    stepFrom: stepDrop > 0 ? 1 - stepInset / b : 2,
    stepOver: Math.max(0.02, (0.35 * stepInset) / b),
    stepDrop_mm: stepDrop,
  };
}

/** U: the deck's own parameter to the share of the half width, monotone from 0 to 1. */
export function deckShare(section: Section, s: number): number {
  const r = 1 - s;
  return s * (3 * r * r * section.alpha + s * (3 * r + s));
}

function deckShareRate(section: Section, s: number): number {
  const r = 1 - s;
  return 3 * r * r * section.alpha + 6 * r * s * (1 - section.alpha);
}

/** How far the deck has fallen by crown and step at share U of the half width. */
function deckFall(section: Section, U: number): number {
  const { flat, levelled } = section.input;
  let fall = U * U;
  if (levelled > 0) {
    const beyond = Math.max(0, U - flat) / (1 - flat);
    fall += levelled * (beyond * beyond * beyond - fall);
  }
  fall *= section.crown_mm;
  if (section.stepDrop_mm > 0) {
    fall += section.stepDrop_mm * smootherstep((U - section.stepFrom) / section.stepOver);
  }
  return fall;
}

/** Height of the deck at parameter s, before the tip's lens. */
function deckHeight(section: Section, s: number, U: number): number {
  const r = 1 - s;
  const S = r * r * (r + 3 * s) + 3 * r * s * s * section.beta;
  return section.apex_mm + (section.input.thickness_mm - deckFall(section, U) - section.apex_mm) * S;
}

/** Height after the tip's lens. */
function throughLens(section: Section, z_mm: number): number {
  return section.apex_mm + (z_mm - section.apex_mm) * section.input.lens;
}

export interface SectionPoint {
  y_mm: number;
  z_mm: number;
}

export function deckPoint(section: Section, s: number, out: SectionPoint): void {
  const U = deckShare(section, s);
  out.y_mm = section.half_mm * U;
  out.z_mm = throughLens(section, deckHeight(section, s, U));
}

function cubicPoint(section: Section, cubic: Cubic, s: number, out: SectionPoint): void {
  const r = 1 - s;
  const w0 = r * r * r;
  const w1 = 3 * r * r * s;
  const w2 = 3 * r * s * s;
  const w3 = s * s * s;
  out.y_mm = w0 * cubic[0] + w1 * cubic[2] + w2 * cubic[4] + w3 * cubic[6];
  out.z_mm = throughLens(section, w0 * cubic[1] + w1 * cubic[3] + w2 * cubic[5] + w3 * cubic[7]);
}

/** From the apex (0) down to the fillet (1). */
export function underPoint(section: Section, s: number, out: SectionPoint): void {
  cubicPoint(section, section.under, s, out);
}

/** From the under-rail (0) round to the bottom (1). */
export function filletPoint(section: Section, s: number, out: SectionPoint): void {
  cubicPoint(section, section.fillet, s, out);
}

/** At v = |y| over the half width to the edge. */
export function bottomPoint(section: Section, v: number, out: SectionPoint): void {
  out.y_mm = v * section.edgeY_mm;
  out.z_mm = throughLens(section, bottomHeight(section.input.bottom, v));
}

/** The deck's parameter at half breadth y. Newton kept inside a bracket; error below 1e-12. */
export function deckParameterAt(section: Section, y_mm: number): number {
  const target = y_mm / section.half_mm;
  if (target <= 0) return 0;
  if (target >= 1) return 1;
  let low = 0;
  let high = 1;
  let s = target;
  for (let k = 0; k < 60; k++) {
    const miss = deckShare(section, s) - target;
    if (Math.abs(miss) < 1e-14) break;
    if (miss > 0) high = s;
    else low = s;
    const next = s - miss / deckShareRate(section, s);
    s = next > low && next < high ? next : (low + high) / 2;
  }
  return s;
}

/** ∫ z dy under the deck between two parameters, no lens. Exact for a plain deck. */
function deckIntegral(section: Section, from: number, to: number): number {
  const plain = section.stepDrop_mm === 0 && section.input.levelled === 0;
  const panels = plain ? 1 : 8;
  let sum = 0;
  for (let p = 0; p < panels; p++) {
    const a = from + ((to - from) * p) / panels;
    const c = (to - from) / panels / 2;
    for (let q = 0; q < GAUSS6.length; q++) {
      const node = GAUSS6[q][0];
      const weight = GAUSS6[q][1];
      const s = a + c * (node + 1);
      sum += weight * c * deckHeight(section, s, deckShare(section, s)) * deckShareRate(section, s);
    }
  }
  return sum * section.half_mm;
}

/** Panels a layer's integral is split in. A full concave is a parabola, as plain as a roll. */
function panelsOf({ kind, width }: BottomLayer): number {
  return kind === 'single' && width >= 1 ? 1 : LAYERS[kind].panels;
}

/** ∫ z dy along the bottom between two shares, no lens; exact for polynomials to degree 11 and split for the rest. */
function bottomIntegral(section: Section, from: number, to: number): number {
  const { layers, raised_mm } = section.input.bottom;
  if (layers.length === 0 && raised_mm === 0) return 0;
  let panels = raised_mm === 0 ? 1 : 6;
  for (const layer of layers) panels = Math.max(panels, panelsOf(layer));
  let sum = 0;
  for (let p = 0; p < panels; p++) {
    const a = from + ((to - from) * p) / panels;
    const c = (to - from) / panels / 2;
    for (let q = 0; q < GAUSS6.length; q++) {
      const node = GAUSS6[q][0];
      const weight = GAUSS6[q][1];
      sum += weight * c * bottomHeight(section.input.bottom, a + c * (node + 1));
    }
  }
  return sum * section.edgeY_mm;
}

/** ∫ z dy along a cubic Bezier, closed form. */
function cubicIntegral(c: Cubic): number {
  const [x0, z0, x1, z1, x2, z2, x3, z3] = c;
  return (
    (x0 * (-10 * z0 - 6 * z1 - 3 * z2 - z3) +
      x1 * (6 * z0 - 3 * z2 - 3 * z3) +
      x2 * (3 * z0 + 3 * z1 - 6 * z3) +
      x3 * (z0 + 3 * z1 + 6 * z2 + 10 * z3)) /
    20
  );
}

/** Area of the half section between the notch, if any, and the rail, mm². */
export function halfArea(section: Section): number {
  const notch = section.input.notch_mm;
  const from = notch > 0 ? deckParameterAt(section, notch) : 0;
  const fromBottom = notch > 0 ? notch / section.edgeY_mm : 0;
  const deck = deckIntegral(section, from, 1);
  const rail = cubicIntegral(section.under) + cubicIntegral(section.fillet);
  const bottom = bottomIntegral(section, fromBottom, section.bottomEnd);
  return (deck + rail - bottom) * section.input.lens;
}
