// What each trait must answer to a push of about 3 % of the board's own number, other things held: common practice, from memory.
import { describe, expect, it } from '@jest/globals';
import type { Board, BottomLayer } from '../document/schema.ts';
import { scaledToLitres } from '../edit/litres.ts';
import { withWings } from '../edit/parts.ts';
import { stretched, thickened, widened } from '../edit/size.ts';
import { withSetup } from '../fins/placement.ts';
import { Facts } from '../measure/facts.ts';
import { modelNamed, models } from '../models/models.ts';
import { shapeOf } from '../shape/shape.ts';
import { boardIssues } from '../shape/issues.ts';
import { INCH_mm } from '../units/length.ts';
import { lever, type LeverId } from './levers.ts';
import { compareTraits, TRAITS } from './traits.ts';

const model = (name: string): Board => modelNamed(name)!;
const facts = (board: Board) => new Facts(shapeOf(board));
const push = (id: LeverId, steps: number) => (board: Board) => lever(id).move(board, steps);
const has = (board: Board, kind: BottomLayer['kind']) => board.bottom.layers.some((layer) => layer.kind === kind);
/** The board with a contour between two stations, deepest at a third; inches from the tail, mm of depth. */
const withLayer =
  (kind: BottomLayer['kind'], depth_mm: number, from: number, at: number, to: number, width = 1) =>
  (board: Board): Board => ({
    ...board,
    bottom: {
      layers: [
        ...board.bottom.layers.filter((layer) => layer.kind !== kind),
        {
          kind,
          width,
          depths: [
            { from: 'tail', at_mm: from * INCH_mm, value_mm: 0.3 },
            { from: 'tail', at_mm: at * INCH_mm, value_mm: depth_mm },
            { from: 'tail', at_mm: to * INCH_mm, value_mm: 0 },
          ],
        },
      ],
    },
  });
const ofLitres = (board: Board, changed: Board, held: Parameters<typeof scaledToLitres>[2]): Board => {
  const solved = scaledToLitres(changed, facts(board).m.volume_L, held);
  if (!solved.ok) throw new Error(solved.reason);
  return solved.board;
};
const inches = (board: Board) => board.length_mm / INCH_mm;

/** Paddle, speed, quick, arcs, hold, release, forgiving, chop: more, less, or nearly nothing. */
const PUSHES: readonly (readonly [name: string, answers: string, push: (board: Board) => Board])[] = [
  ['wider, litres held', '++--00+-', (b) => ofLitres(b, widened(b, 0.03 * b.outline.width_mm), ['length', 'width'])],
  ['thicker, width held', '+0-0-0+0', (b) => thickened(b, 0.03 * b.foil.thickness_mm)],
  ['longer, rocker with it', '++--+00+', (b) => stretched(b, b.length_mm * 1.03, { rockerPower: 1.5 })],
  ['wide point forward', '++--00+0', (b) => push('widePoint', (0.01 * b.length_mm) / 12.7)(b)],
  ['curvier rail line', '0-++0000', push('curvier', 2)],
  ['wider tail', '++---++-', (b) => push('tailWidth', (0.03 * facts(b).m.tailWidth12_mm) / 6.35)(b)],
  ['nose lift up', '--0+00+0', push('noseRocker', 2)],
  ['tail lift up', '--0++000', push('tailRocker', 2)],
  ['tail curve kept for the end', '0+0-0000', push('tailKick', -1)],
  ['flat between the feet longer', '++0-0000', push('flat', 3)],
  ['foam forward', '++0-00+0', push('foilForward', 1)],
  ['thinner rail', '-0+++0-0', push('railFullness', -1.6)],
  ['boxier rail', '+0---0+-', push('railFullness', 2)],
  ['lower rail', '0+00++--', push('railDown', 2)],
  ['harder, longer tail edge', '0+00-+-0', (b) => push('edgeLength', 2)(push('edgeHardness', 1)(b))],
  ['single concave deeper', '++000+0-', push('concave', 2)],
  ['tail vee deeper', '--++00++', (b) => (has(b, 'vee') ? push('tailVee', 2)(b) : withLayer('vee', 3, 2, 10, 24)(b))],
  [
    'forward vee or belly',
    '0-+000++',
    (b) => (has(b, 'roll') ? push('roll', 3)(b) : withLayer('roll', 2, 30, inches(b) - 22, inches(b) - 6)(b)),
  ],
  ['double inside vee', '0+++0000', withLayer('double', 2.5, 3, 14, 28)],
  ['bevel wider', '-0++-0+0', withLayer('bevel', 3, 10, 30, 55, 0.2)],
  [
    'wing added at the fins',
    '-0++++-0',
    (b) =>
      withWings(b, [...b.outline.wings, { fromTail_mm: 300, depth_mm: 7, length_mm: 80, raised: 0.5 }].slice(0, 3)),
  ],
  ['fins forward', '00++-+00', push('finsForward', 3)],
  ['larger, deeper fins', '0---+-00', push('finSize', 2)],
  ['more rake', '00--+-00', push('finRake', 3)],
];
const BASES = ['Slack Water', 'Two Stairs', 'Gannet', 'Lamplight', 'Half Mile', 'Tin Roof'].map(model);
const answersOf = (changed: Board, from: Board): string =>
  compareTraits(facts(changed), facts(from))
    .map(({ words, difference }) => (words === 'the same' ? '0' : difference > 0 ? '+' : '-'))
    .join('');

describe('each trait answers a push as the trade says', () => {
  it.each(PUSHES)('%s: %s', (_name, answers, pushed) => {
    let held = 0;
    const wrong: string[] = [];
    for (const board of BASES) {
      const changed = pushed(board);
      if (changed === board || boardIssues(changed).length > 0) continue;
      held++;
      const got = answersOf(changed, board);
      [...answers].forEach((meant, i) => {
        if (got[i] !== meant) wrong.push(`${board.name}, ${TRAITS[i].key}: ${got[i]} where ${meant} is meant`);
      });
    }
    expect(held).toBeGreaterThan(2);
    expect(wrong).toEqual([]);
  });

  it('the same way for a little and for a lot', () => {
    const slack = model('Slack Water');
    for (const [id, key] of [
      ['width', 'forgiveness'],
      ['tailWidth', 'hold'],
      ['tailRocker', 'arcs'],
      ['finSize', 'hold'],
      ['finRake', 'arcs'],
      ['finsForward', 'release'],
      ['railFullness', 'quickness'],
      ['concave', 'speed'],
      ['noseRocker', 'paddle'],
    ] as const) {
      const at = (steps: number) =>
        compareTraits(facts(lever(id).move(slack, steps)), facts(slack)).find((entry) => entry.key === key)!.difference;
      const values = [-6, -3, -1, 0, 1, 3, 6].filter((n) => boardIssues(lever(id).move(slack, n)).length === 0).map(at);
      const steps = values.slice(1).map((value, i) => value - values[i]);
      expect([id, steps.every((step) => step > 0) || steps.every((step) => step < 0)]).toEqual([id, true]);
    }
  });
});

describe('boards in their order', () => {
  const slack = model('Slack Water');
  const litres = facts(slack).m.volume_L;
  const solved = (wider: number, held: Parameters<typeof scaledToLitres>[2]) => {
    const made = scaledToLitres(widened(slack, wider * slack.outline.width_mm), litres, held);
    if (!made.ok) throw new Error(made.reason);
    return made.board;
  };
  const railed = (apex: number, edge: number): Board => ({
    ...slack,
    rails: {
      ...slack.rails,
      stations: slack.rails.stations.map((station, i) => (i < 1 ? station : { ...station, apex, edge })),
    },
  });
  it.each<[string, Board, Board, more: string[], less: string[]]>([
    ['keel fish, everyday shortboard', model('Kettle'), slack, ['speed'], ['hold', 'arcs']],
    ['twin, the same as a thruster', withSetup(slack, 'twin'), slack, ['speed', 'release'], ['hold']],
    ['quad, the same as a thruster', withSetup(slack, 'quad'), slack, ['speed'], []],
    ['pig, nose rider', model('Old Anchor'), model('Long Quay'), ['arcs'], ['paddle']],
    ['step-up, everyday', model('Gannet'), slack, ['hold'], ['arcs']],
    [
      'narrow and thick, wide and thin',
      solved(-0.04, ['outline']),
      solved(0.04, ['outline']),
      ['quickness'],
      ['speed'],
    ],
    [
      'round pin, squash',
      { ...slack, outline: { ...slack.outline, tail: { ...slack.outline.tail, kind: 'roundedPin' } } },
      slack,
      ['hold'],
      ['release'],
    ],
    ['soft 50/50, 80/20', railed(0.5, 0.05), railed(0.22, 0.3), ['forgiveness', 'chop'], []],
    ['gun, longboard', model('North Ledge'), model('Long Quay'), ['hold'], []],
    ['small-wave board, everyday', model('Penny Step'), slack, ['paddle', 'speed'], ['hold']],
  ])('%s', (_name, one, other, more, less) => {
    const traits = compareTraits(facts(one), facts(other));
    const of = (key: string) => traits.find((entry) => entry.key === key)!.difference;
    for (const key of more) expect([key, of(key) > 0]).toEqual([key, true]);
    for (const key of less) expect([key, of(key) < 0]).toEqual([key, true]);
  });

  it('are told apart however far they are: no two differences of the models are cut to one length', () => {
    const all = models().map(facts);
    const speeds = all.slice(1).map((one) => compareTraits(one, all[0])[1].difference);
    expect(new Set(speeds.map((value) => value.toFixed(9))).size).toBe(speeds.length);
  });

  it('five boxes count as the three fins that are ridden', () => {
    const five = withSetup(slack, 'fiveBox');
    const three = withSetup(slack, 'thruster');
    for (const { words } of compareTraits(facts(five), facts(three))) expect(words).toBe('the same');
  });
});
