import { levers } from '../../shape/gains.ts';
import { curveTroubles, hollowsOf } from '../../shape/troubles.ts';
import { FAMILY_WORDS, TAILS } from '../../document/kinds.ts';
import type { Board } from '../../document/schema.ts';
import { finTroubles } from '../../fins/checks.ts';
import { KIND_WORDS } from '../../rider/kinds.ts';
import type { Facts } from '../../measure/facts.ts';
import type { Rider } from '../../rider/rider.ts';
import { INCH_mm } from '../../units/length.ts';
import { ITS_MODEL, LAST_OF_FAMILY, LITRES_COUNT, THE_RIDER, THE_TARGET, WINGS } from '../known.ts';
import {
  both,
  either,
  families,
  type Given,
  kinds,
  measured,
  not,
  numberWords,
  RIDERS,
  SEAS,
  SHORT,
  tails,
} from '../line.ts';
import { rule, type Rule } from '../rule.ts';

/** Most a rider steps down at a time: about 6 in of length (CP). */
const STEP_DOWN_mm = 6 * INCH_mm;
/** A model makes sense from so much shorter to so much longer than it was drawn. Our own run. */
export const SENSIBLE_RUN = { shorter: 0.9, longer: 1.16 } as const;
/** So much of the range's low end is missing before it is far below. Our own. */
const FAR_BELOW = 0.68;
/** So much over the range's high end is far over it; less than this is no note. Our own. */
const FAR_ABOVE = 1.5;
const LITTLE_OVER = 1.03;
/** Fewer litres than this share of the last board's are more than a step of 6 in takes. Our own. */
const STEP_DOWN_LITRES = 0.875;
/** The shortest for waves well overhead. CP. */
const SHORTEST_mm = { gun: 96 * INCH_mm, other: 78 * INCH_mm } as const;

const HOLLOW: Given = { words: 'a curve that came out hollow', holds: (c) => hollowsOf(c.facts.shape).length > 0 };

/** The ends of a board that come to nothing in plan. */
const needles = ({ outline: { nose, tail } }: Board): string[] => [
  ...(nose.kind === 'pointed' && nose.tip_mm === 0 ? ['the nose'] : []),
  ...(TAILS[tail.kind].closes === 'point' && tail.tip_mm === 0 ? ['the tail'] : []),
];

/** Where the front foot of a rider stands: a heavy one's further up, by an inch for each 12 kg over 85. Common practice, from memory. */
const frontFoot_mm = (facts: Facts, rider: Rider): number =>
  facts.feet.frontFoot_mm + (Math.max(0, rider.mass_kg - 85) / 12) * INCH_mm;

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
    knows: LITRES_COUNT,
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
    knows: LITRES_COUNT,
    reads: [
      'volume_L',
      'under',
      { words: 'the low end of that range, 0.3 L left aside', at: ({ target }) => target.low_L - 0.3 },
    ],
    says: ({ value, target }, w) =>
      `${w.L(value)} where this rider’s range starts at ${w.L(target.low_L)}, ${w.L(target.low_L - value)} under`,
  }),
  rule({
    id: 'litres-above',
    group: 'size',
    title: 'Over the range of litres',
    level: 'look',
    cause: 'It may feel corky; take thickness or fullness out of the rail.',
    lever: { id: 'thickness', way: -1 },
    source: 'CP',
    knows: LITRES_COUNT,
    reads: [
      'volume_L',
      'over',
      {
        words: `${numberWords(LITTLE_OVER, '%')} of the high end of that range`,
        at: ({ target }) => LITTLE_OVER * target.high_L,
      },
    ],
    says: ({ value, target }, w) =>
      `${w.L(value)} where this rider’s range ends at ${w.L(target.high_L)}, ${w.L(value - target.high_L)} over`,
  }),
  rule({
    id: 'litres-far-above',
    group: 'size',
    title: 'Far too many litres',
    level: 'conflict',
    cause: 'It floats on top of the water and will not be set; a smaller board, not a thinner rail.',
    lever: { id: 'thickness', way: -1 },
    source: 'CP',
    knows: LITRES_COUNT,
    reads: [
      'volume_L',
      'over',
      {
        words: `${numberWords(FAR_ABOVE, '%')} of the high end of that range`,
        at: ({ target }) => FAR_ABOVE * target.high_L,
      },
    ],
    says: ({ value, target }, w) => `${w.L(value)} where this rider’s range ends at ${w.L(target.high_L)}`,
  }),
  rule({
    id: 'not-to-learn-on',
    group: 'size',
    title: 'Not a board to learn on',
    level: 'conflict',
    cause: 'First waves, then turns: a mid-length of 6’8 to 7’4 or a longboard of 8’6 to 9’2 gets them standing.',
    source: 'CP',
    knows: THE_TARGET,
    given: [RIDERS.novice, { words: 'a kind that is not for learning', holds: ({ target }) => target?.said === 'no' }],
    says: ({ c }, w) => `This is a ${KIND_WORDS[c.kind]} of ${w.feet(c.facts.L)}, for a rider who is learning`,
  }),
  rule({
    id: 'waves-beyond-rider',
    group: 'size',
    title: 'Waves beyond what the rider does yet',
    level: 'conflict',
    cause:
      'No shape and no foam makes up for it. Come here by way of smaller waves, start on a longer board, and ask those who surf there.',
    source: 'CP',
    given: [
      either(
        both(RIDERS.novice, either(SEAS.overhead, SEAS.powerful)),
        both(RIDERS.intermediate, either(SEAS.wellOverhead, both(SEAS.overhead, SEAS.powerful))),
      ),
    ],
    says: ({ c }) =>
      `These waves are ${c.waves?.size === 'wellOverhead' ? 'well overhead' : c.waves?.size === 'overhead' ? 'overhead' : 'powerful'}; the rider ${c.rider?.ability === 'novice' ? 'is learning' : 'rides along the face'}`,
  }),
  rule({
    id: 'gun-early',
    group: 'size',
    title: 'A gun for a rider who does not turn yet',
    level: 'look',
    cause: 'It asks to be turned early and late drops to be made; a longer, easier board teaches both first.',
    source: 'CP',
    given: [kinds('semiGun', 'bigWaveGun'), RIDERS.intermediate],
    says: ({ c }) => `This is a ${KIND_WORDS[c.kind]}, the rider rides along the face`,
  }),
  rule({
    id: 'past-its-waves',
    group: 'size',
    title: 'Past what this board holds',
    level: 'conflict',
    cause:
      'In overhead, steep waves its tail lets go and its nose is in the way: a narrower tail and more curve belong there.',
    source: 'CP',
    given: [
      kinds('keelFish', 'quadFish', 'modernFish', 'noseRider', 'pig', 'allRoundLongboard', 'performanceLongboard'),
      SEAS.steep,
      SEAS.overhead,
    ],
    says: ({ c }) => `This is a ${KIND_WORDS[c.kind]}`,
  }),
  rule({
    id: 'twin-in-steep',
    group: 'size',
    title: 'Twin in overhead, steep waves',
    level: 'look',
    cause: 'Fast and loose where hold is wanted; a trailer or a narrower tail helps.',
    lever: { id: 'trailer', way: 1 },
    source: 'CP',
    given: [kinds('twin'), SEAS.steep, SEAS.overhead],
    says: ({ facts }, w) => `A twin of ${w.feet(facts.L)}`,
  }),
  rule({
    id: 'drawn-for-another',
    group: 'stance',
    title: 'Drawn for another rider',
    level: 'conflict',
    cause: 'Foam, nose and lift ask for an expert’s back foot; softened, it is a board for this one.',
    lever: { id: 'soften', way: 1 },
    source: 'CP',
    given: [RIDERS.early, RIDERS.frontFooted],
    reads: [
      {
        words:
          'of foam an eighth fuller in the tail, nose lift over 5 in, nose 12 under 11 1/2 in on a board under 6’6, how many hold',
        unit: '',
        read: (facts) =>
          Number(facts.foilBias_mm < -0.12 * INCH_mm) +
          Number(facts.m.noseRocker_mm > 5.03 * INCH_mm) +
          Number(facts.m.noseWidth12_mm < 11.5 * INCH_mm && facts.L < 78 * INCH_mm),
      },
      'from',
      2,
    ],
    says: ({ facts, m }, w) =>
      `Nose lift ${w.mm(m.noseRocker_mm)}, nose 12 ${w.mm(m.noseWidth12_mm)}, the tail ${w.mm(Math.max(0, -facts.foilBias_mm))} thicker than the nose`,
  }),
  rule({
    id: 'pig-or-pin-to-learn-on',
    group: 'size',
    title: 'A pig or a pulled pin for a learner',
    level: 'look',
    cause: 'Wide behind or drawn in at the tail it turns before it is stood on: an even plan teaches trim first.',
    source: 'CP',
    given: [RIDERS.novice, either(kinds('pig'), both(tails('pin', 'roundedPin'), not(families('gun'))))],
    says: ({ c }) => `This is a ${KIND_WORDS[c.kind]}`,
  }),
  rule({
    id: 'elite-rocker',
    group: 'stance',
    title: 'An expert’s rocker under an ordinary rider',
    level: 'note',
    cause: 'It fits steep faces turned up and down; for going along the face it is slow and late.',
    lever: { id: 'noseRocker', way: -1 },
    source: 'CP',
    given: [
      RIDERS.early,
      kinds('performanceShortboard', 'smallWave', 'twin'),
      measured('tailRocker_mm', 'over', 2.45 * INCH_mm),
    ],
    reads: ['noseRocker_mm', 'over', 5.2 * INCH_mm],
    says: ({ m }, w) => `Lifts are ${w.mm(m.noseRocker_mm)} and ${w.mm(m.tailRocker_mm)}`,
  }),
  rule({
    id: 'slides-over-head',
    group: 'size',
    title: 'A tail for small waves',
    level: 'note',
    cause: 'Good here; over head high it will slide.',
    source: 'CP',
    given: [kinds('smallWave'), SEAS.known, not(SEAS.overhead), measured('tailShare', 'over', 0.8)],
    reads: ['block_mm', 'over', 8 * INCH_mm],
    says: ({ m }, w) => `Tail 12 is ${w.mm(m.tailWidth12_mm)} with a block of ${w.mm(m.block_mm)}`,
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
    given: [families('fish', 'midLength', 'longboard'), SEAS.wellOverhead, not(SEAS.steep)],
    says: ({ facts }) => `This is a ${FAMILY_WORDS[facts.board.family]}`,
  }),
  rule({
    id: 'gun-for-small',
    group: 'size',
    title: 'A gun for small waves',
    level: 'conflict',
    cause: 'It will hardly go in them; a longboard would.',
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
    school: { question: 'forwardWidth', answer: 'carries' },
    source: 'CP',
    given: [RIDERS.frontFooted, not(SEAS.overhead)],
    reads: ['noseWidth12_mm', 'under', { usual: 'low' }],
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
    reads: ['noseWidth12_mm', 'over', { usual: 'high' }],
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
    given: [RIDERS.sharp, SHORT],
    reads: ['width_mm', 'over', { usual: 'high' }],
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
        words: 'where the front foot stands, an inch further up for each 12 kg over 85, over the length',
        unit: '%',
        read: (facts, { rider }) => frontFoot_mm(facts, rider) / facts.L,
      },
      'over',
      0.55,
    ],
    says: ({ facts, rider }, w) =>
      `The front foot stands about ${w.mm(frontFoot_mm(facts, rider))} up on ${w.feet(facts.L)}`,
  }),
];
