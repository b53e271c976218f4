import { describe, expect, it } from '@jest/globals';
import type { Board } from '../document/schema.ts';
import { modelNamed, models } from '../models/models.ts';
import { INCH_mm } from '../units/length.ts';
import { judged, verdict } from './judge.ts';
import { writerOf } from './writer.ts';
import { lever } from './levers.ts';
import { USUAL_SCHOOLS } from '../rider/schools.ts';
import { caseOf, type WAVES } from '../testing/cases.ts';

const model = (name: string): Board => modelNamed(name)!;
const outline = (board: Board, change: Partial<Board['outline']>): Board => ({
  ...board,
  outline: { ...board.outline, ...change },
});
const withFins = (board: Board, change: (box: Board['fins']['boxes'][number]) => Board['fins']['boxes'][number]) => ({
  ...board,
  fins: { ...board.fins, boxes: board.fins.boxes.map(change) },
});
const slack = model('Slack Water');
/** Each model with the rider and the waves it is for. */
const ELEMENT: Readonly<Record<string, [rider: Parameters<typeof caseOf>[1]['rider'], waves: keyof typeof WAVES]>> = {
  'Slack Water': ['usual', 'usual'],
  'Tin Roof': ['usual', 'usual'],
  'Penny Step': ['usual', 'weak'],
  'Salt Ladder': ['usual', 'weak'],
  Gannet: ['usual', 'steep'],
  Kettle: ['usual', 'weak'],
  'Peat Fire': ['usual', 'weak'],
  'Two Stairs': ['usual', 'usual'],
  'Two Lanterns': ['usual', 'usual'],
  'Night Mail': ['usual', 'usual'],
  Lamplight: ['usual', 'weak'],
  'Slow Ferry': ['usual', 'weak'],
  'Broad Acre': ['usual', 'usual'],
  'Long Quay': ['usual', 'weak'],
  'Copper Pan': ['usual', 'weak'],
  'Low Sluice': ['usual', 'usual'],
  'Ebb Lane': ['usual', 'usual'],
  'Split Shift': ['usual', 'usual'],
  'Half Mile': ['usual', 'usual'],
  'Old Anchor': ['usual', 'weak'],
  'Slow Bell': ['usual', 'usual'],
  Skerry: ['usual', 'steep'],
  'Iron Gate': ['usual', 'steep'],
  'Last Light': ['usual', 'huge'],
  'Grey Door': ['usual', 'steep'],
  'North Ledge': ['usual', 'huge'],
};

describe('our models in their own element', () => {
  it.each(models().map((board) => [board.name, board] as const))('%s draws no conflict', (name, board) => {
    const [rider, waves] = ELEMENT[name];
    // The rider its litres suit.
    const c = caseOf(board, { ...(rider ? { rider } : {}), waves, massFor: board });
    expect(
      verdict(c)
        .filter((rule) => rule.level === 'conflict')
        .map((rule) => rule.id),
    ).toEqual([]);
  });
});

describe('wrong pairings, as a shaper would put them', () => {
  const inches = (n: number) => n * INCH_mm;
  const tail12 = (board: Board, value: number): Board =>
    outline(board, {
      marks: board.outline.marks.map((mark) => (mark.from === 'tail' ? { ...mark, value_mm: inches(value) } : mark)),
    });
  const soft = (board: Board): Board => ({
    ...board,
    rails: {
      tailEdge: { length_mm: 0, fade_mm: 50, hardness: 0 },
      stations: board.rails.stations.map((r) => ({ ...r, edge: 0.1 })),
    },
  });
  const hard = (board: Board, to: number): Board => ({
    ...board,
    rails: { ...board.rails, tailEdge: { length_mm: inches(to), fade_mm: 60, hardness: 0.9 } },
  });
  const lift = (board: Board, nose: number): Board =>
    lever('noseRocker').move(board, (nose - board.rocker.noseLift_mm / INCH_mm) * 8);
  const cases: [plain: string, rule: string, Parameters<typeof caseOf>[1], Board][] = [
    [
      'a very wide square tail for a front-footed rider in overhead waves',
      'wide-tail-front-foot-big',
      { rider: 'front', waves: 'big' },
      tail12(withTailSquare(slack), 16.2),
    ],
    ['hard edges forward on a single fin', 'hard-ahead-of-single', {}, hard(model('Long Quay'), 34)],
    ['four soft-railed fins', 'soft-tail-several', {}, soft(model('Salt Ladder'))],
    ['a 60 kg novice on an expert’s board', 'not-to-learn-on', { rider: 'novice', massFor: slack }, slack],
    ['a dead flat entry in steep waves', 'flat-entry-steep', { waves: 'steep' }, lift(slack, 3)],
    [
      'concave in the nose for a chopped-up spot, in a shop of bellies',
      'nose-concave-chop',
      { waves: 'choppy', schools: { ...USUAL_SCHOOLS, shortNose: 'belly' } },
      lever('noseHollow').move(slack, 4),
    ],
    ['a keel fish in big powerful waves', 'past-its-waves', { waves: 'huge' }, model('Kettle')],
    ['a gun in knee-high slop', 'gun-for-small', { waves: 'weak' }, model('North Ledge')],
    ['a longboard for well overhead', 'past-its-waves', { waves: 'huge' }, model('Long Quay')],
    ['a six-footer for well overhead', 'short-for-size', { waves: 'huge' }, slack],
    ['a twin for well overhead', 'twin-big', { waves: 'huge' }, model('Two Stairs')],
    [
      'a deep nose concave in steep waves',
      'deep-nose-concave-steep',
      { waves: 'steep' },
      lever('noseConcave').move(model('Long Quay'), 4),
    ],
    [
      'a straight outline with a flat entry under a front foot',
      'straight-flat-front-foot',
      { rider: 'front', waves: 'big' },
      lift(lever('curvier').move(slack, -5), 3),
    ],
    ['a tail a quarter inch thicker than the nose', 'foil-aft-extreme', {}, lever('foilForward').move(slack, -5)],
    ['fin boxes out in the rail', 'fin-foam', {}, withFins(slack, (box) => ({ ...box, inset_mm: 3 }))],
    ['a 104 kg rider on 27 litres', 'litres-far-below', { rider: 'heavy' }, model('Two Stairs')],
    ['thin rails under a heavy rider', 'heavy-thin-rail', { rider: 'heavy' }, lever('railFullness').move(slack, -4)],
    ['a learner on down rails', 'down-rails-learner', { rider: 'novice' }, lever('railDown').move(slack, 2)],
    ['a sharp rail in the nose', 'hard-nose', {}, lever('foreEdge').move(slack, 3)],
    ['a pulled pin in weak waves', 'pin-weak', { waves: 'weak' }, model('Gannet')],
    ['fins well forward in overhead waves', 'fins-forward-big', { waves: 'big' }, lever('finsForward').move(slack, 4)],
    [
      'a foot taken off the last board at once',
      'step-down-length',
      { last: { ...slack, length_mm: slack.length_mm + inches(12) } },
      slack,
    ],
  ];
  it.each(cases)('%s draws %s', (_plain, rule, example, board) => {
    expect(verdict(caseOf(board, example)).map((found) => found.id)).toContain(rule);
  });

  function withTailSquare(board: Board): Board {
    return outline(board, { tail: { kind: 'square', block_mm: inches(8), depth_mm: 0, tip_mm: 0 } });
  }
});

describe('a judgement', () => {
  const board = lever('noseConcave').move(model('Long Quay'), 4);

  it('says the same whatever units it is written in', () => {
    const c = caseOf(board, { waves: 'steep' });
    const ids = (style: Parameters<typeof writerOf>[0]) => judged(c, writerOf(style)).map((note) => note.rule.id);
    expect(ids({ kind: 'mm' })).toEqual(ids({ kind: 'fraction', denominator: 16 }));
    const concave = (style: Parameters<typeof writerOf>[0]) =>
      judged(c, writerOf(style)).find(({ rule }) => rule.id === 'deep-nose-concave-steep')?.words;
    expect(concave({ kind: 'mm' })).toMatch(/\d mm/);
    expect(concave({ kind: 'fraction', denominator: 16 })).toMatch(/\d in/);
  });

  it('puts conflicts before the rest', () => {
    const levels = judged(caseOf(slack, { waves: 'huge' }), writerOf({ kind: 'mm' })).map((note) => note.level);
    const order = ['conflict', 'look', 'note'];
    expect(levels).toEqual([...levels].sort((a, b) => order.indexOf(a) - order.indexOf(b)));
    expect(levels[0]).toBe('conflict');
  });

  it('lets an answer rest until its numbers change', () => {
    const c = caseOf(board, {});
    const writer = writerOf({ kind: 'mm' });
    const [note] = judged(c, writer).filter((entry) => entry.rule.id === 'deep-nose-concave');
    const answers = { [note.rule.id]: { reason: 'asked for', numbers: note.numbers } };
    const find = (b: Board) =>
      judged(caseOf(b, {}), writerOf({ kind: 'fraction', denominator: 8 }), answers).find(
        (entry) => entry.rule.id === 'deep-nose-concave',
      );
    expect(find(board)?.answer?.reason).toBe('asked for');
    expect(find(lever('noseConcave').move(board, 1))?.answer).toBeUndefined();
  });
});
