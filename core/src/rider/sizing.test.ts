import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { FAMILIES } from '../document/schema.ts';
import { boardFrom } from '../shape/issues.ts';
import { shapeOf } from '../shape/shape.ts';
import { volume_L } from '../measure/volume.ts';
import { modelNamed } from '../models/models.ts';
import { anyBoard } from '../testing/anyBoard.ts';
import { runs } from '../testing/runs.ts';
import { INCH_mm } from '../units/length.ts';
import { Facts } from '../measure/facts.ts';
import { type Kind, kindOf, KINDS } from './kinds.ts';
import { litresFor } from './litres.ts';
import { ABILITIES, type Rider, riderSchema, stanceFrom, type Waves, withWeight } from './rider.ts';
import {
  boardsToLearnOn,
  equalLitreBoards,
  familiesFor,
  gentleQuestions,
  sizedBySchools,
  steppedLitres,
  wavedLitres,
} from './sizing.ts';

const rider: Rider = {
  id: 'r',
  name: 'Maren',
  mass_kg: 76,
  weights: [],
  height_mm: 1780,
  age: 34,
  ability: 'advanced',
  surfsAWeek: 3,
  fitness: 'usual',
  stance: 'back',
  waves: { size: 'waistToHead', power: 'medium', steepness: 'medium', chop: 'some', rubber: 'thin' },
  boards: [],
};
const soft: Waves = { ...rider.waves, size: 'kneeToWaist', power: 'weak', steepness: 'soft' };
const over: Waves = { ...rider.waves, size: 'overhead' };
const cold: Waves = { ...rider.waves, rubber: 'thick' };

describe('litres for a rider', () => {
  it('are kilograms times what the kind and the ability carry, with the sum written out', () => {
    const target = litresFor(rider, 'performanceShortboard');
    // 0.37 to 0.44 L per kg for an advanced rider on a performance shortboard (common practice, from memory).
    expect(target.target_L).toBeCloseTo(76 * 0.405, 9);
    expect([target.low_L, target.high_L].map((l) => l / 76)).toEqual([
      expect.closeTo(0.37, 9),
      expect.closeTo(0.44, 9),
    ]);
    expect(target.sentence).toContain('76 kg at 0.405 L per kg');
    expect(target.factors).toEqual([]);
    // A longboard by a + b kg: 34 + 0.38 and 50 + 0.42 for an advanced rider.
    const long = litresFor(rider, 'allRoundLongboard');
    expect([long.low_L, long.high_L]).toEqual([expect.closeTo(34 + 0.38 * 76, 9), expect.closeTo(50 + 0.42 * 76, 9)]);
  });

  it('count age, surfs, fitness, rubber and waves, each as the trade does', () => {
    const of = (change: Partial<Rider>) => litresFor({ ...rider, ...change }, 'shortboard').target_L / (76 * 0.405);
    // One per cent each three years over 40, to fifteen; common practice, from memory, and so the rest.
    expect(of({ age: 70 })).toBeCloseTo(1.1, 9);
    expect(of({ age: 110 })).toBeCloseTo(1.15, 9);
    expect(of({ surfsAWeek: 0.5 })).toBeCloseTo(1.06, 9);
    expect(of({ surfsAWeek: 6 })).toBeCloseTo(0.97, 9);
    expect(of({ fitness: 'low' })).toBeCloseTo(1.05, 9);
    expect(of({ fitness: 'high' })).toBeCloseTo(0.98, 9);
    expect(of({ waves: { ...rider.waves, rubber: 'thick' } })).toBeCloseTo(1.04, 9);
    expect(of({ waves: { ...rider.waves, power: 'weak' } })).toBeCloseTo(1.04, 9);
    expect(of({ waves: { ...rider.waves, power: 'powerful' } })).toBeCloseTo(0.98, 9);
    expect(of({ waves: { ...rider.waves, size: 'kneeToWaist' } })).toBeCloseTo(1.02, 9);
    const byAbility = ABILITIES.map((ability) => of({ ability }));
    expect([...byAbility].sort((a, b) => b - a)).toEqual(byAbility);
  });

  // Litres a shop would accept. Common practice, from memory; riders invented.
  it.each<[Partial<Rider>, Kind, number, number]>([
    [{ mass_kg: 45, age: 14 }, 'performanceShortboard', 16.5, 20.5],
    [{ mass_kg: 50, ability: 'novice', waves: soft }, 'midLengthSingle', 38, 48],
    [{ mass_kg: 55, ability: 'expert', waves: over }, 'performanceShortboard', 18, 21],
    [{ mass_kg: 58, ability: 'intermediate' }, 'modernFish', 28, 35],
    [{ mass_kg: 60, ability: 'novice' }, 'allRoundLongboard', 66, 86],
    [{ mass_kg: 62 }, 'twin', 25, 30],
    [{ mass_kg: 65, ability: 'intermediate' }, 'performanceShortboard', 29, 35],
    [{ mass_kg: 68, ability: 'novice' }, 'allRoundLongboard', 70, 90],
    [{ mass_kg: 70, ability: 'expert' }, 'stepUp', 25, 28],
    [{ mass_kg: 72 }, 'performanceShortboard', 27, 31.5],
    [{ mass_kg: 74, ability: 'intermediate', age: 33 }, 'modernFish', 36, 43],
    [{ mass_kg: 75 }, 'allRoundLongboard', 62, 82],
    [{ mass_kg: 78, ability: 'expert' }, 'pig', 61, 79],
    [{ mass_kg: 80, age: 52 }, 'midLengthSingle', 43, 56],
    [{ mass_kg: 82, ability: 'intermediate' }, 'midLengthSingle', 49, 62],
    [{ mass_kg: 86, ability: 'expert' }, 'performanceShortboard', 29, 33],
    [{ mass_kg: 88, ability: 'expert' }, 'bigWaveGun', 62, 82],
    [{ mass_kg: 95, age: 58, waves: cold }, 'midLengthSingle', 52, 68],
    [{ mass_kg: 104 }, 'performanceShortboard', 46, 49],
    [{ mass_kg: 120, ability: 'intermediate' }, 'allRoundLongboard', 86, 106],
  ])('of %j on a %s are %d to %d', (change, kind, low, high) => {
    const { target_L } = litresFor({ ...rider, ...change }, kind);
    expect(target_L).toBeGreaterThanOrEqual(low);
    expect(target_L).toBeLessThanOrEqual(high);
  });

  it('never fall with weight or age, and move by less than 2 % a kilogram from 45 kg, by what a + b kg asks for below', () => {
    for (const kind of KINDS) {
      for (const ability of ABILITIES) {
        let before = 0;
        for (let mass_kg = 20; mass_kg <= 250; mass_kg++) {
          const { low_L, target_L, high_L } = litresFor({ ...rider, mass_kg, ability }, kind);
          expect(low_L).toBeLessThan(high_L);
          expect(target_L).toBeGreaterThan(before);
          // Litres in proportion to weight move by 1/kg of themselves: that is the least a per-kilo rule can do.
          if (before > 0) expect(target_L / before - 1).toBeLessThan(Math.max(0.02, 1.35 / mass_kg));
          before = target_L;
        }
        let younger = 0;
        for (let age = 4; age <= 110; age++) {
          const { target_L } = litresFor({ ...rider, age, ability }, kind);
          expect(target_L).toBeGreaterThanOrEqual(younger);
          younger = target_L;
        }
      }
    }
  });

  it('offer nobody a gun or a shortboard to learn on', () => {
    const said = (kind: Kind) => litresFor({ ...rider, ability: 'novice' }, kind).said;
    for (const kind of ['performanceShortboard', 'stepUp', 'semiGun', 'bigWaveGun'] as const)
      expect(said(kind)).toBe('no');
    for (const kind of ['midLengthSingle', 'allRoundLongboard', 'pig'] as const) expect(said(kind)).toBeUndefined();
    for (const mass_kg of [20, 250]) expect(boardsToLearnOn({ ...rider, mass_kg }).length).toBeLessThanOrEqual(2);
    for (const mass_kg of [45, 60, 85]) {
      const made = boardsToLearnOn({ ...rider, mass_kg, ability: 'novice' });
      expect(made.map(({ family }) => family)).toEqual(['midLength', 'longboard']);
      for (const board of made) {
        expect(boardFrom(board).ok).toBe(true);
        const { target_L } = litresFor({ ...rider, mass_kg, ability: 'novice' }, kindOf(new Facts(shapeOf(board))));
        expect(Math.abs(volume_L(shapeOf(board)) - target_L)).toBeLessThan(0.15 * target_L);
      }
    }
  });
});

const style = { kind: 'fraction', denominator: 16 } as const;
const last = { name: 'Slack Water 104', length_mm: 72 * INCH_mm, litres_L: 36 };

describe('common practice of sizing, from memory', () => {
  it('big-wave guns are 9’6 to 10’0, large beach breaks want 8’0 to 8’6', () => {
    const huge: Waves = { size: 'wellOverhead', power: 'powerful', steepness: 'steep', chop: 'some', rubber: 'thick' };
    const gun = wavedLitres(rider, huge, 'gun', style).length_mm! / INCH_mm;
    expect(gun).toBeGreaterThanOrEqual(114);
    expect(gun).toBeLessThanOrEqual(120);
    const beach = wavedLitres(rider, { ...huge, size: 'overhead' }, 'gun', style).length_mm! / INCH_mm;
    expect(beach).toBeGreaterThanOrEqual(96);
    expect(beach).toBeLessThanOrEqual(102);
  });
});

describe('schools of sizing', () => {
  it('step from the last board by no more than 6 in takes, and say the sum', () => {
    const stepped = steppedLitres(rider, 'shortboard', { ...last, litres_L: 38 });
    expect(38 - stepped.target_L).toBeCloseTo((38 * 6) / 72, 9);
    expect(stepped.sentence).toContain('no further in one go');
    const near = steppedLitres(rider, 'shortboard', { ...last, litres_L: 31 });
    expect(near.target_L).toBe(31);
    expect(near.sentence).toContain('stay at 31.0 L');
  });

  it('give all three answers, the shop’s own first; without a last board two', () => {
    const of = (sizing: 'litresPerKilo' | 'stepFromLast' | 'lengthForWave') =>
      sizedBySchools(rider, rider.waves, 'shortboard', last, { sizing }, style).map((sized) => sized.school);
    for (const sizing of ['litresPerKilo', 'stepFromLast', 'lengthForWave'] as const) {
      expect(of(sizing)[0]).toBe(sizing);
      expect(of(sizing)).toHaveLength(3);
    }
    // Nobody knows how long it was: no step from it, and none from a length made up.
    const { length_mm: _unknown, ...told } = last;
    const unmeasured = sizedBySchools(rider, rider.waves, 'shortboard', told, { sizing: 'stepFromLast' }, style);
    expect(unmeasured.map((sized) => sized.school)).toEqual(['litresPerKilo', 'lengthForWave']);
    expect(gentleQuestions(rider, 'shortboard', 20, told).map(({ id }) => id)).not.toContain('stepDown');
    expect(gentleQuestions(rider, 'shortboard', 20, last).map(({ id }) => id)).toContain('stepDown');
    const without = sizedBySchools(rider, rider.waves, 'gun', undefined, { sizing: 'stepFromLast' }, style);
    expect(without.map((sized) => sized.school)).toEqual(['litresPerKilo', 'lengthForWave']);
  });

  it('stretch the family’s model to the wave’s length and read its litres there', () => {
    for (const family of FAMILIES) {
      const sized = wavedLitres(rider, rider.waves, family, style);
      expect(sized.target_L).toBeGreaterThan(20);
      expect(sized.low_L).toBeLessThan(sized.target_L);
    }
  });
});

describe('boards of equal litres', () => {
  it('have those litres to 0.01, and each the name and the trade of what came out', () => {
    const board = modelNamed('Slack Water')!;
    for (const litres of [28.5, 29.6, 31]) {
      const row = equalLitreBoards(board, litres);
      expect(row.length).toBeGreaterThanOrEqual(2);
      expect(new Set(row.map(({ name }) => name)).size).toBe(row.length);
      for (const { board: made, name, trades } of row) {
        expect(Math.abs(volume_L(shapeOf(made)) - litres)).toBeLessThan(0.01);
        const wider = made.outline.width_mm - board.outline.width_mm;
        const thicker = made.foil.thickness_mm - board.foil.thickness_mm;
        expect(Math.abs(wider)).toBeLessThan(0.75 * INCH_mm);
        expect(Math.abs(thicker)).toBeLessThan(0.25 * INCH_mm);
        for (const [word, holds] of [
          ['wider', wider > 0],
          ['narrower', wider < 0],
          ['thicker', thicker > 0],
          ['thinner', thicker < 0],
          ['shorter', made.length_mm < board.length_mm],
        ] as const) {
          if (name.toLowerCase().includes(word)) expect([litres, name, holds]).toEqual([litres, name, true]);
        }
        if (wider > INCH_mm / 16) expect(trades).toMatch(/Fast down the line/);
        if (wider < -INCH_mm / 16) expect(trades).toMatch(/Quick from rail to rail/);
      }
    }
  });
});

describe('the three schools with sense', () => {
  const lengthFor = (change: Partial<Rider>, waves: Waves, kind: Kind) =>
    wavedLitres({ ...rider, ...change }, waves, kind, style);
  it('length for the wave grows with weight and danger and falls with skill, and litres never fall with weight', () => {
    for (const kind of KINDS) {
      let [length, litres] = [0, 0];
      for (let mass_kg = 40; mass_kg <= 130; mass_kg += 18) {
        const sized = lengthFor({ mass_kg }, rider.waves, kind);
        expect(sized.length_mm).toBeGreaterThan(length);
        expect(sized.target_L).toBeGreaterThan(litres);
        [length, litres] = [sized.length_mm, sized.target_L];
      }
      const bySize = (['kneeToWaist', 'waistToHead', 'overhead', 'wellOverhead'] as const).map(
        (size) => lengthFor({}, { ...rider.waves, size }, kind).length_mm,
      );
      expect(bySize).toEqual([...bySize].sort((a, b) => a - b));
      const huge: Waves = { ...rider.waves, size: 'wellOverhead', power: 'powerful' };
      const bySkill = (['expert', 'advanced', 'intermediate', 'novice'] as const).map(
        (ability) => lengthFor({ ability }, huge, kind).length_mm,
      );
      expect(bySkill).toEqual([...bySkill].sort((a, b) => a - b));
      // The less skilled start longer there: 3 in for skill and 6 for the danger (CP).
      expect((bySkill[2] - bySkill[1]) / INCH_mm).toBeCloseTo(9, 9);
    }
  });

  it('is 5’8 to 5’10 knee to waist, 5’11 to 6’1 to head high, 6’2 to 6’4 overhead for 75 kg (common practice, from memory)', () => {
    const inches = (size: Waves['size'], kind: Kind) =>
      lengthFor({ mass_kg: 75 }, { ...rider.waves, size }, kind).length_mm / INCH_mm;
    expect(inches('kneeToWaist', 'performanceShortboard')).toBeGreaterThanOrEqual(68);
    expect(inches('kneeToWaist', 'performanceShortboard')).toBeLessThanOrEqual(70);
    expect(inches('waistToHead', 'performanceShortboard')).toBe(72);
    expect(inches('overhead', 'performanceShortboard')).toBeGreaterThanOrEqual(74);
    expect(inches('overhead', 'performanceShortboard')).toBeLessThanOrEqual(76);
    expect(inches('wellOverhead', 'stepUp')).toBeGreaterThanOrEqual(80);
    expect(inches('wellOverhead', 'stepUp')).toBeLessThanOrEqual(88);
    expect(inches('wellOverhead', 'bigWaveGun')).toBeGreaterThanOrEqual(108);
  });

  it('each name a length, a width and a thickness that hold those litres', () => {
    for (const sized of sizedBySchools(
      rider,
      rider.waves,
      'shortboard',
      { ...last, family: 'shortboard' },
      { sizing: 'litresPerKilo' },
      style,
    )) {
      // By the fill of the kind's model: 0.53 to 0.57 of the box.
      const fill = (sized.target_L * 1e6) / (sized.length_mm * sized.width_mm * sized.thickness_mm);
      expect(fill).toBeGreaterThan(0.52);
      expect(fill).toBeLessThan(0.58);
    }
  });

  it('take no step from a board of another family', () => {
    const from = sizedBySchools(
      rider,
      rider.waves,
      'shortboard',
      { ...last, family: 'longboard' },
      { sizing: 'stepFromLast' },
      style,
    );
    expect(from.map(({ school }) => school)).not.toContain('stepFromLast');
  });
});

describe('families for the waves', () => {
  const waves = (change: Partial<Waves>): Waves => ({ ...rider.waves, ...change });
  const fit = (change: Partial<Waves>) =>
    Object.fromEntries(familiesFor(waves(change)).map(({ family, fit: how }) => [family, how]));
  it('puts guns in big waves only, and fish in weak ones', () => {
    expect(fit({ size: 'wellOverhead', power: 'powerful', steepness: 'steep' })).toMatchObject({
      gun: 'suits',
      fish: 'no',
      longboard: 'no',
    });
    expect(fit({ size: 'kneeToWaist', power: 'weak', steepness: 'soft' })).toMatchObject({
      fish: 'suits',
      gun: 'no',
      longboard: 'suits',
    });
  });
});

describe('gentle questions', () => {
  const ask = (wish: number | undefined, change: Partial<Rider> = {}, board: typeof last | undefined = undefined) =>
    gentleQuestions({ ...rider, ...change }, 'shortboard', wish, board);

  it('are not asked when everything agrees', () => {
    expect(ask(31)).toEqual([]);
    expect(ask(undefined, {}, { ...last, litres_L: 31 })).toEqual([]);
  });

  it('are asked when wish, ability, surfs a week or the last board disagree, each with what follows', () => {
    expect(ask(24).map((q) => q.id)).toEqual(['abilityAndWish']);
    expect(ask(30, { surfsAWeek: 0.5 }).map((q) => q.id)).toEqual(['seldomAndWish']);
    expect(ask(30, {}, { ...last, litres_L: 37 }).map((q) => q.id)).toEqual(['stepDown']);
    expect(ask(undefined, {}, { ...last, litres_L: 45 }).map((q) => q.id)).toEqual(['lastAndRange']);
    for (const question of [...ask(24), ...ask(30, {}, { ...last, litres_L: 37 })]) {
      expect(question.words).toMatch(/\?$/);
      expect(question.answers).toHaveLength(2);
      for (const { then } of question.answers) expect(then).toMatch(/L/);
    }
  });
});

describe('a rider', () => {
  it('keeps dated weights, the latest as the weight', () => {
    const heavier = withWeight(withWeight(rider, '2026-03-01', 78), '2026-01-01', 74);
    expect(heavier.weights.map(({ on }) => on)).toEqual(['2026-01-01', '2026-03-01']);
    expect(withWeight(heavier, '2026-03-01', 79).weights).toHaveLength(2);
  });

  it('is read from a card of before, what it lacks filled in', () => {
    const { weights: _w, fitness: _f, boards: _b, ...old } = rider;
    const before = { ...old, waves: { size: 'overhead', power: 'medium' } };
    const read = riderSchema.parse(before);
    expect(read).toMatchObject({
      weights: [],
      fitness: 'usual',
      boards: [],
      waves: { chop: 'some', steepness: 'medium' },
    });
    expect(ABILITIES).toContain(read.ability);
  });

  it('has a stance that two questions reveal', () => {
    expect(stanceFrom('front', 'front')).toBe('front');
    expect(stanceFrom('both', 'back')).toBe('back');
    expect(stanceFrom('both', 'even')).toBe('neutral');
    expect(stanceFrom('front', 'back')).toBe('unknown');
  });

  it('are there or left out, never an error, for boards drawn over the whole parameter space', () => {
    for (const board of fc.sample(anyBoard, { seed: 20261126, numRuns: runs(50) })) {
      const now = volume_L(shapeOf(board));
      for (const { board: made } of equalLitreBoards(board, now)) {
        expect(boardFrom(made).ok).toBe(true);
        expect(Math.abs(volume_L(shapeOf(made)) - now)).toBeLessThan(0.01);
      }
    }
  }, 60_000);

  it('leave out the shorter one where two marks would meet on it', () => {
    // On a 6'0 the marks are 3 in apart, one from either end; 3 in shorter they are at one station.
    const board = modelNamed('Slack Water')!;
    const rocker = {
      ...board.rocker,
      marks: [
        { from: 'nose' as const, at_mm: 34.5 * INCH_mm, value_mm: 1 },
        { from: 'tail' as const, at_mm: 34.5 * INCH_mm, value_mm: 1 },
      ],
    };
    const crowded = { ...board, rocker };
    expect(boardFrom(crowded).ok).toBe(true);
    expect(equalLitreBoards(crowded, 30).map(({ name }) => name)).not.toContain('Shorter and wider');
  });
});
