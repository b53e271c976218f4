import type { Family } from '../document/schema.ts';
import { KIND_WORDS, type Kind, KINDS, usualKind } from './kinds.ts';
import type { Ability, Rider } from './rider.ts';

/** Litres for a weight, as a + b kg, both of a low and of a high end. */
interface Litres {
  low: readonly [a_L: number, b: number];
  high: readonly [a_L: number, b: number];
  /** What is said of it: `word` a warning beside the number, `no` that it is not for them. */
  said?: 'word' | 'no';
}
const perKg = (low: number, high: number, said?: 'word' | 'no'): Litres => ({
  low: [0, low],
  high: [0, high],
  ...(said ? { said } : {}),
});
const SMALL: Readonly<Record<Ability, Litres>> = {
  expert: perKg(0.36, 0.42),
  advanced: perKg(0.4, 0.48),
  intermediate: perKg(0.48, 0.6),
  novice: perKg(0.65, 0.85, 'word'),
};
const MID: Readonly<Record<Ability, Litres>> = {
  expert: perKg(0.48, 0.58),
  advanced: perKg(0.52, 0.66),
  intermediate: perKg(0.6, 0.76),
  novice: perKg(0.72, 0.95),
};
const LONG: Readonly<Record<Ability, Litres>> = {
  expert: { low: [32, 0.38], high: [46, 0.42] },
  advanced: { low: [34, 0.38], high: [50, 0.42] },
  intermediate: { low: [38, 0.4], high: [54, 0.42] },
  novice: { low: [42, 0.42], high: [60, 0.44] },
};
/** What a learner would float on where the kind is not theirs: litres are shown so, and no note speaks of them. */
const NOT_TO_LEARN_ON = perKg(0.65, 0.85, 'no');

/** Litres by kind and ability. Common practice, from memory. */
const LITRES: Readonly<Record<Kind, Readonly<Record<Ability, Litres>>>> = {
  performanceShortboard: {
    expert: perKg(0.33, 0.38),
    advanced: perKg(0.37, 0.44),
    intermediate: perKg(0.44, 0.54),
    novice: NOT_TO_LEARN_ON,
  },
  smallWave: SMALL,
  keelFish: SMALL,
  modernFish: SMALL,
  quadFish: SMALL,
  twin: SMALL,
  stepUp: {
    expert: perKg(0.35, 0.4),
    advanced: perKg(0.39, 0.45),
    intermediate: perKg(0.46, 0.55, 'word'),
    novice: NOT_TO_LEARN_ON,
  },
  midLengthSingle: MID,
  midLengthSeveral: MID,
  noseRider: LONG,
  pig: LONG,
  allRoundLongboard: LONG,
  performanceLongboard: LONG,
  semiGun: {
    expert: perKg(0.46, 0.56),
    advanced: perKg(0.5, 0.6),
    intermediate: perKg(0.56, 0.66, 'word'),
    novice: perKg(0.7, 0.9, 'no'),
  },
  bigWaveGun: {
    expert: perKg(0.7, 0.95),
    advanced: perKg(0.72, 1),
    intermediate: perKg(0.75, 1.02, 'no'),
    novice: perKg(0.85, 1.1, 'no'),
  },
};

/** The table as it stands in docs: litres of a kind and an ability as "0.37 to 0.44 kg" or "34 + 0.38 kg to 50 + 0.42 kg". */
export function litresWords(kind: Kind, ability: Ability): string {
  const { low, high, said } = LITRES[kind][ability];
  const end = ([a_L, b]: readonly [number, number]) => (a_L === 0 ? String(b) : `${a_L} + ${b} kg`);
  const words = { word: ', with a word', no: ', not for them' };
  return `${end(low)} to ${end(high)}${said ? words[said] : ''}`;
}

/**
 * A heavy rider's shortboard carries more for each kilogram: so much for each over 85 kg, to a tenth of a litre. Set so that a strong
 * advanced rider of 104 kg comes to the 46 to 49 L that are stated of him (CP); the rest our own.
 */
const HEAVY = { from_kg: 85, perKg: 0.0022, most: 0.1 } as const;
const CARRIES_MORE: ReadonlySet<Kind> = new Set([
  'performanceShortboard',
  'smallWave',
  'keelFish',
  'modernFish',
  'quadFish',
  'twin',
]);

/** A target in litres with its sum written out. */
export interface LitresTarget {
  low_L: number;
  target_L: number;
  high_L: number;
  perKg: number;
  kind: Kind;
  /** Litres are not what matters: this kind is not for what the rider does on a wave yet, or only with a word. */
  said?: 'word' | 'no';
  /** The reasons, each a factor on the litres and its words; those that change nothing are left out. */
  factors: { factor: number; words: string }[];
  /** The whole reasoning in one sentence. */
  sentence: string;
}

const ABILITY_WORDS: Readonly<Record<Ability, string>> = {
  novice: 'learning to stand and trim',
  intermediate: 'riding along the face',
  advanced: 'turning where they choose',
  expert: 'turning hard in steep waves',
};

/** A family stands for the kind it usually is. */
const kindFor = (what: Kind | Family, rider?: Rider): Kind =>
  KINDS.find((kind) => kind === what) ?? usualKind(what as Family, rider?.waves);

/** Low and high end for a weight, before what else counts. L. */
function ends_L(kind: Kind, ability: Ability, mass_kg: number): { low_L: number; high_L: number } {
  const { low, high } = LITRES[kind][ability];
  const over = Math.max(0, mass_kg - HEAVY.from_kg);
  const more = CARRIES_MORE.has(kind) ? Math.min(HEAVY.most, HEAVY.perKg * over) : 0;
  return { low_L: low[0] + (low[1] + more) * mass_kg, high_L: high[0] + (high[1] + more) * mass_kg };
}

/** So much of a share between two numbers as x lies between two others; level outside. */
const between = (x: number, [from, to]: readonly [number, number], [a, b]: readonly [number, number]): number =>
  a + (b - a) * Math.min(1, Math.max(0, (x - from) / (to - from)));

/**
 * Litres for a rider on a kind of board, by weight and by what they do on a wave, times what age, few or many surfs, fitness, rubber
 * and the waves ask for. A family is taken as the kind it usually is. Continuous in every number, and never falling with weight or
 * age. Common practice, from memory, and the factors with it.
 */
export function litresFor(rider: Rider, what: Kind | Family): LitresTarget {
  const kind = kindFor(what, rider);
  const { low_L: low, high_L: high } = ends_L(kind, rider.ability, rider.mass_kg);
  const { said } = LITRES[kind][rider.ability];
  const factors: LitresTarget['factors'] = [];
  const add = (factor: number, words: string) => {
    if (factor !== 1) factors.push({ factor, words });
  };
  add(1 + Math.min(0.15, Math.max(0, rider.age - 40) / 300), `${rider.age} years old`);
  const surfs = rider.surfsAWeek;
  add(between(surfs, [0.75, 2], [1.06, 1]) * between(surfs, [3, 5], [1, 0.97]), `surfing ${surfsWords(surfs)}`);
  if (rider.fitness === 'low') add(1.05, 'little paddling fitness');
  if (rider.fitness === 'high') add(0.98, 'strong paddling');
  const { rubber, power, size } = rider.waves;
  if (rubber === 'thick') add(1.04, 'thick rubber');
  if (rubber === 'none') add(0.99, 'no rubber');
  if (power === 'weak') add(1.04, 'weak waves');
  if (power === 'powerful') add(0.98, 'powerful waves');
  if (size === 'kneeToWaist') add(1.02, 'small waves');
  const whole = factors.reduce((product, { factor }) => product * factor, 1);
  const [low_L, high_L] = [low * whole, high * whole];
  const target_L = (low_L + high_L) / 2;
  const each = (low + high) / 2 / rider.mass_kg;
  const because = factors.map(({ factor, words }) => `${signedPercent(factor)} for ${words}`).join(', ');
  return {
    low_L,
    target_L,
    high_L,
    perKg: each,
    kind,
    ...(said ? { said } : {}),
    factors,
    sentence:
      `${rider.mass_kg.toFixed(0)} kg at ${each.toFixed(3).replace(/0$/, '')} L per kg (${KIND_WORDS[kind]}, ${ABILITY_WORDS[rider.ability]})` +
      `${because ? `, ${because}` : ''}: about ${target_L.toFixed(1)} L, ` +
      `from ${low_L.toFixed(1)} to ${high_L.toFixed(1)} L.`,
  };
}

const surfsWords = (surfs: number): string =>
  surfs < 1 ? 'less than once a week' : surfs < 2 ? 'about once a week' : `${surfs} times a week`;

/** The lightest and the heaviest rider litres are looked for. */
const RIDERS_kg = { low: 20, high: 250 } as const;

/** The riders a board of so many litres floats as is usual for what they do on a wave, kg. */
export function ridersFor(
  volume_L: number,
  what: Kind | Family,
  ability: Ability,
): { low_kg: number; high_kg: number } {
  const kind = kindFor(what);
  const massAt = (end: 'low_L' | 'high_L') => {
    let [low, high]: [number, number] = [RIDERS_kg.low, RIDERS_kg.high];
    for (let k = 0; k < 40; k++) {
      const middle = (low + high) / 2;
      if (ends_L(kind, ability, middle)[end] < volume_L) low = middle;
      else high = middle;
    }
    return (low + high) / 2;
  };
  return { low_kg: massAt('high_L'), high_kg: massAt('low_L') };
}

function signedPercent(factor: number): string {
  const percent = Math.round((factor - 1) * 1000) / 10;
  return `${percent > 0 ? '+' : '−'}${Math.abs(percent)} %`;
}
