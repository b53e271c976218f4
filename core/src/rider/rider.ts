import * as z from 'zod';
import { nameOf } from '../document/naming.ts';
import { LENGTH_mm } from '../document/limits.ts';

/** What a rider does on a wave, rather than a word for how good they are. */
export const ABILITIES = ['novice', 'intermediate', 'advanced', 'expert'] as const;
export type Ability = (typeof ABILITIES)[number];

export const STANCES = ['front', 'neutral', 'back', 'unknown'] as const;
export type Stance = (typeof STANCES)[number];
const FITNESSES = ['low', 'usual', 'high'] as const;
export const WAVE_SIZES = ['kneeToWaist', 'waistToHead', 'overhead', 'wellOverhead'] as const;
export const WAVE_POWERS = ['weak', 'medium', 'powerful'] as const;
export const STEEPNESSES = ['soft', 'medium', 'steep'] as const;
const CHOPS = ['clean', 'some', 'choppy'] as const;
const RUBBERS = ['none', 'thin', 'thick'] as const;

export const wavesSchema = z.strictObject({
  size: z.enum(WAVE_SIZES),
  power: z.enum(WAVE_POWERS),
  steepness: z.enum(STEEPNESSES).default('medium'),
  chop: z.enum(CHOPS).default('some'),
  rubber: z.enum(RUBBERS).default('thin'),
});
/** The waves a rider or an order is about, and what is worn in them. */
export type Waves = z.infer<typeof wavesSchema>;
/** What is taken until somebody says. */
export const USUAL_WAVES: Waves = {
  size: 'waistToHead',
  power: 'medium',
  steepness: 'medium',
  chop: 'some',
  rubber: 'thin',
};

/** A board the rider has, in their own words. */
const riddenBoard = z.strictObject({
  name: nameOf(80),
  length_mm: z.number().min(LENGTH_mm.low).max(LENGTH_mm.high).optional(),
  litres_L: z.number().min(10).max(200).optional(),
  good: z.string().max(500),
  bad: z.string().max(500),
});

/** So many weighings one rider can have. */
const MOST_WEIGHTS = 1000;

/** A rider. Private: kept apart from boards and never part of a board file. */
export const riderSchema = z.strictObject({
  id: z.string().min(1).max(64),
  name: nameOf(60),
  /** The latest weight. */
  mass_kg: z.number().min(20).max(250),
  /** Weights as they were, the oldest first; dates as YYYY-MM-DD. */
  weights: z
    .array(z.strictObject({ on: z.string().max(40), mass_kg: z.number().min(20).max(250) }))
    .max(MOST_WEIGHTS)
    .default([]),
  height_mm: z.number().min(900).max(2500),
  age: z.number().int().min(4).max(110),
  ability: z.enum(ABILITIES),
  surfsAWeek: z.number().min(0).max(21),
  fitness: z.enum(FITNESSES).default('usual'),
  stance: z.enum(STANCES),
  waves: wavesSchema,
  boards: z.array(riddenBoard).max(30).default([]),
});
export type Rider = z.infer<typeof riderSchema>;

/** The rider with a new weight, the day noted; a second weighing on one day takes the first one's place. */
export function withWeight(rider: Rider, on: string, mass_kg: number): Rider {
  const weights = [...rider.weights.filter((entry) => entry.on !== on), { on, mass_kg }].sort((a, b) =>
    a.on.localeCompare(b.on),
  );
  return { ...rider, mass_kg, weights };
}

/**
 * Two questions that reveal a stance nobody was asked about: which foot feels the turn begin, and where old decks are
 * dented. Common practice, no source.
 * @returns unknown when the two disagree and neither is plain.
 */
export function stanceFrom(turnsBegin: 'front' | 'both' | 'back', dents: 'front' | 'even' | 'back'): Stance {
  const points = { front: 1, both: 0, even: 0, back: -1 };
  const sum = points[turnsBegin] + points[dents];
  if (sum > 0) return 'front';
  if (sum < 0) return 'back';
  return turnsBegin === 'both' && dents === 'even' ? 'neutral' : 'unknown';
}
