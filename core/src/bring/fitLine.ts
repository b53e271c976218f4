import {
  BEAK_FADE_mm,
  BEAK_LENGTH_mm,
  BEAK_THICKNESS_mm,
  DECK_FADE_mm,
  DECK_LENGTH_mm,
  MOST_MARKS,
  S_DECK_DROP_mm,
} from '../document/limits.ts';
import type { DeckFeature, FoilDocument, Mark, RockerDocument } from '../document/schema.ts';
import { sprungFoil, thicknessAt } from '../foil/foil.ts';
import { sprungRocker } from '../rocker/rocker.ts';
import { leastSquares, type Unknown } from './leastSquares.ts';
import type { Point } from './plane.ts';

/** A line of the board as it was found along it: x from the tail tip, y its height or thickness, mm; in order of x. */
export interface FoundLine {
  length_mm: number;
  points: readonly Point[];
}

export interface LineFit<D> {
  document: D;
  rms_mm: number;
  worst: { at: Point; off_mm: number };
}

/** The value of a found line at x, straight between its points; beyond them that of the nearest. */
export function lineAt(points: readonly Point[], x: number): number {
  let [low, high] = [0, points.length - 1];
  if (x <= points[low].x) return points[low].y;
  if (x >= points[high].x) return points[high].y;
  while (high - low > 1) {
    const middle = (low + high) >> 1;
    if (points[middle].x <= x) low = middle;
    else high = middle;
  }
  const [a, b] = [points[low], points[high]];
  return b.x > a.x ? a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x) : a.y;
}

/** Marks of a found line begin so far in from the tips and go on by so much. */
const EVERY_mm = 305;
/** One more is set only where it takes this share of what is left, no nearer than this to another. */
const WORTH = 0.1;
const APART_mm = 130;
const MOST_ADDED = 6;

interface Kind<D> {
  /** Stations where the line has a number of its own. */
  own: (document: D) => number[];
  unknowns: (document: D) => Unknown[];
  made: (document: D, values: readonly number[]) => D;
  marks: (document: D) => Mark[];
  withMarks: (document: D, marks: Mark[]) => D;
  reader: (document: D, length_mm: number) => (x: number) => number;
}

const free = (start: number, low: number, high: number): Unknown => ({ start, low, high, step: 0.2 });

function rockerKind(length_mm: number): Kind<RockerDocument> {
  return {
    own: ({ flatPoint_mm }) => [0, length_mm / 2 + flatPoint_mm, length_mm],
    unknowns: ({ noseLift_mm, tailLift_mm, flatPoint_mm, marks }) => [
      free(noseLift_mm, 0, 600),
      free(tailLift_mm, 0, 400),
      { ...free(flatPoint_mm, -0.35 * length_mm, 0.35 * length_mm), step: 2 },
      ...marks.map(({ value_mm }) => free(value_mm, 0, 600)),
    ],
    made: (document, [noseLift_mm, tailLift_mm, flatPoint_mm, ...lifts]) => ({
      noseLift_mm,
      tailLift_mm,
      flatPoint_mm,
      marks: document.marks.map((mark, k) => ({ ...mark, value_mm: lifts[k] })),
    }),
    marks: ({ marks }) => marks,
    withMarks: (document, marks) => ({ ...document, marks }),
    reader: (document) => {
      const rocker = sprungRocker(document, { length_mm, wide_mm: length_mm / 2 });
      return (x) => rocker.line.valueAt(x);
    },
  };
}

/** A foil, and what of the deck's features makes it thicker or thinner along the stringer. */
interface FoilFound {
  foil: FoilDocument;
  features: DeckFeature[];
}

const limited = (start: number, { low, high }: { low: number; high: number }): Unknown => ({
  start,
  low,
  high,
  step: 1,
});

/** The numbers of a feature that a foil can tell, and the feature with others. */
function featureUnknowns(feature: DeckFeature, length_mm: number): Unknown[] {
  switch (feature.kind) {
    case 'beak':
      return [
        limited(feature.length_mm, BEAK_LENGTH_mm),
        limited(feature.fade_mm, BEAK_FADE_mm),
        limited(feature.thickness_mm, BEAK_THICKNESS_mm),
      ];
    case 'sDeck':
      return [
        { start: feature.at_mm, low: -0.45 * length_mm, high: 0.45 * length_mm, step: 2 },
        limited(feature.length_mm, { ...DECK_LENGTH_mm, high: 0.6 * length_mm }),
        limited(feature.fade_mm, { ...DECK_FADE_mm, high: 0.3 * length_mm }),
        limited(feature.drop_mm, S_DECK_DROP_mm),
      ];
    default:
      return [];
  }
}

function featureOf(feature: DeckFeature, values: readonly number[]): DeckFeature {
  switch (feature.kind) {
    case 'beak':
      return { ...feature, length_mm: values[0], fade_mm: values[1], thickness_mm: values[2] };
    case 'sDeck':
      return { ...feature, at_mm: values[0], length_mm: values[1], fade_mm: values[2], drop_mm: values[3] };
    default:
      return feature;
  }
}

function foilKind(length_mm: number): Kind<FoilFound> {
  return {
    own: ({ foil }) => [0, length_mm / 2 + foil.thickest_mm, length_mm],
    unknowns: ({ foil, features }) => [
      free(foil.thickness_mm, 10, 200),
      { ...free(foil.thickest_mm, -0.3 * length_mm, 0.3 * length_mm), step: 2 },
      free(foil.noseTip_mm, 1, 100),
      free(foil.tailTip_mm, 1, 100),
      ...foil.marks.map(({ value_mm }) => free(value_mm, 1, 200)),
      ...features.flatMap((feature) => featureUnknowns(feature, length_mm)),
    ],
    made: ({ foil, features }, [thickness_mm, thickest_mm, noseTip_mm, tailTip_mm, ...values]) => ({
      foil: {
        thickness_mm,
        thickest_mm,
        noseTip_mm,
        tailTip_mm,
        marks: foil.marks.map((mark, k) => ({ ...mark, value_mm: Math.min(values[k], thickness_mm - 0.01) })),
      },
      features: features.map((feature) => featureOf(feature, values.slice(foil.marks.length))),
    }),
    marks: ({ foil }) => foil.marks,
    withMarks: (document, marks) => ({ ...document, foil: { ...document.foil, marks } }),
    reader: ({ foil, features }) => {
      const sprung = sprungFoil(foil, features, { length_mm, wide_mm: length_mm / 2 });
      return (x) => thicknessAt(sprung, x);
    },
  };
}

function fitted<D>(kind: Kind<D>, from: D, { length_mm, points }: FoundLine, mostRounds = 20): LineFit<D> | undefined {
  const offBy = (document: D) => {
    try {
      const at = kind.reader(document, length_mm);
      return Float64Array.from(points, ({ x, y }) => y - at(x));
    } catch {
      return undefined;
    }
  };
  try {
    const fit = leastSquares(kind.unknowns(from), (values) => offBy(kind.made(from, values)), { huber: 1, mostRounds });
    const document = kind.made(from, fit.values);
    const off = offBy(document);
    if (!off) return undefined;
    let worst = 0;
    off.forEach((each, i) => {
      if (Math.abs(each) > Math.abs(off[worst])) worst = i;
    });
    return {
      document,
      rms_mm: Math.sqrt(off.reduce((sum, each) => sum + each * each, 0) / off.length),
      worst: { at: points[worst], off_mm: off[worst] },
    };
  } catch {
    return undefined;
  }
}

/** A mark at a station, tied to the nearer end. */
function markAt(x: number, value_mm: number, length_mm: number): Mark {
  return x < length_mm / 2 ? { from: 'tail', at_mm: x, value_mm } : { from: 'nose', at_mm: length_mm - x, value_mm };
}

const stationOf = ({ from, at_mm }: Mark, length_mm: number) => (from === 'tail' ? at_mm : length_mm - at_mm);

/** A line through what was found, with few marks: two a side, and more where it is furthest off. */
function throughFound<D>(
  kind: Kind<D>,
  start: D,
  found: FoundLine,
  within_mm: number,
  quick = false,
): LineFit<D> | undefined {
  const { length_mm, points } = found;
  const first = [EVERY_mm, 2 * EVERY_mm, length_mm - 2 * EVERY_mm, length_mm - EVERY_mm].filter((x) =>
    kind.own(start).every((own) => Math.abs(own - x) > APART_mm),
  );
  let fit = fitted(
    kind,
    kind.withMarks(
      start,
      first.map((x) => markAt(x, lineAt(points, x), length_mm)),
    ),
    found,
    quick ? 7 : 20,
  );
  for (let added = 0; fit && !quick && added < MOST_ADDED && Math.abs(fit.worst.off_mm) > within_mm / 2; added++) {
    const { document } = fit;
    const marks = kind.marks(document);
    if (marks.length >= MOST_MARKS) break;
    const taken = [...kind.own(document), ...marks.map((mark) => stationOf(mark, length_mm))];
    const at = kind.reader(document, length_mm);
    let [best, where] = [0, 0];
    for (let x = APART_mm; x <= length_mm - APART_mm; x += 20) {
      if (taken.some((each) => Math.abs(each - x) < APART_mm)) continue;
      const sum = points.reduce((s, p) => (Math.abs(p.x - x) < 110 ? s + (p.y - at(p.x)) ** 2 : s), 0);
      if (sum > best) [best, where] = [sum, x];
    }
    if (best === 0) break;
    const more = fitted(kind, kind.withMarks(document, [...marks, markAt(where, at(where), length_mm)]), found);
    if (!more || more.rms_mm > (1 - WORTH) * fit.rms_mm) break;
    fit = more;
  }
  return fit;
}

/** The rocker nearest to a bottom line, whose lowest place is the flat point. Heights from any level line. */
export function fittedRocker(found: FoundLine, within_mm: number): LineFit<RockerDocument> | undefined {
  const { length_mm, points } = found;
  const inner = points.filter(({ x }) => x > 0.2 * length_mm && x < 0.8 * length_mm);
  if (inner.length < 3) return undefined;
  const lowest = inner.reduce((low, p) => (p.y < low.y ? p : low));
  const floor = lowest.y;
  // Where it lies level for a way, the middle of it.
  const level = inner.filter(({ y }) => y < floor + 0.05);
  const flat = level.reduce((sum, { x }) => sum + x, 0) / level.length;
  const lifted = { length_mm, points: points.map(({ x, y }) => ({ x, y: y - floor })) };
  const start: RockerDocument = {
    noseLift_mm: Math.max(0, lineAt(lifted.points, length_mm)),
    tailLift_mm: Math.max(0, lineAt(lifted.points, 0)),
    flatPoint_mm: flat - length_mm / 2,
    marks: [],
  };
  return throughFound(rockerKind(length_mm), start, lifted, within_mm);
}

/** A feature is taken only where it takes this much of what is left. */
const FEATURE_WORTH = 0.6;

/** The foil nearest to thicknesses along the stringer; with a beak or a scoop where the plain one cannot follow. */
export function fittedFoil(found: FoundLine, within_mm: number): LineFit<FoilFound> | undefined {
  const { length_mm, points } = found;
  if (points.length < 3) return undefined;
  const thickest = points.reduce((most, p) => (p.y > most.y ? p : most));
  const foil: FoilDocument = {
    thickness_mm: thickest.y,
    thickest_mm: Math.min(0.25, Math.max(-0.25, thickest.x / length_mm - 0.5)) * length_mm,
    noseTip_mm: Math.max(1, lineAt(points, length_mm)),
    tailTip_mm: Math.max(1, lineAt(points, 0)),
    marks: [],
  };
  const kind = foilKind(length_mm);
  let best = throughFound(kind, { foil, features: [] }, found, within_mm);
  if (!best || Math.abs(best.worst.off_mm) <= within_mm) return best;
  const scoop = { kind: 'sDeck', from: 'centre', length_mm: 700, fade_mm: 300, drop_mm: 3 } as const;
  const tried: DeckFeature[] = [
    { kind: 'beak', length_mm: 220, fade_mm: 200, thickness_mm: 8, roll: 0.5 },
    { ...scoop, at_mm: 0.12 * length_mm },
    { ...scoop, at_mm: -0.12 * length_mm },
  ];
  const plain_mm = best.rms_mm;
  const few = { length_mm, points: points.filter((_, k) => k % 3 === 0) };
  for (const feature of tried) {
    const tried = throughFound(kind, { foil, features: [feature] }, few, within_mm, true);
    if (!tried || tried.rms_mm > Math.min(best.rms_mm, FEATURE_WORTH * plain_mm)) continue;
    const fit = fitted(kind, tried.document, found) ?? tried;
    if (fit.rms_mm < best.rms_mm) best = fit;
    if (Math.abs(best.worst.off_mm) <= within_mm) break;
  }
  return best;
}
