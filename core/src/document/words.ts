import type { Family, LayerKind, TailKind } from './schema.ts';

/** The trade's words for the document's own. */
export const FAMILY_WORDS: Readonly<Record<Family, string>> = {
  shortboard: 'shortboard',
  fish: 'fish',
  twin: 'twin',
  midLength: 'mid-length',
  longboard: 'longboard',
  gun: 'gun',
};

export const TAIL_WORDS: Readonly<Record<TailKind, string>> = {
  square: 'square',
  squash: 'squash',
  thumb: 'thumb',
  round: 'round',
  roundedPin: 'rounded pin',
  pin: 'pin',
  swallow: 'swallow',
  diamond: 'diamond',
  sixCorner: 'six-corner',
  halfMoon: 'half-moon',
};

export const LAYER_WORDS: Readonly<Record<LayerKind, string>> = {
  single: 'single concave',
  narrow: 'narrow concave',
  double: 'double concave',
  triple: 'triple concave',
  vee: 'vee',
  roll: 'roll',
  teardrop: 'nose concave',
  channels: 'channels',
  bevel: 'bevel',
};
