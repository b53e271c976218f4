import { withNewDeckFeature } from '../../edit/deck.ts';
import { withNewWing, withWings } from '../../edit/parts.ts';
import { withTail } from '../../edit/size.ts';
import type { Board, DeckFeatureKind } from '../../document/schema.ts';
import { withSetup } from '../../fins/placement.ts';
import { movable } from './lever.ts';

const withFeature = (kind: DeckFeatureKind) => (board: Board, by: number) =>
  by > 0 ? withNewDeckFeature(board, kind) : board;

/** Parts a board has or has not: put on, or taken off, whole. A second step is no more than the first. */
export const PART_LEVERS = movable({
  wing: {
    more: 'a wing',
    less: 'the wings off',
    step: 1,
    unit: 'part',
    calledBy: { key: 'tailWidth12_mm', when: 'high' },
    lotMore: 'Full width ahead of it, a narrower tail behind: each wing is a place to turn about.',
    lotLess: 'One line to the tail.',
    shift: (b, by) =>
      by > 0 && b.outline.wings.length === 0
        ? withNewWing(b)
        : by < 0 && b.outline.wings.length > 0
          ? withWings(b, [])
          : b,
  },
  roundedPin: {
    more: 'a rounded pin for a tail',
    less: 'a squash for a tail',
    step: 1,
    unit: 'part',
    calledBy: { key: 'block_mm', when: 'high' },
    lotMore: 'Less area at the very end: it holds, links its turns, and is kinder on the backhand.',
    lotLess: 'Corners that lift and release.',
    shift: (b, by) => {
      const kind = by > 0 ? 'roundedPin' : 'squash';
      return by === 0 || b.outline.tail.kind === kind ? b : withTail(b, kind);
    },
  },
  beak: {
    more: 'a beak nose',
    less: 'the beak as it is',
    step: 1,
    unit: 'part',
    calledBy: { key: 'noseThickness12_mm', when: 'low' },
    lotMore: 'Foam hidden in the nose: it paddles longer than it is.',
    lotLess: 'The deck runs out plain.',
    shift: withFeature('beak'),
  },
  stepRail: {
    more: 'a step rail in the tail',
    less: 'the step as it is',
    step: 1,
    unit: 'part',
    calledBy: { key: 'tailThickness12_mm', when: 'high' },
    lotMore: 'A thin rail that bites, the foam kept in the middle.',
    lotLess: 'The deck runs to the rail plain.',
    shift: withFeature('step'),
  },
  dome: {
    more: 'a domed deck with thinner rails',
    less: 'the dome as it is',
    step: 1,
    unit: 'part',
    calledBy: { key: 'railFullness', when: 'high' },
    lotMore: 'Litres in the middle, thin rails that sink.',
    lotLess: 'The crown it was drawn with.',
    shift: withFeature('dome'),
  },
  trailer: {
    more: 'a trailer behind the pair',
    less: 'the trailer off',
    step: 1,
    unit: 'part',
    calledBy: { key: 'finsAhead_mm', when: 'high' },
    lotMore: 'A trailer steadies the pair.',
    lotLess: 'Fast and loose on two fins.',
    shift: (b, by) => {
      if (by < 0 && b.fins.setup === 'twinTrailer')
        return { ...b, fins: { setup: 'twin', boxes: b.fins.boxes.filter(({ role }) => role !== 'centre') } };
      return by > 0 && b.fins.setup === 'twin' ? withSetup(b, 'twinTrailer') : b;
    },
  },
});
