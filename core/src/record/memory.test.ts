// What a shed remembers besides versions: fin layouts, winners copied, blind trials, families, and questions asked of all of it.
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import Papa from 'papaparse';
import { DEMO_RIDERS } from '../demo/demoShed.ts';
import { boardSchema } from '../document/schema.ts';
import { FIN_TEMPLATES, withSetup } from '../fins/placement.ts';
import { lever } from '../judge/levers.ts';
import { measure } from '../measure/measure.ts';
import { modelNamed } from '../models/models.ts';
import { shapeOf } from '../shape/shape.ts';
import { INCH_mm } from '../units/length.ts';
import { answering, type Filter, questionSentence } from './ask.ts';
import { answersOf } from './askAnswers.ts';
import { filtersFrom } from './askRead.ts';
import { withTrialChosen, withTrialDealt } from './blind.ts';
import { boardsToCsv } from './boardsCsv.ts';
import { judgedChanges, ridesOf } from './helped.ts';
import { boardsOf, familyTree, withRelatives } from './familyTree.ts';
import {
  boxesApart,
  layoutsOf,
  slide_mm,
  withCutBox,
  withFinSet,
  withLayoutAdded,
  withLayoutFitted,
  withLayoutKept,
  withoutLayout,
} from './finLayouts.ts';
import { type BoardRecord, boardRecordSchema, LETTERS, MOST_LAYOUTS, type Parent } from './record.ts';
import type { Ride } from './ride.ts';
import { atVersion, parentOf, versionMade, withFrozen, withParent } from './versions.ts';
import { driftFrom, winnerOf } from './winner.ts';

const slack = modelNamed('Slack Water')!;
const five = withSetup(slack, 'fiveBox');
const day = (n: number) => `2026-03-${String(n).padStart(2, '0')}`;
const recordOf = (id: string, more: Partial<BoardRecord> = {}): BoardRecord => ({
  id,
  number: 1,
  board: slack,
  riderId: null,
  rides: [],
  createdAt: `${day(1)}T09:00:00.000Z`,
  updatedAt: `${day(1)}T09:00:00.000Z`,
  ...more,
});
const making = (id: string) => ({ id, on: day(2), how: 'made' as const, why: '' });

describe('fin layouts', () => {
  const start = recordOf('a', { board: five });
  const left = { id: 'left', name: 'Left' };
  const quad = withLayoutAdded(start, { id: 'quad', name: 'Quad', fins: withSetup(five, 'quad').fins }, left);

  it('are switched to and fro and nothing moves', () => {
    const back = withLayoutFitted(quad, 'left', { id: 'x', name: 'X' });
    expect(back.board.fins).toEqual(five.fins);
    expect(withLayoutFitted(back, 'quad', left).board.fins).toEqual(withSetup(five, 'quad').fins);
    expect(layoutsOf(back)).toHaveLength(2);
    expect(boardRecordSchema.safeParse(back).success).toBe(true);
  });

  it('keep what was moved while they were fitted, and only that one', () => {
    const [box] = quad.board.fins.boxes;
    const boxes = [{ ...box, toe_rad: 0.05 }, ...quad.board.fins.boxes.slice(1)];
    const toed: BoardRecord = { ...quad, board: { ...quad.board, fins: { ...quad.board.fins, boxes } } };
    const other = withLayoutFitted(toed, 'left', left);
    expect(other.board.fins).toEqual(five.fins);
    expect(withLayoutFitted(other, 'quad', left).board.fins.boxes[0].toe_rad).toBe(0.05);
    const added = withLayoutAdded(toed, { id: 'three', name: 'Three', fins: five.fins }, left);
    expect(layoutsOf(added).find(({ id }) => id === 'quad')?.fins.boxes[0].toe_rad).toBe(0.05);
  });

  it('take in fins that belong to none before others are put in, once', () => {
    const held = withoutLayout(quad, 'quad');
    expect(held.fitted).toBeUndefined();
    expect(held.board.fins.setup).toBe('quad');
    const fitted = withLayoutFitted(held, 'left', { id: 'kept', name: 'As it stood' });
    expect(layoutsOf(fitted).map(({ id, fins }) => [id, fins.setup])).toEqual([
      ['left', 'fiveBox'],
      ['kept', 'quad'],
    ]);
  });

  it('come back with the version they were ridden in, and none is written over', () => {
    const one = versionMade(start, making('v1'));
    const two = versionMade(
      withLayoutAdded(one, { id: 'quad', name: 'Quad', fins: withSetup(five, 'quad').fins }, left),
      making('v2'),
    );
    const back = atVersion(two, 'v1', making('v3'));
    expect(back.fitted).toBe('left');
    const again = withLayoutFitted(back, 'quad', left);
    expect(again.board.fins.setup).toBe('quad');
    expect(layoutsOf(again).find(({ id }) => id === 'left')?.fins).toEqual(five.fins);
  });

  it('say which box they have in two places, by the middle of the base', () => {
    expect(boxesApart(withLayoutKept(start, 'same', 'Same'))).toEqual([]);
    const moved = five.fins.boxes.map((box) =>
      box.role === 'front' ? { ...box, trailingEdge_mm: box.trailingEdge_mm + 8 } : box,
    );
    const apart = withLayoutAdded(start, { id: 'm', name: 'Moved', fins: { ...five.fins, boxes: moved } }, left);
    expect(boxesApart(apart)).toEqual([
      { one: 'Left', other: 'Moved', role: 'front', along_mm: expect.closeTo(8, 9), across_mm: 0 },
    ]);
    // A longer fin in the same box has another trailing edge and the same middle.
    const longer = five.fins.boxes.map((box) => ({
      ...box,
      trailingEdge_mm: box.trailingEdge_mm - 5,
      template: { ...box.template, base_mm: box.template.base_mm + 10 },
    }));
    expect(
      boxesApart(withLayoutAdded(start, { id: 'l', name: 'L', fins: { ...five.fins, boxes: longer } }, left)),
    ).toEqual([]);
  });

  it('take a set out of the drawer where the boxes are, by role', () => {
    const pivot = { ...FIN_TEMPLATES.side, name: 'Own', base_mm: 120, tip: 1.2 };
    const set = { fins: [{ role: 'front' as const, template: pivot, inside: 'cupped' as const }] };
    const board = withFinSet(five, set);
    five.fins.boxes.forEach((was, i) => {
      const is = board.fins.boxes[i];
      if (was.role !== 'front') expect(is).toBe(was);
      else {
        expect(is.template).toBe(pivot);
        expect(is.trailingEdge_mm + 60).toBeCloseTo(was.trailingEdge_mm + was.template.base_mm / 2, 9);
      }
    });
    expect(boardSchema.safeParse(board).success).toBe(true);
  });

  it('stand in boxes: a long one lets its fin slide, a short one says when the base is too long for it', () => {
    const long = { role: 'centre', kind: 'longBox', length_mm: 267 } as const;
    expect(slide_mm(long, 167)).toBeCloseTo(94, 9);
    expect(slide_mm({ ...long, kind: 'glassedOn', length_mm: 0 }, 167)).toBe(0);
    expect(slide_mm({ ...long, kind: 'shortBox', length_mm: 114 }, 112)).toBe(0);
    expect(slide_mm({ ...long, kind: 'shortBox', length_mm: 100 }, 112)).toBeCloseTo(-6, 9);
    const boxed = withCutBox(withCutBox(start, 'centre', long), 'front', { kind: 'twoTab', length_mm: 114 });
    expect(withCutBox(boxed, 'centre', undefined).finBoxes).toEqual([
      { role: 'front', kind: 'twoTab', length_mm: 114 },
    ]);
    expect(boardRecordSchema.safeParse(boxed).success).toBe(true);
  });

  it('are refused when there are too many', () => {
    let full = start;
    for (let i = 0; i < MOST_LAYOUTS; i++) full = withLayoutKept(full, `l${i}`, `L${i}`);
    expect(() => withLayoutKept(full, 'more', 'More')).toThrow(RangeError);
    expect(() => withLayoutFitted(full, 'none', left)).toThrow(RangeError);
  });
});

describe('a winner copied', () => {
  const made = withFrozen(versionMade(recordOf('w'), making('v1')), 'v1', { on: day(3), mass_kg: 2.6 });
  const copy = recordOf('c', { parents: [parentOf(made, 'copy', 'v1')] });

  it('is as the winner while no number is off by more than the hand is', () => {
    expect(driftFrom(slack, slack)).toEqual([]);
    const by = (mm: number) => ({ ...slack, outline: { ...slack.outline, width_mm: slack.outline.width_mm + mm } });
    expect(driftFrom(slack, by(0.4))).toEqual([]);
    const [first] = driftFrom(slack, by(6));
    expect(first.key).toBe('width_mm');
    expect(first.to - first.from).toBeCloseTo(6, 6);
  });

  it('names rocker, foil, block and fins where they are what differs', () => {
    const keys = (id: Parameters<typeof lever>[0], steps = 2) =>
      driftFrom(slack, lever(id).move(slack, steps)).map(({ key }) => key);
    expect(keys('noseRocker')).toContain('noseRocker_mm');
    expect(keys('block')).toContain('block_mm');
    expect(keys('thickness')).toContain('thickness_mm');
    expect(keys('finSize', 3)).toContain('finArea_mm2');
  });

  it('knows its winner through copies of copies, but not through a half or a lesson', () => {
    const again = recordOf('cc', { parents: [parentOf(copy, 'copy')] });
    const records = { w: made, c: copy, cc: again };
    expect(winnerOf(again, records)?.version.id).toBe('v1');
    expect(winnerOf(made, records)).toBeUndefined();
    const half = recordOf('h', { parents: [parentOf(made, 'front', 'v1')] });
    expect(winnerOf(half, records)).toBeUndefined();
    // Let go, it is no winner any more.
    expect(winnerOf(copy, { w: withFrozen(made, 'v1', undefined) })).toBeUndefined();
    const round = recordOf('r', { parents: [{ kind: 'copy', id: 'r', name: 'itself' }] });
    expect(winnerOf(round, { r: round })).toBeUndefined();
  });
});

describe('a blind trial', () => {
  it('deals every letter once, in any order, and tells nothing by its order', () => {
    const seen = new Set<string>();
    for (let first = 0; first < 3; first++) {
      for (let then = 0; then < 2; then++) {
        const draws = [first, then];
        const { trials } = withTrialDealt(recordOf('a'), 'v', day(1), ['PU', 'EPS', 'wood'], () => draws.shift() ?? 0);
        const [{ variants }] = trials!;
        expect(variants.map(({ letter }) => letter)).toEqual(['A', 'B', 'C']);
        seen.add(variants.map(({ what }) => what).join());
      }
    }
    // Six draws, six orders: each is as likely as another.
    expect(seen.size).toBe(6);
  });

  it('takes one choice and keeps it', () => {
    const dealt = withTrialDealt(recordOf('a'), 'v', day(1), ['PU', 'EPS'], () => 0);
    const chosen = withTrialChosen(dealt, 0, { letter: 'B', on: day(2), words: 'livelier' });
    const again = withTrialChosen(chosen, 0, { letter: 'A', on: day(3), words: 'no, that one' });
    expect(again.trials?.[0].chosen?.letter).toBe('B');
    expect(withTrialChosen(dealt, 0, { letter: 'F', on: day(2), words: '' }).trials?.[0].chosen).toBeUndefined();
    expect(boardRecordSchema.safeParse(again).success).toBe(true);
    expect(() => withTrialDealt(recordOf('a'), 'v', day(1), ['one'], () => 0)).toThrow(RangeError);
    expect(() => withTrialDealt(recordOf('a'), 'v', day(1), [...LETTERS, 'more'], () => 0)).toThrow(RangeError);
  });
});

describe('the family tree', () => {
  const child = (id: string, n: number, ...parents: [Parent['kind'], string][]) =>
    recordOf(id, {
      createdAt: `${day(n)}T09:00:00.000Z`,
      parents: parents.map(([kind, of]) => ({ kind, id: of, name: `${of} 1` })),
    });

  it('stands boards under what they were begun from; halves and lessons are a second line', () => {
    const tree = familyTree([
      child('joined', 5, ['copy', 'b'], ['front', 'a2']),
      child('a2', 3, ['next', 'a']),
      recordOf('a'),
      recordOf('b'),
      recordOf('lone'),
    ]);
    expect(tree.families.map((family) => boardsOf(family).map(({ id }) => id))).toEqual([
      ['a', 'a2'],
      ['b', 'joined'],
    ]);
    expect(tree.second).toEqual([{ parent: 'a2', child: 'joined', kind: 'front', version: undefined }]);
    expect(tree.alone.map(({ id }) => id)).toEqual(['lone']);
  });

  it('keeps the name of a parent that was thrown away', () => {
    const tree = familyTree([child('c', 2, ['copy', 'gone'])]);
    expect(tree.families[0]).toMatchObject({ id: 'gone', name: 'gone 1', record: undefined });
  });

  it('lets a board learn from its own children without losing whose child they are', () => {
    const tree = familyTree([
      { ...recordOf('a'), parents: [{ kind: 'lessons', id: 'kid', name: 'kid 1' }] },
      child('kid', 4, ['copy', 'a']),
    ]);
    expect(tree.lines).toEqual([{ parent: 'a', child: 'kid', kind: 'copy', version: undefined }]);
  });

  it('has no cycle and every board once, whatever the records say', () => {
    const ids = ['a', 'b', 'c', 'd', 'e', 'f'];
    const kinds = ['copy', 'next', 'size', 'front', 'lessons'] as const;
    const parents = fc.array(fc.tuple(fc.constantFrom(...kinds), fc.constantFrom(...ids, 'gone')), { maxLength: 4 });
    fc.assert(
      fc.property(fc.tuple(...ids.map(() => parents)), (of) => {
        const records = ids.map((id, i) => child(id, i + 1, ...of[i]));
        const { families, alone, lines } = familyTree(records);
        const standing = families.flatMap(boardsOf).map(({ id }) => id);
        expect(new Set(standing).size).toBe(standing.length);
        const all = [...standing.filter((id) => id !== 'gone'), ...alone.map(({ id }) => id)].sort();
        expect(all).toEqual(ids);
        // Kahn: a graph without cycles is taken apart leaf by leaf.
        let left = lines;
        for (let before = -1; before !== left.length;) {
          before = left.length;
          left = left.filter(({ parent }) => left.some((line) => line.child === parent));
        }
        expect(left).toEqual([]);
      }),
      { seed: 1616, numRuns: 300 },
    );
  });

  it('is cut to what was asked for and its relatives, not their other children', () => {
    const { lines } = familyTree([
      recordOf('a'),
      child('b', 2, ['next', 'a']),
      child('c', 3, ['next', 'b']),
      child('d', 4, ['copy', 'a']),
    ]);
    expect([...withRelatives(new Set(['b']), lines)].sort()).toEqual(['a', 'b', 'c']);
  });

  it('has one parent for each half, and a name anew for one that is there', () => {
    const one = withParent(recordOf('x'), { kind: 'front', id: 'a', name: 'A 1' });
    const two = withParent(withParent(one, { kind: 'front', id: 'b', name: 'B 1' }), {
      kind: 'lessons',
      id: 'a',
      name: 'A 1',
    });
    expect(two.parents?.map(({ kind, id }) => `${kind} ${id}`)).toEqual(['front b', 'lessons a']);
    expect(withParent(two, { kind: 'lessons', id: 'a', name: 'A 2' }).parents?.at(-1)?.name).toBe('A 2');
  });
});

describe('which change helped a rider', () => {
  it('is each version against the one it was drawn from, by their own rides', () => {
    const wider = { ...slack, outline: { ...slack.outline, width_mm: slack.outline.width_mm + INCH_mm / 4 } };
    const one = versionMade(recordOf('a', { riderId: 'ana' }), making('v1'));
    const two = versionMade({ ...one, board: wider }, making('v2'));
    const ridden = (more: Partial<Ride>): Ride => ({ on: day(5), waves: '', words: '', version: 'v2', ...more });
    const record = {
      ...two,
      rides: [
        ridden({ on: day(9), felt: 'worse', riderId: 'kit' }),
        ridden({ on: day(8), felt: 'better' }),
        ridden({ on: day(7), felt: 'better', riderId: 'ana' }),
        // Of the first there is nothing before, and what was the same says nothing.
        ridden({ on: day(6), felt: 'worse', version: 'v1' }),
        ridden({ on: day(5), felt: 'same' }),
        ridden({ on: day(4), felt: 'worse', rider: 'a guest' }),
      ],
    };
    const style = { kind: 'fraction', denominator: 16 } as const;
    const judged = (id: string) =>
      judgedChanges(id, [record], style).map(({ no, felt, on, words }) => [no, felt, on, words]);
    expect(judged('ana')).toEqual([[2, 'better', day(8), 'Width 19 1/4 to 19 1/2.']]);
    expect(judged('kit')).toEqual([[2, 'worse', day(9), 'Width 19 1/4 to 19 1/2.']]);
    expect(ridesOf('ana', [record]).map(({ ride }) => ride.on)).toEqual([8, 7, 6, 5].map(day));
  });
});

describe('questions to the shed', () => {
  const riders = Object.fromEntries(DEMO_RIDERS.map((rider) => [rider.id, rider]));
  const asked = (question: string) => filtersFrom(question, DEMO_RIDERS);
  const shed = { riders, litresOf: ({ board }: BoardRecord) => measure(shapeOf(board)).volume_L };
  const IN = { style: { kind: 'fraction', denominator: 16 }, mass: 'kg' } as const;
  const ride = (more: Partial<Ride>): Ride => ({ on: day(5), waves: '', words: 'went', ...more });

  it('are understood as a shaper asks them, and read back', () => {
    const filters = asked('back-footed, 70 to 80 kg, steep, came back well');
    expect(filters).toEqual([
      { of: 'mass', low_kg: 70, high_kg: 80 },
      { of: 'stance', is: 'back' },
      { of: 'felt', is: 'better' },
      { of: 'steepness', is: 'steep' },
    ]);
    expect(questionSentence(filters, IN)).toBe(
      'Boards for or ridden by back-footed riders of 70 kg to 80 kg in steep waves that went better than the board before.',
    );
  });

  it.each<[string, Filter[]]>([
    [
      "fish and twins under 6'0",
      [
        { of: 'length', low_mm: 0, high_mm: 1828.8 },
        { of: 'family', is: 'fish' },
        { of: 'family', is: 'twin' },
      ],
    ],
    ['over 200 lb', [{ of: 'mass', low_kg: 90.718474, high_kg: Infinity }]],
    [
      '28,5 to 31 litres quads',
      [
        { of: 'litres', low_L: 28.5, high_L: 31 },
        { of: 'setup', is: 'quad' },
      ],
    ],
    ['what came back?', [{ of: 'failure', is: 'any' }]],
    ['came back broken', [{ of: 'failure', is: 'broken' }]],
    [
      'what did we make for Maren in 2026',
      [
        { of: 'rider', is: 'maren', name: 'Maren' },
        { of: 'year', is: 2026 },
        { of: 'word', is: 'did' },
      ],
    ],
    ['Maren’s boards', [{ of: 'rider', is: 'maren', name: 'Maren' }]],
    [
      'twin fins, well overhead',
      [
        { of: 'setup', is: 'twin' },
        { of: 'size', is: 'wellOverhead' },
      ],
    ],
    ['magic', [{ of: 'state', is: 'winner' }]],
    ['slides in cutbacks', [{ of: 'complaint', is: 'slides-cutback' }]],
    ['kelp', [{ of: 'word', is: 'kelp' }]],
    ['marenade', [{ of: 'word', is: 'marenade' }]],
    ['', []],
  ])('%s', (question, filters) => {
    const got = asked(question);
    const rounded = got.map((filter) => {
      if (filter.of === 'mass') return { ...filter, low_kg: Number(filter.low_kg.toFixed(6)) };
      return filter.of === 'length' ? { ...filter, high_mm: Number(filter.high_mm.toFixed(6)) } : filter;
    });
    expect(rounded).toEqual(filters);
  });

  it('take a board’s name for a name, whatever else it says', () => {
    expect(asked('slow bell')).toEqual([{ of: 'complaint', is: 'slow-line' }]);
    expect(filtersFrom('Slow Bell 3, fish', DEMO_RIDERS, ['Slow Bell'])).toEqual([
      { of: 'word', is: 'slow' },
      { of: 'word', is: 'bell' },
      { of: 'family', is: 'fish' },
      { of: 'word', is: '3' },
    ]);
  });

  it('never throw, whatever is typed, and always say something', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 80, unit: 'binary' }), (text) => {
        expect(questionSentence(asked(text), IN)).toMatch(/\.$/);
      }),
      { seed: 99, numRuns: 500 },
    );
  });

  it('want one and the same outing to answer', () => {
    const board = recordOf('a', {
      rides: [
        ride({ riderId: 'maren', steepness: 'soft', felt: 'better' }),
        ride({ riderId: 'kit', steepness: 'steep', felt: 'worse' }),
      ],
    });
    const found = (question: string) => answering([board], asked(question), shed).length;
    expect(found('steep, better')).toBe(0);
    expect(found('steep, worse')).toBe(1);
    expect(found('back-footed, better')).toBe(1);
    expect(found('front-footed, better')).toBe(0);
    expect(found('front-footed or back-footed, better')).toBe(1);
    expect(found('74 to 78 kg')).toBe(1);
    expect(found('100 to 120 kg')).toBe(0);
  });

  it('take the weight and stance of the day before the card’s', () => {
    const board = recordOf('a', { rides: [ride({ riderId: 'maren', mass_kg: 90, stance: 'front' })] });
    expect(answering([board], asked('front-footed 88 to 92 kg'), shed)).toHaveLength(1);
    expect(answering([board], asked('back-footed'), shed)).toHaveLength(0);
  });

  it('answer of an order where nothing was ridden, but not of how it went', () => {
    const ordered = recordOf('a', { riderId: 'ruan' });
    expect(answering([ordered], asked('powerful'), shed)).toHaveLength(1);
    expect(answering([ordered], asked('powerful, better'), shed)).toHaveLength(0);
  });

  it('find sizes, words that were said, damage, and what stands where', () => {
    const board = recordOf('a', {
      rides: [ride({ words: 'Flew down the line at the kelp beds' })],
      failures: [{ on: day(6), what: 'crackedBox', words: 'front left', done: 'boxed anew' }],
      order: { stage: 'sand', on: day(7), doneOn: day(9) },
    });
    const found = (question: string) => answering([board], asked(question), shed).length;
    const L = measure(shapeOf(slack)).volume_L;
    expect(found(`over ${(L - 0.1).toFixed(2)} litres`)).toBe(1);
    expect(found(`under ${(L - 0.1).toFixed(2)} litres`)).toBe(0);
    expect(found('kelp flew')).toBe(1);
    expect(found('kelp sank')).toBe(0);
    expect(found('cracked box')).toBe(1);
    expect(found('dented')).toBe(0);
    expect(found('out of the door')).toBe(1);
    expect(found('on the line')).toBe(0);
  });

  it('are answered in sums: what, for whom, how it went, foam and hours', () => {
    const done = { stage: 'x', on: day(1), doneOn: day(2) };
    const two = [
      recordOf('a', { riderId: 'kit', order: done, rides: [ride({ felt: 'better' }), ride({ felt: 'worse' })] }),
      recordOf('b', { riderId: 'kit', failures: [{ on: day(3), what: 'dented', words: '', done: '' }] }),
    ];
    const L = measure(shapeOf(slack)).volume_L;
    expect(answersOf(two, shed, 12.75)).toEqual({
      boards: 2,
      families: [{ family: 'shortboard', boards: 2 }],
      riders: [{ name: 'Kit', boards: 2 }],
      rides: 2,
      felt: { better: 1, same: 0, worse: 1 },
      failures: [{ what: 'dented', times: 1 }],
      litres_L: expect.closeTo(2 * L, 9),
      out: 1,
      hours_h: 12.75,
    });
  });

  it('go out as a table in which no name is a formula, and of riders only the name, where asked for', () => {
    const sly = recordOf('a', { board: { ...slack, name: '=1+1, "x"' }, riderId: 'kit' });
    const measures = ({ board }: BoardRecord) => measure(shapeOf(board));
    const plain = boardsToCsv([sly], measures);
    const [row] = Papa.parse(plain, { header: true, skipEmptyLines: true }).data as Record<string, string>[];
    expect(row.name).toBe('\'=1+1, "x"');
    expect(Number(row.volume_L)).toBeCloseTo(measure(shapeOf(slack)).volume_L, 2);
    expect(plain).not.toContain('Kit');
    const named = boardsToCsv([sly], measures, () => 'Kit');
    expect(named).toContain('Kit');
    expect(named).not.toContain('69');
  });
});
