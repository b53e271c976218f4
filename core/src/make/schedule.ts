import {
  type Day,
  dayAfter,
  isWorkday,
  weekOf,
  workdayFrom,
  workdaysBetween,
  type WorkingTime,
} from './workingDays.ts';

/** A stage of the work as the shop counts it. */
export interface Stage {
  id: string;
  name: string;
  /** Hours of hands it takes. */
  hands_h: number;
  /** Whole days after it in which the board only waits: resin cures on a Sunday too. */
  wait_days: number;
}

export interface PlannedStage {
  stage: Stage;
  /** First and last day with hands on it. */
  from: Day;
  to: Day;
  /** Hours by day, in order. */
  hours: readonly { day: Day; hands_h: number }[];
}

/** When the shop works and how long one board is worked on in a day. */
export interface Pace extends WorkingTime {
  /** Hours one board gets in a day, at the most. */
  boardHoursADay: number;
}

const ENOUGH_h = 1e-9;

function checked(pace: Pace): void {
  if (!(pace.boardHoursADay > 0)) {
    throw new RangeError(`schedule: boardHoursADay must be positive, got ${pace.boardHoursADay}`);
  }
}

/**
 * Stages worked backwards from the day the board is due: the last ends on the last working day up to it, each earlier one
 * ends as late as it may. A wait is whole calendar days between the last hand of a stage and the first of the next.
 * @throws RangeError for a pace that has no hours or no working days.
 */
export function plannedBack(stages: readonly Stage[], due: Day, pace: Pace): PlannedStage[] {
  checked(pace);
  const planned: PlannedStage[] = [];
  let day = workdayFrom(due, -1, pace);
  let left_h = pace.boardHoursADay;
  for (const [i, stage] of [...stages.entries()].reverse()) {
    if (i < stages.length - 1 && stage.wait_days > 0) {
      const after = planned[planned.length - 1]?.from ?? day;
      day = workdayFrom(dayAfter(after, -1 - stage.wait_days), -1, pace);
      left_h = pace.boardHoursADay;
    }
    const hours: { day: Day; hands_h: number }[] = [];
    let want_h = stage.hands_h;
    while (want_h > ENOUGH_h) {
      if (left_h <= ENOUGH_h) {
        day = workdayFrom(dayAfter(day, -1), -1, pace);
        left_h = pace.boardHoursADay;
      }
      const hands_h = Math.min(left_h, want_h);
      hours.unshift({ day, hands_h });
      want_h -= hands_h;
      left_h -= hands_h;
    }
    planned.push({ stage, from: hours[0]?.day ?? day, to: hours.at(-1)?.day ?? day, hours });
  }
  return planned.reverse();
}

/** The same forwards, from the first day work can be done: the soonest the board can be ready. */
export function plannedOn(stages: readonly Stage[], start: Day, pace: Pace): PlannedStage[] {
  checked(pace);
  const planned: PlannedStage[] = [];
  let day = workdayFrom(start, 1, pace);
  let left_h = pace.boardHoursADay;
  let wait_days = 0;
  for (const stage of stages) {
    if (wait_days > 0) {
      day = workdayFrom(dayAfter(planned[planned.length - 1].to, 1 + wait_days), 1, pace);
      left_h = pace.boardHoursADay;
    }
    const hours: { day: Day; hands_h: number }[] = [];
    let want_h = stage.hands_h;
    while (want_h > ENOUGH_h) {
      if (left_h <= ENOUGH_h) {
        day = workdayFrom(dayAfter(day, 1), 1, pace);
        left_h = pace.boardHoursADay;
      }
      const hands_h = Math.min(left_h, want_h);
      hours.push({ day, hands_h });
      want_h -= hands_h;
      left_h -= hands_h;
    }
    planned.push({ stage, from: hours[0]?.day ?? day, to: hours.at(-1)?.day ?? day, hours });
    wait_days = stage.wait_days;
  }
  return planned;
}

/** How an order stands today. */
export interface Standing {
  /** The soonest it can be ready from today. */
  ready: Day;
  /** Working days in hand before the due day; negative when it will be late. Undefined without a due day. */
  inHand_days: number | undefined;
  /** The day its present stage must be begun to be in time; undefined without a due day. */
  startBy: Day | undefined;
  plan: PlannedStage[];
}

/** Where a board at a stage stands against the day it is due. The stage it is at is counted whole. */
export function standing(stages: readonly Stage[], at: string, due: Day | undefined, today: Day, pace: Pace): Standing {
  const from = stages.findIndex(({ id }) => id === at);
  const left = stages.slice(Math.max(0, from));
  const on = plannedOn(left, today, pace);
  const ready = on.at(-1)?.to ?? today;
  if (due === undefined) return { ready, inHand_days: undefined, startBy: undefined, plan: on };
  const inHand_days = workdaysBetween(ready, workdayFrom(due, -1, pace), pace);
  const back = plannedBack(left, due, pace);
  return { ready, inHand_days, startBy: back[0]?.from, plan: inHand_days < 0 ? on : back };
}

/** One week of the shop: hours that are needed and hours there are. */
export interface WeekLoad {
  /** Its Monday. */
  week: Day;
  needed_h: number;
  there_h: number;
}

/** Hours needed a week by planned boards against those there are, from this week on. */
export function weeklyLoad(
  plans: readonly (readonly PlannedStage[])[],
  today: Day,
  time: WorkingTime,
  shopHoursADay: number,
  weeks = 6,
): WeekLoad[] {
  const first = weekOf(today);
  const loads = Array.from({ length: weeks }, (_, k): WeekLoad => {
    const week = dayAfter(first, 7 * k);
    const days = Array.from({ length: 7 }, (_unused, i) => dayAfter(week, i)).filter((day) => day >= today);
    return { week, needed_h: 0, there_h: days.filter((day) => isWorkday(day, time)).length * shopHoursADay };
  });
  const byWeek = new Map(loads.map((load) => [load.week, load]));
  for (const stage of plans.flat()) {
    for (const { day, hands_h } of stage.hours) {
      // Work that should be behind us is still to be done: this week.
      const load = byWeek.get(day < first ? first : weekOf(day));
      if (load) load.needed_h += hands_h;
    }
  }
  return loads;
}
