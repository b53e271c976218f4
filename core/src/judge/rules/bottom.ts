import { LAYER_WORDS } from '../../document/kinds.ts';
import type { Facts } from '../../measure/facts.ts';
import { railLineAt, stringerLineAt } from '../../measure/bottomLines.ts';
import { TWELVE_mm } from '../../measure/measure.ts';
import { INCH_mm } from '../../units/length.ts';

import { families, type Known, measured, not, RIDERS, SEAS, SHORT, SIDE_FINS } from '../line.ts';
import { type Found, rule, type Rule, type Writer } from '../rule.ts';

/** Contours that hollow the middle of the board. */
const CONCAVES = ['single', 'narrow', 'triple'] as const;
/** A concave that a hand can find. */
const CONCAVE = measured('concaveDepth_mm', 'over', 0.06 * INCH_mm);

const underFrontFoot = (facts: Facts) => facts.depth(CONCAVES, facts.feet.frontFoot_mm);
const atTheEnd = (facts: Facts) => facts.depth(CONCAVES, INCH_mm);
const double = (facts: Facts) => facts.deepest(['double']).depth_mm;

const deepestAt = ({ facts }: Found<unknown>, w: Writer) =>
  `It is deepest ${w.mm(facts.concave.at_mm)} up, the front foot stands about ${w.mm(facts.feet.frontFoot_mm)} up`;
const noseDeep = ({ value }: Found<unknown>, w: Writer) => `The nose concave is ${w.mm(value)} deep`;
const channelsDeep = ({ value }: Found<unknown>, w: Writer) => `Channels are ${w.mm(value)} deep`;

/** The contour that comes in most abruptly. */
const STEEPEST: Known<{ words: string }> = {
  words: 'a contour',
  of: ({ facts }) => {
    const { kind } = facts.steepestBlend;
    return kind && { words: LAYER_WORDS[kind].replace(/^./, (x) => x.toUpperCase()) };
  },
};

/** By how much more the rail line lifts than the stringer line, from the front foot to 12 in from the tail. */
const railOverStringer = {
  words: 'lift of the rail line less that of the stringer, from the front foot to tail 12',
  unit: 'mm',
  read: ({ shape, feet }: Facts) => {
    const rail = (x_mm: number) => railLineAt(shape, x_mm) - stringerLineAt(shape, x_mm);
    return rail(TWELVE_mm) - rail(feet.frontFoot_mm);
  },
} as const;

/** Bottom: which contour where, how deep, and how it blends. */
export const BOTTOM_RULES: readonly Rule[] = [
  rule({
    id: 'deep-concave',
    group: 'bottom',
    title: 'Very deep concave',
    level: 'look',
    cause: 'Usual is an eighth to three eighths; deeper sticks to its track and chatters.',
    lever: { id: 'concave', way: -1 },
    source: 'CP',
    reads: ['concaveDepth_mm', 'over', 0.375 * INCH_mm],
    says: ({ value }, w) => `The concave is ${w.mm(value)} deep`,
  }),
  rule({
    id: 'rail-bends-more',
    group: 'bottom',
    title: 'Rail line curvier than the stringer',
    level: 'note',
    cause: 'Concave flattens the stringer and leaves the rail its curve: fast flat, tighter on the rail. Read both.',
    lever: { id: 'concave', way: -1 },
    source: 'derived',
    given: [CONCAVE, measured('tailVee_mm', 'under', INCH_mm / 16), measured('roll_mm', 'under', INCH_mm / 16)],
    reads: [railOverStringer, 'over', 0.34 * INCH_mm],
    says: ({ value }, w) => `Behind the front foot the rail lifts ${w.mm(value)} more than the stringer`,
  }),
  rule({
    id: 'rail-flatter',
    group: 'bottom',
    title: 'Rail line flatter than the stringer',
    level: 'note',
    cause:
      'Vee or roll under the feet lets the stringer bend and draws the rail straight: it tips easily, then runs on.',
    lever: { id: 'roll', way: -1 },
    source: 'derived',
    given: [not(families('longboard'))],
    reads: [railOverStringer, 'under', -0.2 * INCH_mm],
    says: ({ value }, w) => `Behind the front foot the rail lifts ${w.mm(-value)} less than the stringer`,
  }),
  rule({
    id: 'concave-off-front-foot',
    group: 'bottom',
    title: 'Deepest concave behind the front foot',
    level: 'note',
    cause: 'Concave lifts strongest where the weight stands.',
    lever: { id: 'concaveForward', way: 1 },
    source: 'CP',
    given: [RIDERS.frontFooted, CONCAVE],
    reads: [
      {
        words: 'the front foot ahead of where the concave is deepest',
        unit: 'mm',
        read: (facts) => facts.feet.frontFoot_mm - facts.concave.at_mm,
      },
      'over',
      10 * INCH_mm,
    ],
    says: deepestAt,
  }),
  rule({
    id: 'concave-off-back-foot',
    group: 'bottom',
    title: 'Deepest concave ahead of both feet',
    level: 'note',
    cause: 'Concave lifts strongest where the weight stands; ahead of it the nose is held up and the turn drawn out.',
    lever: { id: 'concaveForward', way: -1 },
    source: 'CP',
    given: [RIDERS.backFooted, CONCAVE],
    reads: [
      {
        words: 'where the concave is deepest, ahead of the front foot',
        unit: 'mm',
        read: (facts) => facts.concave.at_mm - facts.feet.frontFoot_mm,
      },
      'over',
      10 * INCH_mm,
    ],
    says: deepestAt,
  }),
  rule({
    id: 'heavy-front-foot-flat',
    group: 'bottom',
    title: 'Flat under a heavy front foot',
    level: 'look',
    cause: 'Deep under the front foot lifts a heavy front-footed rider onto the plane.',
    lever: { id: 'concave', way: 1 },
    source: 'CP',
    given: [RIDERS.heavy, RIDERS.frontFooted, SHORT],
    reads: [{ words: 'concave under the front foot', unit: 'mm', read: underFrontFoot }, 'under', 0.125 * INCH_mm],
    says: ({ value }, w) => `Under the front foot the concave is ${w.mm(value)}`,
  }),
  rule({
    id: 'much-vee',
    group: 'bottom',
    title: 'A lot of vee in the tail',
    level: 'look',
    cause: 'Usual is an eighth to a quarter; too much is tippy.',
    lever: { id: 'tailVee', way: -1 },
    source: 'CP',
    reads: ['tailVee_mm', 'over', 0.25 * INCH_mm],
    says: ({ value }, w) => `Vee is ${w.mm(value)} at the rail`,
  }),
  rule({
    id: 'vee-and-roll-narrow',
    group: 'bottom',
    title: 'Vee and roll together on a narrow tail',
    level: 'look',
    cause: 'Both tip it from rail to rail, and there is little tail to stand on.',
    lever: { id: 'tailVee', way: -1 },
    source: 'derived',
    given: [measured('tailWidth12_mm', 'under', 15 * INCH_mm)],
    reads: [
      { words: 'vee and roll in the tail together', unit: 'mm', read: (f) => f.tailVee_mm + f.tailRoll_mm },
      'over',
      0.375 * INCH_mm,
    ],
    says: ({ facts }, w) => `Vee ${w.mm(facts.tailVee_mm)} and roll ${w.mm(facts.tailRoll_mm)} in the tail`,
  }),
  rule({
    id: 'sticky-roll',
    group: 'bottom',
    title: 'A lot of roll',
    level: 'look',
    cause: 'Roll parts chop and anchors; much of it sits in the water and feels sticky.',
    lever: { id: 'roll', way: -1 },
    school: { question: 'roll', answer: 'locks' },
    source: 'CP',
    reads: ['roll_mm', 'over', (5 / 16) * INCH_mm],
    says: ({ value }, w) => `Roll is ${w.mm(value)} at the rail`,
  }),
  rule({
    id: 'roll-under-several-fins',
    group: 'bottom',
    title: 'Roll under the tail of a board with several fins',
    level: 'look',
    cause: 'Roll draws the tail into the water; the fins there want release.',
    lever: { id: 'roll', way: -1 },
    school: { question: 'roll', answer: 'locks' },
    source: 'CP',
    given: [SHORT, SIDE_FINS],
    reads: ['tailRoll_mm', 'over', INCH_mm / 16],
    says: ({ value }, w) => `There are ${w.mm(value)} of roll under the fins`,
  }),
  rule({
    id: 'deep-nose-concave',
    group: 'bottom',
    title: 'Deep nose concave',
    level: 'note',
    cause: 'A deep one slides out in a steep section.',
    lever: { id: 'noseConcave', way: -1 },
    school: { question: 'noseRide', answer: 'slight' },
    source: 'CP',
    reads: ['noseConcave_mm', 'over', 0.25 * INCH_mm],
    says: noseDeep,
  }),
  rule({
    id: 'deep-nose-concave-steep',
    group: 'bottom',
    title: 'Deep nose concave for steep waves',
    level: 'conflict',
    cause: 'It slides out in a steep section.',
    lever: { id: 'noseConcave', way: -1 },
    source: 'CP',
    given: [SEAS.steep],
    reads: ['noseConcave_mm', 'over', (3 / 16 + 1 / 64) * INCH_mm],
    says: noseDeep,
  }),
  rule({
    id: 'shallow-nose-concave',
    group: 'bottom',
    title: 'Shallow nose concave in a shop of deep ones',
    level: 'note',
    cause: 'Deep slows and steadies the nose ride.',
    lever: { id: 'noseConcave', way: 1 },
    school: { question: 'noseRide', answer: 'deep' },
    source: 'CP',
    given: [measured('noseConcave_mm', 'over', 0.5)],
    reads: ['noseConcave_mm', 'under', (3 / 16 - 1 / 64) * INCH_mm],
    says: noseDeep,
  }),
  rule({
    id: 'nose-concave-chop',
    group: 'bottom',
    title: 'Concave in the nose for a chopped-up spot',
    level: 'conflict',
    cause: 'Belly or vee there cuts the chop and glides in; a hollow slaps on every bump.',
    lever: { id: 'noseHollow', way: -1 },
    school: { question: 'shortNose', answer: 'belly' },
    source: 'CP',
    given: [SEAS.choppy, not(families('longboard'))],
    reads: ['noseHollow_mm', 'over', INCH_mm / 16],
    says: ({ value }, w) => `Within 12 in of the nose the bottom is hollow by ${w.mm(value)}`,
  }),
  rule({
    id: 'nose-belly-weak',
    group: 'bottom',
    title: 'Belly in the nose for weak waves',
    level: 'note',
    cause: 'Concave to the tip enters early; belly there parts the water.',
    lever: { id: 'foreVee', way: -1 },
    school: { question: 'shortNose', answer: 'concave' },
    source: 'CP',
    given: [SEAS.weak, SHORT],
    reads: [
      { words: 'roll forward', unit: 'mm', read: (facts) => facts.deepest(['roll'], 0.55 * facts.L).depth_mm },
      'over',
      INCH_mm / 16,
    ],
    says: ({ value }, w) => `There are ${w.mm(value)} of roll forward`,
  }),
  rule({
    id: 'flat-in-chop',
    group: 'bottom',
    title: 'Nothing to part the chop',
    level: 'look',
    cause: 'It chatters: vee or belly forward, mild roll, soft rails and a little weight steady it.',
    lever: { id: 'foreVee', way: 1 },
    source: 'CP',
    given: [SEAS.choppy, not(families('longboard', 'gun'))],
    reads: ['foreVee_mm', 'under', INCH_mm / 32],
    says: ({ value }, w) => `Forward there is ${w.mm(value)} of vee or roll`,
  }),
  rule({
    id: 'hollow-at-the-end',
    group: 'bottom',
    title: 'Hollow to the very end of the tail',
    level: 'note',
    cause: 'Flat at the very end releases; a hollow holds on.',
    lever: { id: 'concave', way: -1 },
    source: 'CP',
    given: [SIDE_FINS],
    reads: [{ words: 'concave one inch from the tail', unit: 'mm', read: atTheEnd }, 'over', INCH_mm / 10],
    says: ({ value }, w) => `An inch from the tail the bottom is still hollow by ${w.mm(value)}`,
  }),
  rule({
    id: 'abrupt-blend',
    group: 'bottom',
    title: 'Contour that comes in abruptly',
    level: 'look',
    cause: 'Blends matter more than depths: every contour fades in and out over length.',
    lever: { id: 'blendLength', way: 1 },
    source: 'derived',
    knows: STEEPEST,
    reads: [
      {
        words: 'the most any contour grows over an inch of length',
        unit: 'mm',
        read: ({ blendSlope }) => blendSlope * INCH_mm,
      },
      'over',
      INCH_mm / 11,
    ],
    says: ({ value, words }, w) => `${words} grows ${w.mm(value)} over an inch of length`,
  }),
  rule({
    id: 'double-without-vee',
    group: 'bottom',
    title: 'Double concave without vee',
    level: 'note',
    cause: 'Inside vee it rolls quickly with lift and flattens the line beside the stringer; alone it is neither.',
    lever: { id: 'tailVee', way: 1 },
    source: 'CP',
    given: [
      measured({ words: 'double concave', unit: 'mm', read: double }, 'over', INCH_mm / 16),
      measured('concaveDepth_mm', 'under', 1),
    ],
    reads: ['tailVee_mm', 'under', INCH_mm / 32],
    says: ({ facts }, w) => `The double is ${w.mm(double(facts))} deep in a flat tail`,
  }),
  rule({
    id: 'channels-chop',
    group: 'bottom',
    title: 'Channels in chop',
    level: 'look',
    cause: 'They hold a line on clean faces and rattle on rough ones.',
    lever: { id: 'channels', way: -1 },
    source: 'derived',
    given: [SEAS.choppy],
    reads: ['channels_mm', 'over', (3 / 32) * INCH_mm],
    says: channelsDeep,
  }),
  rule({
    id: 'deep-channels',
    group: 'bottom',
    title: 'Deep channels',
    level: 'look',
    cause: 'Usual is an eighth to a quarter; deeper they track and are hard to glass.',
    lever: { id: 'channels', way: -1 },
    source: 'CP',
    reads: ['channels_mm', 'over', 0.25 * INCH_mm],
    says: channelsDeep,
  }),
];
