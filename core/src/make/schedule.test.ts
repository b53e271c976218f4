import { describe, expect, it } from '@jest/globals';
import * as fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import { plannedBack, plannedOn, type Pace, type Stage, standing, weeklyLoad } from './schedule.ts';
import {
  dayAfter,
  daysBetween,
  daySchema,
  isWorkday,
  WEEKDAYS,
  weekdayOf,
  weekOf,
  workdayFrom,
  workdaysBetween,
} from './workingDays.ts';
import { USUAL_WORKSHOP } from './workshop.ts';

const pace: Pace = { weekdays: [1, 2, 3, 4, 5], closed: [], boardHoursADay: 6 };
const stage = (id: string, hands_h: number, wait_days = 0): Stage => ({ id, name: id, hands_h, wait_days });

describe('working days', () => {
  it('know the week and the calendar', () => {
    // ISO 8601: weeks begin on Monday. 2026-11-25 is a Wednesday; 2028-02-29 exists, 2026-02-29 does not.
    expect(weekdayOf('2026-11-25')).toBe(3);
    expect(weekdayOf('2026-11-29')).toBe(7);
    // Every day of a week has its number (ISO 8601).
    const week = Array.from({ length: 7 }, (_, k) => weekdayOf(dayAfter('2026-11-23', k)));
    expect(WEEKDAYS).toEqual(week);
    expect(weekOf('2026-11-29')).toBe('2026-11-23');
    expect(daySchema.safeParse('2028-02-29').success).toBe(true);
    expect(daySchema.safeParse('2026-02-29').success).toBe(false);
    expect(() => weekdayOf('tomorrow')).toThrow(RangeError);
    expect(daysBetween('2026-12-30', '2027-01-02')).toBe(3);
  });

  it('step over weekends and days the shop is shut, both ways', () => {
    const shut = { ...pace, closed: ['2026-11-30'] };
    expect(workdayFrom('2026-11-28', 1, shut)).toBe('2026-12-01');
    expect(workdayFrom('2026-11-29', -1, shut)).toBe('2026-11-27');
    expect(isWorkday('2026-11-30', shut)).toBe(false);
    expect(workdaysBetween('2026-11-27', '2026-12-02', shut)).toBe(2);
    expect(workdaysBetween('2026-12-02', '2026-11-27', shut)).toBe(-2);
    expect(() => workdayFrom('2026-11-28', 1, { weekdays: [8], closed: [] })).toThrow(/no working day/);
  });

  it('are found however long a shop that may be written down is shut', () => {
    // One day a week, and that day shut 400 times over: the most a workshop can hold.
    const closed = Array.from({ length: 400 }, (_, k) => dayAfter('2026-11-30', 7 * k));
    const day = workdayFrom('2026-11-30', 1, { weekdays: [1], closed });
    expect(day).toBe(dayAfter('2026-11-30', 7 * 400));
  });
});

describe('a due day worked backwards', () => {
  it('ends on it, or on the last working day before it', () => {
    const [only] = plannedBack([stage('shape', 6)], '2026-12-05', pace);
    // A Saturday: the work is done on Friday.
    expect(only).toMatchObject({ from: '2026-12-04', to: '2026-12-04' });
  });

  it('is a sum that can be done on a calendar', () => {
    // Due Friday 11 December. Finish, 3 h, that Friday. Glass, 6 h, waits two whole days before it: Wednesday and
    // Thursday, so it is done on Tuesday 8. Shape, 9 h: Monday 7 whole and 3 h of Friday 4.
    const plan = plannedBack([stage('shape', 9), stage('glass', 6, 2), stage('finish', 3)], '2026-12-11', pace);
    expect(plan.map(({ from, to }) => [from, to])).toEqual([
      ['2026-12-04', '2026-12-07'],
      ['2026-12-08', '2026-12-08'],
      ['2026-12-11', '2026-12-11'],
    ]);
    expect(plan[0].hours).toEqual([
      { day: '2026-12-04', hands_h: 3 },
      { day: '2026-12-07', hands_h: 6 },
    ]);
  });

  it('lets resin cure over a weekend', () => {
    // Sanding on Monday 7; two days of waiting are Saturday and Sunday: glass on Friday.
    const plan = plannedBack([stage('glass', 3, 2), stage('sand', 6)], '2026-12-07', pace);
    expect(plan[0].to).toBe('2026-12-04');
  });

  it('counts every hour once, on working days only, no day fuller than allowed, whatever the stages', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.double({ min: 0, max: 30, noNaN: true }), fc.integer({ min: 0, max: 5 })), {
          minLength: 1,
          maxLength: 8,
        }),
        fc.integer({ min: 0, max: 300 }),
        (raw, offset) => {
          const stages = raw.map(([hands, wait], i) => stage(String(i), hands, wait));
          const due = new Date(Date.UTC(2026, 10, 25) + offset * 86400000).toISOString().slice(0, 10);
          for (const plan of [plannedBack(stages, due, pace), plannedOn(stages, due, pace)]) {
            const byDay = new Map<string, number>();
            plan.forEach((planned, i) => {
              const sum = planned.hours.reduce((all, { hands_h }) => all + hands_h, 0);
              expect(sum).toBeCloseTo(stages[i].hands_h, 6);
              for (const { day, hands_h } of planned.hours) {
                expect(isWorkday(day, pace)).toBe(true);
                byDay.set(day, (byDay.get(day) ?? 0) + hands_h);
              }
              const next = plan[i + 1];
              if (next && planned.hours.length > 0 && next.hours.length > 0) {
                expect(daysBetween(planned.to, next.from)).toBeGreaterThanOrEqual(
                  stages[i].wait_days > 0 ? stages[i].wait_days + 1 : 0,
                );
              }
            });
            for (const hours of byDay.values()) expect(hours).toBeLessThanOrEqual(6 + 1e-6);
          }
        },
      ),
      { seed: 64, numRuns: runs(150) },
    );
  });

  it('is refused where a day has no hours', () => {
    expect(() => plannedBack([stage('shape', 1)], '2026-12-11', { ...pace, boardHoursADay: 0 })).toThrow(RangeError);
  });
});

describe('how an order stands', () => {
  const stages = [stage('shape', 6), stage('glass', 6, 2), stage('finish', 6)];

  it('has days in hand, or is late by so many', () => {
    // From Monday 7: shape Monday, glass Tuesday, wait Wednesday and Thursday, finish Friday 11.
    expect(standing(stages, 'shape', '2026-12-11', '2026-12-07', pace)).toMatchObject({
      ready: '2026-12-11',
      inHand_days: 0,
      startBy: '2026-12-07',
    });
    expect(standing(stages, 'shape', '2026-12-15', '2026-12-07', pace).inHand_days).toBe(2);
    expect(standing(stages, 'shape', '2026-12-09', '2026-12-07', pace).inHand_days).toBe(-2);
    expect(standing(stages, 'finish', '2026-12-09', '2026-12-07', pace)).toMatchObject({ ready: '2026-12-07' });
    expect(standing(stages, 'shape', undefined, '2026-12-07', pace).inHand_days).toBeUndefined();
  });

  it('takes a stage that no longer exists for the first', () => {
    expect(standing(stages, 'gone', '2026-12-15', '2026-12-07', pace).plan).toHaveLength(3);
  });
});

describe('the hours of a week', () => {
  it('sum what is planned against what there is, what is overdue in this week', () => {
    const plan = plannedBack([stage('shape', 6), stage('sand', 3)], '2026-12-08', pace);
    const late = plannedBack([stage('shape', 4)], '2026-11-20', pace);
    const [first, second] = weeklyLoad([plan, late], '2026-12-02', pace, 12, 2);
    expect(first).toEqual({ week: '2026-11-30', needed_h: 4, there_h: 36 });
    expect(second).toEqual({ week: '2026-12-07', needed_h: 9, there_h: 60 });
  });

  it('has usual stages that can be planned', () => {
    const plan = plannedBack(USUAL_WORKSHOP.stages, '2026-12-18', { ...USUAL_WORKSHOP, boardHoursADay: 6 });
    expect(plan.map(({ stage: { name } }) => name)).toEqual([
      'Brief',
      'Blank',
      'Shape',
      'Glass',
      'Sand',
      'Fins',
      'Finish',
      'Ride-away',
    ]);
  });
});

describe('working days between two days', () => {
  const slowly = (from: string, to: string, time: typeof pace): number => {
    let count = 0;
    for (let day = from; day < to; day = dayAfter(day, 1)) if (isWorkday(day, time)) count++;
    return count;
  };

  it('are those counted one by one, in any week and with any days shut', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 900 }),
        fc.integer({ min: 0, max: 400 }),
        fc.uniqueArray(fc.integer({ min: 1, max: 7 }), { minLength: 1 }),
        fc.array(fc.integer({ min: -10, max: 1300 }), { maxLength: 8 }),
        (start, length, weekdays, shut) => {
          const from = dayAfter('2026-01-01', start);
          const to = dayAfter(from, length);
          const closed = shut.map((day) => dayAfter('2026-01-01', day));
          const time = { ...pace, weekdays, closed: [...closed, ...closed] };
          expect(workdaysBetween(from, to, time)).toBe(slowly(from, to, time));
          expect(workdaysBetween(to, from, time) + slowly(from, to, time)).toBe(0);
        },
      ),
      { seed: 13, numRuns: runs(300) },
    );
  });

  it('are counted over centuries as readily: 2,023 weeks of five days in each direction', () => {
    // 2026-11-23 is a Monday; 2023 whole weeks later is one too.
    const far = dayAfter('2026-11-23', 7 * 2023);
    expect(workdaysBetween('2026-11-23', far, { weekdays: [1, 2, 3, 4, 5], closed: [] })).toBe(5 * 2023);
  });
});

describe('a day a shop can write', () => {
  it('is one of the calendar between 1970 and 2199', () => {
    for (const day of ['1970-01-01', '2026-02-28', '2028-02-29', '2199-12-31'])
      expect(daySchema.safeParse(day).success).toBe(true);
    for (const day of ['0100-05-01', '1969-12-31', '2200-01-01', '2926-11-25', '9999-12-31', '2026-02-29', '26-11-25'])
      expect(daySchema.safeParse(day).success).toBe(false);
  });
});
