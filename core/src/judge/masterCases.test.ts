// What a master says of boards with their riders, and does not say; and over the models that nobody contradicts himself.
import { describe, expect, it } from '@jest/globals';
import { models } from '../models/models.ts';
import { Facts } from '../measure/facts.ts';
import { kindOf, kindRange, KINDS, RANGED } from '../rider/kinds.ts';
import { litresFor } from '../rider/litres.ts';
import { ABILITIES, type Rider, type Waves } from '../rider/rider.ts';
import { USUAL_SCHOOLS } from '../rider/schools.ts';
import { shapeOf } from '../shape/shape.ts';
import { boardIssues } from '../shape/issues.ts';
import { RIDERS } from '../testing/cases.ts';
import { caseFrom, MASTER_CASES } from '../testing/masterCases.ts';
import { thinned } from '../testing/runs.ts';
import { cureSteps, judged, type Note, verdict } from './judge.ts';
import { writerOf } from './writer.ts';
import { lever } from './levers.ts';
import { quiverOf } from './quiver.ts';
import { boardReading } from './reading.ts';
import type { Case } from './case.ts';
import { LEVELS } from './rule.ts';

const w = writerOf({ kind: 'fraction', denominator: 16 });
const brief = (notes: readonly Note[]) => notes.map(({ level, rule }) => `${level} ${rule.id}`);

describe('boards with their riders', () => {
  it.each(MASTER_CASES.map((entry) => [entry.name, entry] as const))('%s: what a master says', (_name, entry) => {
    expect(boardIssues(entry.board)).toEqual([]);
    const notes = judged(caseFrom(entry), w);
    for (const [level, ...ids] of entry.say) {
      const said = notes.some((note) => note.level === level && ids.includes(note.rule.id));
      expect({ wanted: `${level} ${ids.join(' or ')}`, said, notes: brief(notes) }).toMatchObject({ said: true });
    }
    expect(notes.map(({ rule }) => rule.id).filter((id) => entry.not.includes(id))).toEqual([]);
    if (entry.most) {
      const most = LEVELS.indexOf(entry.most);
      expect(brief(notes.filter(({ level }) => LEVELS.indexOf(level) < most))).toEqual([]);
    }
    const reading = boardReading(caseFrom(entry), w).join(' ');
    for (const gist of entry.reading ?? []) expect(reading).toMatch(gist);
  });

  it('draw three and a half notes each at the most, on the mean', () => {
    const counts = MASTER_CASES.map((entry) => judged(caseFrom(entry), w).length);
    expect(counts.reduce((sum, count) => sum + count, 0) / counts.length).toBeLessThan(3.5);
  });
});

const sea = (
  size: Waves['size'],
  power: Waves['power'],
  steepness: Waves['steepness'],
  chop: Waves['chop'],
): Waves => ({
  size,
  power,
  steepness,
  chop,
  rubber: 'thin',
});
const SEAS: readonly Waves[] = (['kneeToWaist', 'waistToHead', 'overhead', 'wellOverhead'] as const).flatMap((size) =>
  (['weak', 'medium', 'powerful'] as const).flatMap((power) =>
    (['soft', 'steep'] as const).map((steepness) => sea(size, power, steepness, power === 'weak' ? 'choppy' : 'some')),
  ),
);
const PEOPLE: readonly Rider[] = ([50, 68, 80, 104] as const).flatMap((mass_kg) =>
  ABILITIES.flatMap((ability) =>
    (['front', 'back', 'unknown'] as const).map((stance) => ({ ...RIDERS.usual, mass_kg, ability, stance })),
  ),
);
const FACTS = models().map((board) => new Facts(shapeOf(board), RIDERS.usual.height_mm));

function* everyCase(): Generator<Case> {
  for (const facts of thinned(FACTS, 9)) {
    for (const rider of PEOPLE) {
      const kind = kindOf(facts, rider.mass_kg);
      for (const waves of SEAS) {
        const who = { ...rider, waves };
        yield { facts, kind, rider: who, waves, schools: USUAL_SCHOOLS, target: litresFor(who, kind) };
      }
    }
  }
}

describe('over every model, rider and sea', () => {
  it('no two notes ask for the same lever both ways, no sentence has its line’s own figure, and few are said', () => {
    let count = 0;
    let notes = 0;
    for (const c of everyCase()) {
      count++;
      const said = judged(c, w);
      notes += said.length;
      const ways = new Map<string, number>();
      for (const { rule, words } of said) {
        if (rule.lever) {
          const { id, way } = rule.lever;
          expect([c.facts.board.name, id, ways.get(id) ?? way]).toEqual([c.facts.board.name, id, way]);
          ways.set(id, way);
        }
        // "3 1/2 in, usually from 3 1/2 in" says nothing: no sentence has one figure twice.
        const figures = words.split(/[.;:] /)[0].match(/\d[\d'./ ]*(?:in|L|kg|%)(?= |,|$)/g) ?? [];
        expect([rule.id, figures]).toEqual([rule.id, [...new Set(figures)]]);
      }
      // Thicker, with thinner rails, is one hand undoing the other.
      expect([ways.get('thickness'), ways.get('railFullness')]).not.toEqual([1, -1]);
      expect([ways.get('thickness'), ways.get('railFullness')]).not.toEqual([-1, 1]);
    }
    expect(count).toBeGreaterThan(3000);
    // Most of these riders and seas are wrong for the board: a handful of notes each.
    expect(notes / count).toBeLessThan(4);
  });

  it('sentences are shop English: none over 25 words, none with a bare ratio', () => {
    for (const entry of MASTER_CASES) {
      for (const { words, title } of judged(caseFrom(entry), w)) {
        for (const sentence of words.split(/(?<=[.;:]) /)) expect(sentence.split(/\s+/).length).toBeLessThanOrEqual(25);
        expect(`${title} ${words}`).not.toMatch(/\bMuch\b|evenness|\b0\.\d\d\b/);
      }
      const reading = boardReading(caseFrom(entry), w);
      expect(reading.length).toBeGreaterThanOrEqual(3);
      expect(reading.length).toBeLessThanOrEqual(6);
      for (const sentence of reading.flatMap((one) => one.split(/(?<=[.;:]) /)))
        expect(sentence.split(/\s+/).length).toBeLessThanOrEqual(25);
    }
  });

  it('a cure is offered only where it silences its own note, within twelve first steps', () => {
    let offered = 0;
    const none: string[] = [];
    for (const entry of MASTER_CASES) {
      const c = caseFrom(entry);
      for (const rule of verdict(c)) {
        if (!rule.lever) continue;
        const { id, way } = rule.lever;
        const steps = cureSteps(c, rule);
        if (steps === undefined) {
          none.push(`${entry.name}: ${rule.id}`);
          continue;
        }
        offered++;
        const board = lever(id).move(entry.board, way * steps);
        expect(boardIssues(board)).toEqual([]);
        expect(verdict({ ...c, facts: new Facts(shapeOf(board), entry.rider.height_mm) }, [rule])).toEqual([]);
      }
    }
    expect(offered).toBeGreaterThan(10);
    // Ten litres are no matter of an eighth more foam, and a kick drawn in is another rocker.
    expect(none.length).toBeLessThan(offered / 2);
  });
});

describe('what is usual', () => {
  it('holds the middle of every kind, at every length of it', () => {
    for (const kind of KINDS) {
      const lengths = kindRange(kind, 'length_mm', 1800)!;
      for (const length_mm of [lengths.low, (lengths.low + lengths.high) / 2, lengths.high]) {
        for (const key of RANGED) {
          const range = kindRange(kind, key, length_mm, 75);
          if (range) expect([kind, key, range.high - range.low > 0]).toEqual([kind, key, true]);
        }
      }
    }
  });

  it('knows each of our models for what it is', () => {
    const kinds = Object.fromEntries(FACTS.map((facts) => [facts.board.name, kindOf(facts)]));
    expect(kinds).toMatchObject({
      'Slack Water': 'performanceShortboard',
      'Penny Step': 'smallWave',
      Gannet: 'stepUp',
      Kettle: 'keelFish',
      'Copper Pan': 'quadFish',
      'Low Sluice': 'modernFish',
      'Two Stairs': 'twin',
      Lamplight: 'midLengthSingle',
      'Night Mail': 'midLengthSeveral',
      'Long Quay': 'noseRider',
      'Old Anchor': 'pig',
      'Broad Acre': 'performanceLongboard',
      'Slow Bell': 'allRoundLongboard',
      'Iron Gate': 'semiGun',
      'North Ledge': 'bigWaveGun',
    });
  });
});

describe('a quiver', () => {
  const owned = (...names: string[]) =>
    names.map((name) => ({ name, facts: FACTS.find(({ board }) => board.name === name)! }));
  const rider: Rider = { ...RIDERS.usual, mass_kg: 77 };

  it('is the two boards that cover the most between them: a fish for the weak days, a step-up for the others', () => {
    const { best } = quiverOf(owned('Kettle', 'Peat Fire', 'Gannet'), rider, USUAL_SCHOOLS);
    expect(best.names).toContain('Gannet');
    expect(best.names).toHaveLength(2);
    const alone = quiverOf(owned('Kettle'), rider, USUAL_SCHOOLS).best;
    expect(best.goes).toBeGreaterThan(alone.goes);
    expect(best.of).toBe(12);
  });

  it('says which do the same work and where none goes', () => {
    const twice = quiverOf(owned('Kettle', 'Kettle'), rider, USUAL_SCHOOLS);
    expect(twice.same).toEqual([['Kettle', 'Kettle']]);
    expect(twice.gaps).toContainEqual({ size: 'overhead', power: 'powerful' });
    expect(quiverOf(owned('Kettle', 'Gannet'), rider, USUAL_SCHOOLS).same).toEqual([]);
  });

  it('is drawn against every kind of waves, and asked for those of a trip alone', () => {
    const boards = owned('Kettle', 'Gannet');
    const { map, gaps } = quiverOf(boards, rider, USUAL_SCHOOLS);
    expect(map).toHaveLength(12);
    expect(map.filter(({ goes, beyond }) => goes.length === 0 && !beyond).map(({ sea }) => sea)).toEqual(gaps);
    const heavy = map.find(({ sea }) => sea.size === 'overhead' && sea.power === 'powerful')!;
    expect(heavy.goes).toEqual(['Gannet']);
    const { best } = quiverOf(boards, rider, USUAL_SCHOOLS, [heavy.sea]);
    expect(best).toEqual({ names: ['Gannet'], goes: 1, of: 1 });
    const learner: Rider = { ...rider, ability: 'novice' };
    const beyond = quiverOf(boards, learner, USUAL_SCHOOLS).map.filter((cell) => cell.beyond);
    expect(beyond.length).toBeGreaterThan(0);
    expect(beyond.every(({ goes }) => goes.length === 0)).toBe(true);
  });

  it('leaves out waves that are beyond the rider, and stands with no board at all', () => {
    const learner: Rider = { ...rider, ability: 'novice' };
    const { best, gaps } = quiverOf(owned('Lamplight'), learner, USUAL_SCHOOLS);
    expect(best.of).toBeLessThan(12);
    expect(gaps).not.toContainEqual({ size: 'wellOverhead', power: 'powerful' });
    expect(quiverOf([], rider, USUAL_SCHOOLS).best.names).toEqual([]);
  });
});
