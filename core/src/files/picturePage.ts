import type { Shape } from '../shape/shape.ts';
import { ticketLines } from '../measure/ticket.ts';
import { volume_L } from '../measure/volume.ts';
import { formatLitres, type LengthStyle } from '../units/format.ts';
import { bottomInSmall, deckInSmall, finsInSmall, type Onto, profileInSmall, sectionInSmall } from './boardSmall.ts';
import { fitting_mm, textWidth_mm } from './labels.ts';
import { nameLine, type OnePage, type PageLine, type PageText, rule } from './onePage.ts';
import { sizeLine } from './templateDrawing.ts';

const WIDTH_mm = 300;
const HEIGHT_mm = 190;
const MARGIN_mm = 12;
/** The board stands so tall in it. */
const TALL_mm = HEIGHT_mm - 2 * MARGIN_mm - 8;
/** Numbers a rider asks for, by their names on the ticket. */
const TOLD = ['Nose 12', 'Tail 12', 'Nose lift', 'Tail lift', 'Tail', 'Bottom', 'Fins'];

/**
 * A picture of the board for whoever it is made for: deck, bottom and side standing nose up at one scale; name, size, litres, what a rider
 * asks for, the section at the wide point and the fins. It names the rider only where the shop wants it to.
 */
export function picturePage(
  shape: Shape,
  style: LengthStyle,
  { name, riderName }: { name: string; riderName?: string },
): OnePage {
  const { length_mm, outline, foil, fins } = shape.board;
  const lines: PageLine[] = [];
  const texts: PageText[] = [];
  const write = (text: string, x_mm: number, y_mm: number, size_mm: number, more: Partial<PageText> = {}) =>
    texts.push({ text, x_mm, y_mm, size_mm, ...more });
  const k = Math.min(TALL_mm / length_mm, 56 / outline.width_mm);
  const foot = HEIGHT_mm - MARGIN_mm - length_mm * k;
  const wide = outline.width_mm * k;
  const standing =
    (middle_mm: number): Onto =>
    (x, across) => ({ x_mm: middle_mm - across * k, y_mm: foot + x * k });
  const deck = MARGIN_mm + wide / 2;
  const bottom = deck + wide + 10;
  const side = bottom + wide / 2 + 12;
  lines.push(...deckInSmall(shape, standing(deck)), ...bottomInSmall(shape, style, standing(bottom)));
  // From the side the deck looks left; the line its lifts are measured from stands upright.
  const high = Math.max(shape.rocker.line.valueAt(length_mm), foil.thickness_mm) * k;
  lines.push(...profileInSmall(shape, (x, z) => ({ x_mm: side + high - z * k, y_mm: foot + x * k })));
  for (const [words, at] of [
    ['deck', deck],
    ['bottom', bottom],
    ['side', side + high / 2],
  ] as const) {
    write(words, at, foot - 6, 3.6, { anchor: 'middle' });
  }

  const left = side + high + 16;
  const right = WIDTH_mm - MARGIN_mm;
  let y = HEIGHT_mm - MARGIN_mm - 9;
  texts.push(...nameLine(name, riderName, { left_mm: left, right_mm: right, y_mm: y, size_mm: 9 }));
  y -= 14;
  const size = sizeLine(shape, style);
  const litres = formatLitres(volume_L(shape));
  const big = Math.min(9, fitting_mm(`${size}  ${litres}`, 9, right - left, true));
  write(size, left, y, big, { strong: true });
  write(litres, right, y, big, { strong: true, anchor: 'end' });
  y -= 6;
  lines.push(rule(left, right, y, 0.3));
  for (const { name: called, value } of ticketLines(shape, style).filter((line) => TOLD.includes(line.name))) {
    y -= 7;
    write(called, left, y, 4.4);
    const room = right - left - textWidth_mm(called, 4.4) - 4;
    write(value, right, y, fitting_mm(value, 4.4, room, true), { strong: true, anchor: 'end' });
    y -= 2.4;
    lines.push(rule(left, right, y, 0.1));
  }
  const acrossBy = (right - left) / outline.width_mm;
  y -= 8 + foil.thickness_mm * acrossBy;
  const section = y;
  const centre = (left + right) / 2;
  lines.push(
    ...sectionInSmall(shape, shape.outline.wide_mm, (across, z) => ({
      x_mm: centre + across * acrossBy,
      y_mm: section + z * acrossBy,
    })),
  );
  y -= 5;
  write('section at the wide point', centre, y, 3.6, { anchor: 'middle' });
  const deepest = Math.max(0, ...fins.boxes.map(({ template }) => template.depth_mm));
  const room = y - 4 - MARGIN_mm - 6;
  if (deepest > 0 && room > 8) {
    const whole = finsInSmall(shape, { x_mm: 0, y_mm: 0, k: 1 }).right_mm;
    const by = Math.min(0.3, (right - left) / whole, room / deepest);
    const from = centre - (whole * by) / 2;
    lines.push(...finsInSmall(shape, { x_mm: from, y_mm: MARGIN_mm + 6, k: by }).lines);
    write('fins', centre, MARGIN_mm, 3.6, { anchor: 'middle' });
  }
  return { title: `${name}, picture`, width_mm: WIDTH_mm, height_mm: HEIGHT_mm, lines, texts, boxes: [] };
}
