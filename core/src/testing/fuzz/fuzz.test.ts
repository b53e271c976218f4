import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { anyBoard } from '../anyBoard.ts';
import { modelNamed } from '../../models/models.ts';
import { boardFrom } from '../../shape/issues.ts';
import { runs, thinned } from '../runs.ts';
import { boardsAtEdges } from './edges.ts';
import { boardTroubles, troubleIn } from './everything.ts';
import { byteReaders, textReaders, valueReaders } from './readers.ts';
import { fuzzed, longTexts, longTried, wordsTrouble } from './fuzzed.ts';

const SEED = 20261128;

describe('what comes from outside', () => {
  it('good, is taken by every reader', () => {
    for (const { name, good, read } of textReaders()) {
      for (const input of good) if (!/length|question/.test(name)) expect([name, read(input)]).toEqual([name, []]);
    }
    for (const { name, good, read } of valueReaders()) {
      for (const input of good) expect([name, read(input)]).toEqual([name, []]);
    }
    for (const { name, good, read } of byteReaders()) {
      for (const input of good) if (!/back-up/.test(name)) expect([name, read(input)]).toEqual([name, []]);
    }
  });

  it('damaged in any way, is taken or refused in a person’s words, and never throws', () => {
    const told = fuzzed(runs(600), SEED);
    const faults = told.flatMap((each) => each.faults).map(({ reader, why }) => `${reader}: ${why}`);
    expect(faults.slice(0, 5)).toEqual([]);
    // Damage that nobody minds would show nothing.
    for (const { reader, inputs, refused } of told)
      if (!/settings/.test(reader)) expect([reader, refused > inputs / 20]).toEqual([reader, true]);
  });

  it('far too long, is refused in words or read', () => {
    for (const [what, text] of longTexts(2)) {
      const faults = longTried(text, () => 0).flatMap(({ reader, why }) =>
        why === undefined ? [] : [`${what}, ${reader}: ${why}`],
      );
      expect(faults).toEqual([]);
    }
  });
});

describe('any legal board', () => {
  it('goes through everything the interface asks of core: nothing is thrown, no number is none', () => {
    const boards = fc.sample(anyBoard, { seed: SEED, numRuns: runs(5) });
    boards.forEach((board, at) => expect(boardTroubles(board, 40 * at + at + 1)).toEqual([]));
  });
  it('as bare as it can be goes through it as well, and at the edge of a number', () => {
    const edges = boardsAtEdges(modelNamed('North Ledge')!);
    expect(edges.length).toBeGreaterThan(100);
    for (const board of edges) expect(boardFrom(board).ok).toBe(true);
    expect(edges[1].rocker).toMatchObject({ noseLift_mm: 0, marks: [{ value_mm: 0 }, { value_mm: 0 }] });
    expect(edges[1].foil.marks).toEqual([]);
    [edges[1], ...thinned(edges.slice(6), 50)].forEach((board, at) => expect(boardTroubles(board, at + 1)).toEqual([]));
  });
  it('what is no number in a result is told', () => {
    expect(troubleIn({ a: [{ b: Number.NaN }] }, 'x')).toBe('x.a.0.b is NaN');
    expect(troubleIn({ a: 'it is undefined wide' }, 'x')).toMatch(/undefined/);
    expect(troubleIn(Float64Array.of(1, Infinity), 'x')).toBe('x[1] is Infinity');
    expect(troubleIn({ a: [1, 'two', undefined, null, Float32Array.of(3)] }, 'x')).toBeUndefined();
  });
});

describe('words for a person', () => {
  it.each([
    ['it is NaN wide', false],
    ['must be a number, received undefined', false],
    ['“undefined” is no length', true],
    ['[object Object] is not known', false],
    ['', false],
    [undefined, false],
    ['x'.repeat(600), false],
    ['Nothing of it can be read.', true],
  ])('%p: %p', (words, good) => expect(wordsTrouble(words) === undefined).toBe(good));
});
