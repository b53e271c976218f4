import type { Day } from '../make/workingDays.ts';
import { type BlindTrial, type BoardRecord, type Letter, LETTERS, MOST_TRIALS } from './record.ts';

/**
 * A winner made again in other glass, foam or flex, and ridden by letters.
 * @param draw a whole number from 0 to one less than it is given: core throws no dice of its own.
 * @throws RangeError for fewer than two variants, more than there are letters, or more trials than one board can have.
 */
export function withTrialDealt(
  record: BoardRecord,
  version: string,
  on: Day,
  variants: readonly string[],
  draw: (below: number) => number,
): BoardRecord {
  if (variants.length < 2 || variants.length > LETTERS.length)
    throw new RangeError(`a blind trial has 2 to ${LETTERS.length} variants`);
  const trials = record.trials ?? [];
  if (trials.length >= MOST_TRIALS) throw new RangeError(`a board has at most ${MOST_TRIALS} blind trials`);
  // Fisher and Yates: every order is as likely as another.
  const letters = LETTERS.slice(0, variants.length);
  for (let i = letters.length - 1; i > 0; i--) {
    const j = draw(i + 1);
    [letters[i], letters[j]] = [letters[j], letters[i]];
  }
  const dealt = variants.map((what, i) => ({ letter: letters[i], what })).sort(byLetter);
  return { ...record, trials: [{ version, on, variants: dealt }, ...trials] };
}

const byLetter = (a: { letter: Letter }, b: { letter: Letter }) => a.letter.localeCompare(b.letter);

/** The choice made, by its letter; a choice stands, so that nobody changes it once the letters are told. */
export function withTrialChosen(
  record: BoardRecord,
  index: number,
  chosen: NonNullable<BlindTrial['chosen']>,
): BoardRecord {
  const trials = (record.trials ?? []).map((trial, i) =>
    i === index && !trial.chosen && trial.variants.some(({ letter }) => letter === chosen.letter)
      ? { ...trial, chosen }
      : trial,
  );
  return { ...record, trials };
}

/** Without a trial. */
export const withoutTrial = (record: BoardRecord, index: number): BoardRecord => ({
  ...record,
  trials: (record.trials ?? []).filter((_, i) => i !== index),
});
