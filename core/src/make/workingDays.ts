import dayjs, { type Dayjs } from 'dayjs';
import utc from 'dayjs/plugin/utc.js';
import * as z from 'zod';

dayjs.extend(utc);

/** A day of the calendar, YYYY-MM-DD (ISO 8601), without a clock or a zone. */
export type Day = string;

/** Days a workshop can have to do with: before and after, a typing mistake is likelier. */
export const FIRST_DAY: Day = '1970-01-01';
export const LAST_DAY: Day = '2199-12-31';

export const daySchema = z
  .string()
  .regex(/^\d{4}-\d{2}-\d{2}$/)
  .refine((text) => dayjs.utc(text).format('YYYY-MM-DD') === text, 'is no day of the calendar')
  .refine((text) => text >= FIRST_DAY && text <= LAST_DAY, `lies outside ${FIRST_DAY} to ${LAST_DAY}`);

/** Monday is 1, Sunday 7, as ISO 8601 counts. */
export const WEEKDAYS = [1, 2, 3, 4, 5, 6, 7] as const;

/** When the shop works. */
export interface WorkingTime {
  /** Weekdays it is open, Monday 1. At least one. */
  weekdays: readonly number[];
  /** Days it is shut. */
  closed: readonly Day[];
}

const at = (day: Day): Dayjs => {
  const read = dayjs.utc(day);
  if (read.format('YYYY-MM-DD') !== day) throw new RangeError(`a day is YYYY-MM-DD, got ${day}`);
  return read;
};

/** @throws RangeError for what is no day of the calendar. */
export const dayAfter = (day: Day, days: number): Day => at(day).add(days, 'day').format('YYYY-MM-DD');

export const weekdayOf = (day: Day): number => at(day).day() || 7;

/** Calendar days from one day to another; negative when it lies before. */
export const daysBetween = (from: Day, to: Day): number => at(to).diff(at(from), 'day');

/** The Monday of a day's week. */
export const weekOf = (day: Day): Day => dayAfter(day, 1 - weekdayOf(day));

export const isWorkday = (day: Day, { weekdays, closed }: WorkingTime): boolean =>
  weekdays.includes(weekdayOf(day)) && !closed.includes(day);

/**
 * So far a working day is looked for. A workshop may have 400 days shut and one day a week open: it opens again within
 * 401 weeks.
 */
const MOST_DAYS = 7 * 401;

/** The working day at or after (way 1) or at or before (way -1) a day. @throws RangeError when there is none in 401 weeks. */
export function workdayFrom(day: Day, way: 1 | -1, time: WorkingTime): Day {
  let found = day;
  for (let k = 0; k < MOST_DAYS; k++) {
    if (isWorkday(found, time)) return found;
    found = dayAfter(found, way);
  }
  throw new RangeError(`workdayFrom: no working day within ${MOST_DAYS} days of ${day}`);
}

/**
 * Working days from one day to another, the later not counted; negative when it lies before. Whole weeks are counted at
 * once, so that centuries cost no more than days.
 */
export function workdaysBetween(from: Day, to: Day, time: WorkingTime): number {
  if (to < from) return 0 - workdaysBetween(to, from, time);
  const days = daysBetween(from, to);
  const open = new Set(time.weekdays);
  let count = Math.floor(days / 7) * open.size;
  const first = weekdayOf(from);
  for (let k = 0; k < days % 7; k++) if (open.has(((first - 1 + k) % 7) + 1)) count++;
  const shut = new Set(time.closed);
  for (const day of shut) if (day >= from && day < to && open.has(weekdayOf(day))) count--;
  return count;
}
