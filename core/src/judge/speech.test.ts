import { describe, expect, it } from '@jest/globals';
import { HEARD_ONCE, HELD } from '../testing/heldPhrases.ts';
import { COMPLAINTS, nearestComplaints } from './complaints.ts';
import { heardIn, PHRASES_KNOWN } from './speech.ts';

const first = (said: string) => heardIn(said)[0]?.complaint ?? '';

describe('what riders say', () => {
  it('is known by more than 250 phrases over 28 complaints', () => {
    expect(PHRASES_KNOWN).toBeGreaterThan(250);
    expect(COMPLAINTS.length).toBe(28);
  });

  it.each([
    ['the vocabulary was mended with', HEARD_ONCE, 0.97],
    ['it was never changed for', HELD, 0.9],
  ] as const)('is heard right in phrases %s', (_name, phrases, least) => {
    const right = phrases.filter(([said, complaint]) => first(said) === complaint).length;
    expect(right / phrases.length).toBeGreaterThanOrEqual(least);
    // What it says is a complaint is that one, and what is one is heard: precision and recall over the complaints alone.
    const said = phrases.filter(([words]) => first(words) !== '');
    const complained = phrases.filter(([, complaint]) => complaint !== '');
    const precision = said.filter(([words, complaint]) => first(words) === complaint).length / said.length;
    const recall = complained.filter(([words, complaint]) => first(words) === complaint).length / complained.length;
    expect(precision).toBeGreaterThanOrEqual(0.9);
    expect(recall).toBeGreaterThanOrEqual(0.9);
  });

  it('is several complaints where it is, the surest first, and a no in one part denies nothing in another', () => {
    expect(heardIn('it does not catch, but it pearls').map(({ complaint }) => complaint)).toEqual(['pearls']);
    const both = heardIn('stiff in turns. slaps in chop').map(({ complaint }) => complaint);
    expect(both).toEqual(expect.arrayContaining(['stiff', 'chatters']));
  });

  it('is said not to be understood where it is not, with the three nearest to choose from', () => {
    expect(heardIn('the colour has faded')).toEqual([]);
    const near = nearestComplaints('it cattches');
    expect(near).toHaveLength(3);
    expect(near.map(({ id }) => id)).toContain('nose-catches');
  });
});
