import * as z from 'zod';
import { daySchema } from '../make/workingDays.ts';
import { STANCES, STEEPNESSES, WAVE_POWERS, WAVE_SIZES } from '../rider/rider.ts';

/** Whether it went better than the board before: never a score. */
const FELT = ['better', 'same', 'worse'] as const;
export type Felt = (typeof FELT)[number];

const WINDS = ['none', 'offshore', 'cross', 'onshore'] as const;
export type Wind = (typeof WINDS)[number];

/** So many photos one ride can have; each is kept small, apart from the record. */
export const MOST_PHOTOS = 6;

/** One time in the water, in the rider's own words. */
export const rideSchema = z.strictObject({
  /** The shop's own day. */
  on: z.string().max(40),
  waves: z.string().max(200),
  words: z.string().max(4000),
  /** Which version was ridden; of rides noted before there were any, and of a board never made into one, not known. */
  version: z.string().max(64).optional(),
  /** Where, in the rider's own words. */
  place: z.string().max(120).optional(),
  /** Waves by the words a rider's card has, so that rides can be asked for. */
  size: z.enum(WAVE_SIZES).optional(),
  power: z.enum(WAVE_POWERS).optional(),
  steepness: z.enum(STEEPNESSES).optional(),
  wind: z.enum(WINDS).optional(),
  /** Who rode it, where it was somebody else than it is for. */
  rider: z.string().max(80).optional(),
  /** Their card, where they have one, and how they stood and what they weighed that day. */
  riderId: z.string().max(64).optional(),
  stance: z.enum(STANCES).optional(),
  mass_kg: z.number().min(20).max(250).optional(),
  /** Fins and how they stood; the layout by its name. */
  fins: z.string().max(200).optional(),
  layout: z.string().max(60).optional(),
  pad: z.string().max(120).optional(),
  /** Against the board before. */
  felt: z.enum(FELT).optional(),
  /** What was said of it, by the names of the complaints. */
  complaints: z.array(z.string().max(60)).max(20).optional(),
  /** Pictures of it, by id. */
  photos: z.array(z.string().max(64)).max(MOST_PHOTOS).optional(),
});
export type Ride = z.infer<typeof rideSchema>;

export const FAILURES = ['broken', 'crackedBox', 'dented', 'delaminated', 'creased', 'leaking'] as const;
export type Failure = (typeof FAILURES)[number];

/** So many things that can have gone wrong with one board. */
export const MOST_FAILURES = 40;

/** What went wrong with a board, and what was done about it. */
export const failureSchema = z.strictObject({
  /** The shop's own day. */
  on: daySchema,
  what: z.enum(FAILURES),
  /** Where on the board and how it came about. */
  words: z.string().max(400),
  /** What was done. */
  done: z.string().max(400),
});
export type BoardFailure = z.infer<typeof failureSchema>;
