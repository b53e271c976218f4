import type { Board, TailKind } from '../document/schema.ts';
import { type ReadRow, nearestBoard } from '../files/stationCsv.ts';
import { models } from '../models/models.ts';
import { boardFrom } from '../shape/issues.ts';
import { fittedFoil, fittedRocker, type FoundLine, lineAt } from './fitLine.ts';
import { type FoundPlan, fittedOutline } from './fitOutline.ts';
import { acrossAt, isSymmetric, laid, middleLine, straightThrough, stringerOf } from './drawnSides.ts';
import { areaOf, type Box, boxOfPoints, chained, evenly, offLine, type Point, type Stroke } from './plane.ts';

/** What a line of a drawing can be of a board. */
export const LINE_USES = ['outline', 'half', 'profile', 'bottom', 'none'] as const;
export type LineUse = (typeof LINE_USES)[number];

export interface DrawnPart {
  stroke: Stroke;
  box: Box;
  /** What it looks like. */
  looks: LineUse;
}

/** Ends this near are one line's, as a share of the drawing's size. */
const MEETS = 2e-4;
/** A board's plan is so much longer than it is wide; its profile yet slimmer. */
const PLAN = { low: 0.12, high: 0.62 } as const;
const PROFILE = { low: 0.012, high: 0.16 } as const;

/** The lines of a drawing that could be a board's, longest first, each with what it looks like. */
export function partsOf(strokes: readonly Stroke[]): DrawnPart[] {
  const whole = boxOfPoints(strokes.flatMap(({ points }) => points));
  const size = Math.hypot(whole.right - whole.left, whole.high - whole.low);
  const parts = chained(strokes, MEETS * size)
    .map((stroke) => ({ stroke, box: boxOfPoints(stroke.points) }))
    .filter(({ box }) => Math.hypot(box.right - box.left, box.high - box.low) > 0.25 * size)
    .filter(({ stroke }) => stroke.closed || !isStraight(stroke.points))
    .map((part): DrawnPart => ({ ...part, looks: looksOf(part.stroke) }));
  const length = ({ box }: DrawnPart) => Math.max(box.right - box.left, box.high - box.low);
  const rank = { outline: 0, half: 1, profile: 2, bottom: 3, none: 4 } as const;
  return parts.toSorted((a, b) => rank[a.looks] - rank[b.looks] || length(b) - length(a));
}

/** Is a line straight, as a stringer or a station is, to a five hundredth of its length? */
function isStraight(points: readonly Point[]): boolean {
  const [a, b] = [points[0], points[points.length - 1]];
  const long = Math.hypot(b.x - a.x, b.y - a.y);
  return points.every((p) => Math.abs(offLine([a, b], p)) < 0.002 * long);
}

function looksOf(stroke: Stroke): LineUse {
  const { points, closed } = laid(stroke);
  const box = boxOfPoints(points);
  const slim = (box.high - box.low) / Math.max(1e-9, box.right - box.left);
  if (closed) {
    if (slim >= PLAN.low && slim <= PLAN.high && isSymmetric(points, box)) return 'outline';
    if (slim >= PLAN.low / 2 && slim <= PLAN.high / 2 && stringerOf(points, box)) return 'half';
    return slim >= PROFILE.low && slim <= PROFILE.high ? 'profile' : 'none';
  }
  return 'none';
}

/** A plan of a drawing, folded on its stringer, tail at 0; its sides apart where both were drawn. */
export interface PlanFound extends FoundPlan {
  /** How far the two sides are from being one another's mirror, mm: the mean of their size. */
  uneven_mm: number;
}

/** Points of a plan lie so far apart, mm. */
const PLAN_GAP_mm = 8;

/** The plan a closed line of a drawing is, mm. `turned`: its tail is at the other end. */
export function planOf(stroke: Stroke, use: 'outline' | 'half', turned: boolean): PlanFound {
  const { points } = laid(stroke);
  const box = boxOfPoints(points);
  const length_mm = box.right - box.left;
  let folded: Point[];
  let uneven_mm = 0;
  if (use === 'half') {
    const stringer = stringerOf(points, box) ?? { y: box.low, isLow: true };
    folded = evenly({ points, closed: true }, PLAN_GAP_mm)
      .map(({ x, y }) => ({ x, y: Math.abs(y - stringer.y) }))
      .filter(({ x, y }) => y > 0.35 || x < 0.01 || x > length_mm - 0.01);
  } else {
    const { at, slope } = straightThrough(middleLine(points, box));
    const angle = Math.atan(slope);
    const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
    const level = evenly({ points, closed: true }, PLAN_GAP_mm).map(({ x, y }) => ({
      x: x * cos + (y - at) * sin,
      y: (y - at) * cos - x * sin,
    }));
    const start = Math.min(...level.map(({ x }) => x));
    folded = level.map(({ x, y }) => ({ x: x - start, y: Math.abs(y) }));
    const middle = middleLine(points, box);
    uneven_mm = (2 * middle.reduce((sum, p) => sum + Math.abs(p.y - at - slope * p.x), 0)) / Math.max(1, middle.length);
  }
  const long = Math.max(...folded.map(({ x }) => x));
  const faced = turned !== tailLooksRight(folded, long);
  return {
    length_mm: long,
    points: faced ? folded.map(({ x, y }) => ({ x: long - x, y })) : folded,
    uneven_mm,
  };
}

/** Is the tail at the right of a plan? A block or a notch is; of two that close, the end that is wider 12 in from its tip is taken for the tail, unless both ends are alike. */
function tailLooksRight(points: readonly Point[], long: number): boolean {
  const widthNear = (x: number) => points.reduce((most, p) => (Math.abs(p.x - x) < 8 ? Math.max(most, p.y) : most), 0);
  const [left, right] = [widthNear(4), widthNear(long - 4)];
  if (Math.abs(left - right) > 12) return right > left;
  return false;
}

/** Bottom and thickness along a profile: the lower and the upper of a closed line, x from its left end. */
function profileOf(stroke: Stroke): { bottom: FoundLine; foil: FoundLine | undefined } {
  const { points, closed } = laid(stroke);
  const box = boxOfPoints(points);
  const length_mm = box.right - box.left;
  const count = 160;
  const stations = Array.from({ length: count + 1 }, (_, k) => {
    const x = (length_mm * (1 - Math.cos((Math.PI * k) / count))) / 2;
    return Math.min(length_mm - 1e-4, Math.max(1e-4, x));
  });
  const across = stations.flatMap((x) => {
    const at = acrossAt(points, closed, box.left + x);
    return at ? [{ x, ...at }] : [];
  });
  const bottom = { length_mm, points: across.map(({ x, low }) => ({ x, y: low })) };
  return {
    bottom,
    foil: closed ? { length_mm, points: across.map(({ x, low, high }) => ({ x, y: high - low })) } : undefined,
  };
}

const mirrored = ({ length_mm, points }: FoundLine): FoundLine => ({
  length_mm,
  points: points.toReversed().map(({ x, y }) => ({ x: length_mm - x, y })),
});

/** How far off what was drawn a part of the board came out. */
export interface PartMisfit {
  of: 'outline' | 'rocker' | 'foil';
  rms_mm: number;
  worst_mm: number;
  /** Where it is worst, from the tail. */
  at_mm: number;
}

export interface BroughtIn {
  board: Board;
  misfits: PartMisfit[];
  /** The plan and lines it was made from, tail at 0, to lay under it. */
  plan?: PlanFound;
  bottom?: FoundLine;
  foil?: FoundLine;
}
export type Brought = ({ ok: true } & BroughtIn) | { ok: false; reason: string };

interface FoundParts {
  plan?: PlanFound | undefined;
  bottom?: FoundLine | undefined;
  foil?: FoundLine | undefined;
}

export interface BringChoices {
  name: string;
  tail?: TailKind | undefined;
  /** How near the lines are wanted, mm: a tenth for what was drawn, more for what was seen. */
  within_mm: number;
  /** False where the lines are too rough to tell bumps. */
  bumps?: boolean;
  among?: readonly Board[];
  onRound?: () => void;
}

const LENGTHS_mm = { low: 1000, high: 4000 } as const;

/**
 * A board of the plan and profile that were found: fitted by the board's own numbers, few marks; what was not found is as on the model
 * that comes nearest. Never throws: what makes no board is refused with the reason.
 */
export function boardOfParts({ plan, bottom, foil }: FoundParts, choices: BringChoices, wings = true): Brought {
  const { name, within_mm, among = models() } = choices;
  const length_mm = plan?.length_mm ?? bottom?.length_mm;
  if (length_mm === undefined) return { ok: false, reason: 'There is neither an outline nor a profile yet.' };
  if (!(length_mm >= LENGTHS_mm.low && length_mm <= LENGTHS_mm.high)) {
    return {
      ok: false,
      reason: `It comes out ${length_mm.toFixed(0)} mm long: boards of ${LENGTHS_mm.low} to ${LENGTHS_mm.high} mm are drawn here. Is it in another unit?`,
    };
  }
  // A profile beside a plan is of the same board: its length is the plan's.
  const scale = bottom ? length_mm / bottom.length_mm : 1;
  if (plan && Math.abs(scale - 1) > 0.02) {
    return {
      ok: false,
      reason: 'Outline and profile are not of one length: they are not one board, or not in one unit.',
    };
  }
  const along = (line: FoundLine): FoundLine => ({
    length_mm,
    points: line.points.map(({ x, y }) => ({ x: x * scale, y })),
  });
  const outline = plan && fittedOutline(plan, { ...choices, wings });
  if (plan && !outline) return { ok: false, reason: 'No outline of a board runs through the line.' };
  const rocker = bottom && fittedRocker(along(bottom), within_mm);
  if (bottom && !rocker) return { ok: false, reason: 'No rocker runs through the bottom line.' };
  const thickness = foil && fittedFoil(along(foil), within_mm);
  if (foil && !thickness) return { ok: false, reason: 'No foil runs through the thicknesses.' };
  const base = nearestBoard(rowsOf({ plan, bottom, foil }, length_mm), among);
  const made: Board = {
    ...base,
    name,
    length_mm,
    outline: outline?.outline ?? base.outline,
    rocker: rocker?.document ?? base.rocker,
    foil: thickness?.document.foil ?? base.foil,
    deck: thickness ? { ...base.deck, features: [...keptFeatures(base), ...thickness.document.features] } : base.deck,
  };
  const opened = boardFrom(made);
  // Wings may have been read into what has none.
  if (!opened.ok && wings && made.outline.wings.length > 0) {
    return boardOfParts({ plan, bottom, foil }, choices, false);
  }
  if (!opened.ok) return { ok: false, reason: `What was found makes no board: ${opened.issues[0].words}.` };
  const misfits: PartMisfit[] = [];
  const add = (of: PartMisfit['of'], fit: { rms_mm: number; worst: { at: Point; off_mm: number } } | undefined) => {
    if (fit) misfits.push({ of, rms_mm: fit.rms_mm, worst_mm: fit.worst.off_mm, at_mm: fit.worst.at.x });
  };
  add('outline', outline);
  add('rocker', rocker);
  add('foil', thickness);
  return {
    ok: true,
    board: opened.board,
    misfits,
    ...(plan ? { plan } : {}),
    ...(bottom ? { bottom: along(bottom) } : {}),
    ...(foil ? { foil: along(foil) } : {}),
  };
}

/** Features that no thickness along the stringer tells. */
const keptFeatures = ({ deck }: Board) => deck.features.filter(({ kind }) => kind !== 'beak' && kind !== 'sDeck');

/** What was found as a few readings, by which the nearest model is told. */
function rowsOf({ plan, bottom, foil }: FoundParts, length_mm: number): ReadRow[] {
  const rows: ReadRow[] = [{ from: 'nose', at_mm: 0, x_mm: length_mm }];
  const floor = bottom ? Math.min(...bottom.points.map(({ y }) => y)) : 0;
  const width = (x: number) =>
    plan ? 2 * plan.points.reduce((most, p) => (Math.abs(p.x - x) < 10 ? Math.max(most, p.y) : most), 0) : 0;
  for (const from of ['tail', 'nose'] as const) {
    for (const at_mm of [305, 610]) {
      const x = from === 'tail' ? at_mm : length_mm - at_mm;
      rows.push({
        from,
        at_mm,
        ...(plan ? { width_mm: width(x) } : {}),
        ...(bottom ? { stringer_mm: lineAt(bottom.points, x) - floor } : {}),
        ...(foil ? { thickness_mm: lineAt(foil.points, x) } : {}),
      });
    }
  }
  if (plan) rows.push({ from: 'wide', at_mm: 0, width_mm: 2 * Math.max(...plan.points.map(({ y }) => y)) });
  return rows;
}

/** What each line of a drawing is taken for, by its place among the parts. */
export type Uses = Readonly<Partial<Record<number, LineUse>>>;

export interface DrawingChoicesIn extends Omit<BringChoices, 'within_mm'> {
  unit_mm: number;
  /** How near the lines are wanted, mm; a tenth where left out. */
  within_mm?: number;
  /** What lines are, where it is not what they look like. */
  uses?: Uses;
  /** The tail is at the other end than it looks. */
  turned?: boolean;
}

/** A drawing's own accuracy, mm: half a pencil's line. */
const DRAWN_WITHIN_mm = 0.1;

/** The board that is in a drawing. */
export function boardFromDrawing(parts: readonly DrawnPart[], choices: DrawingChoicesIn): Brought {
  const { unit_mm, uses = {}, turned = false, within_mm = DRAWN_WITHIN_mm } = choices;
  const useOf = (k: number) => uses[k] ?? parts[k].looks;
  const scaled = (k: number): Stroke => ({
    ...parts[k].stroke,
    points: parts[k].stroke.points.map(({ x, y }) => ({ x: x * unit_mm, y: y * unit_mm })),
  });
  const firstOf = (...wanted: LineUse[]) => parts.findIndex((_, k) => wanted.includes(useOf(k)));
  const [planAt, sideAt] = [firstOf('outline', 'half'), firstOf('profile', 'bottom')];
  const planUse = planAt >= 0 ? useOf(planAt) : undefined;
  const plan = planUse === 'outline' || planUse === 'half' ? planOf(scaled(planAt), planUse, turned) : undefined;
  const side = sideAt >= 0 ? profileOf(scaled(sideAt)) : undefined;
  const facing = side && noseIsLeft(side.bottom) !== (turned && !plan) ? mirrored : (line: FoundLine) => line;
  if (plan && plan.length_mm > 0 && Math.abs(areaOf(parts[planAt].stroke.points)) === 0) {
    return { ok: false, reason: 'The outline has no area.' };
  }
  return boardOfParts(
    {
      plan,
      bottom: side && facing(side.bottom),
      foil: side?.foil && useOf(sideAt) === 'profile' ? facing(side.foil) : undefined,
    },
    { ...choices, within_mm },
  );
}

/** The end that is lifted more is the nose. */
const noseIsLeft = ({ points }: FoundLine) => points[0].y > points[points.length - 1].y;
