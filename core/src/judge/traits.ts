import { measureOf, type MeasureKey } from '../measure/catalogue.ts';
import type { Facts } from '../measure/facts.ts';

/**
 * The character of a board in eight traits. Each is a sum of logarithms (or plain shares) of measures with weights of our own
 * choosing; its number means nothing alone. It is only ever shown as the difference of two boards, in words, with the measures behind it.
 * The weights were found by linear programming: each measure counts only the way the trade says it does, and a push of about 3 % of
 * each of twenty-four levers, on six models, moves the traits that the trade says it moves by at least what is said, and the others by
 * less (tested; the answers are common practice, from memory).
 */
export interface Trait {
  key: TraitKey;
  name: string;
  /** What more of it is. */
  says: string;
  terms: readonly Term[];
}

interface Term {
  of: MeasureKey;
  /** Added times the natural logarithm of the measure; `plain` adds the measure itself. */
  weight: number;
  plain?: boolean;
}

type TraitKey = 'paddle' | 'speed' | 'quickness' | 'arcs' | 'hold' | 'release' | 'forgiveness' | 'chop';

export const TRAITS: readonly Trait[] = [
  {
    key: 'paddle',
    name: 'Paddle and entry',
    says: 'paddles more easily and gets in earlier',
    terms: [
      { of: 'concaveShare', weight: 2.227, plain: true },
      { of: 'wideShare', weight: 1.929, plain: true },
      { of: 'tailVeeShare', weight: -1.708, plain: true },
      { of: 'bevelShare', weight: -1.351, plain: true },
      { of: 'wingShare', weight: -1.077, plain: true },
      { of: 'volume_L', weight: 0.6822 },
      { of: 'foilBiasShare', weight: 0.6763, plain: true },
      { of: 'length_mm', weight: 0.4586 },
      { of: 'tailWidth12_mm', weight: 0.3617 },
      { of: 'rockerRadiusMiddle_mm', weight: 0.3132 },
      { of: 'tailRocker_mm', weight: -0.2693 },
      { of: 'width_mm', weight: 0.1992 },
      { of: 'noseRocker_mm', weight: -0.1363 },
      { of: 'railFullness', weight: 0.03369, plain: true },
    ],
  },
  {
    key: 'speed',
    name: 'Speed in a line',
    says: 'runs faster down the line',
    terms: [
      { of: 'concaveShare', weight: 2.29, plain: true },
      { of: 'doubleShare', weight: 1.857, plain: true },
      { of: 'foreVeeShare', weight: -1.78, plain: true },
      { of: 'tailVeeShare', weight: -1.731, plain: true },
      { of: 'wideShare', weight: 1.578, plain: true },
      { of: 'rockerRadiusMiddle_mm', weight: 0.7214 },
      { of: 'foilBiasShare', weight: 0.6758, plain: true },
      { of: 'volume_L', weight: 0.5713 },
      { of: 'tailWidth12_mm', weight: 0.4943 },
      { of: 'railApex', weight: -0.2761, plain: true },
      { of: 'finDepth_mm', weight: -0.1988 },
      { of: 'railEdgeTail', weight: 0.154, plain: true },
      { of: 'tailRocker_mm', weight: -0.1525 },
      { of: 'thickness_mm', weight: -0.1111 },
      { of: 'centreFinAreaShare', weight: -0.0459, plain: true },
      { of: 'straightness', weight: 0.04252 },
    ],
  },
  {
    key: 'quickness',
    name: 'Quick rail to rail',
    says: 'answers sooner from rail to rail',
    terms: [
      { of: 'finsAheadShare', weight: 1.816, plain: true },
      { of: 'foreVeeShare', weight: 1.722, plain: true },
      { of: 'tailVeeShare', weight: 1.708, plain: true },
      { of: 'wideShare', weight: -1.589, plain: true },
      { of: 'doubleShare', weight: 1.461, plain: true },
      { of: 'bevelShare', weight: 1.351, plain: true },
      { of: 'wingShare', weight: 1.077, plain: true },
      { of: 'volume_L', weight: -0.6822 },
      { of: 'tailWidth12_mm', weight: -0.4516 },
      { of: 'finDepth_mm', weight: -0.1988 },
      { of: 'finRake_rad', weight: -0.1461, plain: true },
      { of: 'width_mm', weight: -0.1077 },
      { of: 'straightness', weight: -0.04275 },
      { of: 'railFullness', weight: -0.03369, plain: true },
    ],
  },
  {
    key: 'arcs',
    name: 'Tight arcs',
    says: 'turns in tighter arcs',
    terms: [
      { of: 'wideShare', weight: -3.25, plain: true },
      { of: 'tailVeeShare', weight: 1.851, plain: true },
      { of: 'finsAheadShare', weight: 1.816, plain: true },
      { of: 'doubleShare', weight: 1.677, plain: true },
      { of: 'bevelShare', weight: 1.385, plain: true },
      { of: 'wingShare', weight: 1.187, plain: true },
      { of: 'foilBiasShare', weight: -0.6732, plain: true },
      { of: 'length_mm', weight: -0.5418 },
      { of: 'rockerRadiusMiddle_mm', weight: -0.4982 },
      { of: 'width_mm', weight: -0.4386 },
      { of: 'tailWidth12_mm', weight: -0.2568 },
      { of: 'tailRocker_mm', weight: 0.2116 },
      { of: 'straightness', weight: -0.1824 },
      { of: 'finRake_rad', weight: -0.1461, plain: true },
      { of: 'riddenFinArea_mm2', weight: -0.0994 },
      { of: 'railFullness', weight: -0.09562, plain: true },
      { of: 'flatShare', weight: -0.06756, plain: true },
    ],
  },
  {
    key: 'hold',
    name: 'Hold',
    says: 'holds better in steep faces',
    terms: [
      { of: 'finsAheadShare', weight: -1.816, plain: true },
      { of: 'bevelShare', weight: -1.46, plain: true },
      { of: 'tailWidth12_mm', weight: -0.5844 },
      { of: 'tailRocker_mm', weight: 0.3595 },
      { of: 'thickness_mm', weight: -0.2699 },
      { of: 'railThicknessTail12_mm', weight: -0.2412 },
      { of: 'railEdgeTail', weight: -0.153, plain: true },
      { of: 'finRake_rad', weight: 0.1461, plain: true },
      { of: 'riddenFinArea_mm2', weight: 0.0994 },
      { of: 'blockShare', weight: -0.05122, plain: true },
      { of: 'railFullness', weight: -0.03744, plain: true },
    ],
  },
  {
    key: 'release',
    name: 'Release',
    says: 'lets go more freely',
    terms: [
      { of: 'concaveShare', weight: 2.618, plain: true },
      { of: 'finsAheadShare', weight: 1.816, plain: true },
      { of: 'wingShare', weight: 1.289, plain: true },
      { of: 'tailWidth12_mm', weight: 0.5176 },
      { of: 'finDepth_mm', weight: -0.1988 },
      { of: 'railApex', weight: -0.153, plain: true },
      { of: 'railEdgeTail', weight: 0.153, plain: true },
      { of: 'finRake_rad', weight: -0.1461, plain: true },
      { of: 'blockShare', weight: 0.05122, plain: true },
      { of: 'width_mm', weight: -0.0203 },
    ],
  },
  {
    key: 'forgiveness',
    name: 'Forgiveness',
    says: 'forgives more',
    terms: [
      { of: 'foreVeeShare', weight: 3.079, plain: true },
      { of: 'tailVeeShare', weight: 1.859, plain: true },
      { of: 'bevelShare', weight: 1.393, plain: true },
      { of: 'chest_L', weight: 1.287 },
      { of: 'wideShare', weight: 1.262, plain: true },
      { of: 'wingShare', weight: -1.181, plain: true },
      { of: 'foilBiasShare', weight: 0.5676, plain: true },
      { of: 'tailWidth12_mm', weight: 0.5176 },
      { of: 'noseRocker_mm', weight: 0.3671 },
      { of: 'railEdgeTail', weight: -0.1529, plain: true },
      { of: 'width_mm', weight: 0.05875 },
      { of: 'volume_L', weight: 0.03762 },
      { of: 'railFullness', weight: 0.019, plain: true },
    ],
  },
  {
    key: 'chop',
    name: 'Chop',
    says: 'runs better through chop',
    terms: [
      { of: 'concaveShare', weight: -2.618, plain: true },
      { of: 'foreVeeShare', weight: 2.077, plain: true },
      { of: 'tailVeeShare', weight: 1.851, plain: true },
      { of: 'tailWidth12_mm', weight: -0.5685 },
      { of: 'length_mm', weight: 0.327 },
      { of: 'railApex', weight: 0.153, plain: true },
      { of: 'railFullness', weight: -0.0765, plain: true },
    ],
  },
];

/** Differences in a trait below these are the same, a little, plainly; above, a lot. Our own steps. */
const STEPS = { same: 0.015, little: 0.06, plain: 0.16 } as const;

export interface TraitComparison {
  key: TraitKey;
  name: string;
  /** Ours less theirs; its size is only for the length of a bar. */
  difference: number;
  words: string;
  /** The measures behind it, ours and theirs. */
  raw: { measure: MeasureKey; ours: number; theirs: number; share: number }[];
}

/** How two boards differ in character. */
export function compareTraits(ours: Facts, theirs: Facts): TraitComparison[] {
  return TRAITS.map(({ key, name, says, terms }) => {
    const raw = terms.map(({ of, weight, plain }) => {
      const { read } = measureOf(of);
      const [a, b] = [read(ours), read(theirs)];
      const share = plain ? weight * (a - b) : a > 0 && b > 0 ? weight * Math.log(a / b) : 0;
      return { measure: of, ours: a, theirs: b, share };
    });
    const difference = raw.reduce((sum, { share }) => sum + share, 0);
    const size = Math.abs(difference);
    const much = size < STEPS.little ? 'a little ' : size < STEPS.plain ? '' : 'a lot ';
    const words =
      size < STEPS.same
        ? 'the same'
        : `${much}${difference > 0 ? 'more' : 'less'}: ${difference > 0 ? says : `the other ${says}`}`;
    return { key, name, difference, words, raw };
  });
}
