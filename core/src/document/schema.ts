import * as z from 'zod';
import { nameOf } from './naming.ts';
import {
  APEX,
  BEAK_FADE_mm,
  BEAK_LENGTH_mm,
  BEAK_THICKNESS_mm,
  CANT_rad,
  DECK_FADE_mm,
  DECK_LENGTH_mm,
  DOME_FALL_mm,
  EDGE_RADIUS_mm,
  FIN_INSET_mm,
  FIN_SIZE_mm,
  LAYER_WIDTH,
  LENGTH_mm,
  MOST_DECK_FEATURES,
  MOST_LAYERS,
  MOST_MARKS,
  MOST_STATIONS,
  MOST_WINGS,
  NOSE_RADIUS_mm,
  S_DECK_DROP_mm,
  STEP_DROP_mm,
  STEP_INSET_mm,
  STEP_LENGTH_mm,
  TIP_CURVE_rad,
  TIP_RADIUS_mm,
  TOE_rad,
  TRAILING_EDGE_mm,
  TUCK_mm,
  WING_DEPTH_mm,
  WING_LENGTH_mm,
} from './limits.ts';

/**
 * The board document: everything that makes one board, in millimetres and radians. docs/conventions.md has axes and
 * signs, docs/formats.md the story of the file, docs/schema/board.schema.json the published JSON Schema made from this.
 */
export const BOARD_FORMAT = 'june-tide-board';
export const BOARD_VERSION = 2;

const mm = (low: number, high: number, about: string) => z.number().min(low).max(high).describe(about);
const within = ({ low, high }: { low: number; high: number }, about: string) => mm(low, high, about);
const fraction = (about: string) => z.number().min(0).max(1).describe(about);

export const FAMILIES = ['shortboard', 'fish', 'twin', 'midLength', 'longboard', 'gun'] as const;
export type Family = (typeof FAMILIES)[number];

export const TAIL_KINDS = [
  'square',
  'squash',
  'thumb',
  'round',
  'roundedPin',
  'pin',
  'swallow',
  'diamond',
  'sixCorner',
  'halfMoon',
] as const;
export type TailKind = (typeof TAIL_KINDS)[number];

export const LAYER_KINDS = [
  'single',
  'narrow',
  'double',
  'triple',
  'vee',
  'roll',
  'teardrop',
  'channels',
  'bevel',
] as const;
export type LayerKind = (typeof LAYER_KINDS)[number];

export const FIN_SETUPS = [
  'single',
  'twoPlusOne',
  'twin',
  'keels',
  'twinTrailer',
  'thruster',
  'quad',
  'fiveBox',
] as const;
export type FinSetup = (typeof FIN_SETUPS)[number];

const place = {
  from: z.enum(['nose', 'tail', 'centre', 'wide']).describe('What the mark is tied to, and moves with'),
  at_mm: mm(-4000, 4000, 'Distance from it: inward from an end; toward the nose from centre or wide point'),
};

/** A number at a station. */
const markSchema = z.strictObject({ ...place, value_mm: mm(-1000, 1500, 'The number there') });
export type Mark = z.infer<typeof markSchema>;

/** A number at a station that a measured curve may stay off by a little. */
const givingMarkSchema = z.strictObject({
  ...place,
  value_mm: mm(-1000, 1500, 'The number there'),
  give_mm: mm(0.01, 50, 'Soft mark: how far the line may stay off it').optional(),
});

const outlineMarkSchema = z.strictObject({
  ...place,
  value_mm: mm(0, 1500, 'Full width there'),
  give_mm: mm(0.01, 50, 'Soft mark: how far the half width may stay off it').optional(),
});
export type OutlineMark = z.infer<typeof outlineMarkSchema>;

const wing = z.strictObject({
  fromTail_mm: mm(20, 2000, 'Where the step begins, from the tail'),
  depth_mm: within(WING_DEPTH_mm, 'How far the rail steps in, each side'),
  length_mm: within(WING_LENGTH_mm, 'Over what length: 4 to 6 a sharp wing, 60 to 200 a bump'),
  raised: fraction('0 flat with the bottom edge; 1 the edge climbs to the deck'),
});
export type Wing = z.infer<typeof wing>;

const outline = z.strictObject({
  width_mm: mm(150, 900, 'Full width at the wide point'),
  widePoint_mm: mm(-1000, 1000, 'Wide point ahead of centre; behind is negative'),
  marks: z.array(outlineMarkSchema).max(MOST_MARKS),
  nose: z.discriminatedUnion('kind', [
    z.strictObject({
      kind: z.literal('pointed'),
      curve_rad: within(TIP_CURVE_rad, 'Tip curve: small is straighter, 40 degrees is usual'),
      tip_mm: within(TIP_RADIUS_mm, 'Plan radius of the tip: 6 is usual, 0 a needle'),
    }),
    z.strictObject({
      kind: z.literal('round'),
      radius_mm: within(NOSE_RADIUS_mm, 'Radius at the stringer; left out, the batten finds its own').optional(),
    }),
  ]),
  tail: z.strictObject({
    kind: z.enum(TAIL_KINDS),
    block_mm: mm(0, 600, 'Full width across the block or tips; not used by round, rounded pin and pin'),
    depth_mm: mm(0, 400, 'Crotch of a swallow or half-moon, length of the corners; not used by square, round, pin'),
    tip_mm: within(TIP_RADIUS_mm, 'Plan radius of the tip of a pin: 10 is usual, 0 a needle; not used by the others'),
  }),
  wings: z.array(wing).max(MOST_WINGS),
});
export type OutlineDocument = z.infer<typeof outline>;

const rocker = z.strictObject({
  noseLift_mm: mm(0, 600, 'Nose tip above the tangent at the flat point'),
  tailLift_mm: mm(0, 400, 'Tail tip above the tangent at the flat point'),
  flatPoint_mm: mm(-1500, 1500, 'Where the bottom is level, ahead of centre'),
  marks: z.array(givingMarkSchema).max(MOST_MARKS).describe('Lifts above the tangent at the flat point'),
});
export type RockerDocument = z.infer<typeof rocker>;

const foil = z.strictObject({
  thickness_mm: mm(10, 200, 'Greatest thickness at the stringer'),
  thickest_mm: mm(-1500, 1500, 'Where, ahead of centre'),
  noseTip_mm: mm(1, 100, 'Thickness at the nose tip'),
  tailTip_mm: mm(1, 100, 'Thickness at the tail tip'),
  marks: z.array(givingMarkSchema).max(MOST_MARKS).describe('Thicknesses at the stringer'),
});
export type FoilDocument = z.infer<typeof foil>;

/** Where on the board a feature of the deck is: its middle, how long it is as a whole, and over what length it runs in and out. */
const stretch = {
  ...place,
  length_mm: within(DECK_LENGTH_mm, 'Its whole length, where it runs in and out included'),
  fade_mm: within(DECK_FADE_mm, 'Over what length it runs in, and out again'),
};

const deck = z.strictObject({
  crown: z
    .array(markSchema)
    .min(1)
    .max(MOST_STATIONS)
    .describe('How far the deck falls from the stringer toward the rail'),
  features: z
    .array(
      z.discriminatedUnion('kind', [
        z.strictObject({
          kind: z.literal('flat'),
          width: fraction('How much of the half width stays level before the deck falls'),
          ...stretch,
        }),
        z.strictObject({
          kind: z.literal('beak'),
          length_mm: within(BEAK_LENGTH_mm, 'From the nose tip'),
          thickness_mm: within(BEAK_THICKNESS_mm, 'Added at the tip'),
          fade_mm: within(BEAK_FADE_mm, 'Over what length, from where it begins, it rises'),
          roll: fraction('How much of what is added is gone again at the rail: 1 all of it, rolled to the outline'),
        }),
        z.strictObject({
          kind: z.literal('step'),
          length_mm: within(STEP_LENGTH_mm, 'From the tail'),
          inset_mm: within(STEP_INSET_mm, 'In from the rail'),
          drop_mm: within(STEP_DROP_mm, 'How far the deck steps down'),
          fade_mm: within(DECK_FADE_mm, 'Over what length it runs out'),
        }),
        z.strictObject({
          kind: z.literal('sDeck'),
          drop_mm: within(S_DECK_DROP_mm, 'How deep below the plain deck line'),
          ...stretch,
        }),
        z.strictObject({
          kind: z.literal('dome'),
          fall_mm: within(DOME_FALL_mm, 'How much farther the deck falls from the stringer to the rail: thin rails'),
          ...stretch,
        }),
      ]),
    )
    .max(MOST_DECK_FEATURES),
});
type DeckDocument = z.infer<typeof deck>;
export type DeckFeature = DeckDocument['features'][number];
export type DeckFeatureKind = DeckFeature['kind'];

const railStation = z.strictObject({
  ...place,
  apex: within(APEX, 'Height of the apex above the bottom edge, of the rail height: 0.4 is 60/40'),
  fullness: fraction('How full the deck side is: 0 pinched, 1 boxy'),
  tuck_mm: within(TUCK_mm, 'How far the bottom edge sits inside the apex'),
  edge: fraction('0 soft, 1 hard'),
  edgeRadius_mm: within(EDGE_RADIUS_mm, 'Radius of the bottom edge'),
});
export type RailStation = z.infer<typeof railStation>;

const rails = z.strictObject({
  stations: z.array(railStation).min(1).max(MOST_STATIONS),
  tailEdge: z
    .strictObject({
      length_mm: mm(0, 3000, 'Hard for so long from the tail'),
      fade_mm: mm(10, 1500, 'Then fading over'),
      hardness: fraction('How hard'),
    })
    .describe('The hard edge in the tail; the harder of this and the stations counts'),
});
export type RailsDocument = z.infer<typeof rails>;

const layer = z.strictObject({
  kind: z.enum(LAYER_KINDS),
  width: within(LAYER_WIDTH, 'Share of the half width it takes'),
  depths: z.array(markSchema).min(1).max(MOST_STATIONS).describe('Depth along the board; it fades in and out by these'),
  count: z.number().int().min(1).max(6).optional().describe('Channels a side'),
  off: z.boolean().optional().describe('Switched off to see what it does'),
});
export type BottomLayer = z.infer<typeof layer>;

const bottom = z.strictObject({ layers: z.array(layer).max(MOST_LAYERS) });
export type BottomDocument = z.infer<typeof bottom>;

export const finTemplateSchema = z.strictObject({
  name: z.string().max(60),
  base_mm: within(FIN_SIZE_mm, 'Along the board'),
  depth_mm: within(FIN_SIZE_mm, 'Square to the board'),
  rake_rad: z.number().min(-0.3).max(1.2).describe('Sweep of the line from mid-base to mid-tip'),
  tip: z.number().min(0.05).max(1.3).describe('Chord near the tip as a share of the base; over 1 the tip is wider'),
  foil: z.enum(['flat', 'eightyTwenty', 'symmetric']),
});
export type FinTemplate = z.infer<typeof finTemplateSchema>;

export const finBoxSchema = z.strictObject({
  role: z.enum(['centre', 'front', 'rear']).describe('centre sits on the stringer; front and rear are mirrored pairs'),
  trailingEdge_mm: within(TRAILING_EDGE_mm, 'Trailing edge of the base, up from the tail along the stringer'),
  inset_mm: within(FIN_INSET_mm, 'Middle of the base in from the rail; not used by a centre box'),
  toe_rad: within(TOE_rad, 'Front of the base turned in'),
  cant_rad: within(CANT_rad, 'Lean outward from upright'),
  template: finTemplateSchema,
});
export type FinBox = z.infer<typeof finBoxSchema>;

export const finsSchema = z.strictObject({ setup: z.enum(FIN_SETUPS), boxes: z.array(finBoxSchema).max(6) });
export type FinsDocument = z.infer<typeof finsSchema>;

export const boardSchema = z.strictObject({
  format: z.literal(BOARD_FORMAT),
  version: z.literal(BOARD_VERSION),
  name: nameOf(80),
  family: z.enum(FAMILIES),
  length_mm: within(LENGTH_mm, 'Straight length, tip to tip'),
  outline,
  rocker,
  foil,
  deck,
  rails,
  bottom,
  fins: finsSchema,
  notes: z.string().max(4000),
});

/** One board, as plain immutable data. */
export type Board = z.infer<typeof boardSchema>;
