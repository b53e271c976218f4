import { INCH_mm } from '../../units/length.ts';
import type { Facts } from '../../measure/facts.ts';
import type { Case } from '../case.ts';
import { families, type Given, measured, not, numberWords, RIDERS, SEAS, setups, SHORT, usual } from '../line.ts';
import { against, type Found, radians, rule, type Rule, type Writer } from '../rule.ts';

const LONGBOARD = families('longboard');
const from = ({ c }: Found<unknown>, key: 'noseRocker_mm' | 'tailRocker_mm', w: Writer) =>
  `usually from ${w.mm(usual(c, key).low)} at this length`;
const upTo = ({ c }: Found<unknown>, key: 'noseRocker_mm' | 'tailRocker_mm', w: Writer) =>
  `usually up to ${w.mm(usual(c, key).high)} at this length`;

/** Where a lift lies in its usual range: 0 at its low end, 1 at its high one. */
function place(c: Case, key: 'noseRocker_mm' | 'tailRocker_mm'): number {
  const { low, high } = usual(c, key);
  return (c.facts.m[key] - low) / (high - low);
}

/** A flat that is plainly the board's flattest, by so much longer than the one under the feet. Our own. */
const PLAINLY = 1.15;
const FLATTER_ELSEWHERE: Given = {
  words: 'a flattest part 15 % longer than any under the feet',
  holds: ({ facts }) => facts.flattest.length_mm > PLAINLY * facts.flatUnderFeet.length_mm,
};
/** Where the middle of the flattest part lies from the back foot (0) to the front foot (1). */
const panelInStance = {
  words: 'where the flattest part lies, from the back foot (0 %) to the front foot (100 %)',
  unit: '%',
  read: ({ flattest, feet }: Facts) => (flattest.middle_mm - feet.backFoot_mm) / (feet.frontFoot_mm - feet.backFoot_mm),
} as const;

/** Under this a short board's entry is low for steep waves, whatever its kind. CP. */
const STEEP_ENTRY_mm = 4.25 * INCH_mm;
const LOW_IN_STEEP = {
  words: `${numberWords(STEEP_ENTRY_mm, 'mm')}, or the low end of its usual range where that is more`,
  at: (_known: unknown, _facts: Facts, c: Case) =>
    Math.max(STEEP_ENTRY_mm, usual(c, 'noseRocker_mm').low) - INCH_mm / 16,
} as const;

/** Rocker: entry, tail, flat, evenness. Lifts are compared as shares of the length, so that sizes of a model agree. */
export const ROCKER_RULES: readonly Rule[] = [
  rule({
    id: 'flat-entry-steep',
    group: 'rocker',
    title: 'Low entry for steep waves',
    level: 'look',
    cause: 'Too low an entry pearls on the drop and digs.',
    lever: { id: 'noseRocker', way: 1 },
    source: 'CP',
    given: [SEAS.steep],
    reads: ['noseRocker_mm', 'under', LOW_IN_STEEP],
    says: ({ value, line }, w) => `Nose lift is ${w.mm(value)}, here usually from ${w.mm(line)}`,
  }),
  rule({
    id: 'low-entry',
    group: 'rocker',
    title: 'Very low entry',
    level: 'look',
    cause:
      'It gets in early, and too low pearls and digs; a moderate curve in the last part of the nose covers most waves.',
    lever: { id: 'noseRocker', way: 1 },
    source: 'CP',
    given: [not(SEAS.steep)],
    reads: ['noseRocker_mm', 'under', { usual: 'low' }],
    says: (found, w) => `Nose lift is ${w.mm(found.m.noseRocker_mm)}, ${from(found, 'noseRocker_mm', w)}`,
  }),
  rule({
    id: 'high-entry-weak',
    group: 'rocker',
    title: 'A lot of nose rocker for weak waves',
    level: 'look',
    cause: 'It pushes water and gets in late; small-wave boards have less entry.',
    lever: { id: 'noseRocker', way: -1 },
    source: 'CP',
    given: [SEAS.weak],
    reads: ['noseRocker_mm', 'over', { usual: 'high' }],
    says: (found, w) =>
      `Nose lift is ${w.mm(found.m.noseRocker_mm)}${against(found.c, (f) => f.m.noseRocker_mm, w.mm)}, ${upTo(found, 'noseRocker_mm', w)}`,
  }),
  rule({
    id: 'steep-even-entry',
    group: 'rocker',
    title: 'Curve kept for the very tip in steep waves',
    level: 'note',
    cause: 'The entry is flat to its last inches and then flips: late on the drop.',
    lever: { id: 'entry', way: 1 },
    source: 'derived',
    given: [SEAS.steep],
    reads: ['entryShare', 'under', { usual: 'low' }],
    says: ({ m }, w) => `At nose 12 the lift is ${w.mm(m.noseRocker12_mm)} of ${w.mm(m.noseRocker_mm)} at the tip`,
  }),
  rule({
    id: 'flat-tail',
    group: 'rocker',
    title: 'Dead flat tail',
    level: 'look',
    cause: 'Fast in a line and stuck in it: even small-wave boards want some curve off the fins to pivot on.',
    lever: { id: 'tailRocker', way: 1 },
    source: 'CP',
    reads: ['tailRocker_mm', 'under', { usual: 'low' }],
    says: (found, w) => `Tail lift is ${w.mm(found.m.tailRocker_mm)}, ${from(found, 'tailRocker_mm', w)}`,
  }),
  rule({
    id: 'much-tail-rocker',
    group: 'rocker',
    title: 'A lot of tail rocker',
    level: 'look',
    cause: 'It turns tight and drags; it wants to be pumped.',
    lever: { id: 'tailRocker', way: -1 },
    source: 'CP',
    given: [not(SEAS.steep)],
    reads: ['tailRocker_mm', 'over', { usual: 'high' }],
    says: (found, w) =>
      `Tail lift is ${w.mm(found.m.tailRocker_mm)}${against(found.c, (f) => f.m.tailRocker_mm, w.mm)}, ${upTo(found, 'tailRocker_mm', w)}`,
  }),
  rule({
    id: 'stiff-in-steep',
    group: 'rocker',
    title: 'Little tail rocker for steep waves',
    level: 'note',
    cause: 'Curve at both ends fits a steep face and lets it be turned up and down.',
    lever: { id: 'tailRocker', way: 1 },
    school: { question: 'rocker', answer: 'added' },
    source: 'CP',
    given: [SEAS.steep],
    reads: ['tailRocker_mm', 'under', { usual: 'low', into: 0.1 }],
    says: ({ m }, w) => `Tail lift is ${w.mm(m.tailRocker_mm)} in steep waves`,
  }),
  rule({
    id: 'kicked-longboard',
    group: 'rocker',
    title: 'Kicked tail on a longboard',
    level: 'note',
    cause: 'The same lift over a shorter length is more curve: the tail serves turns and drags in mid-board.',
    lever: { id: 'tailKick', way: 1 },
    school: { question: 'longRocker', answer: 'even' },
    source: 'CP',
    given: [LONGBOARD],
    reads: ['tailKick', 'under', 0.44],
    says: ({ m }, w) => `Tail lift falls from ${w.mm(m.tailRocker_mm)} at the tip to ${w.mm(m.tailRocker12_mm)} at 12`,
  }),
  rule({
    id: 'even-longboard',
    group: 'rocker',
    title: 'Even rocker in a shop of kicked tails',
    level: 'note',
    cause: 'A kick right at the tail lifts the nose when it is stepped on.',
    lever: { id: 'tailKick', way: -1 },
    school: { question: 'longRocker', answer: 'kicked' },
    source: 'CP',
    given: [LONGBOARD],
    reads: ['tailKick', 'over', 0.5],
    says: ({ m }, w) => `Tail lift is ${w.mm(m.tailRocker_mm)} at the tip and still ${w.mm(m.tailRocker12_mm)} at 12`,
  }),
  rule({
    id: 'heavy-no-flat',
    group: 'rocker',
    title: 'No flat between the feet of a heavy rider',
    level: 'look',
    cause: 'A flat spot between the feet helps a heavy rider plane.',
    lever: { id: 'flat', way: 1 },
    source: 'CP',
    given: [RIDERS.heavy],
    reads: ['flatShare', 'under', { usual: 'low', times: 1.1 }],
    says: ({ facts, value, line }, w) =>
      `A straightedge finds ${w.mm(value * facts.L)} of flat, usually from ${w.mm(line * facts.L)}`,
  }),
  rule({
    id: 'panel-behind-feet',
    group: 'rocker',
    title: 'Flat panel behind the back foot',
    level: 'look',
    cause: 'It runs straight off the tail and has no curve under the fins to pivot on.',
    lever: { id: 'tailKick', way: -1 },
    source: 'derived',
    given: [FLATTER_ELSEWHERE],
    reads: [panelInStance, 'under', -0.15],
    says: ({ facts }, w) =>
      `The flattest ${w.mm(facts.flattest.length_mm)} lies about ${w.mm(facts.flattest.middle_mm)} up, the back foot ${w.mm(facts.feet.backFoot_mm)}`,
  }),
  rule({
    id: 'panel-ahead-of-feet',
    group: 'rocker',
    title: 'Flat panel ahead of the front foot',
    level: 'look',
    cause: 'It paddles on it and stands behind it: all curve under the feet drags in a line.',
    lever: { id: 'entry', way: -1 },
    source: 'derived',
    given: [SHORT, FLATTER_ELSEWHERE],
    reads: [panelInStance, 'over', 1.35],
    says: ({ facts }, w) =>
      `The flattest ${w.mm(facts.flattest.length_mm)} lies about ${w.mm(facts.flattest.middle_mm)} up, the front foot ${w.mm(facts.feet.frontFoot_mm)}`,
  }),
  rule({
    id: 'light-expert-flat',
    group: 'rocker',
    title: 'Flat rocker under a light, sharp rider',
    level: 'note',
    cause: 'Small, light or very skilled riders who turn tight want relatively more curve.',
    lever: { id: 'tailRocker', way: 1 },
    school: { question: 'rocker', answer: 'added' },
    source: 'CP',
    given: [RIDERS.light, RIDERS.expert, not(SEAS.weak)],
    reads: [
      {
        words: 'how far nose and tail lift over the length lie into their usual ranges, on the mean',
        unit: '%',
        read: (_facts, _known, c) => (place(c, 'noseRocker_mm') + place(c, 'tailRocker_mm')) / 2,
      },
      'under',
      0.25,
    ],
    says: ({ m }, w) => `Lifts are ${w.mm(m.noseRocker_mm)} and ${w.mm(m.tailRocker_mm)}`,
  }),
  rule({
    id: 'wide-flat-vertical',
    group: 'rocker',
    title: 'Wide and flat, on raked fins',
    level: 'note',
    cause: 'A board that is wide with little tail rocker turns better on a large upright set.',
    lever: { id: 'finRake', way: -1 },
    source: 'CP',
    given: [
      measured('length_mm', 'under', 76 * INCH_mm),
      measured('width_mm', 'from', 20.5 * INCH_mm),
      measured('tailRockerShare', 'under', 0.03),
      not(setups('keels')),
    ],
    reads: ['finRake_rad', 'over', radians(36)],
    says: ({ m, value }, w) =>
      `${w.mm(m.width_mm)} wide with ${w.mm(m.tailRocker_mm)} of tail lift, fins raked ${((value * 180) / Math.PI).toFixed(0)} degrees`,
  }),
  rule({
    id: 'uneven-rocker',
    group: 'rocker',
    title: 'Rocker that wanders',
    level: 'look',
    cause: 'Curve that comes and goes pushes water; see the side light, and lift the mark that asks for it.',
    source: 'derived',
    reads: ['rockerEvenness', 'under', { usual: 'low', plus: -0.05 }],
    says: () => 'Between the feet the bottom’s curve comes and goes',
  }),
];
