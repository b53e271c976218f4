import * as z from 'zod';

/**
 * The board document: everything that makes one board, in millimetres and radians. docs/conventions.md has axes and
 * signs, docs/formats.md the story of the file, docs/schema/board.schema.json the published JSON Schema made from this.
 */
export const BOARD_FORMAT = 'june-tide-board';
export const BOARD_VERSION = 1;

const mm = (low: number, high: number, about: string) => z.number().min(low).max(high).describe(about);
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
  give_mm: mm(0.05, 50, 'Soft mark: how far the line may stay off it').optional(),
});

const outlineMarkSchema = z.strictObject({
  ...place,
  value_mm: mm(0, 1500, 'Full width there'),
  give_mm: mm(0.05, 50, 'Soft mark: how far the half width may stay off it').optional(),
});
export type OutlineMark = z.infer<typeof outlineMarkSchema>;

const wing = z.strictObject({
  fromTail_mm: mm(20, 2000, 'Where the step begins, from the tail'),
  depth_mm: mm(0.5, 60, 'How far the rail steps in, each side'),
  length_mm: mm(4, 400, 'Over what length: 4 to 6 a sharp wing, 60 to 200 a bump'),
  raised: fraction('0 flat with the bottom edge; 1 the edge climbs to the deck'),
});
export type Wing = z.infer<typeof wing>;

const outline = z.strictObject({
  width_mm: mm(150, 900, 'Full width at the wide point'),
  widePoint_mm: mm(-1000, 1000, 'Wide point ahead of centre; behind is negative'),
  marks: z.array(outlineMarkSchema).max(16),
  nose: z.discriminatedUnion('kind', [
    z.strictObject({
      kind: z.literal('pointed'),
      curve_rad: z.number().min(0.08).max(1.31).describe('Tip curve: small is straighter, 40 degrees is usual'),
    }),
    z.strictObject({
      kind: z.literal('round'),
      radius_mm: mm(20, 400, 'Radius at the stringer; left out, the batten finds its own').optional(),
    }),
  ]),
  tail: z.strictObject({
    kind: z.enum(TAIL_KINDS),
    block_mm: mm(0, 600, 'Full width across the block or tips; not used by round, rounded pin and pin'),
    depth_mm: mm(0, 400, 'Crotch of a swallow or half-moon, length of the corners; not used by square, round, pin'),
  }),
  wings: z.array(wing).max(3),
});
export type OutlineDocument = z.infer<typeof outline>;

const rocker = z.strictObject({
  noseLift_mm: mm(0, 600, 'Nose tip above the tangent at the flat point'),
  tailLift_mm: mm(0, 400, 'Tail tip above the tangent at the flat point'),
  flatPoint_mm: mm(-1500, 1500, 'Where the bottom is level, ahead of centre'),
  marks: z.array(givingMarkSchema).max(16).describe('Lifts above the tangent at the flat point'),
});
export type RockerDocument = z.infer<typeof rocker>;

const foil = z.strictObject({
  thickness_mm: mm(10, 200, 'Greatest thickness at the stringer'),
  thickest_mm: mm(-1500, 1500, 'Where, ahead of centre'),
  noseTip_mm: mm(1, 100, 'Thickness at the nose tip'),
  tailTip_mm: mm(1, 100, 'Thickness at the tail tip'),
  marks: z.array(givingMarkSchema).max(16).describe('Thicknesses at the stringer'),
});
export type FoilDocument = z.infer<typeof foil>;

const deck = z.strictObject({
  crown: z.array(markSchema).min(1).max(12).describe('How far the deck falls from the stringer toward the rail'),
  features: z
    .array(
      z.discriminatedUnion('kind', [
        z.strictObject({
          kind: z.literal('flat'),
          width: fraction('How much of the half width stays level before the deck falls'),
        }),
        z.strictObject({
          kind: z.literal('beak'),
          length_mm: mm(50, 600, 'From the nose tip'),
          thickness_mm: mm(2, 60, 'Added at the tip, rolled down to the outline'),
        }),
        z.strictObject({
          kind: z.literal('step'),
          length_mm: mm(50, 1500, 'From the tail'),
          inset_mm: mm(10, 200, 'In from the rail'),
          drop_mm: mm(1, 40, 'How far the deck steps down'),
          fade_mm: mm(20, 800, 'Over what length it runs out'),
        }),
        z.strictObject({
          kind: z.literal('sDeck'),
          from: place.from,
          at_mm: place.at_mm,
          length_mm: mm(50, 1500, 'Length of the scoop'),
          drop_mm: mm(0.5, 25, 'How deep below the plain deck line'),
        }),
      ]),
    )
    .max(6),
});
type DeckDocument = z.infer<typeof deck>;
export type DeckFeature = DeckDocument['features'][number];

const railStation = z.strictObject({
  ...place,
  apex: z
    .number()
    .min(0.1)
    .max(0.75)
    .describe('Height of the apex above the bottom edge, of the rail height: 0.4 is 60/40'),
  fullness: fraction('How full the deck side is: 0 pinched, 1 boxy'),
  tuck_mm: mm(0, 120, 'How far the bottom edge sits inside the apex'),
  edge: fraction('0 soft, 1 hard'),
  edgeRadius_mm: mm(0.3, 30, 'Radius of the bottom edge'),
});
export type RailStation = z.infer<typeof railStation>;

const rails = z.strictObject({
  stations: z.array(railStation).min(1).max(12),
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
  width: z.number().min(0.05).max(1).describe('Share of the half width it takes'),
  depths: z.array(markSchema).min(1).max(12).describe('Depth along the board; it fades in and out by these'),
  count: z.number().int().min(1).max(6).optional().describe('Channels a side'),
  off: z.boolean().optional().describe('Switched off to see what it does'),
});
export type BottomLayer = z.infer<typeof layer>;

const bottom = z.strictObject({ layers: z.array(layer).max(8) });
export type BottomDocument = z.infer<typeof bottom>;

const finTemplate = z.strictObject({
  name: z.string().max(60),
  base_mm: mm(20, 400, 'Along the board'),
  depth_mm: mm(20, 400, 'Square to the board'),
  rake_rad: z.number().min(-0.3).max(1.2).describe('Sweep of the line from mid-base to mid-tip'),
  tip: z.number().min(0.05).max(0.9).describe('Chord near the tip as a share of the base'),
  foil: z.enum(['flat', 'eightyTwenty', 'symmetric']),
});
export type FinTemplate = z.infer<typeof finTemplate>;

const finBox = z.strictObject({
  role: z.enum(['centre', 'front', 'rear']).describe('centre sits on the stringer; front and rear are mirrored pairs'),
  trailingEdge_mm: mm(0, 1500, 'Trailing edge of the base, up from the tail along the stringer'),
  inset_mm: mm(0, 300, 'Middle of the base in from the rail; not used by a centre box'),
  toe_rad: z.number().min(-0.2).max(0.3).describe('Front of the base turned in'),
  cant_rad: z.number().min(-0.2).max(0.5).describe('Lean outward from upright'),
  template: finTemplate,
});
export type FinBox = z.infer<typeof finBox>;

const fins = z.strictObject({ setup: z.enum(FIN_SETUPS), boxes: z.array(finBox).max(6) });
export type FinsDocument = z.infer<typeof fins>;

export const boardSchema = z.strictObject({
  format: z.literal(BOARD_FORMAT),
  version: z.literal(BOARD_VERSION),
  name: z.string().trim().min(1).max(80),
  family: z.enum(FAMILIES),
  length_mm: mm(900, 4000, 'Straight length, tip to tip'),
  outline,
  rocker,
  foil,
  deck,
  rails,
  bottom,
  fins,
  notes: z.string().max(4000),
});

/** One board, as plain immutable data. */
export type Board = z.infer<typeof boardSchema>;
