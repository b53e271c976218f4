import * as z from 'zod';

/**
 * Counts the ways this core has drawn boards: it is raised with every change after which a board of before comes out otherwise, and boards of
 * the edition before, with their cards, are added to `fixtures/editions`.
 */
export const EDITION = 2;

/** Where a card has its numbers: shares of the length, from the tail. */
export const CARD_SHARES = [0.04, 0.08, 0.16, 0.25, 0.35, 0.5, 0.65, 0.75, 0.84, 0.92, 0.96] as const;

const numbers = z.array(z.number().min(0).max(1500)).length(CARD_SHARES.length);

/** A board in a few numbers, as an edition of the core drew it: what a shop has measured, printed and agreed. */
export const cardSchema = z.strictObject({
  edition: z.number().int().min(1).max(9999),
  volume_L: z.number().min(0).max(1000),
  /** Full widths at {@link CARD_SHARES} of the length. */
  widths_mm: numbers,
  /** Thicknesses at the stringer there. */
  thicknesses_mm: numbers,
});
export type Card = z.infer<typeof cardSchema>;
