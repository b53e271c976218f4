import { describe, expect, it } from '@jest/globals';
import type { Board } from '../document/schema.ts';
import { DEMO_RIDERS, demoRecords } from '../demo/demoShed.ts';
import { changeWords } from '../measure/changeWords.ts';
import { modelNamed } from '../models/models.ts';
import { INCH_mm } from '../units/length.ts';
import { madeFor, massOn } from './riderHistory.ts';

const style = { kind: 'fraction', denominator: 16 } as const;
const slack = modelNamed('Slack Water')!;

describe('the weight of a rider on a day', () => {
  const rider = {
    mass_kg: 80,
    weights: [
      { on: '2026-06-01', mass_kg: 78 },
      { on: '2025-03-10', mass_kg: 74 },
    ],
  };
  it('is the latest weighing up to it, and the first one before any', () => {
    expect(massOn(rider, '2026-06-01')).toBe(78);
    expect(massOn(rider, '2026-05-31')).toBe(74);
    expect(massOn(rider, '2020-01-01')).toBe(74);
    expect(massOn({ mass_kg: 80, weights: [] }, '2026-01-01')).toBe(80);
  });
});

describe('the boards made for a rider', () => {
  it('stand the latest first, each beside the one before it', () => {
    const records = Object.fromEntries(demoRecords('2026-11-25').map((record) => [record.id, record]));
    const maren = DEMO_RIDERS.find(({ id }) => id === 'maren')!;
    const made = madeFor(maren, records, (instant) => instant.slice(0, 10));
    expect(made.map(({ record }) => record.number)).toEqual([118, 104]);
    expect(made[0].before?.number).toBe(104);
    expect(made[1].before).toBeUndefined();
  });
});

describe('what changed from one board to the next', () => {
  const changed = (change: (board: Board) => Board) => changeWords(slack, change(slack), style);

  it('is nothing between a board and itself', () => {
    expect(changeWords(slack, slack, style)).toEqual([]);
  });

  it('is said in the shop’s inches, more and less', () => {
    const wider = changed((board) => ({
      ...board,
      length_mm: board.length_mm + 2 * INCH_mm,
      outline: { ...board.outline, width_mm: board.outline.width_mm + INCH_mm / 4 },
      foil: { ...board.foil, thickness_mm: board.foil.thickness_mm - INCH_mm / 16 },
    }));
    expect(wider).toEqual(expect.arrayContaining(['2 longer', '1/4 wider', '1/16 thinner']));
    expect(wider.at(-1)).toMatch(/^[+−]\d+\.\d L$/);
  });

  it('names another tail and other fins', () => {
    const other = changed((board) => ({
      ...board,
      outline: { ...board.outline, tail: { ...board.outline.tail, kind: 'round' } },
      fins: { ...board.fins, setup: 'quad' },
    }));
    expect(other).toContain('round for squash');
    expect(other.some((words) => /^quad for/.test(words))).toBe(true);
  });
});
