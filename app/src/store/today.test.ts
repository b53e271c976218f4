import { describe, expect, it } from '@jest/globals';
import { TEST_DAY, TEST_NOW } from '../../../testing/clock.mjs';
import { dayOf, today } from './today.ts';

describe('the shop’s own day', () => {
  // TEST_DAY is told by Intl (CLDR's zones), not by what is tested; `npm run test:days` sets it near midnight far from UTC.
  it('is the day of the calendar where the shop is', () => {
    expect(today()).toBe(TEST_DAY);
    expect(dayOf(TEST_NOW)).toBe(TEST_DAY);
  });
});
