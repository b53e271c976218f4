import { describe, expect, it } from '@jest/globals';
import { markTroubles } from './feasibility.ts';

const at = (x_mm: number, value_mm: number) => ({ x_mm, value_mm });

describe('markTroubles', () => {
  it('finds nothing wrong with points of a parabola', () => {
    const marks = [0, 300, 900, 1500, 1800].map((x) => at(x, 1e-4 * (x - 900) ** 2));
    expect(markTroubles(marks, 'up', 900)).toEqual([]);
  });

  it('names the mark that lies inside the line of its neighbours, and by how much', () => {
    const [trouble, ...more] = markTroubles([at(0, 0), at(100, 40), at(200, 100)], 'in');
    expect(more).toEqual([]);
    expect(trouble).toMatchObject({ kind: 'hollow', x_mm: 100, from_mm: 0, to_mm: 200 });
    expect(trouble.by_mm).toBeCloseTo(10, 9);
  });

  it('turns the judgement over for a rocker', () => {
    expect(markTroubles([at(0, 0), at(100, 40), at(200, 100)], 'up')).toEqual([]);
    expect(markTroubles([at(0, 0), at(100, 60), at(200, 100)], 'up')).toMatchObject([{ kind: 'hollow' }]);
  });

  it('calls marks on nearly one line tight', () => {
    const [trouble] = markTroubles([at(0, 0), at(100, 50.5), at(200, 100)], 'in');
    expect(trouble.kind).toBe('tight');
    expect(trouble.by_mm).toBeGreaterThan(0);
  });

  it('leaves the level mark itself alone', () => {
    expect(markTroubles([at(0, 100), at(900, 0), at(1800, 100)], 'up', 900)).toEqual([]);
  });
});
