import { describe, expect, it } from '@jest/globals';
import { BOARD_MIGRATIONS, type Migration, migrated } from './migrations.ts';
import { BOARD_VERSION } from './schema.ts';

const steps: readonly Migration[] = [
  { from: 1, name: 'width has a unit', apply: ({ width, ...rest }) => ({ ...rest, version: 2, width_mm: width }) },
  { from: 2, name: 'half widths', apply: (data) => ({ ...data, version: 3, half_mm: Number(data.width_mm) / 2 }) },
];

describe('old data', () => {
  it('is brought up one named step after the other, and is itself left alone', () => {
    const old = { version: 1, width: 500 };
    expect(migrated(old, steps, 3)).toEqual({ version: 3, width_mm: 500, half_mm: 250 });
    expect(old).toEqual({ version: 1, width: 500 });
    expect(migrated({ version: 2, width_mm: 4 }, steps, 3)).toEqual({ version: 3, width_mm: 4, half_mm: 2 });
  });

  it('that is none comes back as it is, newer data too', () => {
    for (const data of [undefined, null, 7, 'x', [], {}, { version: 'one' }, { version: 0.5 }, { version: 9, a: 1 }]) {
      expect(migrated(data, steps, 3)).toBe(data);
    }
  });

  it('without its step, or with one that leads astray, is a fault of the program', () => {
    expect(() => migrated({ version: 1 }, steps.slice(1), 3)).toThrow('no step from version 1');
    const astray = [{ ...steps[0], apply: () => ({ version: 5 }) }];
    expect(() => migrated({ version: 1 }, astray, 3)).toThrow('“width has a unit” leads from 1 to 5');
  });
});

describe('the steps of the board document', () => {
  it('lead from version 1 to today’s, each to the next', () => {
    expect(BOARD_MIGRATIONS.map(({ from }) => from)).toEqual(
      Array.from({ length: BOARD_VERSION - 1 }, (_, i) => i + 1),
    );
  });
});
