import { outlinePoints } from '../../outline/outline.ts';
import type { Shape } from '../../shape/shape.ts';
import type { Point } from '../plane.ts';
import { normally, seeded } from '../seeded.ts';
import type { Picture } from './findOutline.ts';
import { type Homography, homographyOf, inverted, seenThrough } from './homography.ts';
import { bowed, type Lens, noBow, straightened } from './lens.ts';

// Pixel by pixel and point by point: looked up once.
const { abs, ceil, cos, max, min, round, sin } = Math;

/** A made-up camera over a board on a sheet. */
export interface Camera {
  width: number;
  height: number;
  /** How far it leans from looking straight down, along the board and across. */
  tilt_rad: number;
  lean_rad: number;
  /** How its lens bends, as in `Lens`; 0 not at all. */
  bow: number;
  /** Deviation of each channel, of 255. */
  noise: number;
  /** A tape lies along the sheet beside the board. */
  tape: boolean;
  seed: number;
}

export const USUAL_CAMERA: Camera = {
  width: 2000,
  height: 1125,
  tilt_rad: (25 * Math.PI) / 180,
  lean_rad: 0.05,
  bow: 0,
  noise: 4,
  tape: true,
  seed: 3,
};

/** The sheet a made-up board is laid on: at least so large, and longer than the board by so much, mm. */
const SHEET_mm = { width: 2500, height: 900, longer: 420 } as const;

/** A tape that lies beside a board: how long and wide it is, how far from the middle of the sheet, a stroke across it at every decimetre. mm. */
const TAPE_mm = { long: 1600, wide: 16, beside: 392, every: 100, stroke: 3 } as const;

export interface MadeUpPhoto {
  picture: Picture;
  /** The corners of the sheet in pixels: top left, top right, bottom right, bottom left. */
  corners: [Point, Point, Point, Point];
  /** The middle of the edge from the first corner to the second, as seen. */
  onEdge: Point;
  /** What the sheet measures, from the first corner to the second and from the second to the third. */
  width_mm: number;
  height_mm: number;
  /** Both ends of the tape in pixels, and how far apart they are. */
  tape: { ends: [Point, Point]; apart_mm: number };
}

/** From the plane of the sheet, mm from its middle with y down, to the picture: a pinhole a little farther off than the sheet is long. */
function projection({ width, height, tilt_rad, lean_rad }: Camera, sheet_mm: number): Homography {
  const away = 1.2 * sheet_mm;
  const focal = (0.84 * width * away) / sheet_mm;
  const plane: Point[] = [
    { x: -1, y: -1 },
    { x: 1, y: -1 },
    { x: 1, y: 1 },
    { x: -1, y: 1 },
  ].map(({ x, y }) => ({ x: (x * sheet_mm) / 2, y: (y * SHEET_mm.height) / 2 }));
  const seen = plane.map(({ x, y }) => {
    const x1 = x * cos(lean_rad);
    const z1 = x * sin(lean_rad);
    const y2 = y * cos(tilt_rad) - z1 * sin(tilt_rad);
    const z2 = y * sin(tilt_rad) + z1 * cos(tilt_rad);
    const k = focal / (away - z2);
    return { x: width / 2 + k * x1, y: height / 2 + k * y2 };
  });
  return homographyOf(plane, seen)!;
}

/** A picture of a board on a sheet on a floor: perspective, a light that falls off, a soft shadow beside the board, a tape, noise. The same seed gives the same picture. */
export function madeUpPhoto(shape: Shape, camera: Camera): MadeUpPhoto {
  const even = seeded(camera.seed);
  const normal = normally(even);
  const { length_mm } = shape.board;
  const sheet_mm = max(SHEET_mm.width, length_mm + SHEET_mm.longer);
  const toPicture = projection(camera, sheet_mm);
  const toPlane = inverted(toPicture);
  const side = outlinePoints(shape.outline, 400);
  const half = halves(side, length_mm);
  const notch = shape.outline.end.notch_mm;
  /** How far inside the board a place is: 1 inside, 0 out, over a millimetre between. */
  const onBoard = (x: number, y: number): number => {
    const along = x + length_mm / 2;
    if (along < 0 || along > length_mm) return 0;
    const [outer, inner] = half(along);
    const out = min(1, max(0, outer - abs(y) + 0.5));
    return along < notch ? min(out, min(1, max(0, abs(y) - inner + 0.5))) : out;
  };
  const { width, height, bow } = camera;
  const lens: Lens = { ...noBow(width, height), bow };
  const rgba = new Uint8ClampedArray(4 * width * height);
  const board = [236, 230, 214];
  const sheet = [92, 110, 120];
  const floor = [70, 60, 54];
  const [strip, stroke] = [
    [206, 172, 62],
    [40, 36, 30],
  ];
  /** What lies on the floor under the board and its shadow. */
  const ground = (x: number, y: number): readonly number[] => {
    if (abs(x) >= sheet_mm / 2 || abs(y) >= SHEET_mm.height / 2) return floor;
    if (!camera.tape || abs(y - TAPE_mm.beside) > TAPE_mm.wide / 2 || abs(x) > TAPE_mm.long / 2) return sheet;
    const along = (x + TAPE_mm.long / 2) % TAPE_mm.every;
    return min(along, TAPE_mm.every - along) < TAPE_mm.stroke / 2 ? stroke : strip;
  };
  for (let r = 0; r < height; r++) {
    for (let c = 0; c < width; c++) {
      const { x, y } = seenThrough(toPlane, straightened(lens, { x: c + 0.5, y: r + 0.5 }));
      const isSheet = abs(x) < sheet_mm / 2 && abs(y) < SHEET_mm.height / 2;
      const share = isSheet ? onBoard(x, y) : 0;
      const light = 1 - 0.12 * (x / sheet_mm + 0.5) - 0.06 * (y / SHEET_mm.height + 0.5);
      const shadow = isSheet ? 1 - 0.14 * onBoard(x - 18, y - 22) : 1;
      const lies = ground(x, y);
      for (let k = 0; k < 3; k++) {
        const under = lies[k] * shadow;
        rgba[4 * (r * width + c) + k] = (under + (board[k] - under) * share) * light + camera.noise * normal();
      }
      rgba[4 * (r * width + c) + 3] = 255;
    }
  }
  const seenAt = (x: number, y: number) => bowed(lens, seenThrough(toPicture, { x, y }));
  const corner = (x: number, y: number) => seenAt((x * sheet_mm) / 2, (y * SHEET_mm.height) / 2);
  return {
    picture: { width, height, rgba },
    corners: [corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)],
    onEdge: corner(0, -1),
    width_mm: sheet_mm,
    height_mm: SHEET_mm.height,
    tape: {
      ends: [seenAt(-TAPE_mm.long / 2, TAPE_mm.beside), seenAt(TAPE_mm.long / 2, TAPE_mm.beside)],
      apart_mm: TAPE_mm.long,
    },
  };
}

/** Outer and inner half width at each place along, by a table of half millimetres. */
function halves(
  side: readonly { x_mm: number; y_mm: number }[],
  length_mm: number,
): (along: number) => [number, number] {
  const count = ceil(length_mm * 2) + 2;
  const outer = new Float64Array(count);
  const inner = new Float64Array(count).fill(Infinity);
  for (let i = 0; i + 1 < side.length; i++) {
    const [a, b] = [side[i], side[i + 1]];
    const [low, high] = a.x_mm < b.x_mm ? [a, b] : [b, a];
    for (let k = ceil(low.x_mm * 2); k <= high.x_mm * 2; k++) {
      const share = high.x_mm > low.x_mm ? (k / 2 - low.x_mm) / (high.x_mm - low.x_mm) : 0;
      const y = low.y_mm + share * (high.y_mm - low.y_mm);
      outer[k] = max(outer[k], y);
      inner[k] = min(inner[k], y);
    }
  }
  return (along) => {
    const k = min(count - 1, max(0, round(along * 2)));
    return [outer[k], inner[k]];
  };
}
