import { sectionAt, type Shape } from '../shape/shape.ts';
import { bottomHeight } from '../bottom/bottom.ts';
import { thicknessAt } from '../foil/foil.ts';
import { type StationPlace, stationTable, USUAL_STATIONS } from '../measure/stationTable.ts';
import { deckPoint, filletPoint, type Section, type SectionPoint, underPoint } from '../section/section.ts';
import { formatLength, type LengthStyle } from '../units/format.ts';
import { type Drawing, type DrawnLine, type DrawnText, framed } from './drawing.ts';

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
export function rockerSticksDrawing(shape: Shape, style: LengthStyle): Drawing {
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
  for (const row of stationTable(shape)) {
    const z = shape.rocker.line.valueAt(row.x_mm);
    lines.push({
      layer: 'stations',
      points: [
        { x_mm: row.x_mm, y_mm: low },
        { x_mm: row.x_mm, y_mm: z },
      ],
      weight_mm: 0.12,
      dashed: true,
    });
    texts.push({
      layer: 'text',
      x_mm: row.x_mm + 2,
      y_mm: low + 6,
      size_mm: 4,
      text: `${formatLength(row.x_mm, style)} from tail, lift ${formatLength(z, style)}`,
    });
  }
  return framed(`${shape.board.name}, rocker sticks`, lines, texts);
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
  for (let k = 1; k <= 80; k++) {
    const v = section.bottomEnd * (1 - k / 80);
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
  places: readonly StationPlace[] = USUAL_STATIONS,
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
    texts.push({
      layer: 'text',
      x_mm: -GAUGE_REACH_mm + 4,
      y_mm: base + 6,
      size_mm: 4,
      text: `${formatLength(row.x_mm, style)} from tail`,
    });
    base += top - foot + 12;
  }
  return framed(`${shape.board.name}, rail gauges`, lines, texts);
}

/** Bottom gauges: at each station a card whose edge is the bottom across, edge to edge, its back straight. */
export function bottomGaugesDrawing(
  shape: Shape,
  style: LengthStyle,
  places: readonly StationPlace[] = USUAL_STATIONS,
): Drawing {
  const lines: DrawnLine[] = [];
  const texts: DrawnText[] = [];
  let base = 0;
  for (const row of stationTable(shape, places).sort((a, b) => a.x_mm - b.x_mm)) {
    const section = sectionAt(shape, row.x_mm);
    if (!section) continue;
    const edge: PlanPoint[] = Array.from({ length: 121 }, (_, k) => {
      const v = k / 60 - 1;
      return { x_mm: v * section.edgeY_mm, y_mm: bottomHeight(section.input.bottom, Math.abs(v)) };
    });
    const foot = Math.min(...edge.map((p) => p.y_mm)) - GAUGE_CARD_mm;
    const card = [...edge, { x_mm: section.edgeY_mm, y_mm: foot }, { x_mm: -section.edgeY_mm, y_mm: foot }];
    lines.push({
      layer: 'gauges',
      points: card.map((p) => ({ x_mm: p.x_mm, y_mm: p.y_mm - foot + base })),
      closed: true,
      weight_mm: 0.35,
    });
    texts.push({
      layer: 'text',
      x_mm: -section.edgeY_mm + 4,
      y_mm: base + 6,
      size_mm: 4,
      text: `${formatLength(row.x_mm, style)} from tail, bottom up`,
    });
    base += Math.max(...edge.map((p) => p.y_mm)) - foot + 12;
  }
  return framed(`${shape.board.name}, bottom gauges`, lines, texts);
}
