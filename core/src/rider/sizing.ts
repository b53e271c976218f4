import type { Board, Family } from '../document/schema.ts';
import { FAMILIES } from '../document/schema.ts';
import { boardFrom } from '../shape/issues.ts';
import { shapeOf } from '../shape/shape.ts';
import { grown } from '../edit/grow.ts';
import { scaledToLitres } from '../edit/litres.ts';
import { stretched, widened } from '../edit/size.ts';
import { Facts } from '../measure/facts.ts';
import { volume_L } from '../measure/volume.ts';
import { models } from '../models/models.ts';
import type { Schools } from './schools.ts';
import { formatLength, formatLitres, type LengthStyle } from '../units/format.ts';
import { INCH_mm } from '../units/length.ts';
import { KIND_FAMILY, type Kind, kindOf } from './kinds.ts';
import { litresFor, type LitresTarget } from './litres.ts';
import type { Ability, Rider, Waves } from './rider.ts';

/** A board the rider comes from: a board of the rack, or what they say of one. */
export interface LastBoard {
  name: string;
  /** Left out: nobody knows how long it was, and nothing that hangs on its length is said. */
  length_mm?: number;
  litres_L: number;
  family?: Family;
}

/** A last board whose length is known: without it there is no step from it. */
export type MeasuredLast = LastBoard & { length_mm: number };

const isMeasured = (last: LastBoard | undefined): last is MeasuredLast => last?.length_mm !== undefined;

/** What a step of 6 in takes in litres from a board, at most a tenth. */
const stepOf = (last: MeasuredLast): number => last.litres_L * Math.min(STEP_SHARE, STEP_mm / last.length_mm);

/** A step: length to the first power of a board whose litres grow about as its length, and no more than a tenth of them. */
const STEP_mm = 6 * INCH_mm;
const STEP_SHARE = 0.1;

/** One school's answer, with its sum. */
export interface Sized extends LitresTarget {
  school: Schools['sizing'];
  /** The length it comes with: the wave's, or that of the board it steps from. */
  length_mm: number;
  /** What width and thickness come to with those litres at that length, in the proportions of a model of the kind. */
  width_mm: number;
  thickness_mm: number;
}

const boards = new Map<Kind, Board>();
/** The model that stands for a kind: of those that are of it the one nearest to its usual length, or of its family. */
function standsFor(kind: Kind): Board {
  const known = boards.get(kind);
  if (known) return known;
  const usual_mm = USUAL_LENGTH_in[kind] * INCH_mm;
  const off = (board: Board) =>
    Math.abs(board.length_mm - usual_mm) + (kindOf(new Facts(shapeOf(board))) === kind ? 0 : 1e4);
  const [board] = models()
    .filter(({ family }) => family === KIND_FAMILY[kind])
    .sort((x, y) => off(x) - off(y));
  boards.set(kind, board);
  return board;
}

/** Width and thickness of a board of a kind with so many litres at a length: its model's, both by one share. */
function sizeOf(kind: Kind, length_mm: number, litres_L: number): { width_mm: number; thickness_mm: number } {
  const board = standsFor(kind);
  const model_L = (volume_L(shapeOf(board)) * length_mm) / board.length_mm;
  const share = Math.sqrt(litres_L / model_L);
  return { width_mm: board.outline.width_mm * share, thickness_mm: board.foil.thickness_mm * share };
}

/**
 * Litres by the school that steps from the last board: toward the range of the rider's ability, but never by more than a step
 * of 6 in takes in litres, or a tenth. Common practice: about 6 in of length at a time, and within one kind.
 */
export function steppedLitres(rider: Rider, what: Kind | Family, last: MeasuredLast): Sized {
  const perKilo = litresFor(rider, what);
  const step_L = stepOf(last);
  const wanted = Math.min(Math.max(last.litres_L, perKilo.low_L), perKilo.high_L);
  const target_L = Math.min(last.litres_L + step_L, Math.max(last.litres_L - step_L, wanted));
  const change = target_L - last.litres_L;
  const spread = step_L / 3;
  return {
    ...perKilo,
    school: 'stepFromLast',
    length_mm: last.length_mm,
    ...sizeOf(perKilo.kind, last.length_mm, target_L),
    target_L,
    low_L: target_L - spread,
    high_L: target_L + spread,
    factors: [],
    sentence:
      `${last.name} has ${formatLitres(last.litres_L)}; a step of 6 in is about ${formatLitres(step_L)}: ` +
      (Math.abs(change) < 0.05
        ? `stay at ${formatLitres(target_L)}, within the rider’s range already.`
        : `${change < 0 ? 'down' : 'up'} ${formatLitres(Math.abs(change))} to ${formatLitres(target_L)}${Math.abs(change) > step_L - 0.01 ? ', no further in one go' : ''}.`),
  };
}

/** Usual length of a kind for an advanced rider of 75 kg in waist to head high waves, in. Common practice, from memory. */
const USUAL_LENGTH_in: Readonly<Record<Kind, number>> = {
  performanceShortboard: 72,
  smallWave: 69,
  stepUp: 76,
  keelFish: 66,
  modernFish: 68,
  quadFish: 68,
  twin: 70,
  midLengthSingle: 88,
  midLengthSeveral: 86,
  noseRider: 113,
  pig: 113,
  allRoundLongboard: 111,
  performanceLongboard: 109,
  semiGun: 92,
  bigWaveGun: 108,
};
/** What the size of the waves adds to it, in; half as much where the board is long already. */
const FOR_SIZE_in: Readonly<Record<Waves['size'], number>> = {
  kneeToWaist: -2.5,
  waistToHead: 0,
  overhead: 3,
  wellOverhead: 8,
};
const FOR_POWER_in: Readonly<Record<Waves['power'], number>> = { weak: -0.5, medium: 0, powerful: 1 };
/** What a rider does on a wave adds to it; a learner is not on this line, and is given an intermediate's and a little. */
const FOR_ABILITY_in: Readonly<Record<Ability, number>> = { novice: 5, intermediate: 3, advanced: 0, expert: -1 };
/** In waves well overhead the less skilled start longer (CP). */
const STARTS_LONGER_in: Readonly<Record<Ability, number>> = { novice: 6, intermediate: 6, advanced: 0, expert: 0 };
const LONG_FROM_in = 84;

/** The length for the wave: more with its size and power and with weight, an inch for each 4 kg, less with skill. in */
function lengthForWave_in(rider: Rider, waves: Waves, kind: Kind): number {
  const usual = USUAL_LENGTH_in[kind];
  const wave = FOR_SIZE_in[waves.size] + FOR_POWER_in[waves.power];
  return (
    usual +
    (usual >= LONG_FROM_in && wave < 0 ? wave / 2 : wave) +
    (rider.mass_kg - 75) / 4 +
    FOR_ABILITY_in[rider.ability] +
    (waves.size === 'wellOverhead' ? STARTS_LONGER_in[rider.ability] : 0)
  );
}

/** Litres by the school of length for the wave: a model of the kind at that length, as much wider as the weight asks for, has its litres. */
export function wavedLitres(rider: Rider, waves: Waves, what: Kind | Family, style: LengthStyle): Sized {
  const perKilo = litresFor({ ...rider, waves }, what);
  const { kind } = perKilo;
  const length_mm = lengthForWave_in(rider, waves, kind) * INCH_mm;
  const model = standsFor(kind);
  // An eighth in width and a thirty-second in thickness for each 5 kg: common practice, from memory.
  const heavier = (rider.mass_kg - 75) / 5;
  const wider = 1 + (heavier * INCH_mm) / 8 / model.outline.width_mm;
  const thicker = 1 + (heavier * INCH_mm) / 32 / model.foil.thickness_mm;
  const target_L = volume_L(shapeOf(stretched(model, length_mm))) * Math.max(0.3, wider) * Math.max(0.3, thicker);
  const shown = formatLength(Math.round(length_mm / INCH_mm) * INCH_mm, style, { feet: true });
  return {
    ...perKilo,
    school: 'lengthForWave',
    length_mm,
    ...sizeOf(kind, length_mm, target_L),
    target_L,
    low_L: 0.94 * target_L,
    high_L: 1.06 * target_L,
    factors: [],
    sentence: `These waves and ${rider.mass_kg.toFixed(0)} kg ask for about ${shown}; ${model.name} at that length, and as wide as the weight asks for, has ${formatLitres(target_L)}.`,
  };
}

/** All three schools' answers, the shop's own first. A school that lacks what it starts from is left out; a step stays in one family. */
export function sizedBySchools(
  rider: Rider,
  waves: Waves,
  what: Kind | Family,
  last: LastBoard | undefined,
  schools: Pick<Schools, 'sizing'>,
  style: LengthStyle,
): Sized[] {
  const perKilo = litresFor({ ...rider, waves }, what);
  const length_mm = lengthForWave_in(rider, waves, perKilo.kind) * INCH_mm;
  const inFamily = isMeasured(last) && (last.family ?? KIND_FAMILY[perKilo.kind]) === KIND_FAMILY[perKilo.kind];
  const all: Sized[] = [
    { ...perKilo, school: 'litresPerKilo', length_mm, ...sizeOf(perKilo.kind, length_mm, perKilo.target_L) },
    ...(inFamily ? [steppedLitres({ ...rider, waves }, what, last)] : []),
    wavedLitres(rider, waves, what, style),
  ];
  return all.sort((a, b) => Number(b.school === schools.sizing) - Number(a.school === schools.sizing));
}

/** Lengths a learner starts on, in: a mid-length of 6'8 to 7'4, a longboard of 8'6 to 9'2 (common practice), an inch for each 6 kg. */
const LEARNS_ON = [
  { kind: 'midLengthSingle', low: 80, high: 88 },
  { kind: 'allRoundLongboard', low: 102, high: 110 },
] as const;
const LEARNER_FROM_kg = 45;

/** Boards to learn on for this rider, made: a mid-length and a longboard with the litres for it. Fewer where one cannot be built. */
export function boardsToLearnOn(rider: Rider): Board[] {
  return LEARNS_ON.flatMap(({ kind, low, high }) => {
    const length_mm = Math.round(Math.min(high, low + Math.max(0, rider.mass_kg - LEARNER_FROM_kg) / 6)) * INCH_mm;
    const { target_L } = litresFor({ ...rider, ability: 'novice' }, kind);
    const solved = scaledToLitres(grown(standsFor(kind), length_mm), target_L, ['length']);
    return solved.ok ? [solved.board] : [];
  });
}

/** One of a row of boards of equal litres, and what it trades. */
export interface EqualBoard {
  name: string;
  board: Board;
  trades: string;
}

/** Shorter by so much; by less where that would be another board. */
const SHORTER_mm = [3 * INCH_mm, 2 * INCH_mm, INCH_mm] as const;
/** No further from the board it starts from: more is another board. */
const MOST_WIDER_mm = 0.75 * INCH_mm;
const MOST_THICKER_mm = 0.25 * INCH_mm;
/** Less is no difference. */
const SEEN_mm = INCH_mm / 32;

/** What a board is against the one it starts from, as came out, and what that trades. */
function asCameOut(from: Board, made: Board): { name: string; trades: string } {
  const told = (difference: number, more: string, less: string) =>
    difference > SEEN_mm ? [more] : difference < -SEEN_mm ? [less] : [];
  const wider = made.outline.width_mm - from.outline.width_mm;
  const thicker = made.foil.thickness_mm - from.foil.thickness_mm;
  const shorter = from.length_mm - made.length_mm;
  const words = [
    ...told(shorter, 'shorter', 'longer'),
    ...told(wider, 'wider', 'narrower'),
    ...told(thicker, 'thicker', 'thinner'),
  ];
  const name = words.length > 0 ? words.join(', ').replace(/, ([^,]*)$/, ' and $1') : 'as it is';
  const trades = [
    ...told(
      wider,
      'Fast down the line and early to plane, slower from rail to rail',
      'Quick from rail to rail, less speed across the water',
    ),
    ...told(thicker, 'a rail that floats higher', 'a rail that sinks more easily'),
    ...told(shorter, 'fits tighter in the wave, later in', 'in earlier, longer arcs'),
  ].join('; ');
  return {
    name: name.replace(/^./, (c) => c.toUpperCase()),
    trades:
      trades === '' ? 'The plan and the thickness as they are.' : `${trades.replace(/^./, (c) => c.toUpperCase())}.`,
  };
}

/**
 * Boards of the same litres made by solving real geometry: the plan held, up to 3 in shorter, and narrower by 3 %. Each is named by what came
 * out against the board it starts from; one that would be another board, by more than 3/4 in of width or 1/4 in of thickness, or that
 * comes out as one before it, is left out, and so is one that cannot be built.
 */
export function equalLitreBoards(board: Board, litres_L: number): EqualBoard[] {
  const out: EqualBoard[] = [];
  const add = (from: Board, held: Parameters<typeof scaledToLitres>[2]): boolean => {
    // Shorter or narrower two marks can meet, or a block outgrow its tail: then there is no such board.
    if (!boardFrom(from).ok) return false;
    const solved = scaledToLitres(from, litres_L, held);
    if (!solved.ok) return false;
    const made = solved.board;
    const another =
      Math.abs(made.outline.width_mm - board.outline.width_mm) > MOST_WIDER_mm ||
      Math.abs(made.foil.thickness_mm - board.foil.thickness_mm) > MOST_THICKER_mm;
    const told = asCameOut(board, made);
    if (another) return false;
    if (out.every(({ name }) => name !== told.name)) out.push({ ...told, board: made });
    return true;
  };
  add(board, ['outline']);
  // Wider alone where that is enough, else thicker with it.
  SHORTER_mm.some((by) => {
    const shorter = shortened(board, board.length_mm - by);
    return add(shorter, ['length', 'thickness']) || add(shorter, ['length']);
  });
  add(widened(board, -0.03 * board.outline.width_mm), ['outline']);
  return out;
}

/** Shorter, every mark at its distance from its end; lifts less with the length, to the power of a stretch. */
function shortened(board: Board, length_mm: number): Board {
  const k = (length_mm / board.length_mm) ** 1.5;
  const { rocker } = board;
  return {
    ...board,
    length_mm,
    rocker: {
      ...rocker,
      noseLift_mm: rocker.noseLift_mm * k,
      tailLift_mm: rocker.tailLift_mm * k,
      marks: rocker.marks.map((mark) => ({ ...mark, value_mm: mark.value_mm * k })),
    },
  };
}

export interface FamilyFit {
  family: Family;
  fit: 'suits' | 'can' | 'no';
  why: string;
}

/** Which families suit the waves, and why. Common practice, no source. */
export function familiesFor(waves: Waves): FamilyFit[] {
  const weak = waves.power === 'weak' || waves.size === 'kneeToWaist';
  const huge = waves.size === 'wellOverhead';
  const big = huge || waves.size === 'overhead';
  const steep = waves.steepness === 'steep';
  const fits: Readonly<Record<Family, readonly [FamilyFit['fit'], string]>> = {
    shortboard: huge
      ? waves.power === 'powerful'
        ? ['can', 'in a longer step-up only']
        : ['can', 'longer than usual']
      : weak
        ? ['can', 'short, wide and low in the entry']
        : ['suits', 'quick, and curve enough for the face'],
    fish:
      big || steep
        ? ['no', 'its wide tail lets go']
        : weak
          ? ['suits', 'speed and lift where there is none']
          : ['can', 'fast in a line'],
    twin: huge
      ? ['no', 'fast and loose where hold is wanted']
      : big
        ? ['can', 'with a trailer or a narrow tail']
        : ['suits', 'fast and loose'],
    midLength: huge
      ? ['no', 'too much board ahead of the feet']
      : steep
        ? ['can', 'late drops are hard']
        : ['suits', 'gets in early and glides'],
    longboard:
      big || steep
        ? ['no', 'too much nose for steep faces']
        : ['suits', weak ? 'catches everything' : 'trims and walks'],
    gun: huge
      ? ['suits', 'length catches, the pin holds']
      : big && waves.power === 'powerful'
        ? ['can', 'the short end of the guns']
        : ['no', 'it will not go in these'],
  };
  const order = { suits: 0, can: 1, no: 2 } as const;
  return FAMILIES.map((family) => ({ family, fit: fits[family][0], why: fits[family][1] })).sort(
    (a, b) => order[a.fit] - order[b.fit],
  );
}

/** A question to ask gently, and what would be done for each answer. */
export interface Question {
  id: 'abilityAndWish' | 'seldomAndWish' | 'stepDown' | 'lastAndRange';
  words: string;
  answers: { answer: string; then: string }[];
}

/**
 * Where what a rider does, how often they surf, what they ride and what they wish for disagree: a question and what each
 * answer would lead to. It never tells anybody how good they are.
 */
export function gentleQuestions(
  rider: Rider,
  what: Kind | Family,
  wish_L: number | undefined,
  last: LastBoard | undefined,
): Question[] {
  const target = litresFor(rider, what);
  const questions: Question[] = [];
  if (wish_L !== undefined && wish_L < 0.94 * target.low_L) {
    const low = (target.low_L / rider.mass_kg).toFixed(2);
    questions.push({
      id: 'abilityAndWish',
      words: `The wish is ${formatLitres(wish_L)}; riders of ${rider.mass_kg.toFixed(0)} kg who surf like this are usually from ${formatLitres(target.low_L)} (${low} L per kg). On how many waves in ten does the first turn come off?`,
      answers: [
        {
          answer: 'Most of them',
          then: `Go for ${formatLitres(Math.max(wish_L, 0.92 * target.low_L))}, and look at the first sessions together.`,
        },
        {
          answer: 'Some of them',
          then: `Start at ${formatLitres(target.low_L)}: more waves, more turns; the next one can be smaller.`,
        },
      ],
    });
  }
  if (wish_L !== undefined && rider.surfsAWeek < 1 && wish_L < target.target_L) {
    questions.push({
      id: 'seldomAndWish',
      words: `Surfing less than once a week, paddling goes first. Is there a run of surf ahead, or is it mostly weekends?`,
      answers: [
        {
          answer: 'A run of surf',
          then: `${formatLitres(Math.max(wish_L, target.low_L))} will be there when the arms are.`,
        },
        { answer: 'Weekends', then: `${formatLitres(target.target_L)} makes every wave count.` },
      ],
    });
  }
  if (isMeasured(last) && wish_L !== undefined) {
    const step_L = stepOf(last);
    if (last.litres_L - wish_L > step_L) {
      questions.push({
        id: 'stepDown',
        words: `${formatLitres(wish_L)} is ${formatLitres(last.litres_L - wish_L)} under ${last.name}, more than the ${formatLitres(step_L)} of one step of 6 in. In one go or in two boards?`,
        answers: [
          { answer: 'In two', then: `First ${formatLitres(last.litres_L - step_L)}, then the wish.` },
          { answer: 'In one', then: `${formatLitres(wish_L)}, knowing that the first weeks will be hard.` },
        ],
      });
    }
  }
  if (last && wish_L === undefined && (last.litres_L < 0.9 * target.low_L || last.litres_L > 1.12 * target.high_L)) {
    const more = last.litres_L > target.high_L;
    questions.push({
      id: 'lastAndRange',
      words: `${last.name} has ${formatLitres(last.litres_L)}, ${more ? 'more' : 'less'} than the ${formatLitres(target.low_L)} to ${formatLitres(target.high_L)} usual here. Does it feel ${more ? 'corky' : 'slow to catch'}, or just right?`,
      answers: [
        {
          answer: more ? 'Corky' : 'Slow to catch',
          then: `Step toward ${formatLitres(target.target_L)}, not further than 6 in takes at once.`,
        },
        { answer: 'Just right', then: `Stay near ${formatLitres(last.litres_L)}: the sum knows less than the rider.` },
      ],
    });
  }
  return questions;
}
