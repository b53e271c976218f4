import { describe, expect, it } from '@jest/globals';
import { runs } from '../runs.ts';
import { byteReaders, textReaders, valueReaders } from './readers.ts';
import { fuzzed, longTexts, longTried, wordsTrouble } from './fuzzed.ts';

const SEED = 20261128;

describe('what comes from outside', () => {
  it('good, is taken by every reader', () => {
    for (const { name, good, read } of textReaders()) {
      for (const input of good) if (!/length|question/.test(name)) expect([name, read(input)]).toEqual([name, []]);
    }
    for (const { name, good, read } of valueReaders()) {
      for (const input of good) if (!/tape/.test(name)) expect([name, read(input)]).toEqual([name, []]);
    }
    for (const { name, good, read } of byteReaders()) {
      for (const input of good) if (!/back-up/.test(name)) expect([name, read(input)]).toEqual([name, []]);
    }
  });

  it('damaged in any way, is taken or refused in a person’s words, and never throws', () => {
    const told = fuzzed(runs(3000), SEED);
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
