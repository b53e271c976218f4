import type { Measures } from '../measure/measure.ts';
import type { Facts } from '../measure/facts.ts';
import type { Case } from './case.ts';
import type { LeverId } from './levers.ts';
import { type Given, type Known, type Line, lineWords, reached, type Reading, type Side } from './line.ts';
import type { SchoolQuestion, Schools } from '../rider/schools.ts';

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

/** What every rule has, whatever it looks at. */
interface RuleHead {
  id: string;
  group: Group;
  title: string;
  level: Level;
  /** Why it matters: the rest of the sentence after the numbers. */
  cause: string;
  /** What to move, and which way cures. Left out where there is nothing to move. */
  lever?: { id: LeverId; way: 1 | -1 };
  /** It speaks only in a shop of this school. */
  school?: { [Q in SchoolQuestion]: { question: Q; answer: Schools[Q] } }[SchoolQuestion];
  /** It says no more than that a number is far out: silent where another rule asks for the same lever. */
  general?: true;
  /** Where the threshold comes from: the trade (CP), our own derivation from our models, or a published source. */
  source: 'CP' | 'derived' | 'published';
}

/** What a rule found: the case, the number it read and the line that lies past, and what it had to know. */
export type Found<F> = { c: Case; facts: Facts; m: Measures; value: number; line: number } & F;

/** One thing a good shaper would say of a board and the rider it is for: data, and the words for what it found. */
interface RuleOf<F> extends RuleHead {
  /** What must be known, and is then known to `says`. */
  knows?: Known<F>;
  /** All of these must hold. */
  given?: readonly Given[];
  /** The number it looks at, and the line it must lie past; a rule about a state has none. */
  reads?: readonly [reading: Reading<F>, side: Side, line: Line<F>];
  says: (found: Found<F>, w: Writer) => string;
}

/** A rule as the rest of the program has it: when it speaks in words written from its data, and what it finds of a case. */
export interface Rule extends RuleHead {
  when: string;
  finds: (c: Case) => Finding | undefined;
}
interface Finding {
  says: (w: Writer) => string;
}

/** A rule from its data. */
export function rule<F = unknown>({ knows, given = [], reads, says, ...head }: RuleOf<F>): Rule {
  const words = [
    ...(knows ? [knows.words] : []),
    ...given.map((entry) => entry.words),
    ...(reads ? [lineWords(...reads)] : []),
  ];
  return {
    ...head,
    when: words.join('; '),
    finds: (c) => {
      if (head.school && c.schools[head.school.question] !== head.school.answer) return undefined;
      // Without `knows` nothing had to be known, and F is unknown.
      const known = knows ? knows.of(c) : ({} as F);
      if (known === undefined || !given.every((entry) => entry.holds(c))) return undefined;
      const read = reads ? reached(c, known, ...reads) : { value: 1, line: 0 };
      if (!read) return undefined;
      const found: Found<F> = { c, facts: c.facts, m: c.facts.m, ...read, ...known };
      return { says: (w) => says(found, w) };
    },
  };
}

/** By how much it differs from the board it is judged against, as the end of a sentence; empty without one. */
export function against(c: Case, read: (facts: Facts) => number, write: (value: number) => string): string {
  if (!c.last) return '';
  const difference = read(c.facts) - read(c.last.facts);
  const text = write(Math.abs(difference));
  if (/^0(\.0+)?( |$)/.test(text)) return `, the same as ${c.last.name}`;
  return `, ${text} ${difference > 0 ? 'more' : 'less'} than ${c.last.name}`;
}

/** A share as a person reads it. */
export const percent = (share: number): string => `${(100 * share).toFixed(0)} %`;
/** An angle as a person reads it. */
export const degrees = (angle_rad: number): string => `${((angle_rad * 180) / Math.PI).toFixed(0)}°`;
export const radians = (angle_deg: number): number => (angle_deg * Math.PI) / 180;
