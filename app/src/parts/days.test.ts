import { describe, expect, it } from '@jest/globals';
import type { Standing } from '@june-tide/core/make';
import { dateWords, dayWords, shortStanding, standingWords } from './days.ts';
import { today } from '../store/today.ts';
import { money } from './money.ts';

const standing = (change: Partial<Standing>): Standing => ({
  ready: '2026-12-11',
  inHand_days: 3,
  startBy: '2026-12-03',
  plan: [],
  ...change,
});

describe('days as they are said', () => {
  it('have their weekday near by and their year far off', () => {
    expect(dayWords(today())).toMatch(/^[A-Z][a-z]{2} \d{1,2} [A-Z][a-z]{2}$/);
    expect(dayWords('2999-12-31')).toBe('Tue 31 Dec 2999');
    expect(dayWords('1990-01-01')).toBe('Mon 1 Jan 1990');
    expect(dateWords('2026-01-10')).toBe('10 Jan 2026');
  });

  it('say whether a board is in time, just in time, late, or has no day', () => {
    expect(standingWords(standing({}), '2026-12-16')).toBe(
      `In time: due ${dayWords('2026-12-16')}, 3 working days in hand, this stage begun by ${dayWords('2026-12-03')}.`,
    );
    expect(standingWords(standing({ inHand_days: 1 }), '2026-12-14')).toContain('1 working day in hand');
    expect(standingWords(standing({ inHand_days: 0 }), '2026-12-11')).toContain('not a day to lose');
    expect(standingWords(standing({ inHand_days: -2 }), '2026-12-09')).toBe(
      `Late by 2 working days: due ${dayWords('2026-12-09')}, ready ${dayWords('2026-12-11')} at the soonest.`,
    );
    expect(standingWords(standing({ inHand_days: undefined }), undefined)).toBe(
      `No due day. Ready ${dayWords('2026-12-11')} at the soonest.`,
    );
  });

  it('are short on a card', () => {
    expect([3, 0, -2, undefined].map((inHand_days) => shortStanding(standing({ inHand_days })))).toEqual([
      '3 d in hand',
      'just in time',
      'late by 2 d',
      'no due day',
    ]);
  });
});

describe('money', () => {
  it('has two places, its thousands parted, and no sign where the shop writes none', () => {
    expect(money(1234.5, '€')).toBe('€ 1,234.50');
    expect(money(0, '')).toBe('0.00');
  });
});
