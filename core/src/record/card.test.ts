// Editions of the core: boards with the cards each edition drew of them, read and drawn by this one.
import { readFileSync } from 'node:fs';
import { describe, expect, it } from '@jest/globals';
import type { Board } from '../document/schema.ts';
import { modelNamed } from '../models/models.ts';
import { boardFrom } from '../shape/issues.ts';
import { migrated } from '../shape/migrations.ts';
import { shapeOf } from '../shape/shape.ts';
import { asOnCard, cardFor, cardOf, isOffCard, MET, offCard, offWords } from './card.ts';
import { type Card, cardSchema, EDITION } from './cardSchema.ts';

interface Kept {
  board: Board;
  card: Card;
}

/** Boards as an edition wrote them, with what it drew, opened as they are opened now. */
function edition(no: number): Kept[] {
  const url = new URL(`./fixtures/editions/${no}.json`, import.meta.url);
  const kept = JSON.parse(readFileSync(url, 'utf8')) as { board: unknown; card: unknown }[];
  return kept.map(({ board, card }) => {
    const opened = boardFrom(migrated(board));
    if (!opened.ok) throw new Error(opened.issues[0].words);
    return { board: opened.board, card: cardSchema.parse(card) };
  });
}

describe('the edition of the core', () => {
  it('draws its boards as their cards say: when it does not, EDITION is raised and its boards are added here', () => {
    const kept = edition(EDITION);
    expect(kept.length).toBeGreaterThan(30);
    for (const { board, card } of kept) {
      const off = offCard(shapeOf(board), card);
      expect([board.name, off, isOffCard(off)]).toEqual([board.name, off, false]);
      expect(Math.abs(off.volume_L)).toBeLessThan(0.01);
    }
  });

  it('before it: S-decks of the first are as thick as they were, and every width and thickness but at wings is', () => {
    const kept = edition(1);
    const scooped = kept.filter(({ board }) => board.deck.features.some(({ kind }) => kind === 'sDeck'));
    expect(scooped.length).toBeGreaterThanOrEqual(10);
    for (const { board, card } of scooped)
      expect(Math.abs(offCard(shapeOf(board), card).thickness_mm)).toBeLessThan(0.01);
    for (const { board, card } of kept.filter((each) => each.board.outline.wings.length === 0)) {
      const { width_mm, thickness_mm } = offCard(shapeOf(board), card);
      expect([Math.abs(width_mm) < 0.01, Math.abs(thickness_mm) < 0.01]).toEqual([true, true]);
    }
  });
});

describe('a board as its card says', () => {
  const others = edition(1).filter(({ board, card }) => isOffCard(offCard(shapeOf(board), card)));

  it('meets the card of the first edition, and says by how much it is off where wings cannot be drawn as they were', () => {
    expect(others.length).toBeGreaterThan(15);
    let met = 0;
    for (const { board, card } of others) {
      const before = offCard(shapeOf(board), card);
      const { board: made, off } = asOnCard(board, card);
      expect(boardFrom(made).ok).toBe(true);
      expect(offCard(shapeOf(made), card)).toEqual(off);
      expect(Math.abs(off.volume_L)).toBeLessThanOrEqual(Math.max(MET.volume_L, Math.abs(before.volume_L)));
      const isMet =
        Math.abs(off.volume_L) <= MET.volume_L &&
        Math.abs(off.width_mm) <= MET.mm &&
        Math.abs(off.thickness_mm) <= MET.mm;
      if (isMet) met += 1;
      else expect(board.outline.wings.length).toBeGreaterThan(0);
    }
    expect(met).toBeGreaterThanOrEqual(others.length - 3);
  });

  it('meets one that says something else of widths, thicknesses and litres at once', () => {
    const board = modelNamed('Slack Water')!;
    const card = cardOf(shapeOf(board));
    const other: Card = {
      ...card,
      volume_L: card.volume_L + 0.6,
      widths_mm: card.widths_mm.map((mm, i) => mm * (1.002 + 0.0004 * i)),
      thicknesses_mm: card.thicknesses_mm.map((mm, i) => mm * (0.994 - 0.0004 * i)),
    };
    const { off } = asOnCard(board, other);
    expect(Math.abs(off.width_mm)).toBeLessThanOrEqual(MET.mm);
    expect(Math.abs(off.thickness_mm)).toBeLessThanOrEqual(MET.mm);
    expect(Math.abs(off.volume_L)).toBeLessThanOrEqual(MET.volume_L);
  });

  it('that is drawn as its card says is left as it is', () => {
    const board = modelNamed('Kettle')!;
    const { board: made } = asOnCard(board, cardOf(shapeOf(board)));
    expect(made).toEqual(board);
  });
});

describe('what is said of it', () => {
  it('is what is off by more than nothing, in the shop’s writing', () => {
    const off = { volume_L: 0.214, width_mm: -1.26, widthAt_mm: 304.8, thickness_mm: 0.19, thicknessAt_mm: 900 };
    expect(offWords(off, { kind: 'fraction', denominator: 16 })).toBe(
      '0.21 L more, 1.3 mm narrower 12 in from the tail',
    );
    expect(offWords({ ...off, thickness_mm: 0.4, width_mm: 0 }, { kind: 'mm' })).toBe(
      '0.21 L more, 0.4 mm thicker 900 mm from the tail',
    );
    expect(offWords({ ...off, volume_L: 0.04, width_mm: 0 }, { kind: 'mm' })).toBe('');
  });
});

describe('the card that is kept', () => {
  const board = modelNamed('Kettle')!;
  const now = cardOf(shapeOf(board));

  it('is of this edition, unless one of before says otherwise and nobody has answered', () => {
    expect(cardFor(board, undefined)).toEqual(now);
    const same = { ...now, edition: 1, volume_L: now.volume_L + 0.04 };
    expect(cardFor(board, same)).toEqual(now);
    const other = { ...now, edition: 1, volume_L: now.volume_L + 0.06 };
    expect(cardFor(board, other)).toBe(other);
    // One of this edition is of a state of before.
    expect(cardFor(board, { ...now, volume_L: 99 })).toEqual(now);
  });
});
