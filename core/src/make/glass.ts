import * as z from 'zod';
import type { Shape } from '../shape/shape.ts';
import { thicknessAt } from '../foil/foil.ts';
import { integrateAlong } from '../measure/integrate.ts';
import { type Skin, skinOf } from '../measure/skin.ts';
import { volume_L } from '../measure/volume.ts';
import type { Foam } from './blank.ts';
import { type GlassAssumptions, USUAL_ASSUMPTIONS } from './glassAssumptions.ts';

/** One ounce a square yard in g/m², exactly: 28.349523125 g over 0.9144² m². NIST SP 811 (2008), appendix B.8. */
export const OUNCE_PER_YARD2_gm2 = 28.349523125 / 0.9144 ** 2;

export const CLOTHS = ['e4', 'e6', 'e7_5', 'e8', 's4', 's6', 'carbon5_7'] as const;
export type Cloth = (typeof CLOTHS)[number];

interface ClothFacts {
  words: string;
  /** Ounces a square yard. */
  ounces: number;
  /** A metre off the roll to begin with: round figures, invented. */
  price: number;
}

/** Every cloth. */
export const CLOTH: Readonly<Record<Cloth, ClothFacts>> = {
  e4: { words: '4 oz E-glass', ounces: 4, price: 4.5 },
  e6: { words: '6 oz E-glass', ounces: 6, price: 5.5 },
  e7_5: { words: '7.5 oz E-glass', ounces: 7.5, price: 6.5 },
  e8: { words: '8 oz E-glass', ounces: 8, price: 7 },
  s4: { words: '4 oz S-glass', ounces: 4, price: 9 },
  s6: { words: '6 oz S-glass', ounces: 6, price: 11 },
  carbon5_7: { words: '5.7 oz carbon', ounces: 5.7, price: 28 },
};

const RESINS = ['polyester', 'epoxy'] as const;
export type Resin = (typeof RESINS)[number];
const FINISHES = ['sanded', 'gloss'] as const;

/** What goes on the foam. Patches: one over the back of the deck, one under the fins. */
export const glassSchema = z.strictObject({
  resin: z.enum(RESINS),
  deck: z.array(z.enum(CLOTHS)).max(4),
  bottom: z.array(z.enum(CLOTHS)).max(3),
  deckPatch: z.enum(CLOTHS).optional(),
  tailPatch: z.enum(CLOTHS).optional(),
  finish: z.enum(FINISHES),
});
export type GlassSchedule = z.infer<typeof glassSchema>;

export const USUAL_SCHEDULE: GlassSchedule = {
  resin: 'polyester',
  deck: ['e4', 'e4'],
  bottom: ['e4'],
  finish: 'sanded',
};

/** As the trade writes it, deck+deck/bottom: 4+4/4, 6+4/6 oz. */
export function scheduleWords({ deck, bottom }: GlassSchedule): string {
  const side = (cloths: readonly Cloth[]) => cloths.map((cloth) => String(CLOTH[cloth].ounces)).join('+');
  return `${side(deck)}/${side(bottom)} oz`;
}

interface Batch {
  name: 'laminate' | 'hot coat' | 'gloss';
  /** Resin and hardener together, to mix. */
  mix_g: number;
  resin_g: number;
  hardener_g: number;
  /** The same by volume, each by its own density. */
  resin_ml: number;
  hardener_ml: number;
  /** How hardener is said for this resin. */
  ratio: string;
}

export interface Laminate {
  /** Cloth to cut: which, for what, so long. */
  cuts: { cloth: Cloth; for: 'deck' | 'bottom' | 'deck patch' | 'tail patch'; length_mm: number; area_mm2: number }[];
  batches: Batch[];
  /** Parts of the finished weight, kg. */
  parts: { name: string; mass_kg: number }[];
  mass_kg: number;
  low_kg: number;
  high_kg: number;
}

export type Laminated = { ok: true; laminate: Laminate } | { ok: false; reason: string };

/** What is said beside the numbers: the usual marks; the bottle and the sheet say which. */
const RATIO: Readonly<Record<Resin, string>> = {
  polyester: '1 to 2 % catalyst by mass, by the data sheet and the day',
  epoxy: 'about 100 : 44 by mass or 2 : 1 by volume is usual; the data sheet of your resin comes first',
};

/** Spread of a weight worked out beforehand, each way. Our own. */
const SPREAD = 0.07;
const CUT_BEYOND_mm = 150;
const DECK_PATCH_SHARE = 0.45;
const TAIL_PATCH_SHARE = 0.22;

/**
 * Cloth to cut, resin to mix and the finished weight of a shape in a foam under a schedule. Deck and bottom areas from the
 * skin; laps are added along both rails, one for each layer; patches are shares of the deck. Polyester on EPS is refused.
 */
export function laminated(
  shape: Shape,
  foam: Foam,
  stringer_mm: number,
  schedule: GlassSchedule,
  assumed: GlassAssumptions = USUAL_ASSUMPTIONS,
): Laminated {
  if (schedule.resin === 'polyester' && foam !== 'pu') {
    return { ok: false, reason: 'polyester dissolves EPS: this foam takes epoxy only' };
  }
  if (schedule.deck.length === 0 || schedule.bottom.length === 0) {
    return { ok: false, reason: 'deck and bottom want one layer of cloth at the least' };
  }
  const { length_mm } = shape.board;
  const skin = skinOf(shape);
  const cuts = cutsOf(schedule, skin, length_mm, assumed.lap_mm);
  const cloth_g = cuts.reduce(
    (sum, cut) => sum + CLOTH[cut.cloth].ounces * OUNCE_PER_YARD2_gm2 * (cut.area_mm2 / 1e6),
    0,
  );
  const whole_m2 = skin.total_mm2 / 1e6;
  const laminate_g = cloth_g * assumed.resinToCloth;
  const hot_g = whole_m2 * assumed.hotCoat_gm2;
  const gloss_g = schedule.finish === 'gloss' ? whole_m2 * assumed.gloss_gm2 : 0;
  const stringer_m3 =
    (integrateAlong(length_mm, shape.outline.breaks, (x) => thicknessAt(shape.foil, x)) * stringer_mm) / 1e9;
  const foam_kg = (volume_L(shape) / 1000 - stringer_m3) * assumed[`${foam}_kgm3`];
  const boxes = shape.board.fins.boxes.reduce((sum, box) => sum + (box.role === 'centre' ? 1 : 2), 0);
  const parts = [
    { name: 'foam', mass_kg: foam_kg },
    { name: 'stringer', mass_kg: stringer_m3 * assumed.stringer_kgm3 },
    { name: 'cloth', mass_kg: cloth_g / 1000 },
    { name: 'resin', mass_kg: (laminate_g + hot_g + gloss_g) / 1000 },
    { name: 'fin boxes', mass_kg: boxes * assumed.finBox_kg },
    { name: 'leash plug', mass_kg: assumed.plug_kg },
  ];
  const mass_kg = parts.reduce((sum, part) => sum + part.mass_kg, 0);
  const batch = (name: Batch['name'], stays_g: number) => batchOf(name, stays_g, schedule.resin, assumed);
  return {
    ok: true,
    laminate: {
      cuts,
      batches: [
        batch('laminate', laminate_g),
        batch('hot coat', hot_g),
        ...(gloss_g > 0 ? [batch('gloss', gloss_g)] : []),
      ],
      parts,
      mass_kg,
      low_kg: mass_kg * (1 - SPREAD),
      high_kg: mass_kg * (1 + SPREAD),
    },
  };
}

/** Pieces of cloth as they are cut, in the order they are laid. Areas are what stays on the board, laps among it. */
function cutsOf(schedule: GlassSchedule, skin: Skin, length_mm: number, lap_mm: number): Laminate['cuts'] {
  const laps_mm2 = 2 * length_mm * lap_mm;
  const over = (side: 'deck' | 'bottom'): Laminate['cuts'] =>
    schedule[side].map((cloth) => ({
      cloth,
      for: side,
      length_mm: length_mm + CUT_BEYOND_mm,
      area_mm2: skin[`${side}_mm2`] + laps_mm2,
    }));
  const patch = (
    cloth: Cloth | undefined,
    name: 'deck patch' | 'tail patch',
    share: number,
    of_mm2: number,
  ): Laminate['cuts'] => (cloth ? [{ cloth, for: name, length_mm: share * length_mm, area_mm2: share * of_mm2 }] : []);
  return [
    ...over('deck'),
    ...over('bottom'),
    ...patch(schedule.deckPatch, 'deck patch', DECK_PATCH_SHARE, skin.deck_mm2),
    ...patch(schedule.tailPatch, 'tail patch', TAIL_PATCH_SHARE, skin.bottom_mm2),
  ];
}

/** What is mixed so that so much stays on the board. */
function batchOf(
  name: Batch['name'],
  stays_g: number,
  resin: GlassSchedule['resin'],
  assumed: GlassAssumptions,
): Batch {
  const mix_g = stays_g * (1 + assumed.waste);
  const epoxy = resin === 'epoxy';
  const resin_g = mix_g / (1 + (epoxy ? assumed.hardenerShare : assumed.catalystShare));
  const hardener_g = mix_g - resin_g;
  return {
    name,
    mix_g,
    resin_g,
    hardener_g,
    resin_ml: resin_g / (epoxy ? assumed.epoxy_gcm3 : assumed.polyester_gcm3),
    hardener_ml: hardener_g / (epoxy ? assumed.hardener_gcm3 : assumed.catalyst_gcm3),
    ratio: RATIO[resin],
  };
}

function withoutDeckPatch({ deckPatch: _off, ...rest }: GlassSchedule): GlassSchedule {
  return rest;
}

/** What would lighten it: one change each, the lightest result first. */
export function lighter(
  shape: Shape,
  foam: Foam,
  stringer_mm: number,
  schedule: GlassSchedule,
  assumed: GlassAssumptions = USUAL_ASSUMPTIONS,
): { words: string; saves_kg: number }[] {
  const now = laminated(shape, foam, stringer_mm, schedule, assumed);
  if (!now.ok) return [];
  const trials: [string, GlassSchedule][] = [
    ...(schedule.deck.length > 1
      ? [['one layer less on the deck', { ...schedule, deck: schedule.deck.slice(1) }] as [string, GlassSchedule]]
      : []),
    ...(schedule.finish === 'gloss'
      ? [['sanded instead of gloss', { ...schedule, finish: 'sanded' }] as [string, GlassSchedule]]
      : []),
    ...(schedule.deckPatch ? [['no deck patch', withoutDeckPatch(schedule)] as [string, GlassSchedule]] : []),
    ...(schedule.bottom[0] === 'e6'
      ? [['4 oz under the bottom', { ...schedule, bottom: ['e4'] }] as [string, GlassSchedule]]
      : []),
  ];
  const saved = trials.flatMap(([words, changed]) => {
    const then = laminated(shape, foam, stringer_mm, changed, assumed);
    return then.ok ? [{ words, saves_kg: now.laminate.mass_kg - then.laminate.mass_kg }] : [];
  });
  const light = laminated(shape, 'eps1_5', stringer_mm, { ...schedule, resin: 'epoxy' }, assumed);
  if (foam === 'pu' && light.ok) {
    saved.push({ words: 'EPS of 1 1/2 lb with epoxy', saves_kg: now.laminate.mass_kg - light.laminate.mass_kg });
  }
  return saved.filter(({ saves_kg }) => saves_kg > 0.005).sort((a, b) => b.saves_kg - a.saves_kg);
}
