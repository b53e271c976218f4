import { formatArea, type LengthStyle } from '../units/format.ts';
import type { Facts } from './facts.ts';

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
  measure: string;
  unit: 'mm' | 'L' | 'm2' | 'share' | 'rad';
  /** Added times the natural logarithm of the measure; `plain` adds the measure itself. */
  weight: number;
  plain?: boolean;
  read: (facts: Facts) => number;
}

type TraitKey = 'paddle' | 'speed' | 'quickness' | 'arcs' | 'hold' | 'release' | 'forgiveness' | 'chop';

const litres: Omit<Term, 'weight'> = { measure: 'litres', unit: 'L', read: (f) => f.m.volume_L };
const width: Omit<Term, 'weight'> = { measure: 'width', unit: 'mm', read: (f) => f.m.width_mm };
const length: Omit<Term, 'weight'> = { measure: 'length', unit: 'mm', read: (f) => f.L };
const tail12: Omit<Term, 'weight'> = { measure: 'tail 12', unit: 'mm', read: (f) => f.m.tailWidth12_mm };
const tailEdge: Omit<Term, 'weight'> = { measure: 'edge at tail 4', unit: 'share', read: (f) => f.railTail.edge };
const foreEdge: Omit<Term, 'weight'> = {
  measure: 'edge at the wide point',
  unit: 'share',
  read: (f) => f.railWide.edge,
};
const fins: Omit<Term, 'weight'> = { measure: 'area of the fins', unit: 'm2', read: (f) => f.finArea_mm2 / 1e6 };
const rockerRadius = (third: 'tail' | 'middle'): Omit<Term, 'weight'> => ({
  measure: `rocker radius, ${third} third`,
  unit: 'mm',
  read: (f) => f.rockerBends[third].radius_mm,
});
const planRadius = (third: 'tail' | 'middle'): Omit<Term, 'weight'> => ({
  measure: `outline radius, ${third} third`,
  unit: 'mm',
  read: (f) => f.planBends[third].radius_mm,
});

export const TRAITS: readonly Trait[] = [
  {
    key: 'paddle',
    name: 'Paddle and entry',
    says: 'paddles more easily and gets in earlier',
    terms: [
      { ...litres, weight: 1 },
      { measure: 'litres under the chest', unit: 'L', weight: 0.6, read: (f) => f.under.chest_L },
      { ...length, weight: 0.5 },
      { measure: 'lift at nose 12', unit: 'mm', weight: -0.4, read: (f) => f.m.noseRocker12_mm },
    ],
  },
  {
    key: 'speed',
    name: 'Speed in a line',
    says: 'runs faster down the line',
    terms: [
      { ...rockerRadius('middle'), weight: 0.8 },
      { ...rockerRadius('tail'), weight: 0.5 },
      { ...planRadius('middle'), weight: 0.4 },
      { measure: 'plan area', unit: 'm2', weight: 0.4, read: (f) => f.m.area_mm2 / 1e6 },
    ],
  },
  {
    key: 'quickness',
    name: 'Quick rail to rail',
    says: 'answers sooner from rail to rail',
    terms: [
      { ...width, weight: -1.5 },
      { measure: 'rail thickness at the wide point', unit: 'mm', weight: -0.4, read: (f) => f.railThickWide_mm },
      {
        measure: 'vee in the tail over its half width',
        unit: 'share',
        weight: 4,
        plain: true,
        read: (f) => (2 * f.tailVee_mm) / f.m.tailWidth12_mm,
      },
      {
        measure: 'bevel over the half width',
        unit: 'share',
        weight: 3,
        plain: true,
        read: (f) => (2 * f.bevel_mm) / f.m.width_mm,
      },
    ],
  },
  {
    key: 'arcs',
    name: 'Tight arcs',
    says: 'turns in tighter arcs',
    terms: [
      { ...rockerRadius('tail'), weight: -0.6 },
      { ...planRadius('tail'), weight: -0.2 },
      { ...length, weight: -1.2 },
      { ...tail12, weight: -0.5 },
      {
        measure: 'fins ahead of their usual place, over the length',
        unit: 'share',
        weight: 5,
        plain: true,
        read: (f) => f.finsAhead_mm / f.L,
      },
    ],
  },
  {
    key: 'hold',
    name: 'Hold',
    says: 'holds better in steep faces',
    terms: [
      { ...tail12, weight: -1.2 },
      { ...fins, weight: 0.5 },
      { measure: 'rail thickness at tail 12', unit: 'mm', weight: -0.4, read: (f) => f.railThickTail_mm },
      {
        measure: 'block over the width',
        unit: 'share',
        weight: -0.3,
        plain: true,
        read: (f) => f.m.block_mm / f.m.width_mm,
      },
      { measure: 'rake of the fins', unit: 'rad', weight: 0.3, plain: true, read: (f) => f.finRake_rad },
    ],
  },
  {
    key: 'release',
    name: 'Release',
    says: 'lets go more freely',
    terms: [
      { ...tail12, weight: 0.8 },
      { ...tailEdge, weight: 0.5, plain: true },
      { ...fins, weight: -0.4 },
      {
        measure: 'roll in the tail over its half width',
        unit: 'share',
        weight: -4,
        plain: true,
        read: (f) => (2 * f.tailRoll_mm) / f.m.tailWidth12_mm,
      },
    ],
  },
  {
    key: 'forgiveness',
    name: 'Forgiveness',
    says: 'forgives more',
    terms: [
      { ...litres, weight: 0.5 },
      { ...width, weight: 1.2 },
      { ...foreEdge, weight: -0.6, plain: true },
      {
        measure: 'height of the apex at the wide point',
        unit: 'share',
        weight: 0.6,
        plain: true,
        read: (f) => f.railWide.apex,
      },
    ],
  },
  {
    key: 'chop',
    name: 'Chop',
    says: 'runs better through chop',
    terms: [
      { ...width, weight: -0.6 },
      {
        measure: 'vee or roll forward over the half width',
        unit: 'share',
        weight: 6,
        plain: true,
        read: (f) => (2 * f.foreVee_mm) / f.m.width_mm,
      },
      { ...foreEdge, weight: -0.5, plain: true },
      { ...litres, weight: 0.2 },
      { measure: 'nose 12', unit: 'mm', weight: -0.4, read: (f) => f.m.noseWidth12_mm },
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
  raw: { measure: string; unit: Term['unit']; ours: number; theirs: number; share: number }[];
}

const MOST_BAR = 0.4;

/** How two boards differ in character. The longest bar of the eight is at ±0.4; nothing beyond is drawn longer. */
export function compareTraits(ours: Facts, theirs: Facts): TraitComparison[] {
  return TRAITS.map(({ key, name, says, terms }) => {
    const raw = terms.map(({ measure, unit, weight, plain, read }) => {
      const [a, b] = [read(ours), read(theirs)];
      const share = plain ? weight * (a - b) : a > 0 && b > 0 ? weight * Math.log(a / b) : 0;
      return { measure, unit, ours: a, theirs: b, share };
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

/** A measure behind a trait, written in the shop's way; lengths are left to what draws their fractions. */
export function traitNumber(value: number, unit: Exclude<Term['unit'], 'mm'>, style: LengthStyle): string {
  switch (unit) {
    case 'L':
      return `${value.toFixed(1)} L`;
    case 'm2':
      return formatArea(value * 1e6, style);
    case 'share':
      return value.toFixed(3);
    case 'rad':
      return `${((value * 180) / Math.PI).toFixed(0)}°`;
  }
}
