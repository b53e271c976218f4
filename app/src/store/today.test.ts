import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { dayOf, today } from './today.ts';

const zone = process.env.TZ;
const at = (instant: string, tz: string) => {
  process.env.TZ = tz;
  jest.setSystemTime(new Date(instant));
};

describe('the shop’s own day', () => {
  beforeEach(() => void jest.useFakeTimers({ doNotFake: ['setTimeout', 'setInterval'] }));
  afterEach(() => {
    process.env.TZ = zone;
  });

  it.each([
    // Eight in the morning in Sydney (UTC+11 in November) is still yesterday in UTC.
    ['2026-11-25T21:00:00.000Z', 'Australia/Sydney', '2026-11-26'],
    // Ten at night at UTC-8 is tomorrow in UTC.
    ['2026-11-26T06:00:00.000Z', 'Pacific/Pitcairn', '2026-11-25'],
    ['2026-11-25T11:30:00.000Z', 'Pacific/Tongatapu', '2026-11-26'],
    ['2026-11-25T11:30:00.000Z', 'UTC', '2026-11-25'],
  ])('at %s in %s is %s', (instant, tz, day) => {
    at(instant, tz);
    expect(today()).toBe(day);
    expect(dayOf(instant)).toBe(day);
  });
});
