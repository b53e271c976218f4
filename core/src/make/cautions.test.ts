import { describe, expect, it } from '@jest/globals';
import { CAUTIONS, cautionWords, foamCautions, glassCautions, SHEETS_FIRST, stageCautions } from './cautions.ts';
import { USUAL_STAGES } from './workshop.ts';

describe('cautions', () => {
  it('stand at every stage with foam, resin or dust, and at no other', () => {
    const none = USUAL_STAGES.filter(({ id }) => stageCautions(id, 'pu', 'polyester').length === 0);
    expect(none.map(({ id }) => id)).toEqual(['brief', 'rideAway']);
    expect(stageCautions('painting of our own', 'pu', 'polyester')).toEqual([]);
  });

  it('name the resin that is used and the wire only where there is EPS', () => {
    expect(glassCautions('epoxy')).toContain('epoxy');
    expect(glassCautions('epoxy')).not.toContain('polyester');
    expect(foamCautions('pu')).not.toContain('hotWire');
    expect(foamCautions('eps1_5')).toContain('hotWire');
    expect(stageCautions('finish', 'pu', 'epoxy')).toContain('epoxy');
  });

  it('say what to wear or do, and that data sheets come first', () => {
    for (const words of Object.values(CAUTIONS)) {
      expect(words).toMatch(/mask|gloves|eyes|goggles|flame/);
      expect(words.endsWith('.')).toBe(true);
    }
    expect(cautionWords(['epoxy', 'acetone']).endsWith(SHEETS_FIRST)).toBe(true);
  });
});
