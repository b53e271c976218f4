import { describe, expect, it } from '@jest/globals';
import { shapeOf } from '../shape/shape.ts';
import { modelNamed } from '../models/models.ts';
import { costSheet, roundedUp } from './cost.ts';
import { laminated, USUAL_SCHEDULE } from './glass.ts';
import { type Prices, USUAL_WORKSHOP, workshopFrom, workshopSchema } from './workshop.ts';

const shape = shapeOf(modelNamed('Slack Water')!);
const made = laminated(shape, 'pu', 4, USUAL_SCHEDULE);
if (!made.ok) throw new Error(made.reason);
const { laminate } = made;
const prices: Prices = { ...USUAL_WORKSHOP.prices, hour: 20, margin: 0.5, roundTo: 10 };

describe('a cost sheet', () => {
  it('is the sum of its lines, and the price that with the margin, rounded up', () => {
    const stages = [
      { id: 'a', name: 'Shape', hands_h: 4, wait_days: 0 },
      { id: 'b', name: 'Cure', hands_h: 0, wait_days: 2 },
    ];
    const sheet = costSheet(shape, { name: "6'2", price: 100 }, 'polyester', laminate, stages, prices);
    const sum = sheet.lines.reduce((all, { cost }) => all + cost, 0);
    expect(sheet.cost).toBeCloseTo(sum, 9);
    expect(sheet.materials + sheet.hours).toBeCloseTo(sheet.cost, 9);
    expect(sheet.hours).toBe(80);
    expect(sheet.lines.map(({ name }) => name)).not.toContain('Cure');
    expect(sheet.price % 10).toBe(0);
    expect(sheet.price).toBeGreaterThanOrEqual(1.5 * sheet.cost);
    expect(sheet.price).toBeLessThan(1.5 * sheet.cost + 10);
  });

  it('has cloth by the metre that is cut and resin by the kilo that is mixed', () => {
    const sheet = costSheet(shape, undefined, 'epoxy', laminate, [], prices);
    const cut_m = laminate.cuts.reduce((all, { length_mm }) => all + length_mm, 0) / 1000;
    const mix_kg = laminate.batches.reduce((all, { mix_g }) => all + mix_g, 0) / 1000;
    const line = (name: RegExp) => sheet.lines.find((entry) => name.test(entry.name))!;
    expect(line(/4 oz/).cost).toBeCloseTo(cut_m * prices.cloth_m.e4, 9);
    expect(line(/Epoxy/).cost).toBeCloseTo(mix_kg * prices.resin_kg.epoxy, 9);
    expect(line(/Blank, usual/).cost).toBe(prices.blank);
    expect(line(/boxes/).amount).toBe('3');
  });

  it('rounds up to a step, and a whole step to itself', () => {
    expect(roundedUp(431, 10)).toBe(440);
    expect(roundedUp(440, 10)).toBe(440);
    expect(roundedUp(0.1 + 0.2, 0.1)).toBeCloseTo(0.3, 12);
    expect(() => roundedUp(5, 0)).toThrow(RangeError);
  });
});

describe('a stored workshop', () => {
  it('is read part by part: what is spoilt is usual again, the rest kept', () => {
    const stored = { ...USUAL_WORKSHOP, people: 3, weekdays: 'every day', prices: { ...prices, hour: 31 } };
    const read = workshopFrom(stored);
    expect(read.people).toBe(3);
    expect(read.prices.hour).toBe(31);
    expect(read.weekdays).toEqual(USUAL_WORKSHOP.weekdays);
    for (const junk of [undefined, null, 7, 'x', []])
      expect(workshopSchema.safeParse(workshopFrom(junk)).success).toBe(true);
  });
});
