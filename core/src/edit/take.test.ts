import { describe, expect, it } from '@jest/globals';
import { FAMILIES } from '../document/schema.ts';
import { thicknessAt } from '../foil/foil.ts';
import { modelNamed, models } from '../models/models.ts';
import { shapeOf } from '../shape/shape.ts';
import { fillOf, grown } from './grow.ts';
import { PARTS, withFamily, withPart } from './take.ts';

const slack = modelNamed('Slack Water')!;
const part = (name: string, what: (typeof PARTS)[number], board = slack) => {
  const taken = withPart(board, what, modelNamed(name)!);
  if (!taken.ok) throw new Error(taken.reason);
  return taken.board;
};

describe('a part of another board', () => {
  it.each(PARTS)('%s is taken of a model by another, or refused in words', (what) => {
    const list = models();
    list.forEach((board, i) => {
      if (i % 3 !== 0) return;
      const other = list[(i + 5) % list.length];
      const taken = withPart(board, what, other);
      if (!taken.ok) expect(taken.reason.length).toBeGreaterThan(10);
      else expect(shapeOf(taken.board).board.name).toBe(board.name);
    });
  });

  it('that is no half says that nothing was made narrower or wider for it', () => {
    expect(withPart(slack, 'fins', modelNamed('Gannet')!)).toMatchObject({ ok: true, backWidths: 1 });
  });

  it.each(['outline', 'rocker', 'foil', 'deck', 'rails', 'bottom', 'fins'] as const)(
    '%s alone changes that part, and is the other board’s at this length',
    (what) => {
      const board = part('Lamplight', what);
      const sized = grown(modelNamed('Lamplight')!, slack.length_mm);
      expect(board[what]).toEqual(sized[what]);
      for (const other of ['outline', 'rocker', 'foil', 'deck', 'rails', 'bottom', 'fins'] as const) {
        if (other !== what) expect(board[other]).toEqual(slack[other]);
      }
      expect(board.length_mm).toBe(slack.length_mm);
    },
  );

  it('a foil comes without the other deck’s scoop, a deck with it', () => {
    const scooped = modelNamed('Slow Ferry')!;
    expect(scooped.deck.features.map(({ kind }) => kind)).toEqual(['sDeck']);
    expect(part('Slow Ferry', 'foil').deck).toEqual(slack.deck);
    const decked = part('Slow Ferry', 'deck');
    expect(decked.deck.features.map(({ kind }) => kind)).toEqual(['sDeck']);
    const [was, is] = [shapeOf(slack), shapeOf(decked)];
    const scoop = slack.length_mm / 2 + (320 * slack.length_mm) / scooped.length_mm;
    expect(thicknessAt(is.foil, scoop)).toBeLessThan(thicknessAt(was.foil, scoop) - 1.5);
    expect(decked.foil.thickness_mm).toBe(slack.foil.thickness_mm);
  });

  it('a foil under a beak of one’s own has the beak on top of it', () => {
    const beaked = modelNamed('Peat Fire')!;
    expect(beaked.deck.features).toMatchObject([{ kind: 'beak', thickness_mm: 9 }]);
    const board = part('Slack Water', 'foil', beaked);
    expect(board.deck).toEqual(beaked.deck);
    expect(board.foil.noseTip_mm).toBeCloseTo(grown(slack, beaked.length_mm).foil.noseTip_mm + 9, 9);
  });

  it('a half brings its length, the rest grown to it', () => {
    const board = part('Gannet', 'front');
    const gannet = modelNamed('Gannet')!;
    const ahead = gannet.length_mm / 2 - gannet.outline.widePoint_mm;
    expect(board.length_mm).toBeCloseTo(ahead + slack.length_mm / 2 + slack.outline.widePoint_mm, 9);
    expect(board.rocker.noseLift_mm / slack.rocker.noseLift_mm).toBeCloseTo(board.length_mm / slack.length_mm, 9);
    expect(Math.abs(fillOf(board) - fillOf(slack))).toBeLessThan(0.03);
  });

  it('another kind changes no number', () => {
    for (const family of FAMILIES) expect(withFamily(slack, family)).toEqual({ ...slack, family });
  });
});
