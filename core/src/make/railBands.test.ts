import { describe, expect, it } from '@jest/globals';
import { sectionAt, type Shape, shapeOf } from '../shape/shape.ts';
import { modelNamed, models } from '../models/models.ts';
import { deckPoint, filletPoint, type SectionPoint, underPoint } from '../section/section.ts';
import { INCH_mm } from '../units/length.ts';
import { stationOfMark } from '../document/station.ts';
import { thinned } from '../testing/runs.ts';
import { bandedSection, bandsAt, bandTable, FIXED_AT, type RailBands, railBands } from './railBands.ts';
import { cornerProud, foamOutside, railCorner, type RailSide } from './railCorner.ts';

const slack = shapeOf(modelNamed('Slack Water')!);
const some = ['Slack Water', 'Kettle', 'Two Stairs', 'Long Quay', 'Lamplight', 'North Ledge'].map((name) =>
  shapeOf(modelNamed(name)!),
);
const stations = (shape: Shape) =>
  [3, 12, 24, 36].flatMap((at) => [at * INCH_mm, shape.board.length_mm - at * INCH_mm]);

/** Points of the finished rail on one side, much closer than the bands were worked from; y, z. */
function finished(shape: Shape, x: number, side: RailSide): { y: number; z: number }[] {
  const section = sectionAt(shape, x)!;
  const point: SectionPoint = { y_mm: 0, z_mm: 0 };
  const points: { y: number; z: number }[] = [];
  const take = (read: (s: number) => void) => {
    for (let k = 0; k <= 2000; k++) {
      read(k / 2000);
      points.push({ y: point.y_mm, z: point.z_mm });
    }
  };
  if (side === 'deck') take((s) => deckPoint(section, s, point));
  else {
    take((s) => underPoint(section, s, point));
    take((s) => filletPoint(section, s, point));
  }
  // Within a notch there is no foam.
  return points.filter(({ y }) => y >= section.input.notch_mm);
}

describe('rail bands', () => {
  it.each(some.map((shape) => [shape.board.name, shape] as const))(
    'of %s touch the finished rail and lie outside it, within 0.1 mm',
    (_name, shape) => {
      for (const counts of [
        { deck: 2, under: 1 },
        { deck: 4, under: 2 },
      ]) {
        const bands = railBands(shape, counts);
        for (const x of stations(shape)) {
          const at = bandsAt(shape, bands, x)!;
          for (const side of ['deck', 'under'] as const) {
            const sign = side === 'deck' ? 1 : -1;
            const points = finished(shape, x, side);
            // The square side stands at the half width; the plane's height there from the corner of the banded section.
            const ring = bandedSection(shape, bands, x);
            // The crown, then a point where the deck turns down and the corners of its bands; then those under, and the bottom.
            const under = ring.length - (counts.under + 2);
            const deck = under - (counts.deck + 2);
            const corner = side === 'deck' ? ring.slice(deck, under) : ring.slice(under).reverse();
            at[side].forEach(({ slope_rad }, k) => {
              const face = corner[k + 1];
              const off = points.map(
                ({ y, z }) => (y - face.y_mm) * Math.sin(slope_rad) + sign * (z - face.z_mm) * Math.cos(slope_rad),
              );
              expect(Math.max(...off)).toBeLessThan(0.1);
              expect(Math.max(...off)).toBeGreaterThan(-0.1);
            });
          }
        }
      }
    },
  );

  it('begin where the deck turns down: the first within 4 in of the rail of every shortboard, where it was far in over the crown', () => {
    for (const board of models().filter(({ family }) => family === 'shortboard')) {
      const shape = shapeOf(board);
      for (const { deck } of bandTable(shape, railBands(shape))) expect(deck[0].in_mm).toBeLessThan(4 * INCH_mm);
    }
  });

  /** The proudest corners along the board, mm, by their mean. */
  const meanProud = (shape: Shape, bands: RailBands) => {
    const rows = stations(shape).map((x) => bandsAt(shape, bands, x)!.proud_mm);
    return rows.reduce((sum, mm) => sum + mm, 0) / rows.length;
  };

  it('stand less proud the more there are, and leave no less foam than none, on every model', () => {
    for (const board of thinned(models(), 5)) {
      const shape = shapeOf(board);
      let before = Infinity;
      for (const deck of [2, 3, 4]) {
        const bands = railBands(shape, { deck, under: 2 });
        expect(bands.left_L).toBeGreaterThanOrEqual(0);
        const proud = meanProud(shape, bands);
        expect(proud).toBeLessThan(before + 0.01);
        before = proud;
        for (const row of bandTable(shape, bands)) expect(row.left_mm2).toBeGreaterThanOrEqual(0);
      }
    }
  });

  it('stand hardly prouder than cuts that are best at each station by themselves, found by trying all', () => {
    const all = { fair: 0, free: 0 };
    for (const shape of some) {
      const bands = railBands(shape, { deck: 2, under: 1 });
      let fair = 0;
      let free = 0;
      for (const x of stations(shape).filter((x) => x > 10 * INCH_mm && x < shape.board.length_mm - 10 * INCH_mm)) {
        const corner = railCorner(sectionAt(shape, x)!, 'deck');
        const proudest = (faces: number[]) =>
          Math.max(...faces.slice(1).map((b, k) => cornerProud(corner, faces[k], b)));
        const found = (angles: number[]) => proudest([corner.plane_rad, ...angles, Math.PI / 2]);
        let least = Infinity;
        for (let a = 9; a < 90; a++) {
          for (let b = a + 1; b < 90; b++) least = Math.min(least, found([(a * Math.PI) / 180, (b * Math.PI) / 180]));
        }
        free += least;
        fair += found(bandsAt(shape, bands, x)!.deck.map((band) => band.slope_rad));
      }
      // The trials go by whole degrees, which costs them up to a few hundredths.
      expect(fair).toBeGreaterThan(free * 0.95);
      expect(fair).toBeLessThan(free * 1.06);
      all.fair += fair;
      all.free += free;
    }
    // Adding corners up as they are, and not the proudest of them, costs 3 % here.
    expect(all.fair / all.free).toBeLessThan(1.021);
  });

  describe('a line the shaper holds', () => {
    const held = { nose12: 50, middle: 84, tail12: 60 };
    const at = (place: keyof typeof held) => stationOfMark(FIXED_AT[place], slack.anchors);

    it.each([
      ['deck', 0],
      ['deck', 1],
      ['under', 0],
    ] as const)('on the %s, band %i, lies where it is given and the rest follow', (side, band) => {
      const free = railBands(slack, { deck: 3, under: 1 });
      const now = (place: keyof typeof held) => bandsAt(slack, free, at(place))![side][band].in_mm;
      const in_mm = { nose12: 0.95 * now('nose12'), middle: 0.85 * now('middle'), tail12: 0.95 * now('tail12') };
      const bands = railBands(slack, { deck: 3, under: 1, fixed: [{ side, band, in_mm }] });
      for (const place of ['nose12', 'middle', 'tail12'] as const) {
        expect(bandsAt(slack, bands, at(place))![side][band].in_mm).toBeCloseTo(in_mm[place], 3);
      }
      // Those that are free have moved to stand least proud beside it, and faces still rise.
      const angles = (of: RailBands) => bandsAt(slack, of, at('middle'))!.deck.map(({ slope_rad }) => slope_rad);
      expect(angles(bands)).toEqual([...angles(bands)].sort((a, b) => a - b));
      if (side === 'deck') expect(angles(bands)[2]).not.toBeCloseTo(angles(free)[2], 4);
    });

    it('is given as far as the faces can stay apart, and never cuts into the rail', () => {
      const bands = railBands(slack, {
        deck: 3,
        under: 1,
        fixed: [{ side: 'deck', band: 0, in_mm: { nose12: 200, middle: 230, tail12: 170 } }],
      });
      const row = bandsAt(slack, bands, at('middle'))!;
      expect(row.deck[0].in_mm).toBeLessThan(230);
      expect(row.left_mm2).toBeGreaterThan(0);
    });

    it('is refused where there is no such band', () => {
      const fixed = [{ side: 'deck' as const, band: 3, in_mm: held }];
      expect(() => railBands(slack, { deck: 3, under: 1, fixed })).toThrow(/no band 3/);
      const none = [{ side: 'deck' as const, band: 0, in_mm: { ...held, middle: 0 } }];
      expect(() => railBands(slack, { deck: 3, under: 1, fixed: none })).toThrow(/in from the rail/);
    });
  });

  it('of a quarter round are the circumscribed polygon: one cut at 45 degrees leaves what geometry says', () => {
    // A corner whose rail is a quarter circle of radius r at the edge of a plane: leftover of one 45 degree tangent,
    // 2 r² tan(π/8) − π r²/4.
    const r = 40;
    const section = sectionAt(slack, slack.board.length_mm / 2)!;
    const real = railCorner(section, 'deck');
    const count = 721;
    const chain = new Float64Array(2 * count);
    const turns = new Float64Array(count - 1);
    const swept = new Float64Array(count);
    for (let k = 0; k < count; k++) {
      const t = ((Math.PI / 2) * k) / (count - 1);
      chain[2 * k] = 100 + r * Math.sin(t);
      chain[2 * k + 1] = r * Math.cos(t);
      if (k === 0) continue;
      turns[k - 1] = ((Math.PI / 2) * (k - 0.5)) / (count - 1);
      swept[k] = swept[k - 1] + chain[2 * k - 2] * chain[2 * k + 1] - chain[2 * k] * chain[2 * k - 1];
    }
    const round = { ...real, half_mm: 100 + r, chain, turns, swept, plane_rad: 0, pocket_mm2: 0 };
    const one = 2 * r * r * Math.tan(Math.PI / 8) - (Math.PI * r * r) / 4;
    expect(foamOutside(round, [Math.PI / 4])).toBeCloseTo(one, 1);
    // Uncut, the square corner stands: r² − π r²/4.
    expect(foamOutside(round, [])).toBeCloseTo(r * r * (1 - Math.PI / 4), 1);
  });

  it('draw fair lines: along the middle of the board none of them wobbles', () => {
    for (const shape of some) {
      const bands = railBands(shape, { deck: 3, under: 1 });
      const L = shape.board.length_mm;
      const xs = Array.from({ length: 49 }, (_, k) => 0.25 * L + (0.5 * L * k) / 48);
      const rows = xs.map((x) => bandsAt(shape, bands, x)!);
      for (let k = 0; k < 3; k++) {
        for (const read of [(i: number) => rows[i].deck[k].in_mm, (i: number) => rows[i].deck[k].side_mm]) {
          let turns = 0;
          let before = 0;
          for (let i = 1; i + 1 < rows.length; i++) {
            const bend = read(i - 1) - 2 * read(i) + read(i + 1);
            if (Math.abs(bend) < 0.02) continue;
            if (before !== 0 && Math.sign(bend) !== Math.sign(before)) turns++;
            before = bend;
          }
          expect(turns).toBeLessThanOrEqual(4);
        }
      }
    }
  });

  it('go in order: each further one starts nearer the rail and comes out lower on the side', () => {
    for (const row of bandTable(slack, railBands(slack, { deck: 4, under: 2 }))) {
      for (const side of ['deck', 'under'] as const) {
        row[side].slice(1).forEach((band, k) => {
          expect(band.in_mm).toBeLessThan(row[side][k].in_mm);
          expect(band.side_mm).toBeGreaterThan(row[side][k].side_mm);
        });
      }
    }
  });

  it('are refused where there are none or too many', () => {
    expect(() => railBands(slack, { deck: 0, under: 1 })).toThrow(/1 to 4 bands/);
    expect(() => railBands(slack, { deck: 5, under: 1 })).toThrow(RangeError);
    expect(() => railBands(slack, { deck: 3, under: 3 })).toThrow(RangeError);
    expect(() => railBands(slack, { deck: 3, under: -1 })).toThrow(RangeError);
    expect(() => railBands(slack, { deck: 2.5, under: 1 })).toThrow(RangeError);
  });
});
