import { describe, expect, it } from '@jest/globals';
import { modelNamed } from '../models/models.ts';
import { measureOf, MEASURE_KEYS } from '../measure/catalogue.ts';
import { Facts } from '../measure/facts.ts';
import { shapeOf } from '../shape/shape.ts';
import { INCH_mm } from '../units/length.ts';
import { USUAL_SCHOOLS } from '../rider/schools.ts';
import type { Rider, Waves } from '../rider/rider.ts';
import { caseOf } from '../testing/cases.ts';
import { RIDERS as PEOPLE, WAVES } from '../testing/cases.ts';
import type { Case } from './case.ts';
import {
  either,
  families,
  lineWords,
  measured,
  not,
  numberWords,
  reached,
  RIDERS,
  SEAS,
  setups,
  tails,
  usual,
} from './line.ts';
import { rule } from './rule.ts';

const slack = modelNamed('Slack Water')!;
const c = caseOf(slack, {});
const inch = 25.4;

describe('a number and its line', () => {
  const width = c.facts.m.width_mm;
  it.each([
    ['over', width, false],
    ['over', width - 1e-6, true],
    ['over', width + 1e-6, false],
    ['under', width, false],
    ['under', width + 1e-6, true],
    ['under', width - 1e-6, false],
    ['from', width, true],
    ['from', width + 1e-6, false],
  ] as const)('the width %s a line at %f mm: %s', (side, line, past) => {
    expect(reached(c, undefined, 'width_mm', side, line)).toEqual(past ? { value: width, line } : undefined);
  });

  it('takes an end of the usual range, so far into it, so much of it, so much beside it', () => {
    const { low, high } = usual(c, 'tailShare');
    const line = (entry: Parameters<typeof reached>[4]) => reached(c, undefined, 'tailShare', 'over', entry)?.line;
    expect(line({ usual: 'low' })).toBe(low);
    expect(line({ usual: 'low', into: 0.25 })).toBeCloseTo(low + (high - low) / 4, 12);
    expect(line({ usual: 'low', times: 0.9 })).toBeCloseTo(0.9 * low, 12);
    expect(line({ usual: 'low', plus: -0.05 })).toBeCloseTo(low - 0.05, 12);
    const under = (entry: Parameters<typeof reached>[4]) => reached(c, undefined, 'tailShare', 'under', entry)?.line;
    expect(under({ usual: 'high' })).toBe(high);
    expect(under({ usual: 'high', into: 0.1 })).toBeCloseTo(high - (high - low) / 10, 12);
  });

  it('is refused where a number has no usual range', () => {
    const own = { words: 'one', unit: '', read: () => 1 } as const;
    expect(() => reached(c, undefined, own, 'over', { usual: 'low' })).toThrow(/no usual range|has a usual range/);
  });
});

describe('the usual range', () => {
  const wide = { ...slack, outline: { ...slack.outline, width_mm: slack.outline.width_mm + 60 } };
  const alone = usual(c, 'width_mm');

  it('is the trade’s for the kind, the length and the rider, and a board laid over changes nothing of it', () => {
    // Performance shortboards of 5'6 to 6'6 are 18 to 20 1/2 wide: a 6'0 from 18 3/16 to 20 5/16, by half of an eighth for two inches.
    expect(alone.low / INCH_mm).toBeCloseTo(18 + 6 / 32, 9);
    expect(alone.high / INCH_mm).toBeCloseTo(20.5 - 6 / 32, 9);
    expect(usual(caseOf(slack, { last: wide }), 'width_mm')).toEqual(alone);
    // Over 90 kg the heavy rider's 20 1/2 to 22 1/2 of 6'0 to 7'6 is usual too, and 24 kg over 80 add 0.6 in.
    const heavy = usual(caseOf(slack, { rider: 'heavy', kindOf: slack }), 'width_mm');
    expect(heavy.low).toBe(alone.low);
    expect(heavy.high / INCH_mm).toBeCloseTo(22.5 - 18 / 32 + 24 / 5 / 8, 9);
  });

  it('grows with the shop’s own boards of the kind, from four on, all but the oddest', () => {
    const own = (count: number) =>
      Array.from(
        { length: count },
        (_, i) =>
          new Facts(
            shapeOf(
              i === 0 ? wide : { ...slack, outline: { ...slack.outline, width_mm: slack.outline.width_mm + 30 } },
            ),
          ),
      );
    const range = (count: number) => usual({ ...c, own: own(count) }, 'width_mm');
    expect(range(3)).toEqual(alone);
    expect(range(5).high).toBeCloseTo(slack.outline.width_mm + 30, 9);
    expect(range(5).low).toBe(alone.low);
  });

  it('speaks only past what a tape reads', () => {
    const at = (width_mm: number) =>
      reached(
        { ...c, facts: new Facts(shapeOf({ ...slack, outline: { ...slack.outline, width_mm } })) },
        undefined,
        'width_mm',
        'over',
        { usual: 'high' },
      );
    expect(at(alone.high + INCH_mm / 20)).toBeUndefined();
    expect(at(alone.high + INCH_mm / 12)).toMatchObject({ line: alone.high });
  });
});

describe('the words of a line', () => {
  it.each([
    [0.375 * inch, 'mm', '3/8 in'],
    [1.125 * inch, 'mm', '1 1/8 in'],
    [4 * inch, 'mm', '4 in'],
    [-0.25 * inch, 'mm', '−1/4 in'],
    [inch / 64, 'mm', '1/64 in'],
    [0.06 * inch, 'mm', '0.06 in'],
    [0, 'mm', '0 in'],
    [78 * inch, 'feet', '6’6'],
    [96 * inch, 'feet', '8’0'],
    [70.5 * inch, 'feet', '5’10 1/2'],
    [(28 * Math.PI) / 180, 'degrees', '28 degrees'],
    [0.78, '%', '78 %'],
    [0.022, '%', '2.2 %'],
    [30.25, 'L', '30.25 L'],
    [95, 'kg', '95 kg'],
    [1.5, '', '1.5'],
  ] as const)('%f as %s is %s', (value, unit, words) => {
    expect(numberWords(value, unit)).toBe(words);
  });

  it.each([
    ['tailShare', 'over', 0.78, 'tail 12 over the width: over 78 %'],
    ['length_mm', 'under', 76 * inch, 'length: under 6’4'],
    ['tailShare', 'under', { usual: 'low' }, 'tail 12 over the width: under the low end of its usual range'],
    [
      'tailShare',
      'over',
      { usual: 'high', into: 0.1 },
      'tail 12 over the width: over 10 % into its usual range from the high end',
    ],
    [
      'tailShare',
      'under',
      { usual: 'low', times: 0.9 },
      'tail 12 over the width: under 90 % of the low end of its usual range',
    ],
    [
      'tailShare',
      'under',
      { usual: 'low', plus: -0.05 },
      'tail 12 over the width: under the low end of its usual range less 5 %',
    ],
    [
      'tailShare',
      'under',
      { usual: 'low', plus: 0.05 },
      'tail 12 over the width: under the low end of its usual range plus 5 %',
    ],
  ] as const)('%s %s %j', (key, side, line, words) => {
    expect(lineWords(key, side, line)).toBe(words);
  });

  it('are there for every measure of the catalogue', () => {
    for (const key of MEASURE_KEYS) expect(lineWords(key, 'over', 1)).toContain(`${measureOf(key).words}: over `);
  });
});

describe('what waves and riders are called', () => {
  const called = (waves: Waves | undefined) =>
    Object.entries(SEAS)
      .filter(([, given]) => given.holds({ kind: c.kind, facts: c.facts, schools: USUAL_SCHOOLS, waves }))
      .map(([name]) => name);
  const calm: Waves = { size: 'waistToHead', power: 'medium', steepness: 'medium', chop: 'some', rubber: 'thin' };
  it.each([
    [undefined, []],
    [{}, ['known']],
    [{ power: 'weak' }, ['weak', 'known']],
    [{ size: 'kneeToWaist' }, ['weak', 'known']],
    [{ size: 'kneeToWaist', power: 'powerful' }, ['weak', 'powerful', 'known']],
    [{ size: 'overhead' }, ['overhead', 'known']],
    [{ size: 'wellOverhead' }, ['overhead', 'wellOverhead', 'bigAndPowerful', 'known']],
    [{ power: 'powerful' }, ['powerful', 'known']],
    [{ size: 'overhead', power: 'powerful' }, ['overhead', 'steep', 'powerful', 'bigAndPowerful', 'known']],
    [{ steepness: 'steep' }, ['steep', 'known']],
    [{ chop: 'choppy' }, ['choppy', 'known']],
  ] as const)('waves %j are %j', (change, names) => {
    expect(called(change && { ...calm, ...change })).toEqual(names);
  });

  const people = (rider: Rider | undefined) =>
    Object.entries(RIDERS)
      .filter(([, given]) => given.holds({ kind: c.kind, facts: c.facts, schools: USUAL_SCHOOLS, rider }))
      .map(([name]) => name);
  it.each([
    [undefined, []],
    [{}, ['sharp']],
    [{ ability: 'novice' }, ['novice', 'early']],
    [{ ability: 'intermediate' }, ['intermediate', 'early']],
    [{ ability: 'expert' }, ['sharp', 'expert']],
    [{ stance: 'front' }, ['sharp', 'frontFooted']],
    [{ stance: 'back' }, ['sharp', 'backFooted']],
    [{ mass_kg: 95 }, ['sharp', 'heavy']],
    [{ mass_kg: 94.9 }, ['sharp']],
    [{ mass_kg: 62 }, ['sharp', 'light']],
    [{ mass_kg: 62.1 }, ['sharp']],
  ] as const)('a rider %j is %j', (change, names) => {
    expect(people(change && { ...PEOPLE.usual, ...change })).toEqual(names);
  });

  it('kinds of board, and conditions turned and joined', () => {
    const holds = (given: { holds: (entry: Case) => boolean }) => given.holds(c);
    expect([holds(families('shortboard', 'gun')), holds(families('gun'))]).toEqual([true, false]);
    expect([holds(setups('thruster')), holds(setups('quad', 'twin'))]).toEqual([true, false]);
    expect([holds(tails(slack.outline.tail.kind)), holds(tails('pin', 'diamond'))]).toEqual([true, false]);
    expect([holds(not(families('gun'))), holds(not(families('shortboard')))]).toEqual([true, false]);
    expect([holds(either(SEAS.weak, RIDERS.sharp)), holds(either(SEAS.weak, RIDERS.novice))]).toEqual([true, false]);
    expect([holds(measured('width_mm', 'over', 400)), holds(measured('width_mm', 'over', 600))]).toEqual([true, false]);
    expect(families('shortboard', 'fish', 'midLength').words).toBe('a shortboard, fish or mid-length');
    expect(not(either(SEAS.weak, RIDERS.novice)).words).toBe('not weak waves or a novice');
  });
});

describe('a rule', () => {
  const made = rule({
    id: 'x',
    group: 'size',
    title: 'X',
    level: 'note',
    cause: 'Y.',
    source: 'derived',
    school: { question: 'tail', answer: 'hold' },
    knows: { words: 'a rider', of: ({ rider }) => rider && { rider } },
    given: [SEAS.overhead],
    reads: ['width_mm', 'over', 400],
    says: ({ value, line, rider, m }, w) => `${w.mm(value)} ${w.mm(line)} ${rider.name} ${m === c.facts.m}`,
  });
  const writer = { mm: (v: number) => v.toFixed(0), feet: String, L: String, kg: String };
  const hold: Case = { ...c, waves: WAVES.big, schools: { ...USUAL_SCHOOLS, tail: 'hold' } };

  it('says its condition from its data, and its words from what it found', () => {
    expect(made.when).toBe('a rider; overhead waves; width: over 15.748 in');
    expect(made.finds(hold)?.says(writer)).toBe(`${slack.outline.width_mm.toFixed(0)} 400 Rider true`);
  });

  it.each([
    ['nothing is known', { rider: undefined }],
    ['a condition does not hold', { waves: WAVES.usual }],
    ['the waves are not known', { waves: undefined }],
    ['the shop is of the other school', { schools: { ...USUAL_SCHOOLS, tail: 'power' as const } }],
  ])('finds nothing where %s', (_words, change) => {
    expect(made.finds({ ...hold, ...change })).toBeUndefined();
  });
});
