import type { LitresTarget } from '../rider/litres.ts';
import type { Rider, Waves } from '../rider/rider.ts';
import { measureOf, type MeasureKey } from '../measure/catalogue.ts';
import type { Facts } from '../measure/facts.ts';
import { type Range, usualRange } from './usual.ts';
import type { LeverId } from './levers.ts';
import type { SchoolQuestion, Schools } from '../rider/schools.ts';

/** Everything a judgement is made from. What is not known is left out, and rules that need it stay silent. */
export interface Case {
  facts: Facts;
  rider?: Rider | undefined;
  waves?: Waves | undefined;
  /** The board it is judged against: laid over, or the one the brief names. */
  last?: { facts: Facts; name: string } | undefined;
  target?: LitresTarget | undefined;
  schools: Schools;
}

/** `note` is information, `look` asks for a decision, `conflict` says that two things asked for do not go together. */
export type Level = 'note' | 'look' | 'conflict';
export const LEVELS: readonly Level[] = ['conflict', 'look', 'note'];

export type Group = 'size' | 'stance' | 'outline' | 'rocker' | 'foil' | 'rails' | 'bottom' | 'fins' | 'making';
export const GROUP_WORDS: Readonly<Record<Group, string>> = {
  size: 'Size',
  stance: 'Stance and weight',
  outline: 'Outline',
  rocker: 'Rocker',
  foil: 'Foil',
  rails: 'Rails and edges',
  bottom: 'Bottom',
  fins: 'Fins',
  making: 'Making it',
};

/** Writes numbers in the shop's way. */
export interface Writer {
  /** A length with its unit. */
  mm: (value: number) => string;
  /** A board's or a person's length. */
  feet: (value: number) => string;
  L: (value: number) => string;
  kg: (value: number) => string;
}

/** One thing a good shaper would say of a board and the rider it is for. Data, and two small pure functions. */
export interface Rule {
  id: string;
  group: Group;
  title: string;
  level: Level;
  /** The measures it looks at, for docs/judgement.md. */
  looksAt: string;
  /** The condition in words, for docs/judgement.md. */
  when: string;
  /** Why it matters: the rest of the sentence after the numbers. */
  cause: string;
  /** What to move, and which way cures. Left out where there is nothing to move. */
  lever?: { id: LeverId; way: 1 | -1 };
  /** It speaks only in a shop of this school. */
  school?: { [Q in SchoolQuestion]: { question: Q; answer: Schools[Q] } }[SchoolQuestion];
  /** Where the threshold comes from: the trade (CP), our own derivation from our models, or a published source. */
  source: 'CP' | 'derived' | 'published';
  /** By how much the board is over the threshold, in units of the rule's own; undefined or not over 0: it is silent. */
  beyond: (c: Case) => number | undefined;
  says: (c: Case, w: Writer) => string;
}

/**
 * The usual range of a number for this board's family; it reaches to the board it is judged against when that is of the same
 * family: what the rider rides already is not out of the way.
 */
export function usual(c: Case, key: MeasureKey): Range {
  const range = usualRange(c.facts.board.family, key);
  const { last } = c;
  if (!last || last.facts.board.family !== c.facts.board.family) return range;
  const value = measureOf(key).read(last.facts);
  return { low: Math.min(range.low, value), high: Math.max(range.high, value) };
}

/** How far a number is over, or under, its usual range. */
export const over = (c: Case, key: MeasureKey): number => measureOf(key).read(c.facts) - usual(c, key).high;
export const under = (c: Case, key: MeasureKey): number => usual(c, key).low - measureOf(key).read(c.facts);

/** By how much it differs from the board it is judged against, as the end of a sentence; empty without one. */
export function against(c: Case, read: (facts: Facts) => number, write: (value: number) => string): string {
  if (!c.last) return '';
  const difference = read(c.facts) - read(c.last.facts);
  const text = write(Math.abs(difference));
  if (/^0(\.0+)?( |$)/.test(text)) return `, the same as ${c.last.name}`;
  return `, ${text} ${difference > 0 ? 'more' : 'less'} than ${c.last.name}`;
}

export const weak = (c: Case): boolean =>
  c.waves !== undefined && (c.waves.power === 'weak' || c.waves.size === 'kneeToWaist');
export const big = (c: Case): boolean =>
  c.waves !== undefined && (c.waves.size === 'overhead' || c.waves.size === 'wellOverhead');
export const steep = (c: Case): boolean =>
  c.waves !== undefined && (c.waves.steepness === 'steep' || (c.waves.power === 'powerful' && big(c)));
export const choppy = (c: Case): boolean => c.waves?.chop === 'choppy';
export const frontFooted = (c: Case): boolean => c.rider?.stance === 'front';
export const backFooted = (c: Case): boolean => c.rider?.stance === 'back';
/** From 95 kg a rider is heavy, to 62 kg light, for what follows. Our own lines. */
export const HEAVY_kg = 95;
export const LIGHT_kg = 62;
export const heavy = (c: Case): boolean => (c.rider?.mass_kg ?? 0) >= HEAVY_kg;
export const light = (c: Case): boolean => c.rider !== undefined && c.rider.mass_kg <= LIGHT_kg;

/** The number if the condition holds. */
export const when = (condition: boolean, amount: number | undefined): number | undefined =>
  condition ? amount : undefined;
