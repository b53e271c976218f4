import { sectionAt, type Shape } from '../shape/shape.ts';
import { bottomHeight } from '../bottom/bottom.ts';
import { thicknessAt } from '../foil/foil.ts';
import { stationTable, USUAL_STATIONS } from '../measure/stationTable.ts';
import { bottomShares } from '../section/walk.ts';
import { deckPoint, filletPoint, type Section, type SectionPoint, underPoint } from '../section/section.ts';
import { formatLength, type LengthStyle, lengthWords } from '../units/format.ts';
import { textWidth_mm } from './labels.ts';
import { type Drawing, type DrawingChoices, type DrawnLine, type DrawnText, framed } from './drawing.ts';

interface PlanPoint {
  x_mm: number;
  y_mm: number;
}

/** A stick is so deep where it is least, so that it keeps its shape in the hand. */
const STICK_mm = 60;

/**
 * Sticks to hold against the stringer: the bottom one is laid on the bottom with the board upside down, the deck one on the
 * deck. Each has the curve as one edge and a straight back.
 */
export function rockerSticksDrawing(
  shape: Shape,
  style: LengthStyle,
  { name = shape.board.name }: DrawingChoices = {},
): Drawing {
  const L = shape.board.length_mm;
  const stations = Array.from({ length: 241 }, (_, k) => (L * k) / 240);
  const bottom = stations.map((x_mm) => ({ x_mm, y_mm: shape.rocker.line.valueAt(x_mm) }));
  const deck = stations.map((x_mm) => ({
    x_mm,
    y_mm: shape.rocker.line.valueAt(x_mm) + thicknessAt(shape.foil, x_mm),
  }));
  const low = Math.min(...bottom.map((p) => p.y_mm)) - STICK_mm;
  const high = Math.max(...deck.map((p) => p.y_mm)) + STICK_mm;
  // The deck stick lies above the other with a gap, its straight back at the top.
  const lift = Math.max(...bottom.map((p) => p.y_mm)) - Math.min(...deck.map((p) => p.y_mm)) + 40;
  const closed = (curve: readonly PlanPoint[], back: number): PlanPoint[] => [
    ...curve,
    { x_mm: L, y_mm: back },
    { x_mm: 0, y_mm: back },
  ];
  const lines: DrawnLine[] = [
    { layer: 'bottom', points: closed(bottom, low), closed: true, weight_mm: 0.35 },
    {
      layer: 'deck',
      points: closed(deck, high).map((p) => ({ x_mm: p.x_mm, y_mm: p.y_mm + lift })),
      closed: true,
      weight_mm: 0.35,
    },
  ];
  const texts: DrawnText[] = [];
  const top = high + lift;
  for (const row of stationTable(shape)) {
    const z = shape.rocker.line.valueAt(row.x_mm);
    const along = `${lengthWords(row.x_mm, style)} from tail`;
    const station = (from_mm: number, to_mm: number, y_mm: number, said: string) => {
      lines.push({
        layer: 'stations',
        points: [
          { x_mm: row.x_mm, y_mm: from_mm },
          { x_mm: row.x_mm, y_mm: to_mm },
        ],
        weight_mm: 0.12,
        dashed: true,
      });
      texts.push({ layer: 'text', x_mm: row.x_mm + 2, y_mm, size_mm: 4, text: `${along}, ${said}` });
    };
    station(low, z, low + 6, `lift ${formatLength(z, style)}`);
    const deck_mm = z + row.thickness_mm + lift;
    station(deck_mm, top, top - 9, `${formatLength(row.thickness_mm, style)} thick`);
  }
  const called = (y_mm: number, which: string) =>
    texts.push({ layer: 'text', x_mm: 0.1 * L, y_mm, size_mm: 5, text: `${name}, ${which} stick, tail at this end` });
  called(low + 14, 'bottom');
  called(top - 18, 'deck');
  return framed(`${name}, rocker sticks`, lines, texts);
}

/** So much of the section a rail gauge reaches in from the rail, and so much card there is round it. */
export const GAUGE_REACH_mm = 90;
const GAUGE_CARD_mm = 28;

/** The outer part of a section, from the deck round the rail to the bottom, y from the rail inward negative. */
export function railProfile(section: Section, reach_mm: number): PlanPoint[] {
  const from = Math.max(0, section.half_mm - reach_mm);
  const points: PlanPoint[] = [];
  const point: SectionPoint = { y_mm: 0, z_mm: 0 };
  const push = () => {
    if (point.y_mm >= from) points.push({ x_mm: point.y_mm - section.half_mm, y_mm: point.z_mm });
  };
  for (let k = 0; k < 160; k++) {
    deckPoint(section, k / 160, point);
    push();
  }
  for (let k = 0; k < 60; k++) {
    underPoint(section, k / 60, point);
    push();
  }
  for (let k = 0; k <= 24; k++) {
    filletPoint(section, k / 24, point);
    push();
  }
  for (const v of bottomShares(section, 80).slice(1)) {
    point.y_mm = v * section.edgeY_mm;
    point.z_mm = bottomHeight(section.input.bottom, v);
    push();
  }
  return points;
}

/** Rail gauges: the negative of the rail at each station, a card that slips over it from the side. */
export function railGaugesDrawing(
  shape: Shape,
  style: LengthStyle,
  { name = shape.board.name, places = USUAL_STATIONS }: DrawingChoices = {},
): Drawing {
  const lines: DrawnLine[] = [];
  const texts: DrawnText[] = [];
  let base = 0;
  for (const row of stationTable(shape, places).sort((a, b) => a.x_mm - b.x_mm)) {
    const section = sectionAt(shape, row.x_mm);
    if (!section) continue;
    const profile = railProfile(section, Math.min(GAUGE_REACH_mm, 0.8 * section.half_mm));
    const top = Math.max(...profile.map((p) => p.y_mm)) + GAUGE_CARD_mm;
    const foot = Math.min(...profile.map((p) => p.y_mm)) - GAUGE_CARD_mm;
    const inner = profile[0].x_mm;
    const last = profile[profile.length - 1];
    const card: PlanPoint[] = [
      ...profile,
      { x_mm: last.x_mm, y_mm: foot },
      { x_mm: GAUGE_CARD_mm, y_mm: foot },
      { x_mm: GAUGE_CARD_mm, y_mm: top },
      { x_mm: inner, y_mm: top },
    ];
    lines.push({
      layer: 'gauges',
      points: card.map((p) => ({ x_mm: p.x_mm, y_mm: p.y_mm - foot + base })),
      closed: true,
      weight_mm: 0.35,
    });
    // Over the rail what it is of, under it how it is held: both on the card.
    const at = (y_mm: number, text: string) =>
      texts.push({ layer: 'text', x_mm: inner + 3, y_mm: base + y_mm, size_mm: 3.4, text });
    at(top - foot - 6, name);
    at(top - foot - 12, 'rail, deck up');
    at(top - foot - 18, `${lengthWords(row.x_mm, style)} from tail`);
    at(6, 'bottom down');
    base += top - foot + 12;
  }
  return framed(`${name}, rail gauges`, lines, texts);
}

/** In the crotch of a split tail a gauge stands off the board by so much. */
const CROTCH_mm = 8;

/** The bottom across at true scale, edge to edge; over the crotch of a split tail it falls back, so that the card bears on both tips. */
export function bottomEdge(section: Section): PlanPoint[] {
  const { notch_mm } = section.input;
  // Inward from the edge; turned round it runs from the stringer, or the crotch, outward.
  const side = [1, ...bottomShares(section, 60)]
    .map((v): PlanPoint => ({ x_mm: v * section.edgeY_mm, y_mm: bottomHeight(section.input.bottom, v) }))
    .reverse();
  const mirrored = side.toReversed().map((p) => ({ x_mm: -p.x_mm, y_mm: p.y_mm }));
  if (notch_mm <= 0) return [...mirrored, ...side.slice(1)];
  const back = side[0].y_mm - CROTCH_mm;
  return [...mirrored, { x_mm: -notch_mm, y_mm: back }, { x_mm: notch_mm, y_mm: back }, ...side];
}

/** Bottom gauges: at each station a card whose edge is the bottom across, edge to edge, its back straight. */
export function bottomGaugesDrawing(
  shape: Shape,
  style: LengthStyle,
  { name = shape.board.name, places = USUAL_STATIONS }: DrawingChoices = {},
): Drawing {
  const lines: DrawnLine[] = [];
  const texts: DrawnText[] = [];
  let base = 0;
  for (const row of stationTable(shape, places).sort((a, b) => a.x_mm - b.x_mm)) {
    const section = sectionAt(shape, row.x_mm);
    if (!section) continue;
    const edge = bottomEdge(section);
    const foot = Math.min(...edge.map((p) => p.y_mm)) - GAUGE_CARD_mm;
    const card = [...edge, { x_mm: section.edgeY_mm, y_mm: foot }, { x_mm: -section.edgeY_mm, y_mm: foot }];
    lines.push({
      layer: 'gauges',
      points: card.map((p) => ({ x_mm: p.x_mm, y_mm: p.y_mm - foot + base })),
      closed: true,
      weight_mm: 0.35,
    });
    // A card of a tip is narrow: its label is as small as it must be.
    const room = 2 * section.edgeY_mm - 8;
    const at = (y_mm: number, text: string) => {
      const size_mm = Math.min(3.4, (3.4 * room) / textWidth_mm(text, 3.4));
      texts.push({ layer: 'text', x_mm: -section.edgeY_mm + 4, y_mm: base + y_mm, size_mm, text });
    };
    at(16, name);
    at(10, 'bottom, bottom up');
    at(4, `${lengthWords(row.x_mm, style)} from tail`);
    base += Math.max(...edge.map((p) => p.y_mm)) - foot + 12;
  }
  return framed(`${name}, bottom gauges`, lines, texts);
}
