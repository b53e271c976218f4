import { describe, expect, it } from '@jest/globals';
import { anchorsOf, stationOfMark } from '../document/station.ts';
import { modelNamed, models } from '../models/models.ts';
import { blendAt } from '../curve/blend.ts';
import { sectionAt, shapeOf } from '../shape/shape.ts';
import {
  depthAsked,
  fadeOf,
  movedTo,
  placeAt,
  SAME_STATION_mm,
  withCrownAt,
  withDepthAt,
  withFade,
  withRailAt,
  withRailCopied,
} from './atStation.ts';
import { withNewLayer } from './parts.ts';

const board = modelNamed('Slack Water')!;
const { stations } = board.rails;
const at = (i: number) => stationOfMark(stations[i], anchorsOf(board));

describe('a change on the section', () => {
  it('is made to the station that stands there, to the nearest of two, and to none further off than 20 mm', () => {
    expect(placeAt(board, stations, at(1) + SAME_STATION_mm - 0.1)).toBe(1);
    expect(placeAt(board, stations, at(1) + SAME_STATION_mm)).toBeUndefined();
    const close = [
      { from: 'tail' as const, at_mm: 500 },
      { from: 'tail' as const, at_mm: 512 },
    ];
    expect([503, 507].map((x) => placeAt(board, close, x))).toEqual([0, 1]);
    const changed = withRailAt(board, at(1) + 5, { tuck_mm: 22 });
    expect(changed.rails.stations).toEqual(stations.map((s, i) => (i === 1 ? { ...s, tuck_mm: 22 } : s)));
  });

  it('sets a station where the blend was, with the rest of the rail as it was there', () => {
    const x = 700;
    const before = sectionAt(shapeOf(board), x)!.input.rail;
    const after = withRailAt(board, x, { apex: 0.35 });
    expect(after.rails.stations).toHaveLength(stations.length + 1);
    const rail = sectionAt(shapeOf(after), x)!.input.rail;
    expect(rail.apex).toBeCloseTo(0.35, 9);
    expect(rail.fullness).toBeCloseTo(before.fullness, 9);
    expect(rail.tuck_mm).toBeCloseTo(before.tuck_mm, 9);
  });

  it('gives crown and depth just what is asked, at a new station and at an old one', () => {
    for (const x of [700, 914.4]) {
      const crowned = withCrownAt(board, x, 11);
      expect(blendAt(shapeOf(crowned).crown, x)).toBeCloseTo(11, 9);
      expect(depthAsked(withDepthAt(board, 0, x, 4.2), 0)(x)).toBeCloseTo(4.2, 9);
    }
    expect(withCrownAt(board, 914.4, 11).deck.crown).toHaveLength(board.deck.crown.length);
    expect(withCrownAt(board, 700, 11).deck.crown).toHaveLength(board.deck.crown.length + 1);
  });

  it('leaves the board as it is once it has twelve stations, but still changes one of them', () => {
    let full = board;
    for (let x = 250; full.rails.stations.length < 12; x += 61) full = withRailAt(full, x, { tuck_mm: 9 });
    const free = 1790;
    expect(placeAt(full, full.rails.stations, free)).toBeUndefined();
    expect(withRailAt(full, free, { tuck_mm: 3 })).toBe(full);
    expect(withRailCopied(full, 0, free)).toBe(full);
    expect(withRailAt(full, at(0), { tuck_mm: 3 }).rails.stations[0].tuck_mm).toBe(3);
  });

  it('copies a rail whole, and not onto another', () => {
    const copied = withRailCopied(board, 0, 700);
    const { from: _f, at_mm: _a, ...rail } = stations[0];
    expect(copied.rails.stations[stations.length]).toEqual({ from: 'tail', at_mm: 700, ...rail });
    expect(withRailCopied(board, 0, at(1) + 4)).toBe(board);
    expect(() => withRailCopied(board, 40, 700)).toThrow(RangeError);
  });

  it('moves a place and leaves it tied to what it was tied to', () => {
    for (const place of [
      { from: 'nose' as const, at_mm: 300 },
      { from: 'wide' as const, at_mm: -40 },
    ]) {
      const moved = movedTo(board, place, 640);
      expect(moved.from).toBe(place.from);
      expect(stationOfMark(moved, anchorsOf(board))).toBeCloseTo(640, 9);
    }
  });
});

describe('how a contour fades out', () => {
  it('is the way from its last depth to where it is none, and becomes what is asked, on every model', () => {
    for (const model of models()) {
      model.bottom.layers.forEach((layer, i) => {
        for (const end of ['nose', 'tail'] as const) {
          const asked = 150;
          const faded = withFade(model, i, end, asked);
          const got = fadeOf(faded, i, end);
          if (layer.depths.every((mark) => mark.value_mm === 0)) continue;
          if (layer.depths.length === 12 && got === undefined) continue;
          const anchors = anchorsOf(model);
          const deep = layer.depths.filter((m) => m.value_mm !== 0).map((m) => stationOfMark(m, anchors));
          const room = end === 'tail' ? Math.min(...deep) : model.length_mm - Math.max(...deep);
          if (room > SAME_STATION_mm) expect(got).toBeCloseTo(Math.min(asked, room), 6);
        }
      });
    }
  });

  it('is not said of one that runs out through the end, and is set there when it is asked for', () => {
    const vee = withNewLayer({ ...board, bottom: { layers: [] } }, 'vee');
    expect(fadeOf(vee, 0, 'tail')).toBeUndefined();
    expect(fadeOf(vee, 0, 'nose')).toBeGreaterThan(50);
    // It runs out at its depth: there is no room behind the tail to fade in.
    const [first] = vee.bottom.layers[0].depths;
    const inside = withFade(
      { ...vee, bottom: { layers: [{ ...vee.bottom.layers[0], depths: [{ ...first, from: 'tail', at_mm: 400 }] }] } },
      0,
      'tail',
      120,
    );
    expect(fadeOf(inside, 0, 'tail')).toBeCloseTo(120, 9);
    expect(depthAsked(inside, 0)(280)).toBeCloseTo(0, 9);
    // Asked for another way out, the mark that is there moves: there is none more.
    const longer = withFade(inside, 0, 'tail', 200);
    expect(longer.bottom.layers[0].depths).toHaveLength(2);
    expect(fadeOf(longer, 0, 'tail')).toBeCloseTo(200, 9);
  });
});
