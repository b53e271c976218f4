import { BEAK_THICKNESS_mm, DOME_FALL_mm, S_DECK_DROP_mm, STEP_DROP_mm } from './limits.ts';
import type { Board, DeckFeatureKind, Family, LayerKind, TailKind } from './schema.ts';

/**
 * What hangs on the kind of a thing, a record for each: a kind that is added to the schema does not compile before it has all of
 * it. What a kind does is worked out where it belongs, in a switch without a default that the compiler holds to the same:
 * `unitHeight` (bottom) for contours, `tailEnd` (outline) for tails.
 */

/** The trade's words for families. */
export const FAMILY_WORDS: Readonly<Record<Family, string>> = {
  shortboard: 'shortboard',
  fish: 'fish',
  twin: 'twin',
  midLength: 'mid-length',
  longboard: 'longboard',
  gun: 'gun',
};

interface LayerFacts {
  words: string;
  /** Does its own depth hollow the bottom, or does it stand out of it? */
  hollows: boolean;
  /** Where it usually runs, as shares of the length from the tail, its usual depth in inches and its width. CP, from memory. */
  usual: { from: number; to: number; depth_in: number; width: number };
  /** Intervals across half a bottom in a ring of 96: more where it turns more often. */
  across: number;
  /** Panels of the area under it: 1 where six Gauss points are exact. */
  panels: number;
}

/** Every kind of contour. */
export const LAYERS: Readonly<Record<LayerKind, LayerFacts>> = {
  single: {
    words: 'single concave',
    hollows: true,
    usual: { from: 0.12, to: 0.85, depth_in: 0.18, width: 1 },
    across: 14,
    panels: 6,
  },
  narrow: {
    words: 'narrow concave',
    hollows: true,
    usual: { from: 0.2, to: 0.8, depth_in: 0.16, width: 0.6 },
    across: 24,
    panels: 6,
  },
  double: {
    words: 'double concave',
    hollows: false,
    usual: { from: 0.03, to: 0.42, depth_in: 0.1, width: 1 },
    across: 24,
    panels: 6,
  },
  triple: {
    words: 'triple concave',
    hollows: true,
    usual: { from: 0.15, to: 0.75, depth_in: 0.1, width: 1 },
    across: 28,
    panels: 6,
  },
  vee: {
    words: 'vee',
    hollows: false,
    usual: { from: 0, to: 0.32, depth_in: 0.14, width: 1 },
    across: 14,
    panels: 6,
  },
  roll: {
    words: 'roll',
    hollows: false,
    usual: { from: 0, to: 0.5, depth_in: 0.16, width: 1 },
    across: 14,
    panels: 1,
  },
  teardrop: {
    words: 'nose concave',
    hollows: true,
    usual: { from: 0.66, to: 0.97, depth_in: 0.18, width: 0.8 },
    across: 14,
    panels: 6,
  },
  channels: {
    words: 'channels',
    hollows: false,
    usual: { from: 0, to: 0.36, depth_in: 0.16, width: 0.85 },
    across: 48,
    panels: 24,
  },
  bevel: {
    words: 'bevel',
    hollows: false,
    usual: { from: 0.3, to: 0.92, depth_in: 0.2, width: 0.22 },
    across: 24,
    panels: 6,
  },
};

interface TailFacts {
  words: string;
  /** Closed: in a round end, in a point, or cut off at a block whose width is a number of its own. */
  closes: 'round' | 'point' | 'block';
  /** A block and a depth to begin with, mm, for a tail that had none. Our own starting sizes; `asItIs` keeps the number there is. */
  first: { block_mm: number | 'asItIs'; depth_mm: number | 'asItIs' };
}

interface DeckFeatureFacts {
  words: string;
  /** What it is for, in a few words. */
  about: string;
  /** The number that says how much of it there is, and its limits. */
  size: 'width' | 'thickness_mm' | 'drop_mm' | 'fall_mm';
  limits: { low: number; high: number };
  /** May a deck have more than one? */
  many: boolean;
}

/** Every feature of a deck beside its crown. */
export const DECK_FEATURES: Readonly<Record<DeckFeatureKind, DeckFeatureFacts>> = {
  flat: {
    words: 'flat deck',
    about: 'level under the feet, the fall kept for the rail',
    size: 'width',
    limits: { low: 0.02, high: 1 },
    many: false,
  },
  dome: {
    words: 'domed deck',
    about: 'foam in the middle, thin rails',
    size: 'fall_mm',
    limits: DOME_FALL_mm,
    many: false,
  },
  sDeck: {
    words: 'S-deck',
    about: 'scooped where the chest or the hands go',
    size: 'drop_mm',
    limits: S_DECK_DROP_mm,
    many: true,
  },
  beak: {
    words: 'beak',
    about: 'foam in the last of the nose',
    size: 'thickness_mm',
    limits: BEAK_THICKNESS_mm,
    many: false,
  },
  step: {
    words: 'step rail',
    about: 'thin rails in the tail, foam kept in the middle',
    size: 'drop_mm',
    limits: STEP_DROP_mm,
    many: false,
  },
};

/** Every kind of tail. */
export const TAILS: Readonly<Record<TailKind, TailFacts>> = {
  square: { words: 'square', closes: 'block', first: { block_mm: 150, depth_mm: 'asItIs' } },
  squash: { words: 'squash', closes: 'block', first: { block_mm: 145, depth_mm: 35 } },
  thumb: { words: 'thumb', closes: 'block', first: { block_mm: 145, depth_mm: 80 } },
  round: { words: 'round', closes: 'round', first: { block_mm: 'asItIs', depth_mm: 'asItIs' } },
  roundedPin: { words: 'rounded pin', closes: 'round', first: { block_mm: 'asItIs', depth_mm: 'asItIs' } },
  pin: { words: 'pin', closes: 'point', first: { block_mm: 'asItIs', depth_mm: 'asItIs' } },
  swallow: { words: 'swallow', closes: 'block', first: { block_mm: 190, depth_mm: 90 } },
  diamond: { words: 'diamond', closes: 'block', first: { block_mm: 145, depth_mm: 75 } },
  sixCorner: { words: 'six-corner', closes: 'block', first: { block_mm: 145, depth_mm: 60 } },
  halfMoon: { words: 'half-moon', closes: 'block', first: { block_mm: 190, depth_mm: 50 } },
};

/** Plan radius of a tip that can be sanded and glassed. Common practice, from memory. */
export const USUAL_TIP_mm = { nose: 6, pin: 10 } as const;

export type NoseKind = Board['outline']['nose']['kind'];

/** Every kind of nose; `model` is one of our own that has it, drawn where a nose is picked. */
export const NOSES: Readonly<Record<NoseKind, { words: string; model: string }>> = {
  pointed: { words: 'pointed', model: 'Slack Water' },
  round: { words: 'round', model: 'Long Quay' },
};

const wordsOf = <K extends string>(kinds: Readonly<Record<K, { words: string }>>) =>
  Object.fromEntries(Object.entries<{ words: string }>(kinds).map(([kind, { words }]) => [kind, words])) as Readonly<
    Record<K, string>
  >;

export const LAYER_WORDS = wordsOf(LAYERS);
export const TAIL_WORDS = wordsOf(TAILS);
export const NOSE_WORDS = wordsOf(NOSES);
