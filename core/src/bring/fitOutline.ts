import {
  MOST_MARKS,
  MOST_WINGS,
  NOSE_RADIUS_mm,
  TIP_CURVE_rad,
  TIP_RADIUS_mm,
  WING_DEPTH_mm,
  WING_LENGTH_mm,
} from '../document/limits.ts';
import type { OutlineDocument, OutlineMark, TailKind } from '../document/schema.ts';
import { halfBreadthAt, hasBlock, outlinePoints, sprungOutline } from '../outline/outline.ts';
import { leastSquares, type Unknown } from './leastSquares.ts';
import { beginnings, type FoundPlan, MARK_APART_mm } from './outlineBeginnings.ts';
import { offLine, type Point } from './plane.ts';

export type { FoundPlan } from './outlineBeginnings.ts';

export interface OutlineFit {
  outline: OutlineDocument;
  rms_mm: number;
  /** The point of the plan that the outline is furthest off, and by how much: positive where the plan is outside. */
  worst: { at: Point; off_mm: number };
}

interface FitOutlineChoices {
  /** Found to this it is good enough: the drawing's own accuracy, mm. */
  within_mm: number;
  /** How the tail is cut, where somebody said so. */
  tail?: TailKind | undefined;
  /** False where bumps are not looked for: in what is too rough to tell them. */
  bumps?: boolean;
  /** False where no wings are looked for at all. */
  wings?: boolean;
  onRound?: () => void;
}

/** A lever of an outline: what it is now, what it may be, and the outline with another. */
interface Lever {
  unknown: Unknown;
  with: (outline: OutlineDocument, value: number) => OutlineDocument;
}

/** The most marks that are set beside the first four. */
const MOST_ADDED = 6;
/** A further mark or a wing stays only if it takes this share of what is left. */
const WORTH = 0.15;
/** Quick looks, to choose between tails, use so many points. */
const FEW = 110;

/** The outline, with few marks, that lies nearest to a plan. Undefined where none can be sprung through it. */
export function fittedOutline(plan: FoundPlan, choices: FitOutlineChoices): OutlineFit | undefined {
  const few = { ...plan, points: thinnedTo(plan.points, FEW) };
  let best: { fit: OutlineFit; off: number } | undefined;
  for (const outline of beginnings(plan, choices)) {
    choices.onRound?.();
    const fit = fitted(outline, few, { ...choices, rounds: 8, huber: 10 });
    const off = fit ? offWithTail(fit.outline, plan) + UNLIKELY[fit.outline.tail.kind] * choices.within_mm : Infinity;
    if (fit && off < (best?.off ?? Infinity)) best = { fit, off };
  }
  let fit = best && fitted(best.fit.outline, plan, choices);
  for (let added = 0; fit && added < MOST_ADDED && fit.rms_mm > choices.within_mm / 3; added++) {
    choices.onRound?.();
    const more = withMarkWhereWorst(fit, plan, choices);
    if (!more || more.rms_mm > (1 - WORTH) * fit.rms_mm) break;
    fit = more;
  }
  if (fit && fit.rms_mm > choices.within_mm && choices.bumps !== false && choices.wings !== false)
    fit = withBumps(fit, plan, choices);
  return fit && withoutIdleWings(fit, plan, choices);
}

/** The same outline without the wings that nothing of the plan asks for. */
function withoutIdleWings(before: OutlineFit, plan: FoundPlan, choices: FitOutlineChoices): OutlineFit {
  let fit = before;
  for (const wing of before.outline.wings.toSorted((a, b) => a.depth_mm - b.depth_mm)) {
    const wings = fit.outline.wings.filter((each) => each.fromTail_mm !== wing.fromTail_mm);
    if (wings.length === fit.outline.wings.length) continue;
    const without = fitted({ ...fit.outline, wings }, plan, choices);
    if (without && without.rms_mm < Math.max(choices.within_mm / 3, 1.15 * fit.rms_mm)) fit = without;
  }
  return fit;
}

/** Tails with more numbers follow any end a little better: so much of what the lines are good to is held against them. */
const UNLIKELY: Readonly<Record<TailKind, number>> = {
  round: 0,
  roundedPin: 0,
  pin: 0,
  square: 0.1,
  squash: 0.2,
  thumb: 0.25,
  swallow: 0.2,
  halfMoon: 0.3,
  diamond: 0.3,
  sixCorner: 0.4,
};

/** The end of a plan, where tails differ, mm. */
const TAIL_END_mm = 160;

/** How far off an outline is, its tail counted by itself as much as the whole. */
function offWithTail(outline: OutlineDocument, plan: FoundPlan): number {
  const off = offOutline(outline, plan);
  if (!off) return Infinity;
  const ends = off.filter((_, i) => plan.points[i].x < TAIL_END_mm);
  const rms = (each: Float64Array) => Math.sqrt(each.reduce((sum, e) => sum + e * e, 0) / Math.max(1, each.length));
  return rms(off) + rms(ends);
}

function thinnedTo<T>(points: readonly T[], count: number): T[] {
  if (points.length <= count) return [...points];
  return Array.from({ length: count }, (_, k) => points[Math.floor((k * points.length) / count)]);
}

const mm = (start: number, low: number, high: number): Unknown => ({ start, low, high, step: 0.2 });

export function leversOf({ width_mm, widePoint_mm, marks, nose, tail, wings }: OutlineDocument): Lever[] {
  const levers: Lever[] = [
    {
      unknown: mm(width_mm, 150, 900),
      with: (outline, value) => ({ ...outline, width_mm: value }),
    },
    {
      unknown: { ...mm(widePoint_mm, widePoint_mm - 120, widePoint_mm + 120), step: 1 },
      with: (outline, value) => ({ ...outline, widePoint_mm: value }),
    },
    ...marks.map((mark, k): Lever => ({
      unknown: mm(mark.value_mm, 2, 900),
      with: (outline, value_mm) => ({
        ...outline,
        marks: outline.marks.map((each, i) => (i === k ? { ...each, value_mm } : each)),
      }),
    })),
    ...wings.flatMap((wing, k): Lever[] => {
      const set = (key: 'fromTail_mm' | 'depth_mm' | 'length_mm') => (outline: OutlineDocument, value: number) => ({
        ...outline,
        wings: outline.wings.map((each, i) => (i === k ? { ...each, [key]: value } : each)),
      });
      return [
        { unknown: mm(wing.fromTail_mm, 20, 2000), with: set('fromTail_mm') },
        { unknown: mm(wing.depth_mm, WING_DEPTH_mm.low, WING_DEPTH_mm.high), with: set('depth_mm') },
        { unknown: mm(wing.length_mm, WING_LENGTH_mm.low, WING_LENGTH_mm.high), with: set('length_mm') },
      ];
    }),
  ];
  const tailLever = (key: 'block_mm' | 'depth_mm' | 'tip_mm', low: number, high: number): Lever => ({
    unknown: mm(tail[key], low, high),
    with: (outline, value) => ({ ...outline, tail: { ...outline.tail, [key]: value } }),
  });
  if (hasBlock(tail.kind)) {
    const isSplit = tail.kind === 'swallow' || tail.kind === 'halfMoon';
    levers.push(tailLever('block_mm', isSplit ? 42 : 6, Math.min(600, 0.9 * width_mm)));
  }
  if (hasBlock(tail.kind) && tail.kind !== 'square') levers.push(tailLever('depth_mm', 8, 400));
  if (tail.kind === 'pin') levers.push(tailLever('tip_mm', TIP_RADIUS_mm.low, TIP_RADIUS_mm.high));
  if (nose.kind === 'pointed') {
    levers.push({
      unknown: { start: nose.curve_rad, ...TIP_CURVE_rad, step: 0.01 },
      with: (outline, curve_rad) => ({
        ...outline,
        nose: outline.nose.kind === 'pointed' ? { ...outline.nose, curve_rad } : outline.nose,
      }),
    });
    levers.push({
      unknown: mm(nose.tip_mm, TIP_RADIUS_mm.low, TIP_RADIUS_mm.high),
      with: (outline, tip_mm) => ({
        ...outline,
        nose: outline.nose.kind === 'pointed' ? { ...outline.nose, tip_mm } : outline.nose,
      }),
    });
  } else if (nose.radius_mm !== undefined) {
    levers.push({
      unknown: mm(nose.radius_mm, NOSE_RADIUS_mm.low, NOSE_RADIUS_mm.high),
      with: (outline, radius_mm) => ({ ...outline, nose: { kind: 'round', radius_mm } }),
    });
  }
  return levers;
}

/** How far every point of a plan lies outside an outline; undefined where it cannot be sprung. */
function offOutline(outline: OutlineDocument, { length_mm, points }: FoundPlan): Float64Array | undefined {
  const legal = {
    ...outline,
    marks: outline.marks.map((mark) => ({ ...mark, value_mm: Math.min(mark.value_mm, outline.width_mm - 0.02) })),
  };
  let line: Point[];
  try {
    const sprung = sprungOutline(legal, { length_mm, wide_mm: length_mm / 2 + outline.widePoint_mm });
    line = outlinePoints(sprung, 200).map(({ x_mm, y_mm }) => ({ x: x_mm, y: y_mm }));
  } catch {
    return undefined;
  }
  return Float64Array.from(points, (p) => offLine(line, p));
}

function fitted(
  from: OutlineDocument,
  plan: FoundPlan,
  {
    within_mm,
    rounds = 16,
    huber = Math.max(0.5, 3 * within_mm),
  }: FitOutlineChoices & {
    rounds?: number;
    huber?: number;
  },
): OutlineFit | undefined {
  const levers = leversOf(from);
  const made = (values: readonly number[]) =>
    levers.reduce((outline, lever, k) => lever.with(outline, values[k]), from);
  try {
    const fit = leastSquares(
      levers.map(({ unknown }) => unknown),
      (values) => offOutline(made(values), plan),
      { huber, mostRounds: rounds },
    );
    const outline = rounded(made(fit.values));
    const off = offOutline(outline, plan);
    if (!off) return undefined;
    let worst = 0;
    off.forEach((each, i) => {
      if (Math.abs(each) > Math.abs(off[worst])) worst = i;
    });
    const squares = off.reduce((sum, each) => sum + each * each, 0);
    return {
      outline,
      rms_mm: Math.sqrt(squares / off.length),
      worst: { at: plan.points[worst], off_mm: off[worst] },
    };
  } catch {
    return undefined;
  }
}

/** Marks no wider than the widest place, which a document must hold to. */
const rounded = (outline: OutlineDocument): OutlineDocument => ({
  ...outline,
  marks: outline.marks.map((mark) => ({ ...mark, value_mm: Math.min(mark.value_mm, outline.width_mm - 0.02) })),
});

/** One more mark in the widest gap round where the outline is furthest off. */
function withMarkWhereWorst(
  { outline }: OutlineFit,
  plan: FoundPlan,
  choices: FitOutlineChoices,
): OutlineFit | undefined {
  if (outline.marks.length >= MOST_MARKS) return undefined;
  const { length_mm } = plan;
  const wide_mm = length_mm / 2 + outline.widePoint_mm;
  const taken = [
    0,
    length_mm,
    wide_mm,
    ...outline.marks.map(({ from, at_mm }) => (from === 'tail' ? at_mm : length_mm - at_mm)),
  ];
  const off = offOutline(outline, plan);
  if (!off) return undefined;
  let [best, at] = [0, 0];
  for (let x = MARK_APART_mm; x <= length_mm - MARK_APART_mm; x += 20) {
    if (taken.some((each) => Math.abs(each - x) < MARK_APART_mm)) continue;
    const sum = plan.points.reduce((s, p, i) => (Math.abs(p.x - x) < 90 ? s + off[i] * off[i] : s), 0);
    if (sum > best) [best, at] = [sum, x];
  }
  if (best === 0) return undefined;
  const sprung = sprungOutline(outline, { length_mm, wide_mm });
  const from = at < length_mm / 2 ? ('tail' as const) : ('nose' as const);
  const mark: OutlineMark = {
    from,
    at_mm: from === 'tail' ? at : length_mm - at,
    value_mm: 2 * halfBreadthAt(sprung, at),
  };
  return fitted({ ...outline, marks: [...outline.marks, mark] }, plan, choices);
}

/** Bumps, which no step tells: one and two, tried along the tail half, on the tail that was found and on a fair end; kept only where they take most of what was left. */
function withBumps(before: OutlineFit, plan: FoundPlan, choices: FitOutlineChoices): OutlineFit {
  const few = { ...plan, points: thinnedTo(plan.points, 2 * FEW) };
  const { outline } = before;
  const closes = hasBlock(outline.tail.kind) && outline.tail.kind !== 'swallow' && outline.tail.kind !== 'halfMoon';
  const bases =
    closes && choices.tail === undefined
      ? [outline, { ...outline, tail: { ...outline.tail, kind: 'round' as const } }]
      : [outline];
  const bump = (fromTail_mm: number) => ({ fromTail_mm, depth_mm: 6, length_mm: 70, raised: 0 });
  let best: OutlineFit | undefined;
  const tried = (base: OutlineDocument, wings: OutlineDocument['wings']) => {
    choices.onRound?.();
    const fit = fitted({ ...base, wings }, few, { ...choices, rounds: 4 });
    if (fit && (!best || fit.rms_mm < best.rms_mm)) best = fit;
  };
  for (const base of bases) {
    for (let at = 100; at < 0.36 * plan.length_mm; at += 70) {
      if (base.wings.length < MOST_WINGS) tried(base, [...base.wings, bump(at)]);
      if (base.wings.length + 1 < MOST_WINGS) tried(base, [...base.wings, bump(at), bump(at + 110)]);
    }
  }
  const whole = best && fitted(best.outline, plan, { ...choices, rounds: 24 });
  return whole && whole.rms_mm < 0.6 * before.rms_mm ? whole : before;
}
