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

/** A zip is no larger, and what is in it no larger and no more than a shed's. */
const MOST = { packed: 2e9, manifest: 6e7, board: 2e7, list: 1e8, photo: 2e7, files: 200_000 } as const;
/** Texts pack to about a tenth, pictures not at all: what says it unpacks to many times more is no back-up. */
const MOST_TIMES_PACKED = { texts: 200, photos: 3 } as const;

const no = (reason: string): BackupRead & { ok: false } => ({ ok: false, reason });

/** The files of a zip that are asked for, each once and only where it is no larger than is said. @throws Error where the zip is spoilt. */
function filesOf(zip: Uint8Array, most: (name: string) => number | undefined): Record<string, Uint8Array> {
  const seen = new Set<string>();
  let count = 0;
  return unzipSync(zip, {
    filter: ({ name, originalSize }) => {
      if (++count > MOST.files) throw new Error('too many files');
      if (seen.has(name) || originalSize > (most(name) ?? -1)) return false;
      seen.add(name);
      return true;
    },
  });
}

const LIST = /^(riders|blanks|settings)\.json$/;
const mostOf = ({ path, photo }: Manifest['files'][number]): number =>
  photo ? MOST.photo : LIST.test(path) ? MOST.list : MOST.board;

/** Does the manifest tell of more than a shed holds, or of more than the zip can? */
function isTooLarge({ files }: Manifest, zip: Uint8Array): boolean {
  const sum = (isPhoto: boolean) =>
    files.reduce((all, { photo, bytes }) => all + ((photo !== undefined) === isPhoto ? bytes : 0), 0);
  return (
    files.length > MOST.files ||
    files.some((file) => file.bytes > mostOf(file)) ||
    sum(false) > MOST_TIMES_PACKED.texts * zip.length ||
    sum(true) > MOST_TIMES_PACKED.photos * zip.length
  );
}

/**
 * A back-up read again: whole, each file as its manifest says, or not at all. Never throws. The manifest is read first; only what it names
 * is unpacked, and no more of it than it says.
 * @param tell is told how much of it is read, 0 to 1.
 */
export function readBackup(zip: Uint8Array, tell: (share: number) => void = () => undefined): BackupRead {
  if (zip.length === 0) return no('The file is empty.');
  if (zip[0] !== 0x50 || zip[1] !== 0x4b) return no('It is no zip: a back-up of June Tide is one.');
  if (zip.length > MOST.packed) return no('It is larger than any back-up.');
  try {
    const listed = filesOf(zip, (name) => (name === MANIFEST ? MOST.manifest : undefined));
    if (!Object.hasOwn(listed, MANIFEST)) return no('It is a zip, and no back-up of June Tide: it has no manifest.');
    const manifest = manifestSchema.safeParse(jsonOf(listed[MANIFEST]));
    if (!manifest.success) return no('Its manifest cannot be read: it is no back-up of June Tide, or it is spoilt.');
    const { data } = manifest;
    if (data.version > VERSION) return no('It was made by a newer June Tide: update this one, then open it again.');
    if (isTooLarge(data, zip)) return no('What it says is packed in it is larger than any back-up.');
    const told = new Map(data.files.map(({ path, bytes }) => [path, bytes]));
    const files = filesOf(zip, (name) => told.get(name));
    for (const [i, { path, bytes, sha256: hash }] of data.files.entries()) {
      const content = Object.hasOwn(files, path) ? files[path] : undefined;
      if (!content) return no(`${path} is missing in it, or larger than it should be: the back-up is not whole.`);
      if (content.length !== bytes || hashed(content) !== hash) {
        return no(`${path} is not as it was written: the back-up is spoilt.`);
      }
      tell((i + 1) / data.files.length);
    }
    return rowsOf(data, files);
  } catch {
    return no('The zip is cut off or spoilt: it cannot be unpacked whole.');
  }
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
    const list = LIST.exec(path)?.[1] as keyof typeof lists | undefined;
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
