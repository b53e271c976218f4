import type { Family } from '../document/schema.ts';
import type { Ability, Rider } from './rider.ts';

/** Litres per kilogram by ability. Common practice, from memory. */
export const LITRES_PER_KG: Readonly<Record<Ability, readonly [low: number, high: number]>> = {
  expert: [0.34, 0.38],
  advanced: [0.38, 0.43],
  intermediate: [0.45, 0.55],
  novice: [0.65, 0.9],
};

/** What a family carries against a shortboard for the same rider. Our own starting figures, no source. */
export const FAMILY_SHARE: Readonly<Record<Family, number>> = {
  shortboard: 1,
  twin: 1,
  fish: 1.05,
  midLength: 1.4,
  longboard: 2.1,
  gun: 2,
};

/** A target in litres with its sum written out. */
export interface LitresTarget {
  low_L: number;
  target_L: number;
  high_L: number;
  perKg: number;
  /** The reasons, each a factor on the litres and its words; those that change nothing are left out. */
  factors: { factor: number; words: string }[];
  /** The whole reasoning in one sentence. */
  sentence: string;
}

const FAMILY_WORDS: Readonly<Record<Family, string>> = {
  shortboard: 'a shortboard',
  fish: 'a fish',
  twin: 'a twin',
  midLength: 'a mid-length',
  longboard: 'a longboard',
  gun: 'a gun',
};

const ABILITY_WORDS: Readonly<Record<Ability, string>> = {
  novice: 'learning to stand and trim',
  intermediate: 'riding along the face',
  advanced: 'turning where they choose',
  expert: 'turning hard in steep waves',
};

/**
 * Litres for a rider by the school of litres per kilogram: the middle of the ability's range, times what age, few surfs
 * and weak waves ask for, times what the family carries. Years past 40 add 0.4 % each, to 12 %: our own figure, after
 * the common practice that age asks for more foam.
 */
export function litresFor(rider: Rider, family: Family): LitresTarget {
  const [low, high] = LITRES_PER_KG[rider.ability];
  const perKg = (low + high) / 2;
  const factors: LitresTarget['factors'] = [];
  const add = (factor: number, words: string) => {
    if (factor !== 1) factors.push({ factor, words });
  };
  add(1 + Math.min(0.12, 0.004 * Math.max(0, rider.age - 40)), `${rider.age} years old`);
  if (rider.surfsAWeek < 1) add(1.06, 'surfing less than once a week');
  else if (rider.surfsAWeek < 2) add(1.03, 'surfing about once a week');
  else if (rider.surfsAWeek >= 5) add(0.98, `surfing ${rider.surfsAWeek} times a week`);
  if (rider.fitness === 'low') add(1.04, 'little paddling fitness');
  if (rider.waves.rubber === 'thick') add(1.03, 'thick rubber');
  if (rider.waves.power === 'weak') add(1.05, 'weak waves');
  add(FAMILY_SHARE[family], `what ${FAMILY_WORDS[family]} usually carries`);
  const whole = factors.reduce((product, { factor }) => product * factor, 1);
  const target_L = rider.mass_kg * perKg * whole;
  const spread = (high - low) / (high + low);
  const because = factors.map(({ factor, words }) => `${signedPercent(factor)} for ${words}`).join(', ');
  return {
    low_L: target_L * (1 - spread),
    target_L,
    high_L: target_L * (1 + spread),
    perKg,
    factors,
    sentence:
      `${rider.mass_kg.toFixed(0)} kg at ${perKg.toFixed(3).replace(/0$/, '')} L per kg (${ABILITY_WORDS[rider.ability]})` +
      `${because ? `, ${because}` : ''}: about ${target_L.toFixed(1)} L, ` +
      `from ${(target_L * (1 - spread)).toFixed(1)} to ${(target_L * (1 + spread)).toFixed(1)} L.`,
  };
}

/** The riders a board of so many litres floats as is usual for what they do on a wave, kg. Litres per kilogram: CP, from memory. */
export function ridersFor(volume_L: number, family: Family, ability: Ability): { low_kg: number; high_kg: number } {
  const [low, high] = LITRES_PER_KG[ability];
  const share = FAMILY_SHARE[family];
  return { low_kg: volume_L / (high * share), high_kg: volume_L / (low * share) };
}

function signedPercent(factor: number): string {
  const percent = Math.round((factor - 1) * 1000) / 10;
  return `${percent > 0 ? '+' : '−'}${Math.abs(percent)} %`;
}
