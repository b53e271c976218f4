import { describe, expect, it } from '@jest/globals';
import { FAMILIES } from '../board/document.ts';
import { shapeOf } from '../board/shape.ts';
import { withFinBox } from '../edit/parts.ts';
import { thickened } from '../edit/size.ts';
import { ticketLines } from '../measure/ticket.ts';
import { modelNamed, models } from '../models/models.ts';
import { LITRES_PER_KG, litresFor } from '../rider/litres.ts';
import { ABILITIES, type Rider } from '../rider/rider.ts';
import { checkNotes } from './checkNotes.ts';

const style = { kind: 'fraction', denominator: 16 } as const;
const rider: Rider = {
  id: 'r',
  name: 'Maren',
  mass_kg: 76,
  height_mm: 1780,
  age: 34,
  ability: 'advanced',
  surfsAWeek: 3,
  stance: 'back',
  waves: { size: 'waistToHead', power: 'medium' },
};
const slack = () => modelNamed('Slack Water')!;
const codes = (board = slack(), who?: Rider) =>
  checkNotes(shapeOf(board), who && litresFor(who, board.family), style).map((note) => note.code);

describe('litres for a rider', () => {
  it('are kilograms times the middle of the range, with the sum written out', () => {
    const target = litresFor(rider, 'shortboard');
    // 0.38 to 0.43 L per kg for an advanced rider (common practice, from memory).
    expect(target.target_L).toBeCloseTo(76 * 0.405, 9);
    expect([target.low_L, target.high_L].map((l) => l / 76)).toEqual([
      expect.closeTo(0.38, 9),
      expect.closeTo(0.43, 9),
    ]);
    expect(target.sentence).toContain('76 kg at 0.405 L per kg');
    expect(target.factors).toEqual([]);
  });

  it('grow with weight, age, weak waves and few surfs, and fall with ability', () => {
    const of = (change: Partial<Rider>) => litresFor({ ...rider, ...change }, 'shortboard').target_L;
    expect(of({ mass_kg: 90 })).toBeGreaterThan(of({}));
    expect(of({ age: 60 })).toBeGreaterThan(of({}));
    expect(of({ age: 110 }) / of({})).toBeLessThanOrEqual(1.12 + 1e-9);
    expect(of({ surfsAWeek: 0.5 })).toBeGreaterThan(of({ surfsAWeek: 1 }));
    expect(of({ surfsAWeek: 6 })).toBeLessThan(of({}));
    expect(of({ waves: { size: 'kneeToWaist', power: 'weak' } })).toBeGreaterThan(of({}));
    const byAbility = ABILITIES.map((ability) => of({ ability }));
    expect([...byAbility].sort((a, b) => b - a)).toEqual(byAbility);
    for (const ability of ABILITIES) expect(LITRES_PER_KG[ability][0]).toBeLessThan(LITRES_PER_KG[ability][1]);
    for (const family of FAMILIES) expect(litresFor(rider, family).target_L).toBeGreaterThan(25);
  });
});

describe('notes before foam is cut', () => {
  it('none asks for a decision on any model by itself', () => {
    for (const board of models()) {
      const notes = checkNotes(shapeOf(board), undefined, style).filter((note) => note.level === 'look');
      expect([board.name, notes]).toEqual([board.name, []]);
    }
  });

  it('litres under and over the range, each with a near neighbour that draws nothing', () => {
    expect(codes(thickened(slack(), -8), rider)).toContain('litresBelow');
    expect(codes(thickened(slack(), 12), rider)).toContain('litresAbove');
    expect(codes(thickened(slack(), 3), rider).filter((code) => code.startsWith('litres'))).toEqual([]);
  });

  it('a foil out of balance, a hollow asked for, a box with no foam', () => {
    const board = slack();
    const [nose, tail] = board.foil.marks;
    const bias = { ...board, foil: { ...board.foil, marks: [{ ...nose, value_mm: nose.value_mm - 4 }, tail] } };
    expect(codes(bias)).toContain('foilBias');
    const [n12, t12] = board.outline.marks;
    const hollow = { ...board, outline: { ...board.outline, marks: [n12, { ...t12, value_mm: 150 }] } };
    expect(codes(hollow)).toContain('hollow');
    expect(codes(withFinBox(board, 0, { inset_mm: 12 }))).toContain('finBox');
  });

  it('say numbers in the shop’s own writing, the verdict the same', () => {
    const board = thickened(slack(), -8);
    const target = litresFor(rider, board.family);
    const [inches, metric] = [style, { kind: 'mm' } as const].map((s) => checkNotes(shapeOf(board), target, s));
    expect(inches.map((n) => n.code)).toEqual(metric.map((n) => n.code));
  });
});

describe('the ticket', () => {
  it('has every group in the order of the work, and a unit on every length', () => {
    for (const board of models()) {
      const lines = ticketLines(shapeOf(board), style);
      const groups = [...new Set(lines.map((line) => line.group))];
      expect(groups).toEqual(['size', 'outline', 'rocker', 'foil', 'rails', 'bottom', 'fins']);
      expect(lines.every((line) => line.value !== '' && !line.value.includes('NaN'))).toBe(true);
    }
    const lines = ticketLines(shapeOf(slack()), style);
    expect(lines.find((l) => l.name === 'Width')!.value).toBe('19 1/4 in');
    expect(lines.find((l) => l.name === 'Length')!.value).toBe("6'0");
    expect(ticketLines(shapeOf(slack()), { kind: 'mm' }).find((l) => l.name === 'Width')!.value).toMatch(
      /^48(8\.9|9)\d* mm$/,
    );
  });
});
