// The one clock of every test, unit and interface: no test reads the real one. `TEST_NOW` (an ISO instant) and `TEST_ZONE`
// (an IANA zone) put it elsewhere; `npm run test:days` does so for a row of days that calendars get wrong.

/** The instant every test begins at: a Wednesday morning. */
export const TEST_NOW = process.env.TEST_NOW ?? '2026-11-25T09:30:00.000Z';
/** The zone it is read in. */
export const TEST_ZONE = process.env.TEST_ZONE ?? 'UTC';
export const TEST_NOW_ms = Date.parse(TEST_NOW);
if (Number.isNaN(TEST_NOW_ms)) throw new RangeError(`TEST_NOW is an ISO instant, got ${TEST_NOW}`);

/** The calendar day at that instant in that zone, YYYY-MM-DD. */
export const TEST_DAY = new Intl.DateTimeFormat('en-CA', { timeZone: TEST_ZONE, dateStyle: 'short' }).format(
  TEST_NOW_ms,
);

/** Days and zones a calendar gets wrong, each with why. */
export const HARD_MOMENTS = [
  { now: '2026-11-28T10:00:00.000Z', zone: 'UTC', why: 'a Saturday' },
  {
    now: '2027-01-31T10:30:00.000Z',
    zone: 'Pacific/Tongatapu',
    why: 'the end of a month, half past eleven at night at UTC+13',
  },
  { now: '2028-02-29T12:00:00.000Z', zone: 'UTC', why: '29 February' },
  { now: '2027-01-01T07:30:00.000Z', zone: 'Pacific/Pitcairn', why: 'the last half hour of a year at UTC-8' },
  { now: '2027-03-28T00:55:00.000Z', zone: 'Europe/Berlin', why: 'five minutes before summer time begins' },
  { now: '2027-10-31T00:55:00.000Z', zone: 'Europe/Berlin', why: 'five minutes before summer time ends' },
  {
    now: '2026-11-26T11:10:00.000Z',
    zone: 'Pacific/Tongatapu',
    why: 'ten past midnight at UTC+13, still the day before in UTC',
  },
];
