import { describe, expect, it } from '@jest/globals';
import { USUAL_SCHEDULE, USUAL_WORKSHOP, usualShelf } from '@june-tide/core/make';
import { modelNamed } from '@june-tide/core/models';
import { type BoardRecord, versionMade } from '@june-tide/core/record';
import { type Rider, USUAL_SCHOOLS } from '@june-tide/core/rider';
import { USUAL_SETTINGS } from '@june-tide/core/record';
import {
  caseFor,
  factsFor,
  foamOf,
  laminatedFor,
  lastBoardOf,
  lastRecord,
  shapeFor,
  sizesFor,
  standingOf,
  takenFor,
  wavesOf,
} from './derived.ts';

const waves: Rider['waves'] = {
  size: 'waistToHead',
  power: 'medium',
  steepness: 'medium',
  chop: 'some',
  rubber: 'thin',
};
const rider: Rider = {
  id: 'maren',
  name: 'Maren',
  mass_kg: 76,
  weights: [],
  height_mm: 1780,
  age: 34,
  ability: 'advanced',
  surfsAWeek: 3,
  fitness: 'usual',
  stance: 'back',
  waves,
  boards: [],
};
const record = (id: string, model: string, day: string, change: Partial<BoardRecord> = {}): BoardRecord => ({
  id,
  number: 1,
  board: modelNamed(model)!,
  riderId: 'maren',
  rides: [],
  createdAt: `2026-${day}T09:00:00.000Z`,
  updatedAt: `2026-${day}T09:00:00.000Z`,
  ...change,
});
const shed = (...records: BoardRecord[]) => Object.fromEntries(records.map((entry) => [entry.id, entry]));

describe('what is usual in the shop', () => {
  it('is read from the twelve latest of its family, however the rack lists them', () => {
    const ours = record('ours', 'Slack Water', '11-01');
    const days = [7, 3, 15, 1, 9, 12, 5, 14, 2, 11, 4, 13, 6, 10, 8];
    const others = days.map((day) =>
      record(`r${day}`, 'Slack Water', `06-${String(day).padStart(2, '0')}`, {
        board: { ...modelNamed('Slack Water')!, length_mm: 1800 + day },
      }),
    );
    const fish = record('fish', 'Kettle', '10-01');
    const binned = record('binned', 'Slack Water', '10-02', { binnedAt: '2026-10-03T09:00:00.000Z' });
    const shop = { records: shed(ours, ...others, fish, binned), riders: {}, settings: USUAL_SETTINGS, shelf: [] };
    const own = caseFor(ours, shop, undefined).own ?? [];
    expect(own.map(({ shape }) => shape.board.length_mm)).toEqual(
      [15, 14, 13, 12, 11, 10, 9, 8, 7, 6, 5, 4].map((day) => 1800 + day),
    );
  });
});

describe('the board an order is judged against', () => {
  const ours = record('ours', 'Slack Water', '11-01');

  it('is the rider’s latest earlier one, of the same family first', () => {
    const older = record('older', 'Tin Roof', '02-01');
    const fish = record('fish', 'Kettle', '09-01');
    const later = record('later', 'Tin Roof', '12-01');
    const others = record('others', 'Tin Roof', '10-01', { riderId: 'kit' });
    expect(lastRecord(ours, shed(ours, older, fish, later, others))?.id).toBe('older');
    expect(lastRecord(ours, shed(ours, fish, later, others))?.id).toBe('fish');
    // Of two of the family the later, however the rack lists them.
    const newer = record('newer', 'Tin Roof', '08-01');
    expect(lastRecord(ours, shed(ours, older, newer, fish))?.id).toBe('newer');
    expect(lastRecord(ours, shed(ours, newer, older, fish))?.id).toBe('newer');
    expect(lastRecord(ours, shed(ours, later, others))).toBeUndefined();
    expect(lastRecord({ ...ours, riderId: null }, shed(ours, older))).toBeUndefined();
  });

  it('is the one the brief names, before any other', () => {
    const older = record('older', 'Tin Roof', '02-01');
    const named = record('named', 'Gannet', '01-01', { riderId: null });
    const brief = { waves, purpose: '', mustHaves: '', againstId: 'named' };
    expect(lastRecord({ ...ours, brief }, shed(ours, older, named))?.id).toBe('named');
  });

  it('is what the rider says of a board, when the rack has none', () => {
    const told = { ...rider, boards: [{ name: 'Old pintail', litres_L: 36, good: '', bad: '' }] };
    expect(lastBoardOf(ours, { records: shed(ours), riders: { maren: told } })).toMatchObject({
      name: 'Old pintail',
      litres_L: 36,
    });
    expect(lastBoardOf(ours, { records: shed(ours), riders: { maren: rider } })).toBeUndefined();
  });
});

describe('what an order is judged from', () => {
  const ours = record('ours', 'Slack Water', '11-01');
  const older = record('older', 'Tin Roof', '02-01');
  const shop = { records: shed(ours, older), riders: { maren: rider }, settings: USUAL_SETTINGS, shelf: [] };

  it('has the brief’s waves before the rider’s usual ones', () => {
    const brief = { waves: { ...waves, size: 'overhead' as const }, purpose: '', mustHaves: '' };
    expect(wavesOf(ours, shop.riders)?.size).toBe('waistToHead');
    expect(wavesOf({ ...ours, brief }, shop.riders)?.size).toBe('overhead');
  });

  it('has the board laid over before the last one', () => {
    expect(caseFor(ours, shop, undefined).last?.name).toBe('Tin Roof 1');
    const over = { board: modelNamed('Gannet')!, name: 'Gannet 2' };
    expect(caseFor(ours, shop, undefined, over).last?.name).toBe('Gannet 2');
  });

  it('is the version it was worked on from, once that was ridden and the board is another', () => {
    const tinRoof = record('last', 'Tin Roof', '02-01');
    const made = versionMade(ours, { id: 'v1', on: '2026-11-02', how: 'cut', why: '' });
    const wider = (of: BoardRecord): BoardRecord => ({
      ...of,
      board: { ...of.board, outline: { ...of.board.outline, width_mm: of.board.outline.width_mm + 4 } },
    });
    const ridden = { ...made, rides: [{ on: '2026-11-05', waves: '', words: 'stiff', version: 'v1' }] };
    const against = (of: BoardRecord) => {
      const shop = { records: shed(of, tinRoof), riders: { maren: rider }, settings: USUAL_SETTINGS, shelf: [] };
      return caseFor(of, shop, undefined).last;
    };
    expect(against(wider(made))?.name).toBe('Tin Roof 1');
    expect(against(ridden)?.name).toBe('Tin Roof 1');
    expect(against(wider(ridden))?.name).toBe('version 1');
    expect(against(wider(ridden))?.facts.shape.board).toBe(made.versions![0].board);
  });

  it('knows how it is glassed only where the shop has said so, and what it weighs from the scales before the sums', () => {
    expect(caseFor(ours, shop, undefined).build).toBeUndefined();
    const glass = { ...USUAL_SCHEDULE, deck: ['e6', 'e4'] as const, deckPatch: 'e4' as const };
    const glassed = { ...ours, glass: { ...glass, deck: [...glass.deck] } };
    const { build } = caseFor(glassed, shop, undefined);
    expect(build).toMatchObject({ deck_oz: 10, bottom_oz: 4, deckPatch: true, tailPatch: false });
    const sums = laminatedFor(glassed, [], USUAL_SETTINGS.workshop);
    expect(sums.ok && sums.laminate.mass_kg).toBe(build?.mass_kg);
    const weighed = { ...glassed, shaped: { on: '2026-11-20', readings: {}, mass_kg: 2.7 } };
    expect(caseFor(weighed, shop, undefined).build?.mass_kg).toBe(2.7);
  });

  it('has litres by the shop’s school first, and none without a rider', () => {
    const first = (sizing: (typeof USUAL_SCHOOLS)['sizing']) =>
      sizesFor(ours, { ...shop, settings: { ...USUAL_SETTINGS, schools: { ...USUAL_SCHOOLS, sizing } } })[0]?.school;
    expect(first('stepFromLast')).toBe('stepFromLast');
    expect(first('lengthForWave')).toBe('lengthForWave');
    expect(sizesFor({ ...ours, riderId: null }, shop)).toEqual([]);
  });

  it('keeps the facts of a board and a rider, made once', () => {
    expect(factsFor(ours.board, 1780)).toBe(factsFor(ours.board, 1780));
    expect(factsFor(ours.board, 1780)).not.toBe(factsFor(ours.board, 1600));
  });
});

describe('an order in the making', () => {
  const shelf = usualShelf();
  const eps = shelf.find(({ foam }) => foam === 'eps2')!;
  const brief = { waves, purpose: '', mustHaves: '', dueOn: '2026-12-18' };

  it('stands by its due day only while it is on the line', () => {
    const order = { stage: 'sand', on: '2026-11-20' };
    const at = (change: Partial<BoardRecord>) =>
      standingOf(record('a', 'Slack Water', '11-01', { brief, ...change }), USUAL_WORKSHOP, '2026-12-14');
    // Sand, fins and their wait, finish and its wait, ride-away: a Monday's start is a Friday's board.
    expect(at({ order })).toMatchObject({ ready: '2026-12-18', inHand_days: 0 });
    expect(at({})).toBeUndefined();
    expect(at({ order: { ...order, doneOn: '2026-12-01' } })).toBeUndefined();
    expect(at({ order, brief: { ...brief, dueOn: 'soon' } })?.inHand_days).toBeUndefined();
  });

  it('has the foam of its blank, and the usual one until a blank is taken or when it is off the shelf', () => {
    expect(foamOf(record('a', 'Slack Water', '11-01', { blankId: eps.id }), shelf)).toMatchObject({ foam: 'eps2' });
    expect(foamOf(record('a', 'Slack Water', '11-01'), shelf)).toEqual({ foam: 'pu', stringer_mm: 4 });
    expect(foamOf(record('a', 'Slack Water', '11-01', { blankId: 'gone' }), shelf).foam).toBe('pu');
  });

  it('is counted against its blank while it is on the line and not cut', () => {
    const on = { stage: 'blank', on: '2026-11-20' };
    const at = (id: string, change: Partial<BoardRecord>) =>
      record(id, 'Slack Water', '11-01', { blankId: eps.id, ...change });
    const records = shed(
      at('waiting', { order: on }),
      at('cut', { order: on, blankCut: true }),
      at('gone', { order: { ...on, doneOn: '2026-11-24' } }),
      at('only drawn', {}),
    );
    expect(takenFor(eps.id, records)).toBe(1);
    expect(takenFor(eps.id, records, 'waiting')).toBe(0);
    expect(takenFor('another', records)).toBe(0);
  });

  it('weighs by the shop’s own figures', () => {
    const heavy = { ...USUAL_WORKSHOP, glass: { ...USUAL_WORKSHOP.glass, hotCoat_gm2: 400 } };
    const [usual, own] = [USUAL_WORKSHOP, heavy].map((workshop) =>
      laminatedFor(record('a', 'Slack Water', '11-01'), shelf, workshop),
    );
    expect(usual.ok && own.ok && own.laminate.mass_kg > usual.laminate.mass_kg).toBe(true);
  });
});

describe('the shape of a board that is dragged', () => {
  const board = modelNamed('Slack Water')!;
  const wider = (from: typeof board, i: number) => ({
    ...from,
    outline: { ...from.outline, width_mm: from.outline.width_mm + i / 8 },
  });

  it('keeps rocker and foil through every frame, with a rider, a last board and another laid over', () => {
    const ours = record('ours', 'Slack Water', '11-01');
    const older = record('older', 'Tin Roof', '02-01');
    const shop = { records: shed(ours, older), riders: { maren: rider }, settings: USUAL_SETTINGS, shelf: [] };
    const first = shapeFor(board, 'ours');
    let kept = 0;
    for (let i = 1; i <= 40; i++) {
      const frame = { ...ours, board: wider(board, i) };
      const shape = shapeFor(frame.board, 'ours');
      const judged = caseFor(frame, shop, undefined, { board: modelNamed('Gannet')!, name: 'Gannet 2' });
      expect(judged.facts.shape).toBe(shape);
      if (shape.rocker === first.rocker && shape.foil === first.foil) kept += 1;
    }
    expect(kept).toBe(40);
  });

  it('is not taken from another board’s, and is made once', () => {
    const gannet = shapeFor(modelNamed('Gannet')!, 'other');
    const ours = shapeFor(wider(board, 99), 'ours');
    expect(ours.rocker).not.toBe(gannet.rocker);
    expect(shapeFor(ours.board, 'ours')).toBe(ours);
    expect(shapeFor(ours.board)).toBe(ours);
  });
});

describe('a board nobody measured', () => {
  it('has no length made up for it', () => {
    const told = { ...rider, boards: [{ name: 'Old pintail', litres_L: 36, good: '', bad: '' }] };
    const ours = record('ours', 'Slack Water', '11-01');
    expect(lastBoardOf(ours, { records: shed(ours), riders: { maren: told } })).toEqual({
      name: 'Old pintail',
      litres_L: 36,
    });
    const measured = { ...told, boards: [{ ...told.boards[0], length_mm: 2000 }] };
    expect(lastBoardOf(ours, { records: shed(ours), riders: { maren: measured } })?.length_mm).toBe(2000);
  });
});
