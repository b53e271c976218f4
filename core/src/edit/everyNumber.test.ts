// Mixing and stretching number by number: every field of the document, each against what it should have become.
import { describe, expect, it } from '@jest/globals';
import type { Board } from '../document/schema.ts';
import { modelNamed, models } from '../models/models.ts';
import { boardIssues } from '../shape/issues.ts';
import { blended, exaggerated } from './mix.ts';
import { stretched, thickened, widened } from './size.ts';

/** Every number of a document by its path. */
function numbers(value: unknown, path = ''): Map<string, number> {
  const out = new Map<string, number>();
  if (typeof value === 'number') out.set(path, value);
  else if (typeof value === 'object' && value !== null)
    for (const [key, entry] of Object.entries(value))
      for (const [name, number] of numbers(entry, path === '' ? key : `${path}.${key}`)) out.set(name, number);
  return out;
}

/** A board with every number another, so little that it is a board still; places stay, so that marks of both are the same. */
function nudged(board: Board): Board {
  let k = 0;
  const walk = (value: unknown, key: string): unknown => {
    if (typeof value === 'number') {
      if (['at_mm', 'version', 'count', 'from'].includes(key)) return value;
      k += 1;
      // A whole width cannot be more.
      if (value === 1) return 0.97;
      return value * (1 + 0.004 * (1 + (k % 5)));
    }
    if (Array.isArray(value)) return value.map((entry) => walk(entry, key));
    if (typeof value === 'object' && value !== null)
      return Object.fromEntries(Object.entries(value).map(([name, entry]) => [name, walk(entry, name)]));
    return value;
  };
  return walk(board, '') as Board;
}

/** Boards with wings, deck features, fins of every role, channels. */
const rich = (name: string): Board => {
  const board = modelNamed(name)!;
  return {
    ...board,
    outline: {
      ...board.outline,
      wings: [{ fromTail_mm: 250, depth_mm: 6, length_mm: 20, raised: 0.4 }],
    },
    deck: {
      ...board.deck,
      features: [
        { kind: 'flat', width: 0.4, from: 'centre', at_mm: 60, length_mm: 900, fade_mm: 200 },
        { kind: 'step', length_mm: 500, inset_mm: 50, drop_mm: 6, fade_mm: 200 },
      ],
    },
  };
};

describe('a mix of two boards that differ in every number', () => {
  it('has the fins of the nearer board where the set-ups differ', () => {
    const thruster = modelNamed('Slack Water')!;
    const twin = modelNamed('Kettle')!;
    expect(thruster.fins.setup).not.toBe(twin.fins.setup);
    expect(blended(thruster, twin, 0.3).board.fins).toEqual(thruster.fins);
    expect(blended(thruster, twin, 0.7).board.fins).toEqual(twin.fins);
  });

  it.each(['Slack Water', 'Penny Step', 'Kettle', 'Lamplight'])(
    '%s: each number lies where the share has it',
    (name) => {
      const a = rich(name);
      const b = nudged(a);
      expect(boardIssues(a)).toEqual([]);
      expect(boardIssues(b)).toEqual([]);
      const share = 0.3;
      const { board, share: reached } = blended(a, b, share);
      expect(reached).toBe(share);
      const [from, to, got] = [numbers(a), numbers(b), numbers(board)];
      expect([...got.keys()].sort()).toEqual([...from.keys()].sort());
      const notMixed = /template\.(rake_rad|tip)/;
      for (const [path, value] of got) {
        const x = from.get(path)!;
        const y = to.get(path)!;
        const wanted = notMixed.test(path) ? x : x + share * (y - x);
        // Marks are read off the sprung curves, which meet them to a thousandth.
        const off = Math.abs(value - wanted) / Math.max(1, Math.abs(wanted));
        if (!(off < 2e-3 || off < 0.35 * Math.abs(y - x))) throw new Error(`${path}: ${value} for ${wanted}`);
        const isMark = /marks\.\d+\.value_mm|deck\.crown|rails\.stations|depths/.test(path);
        if (!isMark && !(off < 1e-9)) throw new Error(`${path}: ${value}, not ${wanted}`);
      }
    },
  );

  it('is the one board at 0 and the other at 1, and beyond it is as far again', () => {
    const a = modelNamed('Slack Water')!;
    const b = nudged(a);
    const at = (share: number) => numbers(exaggerated(a, b, share).board);
    for (const key of [
      'length_mm',
      'outline.width_mm',
      'rocker.noseLift_mm',
      'foil.thickness_mm',
      'fins.boxes.0.cant_rad',
    ]) {
      const [x, y] = [numbers(a).get(key)!, numbers(b).get(key)!];
      expect(at(0).get(key)).toBeCloseTo(x, 9);
      expect(at(1).get(key)).toBeCloseTo(y, 9);
      expect(at(2).get(key)).toBeCloseTo(2 * y - x, 9);
    }
  });
});

describe('a stretch', () => {
  /** What becomes of a number: stations grow with the length, lifts with it, the rest stays. */
  const rule = (path: string, k: number): number => {
    if (path === 'length_mm') return k;
    if (/^deck\.features.*\.(length|fade)_mm$/.test(path)) return k;
    if (/^(outline|rocker|foil|deck|rails\.stations|bottom).*\.at_mm$/.test(path)) return k;
    if (/^(outline\.widePoint_mm|rocker\.flatPoint_mm|foil\.thickest_mm)$/.test(path)) return k;
    if (/^rocker\.((noseLift|tailLift)_mm|marks\.\d+\.value_mm)$/.test(path)) return k;
    return 1;
  };

  it('makes of every number of every model what the rule says', () => {
    for (const board of models()) {
      const k = 1.04;
      const got = numbers(stretched(board, board.length_mm * k));
      for (const [path, value] of numbers(board)) {
        // Where a box goes is another rule's, below.
        if (/^fins.*trailingEdge_mm$/.test(path)) continue;
        expect([path, got.get(path)]).toEqual([path, expect.closeTo(value * rule(path, k), 6)]);
      }
    }
  });

  it('moves fins as their usual place goes, by hand', () => {
    const board = modelNamed('Slack Water')!;
    const inch = 25.4;
    const boxes = (length_in: number, from: Board) => stretched(from, length_in * inch).fins.boxes;
    // On a 6'0 side fins are usual at 11 in and the centre at 3.3; 8 in longer they go to 11 (1 + 0.55/9) = 11.67 and
    // 3.3 (1 + 0.9/9) = 3.63. Four inches shorter the centre stays and the sides go to 11 (1 − 0.55/18) = 10.66.
    const usual = {
      ...board,
      length_mm: 72 * inch,
      fins: {
        ...board.fins,
        boxes: board.fins.boxes.map((box) => ({
          ...box,
          trailingEdge_mm: (box.role === 'centre' ? 3.3 : 11) * inch,
        })),
      },
    };
    const places = (list: Board['fins']['boxes']) => list.map(({ trailingEdge_mm }) => trailingEdge_mm / inch);
    expect(places(boxes(80, usual))).toEqual([expect.closeTo(11 + 11 * (0.55 / 9), 9), expect.closeTo(3.63, 9)]);
    expect(places(boxes(68, usual))).toEqual([expect.closeTo(11 - 11 * (0.55 / 18), 9), expect.closeTo(3.3, 9)]);
    // What was set half an inch ahead of usual stays so.
    const ahead = {
      ...usual,
      fins: {
        ...usual.fins,
        boxes: usual.fins.boxes.map((b) => ({ ...b, trailingEdge_mm: b.trailingEdge_mm + 12.7 })),
      },
    };
    expect(places(boxes(80, ahead))[0] - places(boxes(80, usual))[0]).toBeCloseTo(0.5, 9);
  });

  it('keeps lifts at power 0, curvature at power 2', () => {
    const board = modelNamed('Slack Water')!;
    const { rocker } = board;
    expect(stretched(board, 1.1 * board.length_mm, { rockerPower: 0 }).rocker.noseLift_mm).toBe(rocker.noseLift_mm);
    const curved = stretched(board, 1.1 * board.length_mm, { rockerPower: 2 });
    expect(curved.rocker.tailLift_mm).toBeCloseTo(1.21 * rocker.tailLift_mm, 9);
  });
});

describe('wider and thicker', () => {
  it('scale every width, and every thickness but the tips, and nothing else', () => {
    for (const board of models()) {
      const before = numbers(board);
      const wide = numbers(widened(board, 0.05 * board.outline.width_mm));
      const thick = numbers(thickened(board, 0.05 * board.foil.thickness_mm));
      for (const [path, value] of before) {
        const isWidth = /^outline\.(width_mm|marks\.\d+\.value_mm|tail\.block_mm)$/.test(path);
        const isThick = /^foil\.(thickness_mm|marks\.\d+\.value_mm)$/.test(path);
        expect([path, wide.get(path)]).toEqual([path, expect.closeTo(isWidth ? 1.05 * value : value, 6)]);
        expect([path, thick.get(path)]).toEqual([path, expect.closeTo(isThick ? 1.05 * value : value, 6)]);
      }
    }
  });
});
