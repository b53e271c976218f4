import type { Ability, Stance, Waves } from '../rider/rider.ts';
import type { Family, FinSetup, TailKind } from '../document/schema.ts';
import { FAMILY_WORDS, TAIL_WORDS } from '../document/kinds.ts';
import { SETUP_WORDS } from '../fins/placement.ts';
import { measureOf, type MeasureKey } from '../measure/catalogue.ts';
import type { Facts } from '../measure/facts.ts';
import { INCH_mm } from '../units/length.ts';
import type { Case } from './case.ts';
import { KIND_WORDS, type Kind, type Range } from '../rider/kinds.ts';
import { usualRange } from './usual.ts';

/** How a number of a line is written in docs/judgement.md. */
type LineUnit = 'mm' | 'feet' | 'L' | 'kg' | 'degrees' | '%' | '';

/** A number that is read off a case: one of the catalogue by its key, or one of a rule's own with its words. */
export type Reading<F> = MeasureKey | OwnReading<F>;
interface OwnReading<F> {
  words: string;
  unit: LineUnit;
  read: (facts: Facts, known: F, c: Case) => number;
}

/**
 * What a number is held against: a fixed number; an end of the usual range of the family (`into`: so far into the range, as a
 * share of it; `times`: that much of the end; `plus`: so much above it); or something worked out, with its words.
 */
export type Line<F> =
  | number
  | { usual: 'low' | 'high'; into?: number; times?: number; plus?: number }
  | { words: string; at: (known: F, facts: Facts, c: Case) => number };

/** `from` counts the line itself in. */
export type Side = 'over' | 'under' | 'from';

/** What must be known before a rule can speak, and is then known to its words. */
export interface Known<F> {
  words: string;
  of: (c: Case) => F | undefined;
}

/** A condition without a number of its own. */
export interface Given {
  words: string;
  holds: (c: Case) => boolean;
}

const CATALOGUE_UNITS = { mm: 'mm', mm2: '', L: 'L', rad: 'degrees', '': '%' } as const;
const readingOf = <F>(reading: Reading<F>): OwnReading<F> =>
  typeof reading === 'string'
    ? {
        words: measureOf(reading).words,
        unit: reading === 'length_mm' ? 'feet' : CATALOGUE_UNITS[measureOf(reading).unit],
        read: measureOf(reading).read,
      }
    : reading;

/** The usual range of a number for this kind of board and this rider. A board laid over it changes nothing of that. */
export const usual = (c: Case, key: MeasureKey): Range =>
  usualRange(c.facts, key, { kind: c.kind, mass_kg: c.rider?.mass_kg, own: c.own });

/** A number and its line, read off a case. */
export interface Reached {
  value: number;
  line: number;
}

/** Floats that should be equal differ by less: a number on its line is not past it. */
const HAIR = 1e-9;
/** A usual range is known no closer than a tape is read: past its end by more than this. */
const READ: Readonly<Record<LineUnit, number>> = {
  mm: INCH_mm / 16,
  feet: INCH_mm / 2,
  L: 0.3,
  kg: 0.5,
  degrees: Math.PI / 180,
  '%': 0.01,
  '': 0.02,
};

/** The number and the line if it lies past it, else undefined. */
export function reached<F>(c: Case, known: F, reading: Reading<F>, side: Side, line: Line<F>): Reached | undefined {
  const value = readingOf(reading).read(c.facts, known, c);
  const at = lineAt(c, known, reading, line);
  const least = typeof line === 'object' && 'usual' in line ? READ[readingOf(reading).unit] : HAIR;
  const past = { over: value - at > least, under: at - value > least, from: value >= at }[side];
  return past ? { value, line: at } : undefined;
}

function lineAt<F>(c: Case, known: F, reading: Reading<F>, line: Line<F>): number {
  if (typeof line === 'number') return line;
  if ('at' in line) return line.at(known, c.facts, c);
  if (typeof reading !== 'string') throw new TypeError('Only a measure of the catalogue has a usual range.');
  const { low, high } = usual(c, reading);
  const end = line.usual === 'low' ? low + (line.into ?? 0) * (high - low) : high - (line.into ?? 0) * (high - low);
  return (line.times ?? 1) * end + (line.plus ?? 0);
}

/** The condition as docs/judgement.md says it: “tail 12 over the width: over 78 %”. */
export function lineWords<F>(reading: Reading<F>, side: Side, line: Line<F>): string {
  const { words, unit } = readingOf(reading);
  return `${words}: ${side} ${lineEnd(line, unit)}`;
}

function lineEnd<F>(line: Line<F>, unit: LineUnit): string {
  if (typeof line === 'number') return numberWords(line, unit);
  if ('at' in line) return line.words;
  const end = `the ${line.usual === 'low' ? 'low' : 'high'} end of its usual range`;
  const into =
    line.into === undefined ? end : `${numberWords(line.into, '%')} into its usual range from the ${line.usual} end`;
  const times = line.times === undefined ? into : `${numberWords(line.times, '%')} of ${into}`;
  return line.plus === undefined
    ? times
    : `${times} ${line.plus < 0 ? 'less' : 'plus'} ${numberWords(Math.abs(line.plus), unit)}`;
}

/** A number of a line in the trade's units: inches by fractions where they are exact, else to three places. */
export function numberWords(value: number, unit: LineUnit): string {
  switch (unit) {
    case 'mm':
      return `${inches(value)} in`;
    case 'feet':
      return `${Math.floor(value / INCH_mm / 12 + HAIR)}’${inches(value - Math.floor(value / INCH_mm / 12 + HAIR) * 12 * INCH_mm)}`;
    case 'degrees':
      return `${trimmed((value * 180) / Math.PI)} degrees`;
    case '%':
      return `${trimmed(100 * value)} %`;
    case 'L':
    case 'kg':
      return `${trimmed(value)} ${unit}`;
    case '':
      return trimmed(value);
  }
}
const trimmed = (value: number) => String(Number(value.toFixed(3))).replace('-', '−');
function inches(value_mm: number): string {
  const sign = value_mm < 0 ? '−' : '';
  const sixtyFourths = (64 * Math.abs(value_mm)) / INCH_mm;
  if (Math.abs(sixtyFourths - Math.round(sixtyFourths)) > 1e-6) return trimmed(value_mm / INCH_mm);
  let [over, under] = [Math.round(sixtyFourths), 64];
  while (over % 2 === 0 && under > 1) [over, under] = [over / 2, under / 2];
  const [whole, rest] = [Math.floor(over / under), over % under];
  return `${sign}${[whole > 0 || rest === 0 ? String(whole) : '', rest > 0 ? `${rest}/${under}` : ''].join(' ').trim()}`;
}

/** “a, b or c”. */
const listed = (words: readonly string[]) => words.join(', ').replace(/, ([^,]*)$/, ' or $1');

export const not = (given: Given): Given => ({ words: `not ${given.words}`, holds: (c) => !given.holds(c) });
export const either = (...givens: Given[]): Given => ({
  words: listed(givens.map(({ words }) => words)),
  holds: (c) => givens.some((given) => given.holds(c)),
});
/** All of these. */
export const both = (...givens: Given[]): Given => ({
  words: givens.map(({ words }) => words).join(' with '),
  holds: (c) => givens.every((given) => given.holds(c)),
});
export const kinds = (...list: Kind[]): Given => ({
  words: `a ${listed(list.map((kind) => KIND_WORDS[kind]))}`,
  holds: (c) => list.includes(c.kind),
});
export const families = (...list: Family[]): Given => ({
  words: `a ${listed(list.map((family) => FAMILY_WORDS[family]))}`,
  holds: (c) => list.includes(c.facts.board.family),
});
export const setups = (...list: FinSetup[]): Given => ({
  words: `fins as ${listed(list.map((setup) => SETUP_WORDS[setup]))}`,
  holds: (c) => list.includes(c.facts.board.fins.setup),
});
export const tails = (...list: TailKind[]): Given => ({
  words: `a tail that is ${listed(list.map((tail) => TAIL_WORDS[tail].toLowerCase()))}`,
  holds: (c) => list.includes(c.facts.tail),
});
/** A second number past a line of its own. */
export const measured = (reading: Reading<unknown>, side: Side, line: Line<unknown>): Given => ({
  words: lineWords(reading, side, line),
  holds: (c) => reached(c, undefined, reading, side, line) !== undefined,
});

/** Any of these, each of which asks for all it names. Waves that are not known are none of them. */
export type Sea = Partial<{ [K in 'size' | 'power' | 'steepness' | 'chop']: readonly Waves[K][] }>;
export interface Who {
  ability?: readonly Ability[];
  stance?: Stance;
  from_kg?: number;
  to_kg?: number;
}

const sea = (words: string, ...any: Sea[]): Given & { any: readonly Sea[] } => ({
  words,
  any,
  holds: ({ waves }) =>
    waves !== undefined &&
    any.some((all) =>
      (Object.keys(all) as (keyof Sea)[]).every((key) => (all[key] as readonly string[]).includes(waves[key])),
    ),
});
const who = (words: string, asks: Who): Given & { asks: Who } => ({
  words,
  asks,
  holds: ({ rider }) =>
    rider !== undefined &&
    (asks.ability?.includes(rider.ability) ?? true) &&
    (asks.stance === undefined || rider.stance === asks.stance) &&
    rider.mass_kg >= (asks.from_kg ?? 0) &&
    rider.mass_kg <= (asks.to_kg ?? Infinity),
});

const BIG: readonly Waves['size'][] = ['overhead', 'wellOverhead'];
/** What waves are called in rules. */
export const SEAS = {
  weak: sea('weak waves', { power: ['weak'] }, { size: ['kneeToWaist'] }),
  overhead: sea('overhead waves', { size: BIG }),
  wellOverhead: sea('waves well overhead', { size: ['wellOverhead'] }),
  steep: sea('steep waves', { steepness: ['steep'] }, { power: ['powerful'], size: BIG }),
  powerful: sea('powerful waves', { power: ['powerful'] }),
  bigAndPowerful: sea('big powerful waves', { size: ['wellOverhead'] }, { size: BIG, power: ['powerful'] }),
  choppy: sea('choppy water', { chop: ['choppy'] }),
  known: sea('waves that are known', {}),
} as const;

/** From 95 kg a rider is heavy, to 62 kg light, for what follows. Our own lines. */
const HEAVY_kg = 95;
const LIGHT_kg = 62;
/** What riders are called in rules. */
export const RIDERS = {
  novice: who('a novice', { ability: ['novice'] }),
  intermediate: who('a rider along the face', { ability: ['intermediate'] }),
  early: who('a rider who does not turn yet', { ability: ['novice', 'intermediate'] }),
  sharp: who('a rider who turns where they choose', { ability: ['advanced', 'expert'] }),
  expert: who('an expert', { ability: ['expert'] }),
  frontFooted: who('a front-footed rider', { stance: 'front' }),
  backFooted: who('a back-footed rider', { stance: 'back' }),
  heavy: who('a heavy rider', { from_kg: HEAVY_kg }),
  light: who('a light rider', { to_kg: LIGHT_kg }),
} as const;

/** Boards that turn from their tails. */
export const SHORT = families('shortboard', 'fish', 'twin');
export const SIDE_FINS: Given = { words: 'with side fins', holds: (c) => c.facts.several };
/** A concave of its own in the nose: more than a sixteenth, as the tape reads it. */
export const NOSE_CONCAVE = measured('noseConcave_mm', 'over', 0.06 * INCH_mm);
