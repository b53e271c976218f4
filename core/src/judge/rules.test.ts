import { describe, expect, it } from '@jest/globals';
import type { Board } from '../document/schema.ts';
import { boardIssues } from '../shape/issues.ts';
import { boardSchema } from '../document/schema.ts';
import { withSetup } from '../fins/placement.ts';
import { modelNamed } from '../models/models.ts';
import { INCH_mm } from '../units/length.ts';
import { judged, RULES, verdict } from './judge.ts';
import { writerOf } from './writer.ts';
import { pushedFar } from './complaints.ts';
import { lever, type LeverId, LEVERS } from './levers.ts';
import type { Build } from './case.ts';
import type { Rule } from './rule.ts';
import { SCHOOLS, USUAL_SCHOOLS } from '../rider/schools.ts';
import { caseOf, type RIDERS, type WAVES } from '../testing/cases.ts';

/**
 * A board that draws each rule: one of our models with the rule’s own lever pushed the wrong way by so many first steps,
 * for a rider in waves; `last` judges it against the model it came from. The model itself does not draw it.
 */
type Pushed = [model: string, rider: keyof typeof RIDERS, waves: keyof typeof WAVES, steps: number, against?: 'last'];
const PUSHED: Readonly<Record<string, Pushed>> = {
  'litres-far-below': ['Slack Water', 'usual', 'usual', 16],
  'litres-below': ['Slack Water', 'usual', 'usual', 3],
  'litres-above': ['Slack Water', 'usual', 'usual', 8],
  'litres-far-above': ['Slack Water', 'light', 'usual', 24],
  'foil-aft-meant': ['Slack Water', 'back', 'usual', 4],
  'step-down-length': ['Slack Water', 'usual', 'usual', 8, 'last'],
  'step-down-litres': ['Slack Water', 'usual', 'usual', 6, 'last'],
  'short-for-size': ['Gannet', 'usual', 'huge', 3],
  'front-foot-nose': ['Slack Water', 'front', 'usual', 6],
  'back-foot-nose': ['Slack Water', 'back', 'usual', 8],
  'back-foot-ahead-of-wing': ['Two Stairs', 'usual', 'usual', 6],
  'fast-not-quick': ['Slack Water', 'usual', 'usual', 10],
  'heavy-wide-stance': ['Slack Water', 'usual', 'usual', 24],
  'wide-point-ahead-back-foot': ['Slack Water', 'back', 'usual', 1],
  'wide-point-behind-front-foot': ['Slack Water', 'front', 'usual', 2],
  'nose-rider-wide-point': ['Long Quay', 'usual', 'usual', 8],
  'straight-rail-steep': ['Slack Water', 'usual', 'steep', 6],
  'straight-flat-front-foot': ['Slack Water', 'front', 'big', 10],
  'curved-rail-weak': ['Slack Water', 'usual', 'weak', 20],
  'wide-tail-front-foot-big': ['Slack Water', 'front', 'steep', 2],
  'wide-tail-big': ['Slack Water', 'usual', 'steep', 6],
  'narrow-tail-weak': ['Slack Water', 'usual', 'weak', 12],
  'power-tail-narrow': ['Slack Water', 'usual', 'usual', 6],
  'block-big-waves': ['Slack Water', 'usual', 'steep', 6],
  'wing-forward': ['Two Stairs', 'usual', 'usual', 24],
  'deep-wings': ['Two Stairs', 'usual', 'usual', 16],
  'full-nose-steep': ['Slack Water', 'usual', 'steep', 8],
  'drawn-nose-weak': ['Slack Water', 'usual', 'weak', 6],
  'nose-rider-narrow-tail': ['Long Quay', 'usual', 'usual', 9],
  'flat-entry-steep': ['Slack Water', 'usual', 'steep', 8],
  'low-entry': ['Slack Water', 'usual', 'usual', 12],
  'high-entry-weak': ['Slack Water', 'usual', 'weak', 6],
  'steep-even-entry': ['Slack Water', 'usual', 'steep', 10],
  'flat-tail': ['Slack Water', 'usual', 'usual', 8],
  'much-tail-rocker': ['Slack Water', 'usual', 'usual', 8],
  'stiff-in-steep': ['Slack Water', 'usual', 'steep', 6],
  'kicked-longboard': ['Long Quay', 'usual', 'usual', 8],
  'even-longboard': ['Broad Acre', 'usual', 'usual', 2],
  'light-expert-flat': ['Slack Water', 'light', 'usual', 12],
  'foil-nose-full': ['Slack Water', 'usual', 'usual', 4],
  'foil-tail-full': ['Slack Water', 'usual', 'usual', 2],
  'foil-aft-extreme': ['Slack Water', 'usual', 'usual', 4],
  'foil-nose-extreme': ['Slack Water', 'usual', 'usual', 6],
  'foil-front-foot': ['Peat Fire', 'front', 'usual', 1],
  'foil-back-foot': ['Slack Water', 'back', 'usual', 4],
  'foam-behind-area': ['Slack Water', 'usual', 'usual', 16],
  'learner-chest': ['Low Sluice', 'novice', 'usual', 20],
  skinny: ['Tin Roof', 'usual', 'usual', 7],
  'heavy-thin-rail': ['Slack Water', 'heavy', 'usual', 3],
  'light-boxy-rail': ['Slack Water', 'light', 'usual', 2],
  'thickness-against-last': ['Slack Water', 'usual', 'usual', 3, 'last'],
  'hard-ahead-of-single': ['Long Quay', 'usual', 'usual', 6],
  'soft-tail-several': ['Slack Water', 'usual', 'usual', 6],
  'hard-nose': ['Slack Water', 'usual', 'usual', 2],
  'hard-forward-chop': ['Slack Water', 'usual', 'choppy', 1],
  'nose-rider-long-edge': ['Long Quay', 'usual', 'usual', 1],
  'nose-rider-short-edge': ['Long Quay', 'usual', 'usual', 4],
  'down-rails-learner': ['Slack Water', 'novice', 'usual', 1],
  'round-rails-fast': ['Slack Water', 'usual', 'steep', 2],
  'wide-bevel': ['Slack Water', 'usual', 'usual', 8],
  'deep-concave': ['Slack Water', 'usual', 'usual', 6],
  'concave-off-front-foot': ['Two Stairs', 'front', 'usual', 8],
  'concave-off-back-foot': ['Slack Water', 'back', 'usual', 16],
  'heavy-front-foot-flat': ['Slack Water', 'heavyFront', 'usual', 2],
  'much-vee': ['Slack Water', 'usual', 'usual', 12],
  'vee-and-roll-narrow': ['Slack Water', 'usual', 'usual', 16],
  'sticky-roll': ['Slack Water', 'usual', 'usual', 12],
  'roll-under-several-fins': ['Slack Water', 'usual', 'usual', 3],
  'deep-nose-concave': ['Slack Water', 'usual', 'usual', 12],
  'deep-nose-concave-steep': ['Slack Water', 'usual', 'steep', 8],
  'shallow-nose-concave': ['Long Quay', 'usual', 'usual', 1],
  'nose-concave-chop': ['Slack Water', 'usual', 'choppy', 2],
  'nose-belly-weak': ['Slack Water', 'usual', 'weak', 3],
  'flat-in-chop': ['Lamplight', 'usual', 'choppy', 3],
  'hollow-at-the-end': ['Slack Water', 'usual', 'usual', 16],
  'abrupt-blend': ['Slack Water', 'usual', 'usual', 8],
  'double-without-vee': ['Peat Fire', 'usual', 'usual', 6],
  'channels-chop': ['Slack Water', 'usual', 'choppy', 4],
  'deep-channels': ['Slack Water', 'usual', 'usual', 12],
  'fins-forward-big': ['Slack Water', 'usual', 'steep', 3],
  'fins-back-weak': ['Slack Water', 'usual', 'weak', 3],
  'twin-far-forward': ['Two Stairs', 'usual', 'usual', 6],
  'fins-large-light': ['Slack Water', 'light', 'usual', 2],
  'fins-small-fast': ['Slack Water', 'usual', 'steep', 2],
  'foot-ahead-of-fins': ['Slack Water', 'usual', 'usual', 16],
  'foot-behind-fins': ['Slack Water', 'usual', 'usual', 18],
  'gun-fins': ['North Ledge', 'usual', 'usual', 1],
  'slender-fins': ['Slack Water', 'usual', 'usual', 13],
  'thruster-small-centre': ['Slack Water', 'usual', 'usual', 3],
  'steep-small-rear': ['Slack Water', 'usual', 'steep', 1],
  'much-toe': ['Slack Water', 'usual', 'usual', 4],
  'no-toe': ['Slack Water', 'usual', 'usual', 6],
  'toe-meets-short': ['Slack Water', 'usual', 'usual', 12],
  'much-cant': ['Slack Water', 'usual', 'usual', 4],
  'upright-single-trim': ['Long Quay', 'usual', 'usual', 8],
};

/** Rules about a state rather than a length: a board that draws it, and a near neighbour that does not. */
interface Pair {
  rider?: keyof typeof RIDERS;
  waves?: keyof typeof WAVES;
  board: Board;
  neighbour: Board;
  /** The neighbour lies in the waves. */
  neighbourWaves?: keyof typeof WAVES;
  /** How both are glassed, and how the neighbour is. */
  build?: Build;
  neighbourBuild?: Build;
  aim_kg?: number;
  neighbourAim_kg?: number;
}
const model = (name: string): Board => modelNamed(name)!;
const outline = (board: Board, change: Partial<Board['outline']>): Board => ({
  ...board,
  outline: { ...board.outline, ...change },
});
const withFins = (board: Board, change: (box: Board['fins']['boxes'][number]) => Board['fins']['boxes'][number]) => ({
  ...board,
  fins: { ...board.fins, boxes: board.fins.boxes.map(change) },
});
const foil = (board: Board, change: Partial<Board['foil']>): Board => ({
  ...board,
  foil: { ...board.foil, ...change },
});
const slack = model('Slack Water');
const keyed = (board: Board, rake: number) =>
  withFins(board, (box) => ({ ...box, template: { ...box.template, rake_rad: (rake * Math.PI) / 180 } }));
const wing = (raised: number): Board => ({
  ...outline(slack, { wings: [{ fromTail_mm: 254, depth_mm: 10, length_mm: 8, raised }] }),
  bottom: { layers: [] },
});
const wideFlat = { ...outline(model('Salt Ladder'), { width_mm: 20.75 * INCH_mm }) };
const bent = lever('tailRocker').move(lever('noseRocker').move(slack, 24), 40);
const penny = model('Penny Step');
const broad = outline(penny, {
  tail: { kind: 'square', block_mm: 9 * INCH_mm, depth_mm: 0, tip_mm: 0 },
  marks: penny.outline.marks.map((mark) => (mark.from === 'tail' ? { ...mark, value_mm: 17 * INCH_mm } : mark)),
});
/** One contour on the 6'0, deepest between the feet and gone by the ends. */
const hollowed = (kind: 'single' | 'vee', depth_mm: number): Board => ({
  ...slack,
  bottom: {
    layers: [
      {
        kind,
        width: 1,
        depths: [
          { from: 'tail', at_mm: 254, value_mm: 0 },
          { from: 'tail', at_mm: 700, value_mm: depth_mm },
          { from: 'tail', at_mm: 1000, value_mm: depth_mm },
          { from: 'nose', at_mm: 254, value_mm: 0 },
        ],
      },
    ],
  },
});
const light: Build = { deck_oz: 8, bottom_oz: 4, deckPatch: false, tailPatch: false, mass_kg: 2.5 };
const solid: Build = { deck_oz: 12, bottom_oz: 6, deckPatch: true, tailPatch: true, mass_kg: 3 };
const PAIRS: Readonly<Record<string, Pair>> = {
  'thick-tail-rail-big': {
    waves: 'big',
    board: lever('thickness').move(lever('railFullness').move(slack, 4), 12),
    neighbour: slack,
  },
  'heavy-no-flat': { rider: 'heavy', board: bent, neighbour: slack },
  'pig-or-pin-to-learn-on': { rider: 'novice', board: model('Old Anchor'), neighbour: model('Long Quay') },
  'elite-rocker': {
    rider: 'heavyFront',
    board: lever('tailRocker').move(lever('noseRocker').move(slack, 2), 3),
    neighbour: slack,
  },
  'uneven-quad': {
    board: withFins(withSetup(slack, 'quad'), (box) => ({
      ...box,
      template: withSetup(slack, 'quad').fins.boxes[0].template,
    })),
    neighbour: withSetup(slack, 'quad'),
  },
  'not-to-learn-on': { rider: 'novice', board: slack, neighbour: model('Lamplight') },
  'waves-beyond-rider': {
    rider: 'heavyFront',
    waves: 'huge',
    board: model('Last Light'),
    neighbour: model('Last Light'),
    neighbourWaves: 'big',
  },
  'gun-early': { rider: 'heavyFront', board: model('Iron Gate'), neighbour: model('Skerry') },
  'past-its-waves': { waves: 'steep', board: model('Kettle'), neighbour: slack },
  'twin-in-steep': { waves: 'steep', board: model('Two Stairs'), neighbour: slack },
  'drawn-for-another': {
    rider: 'heavyFront',
    board: lever('foilForward').move(lever('noseWidth').move(slack, -2), -5),
    neighbour: slack,
  },
  'slides-over-head': { waves: 'weak', board: broad, neighbour: model('Penny Step') },
  'quad-late': { waves: 'steep', board: model('North Ledge'), neighbour: model('Last Light') },
  'trailer-on-short-hull': { board: model('Low Sluice'), neighbour: model('Two Lanterns') },
  'outside-the-run': {
    board: { ...slack, length_mm: slack.length_mm * 1.19 },
    neighbour: { ...slack, length_mm: slack.length_mm * 1.14 },
  },
  'family-for-big': { waves: 'hugeSoft', board: model('Lamplight'), neighbour: model('Gannet') },
  'gun-for-small': { waves: 'weak', board: model('North Ledge'), neighbour: model('Gannet') },
  'hollow-curve': {
    board: outline(slack, {
      marks: [
        { from: 'nose', at_mm: 304.8, value_mm: 295 },
        { from: 'nose', at_mm: 500, value_mm: 300 },
        { from: 'tail', at_mm: 304.8, value_mm: 374 },
      ],
    }),
    neighbour: slack,
  },
  'lever-marks': {
    board: outline(slack, { marks: [...slack.outline.marks, { from: 'tail', at_mm: 330, value_mm: 385.5 }] }),
    neighbour: outline(slack, {
      marks: [...slack.outline.marks, { from: 'tail', at_mm: 330, value_mm: 385.5, give_mm: 0.4 }],
    }),
  },
  'needle-tip': {
    board: outline(slack, { nose: { kind: 'pointed', curve_rad: 0.7, tip_mm: 0 } }),
    neighbour: outline(slack, { nose: { kind: 'pointed', curve_rad: 0.7, tip_mm: 2 } }),
  },
  'fin-foam': {
    board: withFins(slack, (box) => (box.role === 'front' ? { ...box, inset_mm: 4 } : box)),
    neighbour: withFins(slack, (box) => (box.role === 'front' ? { ...box, inset_mm: 30 } : box)),
  },
  'thin-tips': { board: foil(slack, { noseTip_mm: 6 }), neighbour: foil(slack, { noseTip_mm: 9 }) },
  'pin-weak': {
    waves: 'weak',
    board: model('Gannet'),
    neighbour: outline(model('Gannet'), { tail: { kind: 'round', block_mm: 0, depth_mm: 0, tip_mm: 0 } }),
  },
  'flat-wing': { board: wing(0), neighbour: wing(0.5) },
  'wide-flat-vertical': {
    board: keyed({ ...wideFlat, rocker: { ...wideFlat.rocker, tailLift_mm: 46 } }, 38),
    neighbour: keyed({ ...wideFlat, rocker: { ...wideFlat.rocker, tailLift_mm: 46 } }, 28),
  },
  'uneven-rocker': {
    board: {
      ...slack,
      rocker: {
        ...slack.rocker,
        marks: [...slack.rocker.marks, { from: 'nose', at_mm: 26 * INCH_mm, value_mm: 0.2 * INCH_mm }],
      },
    },
    neighbour: slack,
  },
  bulky: {
    board: {
      ...lever('curvier').move(slack, -9),
      deck: { ...slack.deck, crown: slack.deck.crown.map((mark) => ({ ...mark, value_mm: 1 })) },
      rails: { ...slack.rails, stations: slack.rails.stations.map((r) => ({ ...r, fullness: 1, tuck_mm: 2 })) },
    },
    neighbour: slack,
  },
  'hard-tail-soft-school': {
    board: model('Long Quay'),
    neighbour: {
      ...model('Long Quay'),
      rails: { ...model('Long Quay').rails, tailEdge: { length_mm: 50, fade_mm: 40, hardness: 0.6 } },
    },
  },
  // Where the flattest part goes: 16 in of it behind the back foot, 12 in of it ahead of the front one.
  'panel-behind-feet': { board: lever('tailKick').move(slack, 4), neighbour: slack },
  'panel-ahead-of-feet': { board: lever('entry').move(slack, 8), neighbour: lever('entry').move(slack, 5) },
  // Deep under the feet and gone by tail 12: the rail lifts by the depth, 10 and 7 mm.
  'rail-bends-more': { board: hollowed('single', 10), neighbour: hollowed('single', 7) },
  'rail-flatter': { board: hollowed('vee', 7), neighbour: hollowed('vee', 4) },
  'light-under-a-single': {
    board: model('Long Quay'),
    neighbour: model('Long Quay'),
    build: light,
    // 6+4/4: an ounce over what is light.
    neighbourBuild: { ...light, deck_oz: 10 },
  },
  'light-in-chop': {
    waves: 'choppy',
    board: model('Lamplight'),
    neighbour: model('Lamplight'),
    build: light,
    neighbourBuild: { ...light, mass_kg: 4 },
  },
  'heavy-glass-sharp': { board: slack, neighbour: slack, build: solid, neighbourBuild: { ...solid, deck_oz: 9 } },
  'heavy-for-its-litres': {
    board: slack,
    neighbour: slack,
    build: { ...light, mass_kg: 3.7 },
    neighbourBuild: { ...light, mass_kg: 3.2 },
  },
  'knees-and-feet-dent': {
    rider: 'heavy',
    board: slack,
    neighbour: slack,
    build: light,
    neighbourBuild: { ...light, deckPatch: true },
  },
  // 29.6 and 74.7 L.
  'aimed-heavy-sharp': { board: slack, neighbour: slack, aim_kg: 3.3, neighbourAim_kg: 2.6 },
  'aimed-light-single': { board: model('Long Quay'), neighbour: model('Long Quay'), aim_kg: 4, neighbourAim_kg: 7 },
  'boxes-unpatched': {
    waves: 'huge',
    board: model('Iron Gate'),
    neighbour: model('Iron Gate'),
    build: light,
    neighbourBuild: { ...light, tailPatch: true },
  },
  'fins-small-heavy': { rider: 'heavy', board: slack, neighbour: lever('finSize').move(slack, 2) },
  'twin-without-trailer-big': {
    waves: 'big',
    board: model('Two Stairs'),
    neighbour: withSetup(model('Two Stairs'), 'twinTrailer'),
  },
  'twin-big': { waves: 'huge', board: model('Two Stairs'), neighbour: withSetup(model('Two Stairs'), 'twinTrailer') },
  'quad-slow': {
    rider: 'heavyFront',
    waves: 'weak',
    board: model('Salt Ladder'),
    neighbour: withSetup(model('Salt Ladder'), 'thruster'),
  },
};

const schoolsFor = (rule: Rule) => ({
  ...USUAL_SCHOOLS,
  ...(rule.school ? { [rule.school.question]: rule.school.answer } : {}),
});
const buildable = (board: Board) => boardSchema.safeParse(board).success && boardIssues(board).length === 0;

function speaks(
  rule: Rule,
  board: Board,
  example: {
    rider?: keyof typeof RIDERS;
    waves?: keyof typeof WAVES;
    last?: Board;
    kindOf?: Board;
    build?: Build;
    aim_kg?: number;
  },
) {
  const c = caseOf(board, { ...example, schools: schoolsFor(rule) });
  return verdict(c, [rule]).length > 0;
}

describe('the rules of judgement', () => {
  it('are sixty at the least, each with a name of its own, and say what they look at and where the line comes from', () => {
    expect(RULES.length).toBeGreaterThanOrEqual(60);
    expect(new Set(RULES.map((rule) => rule.id)).size).toBe(RULES.length);
    for (const rule of RULES) {
      for (const text of [rule.title, rule.when, rule.cause]) expect(text.length).toBeGreaterThan(3);
      expect(`${rule.cause}${rule.title}`).not.toMatch(/performance|score|out of ten/);
    }
  });

  for (const rule of RULES) {
    const pushed = PUSHED[rule.id];
    const pair = PAIRS[rule.id];
    if (pushed && rule.lever) {
      const [name, rider, waves, steps, against] = pushed;
      const board = model(name);
      const moved = (n: number) => lever(rule.lever!.id).move(board, -rule.lever!.way * n);
      const example = { rider, waves, kindOf: board, ...(against ? { last: board } : {}) };
      it(`${rule.id}: speaks of ${name} pushed too far, not of a near neighbour, and more is never silence`, () => {
        expect(speaks(rule, moved(steps), example)).toBe(true);
        // The nearest neighbour: half a step short of where it begins to speak.
        let [quiet, loud] = [0, steps];
        expect(speaks(rule, moved(0), example)).toBe(false);
        while (loud - quiet > 0.5) {
          const middle = (quiet + loud) / 2;
          if (speaks(rule, moved(middle), example)) loud = middle;
          else quiet = middle;
        }
        expect(speaks(rule, moved(quiet), example)).toBe(false);
        for (const further of [1.25, 1.5, 2, 3]) {
          if (!buildable(moved(steps * further))) break;
          expect({ further, speaks: speaks(rule, moved(steps * further), example) }).toEqual({ further, speaks: true });
        }
      });
    } else if (pair) {
      it(`${rule.id}: speaks of one board and not of its neighbour`, () => {
        expect(speaks(rule, pair.board, pair)).toBe(true);
        expect(
          speaks(rule, pair.neighbour, {
            ...pair,
            waves: pair.neighbourWaves ?? pair.waves ?? 'usual',
            ...(pair.neighbourAim_kg ? { aim_kg: pair.neighbourAim_kg } : {}),
            ...(pair.neighbourBuild ? { build: pair.neighbourBuild } : {}),
          }),
        ).toBe(false);
      });
    }
  }

  it('have an example each, but the two that any board or no buildable one can draw', () => {
    const missing = RULES.filter((rule) => !rule.general && !PUSHED[rule.id] && !PAIRS[rule.id]).map((rule) => rule.id);
    expect(missing).toEqual(['big-wave-caution', 'tight-marks']);
    expect(
      speaks(
        RULES.find((rule) => rule.id === 'big-wave-caution')!,
        slack,
        { waves: 'huge' },
      ),
    ).toBe(true);
    expect(
      speaks(
        RULES.find((rule) => rule.id === 'big-wave-caution')!,
        slack,
        { waves: 'big' },
      ),
    ).toBe(false);
  });
});

describe('anything pushed far enough', () => {
  /** What is no fault however far it goes: a soft nose, a flat bottom, contours spread out, concave here or there; and what stops of itself. */
  const NO_FAULT = [
    '-foreEdge',
    '-concave',
    '+concaveForward',
    '-concaveForward',
    '-noseHollow',
    '+blendLength',
    '+railFullness',
  ];
  const calm = caseOf(slack, {});
  /** A part is put on once and not pushed. */
  const pushed = (Object.keys(LEVERS) as LeverId[]).filter((id) => lever(id).unit !== 'part');
  const draws = (board: Board) => verdict(caseOf(board, { kindOf: slack })).map(({ id }) => id);

  it('ends in a note on the 6’0, for a rider without a stance too', () => {
    expect(verdict(calm)).toEqual([]);
    const silent: string[] = [];
    for (const id of pushed) {
      for (const way of [1, -1] as const) {
        const { board, steps } = pushedFar(slack, id, way, 40);
        if (steps > 0 && draws(board).length === 0) silent.push(`${way === 1 ? '+' : '-'}${id}`);
      }
    }
    expect(silent.filter((name) => !NO_FAULT.includes(name))).toEqual([]);
  });

  it('is said in general only where no rule of its own asks for the same lever', () => {
    const wide = draws(lever('width').move(slack, 40));
    expect(wide).toContain('fast-not-quick');
    expect(wide).not.toContain('far-width-more');
    expect(draws(lever('finsForward').move(slack, 8))).toContain('far-finsForward-more');
  });
});

describe('a rule that hangs on a school', () => {
  it('follows the shop’s school, and names the other side', () => {
    for (const rule of RULES) {
      if (!rule.school) continue;
      const { question, answer } = rule.school;
      const other = Object.keys(SCHOOLS[question].answers).find((key) => key !== answer)!;
      const example = PUSHED[rule.id];
      const pair = PAIRS[rule.id];
      if (!example && !pair) continue;
      const triggering = example
        ? lever(rule.lever!.id).move(model(example[0]), -rule.lever!.way * example[3])
        : pair.board;
      const context = example ? { rider: example[1], waves: example[2], kindOf: model(example[0]) } : pair;
      const under = (school: string) =>
        caseOf(triggering, { ...context, schools: { ...USUAL_SCHOOLS, [question]: school } });
      expect(verdict(under(answer), [rule]).map((r) => r.id)).toEqual([rule.id]);
      expect(verdict(under(other), [rule])).toEqual([]);
      const note = judged(under(answer), writerOf({ kind: 'mm' })).find((n) => n.rule.id === rule.id);
      if (note) expect(note.otherSchool).toMatch(/^Others: /);
    }
  });
});
