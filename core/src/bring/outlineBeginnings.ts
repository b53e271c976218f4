import {
  heldWithin,
  MOST_WINGS,
  NOSE_RADIUS_mm,
  TIP_RADIUS_mm,
  WING_DEPTH_mm,
  WING_LENGTH_mm,
} from '../document/limits.ts';
import type { OutlineDocument, OutlineMark, TailKind } from '../document/schema.ts';
import type { Point } from './plane.ts';

/** One side of a plan as it was found: x from the tail tip, y from the stringer, mm, in no order. */
export interface FoundPlan {
  length_mm: number;
  points: readonly Point[];
}

export interface BeginningChoices {
  /** Found to this it is good enough: the drawing's own accuracy, mm. */
  within_mm: number;
  /** How the tail is cut, where somebody said so. */
  tail?: TailKind | undefined;
  /** False where no wings are looked for at all. */
  wings?: boolean;
}

/** Marks this near another, the wide point or a tip are levers and no measures (docs/formulas.md). */
export const MARK_APART_mm = 140;
/** Half breadth of the plan about x: the outermost of its points there. */
export function widthAbout({ points }: FoundPlan, x: number, reach: number): number {
  return points.reduce((most, p) => (Math.abs(p.x - x) <= reach ? Math.max(most, p.y) : most), 0);
}

/** What the plan may be to begin with: its widest place, four widths, and each tail and nose that could be. */
export function beginnings(
  plan: FoundPlan,
  { tail: told, within_mm, wings: winged = true }: BeginningChoices,
): OutlineDocument[] {
  const { length_mm, points } = plan;
  const widest = points.reduce((most, p) => (p.y > most.y ? p : most), { x: length_mm / 2, y: 0 });
  const near = points.filter(({ y }) => y > widest.y - 0.4);
  const wide_mm = near.reduce((sum, { x }) => sum + x, 0) / Math.max(1, near.length);
  const reach = Math.max(6, length_mm / 250);
  const marks: OutlineMark[] = (['tail', 'nose'] as const).flatMap((from) => {
    const room = from === 'tail' ? wide_mm : length_mm - wide_mm;
    return [305, 610]
      .filter((at) => at < room - MARK_APART_mm)
      .map((at_mm): OutlineMark => {
        const x = from === 'tail' ? at_mm : length_mm - at_mm;
        return { from, at_mm, value_mm: 2 * Math.min(widest.y - 0.2, widthAbout(plan, x, reach)) };
      });
  });
  const nose5 = widthAbout(plan, length_mm - 4, 3);
  const noses: OutlineDocument['nose'][] = [];
  if (nose5 < 45)
    noses.push({ kind: 'pointed', curve_rad: 0.7, tip_mm: heldWithin(TIP_RADIUS_mm, (nose5 * nose5) / 12) });
  if (nose5 > 14)
    noses.push({ kind: 'round', radius_mm: heldWithin(NOSE_RADIUS_mm, Math.max(40, (nose5 * nose5) / 8)) });
  // As wide as the sides would be at the very end, were they to run on.
  const [near45, near90] = [widthAbout(plan, 45, 6), widthAbout(plan, 90, 6)];
  const block = 2 * Math.max(widthAbout(plan, 0, 3), 2 * near45 - near90);
  const wings = winged ? steppedIn(plan, wide_mm, Math.max(STEP_mm.least, 3 * within_mm)) : [];
  return noses.flatMap((nose) =>
    tailsOf(plan, block, told).map((tail) => ({
      width_mm: 2 * widest.y,
      widePoint_mm: wide_mm - length_mm / 2,
      marks,
      nose,
      tail,
      wings,
    })),
  );
}

/** Tails that the end of the plan could be. A notch shows by points ahead of the tip that lie inside. */
export function tailsOf(plan: FoundPlan, block: number, told: TailKind | undefined): OutlineDocument['tail'][] {
  const inside = plan.points.filter(({ x, y }) => x > 8 && x < 380 && y < 0.6 * widthAbout(plan, x, 3));
  const crotch = inside.reduce((most, p) => Math.max(most, p.x), 0);
  // At the very end a split tail has its tips alone, every other one its stringer.
  const tips = plan.points.filter(({ x }) => x < 7);
  const isSplit = crotch > 10 && block > 60 && tips.length > 0 && tips.every(({ y }) => y > 0.15 * block);
  const kinds: TailKind[] = told
    ? [told]
    : isSplit
      ? ['swallow', 'halfMoon']
      : ['squash', 'square', 'thumb', 'diamond', 'sixCorner', 'round', 'pin'];
  return kinds.flatMap((kind) => {
    const depths = isSplit
      ? [Math.min(400, crotch), Math.min(400, 1.2 * crotch)]
      : ({ squash: [20, 45], thumb: [60, 130], diamond: [50, 110], sixCorner: [50, 110] }[kind as string] ?? [30]);
    return depths.map((depth_mm) => ({
      kind,
      block_mm: Math.min(600, Math.max(10, kind === 'square' ? 2 * widthAbout(plan, 4, 4) : block)),
      depth_mm,
      tip_mm: kind === 'pin' ? 10 : 0,
    }));
  });
}

/** Over so short a way a plan that steps in has a wing; less is its own course. */
const STEP_mm = { over: 14, least: 2.5, beside: 70 } as const;

/** The sharp wings of a plan: where, aft of the wide point, it steps in by more than its course on both sides says. */
export function steppedIn(plan: FoundPlan, wide_mm: number, least_mm: number): OutlineDocument['wings'] {
  // The rail alone: nothing of a notch.
  const side = plan.points
    .filter(({ x, y }) => x > 70 && x < wide_mm - 60 && y > 20 && y > 0.75 * widthAbout(plan, x, 3))
    .sort((a, b) => a.x - b.x);
  const steps: { from: number; to: number; depth: number }[] = [];
  for (let i = 0; i < side.length; i++) {
    const a = side[i];
    const before = side.find(({ x }) => x > a.x - STEP_mm.beside) ?? a;
    let step: (typeof steps)[number] | undefined;
    for (let j = i + 1; j < side.length && side[j].x - a.x <= STEP_mm.over; j++) {
      const b = side[j];
      const after = side.findLast(({ x }) => x < b.x + STEP_mm.beside) ?? b;
      const slopeOf = (p: Point, q: Point) => (q.x - p.x > 20 ? (q.y - p.y) / (q.x - p.x) : undefined);
      const slopes = [slopeOf(before, a), slopeOf(b, after)].filter((each) => each !== undefined);
      const usual = slopes.length === 0 ? 0 : slopes.reduce((sum, each) => sum + each, 0) / slopes.length;
      const depth = b.y - a.y - Math.max(0, usual) * (b.x - a.x);
      if (depth >= least_mm && depth > (step?.depth ?? 0) + 0.2) step = { from: a.x, to: b.x, depth };
    }
    if (!step) continue;
    const last = steps[steps.length - 1];
    if (last && step.from - last.to < 30) {
      if (step.depth > last.depth) steps[steps.length - 1] = step;
    } else steps.push(step);
  }
  return steps
    .sort((a, b) => b.depth - a.depth)
    .slice(0, MOST_WINGS)
    .map(({ from, to, depth }) => ({
      fromTail_mm: to,
      depth_mm: heldWithin(WING_DEPTH_mm, depth),
      length_mm: heldWithin(WING_LENGTH_mm, to - from),
      raised: 0,
    }));
}
