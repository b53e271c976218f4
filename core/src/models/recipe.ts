import {
  BOARD_FORMAT,
  BOARD_VERSION,
  type Board,
  type BottomLayer,
  type DeckFeature,
  type Family,
  type FinSetup,
  type RailStation,
  type TailKind,
} from '../document/schema.ts';
import { USUAL_TIP_mm } from '../document/kinds.ts';
import { finBoxes } from '../fins/placement.ts';
import { INCH_mm, parseLength } from '../units/length.ts';

/** A model as a shaper would write it down: inches, and words for the rest. */
export interface Recipe {
  name: string;
  family: Family;
  notes: string;
  /** length, width, thickness, as 6'2 x 19 1/4 x 2 1/2 */
  size: [length: string, width: string, thickness: string];
  /** Wide point ahead of centre, in. */
  wide: number;
  nose12: string;
  tail12: string;
  noseKind: 'pointed' | 'round';
  /** Tip curve of a pointed nose, degrees; 40 when left out. */
  noseCurve?: number;
  /** Plan radius of the tip of a pointed nose and of a pin, mm; USUAL_TIP_mm when left out. */
  tip?: number;
  /** Radius of a round nose, in; the batten's own when left out. */
  noseRadius?: number;
  tail: { kind: TailKind; block?: number; depth?: number };
  wings?: { fromTail: number; depth: number; length: number; raised?: number }[];
  rocker: { nose: string; tail: string; nose12: string; tail12: string; flat?: number };
  foil: { nose12: string; tail12: string; at: number; tips: [nose: number, tail: number] };
  crown: [tail: number, middle: number, nose: number];
  features?: DeckFeature[];
  rails: RailPreset[];
  hardFor: number;
  hardFade: number;
  hardness?: number;
  layers: BottomLayer[];
  fins: FinSetup;
}

export const RAIL_PRESETS = {
  softRound: { words: '50/50 soft', apex: 0.5, fullness: 0.55, tuck_mm: 19, edge: 0, edgeRadius_mm: 12 },
  sixtyForty: { words: '60/40 tucked', apex: 0.4, fullness: 0.65, tuck_mm: 16, edge: 0.15, edgeRadius_mm: 6 },
  seventyThirty: { words: '70/30 tucked', apex: 0.3, fullness: 0.6, tuck_mm: 12, edge: 0.4, edgeRadius_mm: 3 },
  eightyTwenty: { words: '80/20 down, hard', apex: 0.2, fullness: 0.6, tuck_mm: 8, edge: 0.7, edgeRadius_mm: 1 },
  pinched: { words: '60/40 pinched', apex: 0.4, fullness: 0.05, tuck_mm: 12, edge: 0.2, edgeRadius_mm: 4 },
  boxy: { words: '60/40 boxy', apex: 0.4, fullness: 1, tuck_mm: 15, edge: 0.2, edgeRadius_mm: 4 },
} as const;
export type RailPresetName = keyof typeof RAIL_PRESETS;
type RailPreset = [preset: RailPresetName, from: RailStation['from'], at: number];

/** mm of a shaper's writing. Recipes are ours: one that cannot be read is a mistake in this program. */
function inches(text: string): number {
  const parsed = parseLength(text);
  if (!parsed.ok) throw new RangeError(`inches: ${parsed.reason}`);
  return parsed.value;
}

/** A depth layer by inches: [from, at, depth] triples. */
export function contour(
  kind: BottomLayer['kind'],
  width: number,
  depths: [from: 'nose' | 'tail' | 'centre' | 'wide', at: number, depth: number][],
  count?: number,
): BottomLayer {
  return {
    kind,
    width,
    depths: depths.map(([from, at, depth]) => ({ from, at_mm: at * INCH_mm, value_mm: depth * INCH_mm })),
    ...(count === undefined ? {} : { count }),
  };
}

export function railStation(preset: RailPresetName, from: RailStation['from'], at_mm: number): RailStation {
  const { apex, fullness, tuck_mm, edge, edgeRadius_mm } = RAIL_PRESETS[preset];
  return { from, at_mm, apex, fullness, tuck_mm, edge, edgeRadius_mm };
}

function noseOf({ noseKind, noseCurve = 40, noseRadius, tip = USUAL_TIP_mm.nose }: Recipe): Board['outline']['nose'] {
  if (noseKind === 'pointed') {
    return { kind: 'pointed', curve_rad: (noseCurve * Math.PI) / 180, tip_mm: tip };
  }
  return noseRadius === undefined ? { kind: 'round' } : { kind: 'round', radius_mm: noseRadius * INCH_mm };
}

/** The whole board of a recipe. */
export function boardOf(recipe: Recipe): Board {
  const length_mm = inches(recipe.size[0]);
  const at12 = 12 * INCH_mm;
  const tail = {
    kind: recipe.tail.kind,
    block_mm: (recipe.tail.block ?? 0) * INCH_mm,
    depth_mm: (recipe.tail.depth ?? 0) * INCH_mm,
    tip_mm: recipe.tip ?? USUAL_TIP_mm.pin,
  };
  const outline: Board['outline'] = {
    width_mm: inches(recipe.size[1]),
    widePoint_mm: recipe.wide * INCH_mm,
    marks: [
      { from: 'nose', at_mm: at12, value_mm: inches(recipe.nose12) },
      { from: 'tail', at_mm: at12, value_mm: inches(recipe.tail12) },
    ],
    nose: noseOf(recipe),
    tail,
    wings: (recipe.wings ?? []).map((wing) => ({
      fromTail_mm: wing.fromTail * INCH_mm,
      depth_mm: wing.depth * INCH_mm,
      length_mm: wing.length * INCH_mm,
      raised: wing.raised ?? 0,
    })),
  };
  return {
    format: BOARD_FORMAT,
    version: BOARD_VERSION,
    name: recipe.name,
    family: recipe.family,
    length_mm,
    outline,
    rocker: {
      noseLift_mm: inches(recipe.rocker.nose),
      tailLift_mm: inches(recipe.rocker.tail),
      flatPoint_mm: (recipe.rocker.flat ?? -3) * INCH_mm,
      marks: [
        { from: 'nose', at_mm: at12, value_mm: inches(recipe.rocker.nose12) },
        { from: 'tail', at_mm: at12, value_mm: inches(recipe.rocker.tail12) },
      ],
    },
    foil: {
      thickness_mm: inches(recipe.size[2]),
      thickest_mm: recipe.foil.at * INCH_mm,
      noseTip_mm: recipe.foil.tips[0] * INCH_mm,
      tailTip_mm: recipe.foil.tips[1] * INCH_mm,
      marks: [
        { from: 'nose', at_mm: at12, value_mm: inches(recipe.foil.nose12) },
        { from: 'tail', at_mm: at12, value_mm: inches(recipe.foil.tail12) },
      ],
    },
    deck: {
      crown: [
        { from: 'tail', at_mm: 0, value_mm: recipe.crown[0] },
        { from: 'centre', at_mm: 0, value_mm: recipe.crown[1] },
        { from: 'nose', at_mm: 0, value_mm: recipe.crown[2] },
      ],
      features: recipe.features ?? [],
    },
    rails: {
      stations: recipe.rails.map(([preset, from, at]) => railStation(preset, from, at * INCH_mm)),
      tailEdge: {
        length_mm: recipe.hardFor * INCH_mm,
        fade_mm: recipe.hardFade * INCH_mm,
        hardness: recipe.hardness ?? 0.8,
      },
    },
    bottom: { layers: recipe.layers },
    fins: finBoxes(recipe.fins, recipe.family, length_mm, inches(recipe.tail12)),
    notes: recipe.notes,
  };
}
