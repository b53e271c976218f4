import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
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

  /** How much is heard right: first suspects, and over the complaints alone what is said to be one and is, and what is one and is heard. */
  function heardRight(phrases: typeof HELD): { right: number; precision: number; recall: number } {
    const good = ([words, complaint]: (typeof HELD)[number]) => first(words) === complaint;
    const said = phrases.filter(([words]) => first(words) !== '');
    const complained = phrases.filter(([, complaint]) => complaint !== '');
    const share = (of: typeof HELD) => Math.round((100 * of.filter(good).length) / of.length);
    return { right: share(phrases), precision: share(said), recall: share(complained) };
  }

  it('is heard right in the phrases the vocabulary was mended with', () => {
    const { right, precision, recall } = heardRight(HEARD_ONCE);
    expect(Math.min(right, precision, recall)).toBeGreaterThanOrEqual(97);
  });

  it('is heard right in nine of ten of a hundred it was never changed for, as docs/testing.md has it', () => {
    expect(HELD).toHaveLength(100);
    const { right, precision, recall } = heardRight(HELD);
    expect(right).toBeGreaterThanOrEqual(90);
    expect(precision).toBeGreaterThanOrEqual(90);
    const page = readFileSync(fileURLToPath(new URL('../../../docs/testing.md', import.meta.url)), 'utf8');
    expect(page.replace(/\s+/g, ' ')).toContain(
      `first suspect right ${right} %, precision ${precision} %, recall ${recall} %`,
    );
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
