// What differs between two boards, as a person counts it: against the levers, each of which is one thing a hand does.
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { Board } from '../document/schema.ts';
import { changesBetween, changesSentence, replacedBetween, withReplaced } from '../edit/changes.ts';
import { modelNamed, models } from '../models/models.ts';
import { anyBoard } from '../testing/anyBoard.ts';
import { runs } from '../testing/runs.ts';
import { lever, type LeverId, LEVERS } from './levers.ts';

const slack = modelNamed('Slack Water')!;
const STYLE = { kind: 'fraction', denominator: 16 } as const;
const moved = (id: LeverId, steps = 1, board = slack) => lever(id).move(board, steps);
const counted = (to: Board, from = slack) => changesBetween(from, to).length;

describe('what makes one board of another', () => {
  it('gives it to the last digit, for every pair of models and for random boards', () => {
    const all = models();
    all.forEach((from, i) => {
      const to = all[(i * 7 + 3) % all.length];
      expect(withReplaced(from, replacedBetween(from, to))).toEqual(to);
    });
    fc.assert(
      fc.property(anyBoard, anyBoard, (from, to) => {
        expect(withReplaced(from, replacedBetween(from, to))).toEqual(to);
      }),
      { seed: 1611, numRuns: runs(60) },
    );
  });

  it('is nothing for the same board, and leaves out what is no more', () => {
    expect(replacedBetween(slack, structuredClone(slack))).toEqual([]);
    const round: Board = { ...slack, outline: { ...slack.outline, nose: { kind: 'round', radius_mm: 120 } } };
    const free: Board = { ...slack, outline: { ...slack.outline, nose: { kind: 'round' } } };
    const back = withReplaced(round, replacedBetween(round, free));
    expect('radius_mm' in back.outline.nose).toBe(false);
    expect(back).toStrictEqual(free);
  });

  it('has the smallest number there is', () => {
    const by = { ...slack, length_mm: slack.length_mm + Number.EPSILON * slack.length_mm };
    expect(replacedBetween(slack, by)).toEqual([{ path: ['length_mm'], to: by.length_mm }]);
  });
});

describe('changes as a person counts them', () => {
  /** These do two things or more on purpose, or have nothing to hold on here. */
  const OTHERS: Readonly<Partial<Record<LeverId, number>>> = {
    curvier: 2,
    wingDepth: 0,
    wingForward: 0,
    wingRaise: 0,
    flat: 2,
    soften: 4,
    foilForward: 2,
    wing: 2,
    beak: 2,
    trailer: 0,
  };
  it.each(Object.keys(LEVERS) as LeverId[])('%s', (id) => {
    expect(counted(moved(id))).toBe(OTHERS[id] ?? 1);
  });

  it('are two where two things were done: longer and a wider nose, all rails harder and one crown', () => {
    expect(counted(moved('noseWidth', 1, moved('length')))).toBe(2);
    const crowned = moved('edgeHardness');
    const more = {
      ...crowned,
      deck: { ...crowned.deck, crown: crowned.deck.crown.map((m) => ({ ...m, value_mm: m.value_mm + 1 })) },
    };
    expect(changesBetween(slack, more).map(({ key }) => key)).toEqual(['deck.crown', 'rails.edge']);
  });

  it('are one where one number was typed: nothing is said to have gone along that did not', () => {
    const wide = { ...slack, outline: { ...slack.outline, width_mm: slack.outline.width_mm + 3 } };
    const thick = { ...slack, foil: { ...slack.foil, thickness_mm: slack.foil.thickness_mm + 1 } };
    for (const [board, key] of [
      [wide, 'outline.width_mm'],
      [thick, 'foil.thickness_mm'],
    ] as const) {
      expect(changesBetween(slack, board).map((change) => [change.key, change.differences.length])).toEqual([[key, 1]]);
    }
  });

  it('are one for the fins moved together, two where each goes its own way', () => {
    const boxes = (by: number[]) => ({
      ...slack,
      fins: {
        ...slack.fins,
        boxes: slack.fins.boxes.map((b, i) => ({ ...b, trailingEdge_mm: b.trailingEdge_mm + by[i] })),
      },
    });
    expect(changesBetween(slack, boxes([6, 6])).map(({ key }) => key)).toEqual(['fins.trailingEdge_mm']);
    expect(counted(boxes([6, 3]))).toBe(2);
  });

  it('are said with what was and what is, in the shop’s writing', () => {
    expect(changesSentence(slack, moved('noseWidth', 1, moved('length')), STYLE)).toBe(
      "Length 6'0 to 6'1; width at nose 12 11 5/8 to 11 7/8.",
    );
    expect(changesSentence(slack, moved('edgeHardness'), STYLE)).toMatch(/^Edge of the rails 70 % to 80 %/);
    expect(changesSentence(slack, moved('toe'), { kind: 'mm' })).toBe('Front fins toe 3.3° to 3.8°.');
    expect(changesSentence(slack, moved('finRake'), STYLE)).toBe('Rake of all fins 33° to 35°.');
    expect(changesSentence(slack, moved('finsForward'), STYLE)).toBe('All fins up 11 to 11 1/4.');
    expect(changesSentence(slack, moved('roundedPin'), STYLE)).toBe('Tail squash to rounded pin.');
    expect(changesSentence(slack, slack, STYLE)).toBe('');
  });
});
