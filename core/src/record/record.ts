import * as z from 'zod';
import { nameOf } from '../document/naming.ts';
import { migrated } from '../shape/migrations.ts';
import { sizeRunSchema } from '../edit/sizeRun.ts';
import { glassSchema } from '../make/glass.ts';
import { bandPlanSchema } from '../make/railBands.ts';
import { readingsSchema } from '../make/measuringSheet.ts';
import { daySchema } from '../make/workingDays.ts';
import { answerSchema } from '../rider/answer.ts';
import { briefSchema } from '../rider/brief.ts';
import { KINDS } from '../rider/kinds.ts';
import { boardSchema, finsSchema } from '../document/schema.ts';
import { cardSchema } from './cardSchema.ts';
import { failureSchema, MOST_FAILURES, rideSchema } from './ride.ts';

/** How a version came to be. */
const VERSION_HOWS = ['made', 'ridden', 'change', 'back', 'cut', 'order'] as const;
export type VersionHow = (typeof VERSION_HOWS)[number];

/** So many versions one board can have. */
export const MOST_VERSIONS = 200;

/** The board as it was once, whole; never written over. */
const version = z.strictObject({
  id: z.string().min(1).max(64),
  /** Counts a board's versions from 1. */
  no: z.number().int().min(1).max(9999),
  /** The shop's own day. */
  on: daySchema,
  board: boardSchema,
  how: z.enum(VERSION_HOWS),
  /** What the core drew of it when it was made. */
  card: cardSchema.optional(),
  /** Why, in words. */
  why: z.string().max(400),
  /** The version it was drawn from. */
  from: z.string().max(64).optional(),
  /** A winner is kept as it is, with what it weighed and how it felt to bend and to ride. */
  frozen: z
    .strictObject({
      on: daySchema,
      mass_kg: z.number().min(0.5).max(30).optional(),
      flex: z.string().max(200).optional(),
      fins: z.string().max(200).optional(),
    })
    .optional(),
});
export type Version = z.infer<typeof version>;

/** What a board can be to the one it comes from. */
const PARENT_KINDS = ['copy', 'next', 'size', 'branch', 'front', 'back', 'softened', 'lessons'] as const;
export type ParentKind = (typeof PARENT_KINDS)[number];

/** So many boards one can come from: what is taken into it later among them. */
export const MOST_PARENTS = 12;

/** A board this one comes from; its name stays when it is thrown away. */
const parent = z.strictObject({
  kind: z.enum(PARENT_KINDS),
  id: z.string().min(1).max(64),
  name: z.string().max(90),
  version: z.string().max(64).optional(),
});
export type Parent = z.infer<typeof parent>;

/** Where an order stands on the line: at which of the shop's stages, and when it left it. */
const order = z.strictObject({ stage: z.string().min(1).max(40), on: daySchema, doneOn: daySchema.optional() });

/** What was measured on the board that was made, and the board fitted to it. The design stays as it was. */
const shaped = z.strictObject({
  on: daySchema,
  readings: readingsSchema,
  board: boardSchema.optional(),
  mass_kg: z.number().min(0.5).max(30).optional(),
});

/** So many fin layouts one board can have. */
export const MOST_LAYOUTS = 12;

/** Fins as they can stand in the boxes of a board, by a name. */
const finLayout = z.strictObject({
  id: z.string().min(1).max(64),
  name: nameOf(60),
  fins: finsSchema,
});
export type FinLayout = z.infer<typeof finLayout>;

/** How a fin stands in the board. */
export const BOX_KINDS = ['glassedOn', 'longBox', 'twoTab', 'shortBox'] as const;
export type BoxKind = (typeof BOX_KINDS)[number];

/** The box that is cut for fins of one role. */
const cutBox = z.strictObject({
  role: z.enum(['centre', 'front', 'rear']),
  kind: z.enum(BOX_KINDS),
  /** Length of the slot; nothing for a fin that is glassed on. */
  length_mm: z.number().min(0).max(400),
});
export type CutBox = z.infer<typeof cutBox>;

/** Letters a blind trial deals: more boards than that nobody tells apart. */
export const LETTERS = ['A', 'B', 'C', 'D', 'E', 'F'] as const;
export type Letter = (typeof LETTERS)[number];

/** A winner made again in other stuff, ridden by letters; which is which is told after the choice. */
const blindTrial = z.strictObject({
  /** The frozen version they are all made to. */
  version: z.string().max(64),
  on: daySchema,
  variants: z
    .array(z.strictObject({ letter: z.enum(LETTERS), what: z.string().trim().min(1).max(200) }))
    .min(2)
    .max(LETTERS.length),
  /** What was chosen before it was known, when, and why in the rider's words. */
  chosen: z.strictObject({ letter: z.enum(LETTERS), on: daySchema, words: z.string().max(400) }).optional(),
});
export type BlindTrial = z.infer<typeof blindTrial>;
/** So many trials one board can have. */
export const MOST_TRIALS = 20;

/** So many rides one board can have noted: a ride a day for more than five years. */
export const MOST_RIDES = 2000;

/** A board as the shed keeps it: the document, whose it is, and when. The rider is known only by an id. */
export const boardRecordSchema = z.strictObject({
  id: z.string().min(1).max(64),
  /** Counts the shed's boards of one model name, as written after the name. */
  number: z.number().int().min(1).max(99999),
  board: boardSchema,
  riderId: z.string().max(64).nullable(),
  rides: z.array(rideSchema).max(MOST_RIDES),
  /** What kind it is, where the shaper says so; else it is read off the board. */
  kind: z.enum(KINDS).optional(),
  /** What the order asks for. */
  brief: briefSchema.optional(),
  /** Notes answered, by the name of their rule. */
  answers: z.record(z.string().max(60), answerSchema).optional(),
  /** The blank it is cut from, and what goes on it. */
  blankId: z.string().max(64).optional(),
  /** It is cut, and off the shelf. */
  blankCut: z.boolean().optional(),
  glass: glassSchema.optional(),
  /** How its rails are banded; the usual way where it is not there. */
  bands: bandPlanSchema.optional(),
  /** Colours and artwork, in words. */
  colours: z.string().max(300).optional(),
  order: order.optional(),
  /** The sizes it is offered in, when it is a model of the shop. */
  sizes: sizeRunSchema.optional(),
  shaped: shaped.optional(),
  /** What it was, the oldest first; `board` is the one that is worked on. */
  versions: z.array(version).max(MOST_VERSIONS).optional(),
  /** The version that is worked on from. */
  from: z.string().max(64).optional(),
  /** The boards it comes from. */
  parents: z.array(parent).max(MOST_PARENTS).optional(),
  /** Fin layouts kept side by side, and which of them is in the boxes. */
  layouts: z.array(finLayout).max(MOST_LAYOUTS).optional(),
  fitted: z.string().max(64).optional(),
  /** Boxes cut for the fins, by their role. */
  finBoxes: z.array(cutBox).max(3).optional(),
  failures: z.array(failureSchema).max(MOST_FAILURES).optional(),
  trials: z.array(blindTrial).max(MOST_TRIALS).optional(),
  /** The shop's own number on it, counted over all it makes. */
  makersNo: z.number().int().min(1).max(999999).optional(),
  /** A model of the shop: not an order of anybody's. */
  model: z.boolean().optional(),
  /** The board in a few numbers, as it was drawn when it was written last. */
  card: cardSchema.optional(),
  /** The outline is settled: nothing changes it until it is let go. */
  outlineLocked: z.boolean().optional(),
  /** Off the wall, but kept. */
  archived: z.boolean().optional(),
  /** Off the rack since then, ISO 8601 in UTC: in the bin until it is put back or thrown away. */
  binnedAt: z.string().max(40).optional(),
  /** ISO 8601, UTC. */
  createdAt: z.string(),
  updatedAt: z.string(),
});
export type BoardRecord = z.infer<typeof boardRecordSchema>;

/** A record as it was kept, its boards brought up to today's version. */
export function recordMigrated(stored: unknown): unknown {
  const raw: Record<string, unknown> = typeof stored === 'object' && stored !== null ? { ...stored } : {};
  if ('board' in raw) raw.board = migrated(raw.board);
  if (typeof raw.shaped === 'object' && raw.shaped !== null && 'board' in raw.shaped)
    raw.shaped = { ...raw.shaped, board: migrated(raw.shaped.board) };
  if (Array.isArray(raw.versions))
    raw.versions = raw.versions.map((entry: unknown) =>
      typeof entry === 'object' && entry !== null && 'board' in entry
        ? { ...entry, board: migrated(entry.board) }
        : entry,
    );
  return raw;
}

/** A record as it was kept: its boards brought up to today's version first. Undefined for what cannot be read. */
export function boardRecordFrom(stored: unknown): BoardRecord | undefined {
  const read = boardRecordSchema.safeParse(recordMigrated(stored));
  return read.success ? read.data : undefined;
}
