import { sectionAt, type Shape } from '../shape/shape.ts';
import { finPlan } from '../fins/finShape.ts';
import { finSpots } from '../fins/spots.ts';
import { thicknessAt } from '../foil/foil.ts';
import { stringerLineAt } from '../measure/bottomLines.ts';
import { bottomRelief } from '../measure/relief.ts';
import { halfBreadthAt, outlinePoints } from '../outline/outline.ts';
import { sectionRing } from '../section/walk.ts';
import { meshStations } from '../solid/stations.ts';
import type { LengthStyle } from '../units/format.ts';
import { INCH_mm } from '../units/length.ts';
import type { PageLine } from './onePage.ts';

/** Where a point of the board comes on the page. */
export type Onto = (x_mm: number, y_mm: number) => { x_mm: number; y_mm: number };

/** Light under a straightedge laid across the bottom is drawn in such steps, by how a shop writes its lengths. */
export function reliefStep(style: LengthStyle): { step_mm: number; words: string } {
  const metric = style.kind === 'cm' || style.kind === 'mm';
  return metric ? { step_mm: 2, words: '2 mm' } : { step_mm: INCH_mm / 16, words: '1/16 in' };
}

const through = (onto: Onto, points: readonly (readonly [number, number])[]) => points.map(([x, y]) => onto(x, y));

/** Both rails and the stringer. */
function planLines(shape: Shape, onto: Onto): PageLine[] {
  const outline = outlinePoints(shape.outline, 160);
  return [
    ...[1, -1].map((side) => ({ points: outline.map((p) => onto(p.x_mm, side * p.y_mm)), weight_mm: 0.3 })),
    {
      points: through(onto, [
        [shape.outline.end.notch_mm, 0],
        [shape.board.length_mm, 0],
      ]),
      weight_mm: 0.15,
    },
  ];
}

/** Contours of the bottom on the half of one side, and the bases of the fins there and on the stringer. */
function bottomLines(shape: Shape, style: LengthStyle, side: 1 | -1, onto: Onto): PageLine[] {
  const contours = bottomRelief(shape, reliefStep(style).step_mm);
  const bases = finSpots(shape).filter((spot) => spot.side !== -side);
  return [
    ...contours.map(({ points }) => ({ points: points.map((p) => onto(p.x_mm, side * p.y_mm)), weight_mm: 0.08 })),
    ...bases.map(({ rear, front }) => ({ points: [rear, front].map((p) => onto(p.x_mm, p.y_mm)), weight_mm: 0.6 })),
  ];
}

/** The board in plan: of the half with positive y the deck with its stations, of the other the bottom with its contours and the fins. */
export function planInSmall(shape: Shape, style: LengthStyle, onto: Onto): PageLine[] {
  const L = shape.board.length_mm;
  const stations = [12 * INCH_mm, L - 12 * INCH_mm, shape.outline.wide_mm].map((x) => ({
    points: through(onto, [
      [x, 0],
      [x, halfBreadthAt(shape.outline, x)],
    ]),
    weight_mm: 0.1,
    dashed: x !== shape.outline.wide_mm,
  }));
  return [...planLines(shape, onto), ...stations, ...bottomLines(shape, style, -1, onto)];
}

/** The whole deck in plan. */
export const deckInSmall = planLines;

/** The whole bottom in plan, contours and fins on both halves. */
export const bottomInSmall = (shape: Shape, style: LengthStyle, onto: Onto): PageLine[] => [
  ...planLines(shape, onto),
  ...bottomLines(shape, style, 1, onto),
  ...bottomLines(shape, style, -1, onto),
];

/** The board from the side, and the line its lifts are measured from. */
export function profileInSmall(shape: Shape, onto: Onto): PageLine[] {
  const L = shape.board.length_mm;
  const stations = meshStations(shape, 81);
  const bottom = stations.map((x) => onto(x, stringerLineAt(shape, x)));
  const deck = stations.map((x) => onto(x, stringerLineAt(shape, x) + thicknessAt(shape.foil, x)));
  return [
    { points: [...bottom, ...deck.toReversed()], weight_mm: 0.3, closed: true },
    {
      points: through(onto, [
        [0, 0],
        [L, 0],
      ]),
      weight_mm: 0.1,
    },
  ];
}

/** The section so far from the tail, from behind; a split tail shows both halves. None where there is no board. */
export function sectionInSmall(shape: Shape, x_mm: number, onto: Onto): PageLine[] {
  const section = sectionAt(shape, x_mm);
  if (!section) return [];
  const ring = sectionRing(section, 24);
  const sides = section.input.notch_mm > 0 ? [1, -1] : [1];
  return sides.map((side) => ({
    points: ring.map((p) => onto(side * p.y_mm, p.z_mm)),
    weight_mm: 0.25,
    closed: true,
  }));
}

/** Fins beside one another are so far apart, at full size. */
const FIN_GAP_mm = 20;

/** Fins from the side, one of each template, beside one another on a line: scaled by k from x, and where the last ends. */
export function finsInSmall(
  shape: Shape,
  from: { x_mm: number; y_mm: number; k: number },
): { lines: PageLine[]; right_mm: number } {
  const seen = new Set<string>();
  const lines: PageLine[] = [];
  let at = from.x_mm;
  for (const { template } of shape.board.fins.boxes) {
    const key = JSON.stringify(template);
    if (seen.has(key)) continue;
    seen.add(key);
    const plan = finPlan(template);
    const [left, right] = [Math.min(...plan.map((p) => p.x_mm)), Math.max(...plan.map((p) => p.x_mm))];
    const start = at;
    lines.push({
      points: plan.map((p) => ({ x_mm: start + (p.x_mm - left) * from.k, y_mm: from.y_mm + p.z_mm * from.k })),
      weight_mm: 0.25,
      closed: true,
    });
    at += (right - left + FIN_GAP_mm) * from.k;
  }
  return { lines, right_mm: at - FIN_GAP_mm * from.k };
}
