import { LAYERS } from '../document/kinds.ts';
import { type Board, type FinBox, LAYER_KINDS, type LayerKind, type TailKind } from '../document/schema.ts';
import type { Shape } from '../shape/shape.ts';
import { bendsByThird, flattestPart } from './bend.ts';
import { areaSpread_mm2, type Feet, foamSpread_L, litresUnder, type Spread, usualFeet } from './distribution.ts';
import { type RockerReading, type TipLifts, tipLifts } from './rockerReading.ts';
import { type Skin, skinOf } from './skin.ts';
import { measure, type Measures, TWELVE_mm } from './measure.ts';
import { railThicknessAt } from './stationTable.ts';
import { blendAt } from '../curve/blend.ts';
import { finBoxes } from '../fins/placement.ts';
import { finArea_mm2, finCentroid } from '../fins/finShape.ts';
import { railAt, type RailAt } from '../rails/rails.ts';
import { INCH_mm } from '../units/length.ts';

/** Contours whose own number hollows the bottom. */
const HOLLOWS = LAYER_KINDS.filter((kind) => LAYERS[kind].hollows);

/**
 * One shape read: what measures, rules, traits and levers share, each worked out once and only when asked for. Lengths in mm,
 * shares plain; x from the tail. A number of it that is said to people is a row of the catalogue.
 */
export class Facts {
  readonly shape: Shape;
  readonly board: Board;
  private readonly kept = new Map<string, unknown>();
  private readonly height_mm: number | undefined;

  constructor(shape: Shape, height_mm?: number) {
    this.shape = shape;
    this.board = shape.board;
    this.height_mm = height_mm;
  }

  /** Another shape read for the same rider. */
  of(shape: Shape): Facts {
    return new Facts(shape, this.height_mm);
  }

  private once<T>(key: string, work: () => T): T {
    if (!this.kept.has(key)) this.kept.set(key, work());
    return this.kept.get(key) as T;
  }

  get m(): Measures {
    return this.once('m', () => measure(this.shape));
  }
  get L(): number {
    return this.board.length_mm;
  }
  /** Widths 12 in from the ends as shares of the width. */
  get tailShare(): number {
    return this.m.tailWidth12_mm / this.m.width_mm;
  }
  get noseShare(): number {
    return this.m.noseWidth12_mm / this.m.width_mm;
  }
  /** Wide point ahead of centre as a share of the length. */
  get wideShare(): number {
    return this.m.widePointFromCentre_mm / this.L;
  }
  get rockerBends(): ReturnType<typeof bendsByThird> {
    return this.once('rockerBends', () => bendsByThird(this.shape.rocker.line));
  }
  get planBends(): ReturnType<typeof bendsByThird> {
    return this.once('planBends', () => bendsByThird(this.shape.outline.base));
  }
  /** Radius of the outline's middle third over the length: large is a straight rail line. */
  get straightness(): number {
    return this.planBends.middle.radius_mm / this.L;
  }
  get noseRockerShare(): number {
    return this.m.noseRocker_mm / this.L;
  }
  get tailRockerShare(): number {
    return this.m.tailRocker_mm / this.L;
  }
  /** Lift at nose 12 over the lift of the tip: small is a late flip, large an even entry. */
  get entryShare(): number {
    return this.m.noseRocker12_mm / this.m.noseRocker_mm;
  }
  get tailKick(): number {
    return this.m.tailRocker12_mm / this.m.tailRocker_mm;
  }
  get flatShare(): number {
    return this.flattest.length_mm / this.L;
  }
  get rockerEvenness(): number {
    return this.rockerBends.middle.evenness;
  }
  /** Nose less tail thickness 12 in from the ends. */
  get foilBias_mm(): number {
    return this.m.noseThickness12_mm - this.m.tailThickness12_mm;
  }
  get fullness(): number {
    return (this.m.volume_L * 1e6) / (this.L * this.m.width_mm * this.m.thickness_mm);
  }
  get feet(): Feet {
    return this.once('feet', () => usualFeet(this.L, this.height_mm));
  }
  get foam(): Spread {
    return this.once('foamSpread', () => foamSpread_L(this.shape));
  }
  get area(): Spread {
    return this.once('areaSpread', () => areaSpread_mm2(this.shape));
  }
  get skin(): Skin {
    return this.once('skin', () => skinOf(this.shape, { stations: 120, ring: 96 }));
  }
  get flattest(): ReturnType<typeof flattestPart> {
    return this.once('flattest', () => flattestPart(this.shape));
  }
  /** The same within the stance and a sixth of it past either foot. */
  get flatUnderFeet(): ReturnType<typeof flattestPart> {
    return this.once('flatUnderFeet', () => {
      const { backFoot_mm, frontFoot_mm } = this.feet;
      const stance = frontFoot_mm - backFoot_mm;
      return flattestPart(this.shape, { from_mm: backFoot_mm - stance / 6, to_mm: frontFoot_mm + stance / 6 });
    });
  }
  lifts(reading: RockerReading): TipLifts {
    return this.once(`lifts ${reading}`, () => tipLifts(this.shape, reading));
  }
  get under(): { chest_L: number; frontFoot_L: number; backFoot_L: number } {
    return this.once('under', () => litresUnder(this.shape, this.feet));
  }
  get chestShare(): number {
    return this.under.chest_L / this.m.volume_L;
  }
  get foamCentreShare(): number {
    return this.foam.centroidFromCentre_mm / this.L;
  }
  get areaCentreShare(): number {
    return this.area.centroidFromCentre_mm / this.L;
  }

  rail(x_mm: number): RailAt {
    return this.once(`rail${x_mm}`, () => railAt(this.shape.rails, x_mm));
  }
  get railWide(): RailAt {
    return this.rail(this.shape.outline.wide_mm);
  }
  get railTail(): RailAt {
    return this.rail(4 * INCH_mm);
  }
  get railNose(): RailAt {
    return this.rail(this.L - TWELVE_mm);
  }
  get railFullness(): number {
    return this.railWide.fullness;
  }
  /** Deck to underside one inch in from the apex: at nose 12, the wide point, tail 12. */
  get railThickNose_mm(): number {
    return this.once('railThickNose', () => railThicknessAt(this.shape, this.L - TWELVE_mm));
  }
  get railThickWide_mm(): number {
    return this.once('railThickWide', () => railThicknessAt(this.shape, this.shape.outline.wide_mm));
  }
  get railThickTail_mm(): number {
    return this.once('railThickTail', () => railThicknessAt(this.shape, TWELVE_mm));
  }
  /** Where the hard edge (edge over a third) ends, from the tail; 0 when there is none. */
  get hardTo_mm(): number {
    return this.once('hardTo', () => {
      let hard = 0;
      for (let x = INCH_mm; x < this.L; x += INCH_mm / 2) {
        if (this.rail(x).edge > 0.34) hard = x;
        else if (x > hard + 4 * INCH_mm) break;
      }
      return hard;
    });
  }

  /** Depth of all layers of these kinds at x, as the document has it. */
  depth(kinds: readonly LayerKind[], x_mm: number): number {
    let sum = 0;
    for (const { layer, depth } of this.shape.bottom.layers) {
      if (kinds.includes(layer.kind)) sum += blendAt(depth, x_mm);
    }
    return sum;
  }
  /** The deepest of these kinds between two stations, and where. */
  deepest(kinds: readonly LayerKind[], from_mm = 0, to_mm = this.L): { depth_mm: number; at_mm: number } {
    return this.once(`deepest ${kinds.join(' ')} ${from_mm} ${to_mm}`, () => {
      let best = { depth_mm: 0, at_mm: from_mm };
      for (let k = 0; k <= 60; k++) {
        const at_mm = from_mm + ((to_mm - from_mm) * k) / 60;
        const depth_mm = this.depth(kinds, at_mm);
        if (depth_mm > best.depth_mm) best = { depth_mm, at_mm };
      }
      return best;
    });
  }
  get concave(): { depth_mm: number; at_mm: number } {
    return this.deepest(['single', 'narrow', 'triple'], 0, this.L - 10 * INCH_mm);
  }
  get concaveDepth_mm(): number {
    return this.concave.depth_mm;
  }
  get tailVee_mm(): number {
    return this.deepest(['vee'], 0, 0.3 * this.L).depth_mm;
  }
  get foreVee_mm(): number {
    return this.deepest(['vee', 'roll'], 0.55 * this.L, this.L - 4 * INCH_mm).depth_mm;
  }
  get roll_mm(): number {
    return this.deepest(['roll']).depth_mm;
  }
  get tailRoll_mm(): number {
    return this.deepest(['roll'], 0, 0.25 * this.L).depth_mm;
  }
  get noseConcave_mm(): number {
    return this.deepest(['teardrop'], 0.5 * this.L).depth_mm;
  }
  /** Hollow within the last 12 in of a nose that is no nose rider's. */
  get noseHollow_mm(): number {
    return this.deepest(HOLLOWS, this.L - TWELVE_mm, this.L - 2 * INCH_mm).depth_mm;
  }
  get bevel_mm(): number {
    return this.deepest(['bevel']).depth_mm;
  }
  get channels_mm(): number {
    return this.deepest(['channels']).depth_mm;
  }
  /** The steepest a contour comes in or goes out: mm of depth a mm of length, and of which kind. */
  get steepestBlend(): { slope: number; kind: LayerKind | undefined } {
    return this.once('blend', () => {
      let best: { slope: number; kind: LayerKind | undefined } = { slope: 0, kind: undefined };
      for (const { layer, depth } of this.shape.bottom.layers) {
        for (let x = INCH_mm; x < this.L - INCH_mm; x += INCH_mm) {
          const slope = Math.abs(blendAt(depth, x + INCH_mm / 2) - blendAt(depth, x - INCH_mm / 2)) / INCH_mm;
          if (slope > best.slope) best = { slope, kind: layer.kind };
        }
      }
      return best;
    });
  }
  get blendSlope(): number {
    return this.steepestBlend.slope;
  }

  get tail(): TailKind {
    return this.board.outline.tail.kind;
  }
  /** All wings together, each side. */
  get wingDepth_mm(): number {
    return this.board.outline.wings.reduce((sum, wing) => sum + wing.depth_mm, 0);
  }
  /** The foremost wing, from the tail; 0 for none. */
  get wingFrom_mm(): number {
    return Math.max(0, ...this.board.outline.wings.map((wing) => wing.fromTail_mm));
  }

  get front(): FinBox | undefined {
    return this.board.fins.boxes.find((box) => box.role === 'front');
  }
  get centre(): FinBox | undefined {
    return this.board.fins.boxes.find((box) => box.role === 'centre');
  }
  get several(): boolean {
    return this.front !== undefined;
  }
  /** The foremost box: what the board turns about. */
  get lead(): FinBox | undefined {
    return this.front ?? this.centre;
  }
  get leadRear_mm(): number {
    return this.lead?.trailingEdge_mm ?? 0;
  }
  /** How far the foremost fins sit ahead of where the setup usually goes on such a board. */
  get finsAhead_mm(): number {
    return this.once('finsAhead', () => {
      const usual = finBoxes(this.board.fins.setup, this.board.family, this.L, this.m.tailWidth12_mm);
      const box = usual.boxes.find((entry) => entry.role === this.lead?.role);
      return box && this.lead ? this.lead.trailingEdge_mm - box.trailingEdge_mm : 0;
    });
  }
  /** Area of all fins, pairs twice. */
  get finArea_mm2(): number {
    return this.board.fins.boxes.reduce(
      (sum, { role, template }) => sum + (role === 'centre' ? 1 : 2) * finArea_mm2(template),
      0,
    );
  }
  /** Boxes that have a fin in the water: of five the rear pair stays empty. */
  private get ridden(): FinBox[] {
    const { setup, boxes } = this.board.fins;
    return setup === 'fiveBox' ? boxes.filter(({ role }) => role !== 'rear') : boxes;
  }
  get riddenFinArea_mm2(): number {
    return this.ridden.reduce(
      (sum, { role, template }) => sum + (role === 'centre' ? 1 : 2) * finArea_mm2(template),
      0,
    );
  }
  /** The centre fin's part of the area in the water. */
  get centreFinAreaShare(): number {
    const { centre } = this;
    return centre ? finArea_mm2(centre.template) / this.riddenFinArea_mm2 : 0;
  }
  /** Area of the fins against the usual ones of the setup. */
  get finAreaShare(): number {
    return this.once('finAreaShare', () => {
      const { boxes } = finBoxes(this.board.fins.setup, this.board.family, this.L, this.m.tailWidth12_mm);
      const usual = boxes.reduce((s, { role, template }) => s + (role === 'centre' ? 1 : 2) * finArea_mm2(template), 0);
      return usual > 0 ? this.finArea_mm2 / usual : 1;
    });
  }
  get finRake_rad(): number {
    return this.lead?.template.rake_rad ?? 0;
  }
  get finTip(): number {
    return this.lead?.template.tip ?? 0;
  }
  get finBase_mm(): number {
    return this.lead?.template.base_mm ?? 0;
  }
  get finDepth_mm(): number {
    return Math.max(0, ...this.board.fins.boxes.map((box) => box.template.depth_mm));
  }
  /** Centre of the area of all fins, from the tail along the stringer; 0 without fins. */
  get finCentre_mm(): number {
    return this.overFins(({ trailingEdge_mm, template }) => trailingEdge_mm + finCentroid(template).x_mm);
  }
  /** Centre of the area of all fins, below their bases; 0 without fins. */
  get finCentreDepth_mm(): number {
    return this.overFins(({ template }) => finCentroid(template).z_mm);
  }
  /** A number of each box, meant over the area of the fins. */
  private overFins(read: (box: FinBox) => number): number {
    const total = this.finArea_mm2;
    if (total === 0) return 0;
    const sum = this.board.fins.boxes.reduce(
      (s, box) => s + (box.role === 'centre' ? 1 : 2) * finArea_mm2(box.template) * read(box),
      0,
    );
    return sum / total;
  }
  /** Square of the depth over the area of the foremost fins: slender is more. */
  get finSlenderness(): number {
    return this.lead ? this.lead.template.depth_mm ** 2 / finArea_mm2(this.lead.template) : 0;
  }
  /** The fin behind the front pair, a rear or a centre one, over one of that pair by area; 0 unless there are both. */
  get finSetRatio(): number {
    const behind = this.board.fins.boxes.find(({ role }) => role !== 'front');
    return this.front && behind ? finArea_mm2(behind.template) / finArea_mm2(this.front.template) : 0;
  }
  /** Centre fin's area over one side fin's; undefined unless there are both. */
  get centreShare(): number | undefined {
    return this.centre && this.front ? finArea_mm2(this.centre.template) / finArea_mm2(this.front.template) : undefined;
  }
}
