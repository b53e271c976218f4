import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { Board, DeckFeature } from '../document/schema.ts';
import { DECK_FEATURES } from '../document/kinds.ts';
import { thicknessAt } from '../foil/foil.ts';
import { volume_L } from '../measure/volume.ts';
import { modelNamed, models } from '../models/models.ts';
import { boardFrom, boardIssues } from '../shape/issues.ts';
import { shapeOf } from '../shape/shape.ts';
import { anyBoard } from '../testing/anyBoard.ts';
import { runs } from '../testing/runs.ts';
import {
  featureLitres,
  mayHaveFeature,
  withCrown,
  withCrownTimes,
  withDeckFeature,
  withDeckFeatures,
  withNewCrown,
  withNewDeckFeature,
  withoutCrown,
  withoutDeckFeature,
} from './deck.ts';

const KINDS = Object.keys(DECK_FEATURES) as DeckFeature['kind'][];
const plain = (board: Board): Board => withDeckFeatures(board, []);
const litres = (board: Board) => volume_L(shapeOf(board));

describe('a feature of the deck', () => {
  it.each(KINDS)('%s of ordinary size is one a file may have, on every model, and goes without a trace', (kind) => {
    for (const model of models()) {
      const board = plain(model);
      const more = withNewDeckFeature(board, kind);
      expect(more.deck.features.map((feature) => feature.kind)).toEqual([kind]);
      expect(boardFrom(JSON.parse(JSON.stringify(more))).ok).toBe(true);
      const back = withoutDeckFeature(more, 0);
      expect(back.deck).toEqual(board.deck);
      expect(back.foil.noseTip_mm).toBeCloseTo(board.foil.noseTip_mm, 9);
      back.foil.marks.forEach((mark, i) => expect(mark.value_mm).toBeCloseTo(board.foil.marks[i].value_mm, 9));
    }
  });

  it('a beak of 20 in and 30 mm adds litres where it took 0.74 away, and keeps its tip', () => {
    const board = plain(modelNamed('Slack Water')!);
    const beak = { kind: 'beak', length_mm: 508, thickness_mm: 30, fade_mm: 508, roll: 0.8 } as const;
    const beaked = withDeckFeatures(board, [beak]);
    expect(litres(beaked) - litres(board)).toBeGreaterThan(0.2);
    expect(featureLitres(beaked, 0)).toBeCloseTo(litres(beaked) - litres(board), 9);
    expect(thicknessAt(shapeOf(beaked).foil, board.length_mm)).toBeCloseTo(board.foil.noseTip_mm + 30, 6);
  });

  it('any beak adds litres to any board', () => {
    const beaks = fc.record({
      length_mm: fc.double({ min: 60, max: 590, noNaN: true }),
      thickness_mm: fc.double({ min: 2, max: 25, noNaN: true }),
      fade_mm: fc.double({ min: 30, max: 590, noNaN: true }),
      roll: fc.double({ min: 0, max: 1, noNaN: true }),
    });
    fc.assert(
      fc.property(anyBoard, beaks, (drawn, beak) => {
        const board = plain(drawn);
        const beaked = withDeckFeatures(board, [{ kind: 'beak', ...beak }]);
        if (boardIssues(beaked).length > 0) return;
        expect(litres(beaked)).toBeGreaterThan(litres(board));
      }),
      { numRuns: runs(60), seed: 12 },
    );
  });

  it('changes one number, and the marks follow what it adds', () => {
    const beaked = withNewDeckFeature(plain(modelNamed('Slack Water')!), 'beak');
    const higher = withDeckFeature(beaked, 0, { thickness_mm: 12 });
    expect(higher.foil.noseTip_mm - beaked.foil.noseTip_mm).toBeCloseTo(12 - 6.35, 9);
    expect(() => withDeckFeature(beaked, 3, { thickness_mm: 12 })).toThrow(RangeError);
  });

  it('stands once on a deck, but for an S-deck', () => {
    let board = plain(modelNamed('Slack Water')!);
    for (const kind of KINDS) board = withNewDeckFeature(board, kind);
    expect(KINDS.filter((kind) => mayHaveFeature(board, kind))).toEqual(['sDeck']);
    expect(withNewDeckFeature(board, 'beak')).toBe(board);
    board = withNewDeckFeature(board, 'sDeck');
    expect(mayHaveFeature(board, 'sDeck')).toBe(false);
  });

  it('flat holds more, domed and stepped hold less, and say how much', () => {
    const board = plain(modelNamed('Slack Water')!);
    const signs = KINDS.map((kind) => Math.sign(featureLitres(withNewDeckFeature(board, kind), 0)));
    expect(Object.fromEntries(KINDS.map((kind, i) => [kind, signs[i]]))).toEqual({
      flat: 1,
      dome: -1,
      sDeck: -1,
      beak: 1,
      step: -1,
    });
  });
});

describe('the crown', () => {
  const board = modelNamed('Slack Water')!;

  it('takes a station with the fall it has there, which changes nothing until it is changed', () => {
    const more = withNewCrown(board, 1400);
    expect(more.deck.crown).toHaveLength(4);
    expect(more.deck.crown[3].from).toBe('nose');
    expect(Math.abs(litres(more) - litres(board))).toBeLessThan(0.02);
    expect(withoutCrown(more, 3)).toEqual(board);
    expect(withCrown(board, 1, { value_mm: 12 }).deck.crown[1]).toEqual({ ...board.deck.crown[1], value_mm: 12 });
    expect(() => withCrown(board, 9, { value_mm: 1 })).toThrow(RangeError);
    const one = withoutCrown(withoutCrown(board, 0), 0);
    expect(withoutCrown(one, 0)).toBe(one);
  });

  it('made flatter all along holds more', () => {
    const flatter = withCrownTimes(board, 0.5);
    expect(flatter.deck.crown.map(({ value_mm }) => value_mm)).toEqual([2.5, 4.5, 2]);
    expect(litres(flatter)).toBeGreaterThan(litres(board));
  });
});
