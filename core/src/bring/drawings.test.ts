// Boards brought in by their drawings: SVG and DXF, ours and other hands'.
import { describe, expect, it } from '@jest/globals';
import SvgPath from 'svg-path-properties';
import { DRAWINGS } from '../files/boardDrawings.ts';
import { drawingToDxf } from '../files/dxf.ts';
import { drawingToSvg } from '../files/svg.ts';
import { halfOutlineDrawing } from '../files/templateDrawing.ts';
import { thicknessAt } from '../foil/foil.ts';
import { modelNamed, models } from '../models/models.ts';
import { halfBreadthAt } from '../outline/outline.ts';
import { type Shape, shapeOf } from '../shape/shape.ts';
import { thinned } from '../testing/runs.ts';
import { readDrawing } from './drawingFile.ts';
import { dxfGroups } from './dxfGroups.ts';
import { boardFromDrawing, partsOf, planOf } from './drawn.ts';
import { areaOf, chained } from './plane.ts';

const MM = { kind: 'mm' } as const;

const strokesOf = (text: string) => {
  const read = readDrawing(text);
  if (!read.ok) throw new Error(read.reason);
  return read;
};
const boardOf = (text: string, unit_mm = strokesOf(text).unit_mm ?? 1) => {
  const made = boardFromDrawing(partsOf(strokesOf(text).strokes), { name: 'Drawn', unit_mm });
  if (!made.ok) throw new Error(made.reason);
  return made;
};
const refusal = (text: string) => {
  const read = readDrawing(text);
  return read.ok ? 'read' : read.reason;
};
const svg = (inside: string, head = 'width="2000mm" height="700mm" viewBox="0 0 2000 700"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${head}>${inside}</svg>`;
/** A DXF of pairs of code and value. */
const dxf = (pairs: [number, string | number][], units?: number) =>
  [
    ...(units === undefined
      ? []
      : ([
          [0, 'SECTION'],
          [2, 'HEADER'],
          [9, '$INSUNITS'],
          [70, units],
          [0, 'ENDSEC'],
        ] as [number, string | number][])),
    [0, 'SECTION'],
    [2, 'ENTITIES'],
    ...pairs,
    [0, 'ENDSEC'],
    [0, 'EOF'],
  ]
    .flat()
    .join('\n');

/** Each of our drawings in turn, for the boards in turn. */
const OUTLINES = [
  (shape: Shape) => drawingToSvg(DRAWINGS.outline.draw(shape, MM)),
  (shape: Shape) => drawingToDxf(DRAWINGS.outline.draw(shape, MM), 'splines'),
  (shape: Shape) => drawingToSvg(halfOutlineDrawing(shape, MM)),
];

describe('a board that comes back from its own drawings', () => {
  it.each(thinned(models(), 6).map((board, k) => [board.name, board, OUTLINES[k % OUTLINES.length]] as const))(
    '%s: outline within a tenth of a millimetre',
    (_name, board, drawn) => {
      const shape = shapeOf(board);
      const back = shapeOf(boardOf(drawn(shape)).board);
      expect(back.board.length_mm).toBeCloseTo(board.length_mm, 1);
      expect([board.outline.tail.kind, 'round']).toContain(back.board.outline.tail.kind);
      for (let x = 2; x < board.length_mm - 2; x += 7) {
        expect(Math.abs(halfBreadthAt(back.outline, x) - halfBreadthAt(shape.outline, x))).toBeLessThan(0.1);
      }
    },
  );

  // A plain foil, one with a beak, one with a scoop.
  it.each(['Slack Water', 'Peat Fire', 'Slow Ferry'])('%s: rocker and foil within a tenth of a millimetre', (name) => {
    const shape = shapeOf(modelNamed(name)!);
    const back = shapeOf(boardOf(drawingToDxf(DRAWINGS.rocker.draw(shape, MM))).board);
    for (let x = 1; x < shape.board.length_mm; x += 11) {
      expect(Math.abs(back.rocker.line.valueAt(x) - shape.rocker.line.valueAt(x))).toBeLessThan(0.1);
      expect(Math.abs(thicknessAt(back.foil, x) - thicknessAt(shape.foil, x))).toBeLessThan(0.1);
    }
  });
});

describe('a drawing by another hand', () => {
  it('of an ellipse, turned and in inches, is the ellipse of the books: closed form', () => {
    // Half axes 36 and 10 in, set up on end.
    const file = svg(
      '<g transform="translate(40 60) rotate(90)"><ellipse rx="36" ry="10"/></g>',
      'width="80in" height="120in" viewBox="0 0 80 120"',
    );
    const { board, misfits } = boardOf(file);
    expect(board.length_mm).toBeCloseTo(72 * 25.4, 2);
    expect(board.outline.width_mm).toBeCloseTo(20 * 25.4, 1);
    expect(board.outline.widePoint_mm).toBeCloseTo(0, 0);
    const { outline } = shapeOf(board);
    for (const x of [6, 12, 24, 50, 66]) {
      const half = 10 * 25.4 * Math.sqrt(1 - ((x - 36) / 36) ** 2);
      expect(Math.abs(halfBreadthAt(outline, x * 25.4) - half)).toBeLessThan(0.15);
    }
    expect(misfits[0].rms_mm).toBeLessThan(0.05);
  });

  it('of loose arcs and lines is joined to one line, in whatever order and sense they were drawn', () => {
    // A lens of two arcs 70 in long and 20 in wide, cut off by a 6 in line at one end.
    const chord = 70;
    const sag = 10;
    const radius = (chord * chord) / (8 * sag) + sag / 2;
    const half = (Math.asin(chord / 2 / radius) * 180) / Math.PI;
    const cut = 3;
    const x0 = radius - sag;
    const at = Math.sqrt(radius * radius - (x0 + cut) ** 2);
    const deg = (Math.asin(at / radius) * 180) / Math.PI;
    const file = dxf(
      [
        [0, 'ARC'],
        [8, 'board'],
        [10, 0],
        [20, -x0],
        [40, radius],
        [50, 90 - deg],
        [51, 90 + half],
        [0, 'LINE'],
        [8, 'board'],
        [10, at],
        [20, cut],
        [11, at],
        [21, -cut],
        [0, 'ARC'],
        [8, 'board'],
        [10, 0],
        [20, x0],
        [40, radius],
        [50, 270 - half],
        [51, 270 + deg],
      ] as [number, string | number][],
      1,
    );
    const { strokes, unit_mm } = strokesOf(file);
    expect(unit_mm).toBe(25.4);
    const [loop, ...rest] = chained(strokes, 0.01);
    expect(rest).toEqual([]);
    expect(loop.closed).toBe(true);
    const plan = planOf(
      { ...loop, points: loop.points.map(({ x, y }) => ({ x: 25.4 * x, y: 25.4 * y })) },
      'outline',
      false,
    );
    expect(plan.length_mm).toBeCloseTo((chord / 2 + at) * 25.4, 1);
    // The blunt end is the tail, wherever it was drawn.
    expect(Math.max(...plan.points.filter(({ x }) => x < 2).map(({ y }) => y))).toBeCloseTo(cut * 25.4, 0);
  });

  it('has bulges for arcs, splines for curves, blocks set in and turned', () => {
    // A circle of radius 5 as two bulges of 1, as the reference of the format says: area π r².
    const circle = strokesOf(
      dxf([
        [0, 'LWPOLYLINE'],
        [8, 'a'],
        [90, 2],
        [70, 1],
        [10, 0],
        [20, 0],
        [42, 1],
        [10, 10],
        [20, 0],
        [42, 1],
      ]),
    ).strokes[0];
    expect(circle.closed).toBe(true);
    expect(areaOf(circle.points)).toBeCloseTo(Math.PI * 25, 2);
    // A quadratic B-spline of one span is the parabola of Bezier: at its middle a quarter, a half, a quarter of its points.
    const parabola = strokesOf(
      dxf([
        [0, 'SPLINE'],
        [8, 'a'],
        [70, 8],
        [71, 2],
        [72, 6],
        [73, 3],
        [74, 0],
        ...[0, 0, 0, 1, 1, 1].map((knot): [number, number] => [40, knot]),
        [10, 0],
        [20, 0],
        [30, 0],
        [10, 5],
        [20, 10],
        [30, 0],
        [10, 10],
        [20, 0],
        [30, 0],
      ]),
    ).strokes[0];
    expect(Math.max(...parabola.points.map(({ y }) => y))).toBeCloseTo(5, 3);
    const set = strokesOf(
      [
        '0\nSECTION\n2\nBLOCKS\n0\nBLOCK\n8\n0\n2\nB\n70\n0\n10\n1\n20\n0\n30\n0\n3\nB\n0\nLINE\n8\na\n10\n1\n20\n0\n11\n3\n21\n0\n0\nENDBLK\n0\nENDSEC',
        dxf([
          [0, 'INSERT'],
          [8, 'a'],
          [2, 'B'],
          [10, 100],
          [20, 50],
          [30, 0],
          [41, 2],
          [42, 2],
          [43, 2],
          [50, 90],
        ]),
      ].join('\n'),
    ).strokes[0];
    expect(set.points[0]).toEqual({ x: expect.closeTo(100, 9), y: expect.closeTo(50, 9) });
    expect(set.points[1]).toEqual({ x: expect.closeTo(100, 9), y: expect.closeTo(54, 9) });
  });

  it('is read past tables that are written wrong: they say nothing of its lines', () => {
    const tables = [
      '0',
      'SECTION',
      '2',
      'TABLES',
      '0',
      'TABLE',
      '2',
      'VPORT',
      '0',
      'VPORT',
      '0',
      'STRANGE',
      '0',
      'ENDSEC',
    ];
    const line = dxf([
      [0, 'LINE'],
      [10, 0],
      [20, 0],
      [11, 30],
      [21, 40],
      [0, 'LWPOLYLINE'],
      // More points are promised than there are.
      [90, 999999],
      [10, 0],
      [20, 0],
      [10, 5],
      [20, 5],
    ]);
    const read = readDrawing(`${tables.join('\n')}\n${line}`);
    expect(read.ok && read.strokes.map(({ points }) => points)).toEqual([
      [
        { x: 0, y: 0 },
        { x: 30, y: 40 },
      ],
      [
        { x: 0, y: 0 },
        { x: 5, y: 5 },
      ],
    ]);
  });

  it('has paths as long as another library finds them', () => {
    const d = 'M10 80C40 10 65 10 95 80S150 150 180 80Q220 0 260 80T340 80A45 45 0 0 1 380 20l30 10z';
    const { strokes } = strokesOf(svg(`<path d="${d}"/>`));
    const { points } = strokes[0];
    const long = points.reduce(
      (sum, p, i) => sum + Math.hypot(p.x - (points[i + 1] ?? points[0]).x, p.y - (points[i + 1] ?? points[0]).y),
      0,
    );
    expect(long).toBeCloseTo(new SvgPath.svgPathProperties(d).getTotalLength(), 1);
  });

  it('is turned end for end when asked, and asks nothing of what is only defined or not drawn', () => {
    const shape = shapeOf(modelNamed('Kettle')!);
    const file = drawingToSvg(DRAWINGS.outline.draw(shape, MM)).replace(
      '</svg>',
      '<defs><rect width="9000" height="9000"/></defs><script>throw 1</script></svg>',
    );
    const [outline] = partsOf(strokesOf(file).strokes);
    expect(outline.looks).toBe('outline');
    const widest = (turned: boolean) =>
      planOf(outline.stroke, 'outline', turned).points.reduce((most, p) => (p.y > most.y ? p : most)).x;
    const wide_mm = shape.board.length_mm / 2 + shape.board.outline.widePoint_mm;
    expect(widest(false)).toBeCloseTo(wide_mm, -1);
    expect(widest(true)).toBeCloseTo(shape.board.length_mm - wide_mm, -1);
  });

  it('of a wrong unit, of a slice of a board, of two boards of two lengths is refused in words', () => {
    const shape = shapeOf(modelNamed('Kettle')!);
    const parts = partsOf(strokesOf(drawingToSvg(DRAWINGS.outline.draw(shape, MM))).strokes);
    const reason = (unit_mm: number) => {
      const made = boardFromDrawing(parts, { name: 'Wrong', unit_mm });
      return made.ok ? '' : made.reason;
    };
    expect(reason(0.1)).toMatch(/168 mm long.*another unit/);
    const none = boardFromDrawing(partsOf(strokesOf(svg('<circle r="40" cx="90" cy="90"/>')).strokes), {
      name: 'None',
      unit_mm: 1,
    });
    expect(none).toEqual({ ok: false, reason: expect.stringMatching(/neither an outline nor a profile/) });
  });
});

describe('what is no drawing', () => {
  it.each([
    ['nothing', '', /empty/],
    ['blanks', '  \n ', /empty/],
    ['bytes under the name of a text', '\0\x01PK\x03\x04', /no drawing/],
    ['a text', 'Dear shaper', /no drawing/],
    ['a DXF in binary', 'AutoCAD Binary DXF\r\n\x1a\0', /binary/],
    ['an SVG cut off', '<svg xmlns="http://www.w3.org/2000/svg"><path d="M0 0L10 1', /cut off|no line/],
    ['an SVG without lines', svg('<text>Hello</text>'), /no line/],
    ['an SVG with entities', `<!DOCTYPE svg [<!ENTITY a "b">]>${svg('')}`, /entities/],
    [
      'a number that is none',
      dxf([
        [0, 'LINE'],
        [8, 'a'],
        [10, 'nan'],
        [20, 0],
        [11, 5],
        [21, 5],
      ]),
      /none|cannot be read/,
    ],
    ['too many lines', svg('<line x2="9"/>'.repeat(20_002)), /more than 20000/],
    [
      'a polyline whose points never end',
      dxf([
        [0, 'POLYLINE'],
        [0, 'VERTEX'],
        [10, 1],
        [20, 1],
        [0, 'LINE'],
      ]),
      /polyline without an end/,
    ],
    [
      'a line that is no group code',
      dxf([
        [0, 'LINE'],
        [1755, 40],
      ]),
      /no group code/,
    ],
    ['a DXF cut off', dxf([[0, 'LINE']]).slice(0, -12), /cut off/],
    ['a curve of too many curves', svg(`<path d="M0 0${'C1 1 2 2 3 3'.repeat(9000)}"/>`), /more than 20000/],
    ['groups without end', svg(`${'<g>'.repeat(200)}<line x2="9"/>${'</g>'.repeat(200)}`), /too deep/],
  ])('%s is refused', (_what, text, reason) => {
    expect(refusal(text)).toMatch(reason);
  });
});

describe('the group codes of a DXF', () => {
  // DXF Reference, group code value types: which numbers a code may be.
  const read = (code: number) => dxfGroups(`0\nSECTION\n2\nENTITIES\n0\nLINE\n${code}\n0\n0\nENDSEC\n0\nEOF\n`).ok;
  it.each([
    [-5, 149],
    [160, 179],
    [210, 239],
    [270, 409],
    [410, 481],
    [999, 1071],
  ])('from %i to %i are some', (from, to) => {
    expect([from, to].map(read)).toEqual([true, true]);
  });
  it.each([-6, 150, 159, 180, 209, 240, 269, 482, 998, 1072, 1500])('%i is none', (code) => {
    expect(read(code)).toBe(false);
  });
});

describe('the unit of an SVG', () => {
  // CSS Values and Units 3, 6.2: an inch is 2.54 cm, 72 points, 6 picas and 96 pixels; a Q is a quarter of a millimetre.
  it.each([
    ['100mm', 1],
    ['10cm', 1],
    ['1in', 0.254],
    ['72pt', 0.254],
    ['6pc', 0.254],
    ['400Q', 1],
    ['25.4MM', 0.254],
  ])('of %s over a hundred is %f mm', (width, unit_mm) => {
    const found = readDrawing(
      `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${width}" viewBox="0 0 100 100"><path d="M0 0L9 9"/></svg>`,
    );
    expect(found.ok && found.unit_mm).toBeCloseTo(unit_mm, 9);
  });

  it('is told by the height where the width says pixels, and by none where both do', () => {
    const unit = (width: string, height: string) => {
      const found = readDrawing(
        `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 50 100"><path d="M0 0L9 9"/></svg>`,
      );
      return found.ok ? found.unit_mm : NaN;
    };
    expect(unit('96px', '20cm')).toBeCloseTo(2, 9);
    expect(unit('96px', '96px')).toBeUndefined();
    expect(unit('96', '96')).toBeUndefined();
  });
});

describe('shapes of an SVG', () => {
  // SVG 1.1, 9.2 and 9.7: a polygon is closed, a polyline is not; a rectangle is a closed path of its four corners.
  const read = (body: string) => {
    const found = readDrawing(
      `<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="100mm" viewBox="0 0 100 100">${body}</svg>`,
    );
    if (!found.ok) throw new Error(found.reason);
    return found.strokes.map(({ points, closed }) => [closed, points.length]);
  };
  it('a polygon is closed, a polyline of the same points is open', () => {
    expect(read('<polygon points="0,0 60,0 60,40"/>')).toEqual([[true, 3]]);
    expect(read('<polyline points="0,0 60,0 60,40"/>')).toEqual([[false, 3]]);
  });
  it('a path that is closed has its start once, whether it is drawn back to it or not; a new one begins there', () => {
    // SVG 1.1, 8.3.3: the straight line back, and the start of what follows.
    expect(read('<path d="M0 0H60V40Z"/>')).toEqual([[true, 3]]);
    expect(read('<path d="M0 0H60V40L0 0Z"/>')).toEqual([[true, 3]]);
    expect(read('<path d="M0 0H60V40L0 40Z"/>')).toEqual([[true, 4]]);
    expect(read('<path d="M0 0H60V40L9 0Z"/>')).toEqual([[true, 4]]);
    expect(read('<path d="M0 0H60V40ZL5 5"/>')).toEqual([
      [true, 3],
      [false, 2],
    ]);
  });
  it('a rectangle has its four corners; one without breadth is none', () => {
    expect(read('<rect x="10" y="5" width="60" height="40"/><polyline points="0,0 9,9"/>')).toEqual([
      [true, 4],
      [false, 2],
    ]);
    expect(read('<rect x="10" y="5" width="0" height="40"/><polyline points="0,0 9,9"/>')).toEqual([[false, 2]]);
  });
});
