import type { Board } from '../document/schema.ts';
import { shapeOf } from '../shape/shape.ts';
import { LAYER_WORDS, TAIL_WORDS } from '../document/kinds.ts';
import { allMeasures } from './allMeasures.ts';
import { MEASURE_KEYS, type MeasureKey } from './catalogue.ts';
import { SETUP_WORDS } from '../fins/placement.ts';

/** One measure of two boards. */
interface MeasureDifference {
  key: MeasureKey;
  from: number;
  to: number;
  difference: number;
}

/** One thing a shaper decides that differs: which, and both values as the document has them (mm, rad) or in words. */
export interface LeverDifference {
  group: 'size' | 'outline' | 'rocker' | 'foil' | 'deck' | 'rails' | 'bottom' | 'fins';
  /** The lever's path in the document. */
  path: string;
  from: number | string | undefined;
  to: number | string | undefined;
}

export interface Comparison {
  measures: MeasureDifference[];
  levers: LeverDifference[];
}

/** Levers closer than this are the same: far below what can be measured on foam. */
const SAME = 1e-6;

/** Two boards side by side: every number, and the levers that differ, in the order of the work. */
export function compared(from: Board, to: Board): Comparison {
  const a = allMeasures(shapeOf(from));
  const b = allMeasures(shapeOf(to));
  const measures = MEASURE_KEYS.map((key) => ({
    key,
    from: a[key],
    to: b[key],
    difference: a[key] === b[key] ? 0 : b[key] - a[key],
  }));
  return { measures, levers: leverDifferences(from, to) };
}

/** The levers that differ between two boards. */
export function leverDifferences(from: Board, to: Board): LeverDifference[] {
  const a = leversOf(from);
  const b = leversOf(to);
  const paths = [...new Set([...a.keys(), ...b.keys()])];
  return paths
    .filter((path) => !same(a.get(path), b.get(path)))
    .map((path) => ({ group: groupOf(path), path, from: a.get(path), to: b.get(path) }))
    .sort((x, y) => GROUPS.indexOf(x.group) - GROUPS.indexOf(y.group));
}

const GROUPS: readonly LeverDifference['group'][] = [
  'size',
  'outline',
  'rocker',
  'foil',
  'deck',
  'rails',
  'bottom',
  'fins',
];

function groupOf(path: string): LeverDifference['group'] {
  const first = path.split('.')[0];
  return GROUPS.find((group) => group === first) ?? 'size';
}

function same(a: number | string | undefined, b: number | string | undefined): boolean {
  return typeof a === 'number' && typeof b === 'number' ? Math.abs(a - b) <= SAME : a === b;
}

/** Every number and choice of a board by its path; entries of lists by what they are tied to, not by their place in it. */
function leversOf(board: Board): Map<string, number | string> {
  const out = new Map<string, number | string>();
  const seen = new Map<string, number>();
  const walk = (value: unknown, path: string): void => {
    if (typeof value === 'number' || typeof value === 'string') out.set(path, value);
    else if (typeof value === 'boolean') out.set(path, value ? 'yes' : 'no');
    else if (Array.isArray(value)) {
      for (const entry of value as readonly unknown[]) {
        const name = `${path}.${nameOf(entry)}`;
        const times = (seen.get(name) ?? 0) + 1;
        seen.set(name, times);
        walk(entry, times > 1 ? `${name} (${times})` : name);
      }
    } else if (typeof value === 'object' && value !== null) {
      for (const [key, entry] of Object.entries(value)) walk(entry, path ? `${path}.${key}` : key);
    }
  };
  const { length_mm, family, outline, rocker, foil, deck, rails, bottom, fins } = board;
  walk({ length_mm, family, outline, rocker, foil, deck, rails, bottom, fins }, '');
  return out;
}

/** A short name for an entry of a list: the kind of a contour, the place of a mark, the role of a box. */
function nameOf(entry: unknown): string {
  if (typeof entry !== 'object' || entry === null) return String(entry);
  const e = entry as Record<string, unknown>;
  if (typeof e.kind === 'string') return e.kind;
  if (typeof e.role === 'string') return e.role;
  if (typeof e.from === 'string' && typeof e.at_mm === 'number') return `${e.from} ${Math.round(e.at_mm * 10) / 10}`;
  return 'wing';
}

/** Choices as the trade says them; anything else as it stands. */
export function leverWords(value: number | string | undefined): string {
  if (value === undefined) return 'none';
  if (typeof value === 'number') return String(Math.round(value * 1000) / 1000);
  const words: Readonly<Record<string, string>> = { ...TAIL_WORDS, ...LAYER_WORDS, ...SETUP_WORDS };
  return words[value] ?? value;
}
