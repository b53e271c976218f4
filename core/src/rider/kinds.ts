import type { Family } from '../document/schema.ts';
import type { Facts } from '../measure/facts.ts';
import { measureOf, type MeasureKey } from '../measure/catalogue.ts';
import { hasBlock } from '../outline/outline.ts';
import { INCH_mm } from '../units/length.ts';
import type { Waves } from './rider.ts';

/** Kinds of board as shapers speak of them: finer than families, which say how a board is drawn. */
export const KINDS = [
  'performanceShortboard',
  'smallWave',
  'stepUp',
  'keelFish',
  'modernFish',
  'quadFish',
  'twin',
  'midLengthSingle',
  'midLengthSeveral',
  'noseRider',
  'pig',
  'allRoundLongboard',
  'performanceLongboard',
  'semiGun',
  'bigWaveGun',
] as const;
export type Kind = (typeof KINDS)[number];

export const KIND_WORDS: Readonly<Record<Kind, string>> = {
  performanceShortboard: 'performance shortboard',
  smallWave: 'small-wave board',
  stepUp: 'step-up',
  keelFish: 'keel fish',
  modernFish: 'modern fish',
  quadFish: 'quad fish',
  twin: 'twin',
  midLengthSingle: 'mid-length on one fin or 2 + 1',
  midLengthSeveral: 'mid-length on several fins',
  noseRider: 'nose rider',
  pig: 'pig',
  allRoundLongboard: 'all-round longboard',
  performanceLongboard: 'performance longboard',
  semiGun: 'semi-gun',
  bigWaveGun: 'big-wave gun',
};

/** The families a kind is drawn in. */
export const KIND_FAMILY: Readonly<Record<Kind, Family>> = {
  performanceShortboard: 'shortboard',
  smallWave: 'shortboard',
  stepUp: 'shortboard',
  keelFish: 'fish',
  modernFish: 'fish',
  quadFish: 'fish',
  twin: 'twin',
  midLengthSingle: 'midLength',
  midLengthSeveral: 'midLength',
  noseRider: 'longboard',
  pig: 'longboard',
  allRoundLongboard: 'longboard',
  performanceLongboard: 'longboard',
  semiGun: 'gun',
  bigWaveGun: 'gun',
};

export interface Range {
  low: number;
  high: number;
}

/** The numbers a kind has usual ranges of. */
export const RANGED = [
  'length_mm',
  'width_mm',
  'thickness_mm',
  'noseWidth12_mm',
  'tailWidth12_mm',
  'block_mm',
  'noseRocker_mm',
  'tailRocker_mm',
  'widePointFromCentre_mm',
  'fullness',
  'foilBias12_mm',
] as const satisfies readonly MeasureKey[];
export type RangedKey = (typeof RANGED)[number];

type Ends = readonly [low: number, high: number];
/** One line of the table, in inches but for the fill; a block left out is not looked at. */
interface KindRow {
  length: Ends;
  width: Ends;
  thick: Ends;
  nose12: Ends;
  tail12: Ends;
  block?: Ends;
  noseLift: Ends;
  tailLift: Ends;
  widePoint: Ends;
  fill: Ends;
  bias: Ends;
}
/** Foam at 12 in, nose less tail: within a tenth on balanced boards, forward by up to a quarter on the long ones (CP). */
const BALANCED: Ends = [-0.1, 0.1];
const FORWARD: Ends = [-0.1, 0.25];

/**
 * Where boards of a kind usually lie: not limits, outside is said and is not wrong. Common practice, from memory; the big-wave
 * gun from 9'6 to 10'0, foil at 12 in: common practice, as stated by practitioners. Fill: derived.
 */
const ROWS: Readonly<Record<Kind, KindRow>> = {
  performanceShortboard: {
    length: [66, 78],
    width: [18, 20.5],
    thick: [2.125, 2.75],
    nose12: [10.5, 13],
    tail12: [13.5, 15.75],
    block: [5, 7],
    noseLift: [4.25, 5.75],
    tailLift: [2, 2.75],
    widePoint: [-1.5, 1],
    fill: [0.53, 0.57],
    bias: BALANCED,
  },
  smallWave: {
    length: [62, 76],
    width: [19.25, 21.75],
    thick: [2.25, 2.75],
    nose12: [12.5, 15.5],
    tail12: [14.5, 17.25],
    block: [6, 9],
    noseLift: [3.25, 4.75],
    tailLift: [1.5, 2.375],
    widePoint: [0, 2],
    fill: [0.54, 0.58],
    bias: BALANCED,
  },
  stepUp: {
    length: [74, 88],
    width: [18, 20],
    thick: [2.25, 2.75],
    nose12: [10, 12],
    tail12: [12, 14.5],
    block: [0, 5],
    noseLift: [4.875, 6.25],
    tailLift: [2.25, 2.75],
    widePoint: [0, 2],
    fill: [0.53, 0.57],
    bias: FORWARD,
  },
  keelFish: {
    length: [60, 74],
    width: [20, 22.5],
    thick: [2.25, 2.75],
    nose12: [14.5, 17],
    tail12: [15, 18],
    block: [9, 12],
    noseLift: [2.5, 4],
    tailLift: [0.875, 1.875],
    widePoint: [0, 4],
    fill: [0.54, 0.58],
    bias: BALANCED,
  },
  modernFish: {
    length: [62, 78],
    width: [19.75, 22],
    thick: [2.25, 2.75],
    nose12: [13.5, 16],
    tail12: [14.5, 16.5],
    block: [7, 10],
    noseLift: [3, 4.75],
    tailLift: [1.25, 2.5],
    widePoint: [0, 3],
    fill: [0.54, 0.58],
    bias: BALANCED,
  },
  quadFish: {
    length: [62, 78],
    width: [19.75, 22],
    thick: [2.25, 2.75],
    nose12: [13.5, 16],
    tail12: [14.5, 16.5],
    block: [7, 10],
    noseLift: [3, 4.75],
    tailLift: [1.25, 2.5],
    widePoint: [0, 3],
    fill: [0.54, 0.58],
    bias: BALANCED,
  },
  twin: {
    length: [64, 82],
    width: [19, 21.25],
    thick: [2.25, 2.875],
    nose12: [12.5, 15],
    tail12: [13.5, 16],
    block: [5, 8],
    noseLift: [3.5, 5.25],
    tailLift: [1.5, 2.5],
    widePoint: [-1, 2],
    fill: [0.53, 0.58],
    bias: BALANCED,
  },
  midLengthSingle: {
    length: [78, 102],
    width: [20.25, 22.75],
    thick: [2.5, 3],
    nose12: [14.5, 18],
    tail12: [13.5, 16.5],
    block: [5, 6],
    noseLift: [2.75, 5],
    tailLift: [1.5, 3.5],
    widePoint: [0, 4],
    fill: [0.55, 0.59],
    bias: FORWARD,
  },
  midLengthSeveral: {
    length: [78, 114],
    width: [20.25, 23],
    thick: [2.625, 3.25],
    nose12: [13.5, 17.5],
    tail12: [13.5, 16.5],
    noseLift: [3.75, 5.5],
    tailLift: [2, 3.25],
    widePoint: [0, 3],
    fill: [0.55, 0.59],
    bias: FORWARD,
  },
  noseRider: {
    length: [108, 122],
    width: [22.5, 24.5],
    thick: [2.75, 3.375],
    nose12: [17.5, 19.75],
    tail12: [14.5, 17],
    block: [6, 9],
    noseLift: [2.75, 4.5],
    tailLift: [3, 5],
    widePoint: [-6, 2],
    fill: [0.56, 0.61],
    bias: FORWARD,
  },
  pig: {
    length: [108, 120],
    width: [22, 23.5],
    thick: [2.625, 3.125],
    nose12: [15, 17.5],
    tail12: [14.5, 16.5],
    block: [5, 8],
    noseLift: [3, 4.75],
    tailLift: [3, 4.75],
    widePoint: [-9, -3],
    fill: [0.56, 0.61],
    bias: FORWARD,
  },
  allRoundLongboard: {
    length: [106, 118],
    width: [22, 23.5],
    thick: [2.75, 3.125],
    nose12: [16.5, 18.75],
    tail12: [14, 15.75],
    block: [5, 7],
    noseLift: [3.25, 5],
    tailLift: [2.75, 4.5],
    widePoint: [-1, 3],
    fill: [0.56, 0.61],
    bias: FORWARD,
  },
  performanceLongboard: {
    length: [104, 112],
    width: [21.5, 23],
    thick: [2.5, 2.875],
    nose12: [16, 18],
    tail12: [13.5, 15.25],
    noseLift: [4, 5.5],
    tailLift: [3, 4.75],
    widePoint: [-1, 2],
    fill: [0.56, 0.61],
    bias: FORWARD,
  },
  semiGun: {
    length: [84, 104],
    width: [18.5, 20.75],
    thick: [2.5, 3],
    nose12: [10, 12.25],
    tail12: [10.5, 13.25],
    noseLift: [5.25, 7],
    tailLift: [2.5, 3.5],
    widePoint: [1, 5],
    fill: [0.5, 0.56],
    bias: FORWARD,
  },
  bigWaveGun: {
    length: [108, 128],
    width: [20, 22],
    thick: [3, 3.75],
    nose12: [10, 12.5],
    tail12: [9.5, 12.25],
    noseLift: [6, 9],
    tailLift: [3, 5],
    widePoint: [2, 8],
    fill: [0.5, 0.56],
    bias: FORWARD,
  },
};

/** A performance shortboard for a rider over 90 kg: the same kind, drawn larger. Common practice, from memory. */
const HEAVY_SHORTBOARD: KindRow = {
  ...ROWS.performanceShortboard,
  length: [72, 90],
  width: [20.5, 22.5],
  thick: [2.75, 3.25],
  nose12: [12.5, 14.5],
  tail12: [15, 17],
  block: [6, 7.5],
  noseLift: [4.25, 5.5],
  widePoint: [0, 2],
};
const HEAVY_FROM_kg = 90;

const COLUMNS: Readonly<Record<RangedKey, { of: keyof KindRow; inches: boolean; per2in?: number; per5kg?: number }>> = {
  length_mm: { of: 'length', inches: true },
  width_mm: { of: 'width', inches: true, per2in: 1 / 8, per5kg: 1 / 8 },
  thickness_mm: { of: 'thick', inches: true, per5kg: 1 / 32 },
  noseWidth12_mm: { of: 'nose12', inches: true, per2in: 3 / 32, per5kg: 1 / 8 },
  tailWidth12_mm: { of: 'tail12', inches: true, per2in: 3 / 32, per5kg: 1 / 8 },
  block_mm: { of: 'block', inches: true, per5kg: 1 / 16 },
  noseRocker_mm: { of: 'noseLift', inches: true },
  tailRocker_mm: { of: 'tailLift', inches: true },
  widePointFromCentre_mm: { of: 'widePoint', inches: true },
  fullness: { of: 'fill', inches: false },
  foilBias12_mm: { of: 'bias', inches: true },
};
/** From so heavy a rider on a board of a kind grows. */
const GROWS_FROM_kg = 80;

export const isRanged = (key: MeasureKey): key is RangedKey => (RANGED as readonly string[]).includes(key);

/**
 * The usual range of a number of a kind at this length and for this rider. Inside a kind a board of the low end is a short one and
 * of the high end a long one, by half of what the trade grows a width with length; for a rider over 80 kg the high end goes on.
 * Over 90 kg a performance shortboard has the heavy rider's range beside its own.
 * @returns undefined where the kind has no such number: a pin has no block.
 */
export function kindRange(kind: Kind, key: RangedKey, length_mm: number, mass_kg?: number): Range | undefined {
  const rows = [ROWS[kind]];
  if (kind === 'performanceShortboard' && (mass_kg ?? 0) > HEAVY_FROM_kg) rows.push(HEAVY_SHORTBOARD);
  const ranges = rows.flatMap((row) => rangeOf(row, key, length_mm, mass_kg) ?? []);
  if (ranges.length === 0) return undefined;
  return { low: Math.min(...ranges.map(({ low }) => low)), high: Math.max(...ranges.map(({ high }) => high)) };
}

function rangeOf(row: KindRow, key: RangedKey, length_mm: number, mass_kg: number | undefined): Range | undefined {
  const { of, inches, per2in = 0, per5kg = 0 } = COLUMNS[key];
  const ends = row[of];
  if (!ends) return undefined;
  const scale = inches ? INCH_mm : 1;
  const length_in = length_mm / INCH_mm;
  const [shortest, longest] = row.length;
  const longer = Math.max(0, ((mass_kg ?? GROWS_FROM_kg) - GROWS_FROM_kg) / 5) * per5kg;
  return {
    low: scale * (ends[0] + (per2in / 4) * (length_in - shortest)),
    high: scale * (ends[1] - (per2in / 4) * (longest - length_in) + longer),
  };
}

/** The table as it stands in docs: for each kind its ranges in inches, the heavy rider's shortboard among them. */
export const kindTable = (): { name: string; ranges: Readonly<Record<RangedKey, Ends | undefined>> }[] => {
  const read = (row: KindRow) =>
    Object.fromEntries(RANGED.map((key) => [key, row[COLUMNS[key].of]])) as Record<RangedKey, Ends | undefined>;
  return [
    ...KINDS.map((kind) => ({ name: KIND_WORDS[kind], ranges: read(ROWS[kind]) })),
    { name: `performance shortboard, rider over ${HEAVY_FROM_kg} kg`, ranges: read(HEAVY_SHORTBOARD) },
  ];
};

/** Which kinds a family's boards can be. */
const OF_FAMILY: Readonly<Record<Family, readonly Kind[]>> = {
  shortboard: ['performanceShortboard', 'smallWave', 'stepUp'],
  fish: ['keelFish', 'modernFish', 'quadFish'],
  twin: ['twin'],
  midLength: ['midLengthSingle', 'midLengthSeveral'],
  longboard: ['noseRider', 'pig', 'allRoundLongboard', 'performanceLongboard'],
  gun: ['stepUp', 'semiGun', 'bigWaveGun'],
};

/** The kind of a family until a board is drawn: for the waves it is meant for. */
export function usualKind(family: Family, waves?: Pick<Waves, 'size' | 'power'>): Kind {
  switch (family) {
    case 'shortboard':
      return 'performanceShortboard';
    case 'fish':
      return 'modernFish';
    case 'twin':
      return 'twin';
    case 'midLength':
      return 'midLengthSingle';
    case 'longboard':
      return 'allRoundLongboard';
    case 'gun':
      return waves?.size === 'wellOverhead' ? 'bigWaveGun' : 'semiGun';
  }
}

/** How much each number counts when kinds of one family are told apart. */
const TOLD_BY: readonly RangedKey[] = [
  'length_mm',
  'width_mm',
  'thickness_mm',
  'noseWidth12_mm',
  'tailWidth12_mm',
  'block_mm',
  'noseRocker_mm',
  'tailRocker_mm',
  'widePointFromCentre_mm',
];

/**
 * The kind a board is, read off itself: by its fins and its contours where those say it, else by the ranges its numbers lie in.
 * Of two that fit alike it is the one that comes first in the trade's order.
 */
export function kindOf(facts: Facts, mass_kg?: number): Kind {
  const { board } = facts;
  const { setup } = board.fins;
  // One fin alone under a longer board is a single, however its nose is drawn; two under a short mid-length are a twin.
  if (board.family === 'shortboard' && setup === 'single' && facts.L >= 76 * INCH_mm) return 'midLengthSingle';
  if (board.family === 'midLength' && setup === 'twin' && facts.L < 80 * INCH_mm) return 'twin';
  if (board.family === 'fish') return setup === 'keels' ? 'keelFish' : setup === 'quad' ? 'quadFish' : 'modernFish';
  if (board.family === 'midLength')
    return facts.several && setup !== 'twoPlusOne' ? 'midLengthSeveral' : 'midLengthSingle';
  if (board.family === 'longboard' && facts.noseConcave_mm > 0.06 * INCH_mm && !facts.several) return 'noseRider';
  const kinds = OF_FAMILY[board.family];
  const told = hasBlock(board.outline.tail.kind) ? TOLD_BY : TOLD_BY.filter((key) => key !== 'block_mm');
  const off = (kind: Kind) =>
    told.reduce((sum, key) => sum + outside(kindRange(kind, key, facts.L, mass_kg), measureOf(key).read(facts)), 0);
  return kinds.reduce((best, kind) => (off(kind) < off(best) - 1e-9 ? kind : best));
}

/** How far a number lies outside a range, in breadths of it. */
function outside(range: Range | undefined, value: number): number {
  if (!range) return 0;
  const out = Math.max(0, range.low - value, value - range.high);
  return out / (range.high - range.low);
}
