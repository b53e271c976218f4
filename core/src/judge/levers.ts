import { BOTTOM_LEVERS } from './levers/bottomLevers.ts';
import { FIN_LEVERS } from './levers/finLevers.ts';
import type { Lever } from './levers/lever.ts';
import { PART_LEVERS } from './levers/partLevers.ts';
import { RAIL_LEVERS } from './levers/railLevers.ts';
import { SHAPE_LEVERS } from './levers/shapeLevers.ts';

/** Every lever the notes, the rider's words and “a lot more” speak of. First steps are the smallest that are real (CP). */
export const LEVERS = { ...SHAPE_LEVERS, ...RAIL_LEVERS, ...BOTTOM_LEVERS, ...FIN_LEVERS, ...PART_LEVERS } as const;

export type LeverId = keyof typeof LEVERS;

/** The lever as the interface it fulfils, whatever is known of this one. */
export const lever = (id: LeverId): Lever => LEVERS[id];
