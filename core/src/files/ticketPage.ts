import type { Shape } from '../shape/shape.ts';
import { ticketLines } from '../measure/ticket.ts';
import { volume_L } from '../measure/volume.ts';
import { cautionWords } from '../make/cautions.ts';
import { type Paper, PAPERS } from '../make/paper.ts';
import { formatLitres, type LengthStyle } from '../units/format.ts';
import { INCH_mm } from '../units/length.ts';
import { finsInSmall, planInSmall, profileInSmall, reliefStep, sectionInSmall } from './boardSmall.ts';
import { fitting_mm, textWidth_mm } from './labels.ts';
import { nameLine, type OnePage, type PageText, rule } from './onePage.ts';
import { codeText, qrBoxes } from './pdf/qrBoxes.ts';
import { sizeLine } from './templateDrawing.ts';

/** What the ticket says beside the board's own numbers. The rider's first name only if the shaper wants it on paper. */
export interface TicketExtras {
  /** Whose shop it is: name, address, picture, and its own number on the board. */
  shop?: { name: string; address: string; logo?: string | undefined; makersNo?: number };
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

interface Row {
  group: keyof typeof GROUPS;
  name: string;
  value: string;
}

/** What goes on it and when it is due; lines that are not settled yet stay open for the pencil. */
function makeLines(extras: TicketExtras): Row[] {
  const open = '.'.repeat(30);
  return [
    { name: 'Blank', value: extras.blank },
    { name: 'Glass', value: extras.glass },
    { name: 'Weight', value: extras.weight },
    { name: 'Colours', value: extras.colours },
    { name: 'Due', value: extras.due },
  ].map(({ name, value }) => ({ group: 'make', name, value: value ?? open }));
}

const LEFT_mm = 18;
/** Beside the numbers stand the code and the pictures, so wide, and so far from them. */
const ASIDE_mm = 52;
const ASIDE_GAP_mm = 4;

type Parts = Pick<OnePage, 'lines' | 'texts' | 'boxes'>;

function partsOf(): Parts & {
  write: (text: string, x_mm: number, y_mm: number, size_mm: number, more?: Partial<PageText>) => void;
} {
  const texts: PageText[] = [];
  return {
    lines: [],
    boxes: [],
    texts,
    write: (text, x_mm, y_mm, size_mm, more = {}) => texts.push({ text, x_mm, y_mm, size_mm, ...more }),
  };
}

/**
 * One page that hangs on the blank: name, size, litres; the board from above (deck on one side of the stringer, bottom with contours and
 * fins on the other) and from the side; every number in the order of the work, with sections and fins beside them.
 */
export function ticketPage(shape: Shape, paper: Paper, style: LengthStyle, extras: TicketExtras = {}): OnePage {
  const { width_mm, height_mm } = PAPERS[paper];
  const name = extras.number === undefined ? shape.board.name : `${shape.board.name} ${extras.number}`;
  const right = width_mm - LEFT_mm;
  const head = headOf(shape, style, name, extras, { right_mm: right, top_mm: height_mm - 22 });
  const aside = asideOf(shape, style, name, extras, { right_mm: right, top_mm: head.foot_mm + 2 });
  const rows = [...ticketLines(shape, style), ...makeLines(extras)];
  const table = tableOf(rows, {
    right_mm: right,
    top_mm: head.foot_mm,
    aside: { left_mm: right - ASIDE_mm, foot_mm: aside.foot_mm },
  });
  const caution = { text: cautionWords(['foamDust']), x_mm: LEFT_mm, y_mm: 14, size_mm: 3.2 };
  return {
    title: `${name}, ticket`,
    width_mm,
    height_mm,
    lines: [...head.lines, ...aside.lines, ...table.lines],
    texts: [...head.texts, ...aside.texts, ...table.texts, caution],
    boxes: aside.boxes,
    ...shopOf(extras, height_mm, right),
  };
}

/** The shop's line over the name, and its picture before it. */
const SHOP_mm = { size: 3.6, over: 11, logo: 8 } as const;

function shopOf({ shop }: TicketExtras, height_mm: number, right_mm: number): Pick<OnePage, 'pictures'> {
  if (!shop?.logo) return {};
  const { over, logo } = SHOP_mm;
  const width_mm = 3 * logo;
  return {
    pictures: [{ png: shop.logo, x_mm: right_mm - width_mm, y_mm: height_mm - over - 1, width_mm, height_mm: logo }],
  };
}

/** Name, size and litres, and under them the board from above and from the side. */
function headOf(
  shape: Shape,
  style: LengthStyle,
  name: string,
  extras: TicketExtras,
  { right_mm, top_mm }: { right_mm: number; top_mm: number },
): Parts & { foot_mm: number } {
  const { lines, texts, boxes, write } = partsOf();
  let y = top_mm;
  if (extras.shop) {
    const { name: shop, address, makersNo } = extras.shop;
    const words = [shop, address, makersNo !== undefined && `no. ${makersNo}`].filter(Boolean).join(', ');
    const size = fitting_mm(words, SHOP_mm.size, right_mm - LEFT_mm - (extras.shop.logo ? 4 * SHOP_mm.logo : 0));
    write(words, LEFT_mm, top_mm + 22 - SHOP_mm.over, size);
  }
  texts.push(...nameLine(name, extras.riderName, { left_mm: LEFT_mm, right_mm, y_mm: y, size_mm: 8 }));
  y -= 12;
  write(sizeLine(shape, style), LEFT_mm, y, 9, { strong: true });
  write(formatLitres(volume_L(shape)), right_mm, y, 9, { strong: true, anchor: 'end' });
  if (extras.target) {
    y -= 6;
    write(extras.target, right_mm, y, 3.6, { anchor: 'end' });
  }
  const { length_mm, outline, foil } = shape.board;
  const k = (right_mm - LEFT_mm) / length_mm;
  const half = (outline.width_mm / 2) * k;
  y -= half + 4;
  const middle = y;
  lines.push(...planInSmall(shape, style, (x, across) => ({ x_mm: LEFT_mm + x * k, y_mm: middle + across * k })));
  const { words } = reliefStep(style);
  const halves = `over the stringer the deck, under it the bottom with fins and a line each ${words} of light`;
  write(halves, right_mm, middle - half - 4, 2.8, { anchor: 'end' });
  y -= half + 4 + Math.max(shape.rocker.line.valueAt(length_mm), foil.thickness_mm) * k + 6;
  const table = y;
  lines.push(...profileInSmall(shape, (x, z) => ({ x_mm: LEFT_mm + x * k, y_mm: table + z * k })));
  return { lines, texts, boxes, foot_mm: y - 9 };
}

/** The code, three sections drawn to one scale, and the fins from the side, one under another. */
function asideOf(
  shape: Shape,
  style: LengthStyle,
  name: string,
  extras: TicketExtras,
  { right_mm, top_mm }: { right_mm: number; top_mm: number },
): Parts & { foot_mm: number } {
  const { lines, texts, boxes, write } = partsOf();
  const left = right_mm - ASIDE_mm;
  const centre = left + ASIDE_mm / 2;
  let y = top_mm;
  if (extras.id !== undefined) {
    const size = sizeLine(shape, style);
    const text = codeText({ id: extras.id, name, size, litres_L: volume_L(shape) });
    boxes.push(...qrBoxes(text, { x_mm: right_mm - CODE_mm, y_mm: y - CODE_mm, side_mm: CODE_mm }));
    y -= CODE_mm;
  }
  const { length_mm, outline, foil, fins } = shape.board;
  const k = ASIDE_mm / outline.width_mm;
  for (const [words, x] of [
    ['nose 12', length_mm - 12 * INCH_mm],
    ['wide point', shape.outline.wide_mm],
    ['tail 12', 12 * INCH_mm],
  ] as const) {
    y -= foil.thickness_mm * k + 5;
    const foot = y;
    lines.push(...sectionInSmall(shape, x, (across, z) => ({ x_mm: centre + across * k, y_mm: foot + z * k })));
    y -= 4;
    write(words, centre, y, 2.8, { anchor: 'middle' });
  }
  const deepest = Math.max(0, ...fins.boxes.map(({ template }) => template.depth_mm));
  if (deepest > 0) {
    const whole = finsInSmall(shape, { x_mm: 0, y_mm: 0, k: 1 });
    const by = Math.min(0.2, ASIDE_mm / whole.right_mm, 26 / deepest);
    y -= deepest * by + 5;
    lines.push(rule(left, right_mm, y, 0.1), ...finsInSmall(shape, { x_mm: left, y_mm: y, k: by }).lines);
    y -= 4;
    write('fins', centre, y, 2.8, { anchor: 'middle' });
  }
  return { lines, texts, boxes, foot_mm: y };
}

/** A value in two lines, broken at the comma nearest to its middle; whole where it has none. */
function inTwo(row: Row): Row[] {
  const commas = [...row.value.matchAll(/, /g)].map(({ index }) => index);
  if (commas.length === 0) return [row];
  const middle = row.value.length / 2;
  const at = commas.reduce((best, index) => (Math.abs(index - middle) < Math.abs(best - middle) ? index : best));
  return [
    { ...row, value: row.value.slice(0, at + 1) },
    { ...row, name: '', value: row.value.slice(at + 2) },
  ];
}

/** Names begin so far from the left, and values. */
const NAMES_mm = 30;
const VALUES_mm = 68;

/** Every number, a line each, in groups. Lines beside the pictures end before them; they close up, so that all of it stays on the page. */
function tableOf(
  given: readonly Row[],
  { right_mm, top_mm, aside }: { right_mm: number; top_mm: number; aside: { left_mm: number; foot_mm: number } },
): Parts {
  const { lines, texts, boxes, write } = partsOf();
  const lay = (rows: readonly Row[]) => {
    const groups = new Set(rows.map((row) => row.group)).size;
    const step = Math.min(LINE_mm, (top_mm - FOOT_mm - GROUP_GAP_mm * groups) / (rows.length - 1));
    const size_mm = Math.min(3.8, 0.76 * step);
    let y_mm = top_mm;
    const laid = rows.map((row, i) => {
      const first = i === 0 || row.group !== rows[i - 1].group;
      y_mm -= (i === 0 ? 0 : step) + (first ? GROUP_GAP_mm : 0);
      const end_mm = y_mm + step > aside.foot_mm ? aside.left_mm - ASIDE_GAP_mm : right_mm;
      const room = end_mm - LEFT_mm - VALUES_mm;
      return { row, first, y_mm, end_mm, over: textWidth_mm(row.value, size_mm, true) / room };
    });
    return { laid, step, size_mm };
  };
  // A value that would run into a picture goes on in a line of its own.
  const rows = lay(given).laid.flatMap(({ row, over }) => (over > 1 ? inTwo(row) : [row]));
  const { laid, step, size_mm } = lay(rows);
  for (const { row, first, y_mm, end_mm, over } of laid) {
    if (first) {
      lines.push(rule(LEFT_mm, end_mm, y_mm + 0.86 * step, 0.1));
      write(GROUPS[row.group], LEFT_mm, y_mm, size_mm, { strong: true });
    }
    if (row.name) write(row.name, LEFT_mm + NAMES_mm, y_mm, size_mm);
    write(row.value, LEFT_mm + VALUES_mm, y_mm, size_mm / Math.max(1, over), { strong: true });
  }
  return { lines, texts, boxes };
}
