import { describe, expect, it } from '@jest/globals';
import type { Board } from '../document/schema.ts';
import { boardFrom } from '../shape/issues.ts';
import { type Shape, shapeOf } from '../shape/shape.ts';
import { compared, leverDifferences } from '../measure/compare.ts';
import { areaSpread_mm2, foamSpread_L } from '../measure/distribution.ts';
import { measure } from '../measure/measure.ts';
import { volume_L } from '../measure/volume.ts';
import { modelNamed, models } from '../models/models.ts';
import { halfBreadthAt } from '../outline/outline.ts';
import { hollowsOf } from '../shape/troubles.ts';
import { wingsAt } from '../outline/wings.ts';
import { joinedOutlines } from './join.ts';
import { type Held, scaledToLitres } from './litres.ts';
import { withLength } from './marks.ts';
import { blended, exaggerated } from './mix.ts';
import { areaShifted, foilShifted } from './shift.ts';
import { stretched, thickened, widened, widePointMoved, withTail } from './size.ts';

const slack = () => modelNamed('Slack Water')!;
const gannet = () => modelNamed('Gannet')!;
const litres = (board: ReturnType<typeof slack>) => volume_L(shapeOf(board));

describe('sizes', () => {
  it('a new length keeps the end marks at their ends', () => {
    const longer = withLength(slack(), slack().length_mm + 50);
    const [was, is] = [measure(shapeOf(slack())), measure(shapeOf(longer))];
    for (const key of [
      'noseWidth12_mm',
      'tailWidth12_mm',
      'width_mm',
      'thickness_mm',
      'noseRocker_mm',
      'block_mm',
    ] as const) {
      expect(is[key]).toBeCloseTo(was[key], 6);
    }
    expect(is.length_mm).toBe(was.length_mm + 50);
  });

  it('a stretch adds rocker by its rule: kept lifts, kept curvature, or between', () => {
    const board = slack();
    const k = 1.1;
    for (const [rockerPower, grows] of [
      [0, 1],
      [1, k],
      [2, k * k],
      [undefined, k],
    ] as const) {
      const longer = stretched(board, board.length_mm * k, rockerPower === undefined ? {} : { rockerPower });
      expect(longer.rocker.noseLift_mm).toBeCloseTo(board.rocker.noseLift_mm * grows, 9);
      expect(longer.outline.width_mm).toBe(board.outline.width_mm);
      expect(longer.outline.marks[0].at_mm).toBeCloseTo(board.outline.marks[0].at_mm * k, 9);
      expect(boardFrom(longer).ok).toBe(true);
    }
    const curve = (b: ReturnType<typeof slack>) => shapeOf(b).rocker.line.bendAt(b.length_mm * 0.8);
    const kept = stretched(board, board.length_mm * k, { rockerPower: 2 });
    expect(curve(kept) / curve(board)).toBeCloseTo(1, 6);
  });

  it('moves, widens and thickens by just so much, and holds the rest', () => {
    const board = slack();
    expect(measure(shapeOf(widePointMoved(board, 20))).widePointFromCentre_mm).toBeCloseTo(32.7, 9);
    const wider = widened(board, 10);
    expect(measure(shapeOf(wider)).width_mm).toBeCloseTo(board.outline.width_mm + 10, 6);
    expect(wider.outline.marks[0].value_mm / board.outline.marks[0].value_mm).toBeCloseTo(
      wider.outline.width_mm / board.outline.width_mm,
      12,
    );
    const thicker = thickened(board, 3);
    expect(measure(shapeOf(thicker)).thickness_mm).toBeCloseTo(board.foil.thickness_mm + 3, 6);
    expect(thicker.foil.noseTip_mm).toBe(board.foil.noseTip_mm);
    expect(thicker.outline).toBe(board.outline);
  });

  it('puts any tail on any model', () => {
    for (const board of models()) {
      for (const kind of [
        'square',
        'squash',
        'thumb',
        'round',
        'roundedPin',
        'pin',
        'swallow',
        'diamond',
        'sixCorner',
        'halfMoon',
      ] as const) {
        const changed = withTail(board, kind);
        expect([board.name, kind, boardFrom(changed).ok]).toEqual([board.name, kind, true]);
        expect(changed.outline.marks).toEqual(board.outline.marks);
      }
    }
  });
});

describe('shifts', () => {
  it.each([6, -6])('moves the foam by %f mm and holds the litres', (by) => {
    const solved = foilShifted(slack(), by);
    expect(solved.ok).toBe(true);
    const [was, is] = [foamSpread_L(shapeOf(slack())), foamSpread_L(shapeOf(solved.ok ? solved.board : slack()))];
    expect(is.centroidFromCentre_mm - was.centroidFromCentre_mm).toBeCloseTo(by, 1);
    expect(Math.abs(is.total - was.total)).toBeLessThan(0.02);
  });

  it.each([8, -8])('moves the area by %f mm and holds length, width and wide point', (by) => {
    const solved = areaShifted(slack(), by);
    expect(solved.ok).toBe(true);
    const board = solved.ok ? solved.board : slack();
    const moved =
      areaSpread_mm2(shapeOf(board)).centroidFromCentre_mm - areaSpread_mm2(shapeOf(slack())).centroidFromCentre_mm;
    expect(moved).toBeCloseTo(by, 1);
    expect([board.length_mm, board.outline.width_mm, board.outline.widePoint_mm]).toEqual([
      slack().length_mm,
      slack().outline.width_mm,
      slack().outline.widePoint_mm,
    ]);
  });

  it('says when it cannot, with the nearest there is', () => {
    const solved = areaShifted(slack(), 400);
    expect(solved.ok).toBe(false);
    if (!solved.ok) {
      expect(solved.reason).toMatch(/cannot be moved/);
      expect(boardFrom(solved.nearest).ok).toBe(true);
    }
  });
});

describe('litres', () => {
  const holds: Held[][] = [
    [],
    ['length'],
    ['width'],
    ['thickness'],
    ['outline'],
    ['length', 'width'],
    ['length', 'thickness'],
    ['width', 'thickness'],
  ];
  it.each(holds.map((h) => [h.join(' and ') || 'nothing', h] as const))(
    'meets them to 0.01 L holding %s',
    (_words, held) => {
      for (const wanted of [26, 29.7, 33]) {
        const solved = scaledToLitres(slack(), wanted, held);
        expect(solved.ok).toBe(true);
        if (!solved.ok) continue;
        expect(Math.abs(litres(solved.board) - wanted)).toBeLessThanOrEqual(0.01);
        const [was, is] = [slack(), solved.board];
        if (held.includes('length') || held.includes('outline')) expect(is.length_mm).toBe(was.length_mm);
        if (held.includes('width') || held.includes('outline')) expect(is.outline.width_mm).toBe(was.outline.width_mm);
        if (held.includes('thickness'))
          expect(is.foil).toEqual({ ...was.foil, thickest_mm: is.foil.thickest_mm, marks: is.foil.marks });
        if (held.includes('outline')) expect(is.outline).toEqual(was.outline);
      }
    },
  );

  it('says why not when all is held or the numbers leave what can be built', () => {
    const all = scaledToLitres(slack(), 35, ['outline', 'thickness']);
    expect(all.ok ? '' : all.reason).toMatch(/everything is held/);
    const huge = scaledToLitres(slack(), 900);
    expect(huge.ok).toBe(false);
    if (!huge.ok) {
      expect(huge.reached).toBeGreaterThan(60);
      expect(boardFrom(huge.nearest).ok).toBe(true);
    }
    for (const nonsense of [NaN, -3, 0, Infinity]) expect(scaledToLitres(slack(), nonsense).ok).toBe(false);
  });
});

describe('joining halves', () => {
  /** The most a width is off the half it was taken from, beyond 200 mm of the join, read every 2 mm; the back drawn as it says. */
  function off(front: Board, back: Board): { off_mm: number; shape: Shape; backWidths: number } {
    const joined = joinedOutlines(front, back);
    if (!joined.ok) throw new Error(joined.reason);
    const [shape, A, B] = [joined.board, front, back].map((board) => shapeOf(board));
    const { backWidths } = joined;
    let most = 0;
    for (let x = 2; x < joined.board.length_mm; x += 2) {
      if (Math.abs(x - shape.outline.wide_mm) < 200) continue;
      const wings = wingsAt(back.outline, x);
      const half =
        x > shape.outline.wide_mm
          ? halfBreadthAt(A.outline, x - joined.board.length_mm + front.length_mm)
          : (halfBreadthAt(B.outline, x) + wings) * backWidths - wings;
      most = Math.max(most, 2 * Math.abs(halfBreadthAt(shape.outline, x) - half));
    }
    return { off_mm: most, shape, backWidths };
  }

  it('front of one, back of another: both halves as they were outside 200 mm of the join, one fair line', () => {
    // Front 2.65 mm off and back up to 23 before.
    for (const [a, b] of [
      ['Slack Water', 'Tin Roof'],
      ['Slack Water', 'Two Lanterns'],
      ['Long Quay', 'Broad Acre'],
      ['Lamplight', 'Slow Ferry'],
      ['Gannet', 'Skerry'],
    ]) {
      const [front, back] = [modelNamed(a)!, modelNamed(b)!];
      const { off_mm, shape } = off(front, back);
      expect([a, b, off_mm < 0.6, off_mm]).toEqual([a, b, true, off_mm]);
      expect(shape.board.length_mm).toBeCloseTo(
        front.length_mm - shapeOf(front).outline.wide_mm + shapeOf(back).outline.wide_mm,
        9,
      );
      expect(hollowsOf(shape).filter((h) => h.curve === 'outline')).toEqual([]);
      const wide = shape.outline.wide_mm;
      const jump = shape.outline.base.curvatureAt(wide + 0.5) - shape.outline.base.curvatureAt(wide - 0.5);
      expect(Math.abs(jump) * shape.board.length_mm).toBeLessThan(0.02);
    }
  });

  it('of any two models: half of them within 0.2 mm in width, nine in ten within 1, and each says how far it is off', () => {
    const offs = models().flatMap((front, i) =>
      // Every seventh pair, the same ones each time.
      models()
        .filter((back, k) => back !== front && (i + 3 * k) % 7 === 0)
        .map((back) => {
          const joined = joinedOutlines(front, back);
          if (!joined.ok) throw new Error(joined.reason);
          return joined.off_mm;
        }),
    );
    const sorted = offs.sort((a, b) => a - b);
    expect(sorted.length).toBeGreaterThan(60);
    expect(sorted[Math.floor(0.5 * sorted.length)]).toBeLessThan(0.2);
    expect(sorted[Math.floor(0.9 * sorted.length)]).toBeLessThan(1.1);
  });

  it('of two boards of unlike width draws the back half to meet the front, and says by how much', () => {
    const { backWidths, off_mm } = off(modelNamed('Slack Water')!, modelNamed('Kettle')!);
    expect(backWidths).toBeCloseTo(19.25 / 21, 9);
    expect(off_mm).toBeLessThan(0.6);
  });

  it('a board joined to itself is itself', () => {
    const joined = joinedOutlines(slack(), slack());
    const [was, is] = [shapeOf(slack()), shapeOf(joined.board)];
    for (let k = 1; k < 40; k++) {
      const x = (slack().length_mm * k) / 40;
      expect(Math.abs(halfBreadthAt(is.outline, x) - halfBreadthAt(was.outline, x))).toBeLessThan(0.1);
    }
  });
});

describe('blending, exaggerating, comparing', () => {
  it('at the ends gives the two boards, measure for measure', () => {
    const [a, b] = [slack(), gannet()];
    for (const [share, board] of [
      [0, a],
      [1, b],
    ] as const) {
      const mixed = blended(a, b, share);
      expect(mixed.reason).toBeUndefined();
      const [is, was] = [measure(shapeOf(mixed.board)), measure(shapeOf(board))];
      for (const key of ['length_mm', 'width_mm', 'thickness_mm', 'noseWidth12_mm', 'tailRocker_mm'] as const) {
        expect(is[key]).toBeCloseTo(was[key], 3);
      }
      expect(Math.abs(is.volume_L / was.volume_L - 1)).toBeLessThan(0.01);
    }
  });

  it('any two models blend to a board, half way between in every size', () => {
    for (const a of models()) {
      for (const b of models()) {
        const { board, reason } = blended(a, b, 0.5);
        expect([a.name, b.name, reason, boardFrom(board).ok]).toEqual([a.name, b.name, undefined, true]);
        expect(board.length_mm).toBeCloseTo((a.length_mm + b.length_mm) / 2, 9);
        expect(board.outline.width_mm).toBeCloseTo((a.outline.width_mm + b.outline.width_mm) / 2, 9);
      }
    }
  });

  it('multiplies a difference, and stops at the last board that can be built', () => {
    const base = slack();
    const other = widened(thickened(base, 2), 6);
    const twice = exaggerated(base, other, 3);
    expect(twice.reason).toBeUndefined();
    expect(twice.board.outline.width_mm).toBeCloseTo(base.outline.width_mm + 18, 6);
    expect(twice.board.foil.thickness_mm).toBeCloseTo(base.foil.thickness_mm + 6, 6);
    const far = exaggerated(base, other, 500);
    expect(far.reason).toBeDefined();
    expect(far.share).toBeLessThan(500);
    expect(boardFrom(far.board).ok).toBe(true);
    const same = exaggerated(base, base, 5);
    expect(leverDifferences(base, same.board)).toEqual([]);
  });

  it('lists just the levers that differ, and every number', () => {
    const base = slack();
    expect(compared(base, base).levers).toEqual([]);
    expect(compared(base, base).measures.every((m) => m.difference === 0)).toBe(true);
    const moved = withTail(widePointMoved(base, 10), 'round');
    const { levers, measures } = compared(base, moved);
    expect(levers.map((l) => l.path)).toEqual(['outline.widePoint_mm', 'outline.tail.kind']);
    expect(measures.find((m) => m.key === 'widePointFromCentre_mm')!.difference).toBeCloseTo(10, 9);
  });
});
