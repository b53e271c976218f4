import { TWELVE_mm } from './measure.ts';
import { curveLength_mm, railLineAt } from './bottomLines.ts';
import { areaBehindFins_mm2 } from './distribution.ts';
import type { Facts } from './facts.ts';
import { foilDifferences } from './stationTable.ts';

/** What a measure counts, which says how it is written: a length by the shop's units, an area, litres, an angle, a plain share. */
export type MeasureUnit = 'mm' | 'mm2' | 'L' | 'rad' | '';

/** The parts of a board measures are listed by. */
export const MEASURE_GROUPS = {
  size: 'Size',
  outline: 'Outline',
  rocker: 'Rocker',
  foil: 'Foil',
  rails: 'Rails',
  bottom: 'Bottom',
  volume: 'Litres',
  skin: 'Skin',
  fins: 'Fins',
} as const;
type MeasureGroup = keyof typeof MEASURE_GROUPS;

/** One number of a board: what it is called, what it is, how it is worked out. */
export interface MeasureRow {
  group: MeasureGroup;
  unit: MeasureUnit;
  /** As a shaper says it, small letters: it begins a line with a capital and stands in a sentence without. */
  words: string;
  /** What it is, in a sentence for whoever rests the pointer on it. */
  says: string;
  /** How it is worked out, in the letters of docs/measures.md. */
  formula: string;
  /** Its name where there is little room. */
  short?: string;
  /** More of it and less of it, where a shaper names the change first. */
  change?: readonly [more: string, less: string];
  read: (facts: Facts) => number;
}

const TWELVE_WORDS = { nose: 'nose', tail: 'tail' } as const;
const THIRDS = { tail: 'tail', middle: 'middle', nose: 'nose' } as const;

const row = (
  group: MeasureGroup,
  unit: MeasureUnit,
  words: string,
  says: string,
  formula: string,
  read: MeasureRow['read'],
  more: Pick<MeasureRow, 'short' | 'change'> = {},
): MeasureRow => ({ group, unit, words, says, formula, read, ...more });

const radius = (curve: 'outline' | 'rocker', third: keyof typeof THIRDS): MeasureRow =>
  row(
    curve,
    'mm',
    `${curve} radius, ${THIRDS[third]} third`,
    `Radius of the ${THIRDS[third]} third of the ${curve}, clear of the last 3 % at the tips.`,
    'arc length / turning angle',
    (f) => (curve === 'outline' ? f.planBends : f.rockerBends)[third].radius_mm,
  );
const evenness = (curve: 'outline' | 'rocker'): MeasureRow =>
  row(
    curve,
    '',
    `${curve} evenness in the middle third`,
    'How even the bend of the middle third is: 1 for an arc of a circle.',
    '1 / (1 + σ_κ / mean κ), by arc length',
    (f) => (curve === 'outline' ? f.planBends : f.rockerBends).middle.evenness,
  );
const lift = (end: 'nose' | 'tail', reading: 'middle' | 'table'): MeasureRow =>
  row(
    'rocker',
    'mm',
    `${TWELVE_WORDS[end]} lift ${reading === 'middle' ? 'from mid-length' : 'on a table'}`,
    reading === 'middle'
      ? 'Lift of the tip over the tangent of the bottom at mid-length.'
      : 'Lift of the tip over the table the board rests on, fins off.',
    reading === 'middle'
      ? 'z − z(L/2) − z′(L/2)(x − L/2)'
      : 'over the facet of the lower hull under the centre of the foam',
    (f) => f.lifts(reading)[end === 'nose' ? 'noseLift_mm' : 'tailLift_mm'],
  );
const railThickness = (words: string, where: string, read: MeasureRow['read']): MeasureRow =>
  row('rails', 'mm', `rail thickness at ${words}`, 'Deck to underside one inch in from the apex.', where, read);
const deepest = (words: string, says: string, read: MeasureRow['read']): MeasureRow =>
  row('bottom', 'mm', words, says, 'the greatest of 61 stations, as the document has it', read);
const share = (
  group: MeasureGroup,
  words: string,
  formula: string,
  read: MeasureRow['read'],
  says = `${words.replace(/^./, (c) => c.toUpperCase())}.`,
): MeasureRow => row(group, '', words, says, formula, read);

/**
 * Every number of a board that is said anywhere: on the ticket, in a comparison, in notes, traits and levers, by jt and in
 * docs/measures.md. A new measure is one row here.
 */
export const CATALOGUE = {
  length_mm: row('size', 'mm', 'length', 'Straight length, tip to tip.', 'L', (f) => f.L, {
    change: ['longer', 'shorter'],
  }),
  curveLength_mm: row(
    'size',
    'mm',
    'length along the bottom',
    'Length by a tape laid along the bottom at the stringer.',
    '∫ √(1 + z′²) dx',
    (f) => curveLength_mm(f.shape),
  ),
  width_mm: row('size', 'mm', 'width', 'Full width at the wide point.', '2 b(x_w)', (f) => f.m.width_mm, {
    change: ['wider', 'narrower'],
  }),
  thickness_mm: row(
    'size',
    'mm',
    'thickness',
    'Thickness at the stringer, where it is thickest.',
    't(x_t)',
    (f) => f.m.thickness_mm,
    {
      change: ['thicker', 'thinner'],
    },
  ),
  fullness: share('size', 'litres over length x width x thickness', 'V / (L · width · thickness)', (f) => f.fullness),

  noseWidth12_mm: row(
    'outline',
    'mm',
    'nose 12',
    'Full width 12 in from the nose tip, on the finished outline.',
    '2 b(L − 304.8)',
    (f) => f.m.noseWidth12_mm,
    { change: ['wider at nose 12', 'narrower at nose 12'] },
  ),
  tailWidth12_mm: row(
    'outline',
    'mm',
    'tail 12',
    'Full width 12 in from the tail tip, on the finished outline.',
    '2 b(304.8)',
    (f) => f.m.tailWidth12_mm,
    { change: ['wider at tail 12', 'narrower at tail 12'] },
  ),
  block_mm: row(
    'outline',
    'mm',
    'block',
    'Width across the tail block or the tips; 0 for a tail that closes.',
    'as the document has it',
    (f) => f.m.block_mm,
    { change: ['wider in the block', 'narrower in the block'] },
  ),
  widePointFromCentre_mm: row(
    'outline',
    'mm',
    'wide point ahead of centre',
    'Where it is widest, from the middle of the length; ahead is positive.',
    'x_w − L/2',
    (f) => f.m.widePointFromCentre_mm,
    { change: ['wide point ahead', 'wide point back'] },
  ),
  area_mm2: row(
    'outline',
    'mm2',
    'plan area',
    'Area of the plan, a notch left out.',
    '∫ 2 (b − n) dx',
    (f) => f.m.area_mm2,
  ),
  areaAhead_mm2: row(
    'outline',
    'mm2',
    'plan area ahead of centre',
    'Plan area ahead of the middle of the length.',
    'of the same, from L/2',
    (f) => f.area.ahead,
  ),
  areaBehind_mm2: row(
    'outline',
    'mm2',
    'plan area behind centre',
    'Plan area behind the middle of the length.',
    'of the same, to L/2',
    (f) => f.area.behind,
  ),
  areaCentre_mm: row(
    'outline',
    'mm',
    'centre of the plan ahead of centre',
    'Centroid of the plan, ahead of the middle of the length.',
    '∫ x 2(b − n) dx / area − L/2',
    (f) => f.area.centroidFromCentre_mm,
  ),
  areaBehindFins_mm2: row(
    'outline',
    'mm2',
    'plan area behind the fins',
    'Plan area behind the trailing edge of the foremost fins.',
    'of the same, to the trailing edge',
    (f) => areaBehindFins_mm2(f.shape),
  ),
  outlineRadiusTail_mm: radius('outline', 'tail'),
  outlineRadiusMiddle_mm: radius('outline', 'middle'),
  outlineRadiusNose_mm: radius('outline', 'nose'),
  outlineEvenness: evenness('outline'),
  noseShare: share('outline', 'nose 12 over the width', 'nose 12 / width', (f) => f.noseShare),
  tailShare: share('outline', 'tail 12 over the width', 'tail 12 / width', (f) => f.tailShare),
  blockShare: share('outline', 'block over the width', 'block / width', (f) => f.m.block_mm / f.m.width_mm),
  wideShare: share('outline', 'wide point ahead of centre, over the length', '(x_w − L/2) / L', (f) => f.wideShare),
  areaCentreShare: share(
    'outline',
    'centre of the plan ahead of centre, over the length',
    'centroid / L',
    (f) => f.areaCentreShare,
  ),
  straightness: share(
    'outline',
    'outline radius of the middle third over the length',
    'R / L',
    (f) => f.straightness,
    'Radius of the outline’s middle third over the length: large is a straight rail line.',
  ),
  wingDepth_mm: row(
    'outline',
    'mm',
    'depth of the wings',
    'All wings together, each side.',
    'Σ depth',
    (f) => f.wingDepth_mm,
  ),
  wingShare: share('outline', 'wings over the width', 'Σ depth / width', (f) => f.wingDepth_mm / f.m.width_mm),
  wingFrom_mm: row(
    'outline',
    'mm',
    'foremost wing from the tail',
    'Where the foremost wing begins; 0 for none.',
    'the greatest',
    (f) => f.wingFrom_mm,
  ),
  wingRaised: share('outline', 'how far the wing is raised', 'the greatest', (f) =>
    Math.max(0, ...f.board.outline.wings.map(({ raised }) => raised)),
  ),

  noseRocker_mm: row(
    'rocker',
    'mm',
    'nose lift',
    'Nose tip over the tangent of the bottom at the flat point.',
    'z(L)',
    (f) => f.m.noseRocker_mm,
    { change: ['more nose lift', 'less nose lift'] },
  ),
  tailRocker_mm: row(
    'rocker',
    'mm',
    'tail lift',
    'Tail tip over the tangent of the bottom at the flat point.',
    'z(0)',
    (f) => f.m.tailRocker_mm,
    { change: ['more tail lift', 'less tail lift'] },
  ),
  noseRocker12_mm: row(
    'rocker',
    'mm',
    'lift at nose 12',
    'The same, 12 in from the nose tip.',
    'z(L − 304.8)',
    (f) => f.m.noseRocker12_mm,
  ),
  tailRocker12_mm: row(
    'rocker',
    'mm',
    'lift at tail 12',
    'The same, 12 in from the tail tip.',
    'z(304.8)',
    (f) => f.m.tailRocker12_mm,
  ),
  noseRockerMiddle_mm: lift('nose', 'middle'),
  tailRockerMiddle_mm: lift('tail', 'middle'),
  noseRockerTable_mm: lift('nose', 'table'),
  tailRockerTable_mm: lift('tail', 'table'),
  noseRail12_mm: row(
    'rocker',
    'mm',
    'rail line at nose 12',
    'The bottom edge of the rail 12 in from the nose tip.',
    'z + height of the bottom at its edge',
    (f) => railLineAt(f.shape, f.L - TWELVE_mm),
  ),
  tailRail12_mm: row(
    'rocker',
    'mm',
    'rail line at tail 12',
    'The bottom edge of the rail 12 in from the tail tip.',
    'z + height of the bottom at its edge',
    (f) => railLineAt(f.shape, TWELVE_mm),
  ),
  flatLength_mm: row(
    'rocker',
    'mm',
    'flattest part, length',
    'The longest straightedge with no more than 1/32 in of light under it.',
    'by stations along the bottom',
    (f) => f.flattest.length_mm,
  ),
  flatMiddle_mm: row(
    'rocker',
    'mm',
    'flattest part, its middle from the tail',
    'Where the middle of that straightedge lies.',
    'by stations along the bottom',
    (f) => f.flattest.middle_mm,
  ),
  rockerRadiusTail_mm: radius('rocker', 'tail'),
  rockerRadiusMiddle_mm: radius('rocker', 'middle'),
  rockerRadiusNose_mm: radius('rocker', 'nose'),
  rockerEvenness: evenness('rocker'),
  noseRockerShare: share('rocker', 'nose lift over the length', 'z(L) / L', (f) => f.noseRockerShare),
  tailRockerShare: share('rocker', 'tail lift over the length', 'z(0) / L', (f) => f.tailRockerShare),
  entryShare: share(
    'rocker',
    'lift at nose 12 over the lift of the tip',
    'z(L − 304.8) / z(L)',
    (f) => f.entryShare,
    'Lift at nose 12 over the lift of the tip: small is a late flip, large an even entry.',
  ),
  tailKick: share(
    'rocker',
    'lift at tail 12 over the lift of the tip',
    'z(304.8) / z(0)',
    (f) => f.tailKick,
    'Lift at tail 12 over the lift of the tip: small is a kick at the very end.',
  ),
  flatShare: share('rocker', 'flattest part over the length', 'straightedge / L', (f) => f.flatShare),

  noseThickness12_mm: row(
    'foil',
    'mm',
    'thick at nose 12',
    'Foam at the stringer 12 in from the nose, by callipers.',
    't(L − 304.8)',
    (f) => f.m.noseThickness12_mm,
    { short: 'thick N12' },
  ),
  tailThickness12_mm: row(
    'foil',
    'mm',
    'thick at tail 12',
    'Foam at the stringer 12 in from the tail, by callipers.',
    't(304.8)',
    (f) => f.m.tailThickness12_mm,
    { short: 'thick T12' },
  ),
  foilBiasShare: share(
    'foil',
    'nose less tail thickness at 12, over the thickness',
    '(t(L − 304.8) − t(304.8)) / thickness',
    (f) => f.foilBias_mm / f.m.thickness_mm,
  ),
  foilBias12_mm: row(
    'foil',
    'mm',
    'nose less tail thickness at 12',
    'How much thicker it is 12 in from the nose than 12 in from the tail.',
    't(L − 304.8) − t(304.8)',
    (f) => foilDifferences(f.shape, [12])[0].difference_mm,
  ),

  railThicknessNose12_mm: railThickness('nose 12', 'at L − 304.8', (f) => f.railThickNose_mm),
  railThicknessWide_mm: railThickness('the wide point', 'at x_w', (f) => f.railThickWide_mm),
  railThicknessTail12_mm: railThickness('tail 12', 'at 304.8', (f) => f.railThickTail_mm),
  railFullness: share('rails', 'fullness of the rail at the wide point', 'as blended at x_w', (f) => f.railFullness),
  railApex: share('rails', 'height of the apex at the wide point', 'as blended at x_w', (f) => f.railWide.apex),
  railEdgeWide: share('rails', 'edge at the wide point', 'as blended at x_w', (f) => f.railWide.edge),
  railEdgeTail: share('rails', 'edge at tail 4', 'as blended 4 in up', (f) => f.railTail.edge),
  railEdgeNose: share('rails', 'edge at nose 12', 'as blended at L − 304.8', (f) => f.railNose.edge),
  hardTo_mm: row(
    'rails',
    'mm',
    'hard edge from the tail',
    'Where the hard edge (over a third) ends, from the tail; 0 when there is none.',
    'by half inches',
    (f) => f.hardTo_mm,
  ),

  concaveDepth_mm: deepest(
    'depth of the concave',
    'The deepest of single, narrow and triple, 10 in of nose left out.',
    (f) => f.concaveDepth_mm,
  ),
  concaveAtShare: share(
    'bottom',
    'where the concave is deepest, over the length',
    'its station / L',
    (f) => f.concave.at_mm / f.L,
  ),
  tailVee_mm: deepest('vee in the tail', 'The deepest vee within the last three tenths.', (f) => f.tailVee_mm),
  tailVeeShare: share(
    'bottom',
    'vee in the tail over its half width',
    '2 vee / tail 12',
    (f) => (2 * f.tailVee_mm) / f.m.tailWidth12_mm,
  ),
  foreVee_mm: deepest(
    'vee or roll forward',
    'The deepest vee and roll ahead of 0.55 of the length.',
    (f) => f.foreVee_mm,
  ),
  foreVeeShare: share(
    'bottom',
    'vee or roll forward over the half width',
    '2 vee / width',
    (f) => (2 * f.foreVee_mm) / f.m.width_mm,
  ),
  roll_mm: deepest('roll', 'The deepest roll.', (f) => f.roll_mm),
  tailRoll_mm: deepest('roll in the tail', 'The deepest roll within the last quarter.', (f) => f.tailRoll_mm),
  tailRollShare: share(
    'bottom',
    'roll in the tail over its half width',
    '2 roll / tail 12',
    (f) => (2 * f.tailRoll_mm) / f.m.tailWidth12_mm,
  ),
  noseConcave_mm: deepest('nose concave', 'The deepest nose concave of the front half.', (f) => f.noseConcave_mm),
  noseHollow_mm: deepest(
    'hollow at the nose',
    'The deepest hollow from 12 to 2 in from the nose.',
    (f) => f.noseHollow_mm,
  ),
  bevel_mm: deepest('bevel', 'The deepest bevel.', (f) => f.bevel_mm),
  bevelShare: share('bottom', 'bevel over the half width', '2 bevel / width', (f) => (2 * f.bevel_mm) / f.m.width_mm),
  concaveShare: share(
    'bottom',
    'concave over the half width',
    '2 concave / width',
    (f) => (2 * f.concaveDepth_mm) / f.m.width_mm,
  ),
  doubleShare: share(
    'bottom',
    'double concave over the half width',
    '2 double / width',
    (f) => (2 * f.deepest(['double']).depth_mm) / f.m.width_mm,
  ),
  channels_mm: deepest('depth of the channels', 'The deepest channels.', (f) => f.channels_mm),
  blendSlope: share(
    'bottom',
    'steepest blend of a contour',
    'depth over an inch of length',
    (f) => f.blendSlope,
    'The steepest a contour comes in or goes out: depth over length.',
  ),

  volume_L: row(
    'volume',
    'L',
    'litres',
    'Shaped foam: the integral of the section areas along the board.',
    '∫ A dx',
    (f) => f.m.volume_L,
  ),
  volumeAhead_L: row(
    'volume',
    'L',
    'litres ahead of centre',
    'Foam ahead of the middle of the length.',
    'of the same, from L/2',
    (f) => f.foam.ahead,
  ),
  volumeBehind_L: row(
    'volume',
    'L',
    'litres behind centre',
    'Foam behind the middle of the length.',
    'of the same, to L/2',
    (f) => f.foam.behind,
  ),
  foamCentre_mm: row(
    'volume',
    'mm',
    'centre of the foam ahead of centre',
    'Centroid of the foam, ahead of the middle of the length.',
    '∫ x A dx / V − L/2',
    (f) => f.foam.centroidFromCentre_mm,
  ),
  foamCentreShare: share(
    'volume',
    'centre of the foam ahead of centre, over the length',
    'centroid / L',
    (f) => f.foamCentreShare,
  ),
  chest_L: row(
    'volume',
    'L',
    'litres under the chest',
    'Foam within 9 in of the chest in paddling.',
    '∫ A over 0.62 L ± 228.6',
    (f) => f.under.chest_L,
  ),
  chestShare: share('volume', 'litres under the chest over all', 'chest / V', (f) => f.chestShare),
  frontFoot_L: row(
    'volume',
    'L',
    'litres under the front foot',
    'Foam within 6 in of the front foot, a stance ahead of the back one: 0.29 of the rider’s height, 1750 mm if unknown.',
    '∫ A over the foot ± 152.4',
    (f) => f.under.frontFoot_L,
  ),
  backFoot_L: row(
    'volume',
    'L',
    'litres under the back foot',
    'Foam within 6 in of the back foot.',
    '∫ A over 0.17 L ± 152.4',
    (f) => f.under.backFoot_L,
  ),

  deckSkin_mm2: row(
    'skin',
    'mm2',
    'deck surface',
    'Apex to apex over the deck: what cloth covers without laps.',
    'Σ facets of a 120 × 96 solid',
    (f) => f.skin.deck_mm2,
  ),
  bottomSkin_mm2: row(
    'skin',
    'mm2',
    'wetted surface',
    'Apex to apex under the board: wetted with the rail not buried.',
    'Σ facets of a 120 × 96 solid',
    (f) => f.skin.bottom_mm2,
  ),
  skin_mm2: row(
    'skin',
    'mm2',
    'whole surface',
    'Both, with the faces of a block and the walls of a notch.',
    'Σ facets of a 120 × 96 solid',
    (f) => f.skin.total_mm2,
  ),

  finArea_mm2: row(
    'fins',
    'mm2',
    'area of the fins',
    'One side of every fin, pairs twice.',
    'Σ areas',
    (f) => f.finArea_mm2,
  ),
  riddenFinArea_mm2: row(
    'fins',
    'mm2',
    'area of the fins as ridden',
    'One side of every fin in the water: of five boxes three are ridden.',
    'Σ areas, rear boxes of five left out',
    (f) => f.riddenFinArea_mm2,
  ),
  centreFinAreaShare: share(
    'fins',
    'centre fin over all fins by area, as ridden',
    'A(centre) / Σ areas',
    (f) => f.centreFinAreaShare,
  ),
  finAreaShare: share(
    'fins',
    'area of the fins over the usual',
    'Σ areas / usual ones of the setup',
    (f) => f.finAreaShare,
  ),
  finCentre_mm: row(
    'fins',
    'mm',
    'centre of the fins from the tail',
    'Centre of the area of all fins, along the stringer.',
    'Σ area × (trailing edge + centroid) / Σ areas',
    (f) => f.finCentre_mm,
  ),
  finCentreDepth_mm: row(
    'fins',
    'mm',
    'centre of the fins below the bottom',
    'Centre of the area of all fins, square to the board.',
    'Σ area × centroid / Σ areas',
    (f) => f.finCentreDepth_mm,
  ),
  finSlenderness: share(
    'fins',
    'depth to area of the foremost fins',
    'depth² / area',
    (f) => f.finSlenderness,
    'Depth squared over the area of one side: slender is more.',
  ),
  finSetRatio: share(
    'fins',
    'set ratio',
    'area / area',
    (f) => f.finSetRatio,
    'Area of the rear or centre fin over that of one front fin; 0 unless there are both.',
  ),
  centreFinShare: share(
    'fins',
    'centre fin over a side fin',
    'area / area',
    (f) => f.centreShare ?? 0,
    'Area of the centre fin over that of one side fin; 0 unless there are both.',
  ),
  leadRear_mm: row(
    'fins',
    'mm',
    'foremost fins from the tail',
    'Trailing edge of the foremost fins, from the tail.',
    'as the document has it',
    (f) => f.leadRear_mm,
  ),
  finsAhead_mm: row(
    'fins',
    'mm',
    'fins ahead of their usual place',
    'How far the foremost fins sit ahead of where the setup usually goes on such a board.',
    'trailing edge less the usual',
    (f) => f.finsAhead_mm,
  ),
  finsAheadShare: share(
    'fins',
    'fins ahead of their usual place, over the length',
    'the same / L',
    (f) => f.finsAhead_mm / f.L,
  ),
  finDepth_mm: row(
    'fins',
    'mm',
    'depth of the deepest fin',
    'Square to the board.',
    'the greatest',
    (f) => f.finDepth_mm,
  ),
  finBase_mm: row(
    'fins',
    'mm',
    'base of the foremost fins',
    'Along the board.',
    'as the document has it',
    (f) => f.finBase_mm,
  ),
  finRake_rad: row(
    'fins',
    'rad',
    'rake of the fins',
    'Sweep of the foremost fins, from mid-base to mid-tip.',
    'as the document has it',
    (f) => f.finRake_rad,
  ),
  finTip: share('fins', 'tip of the foremost fins over their base', 'as the document has it', (f) => f.finTip),
  toe_rad: row(
    'fins',
    'rad',
    'toe',
    'How far the front pair is turned in.',
    'as the document has it',
    (f) => f.front?.toe_rad ?? 0,
  ),
  cant_rad: row(
    'fins',
    'rad',
    'cant',
    'Lean of the front pair outward from upright.',
    'as the document has it',
    (f) => f.front?.cant_rad ?? 0,
  ),
} as const satisfies Readonly<Record<string, MeasureRow>>;
export type MeasureKey = keyof typeof CATALOGUE;

export const MEASURE_KEYS = Object.keys(CATALOGUE) as MeasureKey[];

/** A measure's words at the start of a line. */
export const titleOf = (key: MeasureKey): string => measureOf(key).words.replace(/^./, (c) => c.toUpperCase());

/** The row as the interface it fulfils, whatever is known of this one. */
export const measureOf = (key: MeasureKey): MeasureRow => CATALOGUE[key];
