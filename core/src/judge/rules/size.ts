import { levers } from '../../shape/gains.ts';
import { curveTroubles, hollowsOf } from '../../shape/troubles.ts';
import { FAMILY_WORDS, TAILS } from '../../document/kinds.ts';
import type { Board, Family } from '../../document/schema.ts';
import { finTroubles } from '../../fins/checks.ts';
import { FAMILY_SHARE, LITRES_PER_KG } from '../../rider/litres.ts';
import { INCH_mm } from '../../units/length.ts';
import { ITS_MODEL, LAST_OF_FAMILY, THE_RIDER, THE_TARGET, WINGS } from '../known.ts';
import { families, type Given, not, numberWords, RIDERS, SEAS, SHORT } from '../line.ts';
import { rule, type Rule } from '../rule.ts';

/** Most a rider steps down at a time: about 6 in of length (CP). */
const STEP_DOWN_mm = 6 * INCH_mm;
/** A model makes sense from so much shorter to so much longer than it was drawn. Our own run. */
export const SENSIBLE_RUN = { shorter: 0.9, longer: 1.16 } as const;
/** So much of the range's low end is missing before it is far below. Our own. */
const FAR_BELOW = 0.88;
/** Fewer litres than this share of the last board's are more than a step of 6 in takes. Our own. */
const STEP_DOWN_LITRES = 0.875;
/** Litres a kilogram under which nobody learns, on a shortboard. CP. */
const LEARNERS_LEAST = 0.5;
/** The shortest for waves well overhead. CP. */
const SHORTEST_mm = { gun: 96 * INCH_mm, other: 78 * INCH_mm } as const;

const HOLLOW: Given = { words: 'a curve that came out hollow', holds: (c) => hollowsOf(c.facts.shape).length > 0 };

/** Wider than this for its length a board is wide for its family: 7 % over the widest of our models for its length. Our own. */
const WIDE: Readonly<Partial<Record<Family, { at_mm: number; width_mm: number; slope: number }>>> = {
  shortboard: { at_mm: 65 * INCH_mm, width_mm: 20.6 * INCH_mm, slope: -0.06 },
  twin: { at_mm: 70 * INCH_mm, width_mm: 20.6 * INCH_mm, slope: -0.04 },
};
const wideWords = Object.entries(WIDE)
  .map(
    ([family, { at_mm, width_mm, slope }]) =>
      `${numberWords(width_mm, 'mm')} at ${numberWords(at_mm, 'feet')} for a ${FAMILY_WORDS[family as Family]}, ${numberWords(-slope * INCH_mm, 'mm')} less for each inch longer`,
  )
  .join('; ');

/** The ends of a board that come to nothing in plan. */
const needles = ({ outline: { nose, tail } }: Board): string[] => [
  ...(nose.kind === 'pointed' && nose.tip_mm === 0 ? ['the nose'] : []),
  ...(TAILS[tail.kind].closes === 'point' && tail.tip_mm === 0 ? ['the tail'] : []),
];

/** Size, stance and weight, and what the foam allows. */
export const SIZE_RULES: readonly Rule[] = [
  rule({
    id: 'litres-far-below',
    group: 'size',
    title: 'Far too few litres',
    level: 'conflict',
    cause: 'It sits low and catches late; no shape makes up for it.',
    lever: { id: 'thickness', way: 1 },
    source: 'CP',
    knows: THE_TARGET,
    reads: [
      'volume_L',
      'under',
      {
        words: `${numberWords(FAR_BELOW, '%')} of the low end of that range`,
        at: ({ target }) => FAR_BELOW * target.low_L,
      },
    ],
    says: ({ value, target }, w) => `${w.L(value)} where this rider’s range starts at ${w.L(target.low_L)}`,
  }),
  rule({
    id: 'litres-below',
    group: 'size',
    title: 'Under the range of litres',
    level: 'look',
    cause: 'It will sit low and catch late; thickness is the quickest lever.',
    lever: { id: 'thickness', way: 1 },
    source: 'CP',
    knows: THE_TARGET,
    reads: ['volume_L', 'under', { words: 'the low end of that range', at: ({ target }) => target.low_L }],
    says: ({ value, line }, w) =>
      `${w.L(value)} where this rider’s range starts at ${w.L(line)}, ${w.L(line - value)} under`,
  }),
  rule({
    id: 'litres-above',
    group: 'size',
    title: 'Over the range of litres',
    level: 'look',
    cause: 'It may feel corky; take thickness or fullness out of the rail.',
    lever: { id: 'thickness', way: -1 },
    source: 'CP',
    knows: THE_TARGET,
    reads: ['volume_L', 'over', { words: 'the high end of that range', at: ({ target }) => target.high_L }],
    says: ({ value, line }, w) =>
      `${w.L(value)} where this rider’s range ends at ${w.L(line)}, ${w.L(value - line)} over`,
  }),
  rule({
    id: 'novice-expert-litres',
    group: 'size',
    title: 'A learner on an expert’s litres',
    level: 'conflict',
    cause: 'Learners want 0.65 to 0.9 L per kg: first waves, then turns.',
    lever: { id: 'thickness', way: 1 },
    source: 'CP',
    knows: THE_RIDER,
    given: [RIDERS.novice],
    reads: [
      'volume_L',
      'under',
      {
        words: `${LEARNERS_LEAST} L per kg times what the family carries`,
        at: ({ rider }, facts) => LEARNERS_LEAST * rider.mass_kg * FAMILY_SHARE[facts.board.family],
      },
    ],
    says: ({ value, rider }, w) =>
      `${w.L(value)} for ${w.kg(rider.mass_kg)} is ${(value / rider.mass_kg).toFixed(2)} L per kg; experts ride ${LITRES_PER_KG.expert[0]} to ${LITRES_PER_KG.expert[1]}`,
  }),
  rule({
    id: 'step-down-length',
    group: 'size',
    title: 'A large step down',
    level: 'look',
    cause: 'About 6 in at a time keeps what the rider has learnt; two boards get there more surely than one.',
    lever: { id: 'length', way: 1 },
    source: 'CP',
    knows: LAST_OF_FAMILY,
    reads: [
      { words: 'what it is shorter than that one', unit: 'mm', read: (facts, { last }) => last.facts.L - facts.L },
      'over',
      // Half a millimetre is a length written in inches and read back.
      STEP_DOWN_mm + 0.5,
    ],
    says: ({ facts, value, last }, w) =>
      `${w.feet(facts.L)} after ${last.name} at ${w.feet(last.facts.L)}, ${w.mm(value)} shorter`,
  }),
  rule({
    id: 'step-down-litres',
    group: 'size',
    title: 'A large step down in litres',
    level: 'look',
    cause: 'Litres carry the rider whatever the length; that is more than a step of 6 in takes.',
    lever: { id: 'thickness', way: 1 },
    source: 'derived',
    knows: LAST_OF_FAMILY,
    reads: [
      'volume_L',
      'under',
      {
        words: `${numberWords(STEP_DOWN_LITRES, '%')} of that board’s`,
        at: ({ last }) => STEP_DOWN_LITRES * last.facts.m.volume_L,
      },
    ],
    says: ({ value, last }, w) => `${w.L(value)} after ${last.name} at ${w.L(last.facts.m.volume_L)}`,
  }),
  rule({
    id: 'outside-the-run',
    group: 'size',
    title: 'Outside the model’s sensible run',
    level: 'look',
    cause: 'A model stretched so far is another board: look at rocker and widths again.',
    source: 'derived',
    knows: ITS_MODEL,
    reads: [
      {
        words: `length under ${numberWords(SENSIBLE_RUN.shorter, '%')} or over ${numberWords(SENSIBLE_RUN.longer, '%')} of the model’s, by a share`,
        unit: '%',
        read: (facts, { model }) => {
          const share = facts.L / model.length_mm;
          return Math.max(SENSIBLE_RUN.shorter - share, share - SENSIBLE_RUN.longer);
        },
      },
      'over',
      0,
    ],
    says: ({ facts, model }, w) => `${w.feet(facts.L)} where the model is ${w.feet(model.length_mm)}`,
  }),
  rule({
    id: 'short-for-size',
    group: 'size',
    title: 'Short for well overhead waves',
    level: 'conflict',
    cause:
      'Length catches the wave: 8’0 to 8’6 for large beach breaks, 9’6 to 10’0 for the biggest. A rider starts long, then comes down.',
    lever: { id: 'length', way: 1 },
    source: 'CP',
    given: [SEAS.wellOverhead, SEAS.powerful],
    reads: [
      'length_mm',
      'under',
      {
        words: `${numberWords(SHORTEST_mm.other, 'feet')}, a gun ${numberWords(SHORTEST_mm.gun, 'feet')}`,
        at: (_known, facts) => (facts.board.family === 'gun' ? SHORTEST_mm.gun : SHORTEST_mm.other),
      },
    ],
    says: ({ value }, w) => `${w.feet(value)} long`,
  }),
  rule({
    id: 'family-for-big',
    group: 'size',
    title: 'Not a board for well overhead waves',
    level: 'conflict',
    cause: 'Its tail and entry are drawn for smaller waves.',
    source: 'CP',
    given: [families('fish', 'midLength', 'longboard'), SEAS.wellOverhead],
    says: ({ facts }) => `This is a ${FAMILY_WORDS[facts.board.family]}`,
  }),
  rule({
    id: 'gun-for-small',
    group: 'size',
    title: 'A gun for small waves',
    level: 'conflict',
    cause: 'It will not turn, or go, in them.',
    source: 'CP',
    given: [families('gun'), SEAS.weak],
    says: ({ facts }, w) => `This is a gun of ${w.feet(facts.L)}`,
  }),
  rule({
    id: 'big-wave-caution',
    group: 'size',
    title: 'Equipment for a dangerous place',
    level: 'note',
    cause:
      'The app knows nothing of the place, the day, the leash or the rider’s training; those who surf there do. It judges numbers only.',
    source: 'CP',
    given: [SEAS.wellOverhead],
    says: () => 'This board is for waves well overhead',
  }),
  rule({
    id: 'front-foot-nose',
    group: 'stance',
    title: 'Fine nose under a front-footed rider',
    level: 'look',
    cause: 'Front-footed: the nose half an inch wider, the wide point up to an inch forward, the outline curvier.',
    lever: { id: 'noseWidth', way: 1 },
    source: 'CP',
    given: [RIDERS.frontFooted, not(SEAS.overhead)],
    reads: ['noseShare', 'under', { usual: 'low', into: 0.1 }],
    says: ({ m }, w) => `Nose 12 is ${w.mm(m.noseWidth12_mm)} on a width of ${w.mm(m.width_mm)}`,
  }),
  rule({
    id: 'back-foot-nose',
    group: 'stance',
    title: 'Full nose under a back-footed rider',
    level: 'note',
    cause: 'Back-footed: the nose half an inch narrower, the wide point at centre or just behind.',
    lever: { id: 'noseWidth', way: -1 },
    source: 'CP',
    given: [RIDERS.backFooted, not(families('longboard'))],
    reads: ['noseShare', 'over', { usual: 'high', into: 0.1 }],
    says: ({ m }, w) => `Nose 12 is ${w.mm(m.noseWidth12_mm)} on a width of ${w.mm(m.width_mm)}`,
  }),
  rule({
    id: 'back-foot-ahead-of-wing',
    group: 'stance',
    title: 'Back foot ahead of the wing',
    level: 'note',
    cause: 'The back foot lands at or behind the wing: move the pad, or the wing forward.',
    lever: { id: 'wingForward', way: 1 },
    source: 'CP',
    knows: WINGS,
    given: [SHORT],
    reads: [
      {
        words: 'where the back foot usually stands ahead of the foremost wing',
        unit: 'mm',
        read: (facts, { wing }) => facts.feet.backFoot_mm - wing.fromTail_mm,
      },
      'over',
      4 * INCH_mm,
    ],
    says: ({ facts, wing }, w) =>
      `The back foot stands about ${w.mm(facts.feet.backFoot_mm)} up, the wing is ${w.mm(wing.fromTail_mm)} up`,
  }),
  rule({
    id: 'fast-not-quick',
    group: 'stance',
    title: 'Wide and slow from rail to rail',
    level: 'note',
    cause:
      'Wide and short is fast down the line and not quick to answer; narrow and thicker is quick for the same litres.',
    lever: { id: 'width', way: -1 },
    source: 'CP',
    given: [RIDERS.sharp],
    reads: [
      'width_mm',
      'over',
      {
        words: wideWords,
        at: (_known, { board, L }) => {
          const wide = WIDE[board.family];
          return wide ? wide.width_mm + wide.slope * (L - wide.at_mm) : Infinity;
        },
      },
    ],
    says: ({ facts, value }, w) => `${w.mm(value)} wide on ${w.feet(facts.L)}`,
  }),
  rule({
    id: 'hollow-curve',
    group: 'making',
    title: 'Hollow in a curve',
    level: 'look',
    cause: 'Lift the mark off, or move it toward the batten.',
    source: 'derived',
    given: [HOLLOW],
    says: ({ facts }, w) =>
      hollowsOf(facts.shape)
        .map(({ curve, from_mm, to_mm }) => `The ${curve} is hollow from ${w.mm(from_mm)} to ${w.mm(to_mm)} up`)
        .join('; '),
  }),
  rule({
    id: 'tight-marks',
    group: 'making',
    title: 'Marks that pinch a curve',
    level: 'note',
    cause: 'The batten takes them, but not fairly.',
    source: 'derived',
    given: [
      not(HOLLOW),
      {
        words: 'marks whose straight lines already turn the wrong way',
        holds: (c) => curveTroubles(c.facts.shape).length > 0,
      },
    ],
    says: ({ facts }) =>
      `${[...new Set(curveTroubles(facts.shape).map(({ curve }) => curve))].join(' and ')}: a mark stands off the line of its neighbours`,
  }),
  rule({
    id: 'lever-marks',
    group: 'making',
    title: 'A mark that is a lever',
    level: 'note',
    cause:
      'It stands too near another: a pencil’s breadth there moves the line far off. Lift one off, or make it soft.',
    source: 'derived',
    given: [
      {
        words:
          'a mark that moves its line by more than twice its own change, or a soft one that gave up its hold so as not to',
        holds: (c) => levers(c.facts.shape).length > 0,
      },
    ],
    says: ({ facts }, w) =>
      levers(facts.shape)
        .map(({ curve, x_mm, gain, givenUp }) =>
          givenUp
            ? `${curve}, ${w.mm(x_mm)} from the tail: the line cannot go so far for it`
            : `${curve}, ${w.mm(x_mm)} from the tail: moves the line by ${gain.toFixed(1)} times its change`,
        )
        .join('; '),
  }),
  rule({
    id: 'needle-tip',
    group: 'making',
    title: 'A tip that is a needle',
    level: 'note',
    cause: 'No tip is sanded or glassed to nothing: give it a radius, 1/4 in at a nose and 3/8 at a pin are usual.',
    source: 'CP',
    given: [
      {
        words: 'a pointed nose or a pin without a radius',
        holds: (c) => needles(c.facts.board).length > 0,
      },
    ],
    says: ({ facts }) => `${needles(facts.board).join(' and ')}: it comes to nothing`,
  }),
  rule({
    id: 'fin-foam',
    group: 'making',
    title: 'A fin box the foam refuses',
    level: 'conflict',
    cause: 'Move the box, or thicken there.',
    source: 'CP',
    given: [
      {
        words: 'a box with less foam, or nearer to rail, notch or another box, than it needs',
        holds: (c) => finTroubles(c.facts.shape).length > 0,
      },
    ],
    says: ({ facts }, w) =>
      finTroubles(facts.shape)
        .map(({ words, has_mm, needs_mm }) => `${words}: ${w.mm(has_mm)} where ${w.mm(needs_mm)} is wanted`)
        .join('; ')
        .replace(/^./, (x) => x.toUpperCase()),
  }),
  rule({
    id: 'thin-tips',
    group: 'making',
    title: 'Very thin tip',
    level: 'look',
    cause: 'Foam so thin breaks in the hand and under the glass.',
    source: 'derived',
    reads: [
      {
        words: 'thickness of the thinner tip',
        unit: 'mm',
        read: ({ board }) => Math.min(board.foil.noseTip_mm, board.foil.tailTip_mm),
      },
      'under',
      // Two tenths are what callipers are off.
      (5 / 16) * INCH_mm - 0.2,
    ],
    says: ({ facts }, w) =>
      `Tips are ${w.mm(facts.board.foil.noseTip_mm)} and ${w.mm(facts.board.foil.tailTip_mm)} thick`,
  }),
  rule({
    id: 'heavy-wide-stance',
    group: 'stance',
    title: 'Room for a wide stance',
    level: 'note',
    cause: 'Heavy and tall riders stand wider: there is little board ahead of the foot.',
    lever: { id: 'length', way: 1 },
    source: 'derived',
    knows: THE_RIDER,
    reads: [
      {
        words: 'where the front foot stands, over the length',
        unit: '%',
        read: (facts) => facts.feet.frontFoot_mm / facts.L,
      },
      'over',
      0.55,
    ],
    says: ({ facts }, w) => `The front foot stands about ${w.mm(facts.feet.frontFoot_mm)} up on ${w.feet(facts.L)}`,
  }),
];
