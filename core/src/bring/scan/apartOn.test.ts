import { describe, expect, it } from '@jest/globals';
import { apartOn } from './apartOn.ts';

const told = (x_mm: number, y_mm: number, z_mm: number, off_mm: number) => ({ x_mm, y_mm, z_mm, off_mm });

describe('how far a scan is off places of a board', () => {
  it('is what is told where it is told, and half way between two the mean of them', () => {
    const off = apartOn([0, 0, 0, 20, 0, 0, 40, 0, 0], [told(0, 0, 0, 2), told(40, 0, 0, -1)]);
    expect(off[1]).toBeCloseTo(0.5, 6);
    // 40 mm away a point weighs exp(−40²/(2·18²)) = 0.085 of one that is there.
    const far = Math.exp(-1600 / 648);
    expect(off[0]).toBeCloseTo((2 - far) / (1 + far), 5);
    expect(off[2]).toBeCloseTo((2 * far - 1) / (1 + far), 5);
  });

  it('is not told beyond 45 mm, across a cell or within it, on either side of the origin', () => {
    const off = apartOn([44, 0, 0, 46, 0, 0, -44, 0, 0, 0, -44.9, 0, 0, 0, -46, 0, 0, 44.5], [told(0, 0, 0, 1.5)]);
    expect([...off].map((each) => (Number.isNaN(each) ? 'none' : each))).toEqual([1.5, 'none', 1.5, 1.5, 'none', 1.5]);
    expect([...apartOn([1, 2, 3], [])]).toEqual([Number.NaN]);
  });
});
