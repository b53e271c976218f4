import * as z from 'zod';

/** A note the shaper has answered: it rests until its numbers change. */
export const answerSchema = z.strictObject({ reason: z.string().max(500), numbers: z.string().max(500) });
export type Answer = z.infer<typeof answerSchema>;
