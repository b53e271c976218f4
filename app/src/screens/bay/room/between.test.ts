import { describe, expect, it } from '@jest/globals';
import { betweenPlaces } from './between.ts';

describe('two places on a board', () => {
  it('are as far apart as the corners of a box, whichever comes first', () => {
    // 2, 3, 6 and 7: a box whose diagonal is whole.
    const there = betweenPlaces([100, -20, 5], [120, 10, 65]);
    expect(there).toEqual({ straight_mm: 70, along_mm: 20, across_mm: 30, up_mm: 60 });
    expect(betweenPlaces([120, 10, 65], [100, -20, 5])).toEqual(there);
  });
});
