// Boards brought in by a picture: made-up pictures of known boards, closed forms, and what is no picture.
import { describe, expect, it } from '@jest/globals';
import { thicknessAt } from '../../foil/foil.ts';
import { modelNamed } from '../../models/models.ts';
import { halfBreadthAt } from '../../outline/outline.ts';
import { shapeOf } from '../../shape/shape.ts';
import type { Point } from '../plane.ts';
import { onDarkLine } from './darkLine.ts';
import { otsu, type Picture } from './findOutline.ts';
import { boardFromPhoto, type Known } from './fromPhoto.ts';
import { homographyOf, inverted, seenThrough, similarityOf } from './homography.ts';
import { bowed, lensOf, noBow, straightened } from './lens.ts';
import { madeUpPhoto, USUAL_CAMERA } from './madeUpPhoto.ts';
import { pictureFileKind } from './pictureFile.ts';

const SQUARE: Point[] = [
  { x: 0, y: 0 },
  { x: 1, y: 0 },
  { x: 1, y: 1 },
  { x: 0, y: 1 },
];

/** Unit square to quadrilateral, in closed form (Heckbert 1989, Fundamentals of Texture Mapping and Image Warping, 2.2.3; from memory). */
function heckbert([p0, p1, p2, p3]: readonly Point[]): number[] {
  const [sx, sy] = [p0.x - p1.x + p2.x - p3.x, p0.y - p1.y + p2.y - p3.y];
  const [dx1, dy1, dx2, dy2] = [p1.x - p2.x, p1.y - p2.y, p3.x - p2.x, p3.y - p2.y];
  const whole = dx1 * dy2 - dx2 * dy1;
  const g = (sx * dy2 - dx2 * sy) / whole;
  const h = (dx1 * sy - sx * dy1) / whole;
  return [
    p1.x - p0.x + g * p1.x,
    p3.x - p0.x + h * p3.x,
    p0.x,
    p1.y - p0.y + g * p1.y,
    p3.y - p0.y + h * p3.y,
    p0.y,
    g,
    h,
    1,
  ];
}

describe('a plane seen in perspective', () => {
  it.each([
    [[10, 20, 400, 60, 380, 300, -30, 280]],
    [[0, 0, 100, 0, 100, 100, 0, 100]],
    [[518, 128, 898, 119, 925, 254, 493, 260]],
  ])('%p: the square’s homography is that of the closed form', (numbers) => {
    const quad = SQUARE.map((_, k) => ({ x: numbers[2 * k], y: numbers[2 * k + 1] }));
    const found = homographyOf(SQUARE, quad)!;
    heckbert(quad).forEach((value, k) => expect(found[k]).toBeCloseTo(value, 6));
    const back = inverted(found);
    const there = seenThrough(found, { x: 0.3, y: 0.8 });
    expect(seenThrough(back, there)).toEqual({ x: expect.closeTo(0.3, 9), y: expect.closeTo(0.8, 9) });
  });

  it('has no homography where marks lie in one line or on one another', () => {
    const line = SQUARE.map((_, k) => ({ x: k, y: 2 * k }));
    expect(homographyOf(line, SQUARE)).toBeUndefined();
    expect(homographyOf([SQUARE[0], SQUARE[0], SQUARE[2], SQUARE[3]], SQUARE)).toBeUndefined();
    expect(homographyOf(SQUARE.slice(0, 3), SQUARE.slice(0, 3))).toBeUndefined();
    expect(similarityOf([SQUARE[1], SQUARE[1]], [SQUARE[0], SQUARE[1]])).toBeUndefined();
  });
});

describe('scale and turn by two points', () => {
  it('two points 2 apart along x laid 4 apart along y: twice as large, a quarter turn', () => {
    const h = similarityOf(
      [
        { x: 1, y: 1 },
        { x: 3, y: 1 },
      ],
      [
        { x: 10, y: 20 },
        { x: 10, y: 24 },
      ],
    )!;
    for (const [from, to] of [
      [
        { x: 1, y: 1 },
        { x: 10, y: 20 },
      ],
      [
        { x: 3, y: 1 },
        { x: 10, y: 24 },
      ],
      [
        { x: 1, y: 2 },
        { x: 8, y: 20 },
      ],
      [
        { x: 2, y: 4 },
        { x: 4, y: 22 },
      ],
    ])
      expect(seenThrough(h, from)).toEqual({ x: expect.closeTo(to.x, 9), y: expect.closeTo(to.y, 9) });
  });
});

describe('a lens that bends', () => {
  it.each([-0.08, 0.05, 0.12])('of %p is found again from a straight edge, and undone', (bow) => {
    const lens = { ...noBow(2000, 1200), bow };
    const [a, m, b] = [
      { x: 200, y: 150 },
      { x: 900, y: 185 },
      { x: 1600, y: 220 },
    ].map((p) => bowed(lens, p));
    expect(lensOf(a, m, b, 2000, 1200)?.bow).toBeCloseTo(bow, 6);
    const back = straightened(lens, a);
    expect(Math.hypot(back.x - 200, back.y - 150)).toBeLessThan(1e-6);
  });

  it('is none where no lens does it', () => {
    expect(lensOf({ x: 200, y: 150 }, { x: 900, y: 700 }, { x: 1600, y: 150 }, 2000, 1200)).toBeUndefined();
  });
});

describe('the threshold between two heaps', () => {
  it('lies between them', () => {
    const values = Float64Array.from({ length: 900 }, (_, k) => (k % 3 === 0 ? 200 + (k % 7) : 20 + (k % 5)));
    expect(otsu(values)).toBeGreaterThan(24);
    expect(otsu(values)).toBeLessThan(200);
    expect(otsu(new Float64Array(9))).toBe(1);
  });
});

const photoOf = (name: string, width: number) => {
  const shape = shapeOf(modelNamed(name)!);
  const photo = madeUpPhoto(shape, { ...USUAL_CAMERA, width, height: 0.57 * width });
  const known: Known = { kind: 'corners', at: photo.corners, width_mm: photo.width_mm, height_mm: photo.height_mm };
  return { shape, photo, known };
};
const usual = { name: 'Seen', unlike: 1, turned: false };

describe('a board in a picture', () => {
  it('tilted by 25 degrees: outline within 2 mm in the mean, area within one in a hundred, swallow and wing seen', () => {
    const { shape, photo, known } = photoOf('Kettle', 900);
    const made = boardFromPhoto(photo.picture, { ...usual, known });
    if (!made.ok) throw new Error(made.reason);
    const { outline } = shapeOf(made.board);
    const { length_mm } = shape.board;
    const stations = Array.from({ length: 150 }, (_, k) => 4 + ((length_mm - 8) * k) / 149);
    const [was, is] = [shape.outline, outline].map((each) => stations.map((x) => halfBreadthAt(each, x)));
    const rms = Math.sqrt(was.reduce((sum, value, k) => sum + (value - is[k]) ** 2, 0) / was.length);
    expect(rms).toBeLessThan(1);
    const area = (widths: readonly number[]) => widths.reduce((sum, value) => sum + value, 0);
    expect(Math.abs(area(is) / area(was) - 1)).toBeLessThan(0.01);
    expect(Math.abs(made.board.length_mm - length_mm)).toBeLessThan(3);
    expect(made.board.outline.tail.kind).toBe('swallow');
    // What was found lies on the picture, round the board.
    expect(made.seen.length).toBeGreaterThan(200);
    for (const { x, y } of made.seen) expect(x > 0 && x < 900 && y > 0 && y < 513).toBe(true);
  });

  it('through a lens that bends is straightened by a point on a straight edge', () => {
    const shape = shapeOf(modelNamed('Slack Water')!);
    const photo = madeUpPhoto(shape, { ...USUAL_CAMERA, width: 700, height: 400, bow: 0.06, tilt_rad: 0.1 });
    const known: Known = { kind: 'corners', at: photo.corners, width_mm: photo.width_mm, height_mm: photo.height_mm };
    const off = (as: Known) => {
      const made = boardFromPhoto(photo.picture, { ...usual, known: as });
      if (!made.ok) throw new Error(made.reason);
      return Math.abs(made.board.outline.width_mm / shape.board.outline.width_mm - 1);
    };
    expect(off({ ...known, bent: photo.onEdge })).toBeLessThan(0.008);
    expect(off(known)).toBeGreaterThan(0.015);
  });

  it('taken square on, by a tape that lies beside it: as long and as wide as it is within 4 mm', () => {
    const shape = shapeOf(modelNamed('Kettle')!);
    const photo = madeUpPhoto(shape, { ...USUAL_CAMERA, width: 900, height: 520, tilt_rad: 0, lean_rad: 0 });
    const { ends: at, apart_mm } = photo.tape;
    const made = boardFromPhoto(photo.picture, { ...usual, known: { kind: 'points', at, apart_mm } });
    if (!made.ok) throw new Error(made.reason);
    expect(Math.abs(made.board.length_mm - shape.board.length_mm)).toBeLessThan(4);
    expect(Math.abs(made.board.outline.width_mm - shape.board.outline.width_mm)).toBeLessThan(4);
    // The tape is in the picture: as yellow as none of the rest, dark at every decimetre.
    const tone = (share: number) => {
      const [x, y] = [at[0].x + share * (at[1].x - at[0].x), at[0].y + share * (at[1].y - at[0].y)].map(Math.floor);
      return photo.picture.rgba.slice(4 * (y * 900 + x), 4 * (y * 900 + x) + 3);
    };
    const between = tone(0.5 / 16);
    expect(between[0] - between[2]).toBeGreaterThan(80);
    const dark = Array.from({ length: 15 }, (_, k) => tone((k + 1) / 16)[0]);
    expect(Math.max(...dark)).toBeLessThan(between[0]);
  });

  it('on a background it does not stand out from, with marks in one line, with no board on it, is refused in words', () => {
    const { photo, known } = photoOf('Kettle', 400);
    const plain: Picture = { ...photo.picture, rgba: new Uint8ClampedArray(photo.picture.rgba.length).fill(120) };
    const reason = (picture: Picture, as: Known) => {
      const made = boardFromPhoto(picture, { ...usual, known: as });
      return made.ok ? 'made' : made.reason;
    };
    expect(reason(plain, known)).toMatch(/stands out whole/);
    const at = photo.corners;
    expect(
      reason(photo.picture, { kind: 'corners', at: [at[0], at[0], at[0], at[0]], width_mm: 2500, height_mm: 900 }),
    ).toMatch(/in one line/);
    expect(reason(photo.picture, { kind: 'points', at: [at[0], at[0]], apart_mm: 1800 })).toMatch(/in one line/);
    expect(reason(photo.picture, { ...known, width_mm: 250, height_mm: 90 } as Known)).not.toBe('made');
  });
});

/** A picture taken square on, of what lies inside a closed line, a mm to half a pixel, light on dark, soft at its edge. */
function pictureOf(inside: (x_mm: number, y_mm: number) => boolean, wide_mm: number, high_mm: number): Picture {
  const [width, height] = [Math.round(wide_mm / 2), Math.round(high_mm / 2)];
  const rgba = new Uint8ClampedArray(4 * width * height).fill(255);
  for (let r = 0; r < height; r++) {
    for (let c = 0; c < width; c++) {
      let share = 0;
      for (const [dx, dy] of [
        [0.25, 0.25],
        [0.75, 0.25],
        [0.25, 0.75],
        [0.75, 0.75],
      ])
        share += inside(2 * (c + dx), high_mm - 2 * (r + dy)) ? 0.25 : 0;
      for (let k = 0; k < 3; k++) rgba[4 * (r * width + c) + k] = 60 + 170 * share;
    }
  }
  return { width, height, rgba };
}

describe('a profile, or a template, in a picture', () => {
  const shape = shapeOf(modelNamed('Slack Water')!);
  const { length_mm } = shape.board;
  const [wide, margin] = [length_mm + 200, 100];
  const known: Known = {
    kind: 'points',
    at: [
      { x: margin / 2, y: 10 },
      { x: (margin + length_mm) / 2, y: 10 },
    ],
    apart_mm: length_mm,
  };
  const lift = (x: number) => shape.rocker.line.valueAt(x);
  const made = (picture: Picture, what: 'profile' | 'half' | 'bottom') => {
    const read = boardFromPhoto(picture, { ...usual, known, what });
    if (!read.ok) throw new Error(read.reason);
    return read;
  };

  it('from the side: rocker and foil within 2 mm of the board’s at its stations', () => {
    const side = pictureOf(
      (x, z) => {
        const along = x - margin;
        if (along < 0.5 || along > length_mm - 0.5) return false;
        return z - 60 >= lift(along) && z - 60 <= lift(along) + thicknessAt(shape.foil, along);
      },
      wide,
      360,
    );
    const { board, misfits } = made(side, 'profile');
    const now = shapeOf(board);
    expect(misfits.map(({ of }) => of)).toEqual(['rocker', 'foil']);
    for (const share of [0.1, 0.3, 0.5, 0.7, 0.9]) {
      const x = share * length_mm;
      expect(Math.abs(now.rocker.line.valueAt(x) - lift(x))).toBeLessThan(2);
      expect(Math.abs(thicknessAt(now.foil, x) - thicknessAt(shape.foil, x))).toBeLessThan(2);
    }
  });

  it('half a template is both halves of the outline', () => {
    const half = pictureOf(
      (x, y) => y >= 60 && x > margin && x < margin + length_mm && y - 60 <= halfBreadthAt(shape.outline, x - margin),
      wide,
      400,
    );
    const { board } = made(half, 'half');
    expect(Math.abs(board.outline.width_mm - shape.board.outline.width_mm)).toBeLessThan(4);
  });

  it('of a rocker template the lower edge counts, and no foil is told', () => {
    const template = pictureOf(
      (x, z) => x > margin && x < margin + length_mm && z - 60 >= lift(x - margin) && z < 300,
      wide,
      420,
    );
    const { board, misfits } = made(template, 'bottom');
    expect(misfits.map(({ of }) => of)).toEqual(['rocker']);
    const rocker = shapeOf(board).rocker.line;
    expect(Math.abs(rocker.valueAt(0.9 * length_mm) - lift(0.9 * length_mm))).toBeLessThan(2.5);
  });
});

describe('a mark beside a dark line', () => {
  // A pencil line three pixels wide at x = 40, faint squares every eight pixels.
  const paper: Picture = { width: 80, height: 60, rgba: new Uint8ClampedArray(4 * 80 * 60).fill(235) };
  for (let r = 0; r < 60; r++) {
    for (let c = 0; c < 80; c++) {
      const tone = Math.abs(c + 0.5 - 40.5) < 1.6 ? 60 : c % 8 === 3 || r % 8 === 3 ? 222 : 235;
      paper.rgba.fill(tone, 4 * (r * 80 + c), 4 * (r * 80 + c) + 3);
    }
  }
  it('goes to its middle, whatever squares are printed under it', () => {
    const at = onDarkLine(paper, { x: 35.2, y: 30 }, 8);
    expect(at.x).toBeCloseTo(40.5, 1);
    expect(Math.abs(at.y - 30)).toBeLessThan(0.6);
  });
  it('stays where nothing dark is near', () => {
    expect(onDarkLine(paper, { x: 15.5, y: 30 }, 8)).toEqual({ x: 15.5, y: 30 });
  });
});

describe('a file of a picture', () => {
  const bytes = (...parts: (string | number[])[]) =>
    Uint8Array.from(parts.flatMap((part) => (typeof part === 'string' ? [...part].map((c) => c.charCodeAt(0)) : part)));
  const png = (w: number[], h: number[]) =>
    bytes([0x89], 'PNG\r\n\x1a\n', [0, 0, 0, 13], 'IHDR', w, h, [8, 2, 0, 0, 0]);
  const told = (head: Uint8Array, size = head.length) => {
    const kind = pictureFileKind(head, size);
    return kind.ok ? [kind.width, kind.height] : kind.reason;
  };

  it('says its size before it is unpacked: PNG, JPEG, WebP', () => {
    expect(told(png([0, 0, 4, 0], [0, 0, 3, 0]))).toEqual([1024, 768]);
    // A segment to pass over, and the frame (ITU-T T.81, B.2.2).
    const jpeg = bytes([0xff, 0xd8, 0xff, 0xe0, 0, 4, 1, 1, 0xff, 0xc0, 0, 17, 8, 3, 0, 4, 0, 3, 0, 0, 0, 0, 0, 0]);
    expect(told(jpeg)).toEqual([1024, 768]);
    const webp = bytes('RIFF', [0, 0, 0, 0], 'WEBPVP8X', [10, 0, 0, 0, 0, 0, 0, 0, 0xff, 3, 0, 0xff, 2, 0, 0]);
    expect(told(webp)).toEqual([1024, 768]);
  });

  it.each([
    ['nothing', bytes(), /empty/],
    ['HEIC', bytes([0, 0, 0, 24], 'ftypheic', [0, 0]), /HEIC.*JPEG/],
    ['a text', bytes('Dear shaper, here is a picture of the board'), /no picture/],
    ['a picture of 40,000 px', png([0, 0, 0x9c, 0x40], [0, 0, 3, 0]), /40000 by 768/],
    ['a PNG cut off', bytes([0x89], 'PNG\r\n'), /cut off/],
    ['a JPEG cut off', bytes([0xff, 0xd8, 0xff, 0xe0, 0, 4]), /cut off/],
    ['a picture without size', png([0, 0, 0, 0], [0, 0, 3, 0]), /no size/],
  ])('%s is refused', (_what, head, words) => {
    expect(told(head)).toMatch(words);
  });

  it('is refused by its weight', () => {
    expect(told(png([0, 0, 4, 0], [0, 0, 3, 0]), 2e8)).toMatch(/80 MB/);
  });
});
