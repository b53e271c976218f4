import { seeded } from '../random.ts';
import { damagedBytes, damagedText, damagedValue, drawn, type Even } from './damage.ts';
import { byteReaders, type Reader, textReaders, valueReaders } from './readers.ts';

/** What is wrong with what a reader made of an input. */
interface Fault {
  reader: string;
  input: string | Uint8Array | unknown;
  why: string;
}

export interface FuzzTold {
  reader: string;
  inputs: number;
  refused: number;
  slowest_ms: number;
  faults: Fault[];
}

/** A refusal is read by a person: no longer than this. */
const MOST_LETTERS = 500;
/** Words of the machine that no person is told. What was typed is said back between “ and ”. */
const MACHINE = /\b(NaN|undefined|Infinity|null|TypeError|RangeError)\b|\[object|Cannot read|is not a function/;

/** Why words are none for a person; undefined where they are. */
export function wordsTrouble(words: unknown): string | undefined {
  if (typeof words !== 'string') return `said ${typeof words}`;
  if (words.trim() === '') return 'said nothing';
  if (words.length > MOST_LETTERS) return `said ${words.length} letters: ${words.slice(0, 80)}`;
  const ours = words.replace(/“[^”]*”/gs, '“”');
  const found = MACHINE.exec(ours);
  return found ? `said “${found[0]}”: ${words.slice(0, 200)}` : undefined;
}

function tried<T>(
  { name, read }: Reader<T>,
  input: T,
  clock: () => number,
): { said: number; ms: number; why?: string } {
  const from = clock();
  try {
    const said = read(input);
    const ms = clock() - from;
    const why = said.map(wordsTrouble).find((trouble) => trouble !== undefined);
    return { said: said.length, ms, ...(why === undefined ? {} : { why }) };
  } catch (error) {
    return { said: 0, ms: clock() - from, why: `${name} threw ${String(error)}` };
  }
}

type Damage<T> = (input: T, even: Even) => T;

export function through<T>(
  reader: Reader<T>,
  damaged: Damage<T>,
  count: number,
  seed: number,
  clock: () => number,
): FuzzTold {
  const even = seeded(seed);
  const told: FuzzTold = { reader: reader.name, inputs: 0, refused: 0, slowest_ms: 0, faults: [] };
  const each = (input: T) => {
    const { said, ms, why } = tried(reader, input, clock);
    told.inputs += 1;
    if (said > 0) told.refused += 1;
    told.slowest_ms = Math.max(told.slowest_ms, ms);
    if (why !== undefined) told.faults.push({ reader: reader.name, input, why });
  };
  reader.good.forEach(each);
  for (let k = 0; k < count; k++) each(damaged(drawn(reader.good, even), even));
  return told;
}

/** So much of all inputs goes to each kind of reader that is slow with a board it takes. */
const SHARE: Readonly<Record<string, number>> = {
  'a station table': 0.15,
  'readings of a tape': 0.1,
  'an SVG': 0.3,
  'a back-up': 0.5,
};

/**
 * Every reader of what comes from outside, with good inputs damaged by a seed: what was thrown, and what was said that is no word for a
 * person. About `count` inputs over all of them. The same seed gives the same inputs.
 * @param clock of the machine, ms; where it is left out nothing is timed.
 */
export function fuzzed(
  count: number,
  seed: number,
  clock: () => number = () => 0,
  onReader?: (told: FuzzTold) => void,
): FuzzTold[] {
  const [texts, bytes, values] = [textReaders(), byteReaders(), valueReaders()];
  const names = [...texts, ...bytes, ...values].map(({ name }) => name);
  const all = names.reduce((sum, name) => sum + (SHARE[name] ?? 1), 0);
  const of = (name: string) => Math.max(1, Math.ceil((count * (SHARE[name] ?? 1)) / all));
  const out: FuzzTold[] = [];
  const done = (told: FuzzTold) => {
    out.push(told);
    onReader?.(told);
  };
  for (const reader of texts) done(through(reader, damagedText, of(reader.name), seed, clock));
  for (const reader of bytes) done(through(reader, damagedBytes, of(reader.name), seed + 1, clock));
  for (const reader of values) done(through(reader, damagedValue, of(reader.name), seed + 2, clock));
  return out;
}

const MEGABYTE = 1 << 20;

/** Texts as long as a file can be, each of one thing said over and over, or begun and never ended. */
export function longTexts(megabytes = 10): [what: string, text: string][] {
  const long = megabytes * MEGABYTE;
  const over = (piece: string) => piece.repeat(Math.ceil(long / piece.length));
  return [
    ['commas', over(',')],
    ['quotes', over('"')],
    ['quotes and commas', over('",')],
    ['lines', over('\n')],
    ['blanks', over(' ')],
    ['one word', over('a')],
    ['figures', over('7')],
    ['numbers', over('1.5,2 ')],
    ['lines of numbers', over('12;30,5\n')],
    ['lists in lists', over('[')],
    ['objects in objects', over('{"a":')],
    ['groups in groups', `<svg xmlns="http://www.w3.org/2000/svg">${over('<g>')}`],
    ['paths', `<svg xmlns="http://www.w3.org/2000/svg">${over('<path d="M0 0L10 10"/>')}</svg>`],
    ['one long path', `<svg xmlns="http://www.w3.org/2000/svg"><path d="M0 0${over('L10 10C1 1 2 2 3 3')}"/></svg>`],
    ['many attributes', `<svg ${over('a="b" ')}/>`],
    ['open tags', `<svg ${over('<')}`],
    [
      'lines of a drawing',
      `0\nSECTION\n2\nENTITIES\n${over('0\nLINE\n10\n0\n20\n0\n11\n5\n21\n5\n')}0\nENDSEC\n0\nEOF\n`,
    ],
    ['sections of a drawing', over('0\nSECTION\n')],
    ['a table', `from,at_mm,width_mm\n${over('nose,300,400\n')}`],
    ['a table of one line', `from,at_mm,width_mm\n${over('nose,300,400,')}`],
    [
      'a long list in a board',
      `{"format":"june-tide-board","version":2,"outline":{"marks":[${over('{"from":"nose"},')}{}]}}`,
    ],
    ['a long name in a board', `{"format":"june-tide-board","version":2,"name":"${over('x')}"}`],
  ];
}

/** Every reader of texts with one long text. */
export function longTried(text: string, clock: () => number): { reader: string; ms: number; why?: string }[] {
  return textReaders().map((reader) => {
    const { ms, why } = tried(reader, text, clock);
    return { reader: reader.name, ms, ...(why === undefined ? {} : { why }) };
  });
}
