import { describe, expect, it } from '@jest/globals';
import { type BottomLayer, LAYER_KINDS, type LayerKind } from '../document/schema.ts';
import { anchorsOf } from '../document/station.ts';
import { sectionAt, shapeOf } from '../shape/shape.ts';
import { modelNamed } from '../models/models.ts';
import { blendedBottom, bottomAcross, bottomHeight, channelCorners, edgeSlope } from './bottom.ts';
import { BOTTOM_PRESETS, bottomPresetOf, withBottomPreset, withLayerDepth } from '../edit/bottomPresets.ts';

const anchors = anchorsOf({ length_mm: 1800, outline: { widePoint_mm: 0 } });

function across(layers: BottomLayer[], x = 900) {
  return bottomAcross(blendedBottom({ layers }, [], anchors), x, 240, 60);
}

const layer = (kind: LayerKind, depth_mm = 5, width = 1): BottomLayer => ({
  kind,
  width,
  depths: [{ from: 'centre', at_mm: 0, value_mm: depth_mm }],
  ...(kind === 'channels' ? { count: 2 } : {}),
});

describe('contours across one station', () => {
  // What the trade means by each: where it is level with the stringer, where it is deepest or highest.
  const WHERE: Readonly<Record<LayerKind, readonly [at: number, height_mm: number]>> = {
    single: [1, -5],
    narrow: [1, -5],
    vee: [1, 5],
    roll: [1, 5],
    teardrop: [1, -5],
    bevel: [1, 5],
    double: [0.5, 5],
    triple: [1, -5],
    // The middle of the outer one of two.
    channels: [1.7 / 2.2, 5],
  };
  it.each(LAYER_KINDS.map((kind) => [kind, ...WHERE[kind]] as const))(
    '%s at %f of the half width is %f',
    (kind, v, height) => {
      expect(bottomHeight(across([layer(kind)]), v)).toBeCloseTo(height, 9);
    },
  );

  // Curvature of unit depth in shares of the half width: (1 − u²)² had 8/w² at its edge and q²(2 − q) 4/w², both from nought.
  it.each(LAYER_KINDS.flatMap((kind) => [0.3, 0.6].map((width) => [kind, width] as const)))(
    '%s of width %f has no jump of slope or of curvature across the board',
    (kind, width) => {
      const contour = across([layer(kind, 1, width)]);
      const at = (v: number) => bottomHeight(contour, v) / contour.depths[0];
      const h = 2e-6;
      const bend = (v: number) => (at(v - h) - 2 * at(v) + at(v + h)) / (h * h);
      const places = [width, 1 - width, ...channelCorners(contour)].filter((v) => v > 0.01 && v < 0.99);
      for (const v of places) {
        expect(Math.abs(at(v + 1e-9) - at(v - 1e-9))).toBeLessThan(1e-7);
        // A channel's sides bend by 8700 within a fortieth of the half width: the same share of it.
        expect(Math.abs(bend(v + 2 * h) - bend(v - 2 * h))).toBeLessThan(kind === 'channels' ? 30 : 1);
      }
    },
  );

  it('hollows, bevels and doubles have the areas they are named for', () => {
    // Simpson over [0, 1] of unit depth, kinks clear of its panels: by hand from the polynomials.
    const mean = (entry: BottomLayer) => {
      const contour = across([entry]);
      let sum = 0;
      for (let k = 0; k <= 2000; k++)
        sum += bottomHeight(contour, k / 2000) * (k % 2000 === 0 ? 1 : k % 2 === 1 ? 4 : 2);
      return sum / 6000 / contour.depths[0];
    };
    // A hollow of width w: 8/15 w − 1; a bevel of width w: 5/12 w; a double of width w: w/2.
    expect(mean(layer('teardrop', 1, 0.6))).toBeCloseTo((8 / 15) * 0.6 - 1, 6);
    expect(mean(layer('single', 1, 0.5))).toBeCloseTo((8 / 15) * 0.5 - 1, 6);
    expect(mean(layer('bevel', 1, 0.4))).toBeCloseTo((5 / 12) * 0.4, 6);
    expect(mean(layer('double', 1, 0.8))).toBeCloseTo(0.4, 6);
  });

  it('a narrow concave rolls back up beyond its width, by half its depth at the edge', () => {
    expect(bottomHeight(across([layer('narrow', 5, 0.6)]), 0.6)).toBeCloseTo(-5, 9);
    expect(bottomHeight(across([layer('narrow', 5, 0.6)]), 1)).toBeCloseTo(-2.5, 9);
  });

  it.each(LAYER_KINDS)('%s is level at the stringer and adds nothing when its depth is nothing', (kind) => {
    if (kind !== 'channels') expect(bottomHeight(across([layer(kind)]), 0)).toBeCloseTo(0, 9);
    for (let v = 0; v <= 1; v += 0.05) expect(bottomHeight(across([layer(kind, 0)]), v)).toBe(0);
  });

  it('double concave lies inside vee: two hollows, a ridge at the stringer, the edge lifted', () => {
    const bottom = across([layer('vee', 6), layer('double', -3)]);
    const [middle, half, edge] = [0, 0.5, 1].map((v) => bottomHeight(bottom, v));
    expect(middle).toBeCloseTo(0, 9);
    expect(edge).toBeCloseTo(6, 9);
    expect(half).toBeLessThan(3);
  });

  it('a narrow concave rolls its flanks back up', () => {
    const bottom = across([layer('narrow', 6, 0.6)]);
    expect(bottomHeight(bottom, 0.6)).toBeCloseTo(-6, 9);
    expect(bottomHeight(bottom, 1)).toBeCloseTo(-3, 9);
  });

  it('a bevel leaves the middle flat and tips only the edge', () => {
    const bottom = across([layer('bevel', 6, 0.25)]);
    expect(bottomHeight(bottom, 0.7)).toBe(0);
    expect(bottomHeight(bottom, 0.9)).toBeGreaterThan(0);
    expect(edgeSlope(bottom)).toBeGreaterThan(0);
  });

  it('channels are cut flat-bottomed: two a side, corners inside the board', () => {
    const bottom = across([layer('channels', 4)]);
    const corners = channelCorners(bottom);
    expect(corners).toHaveLength(8);
    expect(Math.min(...corners)).toBeGreaterThan(0);
    expect(Math.max(...corners)).toBeLessThan(1);
    const heights = Array.from({ length: 401 }, (_, k) => bottomHeight(bottom, k / 400));
    expect(Math.max(...heights)).toBeCloseTo(4, 9);
    expect(heights.filter((z) => z > 3.999).length).toBeGreaterThan(60);
    expect(heights[0]).toBe(0);
  });

  it('layers add up, and one switched off is as if it were not there', () => {
    const both = across([layer('single', 4), layer('vee', 3)]);
    for (const v of [0.2, 0.6, 1]) {
      const sum = bottomHeight(across([layer('single', 4)]), v) + bottomHeight(across([layer('vee', 3)]), v);
      expect(bottomHeight(both, v)).toBeCloseTo(sum, 9);
    }
    expect(bottomHeight(across([layer('single', 4), { ...layer('vee', 3), off: true }]), 1)).toBeCloseTo(-4, 9);
  });

  it('depths are limited together where there is no room, and exact where there is', () => {
    const thin = bottomAcross(blendedBottom({ layers: [layer('single', 12)] }, [], anchors), 900, 20, 8);
    expect(Math.abs(bottomHeight(thin, 1))).toBeLessThan(0.45 * 8);
    expect(bottomHeight(across([layer('single', 12)]), 1)).toBeCloseTo(-12, 9);
  });
});

describe('contours along the board', () => {
  it('fade in and out by their marks and never pass them', () => {
    const faded: BottomLayer = {
      kind: 'single',
      width: 1,
      depths: [
        { from: 'tail', at_mm: 300, value_mm: 0 },
        { from: 'tail', at_mm: 900, value_mm: 5 },
        { from: 'tail', at_mm: 1500, value_mm: 0 },
      ],
    };
    let before = 0;
    for (let x = 300; x <= 900; x += 20) {
      const depth = -bottomHeight(across([faded], x), 1);
      expect(depth).toBeGreaterThanOrEqual(before - 1e-9);
      expect(depth).toBeLessThanOrEqual(5 + 1e-9);
      before = depth;
    }
    expect(bottomHeight(across([faded], 100), 1)).toBe(0);
    expect(bottomHeight(across([faded], 1700), 1)).toBe(0);
  });

  it('a raised wing climbs at the wing and fades aft; the marks of the outline stay', () => {
    const board = modelNamed('Two Stairs')!;
    const raised = {
      ...board,
      outline: { ...board.outline, wings: board.outline.wings.map((w) => ({ ...w, raised: 0.8 })) },
    };
    const edge = (b: typeof board, x: number) => sectionAt(shapeOf(b), x)!.edgeZ_mm;
    const wing = board.outline.wings[0].fromTail_mm;
    expect(edge(raised, wing - 3)).toBeGreaterThan(edge(board, wing - 3) + 3);
    expect(edge(raised, wing + 200)).toBeCloseTo(edge(board, wing + 200), 6);
    expect(edge(raised, 20)).toBeLessThan(edge(raised, wing - 3));
  });

  it('usual bottoms go on a board, and one depth scales a whole contour', () => {
    const board = modelNamed('Slack Water')!;
    for (const name of Object.keys(BOTTOM_PRESETS)) {
      const { layers } = withBottomPreset(board, name).bottom;
      layers.forEach((_, i) => {
        const deeper = withLayerDepth(withBottomPreset(board, name), i, 6).bottom.layers[i];
        expect(Math.max(...deeper.depths.map((m) => Math.abs(m.value_mm)))).toBeCloseTo(6, 9);
      });
    }
    expect(() => withBottomPreset(board, 'spoon')).toThrow(/there is no bottom/);
  });
});

describe('the name of a usual bottom', () => {
  it('is the bottom’s until a depth, a width or a switch is changed', () => {
    const board = modelNamed('Slack Water')!;
    for (const name of Object.keys(BOTTOM_PRESETS)) {
      const preset = withBottomPreset(board, name);
      expect(bottomPresetOf(preset.bottom.layers)).toBe(name);
      if (preset.bottom.layers.length === 0) continue;
      expect(bottomPresetOf(withLayerDepth(preset, 0, 3.1).bottom.layers)).toBeUndefined();
      const [first, ...rest] = preset.bottom.layers;
      expect(bottomPresetOf([{ ...first, width: 0.31 }, ...rest])).toBeUndefined();
      expect(bottomPresetOf([{ ...first, off: true }, ...rest])).toBeUndefined();
    }
  });
});
