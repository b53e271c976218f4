import type { PrintsOn } from '@june-tide/core/record';

/** Paper as the sheets are laid on it. */
export type Printed = Exclude<PrintsOn, 'roll'> | { roll_mm: number };
