import { randomUUID } from 'node:crypto';
import { readFile, rename, rm, writeFile } from 'node:fs/promises';
import type { Board } from '@june-tide/core/document';
import { readBoardFile, writeBoardFile } from '@june-tide/core/files';

/** Something to tell the person, in plain words. */
export class Told extends Error {}

/** @throws Told when the file cannot be read. */
export async function readText(file: string): Promise<string> {
  try {
    return await readFile(file, 'utf8');
  } catch (cause) {
    throw new Told(`Cannot read ${file}: ${systemWords(cause)}.`, { cause });
  }
}

/** @throws Told when the file cannot be read or is not a board. */
export async function readBoard(file: string): Promise<Board> {
  const text = await readText(file);
  const read = readBoardFile(text);
  if (read.ok) return read.board;
  const more = read.issues.slice(0, 12).map((issue) => `\n  ${issue.path}: ${issue.words}`);
  throw new Told(`${file}: ${read.reason}${more.join('')}`);
}

export async function writeBoard(file: string, board: Board): Promise<void> {
  await saveWhole(file, writeBoardFile(board));
}

/** Writes beside the file and renames, so that a file is whole or not there. */
export async function saveWhole(file: string, content: string | Uint8Array): Promise<void> {
  const beside = `${file}.${randomUUID()}.part`;
  try {
    await writeFile(beside, content);
    await rename(beside, file);
  } catch (cause) {
    await rm(beside, { force: true });
    throw new Told(`Cannot write ${file}: ${systemWords(cause)}.`, { cause });
  }
}

function systemWords(cause: unknown): string {
  const code = cause instanceof Error && 'code' in cause ? String(cause.code) : '';
  const known: Record<string, string> = {
    ENOENT: 'there is no such file or folder',
    EACCES: 'it may not be opened',
    EISDIR: 'it is a folder',
    ENOSPC: 'the disk is full',
  };
  return known[code] ?? (cause instanceof Error ? cause.message : String(cause));
}
