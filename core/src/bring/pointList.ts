import { saidBack } from '../units/oneLine.ts';
import type { Point } from './plane.ts';

export type PointsRead = { ok: true; points: Point[] } | { ok: false; reason: string };

/** More points than this are no list a hand typed. */
const MOST_POINTS = 5000;
const MOST_LETTERS = 400_000;

/**
 * Points one to a line, across and up, in any unit: apart by a tab, a semicolon, a comma or blanks; decimal commas where commas do not part
 * them. Lines without a digit are headings and left out.
 */
export function readPoints(text: string): PointsRead {
  if (text.length > MOST_LETTERS) return { ok: false, reason: 'The list is too long to be points of a rail.' };
  const points: Point[] = [];
  const lines = text.split(/\r\n|\r|\n/);
  for (const [at, line] of lines.entries()) {
    if (!/\d/.test(line)) continue;
    const parts = partsOf(line.trim());
    const [x, y] = parts.map(Number);
    if (parts.length !== 2 || !Number.isFinite(x) || !Number.isFinite(y)) {
      return { ok: false, reason: `Line ${at + 1}, ${saidBack(line)}, is not two numbers.` };
    }
    points.push({ x, y });
    if (points.length > MOST_POINTS) return { ok: false, reason: `More than ${MOST_POINTS} points are no rail.` };
  }
  return points.length > 0 ? { ok: true, points } : { ok: false, reason: 'There are no numbers in it.' };
}

function partsOf(line: string): string[] {
  const byMark = line.split(/[;\t]/);
  const byBlank = line.split(/\s+/);
  const decimal = (part: string) => part.trim().replace(',', '.');
  if (byMark.length > 1) return byMark.map(decimal);
  // "12,5 30,25": commas are decimal where blanks part two numbers and no comma stands before a blank.
  if (byBlank.length > 1 && !/,\s/.test(line)) return byBlank.map(decimal);
  return line.split(/,|\s+/).filter((part) => part !== '');
}
