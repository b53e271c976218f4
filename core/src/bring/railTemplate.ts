import { APEX, EDGE_RADIUS_mm, heldWithin, TUCK_mm } from '../document/limits.ts';
import type { Board } from '../document/schema.ts';
import { withRailAt } from '../edit/atStation.ts';
import type { RailAt } from '../rails/rails.ts';
import { type Section, sectionOf } from '../section/section.ts';
import { halfPoints, type HalfCounts, walkHalf } from '../section/walk.ts';
import { sectionAt, type Shape } from '../shape/shape.ts';
import { leastSquares, type Unknown } from './leastSquares.ts';
import { areaOf, boxOfPoints, evenly, offLine, type Point, type Stroke } from './plane.ts';
import { normally, seeded } from './seeded.ts';

/** What a gauge, a template or a drawn section shows of a rail, and how near the app's own rail comes to it. */
interface RailFound {
  rail: RailAt;
  /** The app's section with that rail: y out from the stringer, z up from the bottom there, mm; deck first. */
  curve: Point[];
  /** What was gauged, laid where it fits, and how far each of its points is off the curve, outside positive. */
  laid: (Point & { off_mm: number })[];
  rms_mm: number;
  worst_mm: number;
  /** How thick what was gauged is where the board is so thick, mm: a template may be of another board. */
  thickness_mm: number;
  /** It was taken the other way up than its points run. */
  flipped: boolean;
}
export type RailRead = ({ ok: true } & RailFound) | { ok: false; reason: string };

/** Points of what was gauged stand so far apart. */
const GAP_mm = 1.5;
/** A rail is no more than this of a section from its outermost place inward, and no less, mm. */
const REACH_mm = { most: 140, least: 12 } as const;
const LEAST_POINTS = 6;
const COUNTS: HalfCounts = { deck: 40, under: 18, fillet: 8, bottom: 24 };
/** A point farther off than this counts in proportion: the pencil slipped there. */
const SLIP_mm = 0.8;
/** What was gauged may lean by so much to either side of how it looks. */
const LEANS_rad = [-0.7, -0.45, -0.2, 0, 0.2, 0.45, 0.7] as const;
/** Thickness and crown of the board are given up for so many mm of misfit a mm. */
const OWN_PULL = 0.06;
/** Nearer than this in the mean, it is a rail at all. */
const A_RAIL_mm = 4;

/** One line of a rail, from deck to bottom or the other way: of a whole section or a half one, the right rail alone. */
function railOf({ points, closed }: Stroke): Point[] {
  const box = boxOfPoints(points);
  const wide = box.right - box.left;
  if (!closed) return within(points);
  // A closed line is a section: its right rail, from the stringer's deck round to the bottom.
  const middle = (box.left + box.right) / 2;
  const start = points.reduce(
    (best, p, i) => (Math.abs(p.x - middle) < Math.abs(points[best].x - middle) - 1e-9 ? i : best),
    0,
  );
  const round = [...points.slice(start), ...points.slice(0, start)];
  const right = evenly({ points: round, closed: true }, GAP_mm).filter(({ x }) => x > middle + 0.02 * wide);
  return within(right);
}

/** The part near the outermost place: no rail reaches farther in. */
function within(points: readonly Point[]): Point[] {
  const [a, b] = [points[0], points[points.length - 1]];
  const [mx, my] = [(a.x + b.x) / 2, (a.y + b.y) / 2];
  let far = 0;
  for (const p of points) far = Math.max(far, Math.hypot(p.x - mx, p.y - my));
  const outermost = points.find((p) => Math.hypot(p.x - mx, p.y - my) === far) ?? a;
  return points.filter((p) => Math.hypot(p.x - outermost.x, p.y - outermost.y) < REACH_mm.most);
}

type Pose = readonly [dx: number, dy: number, turn: number];

/** Moved and turned about the origin of the points. */
function posed(points: readonly Point[], [dx, dy, turn]: Pose): Point[] {
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return points.map(({ x, y }) => ({ x: x * cos - y * sin + dx, y: x * sin + y * cos + dy }));
}

/** About their middle, the way out to the right and the deck above, as far as the points tell: their chord upright. */
function upright(points: readonly Point[], deckFirst: boolean): Point[] {
  const course = deckFirst ? [...points] : points.toReversed();
  const n = course.length;
  const [mx, my] = [course.reduce((s, p) => s + p.x, 0) / n, course.reduce((s, p) => s + p.y, 0) / n];
  // From deck to bottom round a rail at the right is clockwise; what runs anticlockwise is a left rail, mirrored.
  const mirror = areaOf(course) > 0 ? -1 : 1;
  const middle = course.map(({ x, y }) => ({ x: mirror * (x - mx), y: y - my }));
  const [a, b] = [middle[0], middle[n - 1]];
  const turn = -Math.PI / 2 - Math.atan2(b.y - a.y, b.x - a.x);
  return posed(middle, [0, 0, turn]);
}

interface Fitted {
  rail: RailAt;
  pose: Pose;
  thickness_mm: number;
  crown_mm: number;
  rms: number;
}

const UNKNOWN_RAIL = (rail: RailAt): Unknown[] => [
  { start: rail.apex, low: APEX.low, high: APEX.high, step: 0.005 },
  { start: rail.fullness, low: 0, high: 1, step: 0.02 },
  { start: rail.tuck_mm, low: TUCK_mm.low, high: TUCK_mm.high, step: 0.4 },
  { start: rail.edge, low: 0, high: 1, step: 0.02 },
  { start: rail.edgeRadius_mm, low: EDGE_RADIUS_mm.low, high: EDGE_RADIUS_mm.high, step: 0.3 },
];

const railFrom = (values: readonly number[]): RailAt => ({
  apex: values[0],
  fullness: values[1],
  tuck_mm: values[2],
  edge: values[3],
  edgeRadius_mm: values[4],
});

function lineOf(section: Section): Point[] {
  const out = new Float64Array(2 * halfPoints(COUNTS));
  walkHalf(section, COUNTS, out);
  return Array.from({ length: out.length / 2 }, (_, k) => ({ x: out[2 * k], y: out[2 * k + 1] }));
}

/** Pose first with the board's own rail, then the rail too. */
function fitted(points: readonly Point[], own: Section, lean: number, wholly: boolean): Fitted {
  const { input } = own;
  const box = boxOfPoints(posed(points, [0, 0, lean]));
  const first: Pose = [input.half_mm - box.right, own.apex_mm - (box.high + box.low) / 2, lean];
  const poseUnknowns = ([dx, dy, turn]: Pose): Unknown[] => [
    { start: dx, low: dx - 60, high: dx + 60, step: 0.2 },
    { start: dy, low: dy - 60, high: dy + 60, step: 0.2 },
    { start: turn, low: turn - 0.5, high: turn + 0.5, step: 0.002 },
  ];
  const offs = (section: Section, pose: Pose, extra: readonly number[]) => {
    const line = lineOf(section);
    const laid = posed(points, pose);
    const out = new Float64Array(laid.length + extra.length);
    laid.forEach((p, k) => (out[k] = offLine(line, p)));
    extra.forEach((value, k) => (out[laid.length + k] = value));
    return out;
  };
  const ownLine = lineOf(own);
  const place = leastSquares(
    poseUnknowns(first),
    (values) => Float64Array.from(posed(points, values as unknown as Pose), (p) => offLine(ownLine, p)),
    { huber: 4, mostRounds: 12 },
  );
  const found = place.values as unknown as Pose;
  const begun = { rail: input.rail, pose: found, thickness_mm: input.thickness_mm, crown_mm: input.crown_mm };
  if (!wholly) return { ...begun, rms: place.rms };
  const fit = leastSquares(
    [
      ...poseUnknowns(found),
      ...UNKNOWN_RAIL(input.rail),
      {
        start: input.thickness_mm,
        low: 0.6 * input.thickness_mm,
        high: 1.5 * input.thickness_mm,
        step: 0.2,
      },
      { start: input.crown_mm, low: 0, high: 0.5 * input.thickness_mm, step: 0.2 },
    ],
    (values) => {
      const [thickness_mm, crown_mm] = values.slice(8);
      const rail = railFrom(values.slice(3, 8));
      return offs(sectionOf({ ...input, thickness_mm, crown_mm, rail }), values.slice(0, 3) as unknown as Pose, [
        OWN_PULL * (thickness_mm - input.thickness_mm),
        OWN_PULL * (crown_mm - input.crown_mm),
      ]);
    },
    { huber: SLIP_mm, mostRounds: 40, gained: 1e-4 },
  );
  const [thickness_mm, crown_mm] = fit.values.slice(8);
  return {
    rail: railFrom(fit.values.slice(3, 8)),
    pose: fit.values.slice(0, 3) as unknown as Pose,
    thickness_mm,
    crown_mm,
    rms: fit.rms,
  };
}

export interface RailChoices {
  /** Which way the points run; the better of both where left out. */
  deckFirst?: boolean;
}

/**
 * The rail of a board at x as a gauge or a template shows it: apex, fullness, tuck, edge and its radius, with the place of what was gauged,
 * by Gauss-Newton on the distances of its points from the section, with Huber's weights; width, contours and lens are the board's own,
 * thickness and crown nearly so. A rail of either side, in any turn. Points in mm.
 */
export function railFromTemplate(shape: Shape, x_mm: number, stroke: Stroke, choices: RailChoices = {}): RailRead {
  const own = sectionAt(shape, x_mm);
  if (!own) return { ok: false, reason: 'The board has no breadth there: take a place inside its tips.' };
  if (!stroke.points.every(({ x, y }) => Number.isFinite(x) && Number.isFinite(y))) {
    return { ok: false, reason: 'Some of the points are no numbers.' };
  }
  if (stroke.points.length < 3) return { ok: false, reason: 'A rail is told by three points or more.' };
  const points = evenly({ points: railOf(stroke), closed: false }, GAP_mm);
  const box = boxOfPoints(points);
  const size = Math.hypot(box.right - box.left, box.high - box.low);
  if (points.length < LEAST_POINTS || !(size > REACH_mm.least)) {
    return { ok: false, reason: `What was gauged is ${size.toFixed(0)} mm large: is it in another unit?` };
  }
  if (size > 2.5 * REACH_mm.most) {
    return {
      ok: false,
      reason: `What was gauged is ${size.toFixed(0)} mm large, more than a rail: is it in another unit?`,
    };
  }
  const ways = choices.deckFirst === undefined ? [true, false] : [choices.deckFirst];
  const begun = ways
    .flatMap((deckFirst) => {
      const stood = upright(points, deckFirst);
      return LEANS_rad.map((lean) => ({ deckFirst, stood, lean, rms: fitted(stood, own, lean, false).rms }));
    })
    .sort((a, b) => a.rms - b.rms);
  // The best of each way up, so that a rail much unlike the board's own is not taken upside down.
  const tried = ways.flatMap((way) => begun.filter(({ deckFirst }) => deckFirst === way).slice(0, 2));
  const [best] = tried
    .map((each) => ({ ...each, fit: fitted(each.stood, own, each.lean, true) }))
    .sort((a, b) => a.fit.rms - b.fit.rms);
  const { rail, pose, thickness_mm, crown_mm } = best.fit;
  const line = lineOf(sectionOf({ ...own.input, thickness_mm, crown_mm, rail }));
  const laid = posed(best.stood, pose).map((p) => ({ ...p, off_mm: offLine(line, p) }));
  const rms_mm = Math.sqrt(laid.reduce((sum, { off_mm }) => sum + off_mm * off_mm, 0) / laid.length);
  if (rms_mm > A_RAIL_mm) {
    return {
      ok: false,
      reason: `No rail comes nearer than ${rms_mm.toFixed(1)} mm in the mean: is it a rail, and at true size?`,
    };
  }
  return {
    ok: true,
    rail,
    curve: line,
    laid,
    rms_mm,
    worst_mm: laid.reduce((worst, { off_mm }) => (Math.abs(off_mm) > Math.abs(worst) ? off_mm : worst), 0),
    thickness_mm,
    flipped: !best.deckFirst,
  };
}

/** The board with the rail that was found at x: the station that stands there is changed, or one is set. */
export function withRailFound(board: Board, x_mm: number, rail: RailAt): Board {
  return withRailAt(board, x_mm, {
    apex: heldWithin(APEX, rail.apex),
    fullness: Math.min(1, Math.max(0, rail.fullness)),
    tuck_mm: heldWithin(TUCK_mm, rail.tuck_mm),
    edge: Math.min(1, Math.max(0, rail.edge)),
    edgeRadius_mm: heldWithin(EDGE_RADIUS_mm, rail.edgeRadius_mm),
  });
}

/** A contour gauge pressed on a board's rail by a made-up hand. */
export interface Gauge {
  /** How far it reaches in on deck and bottom, mm. */
  reach_mm: number;
  /** Teeth so far apart, and each off by so much, mm. */
  tooth_mm: number;
  noise_mm: number;
  turn_rad: number;
  left: boolean;
  seed: number;
}
export const USUAL_GAUGE: Gauge = {
  reach_mm: 75,
  tooth_mm: 1.5,
  noise_mm: 0.2,
  turn_rad: 0.3,
  left: false,
  seed: 5,
};

/** What a gauge shows of the rail at x: deck first, about its own middle, turned as it lay. Undefined at a closed tip. */
export function madeUpGauge(shape: Shape, x_mm: number, gauge: Gauge): Stroke | undefined {
  const section = sectionAt(shape, x_mm);
  if (!section) return undefined;
  const normal = normally(seeded(gauge.seed));
  const inner = section.half_mm - gauge.reach_mm;
  const line = evenly({ points: lineOf(section).filter(({ x }) => x > inner), closed: false }, gauge.tooth_mm);
  const off = () => gauge.noise_mm * normal();
  const middle = { x: section.half_mm - gauge.reach_mm / 2, y: section.apex_mm };
  const side = gauge.left ? -1 : 1;
  const points = line.map(({ x, y }) => ({ x: side * (x - middle.x + off()), y: y - middle.y + off() }));
  return { points: posed(points, [0, 0, gauge.turn_rad]), closed: false };
}
