import { thinned } from '../testing/runs.ts';
import { describe, expect, it } from '@jest/globals';
import { allMeasures } from '../measure/allMeasures.ts';
import { measure } from '../measure/measure.ts';
import { stationTable } from '../measure/stationTable.ts';
import { modelNamed } from '../models/models.ts';
import { meshOf } from '../solid/mesh.ts';
import { boardFrom } from './issues.ts';
import { shapeOf } from './shape.ts';
import { curveTroubles } from './troubles.ts';

/** The paths of every number in a document. */
function numberPaths(value: unknown, path: (string | number)[] = []): (string | number)[][] {
  if (typeof value === 'number') return [path];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, entry]) =>
    numberPaths(entry, [...path, Array.isArray(value) ? Number(key) : key]),
  );
}

function withValue(root: unknown, path: readonly (string | number)[], value: unknown): unknown {
  const copy = structuredClone(root);
  let at = copy as Record<string | number, unknown>;
  for (const key of path.slice(0, -1)) at = at[key] as Record<string | number, unknown>;
  at[path[path.length - 1]] = value;
  return copy;
}

/** Either issues with a name and a place, or a board all of whose numbers are numbers. */
function verdict(data: unknown, deep: boolean): string | undefined {
  const opened = boardFrom(data);
  if (!opened.ok) {
    const bad = opened.issues.find((issue) => issue.code === '' || issue.words === '');
    return opened.issues.length === 0 || bad ? 'an issue without a name' : undefined;
  }
  const shape = shapeOf(opened.board);
  if (!Object.values(measure(shape)).every(Number.isFinite)) return 'a measure is not a number';
  if (
    !stationTable(shape).every((row) => Object.values(row).every((v) => typeof v === 'string' || Number.isFinite(v)))
  ) {
    return 'a station is not a number';
  }
  curveTroubles(shape);
  if (!deep) return undefined;
  if (!meshOf(shape, { stations: 60, ring: 48 }).positions.every(Number.isFinite)) return 'a point is not a number';
  if (!Object.values(allMeasures(shape)).every((v) => !Number.isNaN(v))) return 'a measure is not a number';
  return undefined;
}

describe('bad input', () => {
  for (const name of ['Two Lanterns', 'Broad Acre']) {
    const board = modelNamed(name)!;

    it(`${name}: every number at nothing, NaN, infinite, negative, huge, tiny: a named issue or a sound board`, () => {
      const faults: string[] = [];
      for (const path of thinned(numberPaths(board))) {
        for (const value of [NaN, Infinity, -Infinity, 0, -1, -1e9, 1e9, 1e-9, 5e-324, Number.MAX_VALUE, '12', null]) {
          let found: string | undefined;
          try {
            found = verdict(withValue(board, path, value), false);
          } catch (error) {
            found = String(error);
          }
          if (found !== undefined) faults.push(`${path.join('.')} = ${String(value)}: ${found}`);
        }
      }
      expect(faults).toEqual([]);
    });

    it(`${name}: every number at the ends of its range as the schema has it`, () => {
      const faults: string[] = [];
      for (const path of thinned(numberPaths(board))) {
        for (const value of [0.3, 4, 90, 400, 4000]) {
          for (const sign of [1, -1]) {
            let found: string | undefined;
            try {
              found = verdict(withValue(board, path, sign * value), value === 90 && sign > 0);
            } catch (error) {
              found = String(error);
            }
            if (found !== undefined) faults.push(`${path.join('.')} = ${sign * value}: ${found}`);
          }
        }
      }
      expect(faults).toEqual([]);
    }, 120_000);
  }

  it('every pair of marks swapped, on every list of marks', () => {
    const board = modelNamed('Slack Water')!;
    const more = {
      ...board,
      outline: {
        ...board.outline,
        marks: [...board.outline.marks, { from: 'tail' as const, at_mm: 610, value_mm: 450 }],
      },
    };
    const faults: string[] = [];
    for (const list of ['outline', 'rocker', 'foil'] as const) {
      const { marks } = more[list];
      for (let i = 0; i < marks.length; i++) {
        for (let j = 0; j < i; j++) {
          for (const key of ['value_mm', 'at_mm', 'from'] as const) {
            const swapped = marks.map((m, k) =>
              k === i ? { ...m, [key]: marks[j][key] } : k === j ? { ...m, [key]: marks[i][key] } : m,
            );
            const found = verdict({ ...more, [list]: { ...more[list], marks: swapped } }, true);
            if (found !== undefined) faults.push(`${list} ${i} and ${j}, ${key}: ${found}`);
          }
        }
      }
    }
    expect(faults).toEqual([]);
  });

  it('says every issue at once', () => {
    const board = modelNamed('Slack Water')!;
    const opened = boardFrom({
      ...board,
      outline: { ...board.outline, widePoint_mm: 900, tail: { ...board.outline.tail, block_mm: 599 } },
    });
    expect(opened.ok ? [] : opened.issues.map((i) => i.code)).toEqual(
      expect.arrayContaining(['widePointOffBoard', 'blockTooWide']),
    );
  });
});
