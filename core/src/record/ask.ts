import { FAMILY_WORDS } from '../document/kinds.ts';
import type { Family, FinSetup } from '../document/schema.ts';
import { SETUP_WORDS } from '../fins/placement.ts';
import { COMPLAINTS, complaintsFor } from '../judge/complaints.ts';
import type { Ability, Rider, Waves } from '../rider/rider.ts';
import { formatLength, formatMass, type LengthStyle } from '../units/format.ts';
import { parseLength } from '../units/length.ts';
import { POUND_kg } from '../units/mass.ts';
import type { BoardRecord } from './record.ts';
import { type Failure, FAILURES, type Felt, type Ride, type Wind } from './ride.ts';

/** One thing that is asked of a board, or of a ride of it. */
export type Filter =
  | { of: 'family'; is: Family }
  | { of: 'setup'; is: FinSetup }
  | { of: 'rider'; is: string; name: string }
  | { of: 'length'; low_mm: number; high_mm: number }
  | { of: 'litres'; low_L: number; high_L: number }
  | { of: 'year'; is: number }
  | { of: 'state'; is: State }
  | { of: 'failure'; is: Failure | 'any' }
  | { of: 'word'; is: string }
  | { of: 'stance'; is: 'front' | 'back' | 'neutral' }
  | { of: 'ability'; is: Ability }
  | { of: 'mass'; low_kg: number; high_kg: number }
  | { of: 'size'; is: Waves['size'] }
  | { of: 'power'; is: Waves['power'] }
  | { of: 'steepness'; is: Waves['steepness'] }
  | { of: 'wind'; is: Wind }
  | { of: 'felt'; is: Felt }
  | { of: 'complaint'; is: string };

type State = 'winner' | 'model' | 'onLine' | 'out' | 'ridden' | 'measured';

/** How each state is said of a board: “boards that …”. */
const STATE_WORDS: Readonly<Record<State, string>> = {
  winner: 'have a winner kept',
  model: 'are models of the shop',
  onLine: 'stand on the line',
  out: 'are out of the door',
  ridden: 'have been ridden',
  measured: 'were measured when shaped',
};

export const FAILURE_WORDS: Readonly<Record<Failure, string>> = {
  broken: 'broken',
  crackedBox: 'cracked at a fin box',
  dented: 'dented',
  delaminated: 'delaminated',
  creased: 'creased',
  leaking: 'taking water',
};

const SIZE_WORDS: Readonly<Record<Waves['size'], string>> = {
  kneeToWaist: 'knee to waist',
  waistToHead: 'waist to head',
  overhead: 'overhead',
  wellOverhead: 'well overhead',
};
const ABILITY_SAID: Readonly<Record<Ability, string>> = {
  novice: 'riders who learn to stand',
  intermediate: 'riders along the face',
  advanced: 'riders who turn where they choose',
  expert: 'experts',
};
const STANCE_SAID = { front: 'front-footed', back: 'back-footed', neutral: 'neutral' } as const;
export const WIND_WORDS: Readonly<Record<Wind, string>> = {
  none: 'no wind',
  offshore: 'wind off the land',
  cross: 'wind across',
  onshore: 'wind onto the land',
};
const FELT_SAID: Readonly<Record<Felt, string>> = { better: 'better', same: 'the same', worse: 'worse' };

/** A number as a person writes it, with a decimal point or comma. */
const N = String.raw`(\d+(?:[.,]\d+)?)`;
const number = (text: string) => Number(text.replace(',', '.'));
/** A length of a board: feet and inches, or metric. */
const LENGTH = String.raw`(\d+\s*['’′]\s*(?:\d+(?:\s+\d+\/\d+)?)?["”″]?|\d+(?:[.,]\d+)?\s*(?:mm|cm|ft|feet))`;
const TO = String.raw`\s*(?:to|and|-|–)\s*`;
const OVER = String.raw`(?:over|above|more than|heavier than|longer than|at least|from)\s+`;
const UNDER = String.raw`(?:under|below|less than|lighter than|shorter than|at most|up to)\s+`;
const MASS_UNIT = String.raw`\s*(kg|kilos?|lbs?|pounds?)\b`;
const LITRES = String.raw`\s*(?:l|litres?|liters?)\b`;

type Reader = readonly [pattern: RegExp, read: (found: RegExpExecArray) => Filter | undefined];

const mass = (low: string | undefined, high: string | undefined, unit: string): Filter => {
  const kg = (text: string | undefined, none: number) =>
    text === undefined ? none : number(text) * (unit.startsWith('k') ? 1 : POUND_kg);
  return { of: 'mass', low_kg: kg(low, 0), high_kg: kg(high, Infinity) };
};
const length = (low: string | undefined, high: string | undefined): Filter | undefined => {
  const mm = (text: string | undefined, none: number): number => {
    if (text === undefined) return none;
    const read = parseLength(text);
    return read.ok ? read.value : NaN;
  };
  const [low_mm, high_mm] = [mm(low, 0), mm(high, Infinity)];
  return Number.isNaN(low_mm) || Number.isNaN(high_mm) ? undefined : { of: 'length', low_mm, high_mm };
};
const litres = (low: string | undefined, high: string | undefined): Filter => ({
  of: 'litres',
  low_L: low === undefined ? 0 : number(low),
  high_L: high === undefined ? Infinity : number(high),
});
const said = (pattern: string, filter: Filter): Reader => [
  new RegExp(String.raw`\b(?:${pattern})\b`, 'i'),
  () => filter,
];

/** What is understood, in this order: the longer way of saying a thing before the shorter one inside it. */
const READERS: readonly Reader[] = [
  [new RegExp(`${N}${TO}${N}${MASS_UNIT}`, 'i'), ([, low, high, unit]) => mass(low, high, unit)],
  [new RegExp(`${OVER}${N}${MASS_UNIT}`, 'i'), ([, low, unit]) => mass(low, undefined, unit)],
  [new RegExp(`${UNDER}${N}${MASS_UNIT}`, 'i'), ([, high, unit]) => mass(undefined, high, unit)],
  [new RegExp(`${N}${TO}${N}${LITRES}`, 'i'), ([, low, high]) => litres(low, high)],
  [new RegExp(`${OVER}${N}${LITRES}`, 'i'), ([, low]) => litres(low, undefined)],
  [new RegExp(`${UNDER}${N}${LITRES}`, 'i'), ([, high]) => litres(undefined, high)],
  [new RegExp(`${LENGTH}${TO}${LENGTH}`, 'i'), ([, low, high]) => length(low, high)],
  [new RegExp(`${OVER}${LENGTH}`, 'i'), ([, low]) => length(low, undefined)],
  [new RegExp(`${UNDER}${LENGTH}`, 'i'), ([, high]) => length(undefined, high)],
  [/\b(?:in|from|of|since)?\s*(20\d\d)\b/i, ([, year]) => ({ of: 'year', is: Number(year) })],
  said('back[- ]?foot(?:ed)?', { of: 'stance', is: 'back' }),
  said('front[- ]?foot(?:ed)?', { of: 'stance', is: 'front' }),
  said('neutral', { of: 'stance', is: 'neutral' }),
  said('came back well|went well|(?:that )?went better|better than before|came back better|better|good ones', {
    of: 'felt',
    is: 'better',
  }),
  said('came back badly|went badly|(?:that )?went worse|worse than before|worse', { of: 'felt', is: 'worse' }),
  said('(?:came back )?(?:broken|broke|snapped)', { of: 'failure', is: 'broken' }),
  said('(?:came back )?(?:with )?(?:a )?(?:cracked box|box cracked|cracked at the box)', {
    of: 'failure',
    is: 'crackedBox',
  }),
  said('(?:came back )?(?:dented|dents|dings?)', { of: 'failure', is: 'dented' }),
  said('(?:came back )?(?:delaminated|delaminations?|delams?)', { of: 'failure', is: 'delaminated' }),
  said('(?:came back )?(?:creased|creases)', { of: 'failure', is: 'creased' }),
  said('(?:came back )?(?:leaking|leaks?|taking water|took water)', { of: 'failure', is: 'leaking' }),
  said('came back|failed|failures?|repairs?', { of: 'failure', is: 'any' }),
  said('twin and trailer|twin trailer', { of: 'setup', is: 'twinTrailer' }),
  said('twin keels?|keels?', { of: 'setup', is: 'keels' }),
  said('twin[- ]?fins?', { of: 'setup', is: 'twin' }),
  said('single[- ]?fins?|singles', { of: 'setup', is: 'single' }),
  said('thrusters?|three fins', { of: 'setup', is: 'thruster' }),
  said('five[- ]?box(?:es)?|five fins', { of: 'setup', is: 'fiveBox' }),
  said('quads?|four fins', { of: 'setup', is: 'quad' }),
  [/(?:^|\s)2\s*\+\s*1(?=\s|,|$)/, () => ({ of: 'setup', is: 'twoPlusOne' })],
  said('short[- ]?boards?', { of: 'family', is: 'shortboard' }),
  said('fish(?:es)?', { of: 'family', is: 'fish' }),
  said('twins?', { of: 'family', is: 'twin' }),
  said('mid[- ]?lengths?', { of: 'family', is: 'midLength' }),
  said('long[- ]?boards?', { of: 'family', is: 'longboard' }),
  said('guns?', { of: 'family', is: 'gun' }),
  said('well overhead', { of: 'size', is: 'wellOverhead' }),
  said('overhead', { of: 'size', is: 'overhead' }),
  said('waist to head|head high', { of: 'size', is: 'waistToHead' }),
  said('knee to waist|small waves', { of: 'size', is: 'kneeToWaist' }),
  said('steep(?: faces| waves)?|hollow', { of: 'steepness', is: 'steep' }),
  said('soft (?:faces|waves)', { of: 'steepness', is: 'soft' }),
  said('weak(?: waves)?', { of: 'power', is: 'weak' }),
  said('powerful(?: waves)?', { of: 'power', is: 'powerful' }),
  said('off[- ]?shore', { of: 'wind', is: 'offshore' }),
  said('on[- ]?shore', { of: 'wind', is: 'onshore' }),
  said('cross[- ]?shore', { of: 'wind', is: 'cross' }),
  said('novices?|beginners?|learners?', { of: 'ability', is: 'novice' }),
  said('intermediates?', { of: 'ability', is: 'intermediate' }),
  said('experts?', { of: 'ability', is: 'expert' }),
  said('winners?|magic', { of: 'state', is: 'winner' }),
  said('models? of the shop|shop models?', { of: 'state', is: 'model' }),
  said('on the line', { of: 'state', is: 'onLine' }),
  said('out of the door|handed over|finished', { of: 'state', is: 'out' }),
  said('ridden', { of: 'state', is: 'ridden' }),
  said('measured', { of: 'state', is: 'measured' }),
];

/** Words that ask nothing by themselves. */
const SILENT = new Set(
  'a an and are at boards board by for from had has have i in is it like made make me of on or our riders rider show so that the their them to was waves we were what which who whose with what’s whats'.split(
    ' ',
  ),
);

/**
 * A question in a shaper's words as filters: sizes, weights, riders, waves, how it went, what came back. Words that are not understood
 * are looked for in names, notes and what riders said. Never throws.
 * @param riders whoever has a card: a question may name them.
 * @param names of boards: one of them is a name, whatever its words would mean otherwise.
 */
export function filtersFrom(
  question: string,
  riders: readonly Pick<Rider, 'id' | 'name'>[],
  names: readonly string[] = [],
): Filter[] {
  let left = ` ${question.slice(0, MOST_ASKED)} `;
  const out: Filter[] = [];
  for (const name of new Set(names)) {
    const at = left.toLowerCase().indexOf(` ${name.toLowerCase()} `);
    if (at < 0) continue;
    for (const word of name.toLowerCase().split(/\s+/)) out.push({ of: 'word', is: word });
    left = `${left.slice(0, at)} , ${left.slice(at + name.length + 2)}`;
  }
  for (const { id, name } of riders) {
    const at = left
      .toLowerCase()
      .search(new RegExp(String.raw`(?<=\W)${escaped(name.toLowerCase())}(?:['’]s)?(?=\W)`, 'u'));
    if (at < 0) continue;
    out.push({ of: 'rider', is: id, name });
    left = `${left.slice(0, at)},${left.slice(at + name.length).replace(/^['’]s/, '')}`;
  }
  for (const [pattern, read] of READERS) {
    // The same kind of thing may be asked for twice: fish or twins.
    for (let found = pattern.exec(left); found; found = pattern.exec(left)) {
      const filter = read(found);
      if (filter && !out.some((other) => JSON.stringify(other) === JSON.stringify(filter))) out.push(filter);
      left = `${left.slice(0, found.index)},${left.slice(found.index + found[0].length)}`;
    }
  }
  for (const part of left.split(',')) {
    const words = part
      .toLowerCase()
      .split(/[^\p{L}\p{N}/.'’]+/u)
      .filter((word) => word !== '' && !SILENT.has(word));
    // What is left of a sentence may be what riders complain of.
    const heard = words.length > 1 ? complaintsFor(part)[0] : undefined;
    if (heard) out.push({ of: 'complaint', is: heard.id });
    else for (const word of words) out.push({ of: 'word', is: word });
  }
  return out;
}

/** A question is no longer than that. */
const MOST_ASKED = 400;

const escaped = (text: string) => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** One time a board was ridden, or what it was ordered for: who, and in which waves. */
interface Outing {
  stance?: Rider['stance'] | undefined;
  ability?: Ability | undefined;
  mass_kg?: number | undefined;
  size?: Waves['size'] | undefined;
  power?: Waves['power'] | undefined;
  steepness?: Waves['steepness'] | undefined;
  wind?: Wind | undefined;
  felt?: Felt | undefined;
  complaints?: readonly string[] | undefined;
}

export interface Shed {
  riders: Readonly<Record<string, Rider>>;
  /** Litres of a board: measured once and kept by whoever asks. */
  litresOf: (record: BoardRecord) => number;
}

const cardOf = (riders: Shed['riders'], id: string | null | undefined): Rider | undefined =>
  id !== null && id !== undefined && Object.hasOwn(riders, id) ? riders[id] : undefined;

function outingsOf(record: BoardRecord, { riders }: Shed): Outing[] {
  const owner = cardOf(riders, record.riderId);
  const waves = record.brief?.waves ?? owner?.waves;
  const ordered: Outing[] = owner
    ? [{ stance: owner.stance, ability: owner.ability, mass_kg: owner.mass_kg, ...waves }]
    : [];
  const ridden = record.rides.map((ride: Ride): Outing => {
    const who = cardOf(riders, ride.riderId) ?? (ride.rider === undefined ? owner : undefined);
    return {
      ability: who?.ability,
      stance: ride.stance ?? who?.stance,
      mass_kg: ride.mass_kg ?? who?.mass_kg,
      size: ride.size,
      power: ride.power,
      steepness: ride.steepness,
      wind: ride.wind,
      felt: ride.felt,
      complaints: ride.complaints,
    };
  });
  return [...ridden, ...ordered];
}

const within = (value: number, low: number, high: number) => value >= low && value <= high;

/** Does an outing answer to a filter? Undefined for what is asked of the board itself. */
function ofOuting(outing: Outing, filter: Filter): boolean | undefined {
  switch (filter.of) {
    case 'stance':
    case 'ability':
    case 'size':
    case 'power':
    case 'steepness':
    case 'wind':
    case 'felt':
      return outing[filter.of] === filter.is;
    case 'mass':
      return outing.mass_kg !== undefined && within(outing.mass_kg, filter.low_kg, filter.high_kg);
    case 'complaint':
      return outing.complaints?.includes(filter.is) === true;
    default:
      return undefined;
  }
}

function ofBoard(record: BoardRecord, filter: Filter, shed: Shed): boolean {
  const { board } = record;
  switch (filter.of) {
    case 'family':
      return board.family === filter.is;
    case 'setup':
      return board.fins.setup === filter.is || record.layouts?.some(({ fins }) => fins.setup === filter.is) === true;
    case 'rider':
      return record.riderId === filter.is || record.rides.some(({ riderId }) => riderId === filter.is);
    case 'length':
      // A sixteenth either way: 6'2 is 6'2 however it is written.
      return within(board.length_mm, filter.low_mm - 1.6, filter.high_mm + 1.6);
    case 'litres':
      return within(shed.litresOf(record), filter.low_L, filter.high_L);
    case 'year':
      return record.createdAt.startsWith(String(filter.is));
    case 'state':
      return STATES[filter.is](record);
    case 'failure':
      return record.failures?.some(({ what }) => filter.is === 'any' || what === filter.is) === true;
    default:
      return true;
  }
}

const STATES: Readonly<Record<State, (record: BoardRecord) => boolean>> = {
  winner: ({ versions }) => versions?.some(({ frozen }) => frozen) === true,
  model: ({ model }) => model === true,
  onLine: ({ order }) => order !== undefined && order.doneOn === undefined,
  out: ({ order }) => order?.doneOn !== undefined,
  ridden: ({ rides }) => rides.length > 0,
  measured: ({ shaped }) => shaped !== undefined,
};

/** All that is written of a board, in small letters. */
function textOf({ board, number, rides, versions, failures, brief, riderId }: BoardRecord, { riders }: Shed): string {
  const said = rides.map(
    ({ words, waves, place, rider, fins }) => `${words} ${waves} ${place ?? ''} ${rider ?? ''} ${fins ?? ''}`,
  );
  const why = versions?.map((version) => version.why) ?? [];
  const gone = failures?.map(({ words, done }) => `${words} ${done}`) ?? [];
  const order = `${brief?.purpose ?? ''} ${brief?.mustHaves ?? ''}`;
  const who = cardOf(riders, riderId)?.name ?? '';
  return [board.name, number, FAMILY_WORDS[board.family], board.notes, who, order, ...said, ...why, ...gone]
    .join(' ')
    .toLowerCase();
}

/** Filters of one kind are one or the other; words must all be there. */
function grouped(filters: readonly Filter[]): Filter[][] {
  const groups = new Map<string, Filter[]>();
  filters.forEach((filter, i) => {
    const key = filter.of === 'word' ? `word ${i}` : filter.of;
    groups.set(key, [...(groups.get(key) ?? []), filter]);
  });
  return [...groups.values()];
}

/**
 * The boards that answer to every filter. What is asked of riders, waves and how it went must be true of one and the same outing: a
 * ride, or where nothing is asked that only a ride can tell, the order.
 */
export function answering(records: readonly BoardRecord[], filters: readonly Filter[], shed: Shed): BoardRecord[] {
  const groups = grouped(filters);
  const words = groups.filter(([{ of }]) => of === 'word');
  const rides = groups.filter(([filter]) => ofOuting({}, filter) !== undefined);
  const boards = groups.filter((group) => !words.includes(group) && !rides.includes(group));
  return records.filter((record) => {
    if (!boards.every((group) => group.some((filter) => ofBoard(record, filter, shed)))) return false;
    if (
      rides.length > 0 &&
      !outingsOf(record, shed).some((outing) =>
        rides.every((group) => group.some((filter) => ofOuting(outing, filter) === true)),
      )
    )
      return false;
    if (words.length === 0) return true;
    const text = textOf(record, shed);
    return words.every((group) => group.some((filter) => filter.of === 'word' && text.includes(filter.is)));
  });
}

const ends = (low: number, high: number, write: (value: number) => string): string => {
  if (low === 0) return `up to ${write(high)}`;
  return high === Infinity ? `from ${write(low)}` : `${write(low)} to ${write(high)}`;
};

export interface Written {
  style: LengthStyle;
  mass: 'kg' | 'lb';
}

/** One filter in a few words. */
export function filterWords(filter: Filter, { style, mass: unit }: Written): string {
  switch (filter.of) {
    case 'family':
      return FAMILY_WORDS[filter.is];
    case 'setup':
      return `set as ${SETUP_WORDS[filter.is]}`;
    case 'rider':
      return `for or ridden by ${filter.name}`;
    case 'length':
      return ends(filter.low_mm, filter.high_mm, (mm) => formatLength(mm, style, { feet: true }));
    case 'litres':
      return ends(filter.low_L, filter.high_L, (value) => `${value} L`);
    case 'year':
      return `begun in ${filter.is}`;
    case 'state':
      return STATE_WORDS[filter.is];
    case 'failure':
      return filter.is === 'any' ? 'came back with damage' : `came back ${FAILURE_WORDS[filter.is]}`;
    case 'word':
      return `“${filter.is}”`;
    case 'stance':
      return STANCE_SAID[filter.is];
    case 'ability':
      return ABILITY_SAID[filter.is];
    case 'mass':
      return ends(filter.low_kg, filter.high_kg, (kg) => formatMass(kg, unit));
    case 'size':
      return SIZE_WORDS[filter.is];
    case 'power':
      return { weak: 'weak', medium: 'medium', powerful: 'powerful' }[filter.is];
    case 'steepness':
      return { soft: 'soft', medium: 'neither soft nor steep', steep: 'steep' }[filter.is];
    case 'wind':
      return WIND_WORDS[filter.is];
    case 'felt':
      return `went ${FELT_SAID[filter.is]}`;
    case 'complaint':
      return `“${COMPLAINTS.find(({ id }) => id === filter.is)?.words.toLowerCase() ?? filter.is}” was said`;
  }
}

/** What is asked, in one sentence: what the filters do, read back. */
export function questionSentence(filters: readonly Filter[], written: Written): string {
  if (filters.length === 0) return 'All boards of the shed.';
  const of = (...kinds: Filter['of'][]) =>
    grouped(filters.filter((filter) => kinds.includes(filter.of))).map((group) =>
      group.map((filter) => filterWords(filter, written)).join(' or '),
    );
  const joined = (parts: readonly string[], between = ', ') => parts.join(between);
  const families = filters.flatMap((filter) => (filter.of === 'family' ? [plural(FAMILY_WORDS[filter.is])] : []));
  const out = [families.length > 0 ? families.join(' or ') : 'boards'];
  const size = of('length', 'litres', 'setup', 'year');
  if (size.length > 0) out.push(joined(size));
  const [stances, abilities, masses] = [of('stance'), of('ability'), of('mass')];
  const named = of('rider');
  if (named.length > 0) out.push(joined(named));
  if (stances.length + abilities.length + masses.length > 0) {
    const who = [...stances, ...(abilities.length > 0 ? abilities : ['riders'])].join(' ');
    out.push(`for or ridden by ${who}${masses.length > 0 ? ` of ${joined(masses)}` : ''}`);
  }
  const waves = [...of('size'), ...of('power'), ...of('steepness')];
  const wind = of('wind');
  if (waves.length > 0) out.push(`in ${joined(waves)} waves`);
  if (wind.length > 0) out.push(`with ${joined(wind)}`);
  const that = [...of('felt').map((text) => `${text} than the board before`), ...of('failure', 'state')];
  if (that.length > 0) out.push(`that ${joined(that, ' and ')}`);
  const heard = of('complaint');
  if (heard.length > 0) out.push(`of which ${joined(heard, ' and ')}`);
  const words = of('word');
  if (words.length > 0) out.push(`with ${joined(words, ' and ')} written of them`);
  const sentence = out.join(' ');
  return `${sentence.replace(/^./, (c) => c.toUpperCase())}.`.replace('went the same than', 'went the same as');
}

const plural = (word: string) => (word === 'fish' ? 'fish' : `${word}s`);

/** What a shop wants to know of the boards that answer. */
export interface Answers {
  boards: number;
  /** How many of each family, and for each rider; the most first. */
  families: { family: Family; boards: number }[];
  riders: { name: string; boards: number }[];
  rides: number;
  felt: Readonly<Record<Felt, number>>;
  failures: { what: Failure; times: number }[];
  /** Litres of shaped foam of all of them. */
  litres_L: number;
  /** Hands of the shop in those that are out of the door, by its own stages. */
  out: number;
  hours_h: number;
}

/** @param hands_h hours of hands in one board, by the shop's stages. */
export function answersOf(found: readonly BoardRecord[], shed: Shed, hands_h: number): Answers {
  const families = new Map<Family, number>();
  const riders = new Map<string, number>();
  const failures = new Map<Failure, number>();
  const felt = { better: 0, same: 0, worse: 0 };
  let [rides, litres_L, out] = [0, 0, 0];
  const more = <K>(map: Map<K, number>, key: K) => map.set(key, (map.get(key) ?? 0) + 1);
  for (const record of found) {
    more(families, record.board.family);
    more(riders, cardOf(shed.riders, record.riderId)?.name ?? 'nobody yet');
    for (const { what } of record.failures ?? []) more(failures, what);
    for (const ride of record.rides) if (ride.felt) felt[ride.felt]++;
    rides += record.rides.length;
    litres_L += shed.litresOf(record);
    if (record.order?.doneOn !== undefined) out++;
  }
  const most = <K>(map: Map<K, number>) => [...map].sort((a, b) => b[1] - a[1]);
  return {
    boards: found.length,
    families: most(families).map(([family, boards]) => ({ family, boards })),
    riders: most(riders).map(([name, boards]) => ({ name, boards })),
    rides,
    felt,
    failures: FAILURES.flatMap((what) => {
      const times = failures.get(what);
      return times === undefined ? [] : [{ what, times }];
    }),
    litres_L,
    out,
    hours_h: out * hands_h,
  };
}
