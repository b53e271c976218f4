import type { Board, Family } from '../document/schema.ts';
import { FAMILIES } from '../document/schema.ts';
import { boardFrom } from '../shape/issues.ts';
import { shapeOf } from '../shape/shape.ts';
import { scaledToLitres } from '../edit/litres.ts';
import { stretched } from '../edit/size.ts';
import { volume_L } from '../measure/volume.ts';
import { models } from '../models/models.ts';
import type { Schools } from './schools.ts';
import { formatLength, formatLitres, type LengthStyle } from '../units/format.ts';
import { INCH_mm } from '../units/length.ts';
import { LITRES_PER_KG, litresFor, type LitresTarget } from './litres.ts';
import type { Rider, Waves } from './rider.ts';

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

/** What a step of 6 in takes in litres from a board. */
const stepOf = (last: MeasuredLast): number => (last.litres_L * STEP_mm) / last.length_mm;

/** What a step of 6 in takes in litres: length to the first power of a board whose litres grow about as its length. */
const STEP_mm = 6 * INCH_mm;

/** One school's answer, with its sum. */
export interface Sized extends LitresTarget {
  school: Schools['sizing'];
  /** The length it comes with, where the school starts from one. */
  length_mm?: number;
}

/**
 * Litres by the school that steps from the last board: toward the range of the rider's ability, but never by more than a step
 * of 6 in takes in litres. Common practice: about 6 in of length at a time.
 */
export function steppedLitres(rider: Rider, family: Family, last: MeasuredLast): Sized {
  const perKilo = litresFor(rider, family);
  const step_L = stepOf(last);
  const wanted = Math.min(Math.max(last.litres_L, perKilo.low_L), perKilo.high_L);
  const target_L = Math.min(last.litres_L + step_L, Math.max(last.litres_L - step_L, wanted));
  const change = target_L - last.litres_L;
  const spread = step_L / 3;
  return {
    ...perKilo,
    school: 'stepFromLast',
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

/** Usual lengths for the wave, inches, by how big and how powerful. Guns: common practice; the rest our own starting figures. */
function lengthForWave_in(rider: Rider, waves: Waves, family: Family): number {
  const heavier = (rider.mass_kg - 76) / 6;
  const byFamily: Readonly<Record<Family, number>> = {
    shortboard: 71,
    twin: 69,
    fish: 66,
    midLength: 86,
    longboard: 110,
    gun: 98,
  };
  if (family === 'gun') {
    const base = waves.size === 'wellOverhead' ? (waves.power === 'powerful' ? 116 : 102) : 99;
    return base + heavier;
  }
  const size = { kneeToWaist: -3, waistToHead: 0, overhead: 4, wellOverhead: 9 }[waves.size];
  const power = { weak: -1, medium: 0, powerful: 1.5 }[waves.power];
  return byFamily[family] + size + power + 1.2 * heavier;
}

/** Litres by the school of length for the wave: the family's model nearest that length, stretched to it, has its litres. */
export function wavedLitres(rider: Rider, waves: Waves, family: Family, style: LengthStyle): Sized {
  const length_mm = Math.round(lengthForWave_in(rider, waves, family)) * INCH_mm;
  const [model] = models()
    .filter((board) => board.family === family)
    .sort((a, b) => Math.abs(a.length_mm - length_mm) - Math.abs(b.length_mm - length_mm));
  const target_L = volume_L(shapeOf(stretched(model, length_mm)));
  const perKilo = litresFor(rider, family);
  return {
    ...perKilo,
    school: 'lengthForWave',
    length_mm,
    target_L,
    low_L: 0.94 * target_L,
    high_L: 1.06 * target_L,
    factors: [],
    sentence: `These waves and ${rider.mass_kg.toFixed(0)} kg ask for about ${formatLength(length_mm, style, { feet: true })}; ${model.name} at that length has ${formatLitres(target_L)}.`,
  };
}

/** All three schools' answers, the shop's own first. A school that lacks what it starts from is left out. */
export function sizedBySchools(
  rider: Rider,
  waves: Waves,
  family: Family,
  last: LastBoard | undefined,
  schools: Pick<Schools, 'sizing'>,
  style: LengthStyle,
): Sized[] {
  const all: Sized[] = [
    { ...litresFor({ ...rider, waves }, family), school: 'litresPerKilo' },
    ...(isMeasured(last) ? [steppedLitres({ ...rider, waves }, family, last)] : []),
    wavedLitres(rider, waves, family, style),
  ];
  return all.sort((a, b) => Number(b.school === schools.sizing) - Number(a.school === schools.sizing));
}

/** One of a row of boards of equal litres, and what it trades. */
export interface EqualBoard {
  name: string;
  board: Board;
  trades: string;
}

const SHORTER_mm = 3 * INCH_mm;

/**
 * Boards of the same litres made by solving real geometry: the same outline, 3 in shorter and so much wider, narrower and
 * so much thicker. Fewer where one cannot be built.
 */
export function equalLitreBoards(board: Board, litres_L: number): EqualBoard[] {
  const out: EqualBoard[] = [];
  const add = (name: string, trades: string, from: Board, held: Parameters<typeof scaledToLitres>[2]) => {
    // Shorter or narrower two marks can meet, or a block outgrow its tail: then there is no such board.
    if (!boardFrom(from).ok) return;
    const solved = scaledToLitres(from, litres_L, held);
    if (solved.ok) out.push({ name, trades, board: solved.board });
  };
  add('Same outline', 'The plan as it is; only the thickness meets the litres.', board, ['outline']);
  add(
    'Shorter and wider',
    'Fast down the line and early to plane; slower from rail to rail.',
    shortened(board, board.length_mm - SHORTER_mm),
    ['length', 'thickness'],
  );
  const k = 0.97;
  const narrower: Board = {
    ...board,
    outline: {
      ...board.outline,
      width_mm: board.outline.width_mm * k,
      marks: board.outline.marks.map((mark) => ({ ...mark, value_mm: mark.value_mm * k })),
      tail: { ...board.outline.tail, block_mm: board.outline.tail.block_mm * k },
    },
  };
  add('Narrower and thicker', 'Quick from rail to rail; less speed across the water.', narrower, ['outline']);
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
  family: Family,
  wish_L: number | undefined,
  last: LastBoard | undefined,
): Question[] {
  const target = litresFor(rider, family);
  const questions: Question[] = [];
  if (wish_L !== undefined && wish_L < 0.94 * target.low_L) {
    const [low] = LITRES_PER_KG[rider.ability];
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
