import * as z from 'zod';

/** What a rider does on a wave, rather than a word for how good they are. */
export const ABILITIES = ['novice', 'intermediate', 'advanced', 'expert'] as const;
export type Ability = (typeof ABILITIES)[number];

export const STANCES = ['front', 'neutral', 'back', 'unknown'] as const;
export const WAVE_SIZES = ['kneeToWaist', 'waistToHead', 'overhead', 'wellOverhead'] as const;
export const WAVE_POWERS = ['weak', 'medium', 'powerful'] as const;

/** A rider. Private: kept apart from boards and never part of a board file. */
export const riderSchema = z.strictObject({
  id: z.string().min(1).max(64),
  name: z.string().trim().min(1).max(60),
  mass_kg: z.number().min(20).max(250),
  height_mm: z.number().min(900).max(2500),
  age: z.number().int().min(4).max(110),
  ability: z.enum(ABILITIES),
  surfsAWeek: z.number().min(0).max(21),
  stance: z.enum(STANCES),
  waves: z.strictObject({ size: z.enum(WAVE_SIZES), power: z.enum(WAVE_POWERS) }),
});
export type Rider = z.infer<typeof riderSchema>;
