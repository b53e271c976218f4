import * as z from 'zod';
import { nameOf } from '../document/naming.ts';
import { migrated } from '../shape/migrations.ts';
import { boardSchema, finBoxSchema, finTemplateSchema } from '../document/schema.ts';
import { PARTS } from '../edit/take.ts';
import { understood } from '../document/kept.ts';
import { ROCKER_READINGS } from '../measure/rockerReading.ts';
import { schoolsSchema, USUAL_SCHOOLS } from '../rider/schools.ts';
import { MOST_PHOTOS } from './ride.ts';
import { type Paper, PAPERS } from '../make/paper.ts';
import { USUAL_WORKSHOP, workshopSchema } from '../make/workshop.ts';

/** How a shop writes lengths; the three with a fraction by its finest part. */
const LENGTH_STYLES = ['in8', 'in16', 'in32', 'decimal', 'cm', 'mm'] as const;
/** What a shop prints on: a sheet by its name, or a roll of its own width. */
export const PRINTS_ON = [...(Object.keys(PAPERS) as Paper[]), 'roll'] as const;
export type PrintsOn = (typeof PRINTS_ON)[number];

/** A check square of 100 mm can measure so little or so much before it is no printer's fault any more. */
const checkSquare = z.number().min(93).max(108);

/** A part of a board kept by name: with it the board it is of, so that it can be brought to another length by its rule. */
export const MOST_KEPT = 60;
const keptPartSchema = z.strictObject({
  id: z.string().min(1).max(60),
  name: nameOf(60),
  part: z.enum(PARTS),
  board: z.preprocess((stored) => migrated(stored), boardSchema),
});

/** Picture of the shop's, small enough to go onto every paper: PNG as an address of its own data. */
const LOGO = /^data:image\/png;base64,[A-Za-z0-9+/]+=*$/;
export const MOST_LOGO = 300_000;

/** Who the shop is, as papers, the rack and boards bear it. */
const houseSchema = z.strictObject({
  name: nameOf(60),
  /** One line: where it is and how it is reached. */
  address: z.string().max(120),
  logo: z.string().max(MOST_LOGO).regex(LOGO).optional(),
});

/** How a fin is inside, toward the stringer. */
export const INSIDES = ['flat', 'cupped'] as const;

/** So many sets lie in the drawer. */
export const MOST_SETS = 100;

/** Fins the shop has: a set by its name, what each is like, and who has them now. */
const finSetSchema = z.strictObject({
  id: z.string().min(1).max(64),
  name: nameOf(60),
  fins: z
    .array(z.strictObject({ role: finBoxSchema.shape.role, template: finTemplateSchema, inside: z.enum(INSIDES) }))
    .min(1)
    .max(6),
  flex: z.string().max(120),
  /** Who has it; empty where it lies in the drawer. */
  who: z.string().max(80),
  /** Pictures of it, by id. */
  photos: z.array(z.string().max(64)).max(MOST_PHOTOS).optional(),
});
export type FinSet = z.infer<typeof finSetSchema>;

/** The shop's own choices: one schema for what is written and what is read. */
export const settingsSchema = z.strictObject({
  id: z.literal('shop'),
  lengthStyle: z.enum(LENGTH_STYLES),
  massUnit: z.enum(['kg', 'lb']),
  light: z.enum(['day', 'night']),
  paper: z.enum(PRINTS_ON),
  /** Width of the roll, where paper comes from one. */
  roll_mm: z.number().min(250).max(2000),
  /** Sheets of ply or card that templates are cut from, how far pieces lie apart and what the cut takes away. */
  stock: z.strictObject({
    length_mm: z.number().min(200).max(6000),
    width_mm: z.number().min(200).max(3000),
    gap_mm: z.number().min(0).max(100),
    kerf_mm: z.number().min(0).max(20),
  }),
  /** What the check square measured on this printer. */
  printer: z.strictObject({ across_mm: checkSquare, along_mm: checkSquare }),
  /** How a length is said: straight from tip to tip, or by a tape along the bottom. */
  lengthAlong: z.enum(['straight', 'bottom']),
  /** How rocker is read. */
  reading: z.enum(ROCKER_READINGS),
  schools: schoolsSchema,
  /** Stages, days, hours, prices and figures of the shop as a place of work. */
  workshop: workshopSchema,
  /** Parts of boards the shop keeps by a name of its own. */
  library: z.array(keptPartSchema).max(MOST_KEPT),
  house: houseSchema,
  finDrawer: z.array(finSetSchema).max(MOST_SETS),
});
export type KeptPart = z.infer<typeof keptPartSchema>;
export type Settings = z.infer<typeof settingsSchema>;

export const USUAL_SETTINGS: Settings = {
  id: 'shop',
  lengthStyle: 'in16',
  massUnit: 'kg',
  light: 'day',
  paper: 'A4',
  roll_mm: 609.6,
  stock: { length_mm: 2438.4, width_mm: 1219.2, gap_mm: 6, kerf_mm: 0 },
  printer: { across_mm: 100, along_mm: 100 },
  lengthAlong: 'straight',
  reading: 'flat',
  schools: USUAL_SCHOOLS,
  workshop: USUAL_WORKSHOP,
  library: [],
  house: { name: 'Skarn Point', address: '' },
  finDrawer: [],
};

/** Settings as they were kept, each part that cannot be read as usual. Never throws. */
export const settingsFrom = (stored: unknown): Settings => understood(settingsSchema, stored, USUAL_SETTINGS);
