import type { Shape } from '../../shape/shape.ts';
import { ticketLines } from '../../measure/ticket.ts';
import { outlinePoints } from '../../outline/outline.ts';
import { volume_L } from '../../measure/volume.ts';
import { formatLitres, type LengthStyle } from '../../units/format.ts';
import { sizeLine } from '../templateDrawing.ts';
import { cautionWords } from '../../make/cautions.ts';
import { faceFor, type FontFiles } from './fonts.ts';
import { newDocument } from './newDocument.ts';
import { fillBoxes, POINT_PER_mm, strokeLine, writeText } from './pen.ts';
import { codeText, qrBoxes } from './qrBoxes.ts';
import { type Paper, PAPERS } from '../../make/paper.ts';

/** What the ticket says beside the board's own numbers. The rider's first name only if the shaper wants it on paper. */
export interface TicketExtras {
  riderName?: string;
  target?: string;
  /** Of the record: in the code, and after the board's name. */
  id?: string;
  number?: number;
  blank?: string;
  glass?: string;
  colours?: string;
  due?: string;
  weight?: string;
}

const GROUPS = {
  size: 'Size',
  outline: 'Outline',
  rocker: 'Rocker',
  foil: 'Foil',
  rails: 'Rails',
  bottom: 'Bottom',
  fins: 'Fins',
  make: 'Make',
} as const;

/** The side of the code, its white included. */
const CODE_mm = 34;
const LINE_mm = 5.1;
const GROUP_GAP_mm = 1.6;
/** The lowest line stands at least so high over the edge of the paper. */
const FOOT_mm = 19;

/** What goes on it and when it is due; lines that are not settled yet stay open for the pencil. */
function makeLines(extras: TicketExtras): { group: 'make'; name: string; value: string }[] {
  const open = '.'.repeat(30);
  return [
    { name: 'Blank', value: extras.blank },
    { name: 'Glass', value: extras.glass },
    { name: 'Weight', value: extras.weight },
    { name: 'Colours', value: extras.colours },
    { name: 'Due', value: extras.due },
  ].map(({ name, value }) => ({ group: 'make', name, value: value ?? open }));
}

/** One page that hangs on the blank: name, size, litres, a small plan, every number in the order of the work. */
export async function ticketPdf(
  shape: Shape,
  paper: Paper,
  style: LengthStyle,
  fonts: FontFiles,
  extras: TicketExtras = {},
): Promise<Uint8Array> {
  const { width_mm, height_mm } = PAPERS[paper];
  const name = extras.number === undefined ? shape.board.name : `${shape.board.name} ${extras.number}`;
  const said = [name, ...Object.values(extras).map(String)];
  const document = await newDocument(`${name}, ticket`);
  const font = await faceFor(document, fonts.plain, said);
  const strong = await faceFor(document, fonts.strong, said);
  const page = document.addPage([width_mm * POINT_PER_mm, height_mm * POINT_PER_mm]);
  const left = 18;
  const right = width_mm - 18;
  let y = height_mm - 24;
  writeText(page, strong, name, { x_mm: left, y_mm: y, size_mm: 8 });
  if (extras.riderName)
    writeText(page, font, `for ${extras.riderName}`, { x_mm: right, y_mm: y, size_mm: 6, anchor: 'end' });
  y -= 14;
  writeText(page, strong, sizeLine(shape, style), { x_mm: left, y_mm: y, size_mm: 9 });
  writeText(page, strong, formatLitres(volume_L(shape)), { x_mm: right, y_mm: y, size_mm: 9, anchor: 'end' });
  if (extras.target) {
    y -= 7;
    writeText(page, font, extras.target, { x_mm: right, y_mm: y, size_mm: 3.6, anchor: 'end' });
  }

  const points = outlinePoints(shape.outline, 160);
  const scale = (right - left) / shape.board.length_mm;
  const half = (shape.board.outline.width_mm / 2) * scale;
  y -= half + 6;
  const middle = y;
  for (const side of [1, -1]) {
    strokeLine(
      page,
      points.map((p) => ({ x_mm: left + p.x_mm * scale, y_mm: middle + side * p.y_mm * scale })),
      0.3,
    );
  }
  strokeLine(
    page,
    [
      { x_mm: left + shape.outline.end.notch_mm * scale, y_mm: middle },
      { x_mm: right, y_mm: middle },
    ],
    0.15,
  );
  y -= half + 9;

  if (extras.id !== undefined) {
    const size = sizeLine(shape, style);
    const text = codeText({ id: extras.id, name, size, litres_L: volume_L(shape) });
    fillBoxes(page, qrBoxes(text, { x_mm: right - CODE_mm, y_mm: y - CODE_mm + 2, side_mm: CODE_mm }));
  }
  const codeFoot = y - CODE_mm;
  const lines = [...ticketLines(shape, style), ...makeLines(extras)];
  // A board with wings and many fins has more lines: they close up, so that all of it stays on the page.
  const groups = new Set(lines.map((line) => line.group)).size;
  const step = Math.min(LINE_mm, (y - FOOT_mm - GROUP_GAP_mm * groups) / (lines.length - 1));
  const size_mm = Math.min(3.8, 0.76 * step);
  let group: string | undefined;
  for (const line of lines) {
    if (line.group !== group) {
      y -= GROUP_GAP_mm;
      strokeLine(
        page,
        [
          { x_mm: left, y_mm: y + 0.86 * step },
          { x_mm: extras.id !== undefined && y > codeFoot ? right - CODE_mm - 4 : right, y_mm: y + 0.86 * step },
        ],
        0.1,
      );
      writeText(page, strong, GROUPS[line.group], { x_mm: left, y_mm: y, size_mm });
      group = line.group;
    }
    writeText(page, font, line.name, { x_mm: left + 30, y_mm: y, size_mm });
    writeText(page, strong, line.value, { x_mm: left + 68, y_mm: y, size_mm });
    y -= step;
  }
  writeText(page, font, cautionWords(['foamDust']), {
    x_mm: left,
    y_mm: 14,
    size_mm: 3.2,
  });
  return document.save();
}
