import { describe, expect, it } from '@jest/globals';
import { modelNamed } from '../models/models.ts';
import { boardFrom } from '../shape/issues.ts';
import { nameOf } from './naming.ts';

describe('a name', () => {
  it.each(['Slack Water', 'é', '波', '7', '-', ' x ', '🏄'])('%p is one', (name) => {
    expect(nameOf(20).safeParse(name).success).toBe(true);
  });
  it.each([
    ['nothing', ''],
    ['blanks', '  \u00a0\u2003'],
    ['letters without width', '\u200b\u200d\u2060'],
    ['a soft hyphen and a mark of order', '\u00ad\ufeff'],
    ['letters that steer', '\u0007\u202e'],
    ['too much', 'x'.repeat(21)],
  ])('%s is none', (_what, name) => expect(nameOf(20).safeParse(name).success).toBe(false));

  it('is asked of a board in words', () => {
    const read = boardFrom({ ...modelNamed('Kettle')!, name: '\u200b' });
    expect(read.ok ? [] : read.issues.map(({ path, words }) => `${path} ${words}`)).toEqual([
      'name must have a letter that is seen',
    ]);
  });
});
