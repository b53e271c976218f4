import { FAMILY_WORDS } from '../document/kinds.ts';
import type { Family, FinSetup } from '../document/schema.ts';
import { SETUP_WORDS } from '../fins/placement.ts';
import { COMPLAINTS } from '../judge/complaints.ts';
import type { Ability, Rider, Waves } from '../rider/rider.ts';
import { formatLength, formatMass, type LengthStyle } from '../units/format.ts';
import type { BoardRecord } from './record.ts';
import type { Failure, Felt, Ride, Wind } from './ride.ts';
import { writtenOf } from './written.ts';

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

export const cardOf = (riders: Shed['riders'], id: string | null | undefined): Rider | undefined =>
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

/** All that is written of a board and whose it is. */
const textOf = (record: BoardRecord, { riders }: Shed): string =>
  `${writtenOf(record)} ${(cardOf(riders, record.riderId)?.name ?? '').toLowerCase()}`;

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
