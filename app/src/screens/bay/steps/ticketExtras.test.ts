import { describe, expect, it } from '@jest/globals';
import { USUAL_SCHEDULE, USUAL_WORKSHOP, usualShelf } from '@june-tide/core/make';
import { modelNamed } from '@june-tide/core/models';
import type { BoardRecord } from '@june-tide/core/record';
import { dayWords } from '../../../parts/days.ts';
import { ticketExtras } from './ticketExtras.ts';

const house = { name: 'The shed', address: 'Skarn Point' };
const shelf = usualShelf();
const plain: BoardRecord = {
  id: 'b',
  number: 118,
  board: modelNamed('Slack Water')!,
  riderId: null,
  rides: [],
  createdAt: '2026-01-01T00:00:00.000Z',
  updatedAt: '2026-01-01T00:00:00.000Z',
};

describe('what the ticket says of an order', () => {
  it('is only its id and number while nothing is settled', () => {
    expect(ticketExtras(plain, shelf, USUAL_WORKSHOP, house)).toEqual({ shop: house, id: 'b', number: 118 });
  });

  it('is blank, glass, weight, colours and day as they are settled', () => {
    const waves = { size: 'overhead', power: 'medium', steepness: 'medium', chop: 'some', rubber: 'thin' } as const;
    const settled: BoardRecord = {
      ...plain,
      blankId: 'shelf-6-8-pu',
      glass: USUAL_SCHEDULE,
      colours: 'clear',
      brief: { waves, purpose: '', mustHaves: '', dueOn: '2026-12-11' },
    };
    const extras = ticketExtras({ ...settled, makersNo: 41 }, shelf, USUAL_WORKSHOP, house);
    expect(extras).toMatchObject({
      blank: "6'8 standard, PU",
      glass: '4+4/4 oz, polyester, sanded',
      colours: 'clear',
      due: dayWords('2026-12-11'),
    });
    expect(extras.weight).toMatch(/^about 2\.\d\d kg$/);
  });

  it('has no weight for glass that cannot be laid', () => {
    const eps = shelf.find(({ foam }) => foam === 'eps2')!;
    expect(
      ticketExtras({ ...plain, blankId: eps.id, glass: USUAL_SCHEDULE }, shelf, USUAL_WORKSHOP, house).weight,
    ).toBeUndefined();
  });
});
