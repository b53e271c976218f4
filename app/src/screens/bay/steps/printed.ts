import type { PrintsOn } from '@june-tide/core/record';

/** Paper as the sheets are laid on it. */
export type Printed = Exclude<PrintsOn, 'roll'> | { roll_mm: number };

/** The paper as a file's name says it: a4, letter, roll. */
export const paperInName = (on: Printed): string => (typeof on === 'string' ? on : 'roll').toLowerCase();
