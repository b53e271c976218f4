// A record, not a proof: every number and sentence core works out of four boards stands as it stood when it was written. A
// change that is meant is written anew with `npx tsx scripts/write-numbers.ts`, and its difference read before it is kept.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from '@jest/globals';
import { numberedBoards, numbersOf } from './numbers.ts';

/** Sums of a thousand numbers are good to so much of their size, and to so much where they cancel. */
const OF_SIZE = 1e-7;
const AT_ZERO = 1e-6;

type Kept = number | string | null;
const same = (was: Kept | undefined, is: number | string | undefined): boolean => {
  if (typeof is === 'number' && !Number.isFinite(is)) return was === null;
  if (typeof was !== 'number' || typeof is !== 'number') return was === is;
  return Math.abs(was - is) <= AT_ZERO + OF_SIZE * Math.abs(was);
};

describe('what core works out', () => {
  it.each(Object.entries(numberedBoards()))('of %s stands as it was written down', (name, board) => {
    const kept = JSON.parse(readFileSync(join(import.meta.dirname, 'numbers', `${name}.json`), 'utf8')) as Record<
      string,
      Kept
    >;
    const now = numbersOf(board);
    const keys = [...new Set([...Object.keys(kept), ...Object.keys(now)])];
    expect(keys.length).toBeGreaterThan(1500);
    const changed = keys.flatMap((key) =>
      same(kept[key], now[key]) ? [] : [`${key}: was ${kept[key]}, is ${now[key]}`],
    );
    expect({ changed: changed.length, first: changed.slice(0, 20) }).toEqual({ changed: 0, first: [] });
  });
});
