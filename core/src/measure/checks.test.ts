import { describe, expect, it } from '@jest/globals';
import type { Board, BottomLayer } from '../document/schema.ts';
import { shapeOf } from '../shape/shape.ts';
import { blended } from '../edit/mix.ts';
import { scaledToLitres } from '../edit/litres.ts';
import { thickened, withEqualEnds, withNose } from '../edit/size.ts';
import { modelNamed, models } from '../models/models.ts';
import { meshOf } from '../solid/mesh.ts';
import { judgedByManifold } from '../testing/manifold.ts';
import { contour } from '../models/recipe.ts';
import { halfBreadthAt } from '../outline/outline.ts';
import { finSpots } from '../fins/spots.ts';
import { bendOf, flattestPart } from './bend.ts';
import { buttockLineAt, curveLength_mm, railLineAt, stringerLineAt } from './bottomLines.ts';
import { areaSpread_mm2, foamSpread_L, litresBetween, litresUnder, usualFeet } from './distribution.ts';
import { integrateAlong } from './integrate.ts';
import { tipLifts, straightLengthFor, withTipLifts } from './rockerReading.ts';
import { skinOf } from './skin.ts';
import { foilDifferences, railThicknessAt, stationTable } from './stationTable.ts';
import { volume_L } from './volume.ts';

const slack = () => modelNamed('Slack Water')!;
const withLayers = (board: Board, layers: BottomLayer[]): Board => ({ ...board, bottom: { layers } });

describe('closed forms through the same integration', () => {
  // Wigley hull: y = (B/2)(1 − (2x/L)²)(1 − (z/T)²), volume 4/9 LBT and waterplane 2/3 LB (Wigley 1934, closed form).
  it('the Wigley hull has 4/9 LBT and 2/3 LB', () => {
    const [L, B, T] = [2000, 500, 80];
    const plan = (x: number) => B * (1 - ((2 * x) / L - 1) ** 2);
    expect(integrateAlong(L, [], plan) / ((2 / 3) * L * B)).toBeCloseTo(1, 6);
    expect(integrateAlong(L, [], (x) => (2 / 3) * T * plan(x)) / ((4 / 9) * L * B * T)).toBeCloseTo(1, 6);
  });

  it("Simpson's rule gives a naval architect's worked areas: half ordinates 0 1 2 3 4 at 2 m by 1-4-2-4-1 (from memory)", () => {
    // y = x / 2 over 8 m, both sides: area 32 m² by the multipliers and by ours.
    const byHand = 2 * (2 / 3) * (0 + 4 * 1 + 2 * 2 + 4 * 3 + 4);
    expect(byHand).toBeCloseTo(32, 12);
    expect(integrateAlong(8, [], (x) => x)).toBeCloseTo(byHand, 6);
  });

  it('a stretch and the rest are the whole', () => {
    const shape = shapeOf(modelNamed('Two Stairs')!);
    const L = shape.board.length_mm;
    const parts = litresBetween(shape, 0, 333) + litresBetween(shape, 333, 1200) + litresBetween(shape, 1200, L);
    expect(Math.abs(parts / volume_L(shape) - 1)).toBeLessThan(1e-4);
    expect(litresBetween(shape, 500, 500)).toBe(0);
  });

  it('an ellipse is exact: round ends, a wide point in the middle, no other mark', () => {
    const base = withNose(modelNamed('Lamplight')!, 'round');
    const board: Board = {
      ...base,
      outline: {
        ...base.outline,
        marks: [],
        widePoint_mm: 0,
        wings: [],
        tail: { kind: 'round', block_mm: 0, depth_mm: 0, tip_mm: 0 },
      },
    };
    const { outline } = shapeOf(board);
    const [a, b] = [board.length_mm / 2, board.outline.width_mm / 2];
    for (let k = 1; k < 40; k++) {
      const x = (board.length_mm * k) / 40;
      expect(halfBreadthAt(outline, x)).toBeCloseTo(b * Math.sqrt(1 - ((x - a) / a) ** 2), 4);
    }
    expect(areaSpread_mm2(shapeOf(board)).total / (Math.PI * a * b)).toBeCloseTo(1, 7);
    // Perimeter of an ellipse by Ramanujan's second approximation (1914), good to 1e-9 at this shape.
    const h = ((a - b) / (a + b)) ** 2;
    const perimeter = Math.PI * (a + b) * (1 + (3 * h) / (10 + Math.sqrt(4 - 3 * h)));
    let arc = 0;
    let before = { x_mm: 0, y_mm: 0 };
    for (const p of outline.base.points(20001)) {
      arc += Math.hypot(p.x_mm - before.x_mm, p.y_mm - before.y_mm);
      before = p;
    }
    expect((2 * arc) / perimeter).toBeCloseTo(1, 5);
    const middle = bendOf(outline.base, 0.45 * board.length_mm, 0.55 * board.length_mm);
    expect(middle.tightest_mm / (a ** 2 / b)).toBeCloseTo(1, 1);
  });

  it('equal ends are equal', () => {
    for (const name of ['Slack Water', 'Long Quay']) {
      const shape = shapeOf(withEqualEnds(modelNamed(name)!));
      for (let k = 1; k < 50; k++) {
        const x = (shape.board.length_mm * k) / 100;
        expect(
          Math.abs(halfBreadthAt(shape.outline, x) - halfBreadthAt(shape.outline, shape.board.length_mm - x)),
        ).toBeLessThan(1e-6);
      }
    }
  });
});

describe('what the craft knows (CP)', () => {
  const concave = contour('single', 1, [
    ['centre', 6, 0.2],
    ['centre', -6, 0.2],
    ['nose', 6, 0],
    ['tail', 6, 0],
  ]);

  it('a concave c amidships makes the stringer bow less than the rail by exactly c', () => {
    const flat = shapeOf(withLayers(slack(), []));
    const hollow = shapeOf(withLayers(slack(), [concave]));
    const x = slack().length_mm / 2;
    const c = 0.2 * 25.4;
    expect(stringerLineAt(hollow, x)).toBeCloseTo(stringerLineAt(flat, x), 9);
    expect(stringerLineAt(hollow, x) - railLineAt(hollow, x)).toBeCloseTo(c, 9);
    const bow = (line: (at: number) => number) => (line(200) + line(slack().length_mm - 200)) / 2 - line(x);
    const difference = bow((at) => railLineAt(hollow, at)) - bow((at) => stringerLineAt(hollow, at));
    const atEnds =
      (stringerLineAt(hollow, 200) -
        railLineAt(hollow, 200) +
        stringerLineAt(hollow, slack().length_mm - 200) -
        railLineAt(hollow, slack().length_mm - 200)) /
      2;
    expect(difference).toBeCloseTo(c - atEnds, 9);
  });

  it('vee v at the tail lifts the rail line by v', () => {
    const v = 0.2 * 25.4;
    const vee = shapeOf(
      withLayers(slack(), [
        contour('vee', 1, [
          ['tail', 0, 0.2],
          ['tail', 20, 0.2],
          ['centre', 0, 0],
        ]),
      ]),
    );
    const x = 12 * 25.4;
    expect(railLineAt(vee, x) - stringerLineAt(vee, x)).toBeCloseTo(v, 9);
    const half = buttockLineAt(vee, x, 0)!;
    expect(half).toBeCloseTo(stringerLineAt(vee, x), 9);
    expect(buttockLineAt(vee, x, 900)).toBeUndefined();
  });

  it('the same lift over less length is more curve', () => {
    const board = slack();
    const later = { ...board, rocker: { ...board.rocker, flatPoint_mm: board.rocker.flatPoint_mm + 100, marks: [] } };
    const sooner = { ...board, rocker: { ...board.rocker, flatPoint_mm: board.rocker.flatPoint_mm - 100, marks: [] } };
    const nose = (b: Board) => bendOf(shapeOf(b).rocker.line, 0.75 * b.length_mm, 0.95 * b.length_mm).radius_mm;
    expect(nose(later)).toBeLessThan(nose(sooner));
  });

  it('a wing follows the tail when the length changes', () => {
    const board = modelNamed('Two Stairs')!;
    const longer = { ...board, length_mm: board.length_mm + 100 };
    const [was, is] = [shapeOf(board), shapeOf(longer)];
    expect(is.outline.breaks[0]).toBe(was.outline.breaks[0]);
    expect(finSpots(is)[0].rear.x_mm).toBe(finSpots(was)[0].rear.x_mm);
  });

  it("litres of the 104 kg rider: 46 to 49 L on 6'4 x 21 1/2 x 3 1/8 for plausible rails (common practice, no source)", () => {
    const base = slack();
    const board: Board = {
      ...base,
      length_mm: 76 * 25.4,
      outline: {
        ...base.outline,
        width_mm: 21.5 * 25.4,
        marks: [
          { from: 'nose', at_mm: 304.8, value_mm: 14 * 25.4 },
          { from: 'tail', at_mm: 304.8, value_mm: 16.25 * 25.4 },
        ],
        tail: { ...base.outline.tail, block_mm: 6.5 * 25.4 },
      },
    };
    const thick = thickened(board, 3.125 * 25.4 - board.foil.thickness_mm);
    // Ordinary rails, and the full boxy ones that carry a heavy rider.
    for (const fullness of [undefined, 0.8, 1]) {
      const stations = thick.rails.stations.map((r) => ({ ...r, fullness: fullness ?? r.fullness }));
      const litres = volume_L(shapeOf({ ...thick, rails: { ...thick.rails, stations } }));
      expect(litres).toBeGreaterThan(46);
      expect(litres).toBeLessThan(49);
    }
  });

  it('a longer curve than its chord, more rocker more so', () => {
    for (const board of models()) {
      const along = curveLength_mm(shapeOf(board));
      expect(along).toBeGreaterThan(board.length_mm);
      expect(along / board.length_mm).toBeLessThan(1.02);
      const straight = straightLengthFor(board, along)!;
      expect(straight).toBeCloseTo(board.length_mm, 5);
    }
  });
});

describe('readings of rocker', () => {
  it('agree where they must: the stored lifts from the flat point, the same sum turned by the datum', () => {
    const shape = shapeOf(slack());
    const { rocker } = slack();
    expect(tipLifts(shape, 'flat').noseLift_mm).toBeCloseTo(rocker.noseLift_mm, 9);
    expect(tipLifts(shape, 'flat').tailLift_mm).toBeCloseTo(rocker.tailLift_mm, 9);
    const middle = tipLifts(shape, 'middle');
    // The flat point lies behind the middle, so the tangent there points up: less nose, more tail.
    expect(middle.noseLift_mm).toBeLessThan(rocker.noseLift_mm);
    expect(middle.tailLift_mm).toBeGreaterThan(rocker.tailLift_mm);
  });

  it('on a table a flat-bottomed board of even rocker reads as from the middle', () => {
    const base = withEqualEnds(withLayers(slack(), []));
    const even: Board = {
      ...base,
      rocker: { noseLift_mm: 90, tailLift_mm: 90, flatPoint_mm: 0, marks: [] },
      foil: { ...base.foil, thickest_mm: 0, noseTip_mm: 12, tailTip_mm: 12, marks: [] },
      deck: { crown: [{ from: 'centre', at_mm: 0, value_mm: 6 }], features: [] },
      rails: {
        stations: [{ ...base.rails.stations[0], from: 'centre', at_mm: 0 }],
        tailEdge: { length_mm: 0, fade_mm: 10, hardness: 0 },
      },
    };
    const lifts = tipLifts(shapeOf(even), 'table');
    expect(Math.abs(lifts.noseLift_mm - 90)).toBeLessThan(0.2);
    expect(Math.abs(lifts.tailLift_mm - 90)).toBeLessThan(0.2);
  });

  it.each(['flat', 'middle', 'table'] as const)('typed in the %s convention they read back', (reading) => {
    const board = modelNamed('Gannet')!;
    const read = tipLifts(shapeOf(board), reading);
    const wanted = { noseLift_mm: read.noseLift_mm + 5, tailLift_mm: read.tailLift_mm - 3 };
    const changed = withTipLifts(board, reading, wanted)!;
    const after = tipLifts(shapeOf(changed), reading);
    expect(after.noseLift_mm).toBeCloseTo(wanted.noseLift_mm, 4);
    expect(after.tailLift_mm).toBeCloseTo(wanted.tailLift_mm, 4);
    expect(withTipLifts(board, reading, { noseLift_mm: 5000, tailLift_mm: 20 })).toBeUndefined();
  });
});

describe('distribution, skin, stations', () => {
  it('ahead and behind make the whole, and more foam ahead moves the centre ahead', () => {
    for (const board of models()) {
      const shape = shapeOf(board);
      const foam = foamSpread_L(shape);
      expect(Math.abs(foam.total / volume_L(shape) - 1)).toBeLessThan(1e-4);
      const under = litresUnder(shape, usualFeet(board.length_mm));
      expect(under.chest_L + under.frontFoot_L + under.backFoot_L).toBeLessThan(foam.total * 1.25);
    }
  });

  it('the skin agrees with manifold-3d in whole and converges', async () => {
    const shape = shapeOf(modelNamed('Kettle')!);
    const judged = await judgedByManifold(meshOf(shape));
    expect(skinOf(shape).total_mm2 / judged.area_mm2).toBeCloseTo(1, 3);
    const usual = skinOf(shape);
    const fine = skinOf(shape, { stations: 700, ring: 288 });
    expect(Math.abs(usual.total_mm2 / fine.total_mm2 - 1)).toBeLessThan(0.0015);
    expect(usual.deck_mm2 + usual.bottom_mm2 + usual.end_mm2).toBeCloseTo(usual.total_mm2, 3);
    const plan = areaSpread_mm2(shape).total;
    expect(usual.deck_mm2).toBeGreaterThan(plan);
    expect(usual.bottom_mm2 / plan).toBeLessThan(1.2);
  });

  it('a station table has what a tape reads, from either end, and leaves out what is not on the board', () => {
    const board = slack();
    const rows = stationTable(shapeOf(board), [
      { from: 'nose', at_mm: 304.8 },
      { from: 'tail', at_mm: 304.8 },
      { from: 'wide', at_mm: 0 },
      { from: 'nose', at_mm: 9000 },
    ]);
    expect(rows).toHaveLength(3);
    expect(rows[0].width_mm).toBeCloseTo(11.625 * 25.4, 6);
    expect(rows[1].width_mm).toBeCloseTo(14.75 * 25.4, 6);
    expect(rows[2].width_mm).toBeCloseTo(19.25 * 25.4, 6);
    expect(rows[0].stringer_mm).toBeCloseTo(2.3125 * 25.4, 6);
    expect(rows[2].bottom_mm).toBeGreaterThan(3);
    expect(rows[1].apexShare).toBeCloseTo(0.3, 6);
    expect(foilDifferences(shapeOf(board), [12])[0].difference_mm).toBeCloseTo(-25.4 / 16, 6);
    for (const row of rows) expect(railThicknessAt(shapeOf(board), row.x_mm)).toBeLessThan(row.thickness_mm);
  });

  it('the flattest part of a circular rocker is the chord of its sagitta', () => {
    const base = slack();
    // z = (x − x0)² / 2R: a straightedge of length l leaves l² / 8R under its middle.
    const R = 9000;
    const half = base.length_mm / 2;
    const lift = (half * half) / (2 * R);
    const board = { ...base, rocker: { noseLift_mm: lift, tailLift_mm: lift, flatPoint_mm: 0, marks: [] } };
    const { length_mm } = flattestPart(shapeOf(board), { gap_mm: 1 });
    expect(Math.abs(length_mm - Math.sqrt(8 * R))).toBeLessThan(12);
    const bend = bendOf(shapeOf(board).rocker.line, 0.4 * base.length_mm, 0.6 * base.length_mm);
    expect(bend.radius_mm / R).toBeCloseTo(1, 2);
    expect(bend.evenness).toBeGreaterThan(0.99);
  });

  it('blending half way halves the difference of litres, nearly, and solving meets them', () => {
    const [a, b] = [slack(), modelNamed('Gannet')!];
    const between = volume_L(shapeOf(blended(a, b, 0.5).board));
    expect(between).toBeGreaterThan(volume_L(shapeOf(a)));
    expect(between).toBeLessThan(volume_L(shapeOf(b)));
    const solved = scaledToLitres(a, between);
    expect(solved.ok && Math.abs(volume_L(shapeOf(solved.board)) - between)).toBeLessThan(0.01);
  });
});
