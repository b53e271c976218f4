import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import { strFromU8, strToU8, unzipSync } from 'fflate';
import * as z from 'zod';
import { BOARD_VERSION } from '../document/schema.ts';
import { zipOf } from './zipOf.ts';

/** A picture of the shed, as it is kept: small, and nothing but the picture. */
export interface KeptPhoto {
  id: string;
  boardId: string;
  jpeg: Uint8Array;
}

/** Everything of a shed, as its rows lie in the store: also those that cannot be read. */
export interface ShedRows {
  boards: readonly unknown[];
  riders: readonly unknown[];
  blanks: readonly unknown[];
  settings: readonly unknown[];
  photos: readonly KeptPhoto[];
}

/** The tables a back-up has, each a file of rows. */
export const BACKUP_TABLES = ['boards', 'riders', 'blanks', 'settings'] as const;
export type BackupTable = (typeof BACKUP_TABLES)[number];

const FORMAT = 'june-tide-backup';
const VERSION = 1;

const manifestSchema = z.object({
  format: z.literal(FORMAT),
  version: z.number().int().min(1),
  madeAt: z.string().max(40),
  /** The version of each kind of document in it. */
  schemas: z.object({ board: z.number().int() }),
  files: z.array(
    z.object({
      path: z.string().max(200),
      bytes: z.number().int().min(0),
      sha256: z.string().regex(/^[0-9a-f]{64}$/),
      /** Of a picture: whose it is. */
      photo: z.object({ id: z.string().max(200), boardId: z.string().max(200) }).optional(),
    }),
  ),
});
type Manifest = z.infer<typeof manifestSchema>;
const MANIFEST = 'manifest.json';

const hashed = (content: Uint8Array): string => bytesToHex(sha256(content));
const numbered = (i: number): string => String(i + 1).padStart(5, '0');

/**
 * The whole shed in one zip: a file a board, a file of riders, blanks and settings, a file a picture, and a manifest with the size and the
 * SHA-256 (FIPS 180-4) of each. The same rows at the same time make the same bytes.
 * @param madeAt ISO 8601 in UTC.
 */
export function backupZip(rows: ShedRows, madeAt: string): Uint8Array {
  const json = (path: string, value: unknown): [string, Uint8Array] => [path, strToU8(JSON.stringify(value))];
  const photos = rows.photos.map(({ jpeg, ...photo }, i) => ({ path: `photos/${numbered(i)}.jpg`, jpeg, photo }));
  const files: [string, Uint8Array][] = [
    ...rows.boards.map((row, i) => json(`boards/${numbered(i)}.json`, row)),
    json('riders.json', rows.riders),
    json('blanks.json', rows.blanks),
    json('settings.json', rows.settings),
    ...photos.map(({ path, jpeg }): [string, Uint8Array] => [path, jpeg]),
  ];
  const ofPhoto = new Map(photos.map(({ path, photo }) => [path, photo]));
  const manifest: Manifest = {
    format: FORMAT,
    version: VERSION,
    madeAt,
    schemas: { board: BOARD_VERSION },
    files: files.map(([path, content]) => ({
      path,
      bytes: content.length,
      sha256: hashed(content),
      ...(ofPhoto.has(path) ? { photo: ofPhoto.get(path) } : {}),
    })),
  };
  return zipOf([json(MANIFEST, manifest), ...files]);
}

export type BackupRead = { ok: true; rows: ShedRows; madeAt: string } | { ok: false; reason: string };

/** A zip is no larger, packed and unpacked, and has no more files in it. */
const MOST = { packed: 2e9, unpacked: 4e9, file: 3e8, files: 200_000 } as const;

const no = (reason: string): BackupRead & { ok: false } => ({ ok: false, reason });

/**
 * A back-up read again: whole, each file as its manifest says, or not at all. Never throws. Sizes are looked at before anything is
 * unpacked; files the manifest does not name are passed over.
 */
export function readBackup(zip: Uint8Array): BackupRead {
  if (zip.length === 0) return no('The file is empty.');
  if (zip[0] !== 0x50 || zip[1] !== 0x4b) return no('It is no zip: a back-up of June Tide is one.');
  if (zip.length > MOST.packed) return no('It is larger than any back-up.');
  let files: Record<string, Uint8Array>;
  let tooLarge = false;
  let [whole, count] = [0, 0];
  try {
    files = unzipSync(zip, {
      filter: ({ originalSize }) => {
        whole += originalSize;
        count += 1;
        tooLarge ||= originalSize > MOST.file || whole > MOST.unpacked || count > MOST.files;
        return !tooLarge;
      },
    });
  } catch {
    return no('The zip is cut off or spoilt: it cannot be unpacked whole.');
  }
  if (tooLarge) return no('What is packed in it is larger than any back-up.');
  if (!Object.hasOwn(files, MANIFEST)) return no('It is a zip, and no back-up of June Tide: it has no manifest.');
  const manifest = manifestSchema.safeParse(jsonOf(files[MANIFEST]));
  if (!manifest.success) return no('Its manifest cannot be read: it is no back-up of June Tide, or it is spoilt.');
  const { data } = manifest;
  if (data.version > VERSION) return no('It was made by a newer June Tide: update this one, then open it again.');
  for (const { path, bytes, sha256: told } of data.files) {
    const content = Object.hasOwn(files, path) ? files[path] : undefined;
    if (!content) return no(`${path} is missing in it: the back-up is not whole.`);
    if (content.length !== bytes || hashed(content) !== told) {
      return no(`${path} is not as it was written: the back-up is spoilt.`);
    }
  }
  return rowsOf(data, files);
}

function rowsOf({ files: told, madeAt }: Manifest, files: Record<string, Uint8Array>): BackupRead {
  const boards: unknown[] = [];
  const photos: KeptPhoto[] = [];
  const lists: Record<'riders' | 'blanks' | 'settings', unknown[]> = { riders: [], blanks: [], settings: [] };
  for (const { path, photo } of told) {
    if (photo) {
      photos.push({ ...photo, jpeg: files[path] });
      continue;
    }
    const value = jsonOf(files[path]);
    if (value === undefined) return no(`${path} is no JSON: the back-up is spoilt.`);
    const list = /^(riders|blanks|settings)\.json$/.exec(path)?.[1] as keyof typeof lists | undefined;
    if (list === undefined) boards.push(value);
    else if (Array.isArray(value)) lists[list] = value;
    else return no(`${path} is no list: the back-up is spoilt.`);
  }
  return { ok: true, rows: { boards, ...lists, photos }, madeAt };
}

function jsonOf(content: Uint8Array): unknown {
  try {
    return JSON.parse(strFromU8(content));
  } catch {
    return undefined;
  }
}
