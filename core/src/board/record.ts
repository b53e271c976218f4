import * as z from 'zod';
import { boardSchema } from './document.ts';

/** One time in the water, in the rider's own words. */
const ride = z.strictObject({
  /** ISO date. */
  on: z.string().max(40),
  waves: z.string().max(200),
  words: z.string().max(4000),
});
export type Ride = z.infer<typeof ride>;

/** A board as the shed keeps it: the document, whose it is, and when. The rider is known only by an id. */
export const boardRecordSchema = z.strictObject({
  id: z.string().min(1).max(64),
  /** Counts the shed's boards of one model name, as written after the name. */
  number: z.number().int().min(1).max(99999),
  board: boardSchema,
  riderId: z.string().max(64).nullable(),
  rides: z.array(ride).max(500),
  /** The outline is settled: nothing changes it until it is let go. */
  outlineLocked: z.boolean().optional(),
  /** Off the wall, but kept. */
  archived: z.boolean().optional(),
  /** ISO 8601, UTC. */
  createdAt: z.string(),
  updatedAt: z.string(),
});
export type BoardRecord = z.infer<typeof boardRecordSchema>;
