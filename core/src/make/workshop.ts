import * as z from 'zod';
import { nameOf } from '../document/naming.ts';
import { understood } from '../document/kept.ts';
import { INCH_mm } from '../units/length.ts';
import { USUAL_ALLOWANCE } from './blankFit.ts';
import { type Cloth, CLOTH, CLOTHS } from './glass.ts';
import { glassAssumptionsSchema, USUAL_ASSUMPTIONS } from './glassAssumptions.ts';
import { USUAL_WIRE_BLOCK, wireBlockSchema } from './hotWire.ts';
import { USUAL_PASS_mm } from './planing.ts';
import { daySchema } from './workingDays.ts';

const money = z.number().min(0).max(100000);

const stageSchema = z.strictObject({
  id: z.string().min(1).max(40),
  name: nameOf(40),
  hands_h: z.number().min(0).max(200),
  wait_days: z.number().int().min(0).max(60),
});

/**
 * The stages every shop has, with usual hours of hands and days of waiting: common practice, from memory, and the shop's
 * own clock comes first. Glass waits two days for its cure before it is sanded, the finish one.
 */
export const USUAL_STAGES = [
  { id: 'brief', name: 'Brief', hands_h: 0.5, wait_days: 0 },
  { id: 'blank', name: 'Blank', hands_h: 0.5, wait_days: 0 },
  { id: 'shape', name: 'Shape', hands_h: 4, wait_days: 0 },
  { id: 'glass', name: 'Glass', hands_h: 3, wait_days: 2 },
  { id: 'sand', name: 'Sand', hands_h: 2, wait_days: 0 },
  { id: 'fins', name: 'Fins', hands_h: 1, wait_days: 1 },
  { id: 'finish', name: 'Finish', hands_h: 1.5, wait_days: 1 },
  { id: 'rideAway', name: 'Ride-away', hands_h: 0.25, wait_days: 0 },
] as const;

const cloths = (price: (cloth: Cloth) => number) =>
  Object.fromEntries(CLOTHS.map((cloth) => [cloth, price(cloth)])) as Record<Cloth, number>;

export const pricesSchema = z.strictObject({
  /** As it is written before an amount. */
  currency: z.string().trim().max(6),
  /** A blank that has no price of its own on the shelf. */
  blank: money,
  /** A running metre off the roll. */
  cloth_m: z.record(z.enum(CLOTHS), money),
  resin_kg: z.strictObject({ polyester: money, epoxy: money }),
  finBox: money,
  plug: money,
  sundries: money,
  hour: money,
  /** On top of the cost, as a share of it. */
  margin: z.number().min(0).max(5),
  roundTo: z.number().min(0.01).max(1000),
});
export type Prices = z.infer<typeof pricesSchema>;

/** Round figures to begin with, invented: every shop has its own. */
const FIRST_PRICES: Prices = {
  currency: '€',
  blank: 90,
  cloth_m: cloths((cloth) => CLOTH[cloth].price),
  resin_kg: { polyester: 8, epoxy: 16 },
  finBox: 6,
  plug: 3,
  sundries: 15,
  hour: 22,
  margin: 0.45,
  roundTo: 10,
};

/** So many lines the list the customer reads can have. */
export const MOST_PRICE_LINES = 200;

/** A line of the list the customer reads. */
export const priceLineSchema = z.strictObject({
  id: z.string().min(1).max(64),
  /** A board's name and its family after it, at the longest. */
  name: nameOf(120),
  price: money,
});

/** How far a shaped board may be off its design before it is said. */
export const tolerancesSchema = z.strictObject({
  length_mm: z.number().min(0.1).max(50),
  width_mm: z.number().min(0.1).max(50),
  thickness_mm: z.number().min(0.1).max(50),
  rocker_mm: z.number().min(0.1).max(50),
  rail_mm: z.number().min(0.1).max(50),
  bottom_mm: z.number().min(0.1).max(50),
});
export type Tolerances = z.infer<typeof tolerancesSchema>;

/** An eighth is a significant change anywhere on a short board; hand work is good to about 1/32. Common practice, no source. */
export const USUAL_TOLERANCES: Tolerances = {
  length_mm: INCH_mm / 8,
  width_mm: INCH_mm / 16,
  thickness_mm: INCH_mm / 20,
  rocker_mm: INCH_mm / 8,
  rail_mm: INCH_mm / 16,
  bottom_mm: INCH_mm / 32,
};

/** What the shop is like as a place of work: its stages, days and hours, prices, and the numbers its weights hang on. */
export const workshopSchema = z.strictObject({
  stages: z.array(stageSchema).min(1).max(16),
  weekdays: z.array(z.number().int().min(1).max(7)).min(1).max(7),
  closed: z.array(daySchema).max(400),
  people: z.number().int().min(1).max(50),
  hoursADay: z.number().min(0.5).max(24),
  prices: pricesSchema,
  priceList: z.array(priceLineSchema).max(MOST_PRICE_LINES),
  tolerances: tolerancesSchema,
  glass: glassAssumptionsSchema,
  /** Foam wanted outside the board in its blank. */
  allowance: z.strictObject({
    surface_mm: z.number().min(0).max(50),
    width_mm: z.number().min(0).max(100),
    ends_mm: z.number().min(0).max(200),
  }),
  /** Block and wire where EPS is cut with a hot wire. */
  wire: wireBlockSchema,
  /** The planer's depth. */
  planerPass_mm: z.number().min(0.2).max(12),
});
export type Workshop = z.infer<typeof workshopSchema>;

export const USUAL_WORKSHOP: Workshop = {
  stages: USUAL_STAGES.map((stage) => ({ ...stage })),
  weekdays: [1, 2, 3, 4, 5],
  closed: [],
  people: 2,
  hoursADay: 6,
  prices: FIRST_PRICES,
  priceList: [],
  tolerances: USUAL_TOLERANCES,
  glass: USUAL_ASSUMPTIONS,
  allowance: USUAL_ALLOWANCE,
  planerPass_mm: USUAL_PASS_mm,
  wire: USUAL_WIRE_BLOCK,
};

/** A stored workshop, part by part: what cannot be read any more is the usual one again, the rest is kept. Never throws. */
export const workshopFrom = (stored: unknown): Workshop => understood(workshopSchema, stored, USUAL_WORKSHOP);
