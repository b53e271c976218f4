import type { Ability, Rider, Waves } from '@june-tide/core/rider';

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

export const STEEPNESS_WORDS: Readonly<Record<Waves['steepness'], string>> = {
  soft: 'Soft faces',
  medium: 'Neither soft nor steep',
  steep: 'Steep faces',
};

export const CHOP_WORDS: Readonly<Record<Waves['chop'], string>> = {
  clean: 'Mostly clean',
  some: 'Some chop',
  choppy: 'Mostly choppy',
};

export const RUBBER_WORDS: Readonly<Record<Waves['rubber'], string>> = {
  none: 'No wetsuit',
  thin: 'Thin wetsuit',
  thick: 'Thick wetsuit',
};

export const FITNESS_WORDS: Readonly<Record<Rider['fitness'], string>> = {
  low: 'Tires soon',
  usual: 'Paddles a session',
  high: 'Paddles for hours',
};

/** The waves in a line. */
export function wavesWords(waves: Waves): string {
  return [
    WAVE_SIZE_WORDS[waves.size],
    WAVE_POWER_WORDS[waves.power].toLowerCase(),
    STEEPNESS_WORDS[waves.steepness].toLowerCase(),
    CHOP_WORDS[waves.chop].toLowerCase(),
    RUBBER_WORDS[waves.rubber].toLowerCase(),
  ].join(', ');
}

export function optionsOf<K extends string>(words: Readonly<Record<K, string>>): { value: K; label: string }[] {
  return (Object.keys(words) as K[]).map((value) => ({ value, label: words[value] }));
}

/** How a kind of board fits a rider's waves. */
export const FIT_WORDS = { suits: 'suits', can: 'can do', no: 'not for these' } as const;
