import type { Board } from '../document/schema.ts';
import { replacedBetween } from '../edit/changes.ts';
import type { Day } from '../make/workingDays.ts';
import { cardFor } from './card.ts';
import { layoutOf, layoutsOf } from './finLayouts.ts';
import {
  type BoardRecord,
  MOST_PARENTS,
  MOST_VERSIONS,
  type Parent,
  type ParentKind,
  type Version,
  type VersionHow,
} from './record.ts';

/** What a new version is given: core knows no clock and makes no names of its own. */
export interface Making {
  id: string;
  on: Day;
  how: VersionHow;
  why: string;
}

const MOST_WORDS = 400;

/** A board's versions, the oldest first. */
export const versionsOf = ({ versions = [] }: BoardRecord): readonly Version[] => versions;

/** The version that is worked on from; none before the first is made. */
function workedFrom(record: BoardRecord): Version | undefined {
  return versionsOf(record).find(({ id }) => id === record.from);
}

/** Whether the board that is worked on is another than the version it was drawn from; so it is before there is any. */
export function workingDiffers(record: BoardRecord): boolean {
  const from = workedFrom(record);
  return !from || replacedBetween(drawn(from.board), drawn(record.board)).length > 0;
}

/** A board without its name and notes: they are what is said of it, not what it is. */
const drawn = (board: Board): Board => ({ ...board, name: '', notes: '' });

/**
 * The board that is worked on made into a version of its own, read-only from then on. A board that is its version already
 * stays as it is.
 * @throws RangeError when there are as many as one board can have.
 */
export function versionMade(record: BoardRecord, { id, on, how, why }: Making): BoardRecord {
  if (!workingDiffers(record)) return record;
  const versions = versionsOf(record);
  if (versions.length >= MOST_VERSIONS)
    throw new RangeError(`${MOST_VERSIONS} versions are made, as many as one board can have`);
  const made: Version = {
    id,
    no: Math.max(0, ...versions.map(({ no }) => no)) + 1,
    on,
    board: record.board,
    card: cardFor(record.board, record.card),
    how,
    why: why.slice(0, MOST_WORDS),
    ...(record.from === undefined ? {} : { from: record.from }),
  };
  return { ...record, versions: [...versions, made], from: id };
}

/**
 * One change taken: the board as it was ridden stays as a version, and the changed one is the next.
 * @param ridden how the board as it is now is kept, where it is no version yet.
 */
export function withChangeTaken(record: BoardRecord, board: Board, ridden: Making, next: Making): BoardRecord {
  const { name, notes } = record.board;
  return versionMade({ ...versionMade(record, ridden), board: { ...board, name, notes } }, next);
}

/**
 * Worked on from a version again. What was worked on until now is made a version first, where it is none: nothing is lost.
 * @throws RangeError when there is no such version.
 */
export function atVersion(record: BoardRecord, id: string, kept: Making): BoardRecord {
  const to = versionsOf(record).find((entry) => entry.id === id);
  if (!to) throw new RangeError('this board has no such version');
  const { name, notes } = record.board;
  // The fins go back too: to the layout they belong to, so that no layout is written over.
  const { fitted: _before, card: _card, ...back } = versionMade(record, kept);
  const layout = layoutOf(record, to.board.fins);
  return {
    ...back,
    ...(record.layouts ? { layouts: [...layoutsOf(record)] } : {}),
    ...(layout ? { fitted: layout.id } : {}),
    board: { ...to.board, name, notes },
    from: id,
    ...(to.card ? { card: to.card } : {}),
  };
}

/** A version kept as a winner, or let go again with nothing. */
export function withFrozen(record: BoardRecord, id: string, frozen: Version['frozen']): BoardRecord {
  const versions = versionsOf(record).map((entry) => {
    if (entry.id !== id) return entry;
    const { frozen: _before, ...rest } = entry;
    return frozen ? { ...rest, frozen } : rest;
  });
  return { ...record, versions };
}

/** The version the foam was cut to, the last where it was cut more than once; none before it is. */
export function cutVersion(record: BoardRecord): Version | undefined {
  return versionsOf(record).findLast(({ how }) => how === 'cut');
}

/** A board as the parent of another. */
export function parentOf(record: BoardRecord, kind: ParentKind, version?: string): Parent {
  return {
    kind,
    id: record.id,
    name: `${record.board.name} ${record.number}`,
    ...(version === undefined ? {} : { version }),
  };
}

/** One more board this one comes from; a parent of the same kind that is there already is named anew. */
export function withParent(record: BoardRecord, parent: Parent): BoardRecord {
  const others = (record.parents ?? []).filter(({ kind, id }) => kind !== parent.kind || id !== parent.id);
  // Half a board has one parent: another front half takes the place of the one before.
  const left = HALVES.has(parent.kind) ? others.filter(({ kind }) => kind !== parent.kind) : others;
  return { ...record, parents: [...left, parent].slice(-MOST_PARENTS) };
}

const HALVES: ReadonlySet<ParentKind> = new Set(['front', 'back']);
