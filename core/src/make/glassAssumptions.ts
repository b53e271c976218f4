import * as z from 'zod';
import { type Foam, FOAM_DENSITY_kgm3 } from './blank.ts';

/** One number of the shop that weights and batches hang on. */
interface Assumption {
  words: string;
  unit: string;
  usual: number;
  low: number;
  high: number;
  /** Where the usual figure comes from. */
  source: string;
}

const CP = 'common practice, from memory';
const SHEET = 'the data sheet of what you use; the usual figure is from memory';

/** Every figure with its source. Each is where to begin: the data sheet and the shop's own scales come first. */
export const ASSUMPTIONS = {
  resinToCloth: {
    words: 'Resin a mass of cloth takes up, hand laid and squeegeed',
    unit: '×',
    usual: 1.15,
    low: 0.5,
    high: 3,
    source: CP,
  },
  hotCoat_gm2: { words: 'Hot coat left after sanding', unit: 'g/m²', usual: 190, low: 0, high: 1000, source: CP },
  gloss_gm2: { words: 'Gloss left after rubbing out', unit: 'g/m²', usual: 90, low: 0, high: 1000, source: CP },
  waste: { words: 'Resin mixed beyond what stays on', unit: 'share', usual: 0.2, low: 0, high: 1, source: CP },
  lap_mm: { words: 'Lap over the rail', unit: 'mm', usual: 50, low: 0, high: 200, source: CP },
  polyester_gcm3: { words: 'Polyester resin', unit: 'g/cm³', usual: 1.1, low: 0.8, high: 1.5, source: SHEET },
  catalyst_gcm3: { words: 'Catalyst', unit: 'g/cm³', usual: 1.15, low: 0.8, high: 1.5, source: SHEET },
  catalystShare: {
    words: 'Catalyst, share of the polyester by mass',
    unit: 'share',
    usual: 0.015,
    low: 0.005,
    high: 0.04,
    source: SHEET,
  },
  epoxy_gcm3: { words: 'Epoxy resin', unit: 'g/cm³', usual: 1.14, low: 0.8, high: 1.5, source: SHEET },
  hardener_gcm3: { words: 'Epoxy hardener', unit: 'g/cm³', usual: 0.97, low: 0.7, high: 1.5, source: SHEET },
  hardenerShare: {
    words: 'Hardener, share of the epoxy by mass',
    unit: 'share',
    usual: 0.44,
    low: 0.1,
    high: 1.2,
    source: SHEET,
  },
  polyesterPot_min: { words: 'Pot life of polyester', unit: 'min', usual: 12, low: 1, high: 240, source: SHEET },
  epoxyPot_min: { words: 'Pot life of epoxy', unit: 'min', usual: 25, low: 1, high: 240, source: SHEET },
  pu_kgm3: foam('PU foam', 'pu', CP),
  eps1_kgm3: foam('EPS sold as 1 lb', 'eps1', '1 lb/ft³ in kg/m³, exactly'),
  eps1_5_kgm3: foam('EPS sold as 1 1/2 lb', 'eps1_5', '1 1/2 lb/ft³ in kg/m³, exactly'),
  eps2_kgm3: foam('EPS sold as 2 lb', 'eps2', '2 lb/ft³ in kg/m³, exactly'),
  stringer_kgm3: { words: 'Wood of the stringer', unit: 'kg/m³', usual: 420, low: 50, high: 1500, source: CP },
  finBox_kg: { words: 'A fin box with its resin', unit: 'kg', usual: 0.045, low: 0, high: 1, source: CP },
  plug_kg: { words: 'Leash plug with its resin', unit: 'kg', usual: 0.025, low: 0, high: 1, source: CP },
} as const satisfies Readonly<Record<string, Assumption>>;

function foam(words: string, kind: Foam, source: string): Assumption {
  return { words, unit: 'kg/m³', usual: FOAM_DENSITY_kgm3[kind], low: 5, high: 200, source };
}

export type AssumptionKey = keyof typeof ASSUMPTIONS;
export const ASSUMPTION_KEYS = Object.keys(ASSUMPTIONS) as AssumptionKey[];

const shape = Object.fromEntries(
  ASSUMPTION_KEYS.map((key) => [key, z.number().min(ASSUMPTIONS[key].low).max(ASSUMPTIONS[key].high)]),
) as Record<AssumptionKey, z.ZodNumber>;

export const glassAssumptionsSchema = z.strictObject(shape);
/** The shop's figures, by name. */
export type GlassAssumptions = Readonly<Record<AssumptionKey, number>>;

export const USUAL_ASSUMPTIONS: GlassAssumptions = glassAssumptionsSchema.parse(
  Object.fromEntries(ASSUMPTION_KEYS.map((key) => [key, ASSUMPTIONS[key].usual])),
);
