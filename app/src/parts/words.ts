import type { Ability, Rider } from '@june-tide/core';

/** What a rider does on a wave: said plainly, without flattery. */
export const ABILITY_WORDS: Readonly<Record<Ability, string>> = {
  novice: 'Learning to stand and trim',
  intermediate: 'Rides along the face, turns sometimes',
  advanced: 'Turns where they choose',
  expert: 'Turns hard in steep waves, late drops',
};

export const STANCE_WORDS: Readonly<Record<Rider['stance'], string>> = {
  front: 'Front-footed',
  neutral: 'Neutral',
  back: 'Back-footed',
  unknown: 'Not known yet',
};

export const WAVE_SIZE_WORDS: Readonly<Record<Rider['waves']['size'], string>> = {
  kneeToWaist: 'Knee to waist',
  waistToHead: 'Waist to head',
  overhead: 'Overhead',
  wellOverhead: 'Well overhead',
};

export const WAVE_POWER_WORDS: Readonly<Record<Rider['waves']['power'], string>> = {
  weak: 'Weak',
  medium: 'Medium',
  powerful: 'Powerful',
};

export function optionsOf<K extends string>(words: Readonly<Record<K, string>>): { value: K; label: string }[] {
  return (Object.keys(words) as K[]).map((value) => ({ value, label: words[value] }));
}
