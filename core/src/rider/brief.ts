import * as z from 'zod';
import { FAMILIES } from '../document/schema.ts';
import { wavesSchema } from './rider.ts';

/** What one order is for. Everything but the waves may be left open. */
export const briefSchema = z.strictObject({
  waves: wavesSchema,
  /** What this board is for, in the rider's words. */
  purpose: z.string().max(500),
  family: z.enum(FAMILIES).optional(),
  mustHaves: z.string().max(500),
  wishLitres_L: z.number().min(10).max(200).optional(),
  targetMass_kg: z.number().min(1).max(20).optional(),
  /** YYYY-MM-DD. */
  dueOn: z.string().max(40).optional(),
  /** The board on the rack it is judged against. */
  againstId: z.string().max(64).optional(),
});
export type Brief = z.infer<typeof briefSchema>;
