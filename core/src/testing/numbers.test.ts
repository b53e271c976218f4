// A record, not a proof: every number and sentence core works out of four boards stands as it stood when it was written. A
// change that is meant is written anew with `npx tsx scripts/write-numbers.ts`, and its difference read before it is kept.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from '@jest/globals';
import { numberedBoards, numbersOf } from './numbers.ts';
import { changedFrom, type Kept } from './numbersFlat.ts';

describe('what core works out', () => {
  it.each(Object.entries(numberedBoards()))('of %s stands as it was written down', (name, board) => {
    const kept = JSON.parse(readFileSync(join(import.meta.dirname, 'numbers', `${name}.json`), 'utf8')) as Record<
      string,
      Kept
    >;
    const now = numbersOf(board);
    expect(Object.keys(now).length).toBeGreaterThan(1500);
    expect(changedFrom(kept, now)).toEqual({ changed: 0, first: [] });
  });
});
