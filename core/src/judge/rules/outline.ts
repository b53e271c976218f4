import { INCH_mm } from '../../units/length.ts';
import { against, backFooted, big, frontFooted, over, type Rule, steep, under, usual, weak, when } from '../rule.ts';

const STRAIGHT = 'radius of the outline’s middle third over the length';
const percent = (share: number) => `${(100 * share).toFixed(0)} %`;

/** Outline: wide point, straight or curved, nose, tail, wings. */
export const OUTLINE_RULES: readonly Rule[] = [
  {
    id: 'wide-point-ahead-back-foot',
    group: 'outline',
    title: 'Wide point ahead of a back-footed rider',
    level: 'look',
    looksAt: 'wide point ahead of centre',
    when: 'back-footed, not a gun or longboard, more than 3/4 in ahead',
    cause: 'Behind centre the arcs shorten and the tail carries a rider who stands in one place.',
    lever: { id: 'widePoint', way: -1 },
    source: 'CP',
    beyond: (c) =>
      when(
        backFooted(c) && !['gun', 'longboard', 'midLength'].includes(c.facts.board.family),
        c.facts.m.widePointFromCentre_mm - 0.75 * INCH_mm,
      ),
    says: (c, w) => `The wide point is ${w.mm(c.facts.m.widePointFromCentre_mm)} ahead of centre`,
  },
  {
    id: 'wide-point-behind-front-foot',
    group: 'outline',
    title: 'Wide point behind a front-footed rider',
    level: 'look',
    looksAt: 'wide point ahead of centre',
    when: 'front-footed, not a longboard, more than 1/4 in behind centre',
    cause: 'Ahead of centre there is area under the chest and the front foot, an early entry and front-foot drive.',
    lever: { id: 'widePoint', way: 1 },
    source: 'CP',
    beyond: (c) =>
      when(frontFooted(c) && c.facts.board.family !== 'longboard', -0.25 * INCH_mm - c.facts.m.widePointFromCentre_mm),
    says: (c, w) => `The wide point is ${w.mm(-c.facts.m.widePointFromCentre_mm)} behind centre`,
  },
  {
    id: 'nose-rider-wide-point',
    group: 'outline',
    title: 'Wide point forward on a nose rider',
    level: 'note',
    looksAt: 'wide point ahead of centre, nose concave',
    when: 'a longboard with a nose concave and the wide point more than 1 1/2 in ahead',
    cause: 'Behind centre it holds the nose ride, since water runs over the wide back half, and it carves more.',
    lever: { id: 'widePoint', way: -1 },
    source: 'CP',
    beyond: (c) =>
      when(
        c.facts.board.family === 'longboard' && c.facts.noseConcave_mm > 0.06 * INCH_mm,
        c.facts.m.widePointFromCentre_mm - 1.5 * INCH_mm,
      ),
    says: (c, w) => `The wide point is ${w.mm(c.facts.m.widePointFromCentre_mm)} ahead of centre`,
  },
  {
    id: 'straight-rail-steep',
    group: 'outline',
    title: 'Straight rail line for steep waves',
    level: 'look',
    looksAt: STRAIGHT,
    when: 'steep waves, straighter than the family usually is',
    cause: 'It drives and runs, and turns only from the tail; curve fits the face.',
    lever: { id: 'curvier', way: 1 },
    source: 'CP',
    beyond: (c) => when(steep(c), over(c, 'straightness')),
    says: (c) =>
      `The middle of the rail line has a radius of ${c.facts.straightness.toFixed(1)} lengths, usually up to ${usual(c, 'straightness').high.toFixed(1)}`,
  },
  {
    id: 'straight-flat-front-foot',
    group: 'outline',
    title: 'Straight outline and flat entry under a front foot',
    level: 'conflict',
    looksAt: `${STRAIGHT}; nose lift over the length`,
    when: 'front-footed, the outline in the straighter half of its family and the nose lift under the usual range',
    cause: 'A straight outline with a flat entry catches under a front-footed rider.',
    lever: { id: 'noseRocker', way: 1 },
    source: 'CP',
    beyond: (c) => {
      const { low, high } = usual(c, 'straightness');
      return when(frontFooted(c) && c.facts.straightness > (low + high) / 2, under(c, 'noseRockerShare'));
    },
    says: (c, w) =>
      `Nose lift ${w.mm(c.facts.m.noseRocker_mm)} on a rail line of ${c.facts.straightness.toFixed(1)} lengths radius`,
  },
  {
    id: 'curved-rail-weak',
    group: 'outline',
    title: 'Curved rail line for weak waves',
    level: 'note',
    looksAt: STRAIGHT,
    when: 'weak waves, more curved than the family usually is',
    cause: 'It goes top to bottom easily and loses its speed in a line.',
    lever: { id: 'curvier', way: -1 },
    source: 'CP',
    beyond: (c) => when(weak(c), under(c, 'straightness')),
    says: (c) =>
      `The middle of the rail line has a radius of ${c.facts.straightness.toFixed(1)} lengths, usually from ${usual(c, 'straightness').low.toFixed(1)}`,
  },
  {
    id: 'wide-tail-front-foot-big',
    group: 'outline',
    title: 'Wide tail for a front-footed rider in overhead waves',
    level: 'conflict',
    looksAt: 'tail 12 over width',
    when: 'front-footed, overhead waves, tail 12 over 78 % of the width',
    cause: 'A wide tail lets go at speed, most of all under a front-footed rider.',
    lever: { id: 'tailWidth', way: -1 },
    source: 'CP',
    beyond: (c) => when(frontFooted(c) && big(c), c.facts.tailShare - 0.78),
    says: (c, w) =>
      `Tail 12 is ${w.mm(c.facts.m.tailWidth12_mm)}, ${percent(c.facts.tailShare)} of the width${against(c, (f) => f.m.tailWidth12_mm, w.mm)}`,
  },
  {
    id: 'wide-tail-big',
    group: 'outline',
    title: 'Wide tail for overhead waves',
    level: 'look',
    looksAt: 'tail 12 over width',
    when: 'overhead waves, wider than the family usually is; the shop holds with narrow tails',
    cause: 'Narrow holds, sinks and sets the rail; wide has lift that is not wanted there.',
    lever: { id: 'tailWidth', way: -1 },
    school: { question: 'tail', answer: 'hold' },
    source: 'CP',
    beyond: (c) => when(big(c), over(c, 'tailShare')),
    says: (c, w) =>
      `Tail 12 is ${w.mm(c.facts.m.tailWidth12_mm)}, ${percent(c.facts.tailShare)} of the width, usually up to ${percent(usual(c, 'tailShare').high)}`,
  },
  {
    id: 'narrow-tail-weak',
    group: 'outline',
    title: 'Narrow tail for weak waves',
    level: 'look',
    looksAt: 'tail 12 over width',
    when: 'weak waves, narrower than the family usually is',
    cause: 'A narrow tail sinks where there is no power; width there is lift and speed.',
    lever: { id: 'tailWidth', way: 1 },
    source: 'CP',
    beyond: (c) => when(weak(c), under(c, 'tailShare')),
    says: (c, w) =>
      `Tail 12 is ${w.mm(c.facts.m.tailWidth12_mm)}, ${percent(c.facts.tailShare)} of the width, usually from ${percent(usual(c, 'tailShare').low)}`,
  },
  {
    id: 'power-tail-narrow',
    group: 'outline',
    title: 'Tail narrow for a shop of wide tails',
    level: 'note',
    looksAt: 'tail 12 over width',
    when: 'not overhead, narrower than the middle of the family; the shop takes power from wide tails',
    cause: 'Width under the back foot carries the speed into the turn.',
    lever: { id: 'tailWidth', way: 1 },
    school: { question: 'tail', answer: 'power' },
    source: 'CP',
    beyond: (c) => {
      const { low, high } = usual(c, 'tailShare');
      return when(!big(c) && c.waves !== undefined, (low + high) / 2 - 0.25 * (high - low) - c.facts.tailShare);
    },
    says: (c, w) => `Tail 12 is ${w.mm(c.facts.m.tailWidth12_mm)}, ${percent(c.facts.tailShare)} of the width`,
  },
  {
    id: 'block-big-waves',
    group: 'outline',
    title: 'Broad tail block for big, powerful waves',
    level: 'conflict',
    looksAt: 'block over width',
    when: 'well overhead or powerful overhead waves, a block over 36 % of the width',
    cause: 'Area at the very tail is small-wave speed; less of it holds in steep faces and drags less in mid-face.',
    lever: { id: 'block', way: -1 },
    source: 'CP',
    beyond: (c) =>
      when(
        c.waves?.size === 'wellOverhead' || (big(c) && c.waves?.power === 'powerful'),
        c.facts.m.block_mm / c.facts.m.width_mm - 0.36,
      ),
    says: (c, w) => `The block is ${w.mm(c.facts.m.block_mm)} on a width of ${w.mm(c.facts.m.width_mm)}`,
  },
  {
    id: 'pin-weak',
    group: 'outline',
    title: 'Pulled pin in weak waves',
    level: 'look',
    looksAt: 'kind of tail, tail 12 over width',
    when: 'weak waves, a pin or rounded pin with tail 12 under 71 % of the width',
    cause: 'A pulled pin without speed is tippy.',
    lever: { id: 'tailWidth', way: 1 },
    source: 'CP',
    beyond: (c) => when(weak(c) && ['pin', 'roundedPin'].includes(c.facts.tail), 0.71 - c.facts.tailShare),
    says: (c, w) => `The tail closes to a pin from ${w.mm(c.facts.m.tailWidth12_mm)} at 12`,
  },
  {
    id: 'flat-wing',
    group: 'outline',
    title: 'Flat wing',
    level: 'note',
    looksAt: 'wing depth, how far it is raised, contours in the tail',
    when: 'a wing over 3/8 in deep, raised less than a quarter, with a bottom flat or nearly so under it',
    cause: 'With a flat bottom a wing pivots abruptly; raised, its edge climbs and it is smooth.',
    lever: { id: 'wingRaise', way: 1 },
    source: 'CP',
    beyond: (c) => {
      const [wing] = [...c.facts.board.outline.wings].sort((a, b) => b.depth_mm - a.depth_mm);
      if (!wing || wing.depth_mm < 0.36 * INCH_mm) return undefined;
      const flat = c.facts.tailVee_mm + c.facts.concaveDepth_mm < 0.25 * INCH_mm;
      return when(flat, 0.25 - wing.raised);
    },
    says: (c, w) => `The wing steps in ${w.mm(c.facts.wingDepth_mm)} flat with the bottom`,
  },
  {
    id: 'wing-forward',
    group: 'outline',
    title: 'Wing well ahead of the fins',
    level: 'note',
    looksAt: 'foremost wing, leading edges of the front fins',
    when: 'more than 4 in ahead of the leading edges',
    cause:
      'Further forward the narrow part is longer: looser and tighter, with less drive. Level with the leading edges is usual.',
    lever: { id: 'wingForward', way: -1 },
    source: 'CP',
    beyond: (c) => {
      const { front } = c.facts;
      return when(
        front !== undefined && c.facts.wingFrom_mm > 0,
        c.facts.wingFrom_mm - (front?.trailingEdge_mm ?? 0) - (front?.template.base_mm ?? 0) - 4 * INCH_mm,
      );
    },
    says: (c, w) =>
      `The foremost wing is ${w.mm(c.facts.wingFrom_mm)} up, the fins end ${w.mm(c.facts.leadRear_mm)} up`,
  },
  {
    id: 'deep-wings',
    group: 'outline',
    title: 'Deep wings',
    level: 'look',
    looksAt: 'all wings together, each side',
    when: 'over 1 1/8 in a side',
    cause: 'The tail behind is much narrower than the plan ahead promises.',
    lever: { id: 'wingDepth', way: -1 },
    source: 'derived',
    beyond: (c) => c.facts.wingDepth_mm - 1.125 * INCH_mm,
    says: (c, w) => `Wings take ${w.mm(c.facts.wingDepth_mm)} off each side`,
  },
  {
    id: 'full-nose-steep',
    group: 'outline',
    title: 'Full nose for steep waves',
    level: 'look',
    looksAt: 'nose 12 over width',
    when: 'steep waves, fuller than the family usually is',
    cause: 'A full nose has more to catch; drawn in, with a little more rocker, it fits later drops.',
    lever: { id: 'noseWidth', way: -1 },
    source: 'CP',
    beyond: (c) => when(steep(c), over(c, 'noseShare')),
    says: (c, w) =>
      `Nose 12 is ${w.mm(c.facts.m.noseWidth12_mm)}, ${percent(c.facts.noseShare)} of the width, usually up to ${percent(usual(c, 'noseShare').high)}`,
  },
  {
    id: 'drawn-nose-weak',
    group: 'outline',
    title: 'Drawn-in nose for weak waves or a learner',
    level: 'look',
    looksAt: 'nose 12 over width',
    when: 'weak waves or a novice, finer than the family usually is',
    cause: 'A full nose paddles and planes early; this one gets in late.',
    lever: { id: 'noseWidth', way: 1 },
    source: 'CP',
    beyond: (c) => when(weak(c) || c.rider?.ability === 'novice', under(c, 'noseShare')),
    says: (c, w) =>
      `Nose 12 is ${w.mm(c.facts.m.noseWidth12_mm)}, ${percent(c.facts.noseShare)} of the width, usually from ${percent(usual(c, 'noseShare').low)}`,
  },
  {
    id: 'nose-rider-narrow-tail',
    group: 'outline',
    title: 'Narrow tail under a nose ride',
    level: 'look',
    looksAt: 'tail 12 over width, nose concave',
    when: 'a longboard with a nose concave, narrower in the tail than longboards usually are',
    cause: 'A wide square tail steadies nose riding; a quarter inch on it is a whole step.',
    lever: { id: 'tailWidth', way: 1 },
    source: 'CP',
    beyond: (c) =>
      when(c.facts.board.family === 'longboard' && c.facts.noseConcave_mm > 0.06 * INCH_mm, under(c, 'tailShare')),
    says: (c, w) => `Tail 12 is ${w.mm(c.facts.m.tailWidth12_mm)}, ${percent(c.facts.tailShare)} of the width`,
  },
];
