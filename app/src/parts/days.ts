import dayjs from 'dayjs';
import type { Day, Standing } from '@june-tide/core/make';

/** A day as it is said in the shed: "Fri 11 Dec", with its year when that is not this one or the next few months. */
export const dayWords = (day: Day): string => {
  const near = Math.abs(dayjs(day).diff(dayjs(), 'month')) < 9;
  return dayjs(day).format(near ? 'ddd D MMM' : 'ddd D MMM YYYY');
};

/** A day that may lie years back: "16 Nov 2026". */
export const dateWords = (day: Day): string => dayjs(day).format('D MMM YYYY');

const count = (days: number) => `${days} working ${days === 1 ? 'day' : 'days'}`;

/** How an order stands, in a sentence. */
export function standingWords({ ready, inHand_days, startBy }: Standing, due: Day | undefined): string {
  if (due === undefined || inHand_days === undefined) return `No due day. Ready ${dayWords(ready)} at the soonest.`;
  if (inHand_days < 0)
    return `Late by ${count(-inHand_days)}: due ${dayWords(due)}, ready ${dayWords(ready)} at the soonest.`;
  if (inHand_days === 0) return `Just in time: due ${dayWords(due)}, not a day to lose.`;
  const start = startBy ? `, this stage begun by ${dayWords(startBy)}` : '';
  return `In time: due ${dayWords(due)}, ${count(inHand_days)} in hand${start}.`;
}

/** The same in three words, for a card. */
export function shortStanding({ inHand_days }: Standing): string {
  if (inHand_days === undefined) return 'no due day';
  if (inHand_days < 0) return `late by ${-inHand_days} d`;
  return inHand_days === 0 ? 'just in time' : `${inHand_days} d in hand`;
}
