import type { Foam } from './blank.ts';
import type { Resin } from './glass.ts';

/** What can hurt a person at the work, and what to wear against it. Common practice; never instead of a data sheet. */
export const CAUTIONS = {
  planer: 'Power planer: both hands on it, unplugged before you touch the blade; eyes and ears covered.',
  foamDust: 'Foam dust: a particle mask that fits, and the extraction on.',
  hotWire: 'Hot wire on EPS: its smoke is poison; doors open, a vapour mask, the wire off when you look away.',
  polyester:
    'Polyester gives off styrene, and its catalyst is a peroxide: vapour mask, gloves, goggles, air moving; never catalyst near a flame or on acetone rags.',
  epoxy: 'Epoxy sensitises skin for life: nitrile gloves, long sleeves, no bare hand on it, wet or half cured.',
  acetone: 'Acetone burns and dries the skin: no flame or spark near it, lids on, gloves.',
  glassDust: 'Glass and resin dust: a fine particle mask, goggles, long sleeves, extraction; wash before you eat.',
  cutting: 'Router and cutters at the boxes: the board held down, eyes and ears covered, hands behind the tool.',
} as const;
export type Caution = keyof typeof CAUTIONS;

/** The sentence that stands under every one of them. */
export const SHEETS_FIRST = 'The supplier’s data sheets and local rules come first.';

/** A few cautions in one paragraph, with the sentence under them. */
export function cautionWords(cautions: readonly Caution[]): string {
  return [...cautions.map((caution) => CAUTIONS[caution]), SHEETS_FIRST].join(' ');
}

/** Cautions of cutting foam. */
export const foamCautions = (foam: Foam): Caution[] =>
  foam === 'pu' ? ['planer', 'foamDust'] : ['planer', 'foamDust', 'hotWire'];

/** Cautions of glassing with a resin. */
export const glassCautions = (resin: Resin): Caution[] => [resin, 'acetone'];

/** What belongs to a usual stage of the line; a stage of the shop’s own making has none of ours. */
export function stageCautions(stageId: string, foam: Foam, resin: Resin): Caution[] {
  switch (stageId) {
    case 'blank':
    case 'shape':
      return foamCautions(foam);
    case 'glass':
      return glassCautions(resin);
    case 'sand':
      return ['glassDust'];
    case 'fins':
      return ['cutting', 'glassDust', resin];
    case 'finish':
      return ['glassDust', resin, 'acetone'];
    default:
      return [];
  }
}
