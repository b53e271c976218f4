import { describe, expect, it } from '@jest/globals';
import * as z from 'zod';
import { understood, writtenOver } from './kept.ts';

const stage = z.strictObject({ id: z.string(), name: z.string().max(8), hours: z.number().max(20) });
const shop = z.strictObject({
  light: z.enum(['day', 'night']),
  stages: z.array(stage).min(1),
  prices: z.strictObject({ cloth: z.record(z.enum(['e4', 'e6']), z.number()), hour: z.number() }),
  note: z.string().optional(),
});
const usual: z.infer<typeof shop> = {
  light: 'day',
  stages: [
    { id: 'shape', name: 'Shape', hours: 4 },
    { id: 'glass', name: 'Glass', hours: 3 },
  ],
  prices: { cloth: { e4: 3, e6: 4 }, hour: 22 },
};
const kept = {
  light: 'night' as const,
  stages: [
    { id: 'shape', name: 'Plane', hours: 5 },
    { id: 'own', name: 'Own', hours: 1 },
  ],
  prices: { cloth: { e4: 9, e6: 8 }, hour: 30 },
};

describe('stored data understood part by part', () => {
  it('is taken as it is when all of it can be read', () => {
    expect(understood(shop, kept, usual)).toEqual(kept);
  });

  it('loses nothing to a field it does not know, at any depth', () => {
    const newer = {
      ...kept,
      tide: 'high',
      stages: kept.stages.map((entry) => ({ ...entry, colour: 'red' })),
      prices: { ...kept.prices, currency: 'x' },
    };
    expect(understood(shop, newer, usual)).toEqual(kept);
  });

  it('has the usual in the place of one spoilt number, and only there', () => {
    const spoilt = { ...kept, light: 'dusk', prices: { cloth: { e4: 'dear', e6: 8 }, hour: 30 } };
    expect(understood(shop, spoilt, usual)).toEqual({
      ...kept,
      light: 'day',
      prices: { cloth: { e4: 3, e6: 8 }, hour: 30 },
    });
  });

  it('mends an entry of a list from the usual one of its id, and leaves out one that has none', () => {
    const stages = [
      { id: 'glass', name: 'Laminate', hours: 'many' },
      { id: 'own', name: 'a name too long for it', hours: 1 },
      'nothing',
    ];
    expect(understood(shop, { ...kept, stages }, usual).stages).toEqual([{ id: 'glass', name: 'Laminate', hours: 3 }]);
  });

  it('is as usual where a list would be shorter than it may be, and where nothing can be read', () => {
    expect(understood(shop, { ...kept, stages: ['x'] }, usual)).toEqual({ ...kept, stages: usual.stages });
    for (const junk of [undefined, null, 'x', 7, []]) expect(understood(shop, junk, usual)).toEqual(usual);
  });

  it('keeps what may be left out, when it is there', () => {
    expect(understood(shop, { ...kept, note: 'hello', extra: 1 }, usual).note).toBe('hello');
  });
});

describe('a change written over what is stored', () => {
  const stored = {
    light: 'dusk',
    tide: 'high',
    stages: [
      { id: 'shape', name: 'Plane', hours: 5, colour: 'red' },
      { id: 'own', name: 'a name too long for it', hours: 1 },
    ],
    prices: { cloth: { e4: 'dear', e6: 8 }, hour: 30 },
  };
  const before = understood(shop, stored, usual);

  it('is the stored data to the letter when nothing was changed', () => {
    expect(writtenOver(stored, before, structuredClone(before))).toEqual(stored);
  });

  it('puts in the one number that changed, beside all that was not understood', () => {
    const after = { ...before, prices: { ...before.prices, hour: 31 } };
    expect(writtenOver(stored, before, after)).toEqual({ ...stored, prices: { ...stored.prices, hour: 31 } });
  });

  it('changes one entry of a list, adds one and takes one out; the unreadable one stays', () => {
    const renamed = { ...before, stages: before.stages.map((entry) => ({ ...entry, name: 'Shave' })) };
    expect(writtenOver(stored, before, renamed)).toMatchObject({
      stages: [{ id: 'shape', name: 'Shave', hours: 5, colour: 'red' }, stored.stages[1]],
    });
    const fresh = { id: 'fins', name: 'Fins', hours: 1 };
    expect(writtenOver(stored, before, { ...before, stages: [fresh] })).toMatchObject({
      stages: [fresh, stored.stages[1]],
    });
  });

  it('changes, adds and takes out entries without an id, none of them twice; what is not known of one stays with it', () => {
    const weighed = (on: string, mass_kg: number) => ({ on, mass_kg });
    const [may, june, july] = [weighed('May', 76), weighed('June', 75), weighed('July', 74)];
    const lying = { weights: [{ ...may, tide: 'high' }, june] };
    const read = { weights: [may, june] };
    expect(writtenOver(lying, read, { weights: [may, june, july] })).toEqual({
      weights: [lying.weights[0], june, july],
    });
    expect(writtenOver(lying, read, { weights: [june] })).toEqual({ weights: [june] });
    expect(writtenOver(lying, read, { weights: [] })).toEqual({ weights: [] });
    // One that could not be read stays.
    const spoilt = { weights: [may, { on: 7 }, june] };
    expect(writtenOver(spoilt, read, { weights: [may, july] })).toEqual({ weights: [may, july, { on: 7 }] });
  });

  it('takes out what was taken out, and is the change itself where nothing was stored', () => {
    expect(writtenOver({ a: 1, b: 2, c: 3 }, { a: 1, b: 2 }, { a: 1 })).toEqual({ a: 1, c: 3 });
    expect(writtenOver(undefined, before, { x: 1 })).toEqual({ x: 1 });
  });
});
