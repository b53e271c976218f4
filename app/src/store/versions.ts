import type { Board } from '@june-tide/core/document';
import {
  atVersion,
  type BoardFailure,
  type BoardRecord,
  type Letter,
  MOST_VERSIONS,
  type Parent,
  parentOf,
  type Ride,
  type Version,
  versionMade,
  versionsOf,
  withChangeTaken,
  withFrozen,
  withoutTrial,
  withParent,
  withTrialChosen,
  withTrialDealt,
} from '@june-tide/core/record';
import { addBoard, edit } from './records.ts';
import { type EditResult, entryOf, refused, useShed } from './shedState.ts';
import { today } from './today.ts';

/** Versions of a board of the rack: each step can be undone like any other. */

const making = (how: Version['how'], why: string) => ({ id: crypto.randomUUID(), on: today(), how, why });

/** How many versions a step may still make; a board has room for those that are made on purpose before all. */
const room = (record: BoardRecord): number => MOST_VERSIONS - versionsOf(record).length;
const FULL = refused(
  'full',
  `this board has ${MOST_VERSIONS} versions, as many as there may be: branch a new board off`,
);

/** The board as it stands kept as a version along with something else that is done to it; without one where there is no room. */
const kept = (record: BoardRecord, how: Version['how'], why: string): BoardRecord =>
  room(record) > 0 ? versionMade(record, making(how, why)) : record;

function editWithRoom(
  id: string,
  name: string,
  wanted: number,
  change: (record: BoardRecord) => BoardRecord,
): EditResult {
  const record = entryOf(useShed.getState().records, id);
  return record && room(record) < wanted ? FULL : edit(id, name, change);
}

/** The board as it stands made a version of its own, with a reason. */
export const makeVersion = (id: string, why: string): EditResult =>
  editWithRoom(id, 'a version made', 1, (record) => versionMade(record, making('made', why)));

/** One change taken after a ride: what was ridden stays, the changed board is the next version. */
export const takeChange = (id: string, board: Board, why: string): EditResult =>
  editWithRoom(id, 'a change taken', 2, (record) =>
    withChangeTaken(record, board, making('ridden', 'as it was ridden'), making('change', why)),
  );

/** Works on from a version again; what was worked on is made a version first. */
export const goBackTo = (id: string, version: Version): EditResult =>
  editWithRoom(id, `back to version ${version.no}`, 1, (record) =>
    atVersion(record, version.id, making('back', `as it was before going back to ${version.no}`)),
  );

/** A ride noted of a version, or of the board as it stands: that is made a version then, so that it stays what was ridden. */
export function noteRide(id: string, ride: Omit<Ride, 'version' | 'on'>, version: string | undefined): EditResult {
  return edit(id, 'ride noted', (record) => {
    const ridden = version === undefined ? kept(record, 'ridden', 'as it was ridden') : record;
    const of = version ?? ridden.from;
    return {
      ...ridden,
      rides: [{ ...ride, on: today(), ...(of === undefined ? {} : { version: of }) }, ...record.rides],
    };
  });
}

/**
 * Puts an order at a stage of the line, or on it: what it is sent out as stays as a version. One change that can be undone.
 */
export function toStage(id: string, stage: { id: string; name: string }): EditResult {
  return edit(id, `to ${stage.name}`, (record) => {
    if (record.order?.stage === stage.id && record.order.doneOn === undefined) return record;
    const sent = record.order === undefined || record.order.doneOn !== undefined;
    return {
      ...(sent ? kept(record, 'order', 'it was ordered as this') : record),
      ...(record.makersNo === undefined ? { makersNo: nextMakersNo() } : {}),
      order: { stage: stage.id, on: today() },
    };
  });
}

/** The shop's next number: one more than on any board, in the bin or out. */
function nextMakersNo(): number {
  const { records, bin } = useShed.getState();
  return Math.max(0, ...[...Object.values(records), ...Object.values(bin)].map(({ makersNo = 0 }) => makersNo)) + 1;
}

/** The blank is cut: what it is cut to stays as a version. */
export const cutBlank = (id: string): EditResult =>
  edit(id, 'blank cut', (record) => ({ ...kept(record, 'cut', 'the blank was cut to it'), blankCut: true }));

export function freeze(id: string, version: string, frozen: Omit<NonNullable<Version['frozen']>, 'on'>): EditResult {
  return edit(id, 'a winner kept', (record) => withFrozen(record, version, { ...frozen, on: today() }));
}

export function thaw(id: string, version: string): EditResult {
  return edit(id, 'a winner let go', (record) => withFrozen(record, version, undefined));
}

/**
 * A new board of a board's version: a branch, for nobody yet, or the next board of the same rider.
 * @returns its id; nothing where there is no such board.
 */
export function branchFrom(id: string, version: Version, kind: 'branch' | 'next' = 'branch'): string | undefined {
  const record = entryOf(useShed.getState().records, id);
  if (!record) return undefined;
  const { name, notes } = record.board;
  const riderId = kind === 'next' ? record.riderId : null;
  return addBoard({ ...version.board, name, notes }, riderId, [parentOf(record, kind, version.id)]);
}

/** A part of the board taken from another on the rack: that is a parent from then on, and why is told. */
export function takePart(id: string, name: string, board: Board, of: { id: string; kind: Parent['kind'] }): EditResult {
  const source = entryOf(useShed.getState().records, of.id);
  return edit(id, name, (record) => ({
    ...(source ? withParent(record, parentOf(source, of.kind, source.from)) : record),
    board,
  }));
}

/** The board for ordinary riders drawn from one for an expert: a board of its own, with what was done in its notes. */
export function addSoftened(id: string, board: Board, notes: string): string | undefined {
  const record = entryOf(useShed.getState().records, id);
  return record && addBoard({ ...board, notes }, null, [parentOf(record, 'softened', record.from)]);
}

/** Something that went wrong with the board noted, the latest first. */
export function noteFailure(id: string, failure: Omit<BoardFailure, 'on'>): EditResult {
  return edit(id, 'damage noted', (record) => ({
    ...record,
    failures: [{ ...failure, on: today() }, ...(record.failures ?? [])],
  }));
}

/** A winner's variants dealt their letters. */
export function dealTrial(id: string, version: string, variants: readonly string[]): EditResult {
  return edit(id, 'a blind trial', (record) => withTrialDealt(record, version, today(), variants, drawn));
}

/** A whole number below another, each as likely. */
function drawn(below: number): number {
  const most = 2 ** 32 - (2 ** 32 % below);
  for (;;) {
    const [number] = crypto.getRandomValues(new Uint32Array(1));
    if (number < most) return number % below;
  }
}

export function chooseOfTrial(id: string, index: number, letter: Letter, words: string): EditResult {
  return edit(id, 'a blind choice', (record) => withTrialChosen(record, index, { letter, words, on: today() }));
}

export function dropTrial(id: string, index: number): EditResult {
  return edit(id, 'a trial taken off', (record) => withoutTrial(record, index));
}
