// What was typed into a form and not kept: there again for a day, as far as it is of the kind of what stands there.
import { beforeEach, describe, expect, it } from '@jest/globals';
import { draftOf, dropDraft, dropOldDrafts, keepDraft } from './drafts.ts';

const NOW_ms = Date.parse('2026-11-25T10:00:00Z');
const DAY_ms = 86_400_000;
const nothing = { words: '', mass_kg: undefined as number | undefined, photos: [] as string[] };

beforeEach(() => window.localStorage.clear());

describe('a draft', () => {
  it('is there again for a day and no longer, of its own form alone', () => {
    keepDraft('ride:a', { ...nothing, words: 'held through the flats' }, nothing, NOW_ms);
    expect(draftOf('ride:a', nothing, NOW_ms + DAY_ms - 1).words).toBe('held through the flats');
    expect(draftOf('ride:a', nothing, NOW_ms + DAY_ms)).toEqual(nothing);
    expect(draftOf('ride:b', nothing, NOW_ms)).toEqual(nothing);
  });

  it('is let go when it is kept, when nothing is typed any more, and when its day is over', () => {
    keepDraft('a', 'typed', '', NOW_ms);
    dropDraft('a');
    keepDraft('b', 'typed', '', NOW_ms);
    keepDraft('b', '', '', NOW_ms);
    expect(window.localStorage).toHaveLength(0);
    keepDraft('c', 'typed', '', NOW_ms - DAY_ms);
    keepDraft('d', 'typed', '', NOW_ms);
    window.localStorage.setItem('june-tide:left', '[]');
    dropOldDrafts(NOW_ms);
    expect(Object.keys(window.localStorage).sort()).toEqual(['june-tide:draft:d', 'june-tide:left']);
  });

  it('of another kind is passed over field by field, and what is no draft altogether', () => {
    keepDraft<object>('ride', { words: 7, mass_kg: 76, photos: 'x', tide: 'high' }, nothing, NOW_ms);
    expect(draftOf('ride', nothing, NOW_ms)).toEqual({ words: '', mass_kg: 76, photos: [] });
    expect(draftOf('ride', '', NOW_ms)).toBe('');
    for (const spoilt of ['{', 'null', '7', '[]', '{"at":"soon","values":{"words":"x"}}']) {
      window.localStorage.setItem('june-tide:draft:ride', spoilt);
      expect(draftOf('ride', nothing, NOW_ms)).toEqual(nothing);
    }
  });
});
