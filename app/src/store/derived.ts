import type { Board, Family } from '@june-tide/core/document';
import { type Case, type Writer, writerOf } from '@june-tide/core/judge';
import {
  type Blank,
  CLOTH,
  type Cloth,
  type Day,
  daySchema,
  type Foam,
  type Laminated,
  laminated,
  type Pace,
  type Standing,
  standing,
  USUAL_SCHEDULE,
  type Workshop,
} from '@june-tide/core/make';
import { Facts, measure, type Measures } from '@june-tide/core/measure';
import { type BoardRecord, type Settings, versionsOf, workingDiffers } from '@june-tide/core/record';
import {
  type Kind,
  kindOf,
  type LastBoard,
  type LitresTarget,
  type Rider,
  type Sized,
  sizedBySchools,
  type Waves,
} from '@june-tide/core/rider';
import { type Shape, shapeOf } from '@june-tide/core/shape';
import type { LengthStyle } from '@june-tide/core/units';
import { entryOf } from './shedState.ts';

const shapes = new WeakMap<Board, Shape>();
const measured = new WeakMap<Shape, Measures>();
/** The last shape made of each thing that is being changed, the latest last. */
const latest = new Map<string, Shape>();
const MOST_LATEST = 24;

/**
 * The sprung shape of a board, made once. `of` names what it is a state of (a record's id): curves that did not change are
 * taken from the last state of the same thing, whatever else was drawn in between.
 */
export function shapeFor(board: Board, of?: string): Shape {
  const shape = shapes.get(board) ?? shapeOf(board, of === undefined ? undefined : latest.get(of));
  shapes.set(board, shape);
  if (of !== undefined) {
    latest.delete(of);
    latest.set(of, shape);
    const [oldest] = latest.keys();
    if (latest.size > MOST_LATEST && oldest !== undefined) latest.delete(oldest);
  }
  return shape;
}

export function measuresFor(board: Board, of?: string): Measures {
  const shape = shapeFor(board, of);
  let numbers = measured.get(shape);
  if (!numbers) {
    numbers = measure(shape);
    measured.set(shape, numbers);
  }
  return numbers;
}

const STYLES: Readonly<Record<Settings['lengthStyle'], LengthStyle>> = {
  in8: { kind: 'fraction', denominator: 8 },
  in16: { kind: 'fraction', denominator: 16 },
  in32: { kind: 'fraction', denominator: 32 },
  decimal: { kind: 'decimal', places: 2 },
  cm: { kind: 'cm' },
  mm: { kind: 'mm' },
};

export function styleOf(settings: Settings): LengthStyle {
  return STYLES[settings.lengthStyle];
}

/** Facts of one shape, made once for each height of rider. */
const facts = new WeakMap<Shape, Map<number | undefined, Facts>>();

export function factsFor(board: Board, height_mm?: number, of?: string): Facts {
  const shape = shapeFor(board, of);
  const known = facts.get(shape) ?? new Map<number | undefined, Facts>();
  facts.set(shape, known);
  let made = known.get(height_mm);
  if (!made) {
    made = new Facts(shape, height_mm);
    known.set(height_mm, made);
  }
  return made;
}

/** What of the shed a judgement is made from. */
export interface Shop {
  records: Readonly<Record<string, BoardRecord>>;
  riders: Readonly<Record<string, Rider>>;
  settings: Settings;
  shelf: readonly Blank[];
}

/** Boards listed once for each state of the rack: thousands of them are gone through at every move of a drag. */
const lists = new WeakMap<Shop['records'], readonly BoardRecord[]>();

function listOf(records: Shop['records']): readonly BoardRecord[] {
  let list = lists.get(records);
  if (!list) {
    list = Object.values(records);
    lists.set(records, list);
  }
  return list;
}

/** What of a record its order hangs on, and none of its lines: a drag leaves it alone. Any record is one. */
export interface OrderOf extends Pick<BoardRecord, 'id' | 'riderId' | 'createdAt'> {
  kind?: Kind | undefined;
  brief?: BoardRecord['brief'] | undefined;
  board: Pick<Board, 'family'>;
}

/** The waves of an order: its brief’s, or else the rider’s usual ones. */
export function wavesOf(record: Pick<OrderOf, 'brief' | 'riderId'>, riders: Shop['riders']): Waves | undefined {
  return record.brief?.waves ?? riderOf(record, riders)?.waves;
}

function riderOf(record: Pick<BoardRecord, 'riderId'>, riders: Shop['riders']): Rider | undefined {
  return entryOf(riders, record.riderId);
}

/** The board on the rack an order is judged against: the one its brief names, or else the rider’s latest other one, of the same family first. */
export function lastRecord(record: OrderOf, records: Shop['records']): BoardRecord | undefined {
  const named = record.brief?.againstId;
  if (named !== undefined) return entryOf(records, named);
  if (record.riderId === null) return undefined;
  const ofFamily = (other: BoardRecord) => Number(other.board.family === record.board.family);
  let latest: BoardRecord | undefined;
  for (const other of listOf(records)) {
    if (other.riderId !== record.riderId || other.id === record.id || other.createdAt >= record.createdAt) continue;
    const nearer = latest === undefined ? 1 : ofFamily(other) - ofFamily(latest);
    if (nearer > 0 || (nearer === 0 && other.createdAt > latest!.createdAt)) latest = other;
  }
  return latest;
}

/** The board the rider comes from: of the rack, or what they say of one. */
export function lastBoardOf(
  record: OrderOf,
  { records, riders }: Pick<Shop, 'records' | 'riders'>,
): LastBoard | undefined {
  const last = lastRecord(record, records);
  if (last) {
    const { board } = last;
    return {
      name: `${board.name} ${last.number}`,
      length_mm: board.length_mm,
      litres_L: measuresFor(board).volume_L,
      family: board.family,
    };
  }
  const told = riderOf(record, riders)?.boards[0];
  if (!told?.litres_L) return undefined;
  return {
    name: told.name,
    litres_L: told.litres_L,
    ...(told.length_mm === undefined ? {} : { length_mm: told.length_mm }),
  };
}

/** Litres for an order by all three schools, the shop’s own first; empty without a rider. */
export function sizesFor(order: OrderOf, shop: Shop): Sized[] {
  const rider = riderOf(order, shop.riders);
  const waves = wavesOf(order, shop.riders);
  if (!rider || !waves) return [];
  const { schools } = shop.settings;
  return sizedBySchools(
    rider,
    waves,
    order.kind ?? order.board.family,
    lastBoardOf(order, shop),
    schools,
    styleOf(shop.settings),
  );
}

/** What kind a board is: as the shaper says, or read off it. */
export function kindFor(record: Pick<BoardRecord, 'id' | 'kind' | 'board' | 'riderId'>, riders: Shop['riders']): Kind {
  const rider = riderOf(record, riders);
  return record.kind ?? kindOf(factsFor(record.board, rider?.height_mm, record.id), rider?.mass_kg);
}

/** So many of the shop's latest boards of a family say what is usual in it. */
const MOST_OWN = 12;
const owns = new Map<Family, { boards: Board[]; facts: Facts[] }>();

/** The shop's other boards of the family, the latest first: read once for as long as they are the same. */
function ownFacts({ id, board }: OrderOf, records: Shop['records']): readonly Facts[] {
  // The latest few are kept in order while the list is gone through once: it is never sorted whole.
  const newest: BoardRecord[] = [];
  for (const other of listOf(records)) {
    if (other.id === id || other.board.family !== board.family || other.binnedAt !== undefined) continue;
    if (newest.length === MOST_OWN && other.createdAt <= newest.at(-1)!.createdAt) continue;
    const before = newest.findIndex(({ createdAt }) => createdAt < other.createdAt);
    newest.splice(before < 0 ? newest.length : before, 0, other);
    if (newest.length > MOST_OWN) newest.pop();
  }
  const boards = newest.map((other) => other.board);
  const known = owns.get(board.family);
  if (known && known.boards.length === boards.length && known.boards.every((entry, i) => entry === boards[i]))
    return known.facts;
  const facts = boards.map((entry) => factsFor(entry));
  owns.set(board.family, { boards, facts });
  return facts;
}

/** Other boards of the rack that a judgement reads: the one it is held against, and what is usual in the shop. */
export interface Beside {
  last: BoardRecord | undefined;
  own: readonly Facts[];
}

export const besideOf = (order: OrderOf, records: Shop['records']): Beside => ({
  last: lastRecord(order, records),
  own: ownFacts(order, records),
});

/** The version a board is worked on from, where that one was ridden and the board is another by now: it is what the rider had under the feet. */
function riddenBefore(record: BoardRecord): { board: Board; name: string } | undefined {
  const { from, rides } = record;
  if (from === undefined || !rides.some(({ version }) => version === from) || !workingDiffers(record)) return undefined;
  const version = versionsOf(record).find(({ id }) => id === from);
  return version && { board: version.board, name: `version ${version.no}` };
}

/**
 * Everything a judgement of a board is made from. It is held against `over`, the board laid over, where there is one; else against the
 * version that was ridden before it; else against the rider's last board.
 */
export function caseFor(
  record: BoardRecord,
  shop: Shop,
  target: LitresTarget | undefined,
  over?: { board: Board; name: string },
  { last, own }: Beside = besideOf(record, shop.records),
): Case {
  const rider = riderOf(record, shop.riders);
  const against =
    over ?? riddenBefore(record) ?? (last && { board: last.board, name: `${last.board.name} ${last.number}` });
  return {
    facts: factsFor(record.board, rider?.height_mm, record.id),
    kind: kindFor(record, shop.riders),
    own,
    rider,
    waves: wavesOf(record, shop.riders),
    last: against && { facts: factsFor(against.board, rider?.height_mm), name: against.name },
    target,
    build: buildOf(record, shop),
    aim_kg: record.brief?.targetMass_kg,
    schools: shop.settings.schools,
  };
}

/** How an order on the line stands today; undefined for a board that is not on it. */
export function standingOf(record: BoardRecord, workshop: Workshop, today: Day): Standing | undefined {
  if (!record.order || record.order.doneOn !== undefined) return undefined;
  const due = daySchema.safeParse(record.brief?.dueOn);
  return standing(workshop.stages, record.order.stage, due.success ? due.data : undefined, today, paceOf(workshop));
}

export const paceOf = (workshop: Workshop): Pace => ({ ...workshop, boardHoursADay: workshop.hoursADay });

/** The foam and stringer a board is made from: its blank's, or the usual until one is taken. */
export function foamOf(
  record: BoardRecord,
  shelf: readonly Blank[],
): { foam: Foam; stringer_mm: number; blank?: Blank } {
  const blank = shelf.find(({ id }) => id === record.blankId);
  return blank ? { foam: blank.foam, stringer_mm: blank.stringer_mm, blank } : { foam: 'pu', stringer_mm: 4 };
}

/** Orders on the line that will be cut from a blank and are not yet; `except` is not counted. */
export function takenFor(blankId: string, records: Shop['records'], except?: string): number {
  return listOf(records).filter(
    ({ id, blankId: theirs, blankCut, order }) =>
      id !== except && theirs === blankId && !blankCut && order !== undefined && order.doneOn === undefined,
  ).length;
}

/** Cloth, resin and weight of an order, by the shop's own figures. */
export function laminatedFor(record: BoardRecord, shelf: readonly Blank[], workshop: Workshop): Laminated {
  const { foam, stringer_mm } = foamOf(record, shelf);
  return laminated(shapeFor(record.board), foam, stringer_mm, record.glass ?? USUAL_SCHEDULE, workshop.glass);
}

/** How it is glassed, for its judgement: only where the shop has said so. A weighed board is as heavy as it was weighed. */
function buildOf(record: BoardRecord, { settings, shelf }: Shop): Case['build'] {
  const { glass, shaped } = record;
  if (!glass) return undefined;
  const ounces = (cloths: readonly Cloth[]) => cloths.reduce((sum, cloth) => sum + CLOTH[cloth].ounces, 0);
  return {
    deck_oz: ounces(glass.deck),
    bottom_oz: ounces(glass.bottom),
    deckPatch: glass.deckPatch !== undefined,
    tailPatch: glass.tailPatch !== undefined,
    // Few rules ask for it, and it wants the whole skin.
    get mass_kg() {
      if (shaped?.mass_kg !== undefined) return shaped.mass_kg;
      const made = laminatedFor(record, shelf, settings.workshop);
      return made.ok ? made.laminate.mass_kg : NaN;
    },
  };
}

export const writerFor = (settings: Settings): Writer => writerOf(styleOf(settings), settings.massUnit);
