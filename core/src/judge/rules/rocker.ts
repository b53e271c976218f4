import { INCH_mm } from '../../units/length.ts';
import { against, heavy, light, over, type Rule, steep, under, usual, weak, when } from '../rule.ts';

const L_SHARE = 'over the length';

/** Rocker: entry, tail, flat, evenness. Lifts are compared as shares of the length, so that sizes of a model agree. */
export const ROCKER_RULES: readonly Rule[] = [
  {
    id: 'flat-entry-steep',
    group: 'rocker',
    title: 'Low entry for steep waves',
    level: 'conflict',
    looksAt: `nose lift ${L_SHARE}`,
    when: 'steep waves, nose lift under the family’s usual range',
    cause: 'Too low an entry pearls on the drop and digs.',
    lever: { id: 'noseRocker', way: 1 },
    source: 'CP',
    beyond: (c) => when(steep(c), under(c, 'noseRockerShare')),
    says: (c, w) =>
      `Nose lift is ${w.mm(c.facts.m.noseRocker_mm)}, usually from ${w.mm(usual(c, 'noseRockerShare').low * c.facts.L)} at this length`,
  },
  {
    id: 'low-entry',
    group: 'rocker',
    title: 'Very low entry',
    level: 'look',
    looksAt: `nose lift ${L_SHARE}`,
    when: 'a tenth under the family’s usual range, in any waves',
    cause:
      'It gets in early, and too low pearls and digs; a moderate curve in the last part of the nose covers most waves.',
    lever: { id: 'noseRocker', way: 1 },
    source: 'CP',
    beyond: (c) => when(!steep(c), 0.9 * usual(c, 'noseRockerShare').low - c.facts.noseRockerShare),
    says: (c, w) =>
      `Nose lift is ${w.mm(c.facts.m.noseRocker_mm)}, usually from ${w.mm(usual(c, 'noseRockerShare').low * c.facts.L)} at this length`,
  },
  {
    id: 'high-entry-weak',
    group: 'rocker',
    title: 'Much nose rocker for weak waves',
    level: 'look',
    looksAt: `nose lift ${L_SHARE}`,
    when: 'weak waves, over the family’s usual range',
    cause: 'It pushes water and gets in late; small-wave boards have less entry.',
    lever: { id: 'noseRocker', way: -1 },
    source: 'CP',
    beyond: (c) => when(weak(c), over(c, 'noseRockerShare')),
    says: (c, w) =>
      `Nose lift is ${w.mm(c.facts.m.noseRocker_mm)}${against(c, (f) => f.m.noseRocker_mm, w.mm)}, usually up to ${w.mm(usual(c, 'noseRockerShare').high * c.facts.L)} at this length`,
  },
  {
    id: 'steep-even-entry',
    group: 'rocker',
    title: 'Curve kept for the very tip in steep waves',
    level: 'note',
    looksAt: 'lift at nose 12 over lift at the tip',
    when: 'steep waves, a smaller share of the lift at 12 in than the family usually has',
    cause: 'The entry is flat to its last inches and then flips: late on the drop.',
    lever: { id: 'entry', way: 1 },
    source: 'derived',
    beyond: (c) => when(steep(c), under(c, 'entryShare')),
    says: (c, w) =>
      `At nose 12 the lift is ${w.mm(c.facts.m.noseRocker12_mm)} of ${w.mm(c.facts.m.noseRocker_mm)} at the tip`,
  },
  {
    id: 'flat-tail',
    group: 'rocker',
    title: 'Dead flat tail',
    level: 'look',
    looksAt: `tail lift ${L_SHARE}`,
    when: 'under the family’s usual range',
    cause: 'Fast in a line and stuck in it: even small-wave boards want some curve off the fins to pivot on.',
    lever: { id: 'tailRocker', way: 1 },
    source: 'CP',
    beyond: (c) => under(c, 'tailRockerShare'),
    says: (c, w) =>
      `Tail lift is ${w.mm(c.facts.m.tailRocker_mm)}, usually from ${w.mm(usual(c, 'tailRockerShare').low * c.facts.L)} at this length`,
  },
  {
    id: 'much-tail-rocker',
    group: 'rocker',
    title: 'Much tail rocker',
    level: 'look',
    looksAt: `tail lift ${L_SHARE}`,
    when: 'over the family’s usual range, steep waves excepted',
    cause: 'It turns tight and drags; it wants to be pumped.',
    lever: { id: 'tailRocker', way: -1 },
    source: 'CP',
    beyond: (c) => when(!steep(c), over(c, 'tailRockerShare')),
    says: (c, w) =>
      `Tail lift is ${w.mm(c.facts.m.tailRocker_mm)}${against(c, (f) => f.m.tailRocker_mm, w.mm)}, usually up to ${w.mm(usual(c, 'tailRockerShare').high * c.facts.L)} at this length`,
  },
  {
    id: 'stiff-in-steep',
    group: 'rocker',
    title: 'Little tail rocker for steep waves',
    level: 'note',
    looksAt: `tail lift ${L_SHARE}`,
    when: 'steep waves, in the lowest tenth of the family’s usual range',
    cause: 'Curve at both ends fits a steep face and lets it be turned up and down.',
    lever: { id: 'tailRocker', way: 1 },
    source: 'CP',
    beyond: (c) => {
      const { low, high } = usual(c, 'tailRockerShare');
      return when(steep(c), low + 0.1 * (high - low) - c.facts.tailRockerShare);
    },
    says: (c, w) => `Tail lift is ${w.mm(c.facts.m.tailRocker_mm)} in steep waves`,
  },
  {
    id: 'kicked-longboard',
    group: 'rocker',
    title: 'Kicked tail on a longboard',
    level: 'look',
    looksAt: 'lift at tail 12 over lift at the tip',
    when: 'a longboard with less than 44 % of its tail lift left at 12 in; the shop holds with even rocker',
    cause: 'The same lift over a shorter length is more curve: the tail serves turns and drags in mid-board.',
    lever: { id: 'tailKick', way: 1 },
    school: { question: 'longRocker', answer: 'even' },
    source: 'CP',
    beyond: (c) => when(c.facts.board.family === 'longboard', 0.44 - c.facts.tailKick),
    says: (c, w) =>
      `Tail lift falls from ${w.mm(c.facts.m.tailRocker_mm)} at the tip to ${w.mm(c.facts.m.tailRocker12_mm)} at 12`,
  },
  {
    id: 'even-longboard',
    group: 'rocker',
    title: 'Even rocker in a shop of kicked tails',
    level: 'note',
    looksAt: 'lift at tail 12 over lift at the tip',
    when: 'a longboard with more than 50 % of its tail lift left at 12 in; the shop kicks tails',
    cause: 'A kick right at the tail lifts the nose when it is stepped on.',
    lever: { id: 'tailKick', way: -1 },
    school: { question: 'longRocker', answer: 'kicked' },
    source: 'CP',
    beyond: (c) => when(c.facts.board.family === 'longboard', c.facts.tailKick - 0.5),
    says: (c, w) =>
      `Tail lift is ${w.mm(c.facts.m.tailRocker_mm)} at the tip and still ${w.mm(c.facts.m.tailRocker12_mm)} at 12`,
  },
  {
    id: 'heavy-no-flat',
    group: 'rocker',
    title: 'No flat between the feet of a heavy rider',
    level: 'look',
    looksAt: 'flattest part of the bottom over the length',
    when: 'from 95 kg, shorter than the family’s usual range',
    cause: 'A flat spot between the feet helps a heavy rider plane.',
    lever: { id: 'tailRocker', way: -1 },
    source: 'CP',
    beyond: (c) => when(heavy(c), under(c, 'flatShare')),
    says: (c, w) =>
      `A straightedge finds ${w.mm(c.facts.flatShare * c.facts.L)} of flat, usually from ${w.mm(usual(c, 'flatShare').low * c.facts.L)}`,
  },
  {
    id: 'light-expert-flat',
    group: 'rocker',
    title: 'Flat rocker under a light, sharp rider',
    level: 'note',
    looksAt: `nose and tail lift ${L_SHARE}`,
    when: 'up to 62 kg and turning hard, both lifts together in the lower quarter of the family',
    cause: 'Small, light or very skilled riders who turn tight want relatively more curve.',
    lever: { id: 'tailRocker', way: 1 },
    source: 'CP',
    beyond: (c) => {
      const place = (key: 'noseRockerShare' | 'tailRockerShare') => {
        const { low, high } = usual(c, key);
        return (c.facts[key] - low) / (high - low);
      };
      return when(
        light(c) && c.rider?.ability === 'expert' && !weak(c),
        0.25 - (place('noseRockerShare') + place('tailRockerShare')) / 2,
      );
    },
    says: (c, w) => `Lifts are ${w.mm(c.facts.m.noseRocker_mm)} and ${w.mm(c.facts.m.tailRocker_mm)}`,
  },
  {
    id: 'wide-flat-vertical',
    group: 'rocker',
    title: 'Wide and flat, on raked fins',
    level: 'note',
    looksAt: `width, tail lift ${L_SHARE}, rake of the fins`,
    when: 'short boards from 20 1/2 in wide with under 3 % of tail lift, and fins raked over 31 degrees',
    cause: 'A board that is wide with little tail rocker turns better on a large upright set.',
    lever: { id: 'finRake', way: -1 },
    source: 'CP',
    beyond: (c) => {
      const degrees = (31 * Math.PI) / 180;
      const { board, m, tailRockerShare, finRake_rad } = c.facts;
      const wide = board.length_mm < 76 * INCH_mm && m.width_mm >= 20.5 * INCH_mm && tailRockerShare < 0.03;
      return when(wide && board.fins.setup !== 'keels', finRake_rad - degrees);
    },
    says: (c, w) =>
      `${w.mm(c.facts.m.width_mm)} wide with ${w.mm(c.facts.m.tailRocker_mm)} of tail lift, fins raked ${((c.facts.finRake_rad * 180) / Math.PI).toFixed(0)} degrees`,
  },
  {
    id: 'uneven-rocker',
    group: 'rocker',
    title: 'Rocker that wanders',
    level: 'look',
    looksAt: 'evenness of the rocker’s middle third',
    when: 'less even than the family’s usual range',
    cause: 'Curve that comes and goes pushes water; see the side light, and lift the mark that asks for it.',
    source: 'derived',
    beyond: (c) => usual(c, 'rockerEvenness').low - 0.05 - c.facts.rockerEvenness,
    says: (c) =>
      `Evenness of the middle third is ${c.facts.rockerEvenness.toFixed(2)}, usually from ${usual(c, 'rockerEvenness').low.toFixed(2)}; 1 is an arc of a circle`,
  },
];
