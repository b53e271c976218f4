import { sectionAt, type Shape } from '../shape/shape.ts';
import { bottomHeight } from '../bottom/bottom.ts';
import { thicknessAt } from '../foil/foil.ts';
import { halfBreadthAt } from '../outline/outline.ts';
import { formatLength, type LengthStyle } from '../units/format.ts';
import { INCH_mm } from '../units/length.ts';
import { type Blank, type BlankLines, blankLines } from './blank.ts';

/** Foam wanted outside the board everywhere, mm. */
export interface Allowance {
  surface_mm: number;
  width_mm: number;
  ends_mm: number;
}
/** A sixteenth over deck and bottom, an eighth at the rails, a quarter at the ends. Common practice, from memory. */
export const USUAL_ALLOWANCE: Allowance = {
  surface_mm: INCH_mm / 16,
  width_mm: INCH_mm / 8,
  ends_mm: INCH_mm / 4,
};

/** Where the board lies in the blank: its tail so far from the blank's, raised so much, its nose tilted up. */
export interface Placement {
  shift_mm: number;
  raise_mm: number;
  tilt_rad: number;
}

export interface Margin {
  /** On the board, from its tail. */
  x_mm: number;
  deck_mm: number;
  bottom_mm: number;
  width_mm: number;
}

export interface Shortfall {
  where: 'deck and bottom' | 'width' | 'length';
  x_mm: number;
  short_mm: number;
}

export interface Fit {
  fits: boolean;
  placement: Placement;
  margins: Margin[];
  /** What is missing most, when it does not fit. */
  shortfall?: Shortfall;
  /** Foam between blank and board: mean over deck and bottom, mm. Less is more of the tough outer foam kept. */
  meanCut_mm: number;
  /** What the placement is judged by: mean square of the cuts; the more even and the less, the better. */
  cost: number;
}

interface Line {
  x: number;
  low: number;
  high: number;
  half: number;
}

const STATIONS = 49;

/** The board's lines at x: lowest of the bottom across, deck at the stringer, half width. */
function boardLineAt(shape: Shape, x: number): Line {
  const L = shape.board.length_mm;
  const section = sectionAt(shape, Math.min(L - 1, Math.max(1, x)));
  let hollow = 0;
  if (section) for (let j = 1; j <= 12; j++) hollow = Math.min(hollow, bottomHeight(section.input.bottom, j / 12));
  const z = shape.rocker.line.valueAt(x);
  return { x, low: z + hollow, high: z + thicknessAt(shape.foil, x), half: halfBreadthAt(shape.outline, x) };
}

/** The board's lines at even stations, its tips included. */
function boardLines(shape: Shape): Line[] {
  const L = shape.board.length_mm;
  return Array.from({ length: STATIONS }, (_, k) => boardLineAt(shape, (L * k) / (STATIONS - 1)));
}

/** Foam outside a board line as it lies in a blank. */
function marginOf({ x, low, high, half }: Line, blank: BlankLines, placement: Placement): Margin {
  const up = placement.tilt_rad * x + placement.raise_mm;
  const at = x + placement.shift_mm;
  return {
    x_mm: x,
    deck_mm: blank.deck(at) - high - up,
    bottom_mm: low + up - blank.bottom(at),
    width_mm: blank.half(at) - half,
  };
}

/** Foam outside the board at one station, as it was placed. */
export function marginAt(shape: Shape, blank: BlankLines, placement: Placement, x_mm: number): Margin {
  return marginOf(boardLineAt(shape, x_mm), blank, placement);
}

interface Trial {
  cost: number;
  /** By how much the height must give, where deck and bottom cannot both be met; 0 when they can. */
  pinch: number;
  pinchAt: number;
  raise: number;
}

/**
 * For one shift and tilt the best height is known: the mean of the heights that halve each station's spare foam, kept
 * within the bounds that deck and bottom set. Costs are mean squares, so this is the minimum of a parabola.
 */
function atTilt(lines: readonly Line[], blank: BlankLines, shift: number, tilt: number, surface: number): Trial {
  let most = Infinity;
  let mostAt = 0;
  let least = -Infinity;
  let leastAt = 0;
  let sum = 0;
  for (const { x, low, high } of lines) {
    const up = tilt * x;
    const below = blank.bottom(x + shift) + surface - low - up;
    const above = blank.deck(x + shift) - surface - high - up;
    if (below > least) {
      least = below;
      leastAt = x;
    }
    if (above < most) {
      most = above;
      mostAt = x;
    }
    sum += below + above;
  }
  const wanted = sum / (2 * lines.length);
  const pinch = Math.max(0, least - most);
  const raise = pinch > 0 ? (least + most) / 2 : Math.min(most, Math.max(least, wanted));
  let squares = 0;
  for (const { x, low, high } of lines) {
    const up = tilt * x + raise;
    squares += (low + up - blank.bottom(x + shift)) ** 2 + (blank.deck(x + shift) - high - up) ** 2;
  }
  return { cost: squares / lines.length, pinch, pinchAt: least - wanted > wanted - most ? leastAt : mostAt, raise };
}

/** No placement that pinches is as good as one that does not; among those that do, the one that pinches least. */
const PINCHED = 1e6;
const value = (trial: Trial): number => (trial.pinch > 0 ? PINCHED * (1 + trial.pinch) : trial.cost);

const MOST_TILT_rad = 0.03;
const GOLDEN = (Math.sqrt(5) - 1) / 2;

/** The least of a function with one valley between two ends. */
function valley(read: (x: number) => number, low: number, high: number, rounds: number): number {
  let [a, b] = [low, high];
  let c = b - GOLDEN * (b - a);
  let d = a + GOLDEN * (b - a);
  let [fc, fd] = [read(c), read(d)];
  for (let i = 0; i < rounds; i++) {
    if (fc < fd) {
      [b, d, fd] = [d, c, fc];
      c = b - GOLDEN * (b - a);
      fc = read(c);
    } else {
      [a, c, fc] = [c, d, fd];
      d = a + GOLDEN * (b - a);
      fd = read(d);
    }
  }
  return (a + b) / 2;
}

function bestTilt(
  lines: readonly Line[],
  blank: BlankLines,
  shift: number,
  surface: number,
): { tilt: number; trial: Trial } {
  const read = (tilt: number) => value(atTilt(lines, blank, shift, tilt, surface));
  // Feasible tilts may be a narrow strip: look for it coarsely first, then go down into the valley around it.
  let best = 0;
  let least = Infinity;
  for (let k = -12; k <= 12; k++) {
    const tilt = (k / 12) * MOST_TILT_rad;
    const cost = read(tilt);
    if (cost < least) [best, least] = [tilt, cost];
  }
  const width = MOST_TILT_rad / 12;
  const tilt = valley(read, best - width, best + width, 26);
  const refined = read(tilt) <= least ? tilt : best;
  return { tilt: refined, trial: atTilt(lines, blank, shift, refined, surface) };
}

/**
 * The placement that keeps the most outer foam: over every shift the ends allow the best tilt and height, the least mean
 * square of the cuts. Width and ends are checked where the board comes to lie.
 */
export function fitInBlank(shape: Shape, blank: BlankLines, allowance: Allowance = USUAL_ALLOWANCE): Fit {
  const lines = boardLines(shape);
  const L = shape.board.length_mm;
  const room = blank.length_mm - L - 2 * allowance.ends_mm;
  const widthShort = (shift: number) => {
    let worst = { short: -Infinity, x: 0 };
    for (const { x, half } of lines) {
      const short = half + allowance.width_mm - blank.half(x + shift);
      if (short > worst.short && half > 0) worst = { short, x };
    }
    return worst;
  };
  const total = (shift: number) => {
    const { trial } = bestTilt(lines, blank, shift, allowance.surface_mm);
    return value(trial) + PINCHED * Math.max(0, widthShort(shift).short);
  };
  const [first, last] =
    room >= 0 ? [allowance.ends_mm, allowance.ends_mm + room] : [(blank.length_mm - L) / 2, (blank.length_mm - L) / 2];
  let shift = first;
  let least = Infinity;
  const steps = last > first ? 16 : 0;
  for (let k = 0; k <= steps; k++) {
    const trial = steps === 0 ? first : first + ((last - first) * k) / steps;
    const cost = total(trial);
    if (cost < least) [shift, least] = [trial, cost];
  }
  if (steps > 0) {
    const width = (last - first) / steps;
    const refined = valley(total, Math.max(first, shift - width), Math.min(last, shift + width), 14);
    if (total(refined) <= least) shift = refined;
  }
  const { tilt, trial } = bestTilt(lines, blank, shift, allowance.surface_mm);
  const placement: Placement = { shift_mm: shift, raise_mm: trial.raise, tilt_rad: tilt };
  const margins = lines.map((line) => marginOf(line, blank, placement));
  const width = widthShort(shift);
  const shortfalls: Shortfall[] = [];
  if (room < 0) shortfalls.push({ where: 'length', x_mm: L, short_mm: -room });
  if (trial.pinch > 1e-9) shortfalls.push({ where: 'deck and bottom', x_mm: thinnest(margins), short_mm: trial.pinch });
  if (width.short > 1e-9) shortfalls.push({ where: 'width', x_mm: width.x, short_mm: width.short });
  // A blank too short says so first; else what is missing most.
  const [shortfall] = shortfalls.sort(
    (a, b) => Number(b.where === 'length') - Number(a.where === 'length') || b.short_mm - a.short_mm,
  );
  return {
    fits: shortfalls.length === 0,
    placement,
    margins,
    ...(shortfall ? { shortfall } : {}),
    meanCut_mm: margins.reduce((sum, m) => sum + m.deck_mm + m.bottom_mm, 0) / (2 * margins.length),
    cost: trial.cost,
  };
}

/** Where deck and bottom together leave the least. */
function thinnest(margins: readonly Margin[]): number {
  return margins.reduce((worst, m) => (m.deck_mm + m.bottom_mm < worst.deck_mm + worst.bottom_mm ? m : worst)).x_mm;
}

const withUnit = (mm: number, style: LengthStyle): string => {
  const text = formatLength(mm, style);
  return /[a-z]/.test(text) ? text : `${text} in`;
};

/** What is missing, for a table: "too thin by 5/16 in". */
export function shortfallBrief({ where, short_mm }: Shortfall, style: LengthStyle): string {
  switch (where) {
    case 'length':
      return `too short by ${withUnit(short_mm, style)}`;
    case 'width':
      return `too narrow by ${withUnit(2 * short_mm, style)}`;
    case 'deck and bottom':
      return `too thin by ${withUnit(short_mm, style)}`;
  }
}

/** What would make it fit, the smallest change that does, in words. */
export function shortfallWords({ where, x_mm, short_mm }: Shortfall, style: LengthStyle): string {
  const write = (value: number) => withUnit(value, style);
  switch (where) {
    case 'length':
      return `too short by ${write(short_mm)}: the board that much shorter would lie in it`;
    case 'width':
      return `too narrow ${write(x_mm)} from the tail by ${write(2 * short_mm)}: that much off the width there`;
    case 'deck and bottom':
      return `too thin ${write(x_mm)} from the tail by ${write(short_mm)}: that much off the thickness there, or a rocker nearer the blank's`;
  }
}

export interface RankedBlank {
  blank: Blank;
  fit: Fit;
}

/** Blanks with the board laid in each: those that fit first, the least foam to take off before the more; then by what is missing. */
export function rankedBlanks(
  shape: Shape,
  shelf: readonly Blank[],
  allowance: Allowance = USUAL_ALLOWANCE,
): RankedBlank[] {
  return shelf
    .map((blank) => ({ blank, fit: fitInBlank(shape, blankLines(blank), allowance) }))
    .sort(
      (a, b) =>
        Number(b.fit.fits) - Number(a.fit.fits) ||
        (a.fit.fits
          ? a.fit.meanCut_mm - b.fit.meanCut_mm
          : (a.fit.shortfall?.short_mm ?? 0) - (b.fit.shortfall?.short_mm ?? 0)),
    );
}
