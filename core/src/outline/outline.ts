import type { OutlineDocument } from '../document/schema.ts';
import { type Anchors, stationOfMark } from '../document/station.ts';
import type { FairCurve } from '../curve/fairCurve.ts';
import { type CurveMark, curveMark } from '../curve/curveMark.ts';
import { type Batten, sprungThrough } from '../curve/spring.ts';
import { closedOutline, hasBlock, notchAt, tailEnd, type TailEnd, TIP_REACH, tipShare } from './tails.ts';
import { wingsAt } from './wings.ts';

/** The finite end angle of a block tail or a pin. 40 degrees: the fairest over five boards, docs/formulas.md. */
const FINITE_END_rad = (40 * Math.PI) / 180;

/** Conditions of the batten before the first mark of the document: the wide point's width, and that it is level there. */
export const OWN_OUTLINE_MARKS = 2;

/** The plan of one side. */
export interface Outline {
  readonly document: OutlineDocument;
  readonly length_mm: number;
  readonly wide_mm: number;
  /** The batten before wings and tail corners. */
  readonly base: FairCurve;
  /** What it is sprung through: OWN_OUTLINE_MARKS of the board's own, then the document's marks in their order. */
  readonly batten: Batten;
  readonly end: TailEnd;
  /** Plan radius of the tip of a pointed nose; 0 for a needle, and for a round nose, which is one by itself. */
  readonly noseTip_mm: number;
  /** Base half width where the tail's corner work begins. */
  readonly atCorner_mm: number;
  /** Stations where the plan or its slope breaks: wings, tail corners, the crotch. Sorted, inside the board. */
  readonly breaks: readonly number[];
}

/**
 * The outline sprung through its marks, wings and tail included: marks hold on the finished outline.
 * @throws RangeError for marks no curve can meet (two widths at one station).
 */
export function sprungOutline(document: OutlineDocument, anchors: Anchors, previous?: Outline): Outline {
  const { length_mm, wide_mm } = anchors;
  const end = tailEnd(document.tail);
  const marks: CurveMark[] = [
    { kind: 'value', x_mm: wide_mm, value_mm: document.width_mm / 2 + wingsAt(document, wide_mm) },
    { kind: 'slope', x_mm: wide_mm, slope: 0 },
  ];
  for (const mark of document.marks) {
    const x_mm = stationOfMark(mark, anchors);
    const value_mm = mark.value_mm / 2 + wingsAt(document, x_mm);
    marks.push(curveMark(x_mm, value_mm, mark.give_mm));
  }
  if (!end.round) {
    marks.push({ kind: 'value', x_mm: 0, value_mm: end.block_mm + wingsAt(document, 0) });
  }
  const { nose } = document;
  const noseTip_mm = noseTipOf(document);
  if (nose.kind === 'pointed') marks.push({ kind: 'value', x_mm: length_mm, value_mm: noseTip_mm });
  else if (nose.radius_mm !== undefined) {
    marks.push({ kind: 'tipRadius', end: 'nose', radius_mm: nose.radius_mm });
  }
  const batten: Batten = {
    length_mm,
    tail_rad: end.round ? Math.PI / 2 : FINITE_END_rad,
    nose_rad: nose.kind === 'round' ? Math.PI / 2 : nose.curve_rad,
    marks,
    bend: 'in',
  };
  const base = sprungThrough(batten, previous?.base);
  const breaks = document.wings.flatMap((wing) => [wing.fromTail_mm, wing.fromTail_mm - wing.length_mm]);
  if (end.corner_mm > 0) breaks.push(end.corner_mm);
  if (end.notch_mm > 0) breaks.push(end.notch_mm);
  if (noseTip_mm > 0) breaks.push(length_mm - TIP_REACH * noseTip_mm);
  return {
    document,
    length_mm,
    wide_mm,
    base,
    batten,
    end,
    noseTip_mm,
    atCorner_mm: base.valueAt(end.corner_mm) - wingsAt(document, end.corner_mm),
    breaks: breaks.filter((x) => x > 0 && x < length_mm).sort((a, b) => a - b),
  };
}

function noseTipOf({ nose }: OutlineDocument): number {
  return nose.kind === 'pointed' ? nose.tip_mm : 0;
}

/** The batten ends in this half width at the nose and the tail, before they are closed; 0 for a round end. */
export function battenEnds(document: OutlineDocument): { nose_mm: number; tail_mm: number } {
  return { nose_mm: noseTipOf(document), tail_mm: tailEnd(document.tail).block_mm };
}

/** How far from each end the plan is the end's own and no longer the batten's: there no mark can hold. mm. */
export function endReach(document: OutlineDocument): { nose_mm: number; tail_mm: number } {
  return { nose_mm: TIP_REACH * noseTipOf(document), tail_mm: tailEnd(document.tail).corner_mm };
}

/** Half width of the finished plan at x, mm; 0 beyond the tips. */
export function halfBreadthAt(outline: Outline, x_mm: number): number {
  if (x_mm < 0 || x_mm > outline.length_mm) return 0;
  const tip = tipShare(outline.noseTip_mm, outline.length_mm - x_mm);
  const plain = tip * outline.base.valueAt(x_mm) - wingsAt(outline.document, x_mm);
  return Math.max(leastHalfBreadth(outline, x_mm), closedOutline(outline.end, x_mm, plain, outline.atCorner_mm));
}

/** A board whose marks would pinch it off is kept this wide, so that it stays one solid; its hollow is reported. */
const LEAST_HALF_mm = 2;
const LEAST_SLOPE = 0.02;

function leastHalfBreadth(outline: Outline, x_mm: number): number {
  const { end, length_mm } = outline;
  const tail = end.block_mm > 0 && end.tip_mm === 0 ? Infinity : x_mm;
  return notchAt(end, x_mm) + Math.min(LEAST_HALF_mm, LEAST_SLOPE * Math.min(tail, length_mm - x_mm));
}

/** Half width of the notch of a swallow or half-moon at x; 0 elsewhere. */
export function notchHalfBreadthAt(outline: Outline, x_mm: number): number {
  return outline.end.notch_mm > 0 ? notchAt(outline.end, x_mm) : 0;
}

/** The mark without which the batten is sprung again, to show what the batten alone would take there. */
export function battenAlone(document: OutlineDocument, anchors: Anchors, index: number): number {
  const mark = document.marks[index];
  const without = { ...document, marks: document.marks.filter((_, i) => i !== index) };
  return 2 * halfBreadthAt(sprungOutline(without, anchors), stationOfMark(mark, anchors));
}

/** Half the outline as points, tail to nose, from the stringer at the tail; the finished plan, closer where it turns. */
export function outlinePoints(outline: Outline, count = 240): { x_mm: number; y_mm: number }[] {
  const stations = new Set<number>(outline.breaks);
  for (let k = 0; k < count; k++) stations.add((outline.length_mm * (1 - Math.cos((Math.PI * k) / (count - 1)))) / 2);
  const { corner_mm } = outline.end;
  for (let k = 1; k < 24 && corner_mm > 0; k++) stations.add(corner_mm * (1 - Math.cos((Math.PI * k) / 48)));
  const nose_mm = TIP_REACH * outline.noseTip_mm;
  for (let k = 1; k < 24 && nose_mm > 0; k++) {
    stations.add(outline.length_mm - nose_mm * (1 - Math.cos((Math.PI * k) / 48)));
  }
  for (const wing of outline.document.wings) {
    for (let k = 1; k < 8; k++) stations.add(wing.fromTail_mm - (wing.length_mm * k) / 8);
  }
  const sorted = [...stations].filter((x) => x >= 0 && x <= outline.length_mm).sort((a, b) => a - b);
  const points = sorted.map((x_mm) => ({ x_mm, y_mm: halfBreadthAt(outline, x_mm) }));
  const { end } = outline;
  if (end.notch_mm === 0) return [{ x_mm: 0, y_mm: 0 }, ...points];
  const inner: { x_mm: number; y_mm: number }[] = [];
  const steps = end.notchShape === 'moon' ? 40 : 1;
  for (let k = 0; k <= steps; k++) {
    const x_mm = end.notch_mm * Math.cos((Math.PI / 2) * (k / steps));
    inner.push({ x_mm: k === steps ? 0 : x_mm, y_mm: notchAt(end, k === steps ? 0 : x_mm) });
  }
  return [...inner, ...points];
}

export { hasBlock };
