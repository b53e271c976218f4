/**
 * What a board document takes, said once: the schema checks against these, what makes boards stays within them, and the
 * screens stop offering more. Both ends are themselves allowed. Millimetres, radians and shares of one.
 */
interface Limits {
  low: number;
  high: number;
}

export const LENGTH_mm = { low: 900, high: 4000 } as const satisfies Limits;
/** Angle of a pointed nose. */
export const TIP_CURVE_rad = { low: 0.08, high: 1.31 } as const satisfies Limits;
/** Plan radius of the tip of a pointed nose or a pin; 0 is a needle. */
export const TIP_RADIUS_mm = { low: 0, high: 40 } as const satisfies Limits;
/** Radius of a round nose. */
export const NOSE_RADIUS_mm = { low: 20, high: 400 } as const satisfies Limits;
export const APEX = { low: 0.1, high: 0.75 } as const satisfies Limits;
export const TUCK_mm = { low: 0, high: 120 } as const satisfies Limits;
export const EDGE_RADIUS_mm = { low: 0.3, high: 30 } as const satisfies Limits;
export const LAYER_WIDTH = { low: 0.05, high: 1 } as const satisfies Limits;
export const WING_DEPTH_mm = { low: 0.5, high: 60 } as const satisfies Limits;
export const WING_LENGTH_mm = { low: 4, high: 400 } as const satisfies Limits;
export const TRAILING_EDGE_mm = { low: 0, high: 1500 } as const satisfies Limits;
export const FIN_INSET_mm = { low: 0, high: 300 } as const satisfies Limits;
export const TOE_rad = { low: -0.2, high: 0.3 } as const satisfies Limits;
export const CANT_rad = { low: -0.2, high: 0.5 } as const satisfies Limits;
/** Base and depth of a fin. */
export const FIN_SIZE_mm = { low: 20, high: 400 } as const satisfies Limits;
export const BEAK_THICKNESS_mm = { low: 2, high: 60 } as const satisfies Limits;
export const BEAK_LENGTH_mm = { low: 50, high: 600 } as const satisfies Limits;
export const BEAK_FADE_mm = { low: 20, high: 600 } as const satisfies Limits;
export const STEP_LENGTH_mm = { low: 50, high: 1500 } as const satisfies Limits;
export const STEP_INSET_mm = { low: 10, high: 200 } as const satisfies Limits;
export const STEP_DROP_mm = { low: 1, high: 40 } as const satisfies Limits;
export const S_DECK_DROP_mm = { low: 0.5, high: 25 } as const satisfies Limits;
/** What a domed deck falls toward the rail beyond its crown. */
export const DOME_FALL_mm = { low: 0.5, high: 25 } as const satisfies Limits;
/** Over what length a feature of the deck runs in or out. */
export const DECK_FADE_mm = { low: 20, high: 2000 } as const satisfies Limits;
/** How long a feature of the deck is. */
export const DECK_LENGTH_mm = { low: 50, high: 4040 } as const satisfies Limits;

/** Marks one measured curve takes. */
export const MOST_MARKS = 16;
/** Stations of the rails, of the crown, and of one contour. */
export const MOST_STATIONS = 12;
export const MOST_WINGS = 3;
export const MOST_DECK_FEATURES = 6;
export const MOST_LAYERS = 8;

/** The number, or the nearer end of the limits where it lies outside them. */
export function heldWithin({ low, high }: Limits, value: number): number {
  return Math.min(high, Math.max(low, value));
}

export function isWithin({ low, high }: Limits, value: number): boolean {
  return value >= low && value <= high;
}
