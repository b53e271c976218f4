// Boards with their riders and what a master says of each. Common practice, no source; boards and riders are our own.
import type { Board, BottomLayer, FinSetup, Mark } from '../document/schema.ts';
import { withSetup } from '../fins/placement.ts';
import type { Case } from '../judge/case.ts';
import type { Level } from '../judge/rule.ts';
import { Facts } from '../measure/facts.ts';
import { modelNamed } from '../models/models.ts';
import { stretched } from '../edit/size.ts';
import { kindOf } from '../rider/kinds.ts';
import { litresFor } from '../rider/litres.ts';
import type { Rider, Waves } from '../rider/rider.ts';
import { type Schools, USUAL_SCHOOLS } from '../rider/schools.ts';
import { shapeOf } from '../shape/shape.ts';
import { INCH_mm } from '../units/length.ts';

interface Drawn {
  model: string;
  length: number;
  width: number;
  thick: number;
  nose12?: number;
  tail12?: number;
  block?: number;
  noseLift?: number;
  tailLift?: number;
  /** Lift at tail 12 as a share of the tip's. */
  kick?: number;
  widePoint?: number;
  /** Tail thicker than nose at 12 in by so much. */
  tailThicker?: number;
  tail?: Board['outline']['tail']['kind'];
  wings?: { at: number; depth: number; raised: number; length?: number }[];
  rails?: { fullness?: number; apex?: number; edge?: number; hardTo?: number; hardness?: number };
  bottom?: BottomLayer[];
  setup?: FinSetup;
  depth?: number;
  base?: number;
  rake_deg?: number;
  finAt?: number;
}

const at = (from: Mark['from'], inches: number, value: number): Mark => ({
  from,
  at_mm: inches * INCH_mm,
  value_mm: value * INCH_mm,
});

/** A board by the numbers a shaper names it by; what is not named is as the model has it. Inches. */
function drawn(of: Drawn): Board {
  const model = modelNamed(of.model);
  if (!model) throw new Error(`no model ${of.model}`);
  const long = stretched(model, of.length * INCH_mm);
  const first = new Facts(shapeOf(long));
  const widthShare = (of.width * INCH_mm) / long.outline.width_mm;
  const thickShare = (of.thick * INCH_mm) / long.foil.thickness_mm;
  const nose12 = of.nose12 ?? (first.m.noseWidth12_mm / INCH_mm) * widthShare;
  const tail12 = of.tail12 ?? (first.m.tailWidth12_mm / INCH_mm) * widthShare;
  const noseLift = of.noseLift ?? first.m.noseRocker_mm / INCH_mm;
  const tailLift = of.tailLift ?? first.m.tailRocker_mm / INCH_mm;
  const thin = ((of.tailThicker ?? 0) * INCH_mm) / 2;
  const foil12 = (end: 'nose' | 'tail') =>
    (thickShare * (first.m.noseThickness12_mm + first.m.tailThickness12_mm)) / 2 + (end === 'tail' ? thin : -thin);
  const { outline, foil, rails } = long;
  const stations = rails.stations.map((station) => ({
    ...station,
    ...(of.rails?.fullness === undefined ? {} : { fullness: of.rails.fullness }),
    ...(of.rails?.apex === undefined ? {} : { apex: of.rails.apex }),
    ...(of.rails?.edge === undefined ? {} : { edge: of.rails.edge }),
  }));
  const board: Board = {
    ...long,
    name: 'Drawn',
    outline: {
      ...outline,
      width_mm: of.width * INCH_mm,
      widePoint_mm: (of.widePoint ?? outline.widePoint_mm / INCH_mm) * INCH_mm,
      marks: [at('nose', 12, nose12), at('tail', 12, tail12)],
      tail: {
        ...outline.tail,
        kind: of.tail ?? outline.tail.kind,
        block_mm: of.block === undefined ? outline.tail.block_mm : of.block * INCH_mm,
      },
      wings: (of.wings ?? []).map((wing) => ({
        fromTail_mm: wing.at * INCH_mm,
        depth_mm: wing.depth * INCH_mm,
        length_mm: wing.length ?? 60,
        raised: wing.raised,
      })),
    },
    rocker: {
      ...long.rocker,
      noseLift_mm: noseLift * INCH_mm,
      tailLift_mm: tailLift * INCH_mm,
      marks: [
        at('nose', 12, (noseLift * first.m.noseRocker12_mm) / first.m.noseRocker_mm),
        at('tail', 12, tailLift * (of.kick ?? first.m.tailRocker12_mm / first.m.tailRocker_mm)),
      ],
    },
    foil: {
      ...foil,
      thickness_mm: of.thick * INCH_mm,
      marks: [
        { from: 'nose', at_mm: 12 * INCH_mm, value_mm: foil12('nose') },
        { from: 'tail', at_mm: 12 * INCH_mm, value_mm: foil12('tail') },
      ],
    },
    rails: {
      stations,
      tailEdge:
        of.rails?.hardTo === undefined
          ? rails.tailEdge
          : {
              length_mm: of.rails.hardTo * INCH_mm,
              fade_mm: 2 * INCH_mm,
              hardness: of.rails.hardness ?? (of.rails.hardTo === 0 ? 0 : 0.8),
            },
    },
    bottom: { layers: of.bottom ?? long.bottom.layers },
  };
  const finned = of.setup && of.setup !== board.fins.setup ? withSetup(board, of.setup) : board;
  return {
    ...finned,
    fins: {
      ...finned.fins,
      boxes: finned.fins.boxes.map((box) => ({
        ...box,
        trailingEdge_mm: of.finAt === undefined || box.role === 'rear' ? box.trailingEdge_mm : of.finAt * INCH_mm,
        template: {
          ...box.template,
          depth_mm: of.depth === undefined ? box.template.depth_mm : of.depth * INCH_mm,
          base_mm: of.base === undefined ? box.template.base_mm : of.base * INCH_mm,
          rake_rad: of.rake_deg === undefined ? box.template.rake_rad : (of.rake_deg * Math.PI) / 180,
        },
      })),
    },
  };
}

const sea = (
  size: Waves['size'],
  power: Waves['power'] = 'medium',
  steepness: Waves['steepness'] = 'medium',
  chop: Waves['chop'] = 'some',
): Waves => ({ size, power, steepness, chop, rubber: 'thin' });
const ridden = (
  mass_kg: number,
  ability: Rider['ability'],
  waves: Waves,
  stance: Rider['stance'] = 'unknown',
): Rider => ({
  id: 'r',
  name: 'Rider',
  mass_kg,
  weights: [],
  height_mm: 1780,
  age: 32,
  ability,
  surfsAWeek: 3,
  fitness: 'usual',
  stance,
  waves,
  boards: [],
});

const single = (depth: number, from = 2, to = 10): BottomLayer => ({
  kind: 'single',
  width: 1,
  depths: [at('tail', from, 0.02), at('centre', 3, depth), at('nose', to, 0.03)],
});
const layer = (kind: BottomLayer['kind'], ...depths: Mark[]): BottomLayer => ({ kind, width: 1, depths });

const NOSE_RIDER = drawn({
  model: 'Long Quay',
  length: 114,
  width: 24,
  thick: 3.25,
  nose12: 19.25,
  tail12: 16.25,
  noseLift: 3.625,
  tailLift: 4.25,
  kick: 0.25,
  block: 8,
  rails: { apex: 0.5, edge: 0.05, hardTo: 0 },
  bottom: [
    layer('teardrop', at('nose', 2, 0.02), at('nose', 12, 0.375), at('nose', 30, 0)),
    layer('roll', at('centre', 0, 0.06), at('tail', 12, 0.19)),
  ],
});
const LOG = drawn({
  model: 'Long Quay',
  length: 112,
  width: 23,
  thick: 3,
  nose12: 18.25,
  tail12: 15,
  noseLift: 4.25,
  tailLift: 3.5,
  block: 6.5,
  rails: { apex: 0.5, edge: 0.05, hardTo: 8 },
  bottom: [layer('teardrop', at('nose', 2, 0.02), at('nose', 12, 0.14), at('nose', 30, 0))],
  depth: 9.5,
  base: 7,
  rake_deg: 40,
});
const WIDE_SINGLE = drawn({
  model: 'Gannet',
  length: 78,
  width: 21,
  thick: 2.875,
  widePoint: -1,
  nose12: 11.5,
  tail12: 16.25,
  tail: 'round',
  rails: { edge: 0.1, hardTo: 4, apex: 0.45 },
  setup: 'single',
});
const GUN = drawn({
  model: 'North Ledge',
  length: 116,
  width: 21,
  thick: 3.25,
  nose12: 12.25,
  tail12: 11.5,
  noseLift: 7.5,
  tailLift: 4.125,
  bottom: [
    layer('roll', at('nose', 20, 0.1), at('centre', 0, 0.1)),
    layer('vee', at('centre', 0, 0.03), at('tail', 14, 0.2)),
  ],
  depth: 3.75,
});
const EVERYDAY = drawn({ model: 'Slack Water', length: 72, width: 19.25, thick: 2.4375 });
const BIASED = drawn({
  model: 'Slack Water',
  length: 71,
  width: 19.5,
  thick: 2.625,
  nose12: 11,
  tail12: 15.75,
  noseLift: 5.25,
  tailLift: 2.375,
  tailThicker: 0.3125,
  bottom: [single(0.3125)],
});
const SMALL_WAVE = drawn({
  model: 'Penny Step',
  length: 68,
  width: 20.75,
  thick: 2.5,
  nose12: 14.75,
  tail12: 17,
  tail: 'square',
  block: 9,
  noseLift: 3.75,
  tailLift: 1.75,
});
const KEELS = drawn({ model: 'Kettle', length: 66, width: 21, thick: 2.5 });

const SCHOOLS_OF_SOFT: Schools = { ...USUAL_SCHOOLS, edge: 'soft', tail: 'power', foil: 'biased' };
const NOSE_SHOP: Schools = { ...USUAL_SCHOOLS, noseRide: 'deep', longRocker: 'kicked', edge: 'soft' };

/** What must be said, by the ids of which one is enough, at its level; and what must not. */
export interface MasterCase {
  name: string;
  board: Board;
  rider: Rider;
  schools?: Schools;
  say: readonly (readonly [Level, ...ids: string[]])[];
  not: readonly string[];
  /** Nothing above this level. */
  most?: Level;
  /** Gist of the short reading: each must match. */
  reading?: readonly RegExp[];
}

const HEAD = sea('waistToHead');
const WEAK = sea('kneeToWaist', 'weak', 'soft');
const HEAVY_SEA = sea('overhead', 'powerful', 'steep');
const HUGE = sea('wellOverhead', 'powerful', 'steep');

export const MASTER_CASES: readonly MasterCase[] = [
  {
    name: '1 heavy front foot, 6’4',
    board: drawn({
      model: 'Slack Water',
      length: 76,
      width: 21.5,
      thick: 3.125,
      nose12: 13.75,
      tail12: 16.5,
      noseLift: 4.875,
      tailLift: 2.5,
      block: 7,
      rails: { fullness: 0.8 },
      bottom: [single(0.3125, 12, 2), layer('double', at('tail', 4, 0.03), at('tail', 14, 0.12), at('tail', 26, 0))],
    }),
    rider: ridden(104, 'advanced', HEAD, 'front'),
    say: [['note', 'fins-small-heavy']],
    not: ['litres-above', 'litres-far-above', 'fast-not-quick', 'bulky', 'wide-tail-big'],
    reading: [/heavy|weight/i],
  },
  {
    name: '2 nose rider in its own school',
    board: NOSE_RIDER,
    rider: ridden(75, 'intermediate', WEAK),
    schools: NOSE_SHOP,
    say: [],
    most: 'note',
    not: [
      'low-entry',
      'uneven-rocker',
      'abrupt-blend',
      'nose-rider-short-edge',
      'nose-rider-wide-point',
      'litres-below',
      'litres-above',
    ],
  },
  {
    name: '2 nose rider in the other school',
    board: NOSE_RIDER,
    rider: ridden(75, 'intermediate', WEAK),
    say: [
      ['note', 'deep-nose-concave'],
      ['note', 'kicked-longboard'],
      ['note', 'nose-rider-short-edge'],
    ],
    most: 'note',
    not: ['low-entry', 'uneven-rocker', 'abrupt-blend'],
  },
  {
    name: '3 log under an expert',
    board: LOG,
    rider: ridden(97, 'expert', HEAD),
    say: [['note', 'upright-single-trim']],
    not: ['flat-tail', 'litres-above', 'fins-small-heavy'],
  },
  {
    name: '4 wide-tail single in its own shop',
    board: WIDE_SINGLE,
    rider: ridden(80, 'advanced', HEAVY_SEA, 'back'),
    schools: SCHOOLS_OF_SOFT,
    say: [],
    most: 'note',
    not: ['round-rails-fast', 'wide-tail-big', 'fast-not-quick', 'foil-back-foot', 'foil-tail-full', 'foil-nose-full'],
  },
  {
    name: '4 the same under a front foot in a shop of narrow tails',
    board: WIDE_SINGLE,
    rider: ridden(80, 'advanced', HEAVY_SEA, 'front'),
    say: [['conflict', 'wide-tail-front-foot-big']],
    not: [],
  },
  {
    name: '5 big-wave gun, expert',
    board: GUN,
    rider: ridden(88, 'expert', HUGE),
    say: [
      ['note', 'big-wave-caution'],
      ['note', 'quad-late'],
    ],
    not: ['foam-behind-area', 'fins-small-heavy', 'fins-small-fast', 'litres-above', 'foil-tail-full'],
  },
  {
    name: '6 the same gun, intermediate',
    board: GUN,
    rider: ridden(82, 'intermediate', HUGE),
    say: [['conflict', 'waves-beyond-rider']],
    not: ['litres-below', 'litres-far-below', 'litres-above', 'litres-far-above'],
  },
  {
    name: '7 everyday thruster for a learner',
    board: EVERYDAY,
    rider: ridden(60, 'novice', HEAD),
    say: [['conflict', 'not-to-learn-on']],
    not: ['litres-below', 'litres-far-below'],
  },
  {
    name: '8 quad fish, intermediate, weak waves',
    board: drawn({
      model: 'Copper Pan',
      length: 67,
      width: 20.75,
      thick: 2.4375,
      nose12: 14.5,
      tail12: 15.5,
      noseLift: 3.375,
      tailLift: 1.375,
      wings: [{ at: 13, depth: 0.25, raised: 0.3, length: 120 }],
    }),
    rider: ridden(78, 'intermediate', WEAK),
    say: [
      ['look', 'litres-below'],
      ['note', 'quad-slow'],
    ],
    not: ['flat-tail', 'wide-flat-vertical'],
  },
  {
    name: '9 mid-length twin',
    board: drawn({
      model: 'Ebb Lane',
      length: 76,
      width: 20,
      thick: 2.625,
      nose12: 13,
      tail12: 14.25,
      noseLift: 5,
      tailLift: 2.25,
      tail: 'round',
      rails: { fullness: 0.3 },
      bottom: [
        layer('vee', at('nose', 14, 0.1), at('centre', 0, 0.08), at('tail', 14, 0.16)),
        layer('double', at('tail', 3, 0.02), at('tail', 16, 0.1), at('tail', 30, 0)),
      ],
      finAt: 10,
      base: 5.25,
    }),
    rider: ridden(82, 'advanced', WEAK),
    say: [['look', 'litres-below']],
    not: ['flat-tail', 'nose-belly-weak'],
  },
  {
    name: '10 foam behind, for an expert back foot',
    board: BIASED,
    rider: ridden(86, 'expert', HEAVY_SEA, 'back'),
    say: [['note', 'foil-aft-meant']],
    most: 'look',
    not: ['foil-aft-extreme'],
  },
  {
    name: '11 the same under another rider',
    board: BIASED,
    rider: ridden(75, 'intermediate', HEAD, 'front'),
    say: [
      ['conflict', 'drawn-for-another'],
      ['look', 'litres-below'],
    ],
    not: [],
  },
  {
    name: '12 small-wave board overhead under a front foot',
    board: SMALL_WAVE,
    rider: ridden(76, 'advanced', sea('overhead'), 'front'),
    say: [
      ['conflict', 'wide-tail-front-foot-big'],
      ['look', 'straight-flat-front-foot'],
    ],
    not: [],
  },
  {
    name: '12 the same knee to waist',
    board: SMALL_WAVE,
    rider: ridden(76, 'advanced', WEAK, 'front'),
    say: [['note', 'slides-over-head']],
    not: ['wide-tail-front-foot-big', 'straight-flat-front-foot'],
  },
  {
    name: '13 winged swallow, twin with trailer',
    board: drawn({
      model: 'Two Lanterns',
      length: 68,
      width: 20.25,
      thick: 2.5,
      noseLift: 3.5,
      tailLift: 1.5,
      widePoint: 0.5,
      wings: [{ at: 11, depth: 0.3, raised: 0.5 }],
    }),
    rider: ridden(72, 'expert', sea('waistToHead', 'weak'), 'front'),
    say: [['note', 'trailer-on-short-hull']],
    not: ['low-entry', 'flat-tail'],
  },
  {
    name: '14 winged round pin, five boxes',
    board: drawn({
      model: 'Slack Water',
      length: 72,
      width: 20.25,
      thick: 2.5,
      rails: { fullness: 0.75 },
      tail: 'roundedPin',
      wings: [{ at: 10.8, depth: 0.3, raised: 0.8 }],
      setup: 'fiveBox',
    }),
    rider: ridden(77, 'advanced', sea('waistToHead', 'medium', 'steep')),
    say: [],
    most: 'note',
    not: [],
    reading: [/wing/i, /pin/i],
  },
  {
    name: '15 flat single, soft shop',
    board: drawn({
      model: 'Lamplight',
      length: 84,
      width: 20.5,
      thick: 2.75,
      noseLift: 3.5,
      tailLift: 1.75,
      tail: 'round',
      rails: { edge: 0.1, hardTo: 0 },
      setup: 'single',
      bottom: [layer('roll', at('nose', 14, 0.1), at('tail', 14, 0.1)), layer('narrow', at('centre', 0, 0.1))],
    }),
    rider: ridden(75, 'advanced', sea('waistToHead', 'medium', 'soft', 'clean')),
    schools: SCHOOLS_OF_SOFT,
    say: [],
    most: 'note',
    not: ['low-entry', 'flat-tail'],
  },
  {
    name: '16 keel fish in overhead, steep waves',
    board: KEELS,
    rider: ridden(74, 'advanced', HEAVY_SEA),
    say: [
      ['conflict', 'past-its-waves'],
      ['look', 'flat-entry-steep'],
    ],
    not: [],
  },
  {
    name: '16 a twin there',
    board: drawn({ model: 'Two Stairs', length: 70, width: 19.75, thick: 2.5 }),
    rider: ridden(74, 'advanced', HEAVY_SEA),
    say: [['look', 'twin-in-steep']],
    not: [],
  },
  {
    name: '16 a longboard there',
    board: LOG,
    rider: ridden(74, 'advanced', HEAVY_SEA),
    say: [['conflict', 'past-its-waves']],
    not: [],
  },
  {
    name: '17 gun in knee slop, learner',
    board: GUN,
    rider: ridden(110, 'novice', WEAK),
    say: [
      ['conflict', 'gun-for-small'],
      ['conflict', 'not-to-learn-on'],
    ],
    not: [
      'litres-below',
      'litres-far-below',
      'litres-above',
      'litres-far-above',
      'fast-not-quick',
      'narrow-tail-weak',
      'drawn-nose-weak',
    ],
  },
  {
    name: 'a light rider on full-size fins and an everyday board',
    board: EVERYDAY,
    rider: ridden(45, 'advanced', HEAD),
    say: [
      ['look', 'fins-large-light'],
      ['look', 'litres-above'],
    ],
    not: [],
  },
];

/** The case a judgement is made from. */
export function caseFrom({
  board,
  rider,
  schools = USUAL_SCHOOLS,
}: Pick<MasterCase, 'board' | 'rider' | 'schools'>): Case {
  const facts = new Facts(shapeOf(board), rider.height_mm);
  const kind = kindOf(facts, rider.mass_kg);
  return { facts, kind, rider, waves: rider.waves, schools, target: litresFor(rider, kind) };
}
