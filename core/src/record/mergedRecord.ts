import { merged, sameData } from '../document/kept.ts';
import { boardFrom } from '../shape/issues.ts';
import type { Day } from '../make/workingDays.ts';
import { type BoardRecord, boardRecordSchema, MOST_VERSIONS, type Version } from './record.ts';
import { versionsOf } from './versions.ts';

/** Why a version is there that nobody made: the board was changed in two places at once, and both are kept. */
export const ELSEWHERE = 'as it was in another window at the same time';

/** What a version is given that is made on the way: core knows no clock and makes no names. */
interface Naming {
  id: string;
  on: Day;
  /** Why it is there; of another window where left out. */
  why?: string;
}

export interface MergedRecord {
  record: BoardRecord;
  /** What both changed, by its path; ours stands there. */
  conflicts: string[];
}

/**
 * A board's record that was changed in two places since `base`: both changes. Where both changed the same of the board, or the two together
 * make no board that can be built, ours stands and theirs is kept whole as a version.
 */
export function mergedRecord(base: BoardRecord, ours: BoardRecord, theirs: BoardRecord, naming: Naming): MergedRecord {
  const conflicts: string[] = [];
  const told = { updatedAt: ours.updatedAt, createdAt: ours.createdAt };
  const both = merged({ ...base, ...told }, { ...ours, ...told }, { ...theirs, ...told }, conflicts);
  const read = boardRecordSchema.safeParse(withOwnNumbers(both as BoardRecord, ours));
  const isBuilt = read.success && boardFrom(read.data.board).ok;
  if (!isBuilt) conflicts.push('board');
  const record = isBuilt ? read.data : { ...ours, versions: [...versionsOf(ours)] };
  const isKept = conflicts.every((path) => !path.startsWith('board')) || sameData(record.board, theirs.board);
  return { record: isKept ? record : withElsewhere(record, theirs, naming), conflicts };
}

/** Two versions made at once bore the same number: ours is counted on. */
function withOwnNumbers(record: BoardRecord, ours: BoardRecord): BoardRecord {
  const versions = versionsOf(record);
  const taken = new Set<number>();
  if (versions.every(({ no }) => !taken.has(no) && taken.add(no))) return record;
  const own = new Set(versionsOf(ours).map(({ id }) => id));
  const counts = new Map<number, number>();
  for (const { no } of versions) counts.set(no, (counts.get(no) ?? 0) + 1);
  let most = Math.max(...versions.map(({ no }) => no));
  const numbered = versions.map((version) => {
    const count = counts.get(version.no) ?? 1;
    if (count < 2 || !own.has(version.id)) return version;
    counts.set(version.no, count - 1);
    return { ...version, no: ++most };
  });
  return { ...record, versions: numbered };
}

/** Theirs as a version; of a run of such only the last, for a drag in two windows meets itself many times. */
function withElsewhere(record: BoardRecord, theirs: BoardRecord, { id, on, why = ELSEWHERE }: Naming): BoardRecord {
  const versions = versionsOf(record);
  const last = versions.at(-1);
  if (versions.some(({ board }) => sameData(board, theirs.board))) return record;
  if (last && why === ELSEWHERE && last.why === why && last.on === on && !last.frozen && record.from !== last.id) {
    return { ...record, versions: [...versions.slice(0, -1), { ...last, board: theirs.board }] };
  }
  if (versions.length >= MOST_VERSIONS) return record;
  const no = Math.max(0, ...versions.map((version) => version.no)) + 1;
  const made: Version = {
    id,
    no,
    on,
    board: theirs.board,
    how: 'made',
    why,
    ...(theirs.from === undefined ? {} : { from: theirs.from }),
  };
  return { ...record, versions: [...versions, made] };
}
