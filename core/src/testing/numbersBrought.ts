// What comes of boards brought in by each door, as a flat list: a fit comes to the same board by other steps too, but not to the last
// digit, so that a change of how it looks is seen here. It says what the numbers are, not that they are right.
import { readDrawing } from '../bring/drawingFile.ts';
import { boardFromDrawing, type Brought, partsOf } from '../bring/drawn.ts';
import { boardFromSheet } from '../bring/measured/fromSheet.ts';
import { readByHand, ROUGH_HANDS } from '../bring/measured/hands.ts';
import { onDarkLine } from '../bring/photo/darkLine.ts';
import type { Picture } from '../bring/photo/findOutline.ts';
import { boardFromPhoto, type Known, markedOnPlane } from '../bring/photo/fromPhoto.ts';
import { madeUpPhoto, USUAL_CAMERA } from '../bring/photo/madeUpPhoto.ts';
import { readPoints } from '../bring/pointList.ts';
import { madeUpGauge, railFromTemplate, USUAL_GAUGE, withRailFound } from '../bring/railTemplate.ts';
import { apartOn } from '../bring/scan/apartOn.ts';
import { cleaned, looksInward, posed, principalPose, sampled } from '../bring/scan/cloud.ts';
import { fittedBoard, withPlainBottom } from '../bring/scan/fitBoard.ts';
import { scanLength } from '../bring/scan/fitScan.ts';
import { heldAgainst } from '../bring/scan/heldAgainst.ts';
import { CLEAN_SCANNER, madeUpScan, ROUGH_SCANNER } from '../bring/scan/madeUpScan.ts';
import { readOff } from '../bring/scan/readOff.ts';
import { stood } from '../bring/scan/stand.ts';
import { DRAWINGS } from '../files/boardDrawings.ts';
import { drawingToDxf } from '../files/dxf.ts';
import { drawingToSvg } from '../files/svg.ts';
import { halfOutlineDrawing } from '../files/templateDrawing.ts';
import { thicknessAt } from '../foil/foil.ts';
import { modelNamed } from '../models/models.ts';
import { type Shape, shapeOf } from '../shape/shape.ts';
import { meshOf } from '../solid/mesh.ts';
import { flat, type Numbers, type Put } from './numbersFlat.ts';

const MM = { kind: 'mm' } as const;
const shapeNamed = (name: string): Shape => shapeOf(modelNamed(name)!);
/** Lines that a fit may begin with: few, for its time. */
const othersThan = (name: string) =>
  ['Gannet', 'Slack Water', 'Kettle'].filter((other) => other !== name).map((other) => modelNamed(other)!);

/** What is brought in by each door, for the record. */
export const BROUGHT: Readonly<Record<string, () => Numbers>> = {
  hands: () => listed(handNumbers),
  gauges: () => listed(gaugeNumbers),
  drawings: () => listed(drawingNumbers),
  photos: () => listed(photoNumbers),
  scans: () => listed(scanNumbers),
};

function listed(fill: (put: Put) => void): Numbers {
  const out: Numbers = {};
  fill((name, value) => flat(name, value, out));
  return out;
}

/** A made board part by part, so that few of its numbers are summed. */
function putMade(put: Put, name: string, made: Brought): void {
  if (!made.ok) {
    put(name, made.reason);
    return;
  }
  const { board, ...rest } = made;
  for (const [part, value] of Object.entries(board)) put(`${name} ${part}`, value);
  for (const [part, value] of Object.entries(rest)) put(`${name} ${part}`, value);
}

function handNumbers(put: Put): void {
  for (const [name, tail] of [
    ['Two Stairs', 'swallow'],
    ['Long Quay', 'square'],
  ] as const) {
    const board = modelNamed(name)!;
    const read = readByHand(board, { ...ROUGH_HANDS, bias_mm: 0.7, sides: tail === 'swallow' });
    put(`hands ${name}`, read);
    const made = boardFromSheet(read, { name, tail, among: othersThan(name), bands: true });
    if (!made.ok) throw new Error(made.reason);
    for (const [part, value] of Object.entries({ ...made.board, ...made.bands })) put(`sheet ${name} ${part}`, value);
    put(`sheet ${name} residuals`, made.residuals);
    put(`sheet ${name} sides`, made.sides);
  }
}

function gaugeNumbers(put: Put): void {
  for (const [k, name] of ['Slack Water', 'Half Mile', 'Peat Fire'].entries()) {
    const shape = shapeNamed(name);
    const x_mm = (0.3 + 0.22 * k) * shape.board.length_mm;
    const gauge = madeUpGauge(shape, x_mm, { ...USUAL_GAUGE, noise_mm: 0.2, turn_rad: 1.3 * k, left: k === 1 });
    put(`gauge ${name}`, gauge);
    const onto = shapeNamed('Kettle');
    const read = gauge && railFromTemplate(onto, 0.5 * onto.board.length_mm, gauge);
    put(`rail ${name}`, read);
    if (read?.ok) put(`with rail ${name}`, withRailFound(onto.board, 0.5 * onto.board.length_mm, read.rail).rails);
  }
  put('points', readPoints('x;y\n0,5;1\n 2,25;-3,5\n\n7;8,125'));
}

/** Every kind of line that is read, once each. */
const SVG_OF_ALL = `<svg xmlns="http://www.w3.org/2000/svg" width="80in" height="40in" viewBox="0 0 800 400">
<g transform="translate(5 7) scale(1.1)"><g transform="rotate(12)"><path d="M0 0 h10 v5 l-3 4 q4 9 9 1 t7 3 c1 2 3 4 9 9 s4 4 8 1 a9 5 20 0 1 9 9 z m5 40 L60 70"/></g>
<line x1="1" y1="2" x2="30" y2="9"/><polyline points="0,0 5,7 9,3"/><polygon points="40,0 45,7 49,3"/></g>
<rect x="100" y="20" width="90" height="40" rx="8" ry="5"/><circle cx="300" cy="90" r="33"/><ellipse cx="500" cy="90" rx="70" ry="21"/></svg>`;
const DXF_OF_ALL: readonly (readonly [number, string | number])[] = [
  [0, 'LINE'],
  [8, 'a'],
  [10, 1],
  [20, 2],
  [11, 9],
  [21, 4],
  [0, 'ARC'],
  [8, 'a'],
  [10, 5],
  [20, 6],
  [40, 12],
  [50, 200],
  [51, 35],
  [0, 'CIRCLE'],
  [8, 'b'],
  [10, -4],
  [20, 3],
  [40, 7.5],
  [0, 'ELLIPSE'],
  [8, 'b'],
  [10, 30],
  [20, 10],
  [11, 12],
  [21, 5],
  [40, 0.4],
  [41, 0.3],
  [42, 5.1],
  [0, 'LWPOLYLINE'],
  [8, 'c'],
  [90, 3],
  [70, 1],
  [10, 0],
  [20, 0],
  [42, 0.5],
  [10, 20],
  [20, 0],
  [42, -0.3],
  [10, 20],
  [20, 15],
  [0, 'SPLINE'],
  [8, 'c'],
  [70, 8],
  [71, 3],
  [72, 9],
  [73, 5],
  ...[0, 0, 0, 0, 0.4, 1, 1, 1, 1].map((knot) => [40, knot] as const),
  ...[
    [0, 0],
    [3, 9],
    [9, 4],
    [14, 12],
    [20, 1],
  ].flatMap(([x, y]) => [[10, x] as const, [20, y] as const]),
  [0, 'INSERT'],
  [8, 'd'],
  [2, 'FIN'],
  [10, 50],
  [20, 20],
  [41, 2],
  [42, -1.5],
  [50, 25],
];
const DXF_TEXT = [
  ...[
    [0, 'SECTION'],
    [2, 'HEADER'],
    [9, '$INSUNITS'],
    [70, 5],
    [0, 'ENDSEC'],
  ],
  ...[
    [0, 'SECTION'],
    [2, 'BLOCKS'],
    [0, 'BLOCK'],
    [8, '0'],
    [2, 'FIN'],
    [70, 0],
    [10, 1],
    [20, 2],
    [30, 0],
    [3, 'FIN'],
  ],
  ...[
    [0, 'LINE'],
    [8, '0'],
    [10, 1],
    [20, 2],
    [11, 5],
    [21, 9],
    [0, 'ENDBLK'],
    [0, 'ENDSEC'],
    [0, 'SECTION'],
    [2, 'ENTITIES'],
  ],
  ...DXF_OF_ALL,
  ...[
    [0, 'ENDSEC'],
    [0, 'EOF'],
  ],
]
  .flat()
  .join('\n');

function drawingNumbers(put: Put): void {
  for (const [name, text] of [
    ['svg', SVG_OF_ALL],
    ['dxf', DXF_TEXT],
  ]) {
    const read = readDrawing(text);
    put(`lines ${name} unit`, read.ok ? read.unit_mm : read.reason);
    if (!read.ok) continue;
    read.strokes.forEach((stroke, k) => put(`lines ${name} ${k}`, stroke));
    partsOf(read.strokes).forEach((part, k) => put(`parts ${name} ${k}`, part));
  }
  const drawn: Readonly<Record<string, string>> = {
    'Kettle outline': drawingToSvg(DRAWINGS.outline.draw(shapeNamed('Kettle'), MM)),
    'Long Quay half': drawingToSvg(halfOutlineDrawing(shapeNamed('Long Quay'), MM)),
    'Two Stairs outline': drawingToDxf(DRAWINGS.outline.draw(shapeNamed('Two Stairs'), MM), 'splines'),
    'Peat Fire profile': drawingToDxf(DRAWINGS.rocker.draw(shapeNamed('Peat Fire'), MM)),
    'Slow Ferry profile': drawingToDxf(DRAWINGS.rocker.draw(shapeNamed('Slow Ferry'), MM), 'splines'),
  };
  for (const [name, text] of Object.entries(drawn)) {
    const read = readDrawing(text);
    if (!read.ok) throw new Error(read.reason);
    const among = othersThan(name.split(' ').slice(0, 2).join(' '));
    const choices = { name, unit_mm: read.unit_mm ?? 1, among };
    putMade(put, `drawn ${name}`, boardFromDrawing(partsOf(read.strokes), choices));
  }
}

/** A profile seen square on, light on dark, two mm a pixel, with a grain. */
function profilePicture(shape: Shape): Picture {
  const { length_mm } = shape.board;
  const [width, height] = [Math.round((length_mm + 200) / 2), 180];
  const rgba = new Uint8ClampedArray(4 * width * height).fill(255);
  for (let r = 0; r < height; r++) {
    for (let c = 0; c < width; c++) {
      const [x, z] = [2 * c + 1 - 100, 360 - 2 * r - 1 - 60];
      const lift = x > 0 && x < length_mm ? shape.rocker.line.valueAt(x) : Infinity;
      const tone = z >= lift && z <= lift + thicknessAt(shape.foil, x) ? 205 : 52;
      rgba.fill(tone + ((7 * r + 13 * c) % 23), 4 * (r * width + c), 4 * (r * width + c) + 3);
    }
  }
  return { width, height, rgba };
}

function photoNumbers(put: Put): void {
  const shape = shapeNamed('Kettle');
  const photo = madeUpPhoto(shape, { ...USUAL_CAMERA, width: 560, height: 320, bow: 0.04 });
  put('photo', photo.picture.rgba);
  put('photo marks', [photo.corners, photo.onEdge, photo.width_mm, photo.height_mm]);
  const { corners: at, onEdge: bent, width_mm, height_mm } = photo;
  const known: Known = { kind: 'corners', at, width_mm, height_mm, bent };
  const choices = { name: 'Seen', unlike: 1, turned: false, among: othersThan('Kettle') };
  putMade(put, 'photo by corners', boardFromPhoto(photo.picture, { ...choices, known }));
  put('marked', markedOnPlane(photo.picture, known, [at[0], bent, { x: 200, y: 140 }]));
  for (const [k, p] of [
    { x: 150, y: 130 },
    { x: 280, y: 110.5 },
    { x: 400, y: 170 },
  ].entries())
    put(`dark ${k}`, onDarkLine(photo.picture, p, 14));
  const side = shapeNamed('Slack Water');
  const apart_mm = side.board.length_mm;
  const scale: Known = {
    kind: 'points',
    at: [
      { x: 50, y: 10 },
      { x: 50 + apart_mm / 2, y: 10 },
    ],
    apart_mm,
  };
  putMade(
    put,
    'photo of a profile',
    boardFromPhoto(profilePicture(side), { ...choices, known: scale, what: 'profile' }),
  );
}

/**
 * The pieces of a fit one by one and not a scan brought in whole: with so few points which tail is begun with, and whether there is a
 * wing, hangs on the last bit of a number, and so on the machine.
 */
function scanNumbers(put: Put): void {
  const rough = madeUpScan(shapeNamed('Kettle'), { ...ROUGH_SCANNER, points: 9000 });
  put('scan', rough);
  put('scan length', scanLength({ positions: rough }));
  const { cloud, ...found } = cleaned(rough.map((value) => value * ROUGH_SCANNER.unit_mm));
  put('cleaned', found);
  put('cleaned cloud', cloud);
  const pose = principalPose(cloud);
  put(
    'pose',
    pose.turn.flatMap((row) => row.map(Math.abs)),
  );
  const standing = stood(posed(cloud, pose))!;
  for (const [part, value] of Object.entries(standing)) put(`stood ${part}`, value);
  for (const [part, value] of Object.entries(readOff(standing.cloud, standing.length))) put(`read off ${part}`, value);

  const board = modelNamed('Slack Water')!;
  const scanner = {
    ...CLEAN_SCANNER,
    points: 3500,
    noise_mm: 0.4,
    turned_rad: [0, 0, 0],
    moved_mm: [0, 0, 0],
  } as const;
  const clean = madeUpScan(shapeOf(board), scanner);
  put('clean scan', clean);
  const begun = withPlainBottom({
    ...board,
    outline: { ...board.outline, width_mm: 1.01 * board.outline.width_mm },
    foil: { ...board.foil, thickness_mm: board.foil.thickness_mm - 1 },
  });
  put('begun', begun);
  const steps: [string, number][] = [];
  const fit = fittedBoard(begun, clean, (...step) => steps.push(step));
  put('steps', steps);
  put('place', fit.place);
  for (const [part, value] of Object.entries(fit.board)) put(`fitted ${part}`, value);
  const held = heldAgainst(fit.board, clean, fit.place, 3000);
  for (const [part, value] of Object.entries(held)) put(`held ${part}`, value);
  const mesh = meshOf(shapeOf(board), { stations: 40, ring: 24 });
  put(
    'apart on',
    [...apartOn(mesh.positions, held.apart)].map((off) => (Number.isNaN(off) ? 'none' : off)),
  );
  put('sampled', sampled(mesh, 2000));
  put('inward', looksInward(mesh) === true);
}
