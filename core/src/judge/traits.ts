import { measureOf, type MeasureKey } from '../measure/catalogue.ts';
import type { Facts } from '../measure/facts.ts';

/**
 * The character of a board in eight traits. Each is a sum of logarithms (or plain shares) of measures with weights of our own
 * choosing, after the levers of the trade; its number means nothing alone. It is only ever shown as the difference of two
 * boards, in words, with the measures behind it.
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
      { of: 'volume_L', weight: 1 },
      { of: 'chest_L', weight: 0.6 },
      { of: 'length_mm', weight: 0.5 },
      { of: 'noseRocker12_mm', weight: -0.4 },
    ],
  },
  {
    key: 'speed',
    name: 'Speed in a line',
    says: 'runs faster down the line',
    terms: [
      { of: 'rockerRadiusMiddle_mm', weight: 0.8 },
      { of: 'rockerRadiusTail_mm', weight: 0.5 },
      { of: 'outlineRadiusMiddle_mm', weight: 0.4 },
      { of: 'area_mm2', weight: 0.4 },
    ],
  },
  {
    key: 'quickness',
    name: 'Quick rail to rail',
    says: 'answers sooner from rail to rail',
    terms: [
      { of: 'width_mm', weight: -1.5 },
      { of: 'railThicknessWide_mm', weight: -0.4 },
      {
        of: 'tailVeeShare',
        weight: 4,
        plain: true,
      },
      {
        of: 'bevelShare',
        weight: 3,
        plain: true,
      },
    ],
  },
  {
    key: 'arcs',
    name: 'Tight arcs',
    says: 'turns in tighter arcs',
    terms: [
      { of: 'rockerRadiusTail_mm', weight: -0.6 },
      { of: 'outlineRadiusTail_mm', weight: -0.2 },
      { of: 'length_mm', weight: -1.2 },
      { of: 'tailWidth12_mm', weight: -0.5 },
      {
        of: 'finsAheadShare',
        weight: 5,
        plain: true,
      },
    ],
  },
  {
    key: 'hold',
    name: 'Hold',
    says: 'holds better in steep faces',
    terms: [
      { of: 'tailWidth12_mm', weight: -1.2 },
      { of: 'finArea_mm2', weight: 0.5 },
      { of: 'railThicknessTail12_mm', weight: -0.4 },
      {
        of: 'blockShare',
        weight: -0.3,
        plain: true,
      },
      { of: 'finRake_rad', weight: 0.3, plain: true },
    ],
  },
  {
    key: 'release',
    name: 'Release',
    says: 'lets go more freely',
    terms: [
      { of: 'tailWidth12_mm', weight: 0.8 },
      { of: 'railEdgeTail', weight: 0.5, plain: true },
      { of: 'finArea_mm2', weight: -0.4 },
      {
        of: 'tailRollShare',
        weight: -4,
        plain: true,
      },
    ],
  },
  {
    key: 'forgiveness',
    name: 'Forgiveness',
    says: 'forgives more',
    terms: [
      { of: 'volume_L', weight: 0.5 },
      { of: 'width_mm', weight: 1.2 },
      { of: 'railEdgeWide', weight: -0.6, plain: true },
      {
        of: 'railApex',
        weight: 0.6,
        plain: true,
      },
    ],
  },
  {
    key: 'chop',
    name: 'Chop',
    says: 'runs better through chop',
    terms: [
      { of: 'width_mm', weight: -0.6 },
      {
        of: 'foreVeeShare',
        weight: 6,
        plain: true,
      },
      { of: 'railEdgeWide', weight: -0.5, plain: true },
      { of: 'volume_L', weight: 0.2 },
      { of: 'noseWidth12_mm', weight: -0.4 },
    ],
  },
];

/** Differences in a trait below these are the same, a little, plainly; above, much. Our own steps. */
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

const MOST_BAR = 0.4;

/** How two boards differ in character. The longest bar of the eight is at ±0.4; nothing beyond is drawn longer. */
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
    const much = size < STEPS.little ? 'a little ' : size < STEPS.plain ? '' : 'much ';
    const words =
      size < STEPS.same
        ? 'the same'
        : `${much}${difference > 0 ? 'more' : 'less'}: ${difference > 0 ? says : `the other ${says}`}`;
    return { key, name, difference: Math.max(-MOST_BAR, Math.min(MOST_BAR, difference)), words, raw };
  });
}
