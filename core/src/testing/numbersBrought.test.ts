// A record, not a proof: what comes of boards brought in by each door stands as it stood when it was written, to the last digits, so
// that a fit that looks in other places, or less far, is noticed. A change that is meant is written anew as that of `numbers.test.ts`.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from '@jest/globals';
import { BROUGHT } from './numbersBrought.ts';
import { changedFrom, FITS, type Kept } from './numbersFlat.ts';

describe('what is brought in', () => {
  it.each(Object.entries(BROUGHT))('by %s stands as it was written down', (door, broughtIn) => {
    const file = join(import.meta.dirname, 'numbers', `brought-${door}.json`);
    const kept = JSON.parse(readFileSync(file, 'utf8')) as Record<string, Kept>;
    const now = broughtIn();
    expect(Object.keys(now).length).toBeGreaterThan(30);
    expect(changedFrom(kept, now, FITS)).toEqual({ changed: 0, first: [] });
  });
});
