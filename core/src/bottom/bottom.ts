import type { BottomDocument, BottomLayer, Wing } from '../document/schema.ts';
import { type Anchors, stationOfMark } from '../document/station.ts';
import { type Blend, blendAt, blendThrough } from '../curve/blend.ts';
import { capped, smootherstep, softMin, together } from '../curve/ease.ts';

/** The bottom contours of a board, each with its depth blended along the board. */
export interface Bottom {
  readonly layers: readonly { readonly layer: BottomLayer; readonly depth: Blend }[];
  readonly wings: readonly Wing[];
}

/** The bottom across one station, ready to be asked for heights. Reused: one object a solid. */
export interface BottomAcross {
  layers: BottomLayer[];
  /** Depths at this station, mm. */
  depths: number[];
  /** Lift of the very edge by raised wings, mm. */
  raised_mm: number;
}

export function blendedBottom(document: BottomDocument, wings: readonly Wing[], anchors: Anchors): Bottom {
  return {
    layers: document.layers
      .filter((layer) => layer.off !== true)
      .map((layer) => ({
        layer,
        depth: blendThrough(layer.depths.map((mark) => ({ x_mm: stationOfMark(mark, anchors), value: mark.value_mm }))),
      })),
    wings: wings.filter((wing) => wing.raised > 0),
  };
}

/** Share of the half width that a raised wing's edge is tipped up over. */
const RAISED_WIDTH = 0.3;

/** How far the edge of raised wings has climbed at x, as a share of the rail's height. */
function raisedShare(wings: readonly Wing[], x_mm: number): number {
  let share = 0;
  for (const wing of wings) {
    const run = Math.max(60, wing.length_mm);
    const ahead = smootherstep((wing.fromTail_mm + run - x_mm) / run);
    const aft = smootherstep((x_mm - (wing.fromTail_mm - wing.length_mm - 2 * run)) / (2 * run));
    share = together(share, wing.raised * ahead * aft);
  }
  return 0.6 * share;
}

/**
 * The bottom at station x. Depths are limited together where the board runs thin or narrow, so that the tips stay legal.
 */
export function bottomAcross(bottom: Bottom, x_mm: number, half_mm: number, thickness_mm: number): BottomAcross {
  const across: BottomAcross = { layers: [], depths: [], raised_mm: 0 };
  let total = 0;
  for (const { layer, depth } of bottom.layers) {
    const depth_mm = blendAt(depth, x_mm);
    if (depth_mm === 0) continue;
    across.layers.push(layer);
    across.depths.push(depth_mm);
    total += Math.abs(depth_mm);
  }
  if (bottom.wings.length > 0) {
    across.raised_mm = raisedShare(bottom.wings, x_mm) * 0.5 * thickness_mm;
    total += across.raised_mm;
  }
  if (total > 0) {
    const scale = capped(softMin(0.45 * thickness_mm, 0.35 * half_mm, 0.1 * thickness_mm), total) / total;
    if (scale !== 1) {
      for (let i = 0; i < across.depths.length; i++) across.depths[i] *= scale;
      across.raised_mm *= scale;
    }
  }
  return across;
}

const VEE_SPINE = 0.06;
const VEE_UNIT = Math.sqrt(1 + VEE_SPINE * VEE_SPINE) - VEE_SPINE;

/** Where the channels of a layer run, as shares of the half width: evenly between the stringer and its width. */
function channelCentre(layer: BottomLayer, index: number): number {
  const count = layer.count ?? 2;
  return (layer.width * (index + 0.7)) / (count + 0.2);
}

function channelHalfWidth(layer: BottomLayer): number {
  return (0.42 * layer.width) / ((layer.count ?? 2) + 0.2);
}

/** The corners of all channels at a station, as shares of the half width: where a mesh must put points. */
export function channelCorners(across: BottomAcross): number[] {
  return across.layers.flatMap((layer) => {
    if (layer.kind !== 'channels') return [];
    const half = channelHalfWidth(layer);
    return Array.from({ length: layer.count ?? 2 }, (_, i) => channelCentre(layer, i)).flatMap((centre) =>
      [-1, -0.55, 0.55, 1].map((side) => centre + side * half),
    );
  });
}

/**
 * A hollow of depth 1 that runs out at u = 1 with two continuous derivatives: (1 − u²)³ (1 + 3/2 u²), whose area is that of
 * the parabola squared, 8/15.
 */
function hollow(u: number): number {
  if (u >= 1) return 0;
  const left = 1 - u * u;
  return left * left * left * (1 + 1.5 * u * u);
}

/**
 * A climb from 0 at q = 0, where it begins with two continuous derivatives, to 1 at q = 1 with slope 1: q³ (7 − 10 q + 4 q²),
 * whose area is 5/12.
 */
function climb(q: number): number {
  return q <= 0 ? 0 : q * q * q * (7 + q * (4 * q - 10));
}

/** So much of the cube and less of the fourth power of a sine has the area of its square, 1/2. */
const DOUBLE_CUBE = 1 / 8 / (4 / (3 * Math.PI) - 3 / 8);

/** Height of one layer of unit depth at v = |y| over the half width to the edge, v in [0, 1]. Twice continuous in v. */
function unitHeight(layer: BottomLayer, v: number): number {
  switch (layer.kind) {
    case 'single':
      return layer.width >= 1 ? -v * v : hollow(v / layer.width) - 1;
    case 'narrow': {
      // A hollow to `width`, then the flanks roll back up by half its depth.
      const flank = layer.width < 1 ? Math.max(0, (v - layer.width) / (1 - layer.width)) : 0;
      return hollow(v / layer.width) - 1 + 0.5 * flank * flank * flank;
    }
    case 'double': {
      if (v >= layer.width) return 0;
      const wave = Math.sin((Math.PI * v) / layer.width);
      return wave * wave * wave * (DOUBLE_CUBE + (1 - DOUBLE_CUBE) * wave);
    }
    case 'triple':
      return -(Math.sin(1.5 * Math.PI * v) ** 2);
    case 'vee':
      return (Math.sqrt(v * v + VEE_SPINE * VEE_SPINE) - VEE_SPINE) / VEE_UNIT;
    case 'roll':
      return v * v;
    case 'teardrop':
      return hollow(v / layer.width) - 1;
    case 'channels': {
      let sum = 0;
      const half = channelHalfWidth(layer);
      for (let i = 0; i < (layer.count ?? 2); i++) {
        sum += 1 - smootherstep((Math.abs(v - channelCentre(layer, i)) / half - 0.55) / 0.45);
      }
      return sum;
    }
    case 'bevel':
      return climb((v - 1 + layer.width) / layer.width);
  }
}

/** Height of the bottom over the stringer line at v, mm, positive up. */
export function bottomHeight(across: BottomAcross, v: number): number {
  let sum = 0;
  for (let i = 0; i < across.layers.length; i++) sum += across.depths[i] * unitHeight(across.layers[i], v);
  if (across.raised_mm > 0) {
    sum += across.raised_mm * climb((v - 1 + RAISED_WIDTH) / RAISED_WIDTH);
  }
  return sum;
}

/** Slope of the bottom just inside the edge, dz/dv. One-sided difference, error O(1e-4) of the depth. */
export function edgeSlope(across: BottomAcross): number {
  if (across.layers.length === 0 && across.raised_mm === 0) return 0;
  const e = 1e-4;
  return (3 * bottomHeight(across, 1) - 4 * bottomHeight(across, 1 - e) + bottomHeight(across, 1 - 2 * e)) / (2 * e);
}

/** Where across the bottom a contour stands highest, as a share of the half width to the edge, and over its lowest, for a depth of 1. */
export interface LayerReach {
  share: number;
  rise: number;
}

const REACH_PLACES = 96;

/** Found at 97 places: where a hand would take hold of the contour to make it deeper. */
export function layerReach(layer: BottomLayer): LayerReach {
  let [low, high, share] = [Infinity, -Infinity, 0];
  for (let k = 0; k <= REACH_PLACES; k++) {
    const z = unitHeight(layer, k / REACH_PLACES);
    low = Math.min(low, z);
    if (z > high) [high, share] = [z, k / REACH_PLACES];
  }
  return { share, rise: high - low };
}
