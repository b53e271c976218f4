import type { Board, TailKind } from '../../document/schema.ts';
import { withTail } from '../../edit/size.ts';
import { boardFromRows, nearestFirst } from '../../files/stationCsv.ts';
import { models } from '../../models/models.ts';
import { boardFrom } from '../../shape/issues.ts';
import { shapeOf } from '../../shape/shape.ts';
import { type AcrossAt, withAcross } from './across.ts';
import { type Bands, bandsOf } from './bands.ts';
import { isAcross, readingOf } from './readings.ts';
import { placeKey, type Taken, takenOf } from './takenOf.ts';
import {
  lineOf,
  rightOverLeft,
  SHEET_READINGS,
  type SheetReading,
  type SheetReadings,
  readingTrouble,
  taken,
  type Tool,
  TOOLS,
} from './sheet.ts';

/** How far the board made is off one of the readings: made less read, mm, and in errors of the tool it was read with. */
export interface SheetResidual {
  reading: SheetReading;
  off_mm: number;
  errors: number;
}

export type SheetMade =
  | {
      ok: true;
      board: Board;
      /** Of every reading but the length, as they stand on the sheet. */
      residuals: SheetResidual[];
      /** By how much more was read right than left. */
      sides: { reading: SheetReading; right_mm: number }[];
      /** What the readings leave open; undefined where it was not asked for. */
      bands?: Bands;
    }
  | { ok: false; reason: string };

export interface SheetChoices {
  name: string;
  /** How the tail is cut, which no tool tells; as on the model that comes nearest where left out. */
  tail?: TailKind | undefined;
  among?: readonly Board[];
  /** How far off a reading may be, by tool, mm. */
  errors_mm?: Readonly<Partial<Record<Tool, number>>>;
  /** Ask what the readings leave open, which takes some twenty times as long. */
  bands?: boolean;
}

/** The reading the board came out furthest off, for the tool it was read with; undefined where nothing was read but the length. */
export const worstOf = (residuals: readonly SheetResidual[]): SheetResidual | undefined =>
  [...residuals].sort((a, b) => Math.abs(b.errors) - Math.abs(a.errors))[0];

/** A board so near to a reading has met it. */
export const MET_mm = 0.05;

/** That reading, in words. */
export function furthestRead(residuals: readonly SheetResidual[]): string {
  const worst = worstOf(residuals);
  if (!worst) return 'Nothing was read but the length.';
  if (Math.abs(worst.off_mm) < MET_mm) return 'Every reading is met.';
  const { words, tool } = lineOf(worst.reading);
  const off = `Furthest off what was read: ${words}, by ${Math.abs(worst.off_mm).toFixed(1)} mm.`;
  return Math.abs(worst.errors) > 1
    ? `${off} ${TOOLS[tool].words} that is more than a hand is off: read it again.`
    : off;
}

/**
 * A board of what was read with tape, straightedge, callipers and rail card. Length must be there; with width and thickness it is a board
 * already, and each further reading makes it more like. What was not read is as on the model that comes nearest.
 *
 * Method: outline, rocker and foil by their marks with the difference to that model run between them; then rails, crown and bottom, by the
 * numbers that give the readings across. Never throws: readings that make no board are refused with the reason.
 */
export function boardFromSheet(readings: SheetReadings, choices: SheetChoices): SheetMade {
  const { name, tail, among = models(), errors_mm = {} } = choices;
  const wrong = troubleOf(readings);
  if (wrong !== undefined) return { ok: false, reason: wrong };
  const read = takenOf(readings);
  if (!read) return { ok: false, reason: 'The length is not there yet: everything else is told from it.' };
  const tailed = among.map((model) =>
    tail === undefined || model.outline.tail.kind === tail ? model : withTail(model, tail),
  );
  const errorOf = (tool: Tool) => errors_mm[tool] ?? TOOLS[tool].error_mm;
  const made = likest(read, name, tailed, errorOf);
  if (!made.ok) return made;
  const shape = shapeOf(made.board);
  return {
    ok: true,
    board: made.board,
    residuals: SHEET_READINGS.flatMap((reading): SheetResidual[] => {
      const value = taken(reading, readings[reading]);
      if (value === undefined || reading === 'length') return [];
      const off_mm = readingOf(shape, reading) - value;
      return [{ reading, off_mm, errors: off_mm / errorOf(lineOf(reading).tool) }];
    }),
    sides: SHEET_READINGS.flatMap((reading) => {
      const right_mm = rightOverLeft(readings[reading]);
      return right_mm === undefined ? [] : [{ reading, right_mm }];
    }),
    ...(choices.bands === true ? { bands: bandsOf(readings, made.board, tailed, errorOf) } : {}),
  };
}

/** Of so many boards that come nearest along, the one is gone by that comes nearest across as well. */
const TRIED = 8;
/** How much a model counts by what it has across of itself, to what is left of the readings when it was changed to meet them. */
const OWN = 0.3;

type Made = { ok: true; board: Board } | { ok: false; reason: string };

/** The board of the readings by that model which leaves the least of them. */
function likest({ rows, across }: Taken, name: string, among: readonly Board[], errorOf: (tool: Tool) => number): Made {
  if (across.length === 0) return boardFromRows(rows, name, among);
  let first: Made | undefined;
  let best: { made: Made; off: number } | undefined;
  for (const model of nearestFirst(rows, among).slice(0, TRIED)) {
    const along = boardFromRows(rows, name, [model]);
    const made = along.ok ? acrossMade(along.board, across) : along;
    first ??= made;
    if (!along.ok || !made.ok) continue;
    const off = offAcross(made.board, across, errorOf) + OWN * offAcross(along.board, across, errorOf);
    if (off < (best?.off ?? Infinity)) best = { made, off };
  }
  return best?.made ?? first ?? boardFromRows(rows, name, among);
}

function acrossMade(along: Board, across: readonly AcrossAt[]): Made {
  const made = boardFrom(withAcross(along, across));
  if (made.ok) return made;
  const [first] = made.issues;
  return { ok: false, reason: `What was read across makes no board: ${first.path}: ${first.words}.` };
}

/** The sum of squares of what is left of the readings across, each in errors of its tool. */
function offAcross(board: Board, across: readonly AcrossAt[], errorOf: (tool: Tool) => number): number {
  const shape = shapeOf(board);
  const keys = new Set(across.map(({ place }) => placeKey(place)));
  return SHEET_READINGS.reduce((sum, reading) => {
    const { at, of, tool } = lineOf(reading);
    if (!at || !of || !isAcross(of) || !keys.has(placeKey(at))) return sum;
    const read = across.find(({ place }) => placeKey(place) === placeKey(at))?.read[of];
    return read === undefined ? sum : sum + ((readingOf(shape, reading) - read) / errorOf(tool)) ** 2;
  }, 0);
}

function troubleOf(readings: SheetReadings): string | undefined {
  for (const reading of SHEET_READINGS) {
    const value = taken(reading, readings[reading]);
    const trouble = value === undefined ? undefined : readingTrouble(reading, value);
    if (trouble !== undefined) return `${lineOf(reading).words}: ${trouble}`;
  }
  return undefined;
}
