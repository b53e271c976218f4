import { judged } from '@june-tide/core/judge';
import type { BoardRecord } from '@june-tide/core/record';
import type { SchoolQuestion } from '@june-tide/core/rider';
import { caseFor, type Shop, sizesFor, writerFor } from '../../store/derived.ts';

/** So many boards, the latest worked on, are read twice to say what a choice changes. */
const MOST_READ = 12;

/** The boards worked on last, that one first. */
export function latestBoards(records: Shop['records']): BoardRecord[] {
  return Object.values(records)
    .filter(({ archived, binnedAt }) => !archived && binnedAt === undefined)
    .sort((a, b) => b.updatedAt.localeCompare(a.updatedAt))
    .slice(0, MOST_READ);
}

/** What is said of a board: its notes in full, and the litres to aim at. */
function saidOf(record: BoardRecord, shop: Shop): string {
  const [target] = sizesFor(record, shop);
  const notes = judged(caseFor(record, shop, target), writerFor(shop.settings));
  return JSON.stringify([
    target?.low_L,
    target?.high_L,
    notes.map(({ title, words, otherSchool }) => [title, words, otherSchool]),
  ]);
}

/** Names of the latest boards of which something else is said once the shop takes another side; and how many were read. */
export function boardsChanged(shop: Shop, question: SchoolQuestion, answer: string): { names: string[]; read: number } {
  const after: Shop = {
    ...shop,
    settings: { ...shop.settings, schools: { ...shop.settings.schools, [question]: answer } },
  };
  const read = latestBoards(shop.records);
  const changed = read.filter((record) => saidOf(record, shop) !== saidOf(record, after));
  return { names: changed.map(({ board, number }) => `${board.name} ${number}`), read: read.length };
}
