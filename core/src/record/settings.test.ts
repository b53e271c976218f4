import { describe, expect, it } from '@jest/globals';
import { settingsFrom, settingsSchema, USUAL_SETTINGS } from './settings.ts';

describe('the settings of a shop', () => {
  it('are usual by their own schema', () => {
    expect(settingsSchema.safeParse(USUAL_SETTINGS).success).toBe(true);
  });

  it('stand after any one of their parts is spoilt, the others as they were kept', () => {
    const own = { ...USUAL_SETTINGS, lengthStyle: 'cm' as const, light: 'night' as const, roll_mm: 900 };
    for (const key of Object.keys(own) as (keyof typeof own)[]) {
      for (const junk of ['spoilt', null, 7, { a: 1 }, []]) {
        const read = settingsFrom({ ...own, [key]: junk });
        expect(settingsSchema.safeParse(read).success).toBe(true);
        expect(read).toEqual({ ...own, [key]: USUAL_SETTINGS[key] });
      }
    }
  });

  it('keep stages, prices and list when one of them has a field of a newer app', () => {
    const { workshop } = USUAL_SETTINGS;
    const own = {
      ...workshop,
      people: 5,
      stages: workshop.stages.map((stage) => ({ ...stage, hands_h: 7 })),
      prices: { ...workshop.prices, hour: 44 },
      priceList: [{ id: 'a', name: 'Gloss', price: 60 }],
    };
    const newer = {
      ...own,
      stages: own.stages.map((stage) => ({ ...stage, bench: 2 })),
      prices: { ...own.prices, tax: 0.2 },
      priceList: own.priceList.map((line) => ({ ...line, until: '2027-01-01' })),
    };
    expect(settingsFrom({ ...USUAL_SETTINGS, workshop: newer }).workshop).toEqual(own);
  });

  it('lose one price that is too high, not the list or the sheet', () => {
    const { workshop } = USUAL_SETTINGS;
    const stored = {
      ...workshop,
      prices: { ...workshop.prices, hour: 44, roundTo: 5000 },
      priceList: [
        { id: 'a', name: 'Gloss', price: 60 },
        { id: 'b', name: 'x'.repeat(121), price: 60 },
      ],
    };
    const read = settingsFrom({ ...USUAL_SETTINGS, workshop: stored }).workshop;
    expect(read.prices).toEqual({ ...workshop.prices, hour: 44 });
    expect(read.priceList).toEqual([{ id: 'a', name: 'Gloss', price: 60 }]);
  });
});
