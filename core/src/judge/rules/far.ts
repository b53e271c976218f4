import { measureOf, type MeasureKey } from '../../measure/catalogue.ts';
import { isRanged, type Range } from '../../rider/kinds.ts';
import { INCH_mm } from '../../units/length.ts';
import type { Case } from '../case.ts';
import { lever, type LeverId, LEVERS } from '../levers.ts';
import { usual } from '../line.ts';
import { degrees, type Group, percent, radians, rule, type Rule, type Writer } from '../rule.ts';

/** So far past its usual range, in breadths of it, a number is far out whoever rides the board. Our own. */
const BEYOND = 1.2;

/** What the trade has no range of by kind: where it is far out on any board. Common practice, from memory; left out, never. */
const LIMITS: Readonly<Partial<Record<LeverId, { low?: number; high?: number }>>> = {
  railFullness: { low: 0.15 },
  railDown: { low: 0.2, high: 0.62 },
  edgeLength: { high: 36 * INCH_mm },
  edgeHardness: { high: 0.98 },
  bevel: { high: 0.5 * INCH_mm },
  foreVee: { high: 0.375 * INCH_mm },
  noseConcave: { high: 0.5 * INCH_mm },
  noseHollow: { high: 0.5 * INCH_mm },
  wingDepth: { high: 1.25 * INCH_mm },
  finsForward: { low: -1.5 * INCH_mm, high: 1.5 * INCH_mm },
  finSize: { low: 0.7, high: 1.35 },
  finRake: { low: radians(8), high: radians(50) },
  finTip: { low: 0.1, high: 0.8 },
  finBase: { low: 2.5 * INCH_mm, high: 11 * INCH_mm },
  toe: { low: radians(-1), high: radians(7) },
  cant: { low: radians(-1), high: radians(12) },
  curvier: { low: 0.85, high: 7 },
  entry: { low: 0.25, high: 0.62 },
  tailKick: { low: 0.12, high: 0.62 },
  flat: { low: 0.06, high: 0.45 },
};

/** The range a lever's measure lies in where it is not far out: its kind's and some more, or the trade's limits. */
function farRange(id: LeverId, reads: MeasureKey, c: Case): Range {
  const { low = -Infinity, high = Infinity } = LIMITS[id] ?? {};
  if (!isRanged(reads)) return { low, high };
  const range = usual(c, reads);
  const more = Number.isFinite(range.low) ? BEYOND * (range.high - range.low) : 0;
  return { low: range.low - more, high: range.high + more };
}

const GROUPS: Readonly<Record<string, Group>> = {
  size: 'size',
  outline: 'outline',
  rocker: 'rocker',
  foil: 'foil',
  rails: 'rails',
  bottom: 'bottom',
  fins: 'fins',
};

/** A number of the catalogue as it is said. */
function written(id: NonNullable<ReturnType<typeof lever>['reads']>, value: number, w: Writer): string {
  switch (measureOf(id).unit) {
    case 'mm':
      return id === 'length_mm' ? w.feet(value) : w.mm(value);
    case 'L':
      return w.L(value);
    case 'rad':
      return degrees(value);
    default:
      return Math.abs(value) > 3 ? value.toFixed(1) : percent(value);
  }
}

/**
 * For every lever what a lot of it does, either way: anything pushed far enough, under any rider, ends in a note. They speak only where
 * no rule of its own says the same.
 */
export const FAR_RULES: readonly Rule[] = (Object.keys(LEVERS) as LeverId[]).flatMap((id) => {
  const { more, less, reads, falls, lotMore, lotLess } = lever(id);
  if (reads === undefined) return [];
  const { words, group } = measureOf(reads);
  return ([1, -1] as const).map((way) => {
    // A lever that pushes its measure down has gone far where the number is low.
    const high = (way === 1) !== (falls === true);
    return rule({
      id: `far-${id}-${way === 1 ? 'more' : 'less'}`,
      group: GROUPS[group] ?? 'size',
      title: `Far from usual: ${way === 1 ? more : less}`,
      level: 'note',
      cause: way === 1 ? lotMore : lotLess,
      lever: { id, way: way === 1 ? -1 : 1 },
      source: 'CP',
      general: true,
      reads: [
        {
          words: `how far ${words} lies ${high ? 'over' : 'under'} where it is far out on any board of the kind`,
          unit: '',
          read: (facts, _known, c) => {
            const range = farRange(id, reads, c);
            const value = measureOf(reads).read(facts);
            return high ? value - range.high : range.low - value;
          },
        },
        'over',
        0,
      ],
      says: ({ c, facts }, w) => {
        const range = isRanged(reads) ? usual(c, reads) : farRange(id, reads, c);
        const said = words.replace(/^./, (x) => x.toUpperCase());
        return `${said} is ${written(reads, measureOf(reads).read(facts), w)}, usually ${high ? 'up to' : 'from'} ${written(reads, high ? range.high : range.low, w)}`;
      },
    });
  });
});
