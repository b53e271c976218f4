import { boardFromDrawing, type BringChoices, type Brought, boardOfParts, type LineUse, planOf } from '../drawn.ts';
import { boxOfPoints, type Point } from '../plane.ts';
import { type FindChoices, outlineInPicture, type Picture } from './findOutline.ts';
import { type Lens, lensOf, noBow, straightened } from './lens.ts';
import { type Homography, homographyOf, seenThrough, similarityOf } from './homography.ts';

/** What is known of a picture: four corners of a rectangle that lies where the board does, and a point on its first edge where that looks bent; or two points and how far apart they are. */
export type Known =
  | { kind: 'corners'; at: readonly [Point, Point, Point, Point]; width_mm: number; height_mm: number; bent?: Point }
  | { kind: 'points'; at: readonly [Point, Point]; apart_mm: number };

export type PhotoMade =
  (Extract<Brought, { ok: true }> & { seen: Point[] }) | { ok: false; reason: string; seen?: Point[] };

export interface PhotoChoices extends Omit<BringChoices, 'within_mm' | 'bumps'> {
  known: Known;
  /** How unlike its background the board must be; 1 as found. */
  unlike: number;
  /** The tail is at the other end than it looks. */
  turned: boolean;
  /** Where a hand marked its edge, in pixels: the line that is found is drawn to these. */
  edges?: readonly Point[] | undefined;
  /** What of a board is seen; its outline where left out. A profile stands deck up; of a rocker template the lower edge counts. */
  what?: Exclude<LineUse, 'none'>;
}

/** A rectangle longer than this has the board on it. */
const HOLDS_BOARD_mm = 1300;
/** So much of the rectangle's rim is left out: it is never marked quite on its edge. */
const RIM = 0.012;
/** How near an outline is wanted that was seen, mm. */
const SEEN_WITHIN_mm = 1.2;
/** The most of a plane that is looked at about what is known of it, mm. */
const MOST_SEEN_mm = 6000;

/**
 * The board of a picture of its plan. Perspective goes by the four corners; two points tell scale and turn alone, for a picture taken square
 * on. Then as a drawing: the outline found is folded on its middle and fitted. Never throws: what does not do is refused with the reason.
 */
export function boardFromPhoto(picture: Picture, choices: PhotoChoices): PhotoMade {
  const { known, unlike, turned, edges, what = 'outline' } = choices;
  const read = planeOfPicture(picture, known);
  if (!read.ok) return read;
  const { lens, toPlane } = read;
  choices.onRound?.();
  const found = outlineInPicture(picture, { toPlane, lens, part: partOf(known, toPlane, picture), unlike, edges });
  if (!found.ok) return found;
  const rough = { within_mm: SEEN_WITHIN_mm, bumps: false };
  if (what === 'outline') {
    return {
      ...boardOfParts({ plan: planOf(found.stroke, what, turned) }, { ...choices, ...rough }),
      seen: found.seen,
    };
  }
  const { stroke } = found;
  const part = { stroke, box: boxOfPoints(stroke.points), looks: what };
  return { ...boardFromDrawing([part], { ...choices, ...rough, unit_mm: 1 }), seen: found.seen };
}

/** Where marks of a picture lie on the plane of what is known of it, mm, y down as in the picture. */
export function markedOnPlane(
  picture: Pick<Picture, 'width' | 'height'>,
  known: Known,
  marks: readonly Point[],
): { ok: true; points: Point[] } | { ok: false; reason: string } {
  const read = planeOfPicture(picture, known);
  if (!read.ok) return read;
  return { ok: true, points: marks.map((mark) => seenThrough(read.toPlane, straightened(read.lens, mark))) };
}

function planeOfPicture(
  { width, height }: Pick<Picture, 'width' | 'height'>,
  known: Known,
): { ok: true; lens: Lens; toPlane: Homography } | { ok: false; reason: string } {
  const { at } = known;
  const bent = known.kind === 'corners' ? known.bent : undefined;
  const lens = bent ? lensOf(at[0], bent, at[1], width, height) : noBow(width, height);
  if (!lens) {
    return {
      ok: false,
      reason: 'No lens bends an edge so: set the fifth mark on the edge from one to two, near its middle.',
    };
  }
  const toPlane = planeOf(known, lens);
  if (!toPlane) {
    return {
      ok: false,
      reason: 'The marks lie in one line, or on one another: set them at the corners, in order round.',
    };
  }
  return { ok: true, lens, toPlane };
}

function planeOf(known: Known, lens: Lens): Homography | undefined {
  const straight = (p: Point) => straightened(lens, p);
  if (known.kind === 'points') {
    return similarityOf(
      [straight(known.at[0]), straight(known.at[1])],
      [
        { x: 0, y: 0 },
        { x: known.apart_mm, y: 0 },
      ],
    );
  }
  const { width_mm: w, height_mm: h } = known;
  return homographyOf(known.at.map(straight), [
    { x: 0, y: 0 },
    { x: w, y: 0 },
    { x: w, y: h },
    { x: 0, y: h },
  ]);
}

/** Inside the rectangle where the board lies on it; else all that is seen. */
function partOf(known: Known, toPlane: Homography, { width, height }: Picture): FindChoices['part'] {
  if (known.kind === 'corners' && Math.max(known.width_mm, known.height_mm) > HOLDS_BOARD_mm) {
    const rim = RIM * Math.max(known.width_mm, known.height_mm);
    return { left: rim, top: rim, right: known.width_mm - rim, bottom: known.height_mm - rim };
  }
  const corners = [
    { x: 0, y: 0 },
    { x: width, y: 0 },
    { x: width, y: height },
    { x: 0, y: height },
  ].map((corner) => seenThrough(toPlane, corner));
  const held = (value: number) => Math.min(MOST_SEEN_mm, Math.max(-MOST_SEEN_mm, value));
  return {
    left: held(Math.min(...corners.map(({ x }) => x))),
    right: held(Math.max(...corners.map(({ x }) => x))),
    top: held(Math.min(...corners.map(({ y }) => y))),
    bottom: held(Math.max(...corners.map(({ y }) => y))),
  };
}
