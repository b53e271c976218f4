// Where an edit ends: the last board a solver or a mix can reach, and what it takes where two cannot be mixed.
import { describe, expect, it } from '@jest/globals';
import { type Board, boardSchema } from '../document/schema.ts';
import { modelNamed } from '../models/models.ts';
import { boardFrom, boardIssues } from '../shape/issues.ts';
import { scaledToLitres } from './litres.ts';
import { blended, exaggerated } from './mix.ts';
import { solvedFor } from './shift.ts';
import { widened } from './size.ts';

const slack = () => modelNamed('Slack Water')!;
const thick = (p: number): Board => ({ ...slack(), foil: { ...slack().foil, thickness_mm: 60 * (1 + p) } });
const read = (board: Board) => board.foil.thickness_mm;
const CHOICES = { within: 1e-6, most: 2, words: 'no further' };

/** solvedFor, with every p it asked for. */
function asked(made: (p: number) => Board, of: (board: Board) => number, wanted: number, choices = CHOICES) {
  const tried: number[] = [];
  const solved = solvedFor(
    (p) => {
      tried.push(p);
      return made(p);
    },
    of,
    wanted,
    choices,
  );
  return { solved, tried };
}

describe('the solver of an edit', () => {
  it.each([61, 66.6, 97, 58, 51])(
    'finds %f mm of what rises straight in a few looks, never beyond its bound',
    (wanted) => {
      const { solved, tried } = asked(thick, read, wanted);
      expect(solved.ok).toBe(true);
      expect(solved.reached).toBeCloseTo(wanted, 5);
      if (solved.ok) expect(read(solved.board)).toBeCloseTo(wanted, 5);
      expect(tried.length).toBeLessThan(14);
      expect(Math.max(...tried.map(Math.abs))).toBeLessThanOrEqual(CHOICES.most);
    },
  );

  it('of a crooked line too: a cube, whose secants creep', () => {
    const { solved, tried } = asked(thick, (board) => (read(board) / 60) ** 3, 1.9);
    expect(solved.reached).toBeCloseTo(1.9, 5);
    expect(tried.length).toBeLessThan(24);
  });

  it('looks no further where it is there already', () => {
    const { solved, tried } = asked(thick, read, 60);
    expect([solved.ok, tried.length]).toEqual([true, 2]);
  });

  it.each([
    // What the schema refuses and what only the numbers together refuse.
    ['a foil thicker than any', (p: number) => (p > 0.3217 ? { ...thick(p), length_mm: 1 } : thick(p)), 0.3217],
    [
      'a tip thicker than the middle',
      (p: number) => (p > 0.1834 ? { ...thick(p), foil: { ...thick(p).foil, noseTip_mm: 199 } } : thick(p)),
      0.1834,
    ],
  ])('comes to the very last board before %s', (_, made, wall) => {
    const { solved } = asked(made, read, 60 * (1 + wall + 0.2));
    expect(solved.ok).toBe(false);
    expect(solved.reached).toBeLessThanOrEqual(60 * (1 + wall));
    expect(solved.reached).toBeGreaterThan(60 * (1 + wall - 1e-5));
    if (!solved.ok) expect([solved.reason, boardIssues(solved.nearest)]).toEqual(['no further', []]);
  });

  it('ends at its bound where every board is one', () => {
    const { solved } = asked(thick, read, 600, { ...CHOICES, most: 0.25 });
    expect(solved.ok).toBe(false);
    expect(solved.reached).toBeCloseTo(75, 6);
  });

  it('does not begin with a board that is none', () => {
    expect(() => asked(() => ({ ...slack(), foil: { ...slack().foil, noseTip_mm: 199 } }), read, 70)).toThrow(
      RangeError,
    );
  });
});

describe('litres that are no number', () => {
  it.each([Number.NaN, Infinity, 0, -3])('%p: the board as it is, and why', (litres) => {
    const solved = scaledToLitres(slack(), litres, []);
    expect(solved.ok).toBe(false);
    if (!solved.ok) expect([solved.nearest, /is not a number of litres/.test(solved.reason)]).toEqual([slack(), true]);
  });
});

describe('a mix that cannot go all the way', () => {
  it.each([500, -500])('by %d stops at the last share whose board can be built', (factor) => {
    const [base, other] = [slack(), widened(slack(), 6)];
    const { board, share, reason } = exaggerated(base, other, factor);
    expect(reason).toBeDefined();
    expect(boardFrom(board).ok).toBe(true);
    const further = exaggerated(base, other, share + Math.sign(factor) * 1e-3);
    expect(further.reason).toBeDefined();
    const nearer = exaggerated(base, other, share - Math.sign(factor) * 1e-3);
    expect(nearer.reason).toBeUndefined();
  });
});

describe('what cannot be mixed is the nearer board’s', () => {
  const near = slack();
  const far: Board = {
    ...near,
    family: 'twin',
    fins: {
      ...near.fins,
      boxes: near.fins.boxes.map((box) => ({ ...box, template: { ...box.template, rake_rad: 0.7, tip: 0.11 } })),
    },
    deck: {
      ...near.deck,
      features: [{ kind: 'flat', width: 0.6, from: 'nose', at_mm: 700, length_mm: 900, fade_mm: 200 }],
    },
  };
  const own: Board = {
    ...near,
    deck: {
      ...near.deck,
      features: [{ kind: 'flat', width: 0.4, from: 'tail', at_mm: 500, length_mm: 900, fade_mm: 200 }],
    },
  };
  it.each([
    [0.4, own],
    [0.49, own],
    [0.51, far],
    [0.6, far],
  ])('at %f', (share, board) => {
    const mixed = blended(own, far, share).board;
    expect(boardSchema.safeParse(mixed).success).toBe(true);
    expect(mixed.family).toBe(board.family);
    expect(mixed.fins.boxes[0].template.rake_rad).toBe(board.fins.boxes[0].template.rake_rad);
    const [feature] = mixed.deck.features;
    const [usual] = board.deck.features;
    if (feature.kind !== 'flat' || usual.kind !== 'flat') throw new Error('no flat deck');
    expect(feature.from).toBe(usual.from);
    expect(feature.width).toBeCloseTo(0.4 + share * 0.2, 9);
  });

  it('marks of both that lie nearer than 90 mm are one, further they are two', () => {
    const mark = (at_mm: number): Board => ({
      ...near,
      rocker: { ...near.rocker, marks: [{ from: 'tail', at_mm, value_mm: 8 }] },
    });
    const marks = (apart: number) => blended(mark(400), mark(400 + apart), 0.5).board.rocker.marks.length;
    expect([marks(80), marks(89), marks(91), marks(100)]).toEqual([1, 1, 2, 2]);
  });

  it('where a mark from the wide point comes to lie goes with the mixed wide point', () => {
    const wide = (widePoint_mm: number, marks: Board['rocker']['marks']): Board => ({
      ...near,
      outline: { ...near.outline, widePoint_mm },
      rocker: { ...near.rocker, marks },
    });
    // Mixed half way the wide point lies at 0: a mark 400 behind it and one 400 behind the centre are one.
    const a = wide(-60, [{ from: 'wide', at_mm: -400, value_mm: 8 }]);
    const b = wide(60, [{ from: 'centre', at_mm: -400, value_mm: 8 }]);
    expect(blended(a, b, 0.5).board.rocker.marks).toHaveLength(1);
    expect(blended(a, b, 0.05).board.rocker.marks).toHaveLength(1);
    const c = wide(-60, [{ from: 'centre', at_mm: -400, value_mm: 8 }]);
    const d = wide(260, [{ from: 'wide', at_mm: -400, value_mm: 8 }]);
    expect(blended(c, d, 0.5).board.rocker.marks).toHaveLength(2);
  });
});
