import { expect, it } from '@jest/globals';
import { goldenSection } from './goldenSection.ts';

it('finds where a parabola and a corner are least, and an end where it only rises', () => {
  expect(goldenSection((x) => (x - 0.3) ** 2, 0, 1, 30)).toBeCloseTo(0.3, 5);
  expect(goldenSection((x) => Math.abs(x - 0.77), 0, 1, 40)).toBeCloseTo(0.77, 7);
  expect(goldenSection((x) => x, 2, 3, 40)).toBeCloseTo(2, 7);
});
