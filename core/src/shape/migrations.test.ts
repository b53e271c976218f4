import { describe, expect, it } from '@jest/globals';
import { BOARD_MIGRATIONS, type Migration, migrated } from './migrations.ts';
import { BOARD_VERSION } from '../document/schema.ts';

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

describe('version 1 to 2: tips and deck', () => {
  const old = {
    version: 1,
    length_mm: 1800,
    notes: 'Mine.',
    outline: {
      widePoint_mm: 20,
      nose: { kind: 'pointed', curve_rad: 0.7 },
      tail: { kind: 'thumb', block_mm: 150, depth_mm: 90 },
      marks: [
        { from: 'tail', at_mm: 304.8, value_mm: 370 },
        { from: 'tail', at_mm: 40, value_mm: 145.9 },
        { from: 'nose', at_mm: 1750, value_mm: 140 },
        { from: 'centre', at_mm: -860, value_mm: 141 },
        { from: 'wide', at_mm: -880, value_mm: 142 },
        { from: 'nose', at_mm: 304.8, value_mm: 300 },
      ],
    },
    deck: {
      crown: [],
      features: [
        { kind: 'flat', width: 0.4 },
        { kind: 'beak', length_mm: 220, thickness_mm: 9 },
        { kind: 'sDeck', from: 'centre', at_mm: 100, length_mm: 700, drop_mm: 3 },
        { kind: 'step', length_mm: 500, inset_mm: 50, drop_mm: 6, fade_mm: 200 },
      ],
    },
  };
  const now = migrated(old, BOARD_MIGRATIONS, 2) as typeof old;

  it('leaves tips needles and gives deck features the numbers that were fixed', () => {
    expect(now.outline.nose).toEqual({ kind: 'pointed', curve_rad: 0.7, tip_mm: 0 });
    expect(now.outline.tail).toEqual({ kind: 'thumb', block_mm: 150, depth_mm: 90, tip_mm: 0 });
    expect(now.deck.features).toEqual([
      { kind: 'flat', width: 0.4, from: 'centre', at_mm: 0, length_mm: 1840, fade_mm: 20 },
      { kind: 'beak', length_mm: 220, thickness_mm: 9, fade_mm: 220, roll: 0.8 },
      { kind: 'sDeck', from: 'centre', at_mm: 100, length_mm: 700, drop_mm: 3, fade_mm: 350 },
      { kind: 'step', length_mm: 500, inset_mm: 50, drop_mm: 6, fade_mm: 200 },
    ]);
  });

  it('takes off the marks within the corners of the tail, whatever they are tied to, and says which in the notes', () => {
    expect(now.outline.marks.map(({ value_mm }) => value_mm)).toEqual([370, 300]);
    expect(now.notes).toContain('Mine.');
    expect(now.notes).toContain('145.9 mm wide 40 mm from the tail');
    expect(now.notes).toContain('140 mm wide 1750 mm from the nose');
    expect(old.outline.marks).toHaveLength(6);
  });

  it('leaves what is no board to the schema', () => {
    for (const data of [
      { version: 1 },
      { version: 1, outline: 7, deck: [] },
      { version: 1, outline: { marks: 'x' } },
    ]) {
      expect(migrated(data, BOARD_MIGRATIONS, 2)).toMatchObject({ version: 2 });
    }
  });
});
