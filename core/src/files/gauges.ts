import type { Shape } from '../shape/shape.ts';
import { bottomHeight } from '../bottom/bottom.ts';
import { USUAL_STATIONS } from '../measure/stationTable.ts';
import { bottomShares } from '../section/walk.ts';
import { deckPoint, filletPoint, type Section, type SectionPoint, underPoint } from '../section/section.ts';
import { type LengthStyle, lengthWords } from '../units/format.ts';
import { textWidth_mm } from './labels.ts';
import { type Drawing, type DrawingChoices, type DrawnLine, type DrawnText, framed } from './drawing.ts';
import { sectionsAlong } from './sectionCards.ts';

interface PlanPoint {
  x_mm: number;
  y_mm: number;
}

const cutOut = (points: readonly PlanPoint[]): DrawnLine => ({
  layer: 'gauges',
  points,
  closed: true,
  weight_mm: 0.35,
});

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
export function railGauges(
  shape: Shape,
  style: LengthStyle,
  { name = shape.board.name, places = USUAL_STATIONS }: DrawingChoices = {},
): Drawing[] {
  return sectionsAlong(shape, places).map(({ x_mm, section }) => {
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
    const station = `${lengthWords(x_mm, style)} from tail`;
    // Over the rail what it is of, under it how it is held: both on the card.
    const at = (y_mm: number, text: string): DrawnText => ({
      layer: 'text',
      x_mm: inner + 3,
      y_mm,
      size_mm: 3.4,
      text,
    });
    const texts = [
      at(top - 6, name),
      at(top - 12, 'rail, deck up'),
      at(top - 18, station),
      at(foot + 6, 'bottom down'),
    ];
    return framed(`rail gauge, ${station}`, [cutOut(card)], texts);
  });
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
export function bottomGauges(
  shape: Shape,
  style: LengthStyle,
  { name = shape.board.name, places = USUAL_STATIONS }: DrawingChoices = {},
): Drawing[] {
  return sectionsAlong(shape, places).map(({ x_mm, section }) => {
    const edge = bottomEdge(section);
    const foot = Math.min(...edge.map((p) => p.y_mm)) - GAUGE_CARD_mm;
    const card = [...edge, { x_mm: section.edgeY_mm, y_mm: foot }, { x_mm: -section.edgeY_mm, y_mm: foot }];
    const station = `${lengthWords(x_mm, style)} from tail`;
    // A card of a tip is narrow: its label is as small as it must be.
    const room = 2 * section.edgeY_mm - 8;
    const at = (y_mm: number, text: string): DrawnText => {
      const size_mm = Math.min(3.4, (3.4 * room) / textWidth_mm(text, 3.4));
      return { layer: 'text', x_mm: -section.edgeY_mm + 4, y_mm: foot + y_mm, size_mm, text };
    };
    const texts = [at(16, name), at(10, 'bottom, bottom up'), at(4, station)];
    return framed(`bottom gauge, ${station}`, [cutOut(card)], texts);
  });
}
