import type { Board, FinBox, FinsDocument } from '../document/schema.ts';
import { INCH_mm } from '../units/length.ts';
import type { FinSet } from './settings.ts';
import { type BoardRecord, type BoxKind, type CutBox, type FinLayout, MOST_LAYOUTS } from './record.ts';

/** Fins stand in one place, and a board has one set of boxes: layouts are ways to fill them, and one is fitted. */

const same = (a: FinsDocument, b: FinsDocument): boolean => JSON.stringify(a) === JSON.stringify(b);

/** A board's layouts as they are now: the fitted one has the fins the board has. */
export function layoutsOf({ layouts = [], fitted, board }: BoardRecord): readonly FinLayout[] {
  return layouts.map((layout) => (layout.id === fitted ? { ...layout, fins: board.fins } : layout));
}

/**
 * The fins as they stand kept as a layout, fitted from then on.
 * @throws RangeError when there are as many as one board can have.
 */
export function withLayoutKept(record: BoardRecord, id: string, name: string): BoardRecord {
  const layouts = layoutsOf(record);
  if (layouts.length >= MOST_LAYOUTS) throw new RangeError(`a board has at most ${MOST_LAYOUTS} fin layouts`);
  return { ...record, layouts: [...layouts, { id, name, fins: record.board.fins }], fitted: id };
}

/** Fins that belong to no layout yet kept as one, before others are put in. */
function withNoneHomeless(record: BoardRecord, left: { id: string; name: string }): BoardRecord {
  const held = layoutsOf(record);
  const homeless = record.fitted === undefined && !held.some(({ fins }) => same(fins, record.board.fins));
  return homeless ? withLayoutKept(record, left.id, left.name) : { ...record, layouts: [...held] };
}

/**
 * Another layout put into the boxes. What stood in them stays in its own layout; fins that belong to none are kept as a new one.
 * @param left the id and name those are kept by.
 * @throws RangeError when there is no such layout, or no room for one more.
 */
export function withLayoutFitted(record: BoardRecord, id: string, left: { id: string; name: string }): BoardRecord {
  const to = layoutsOf(record).find((layout) => layout.id === id);
  if (!to) throw new RangeError('this board has no such layout');
  return { ...withNoneHomeless(record, left), fitted: id, board: { ...record.board, fins: to.fins } };
}

/**
 * A new layout put beside the others and into the boxes.
 * @throws RangeError when there is no room for it and for the fins that stood there.
 */
export function withLayoutAdded(
  record: BoardRecord,
  layout: FinLayout,
  left: { id: string; name: string },
): BoardRecord {
  const kept = withNoneHomeless(record, left);
  const layouts = kept.layouts ?? [];
  if (layouts.length >= MOST_LAYOUTS) throw new RangeError(`a board has at most ${MOST_LAYOUTS} fin layouts`);
  return {
    ...kept,
    layouts: [...layouts, layout],
    fitted: layout.id,
    board: { ...record.board, fins: layout.fins },
  };
}

/** A layout by another name. */
export function withLayoutNamed(record: BoardRecord, id: string, name: string): BoardRecord {
  return { ...record, layouts: layoutsOf(record).map((layout) => (layout.id === id ? { ...layout, name } : layout)) };
}

/** Without a layout; the fins in the boxes stay where they are. */
export function withoutLayout(record: BoardRecord, id: string): BoardRecord {
  const { fitted, ...rest } = record;
  const layouts = layoutsOf(record).filter((layout) => layout.id !== id);
  return { ...rest, layouts, ...(fitted === undefined || fitted === id ? {} : { fitted }) };
}

/** The layout whose fins these are, if any: where a version is gone back to, it is fitted again. */
export function layoutOf(record: BoardRecord, fins: FinsDocument): FinLayout | undefined {
  return layoutsOf(record).find((layout) => same(layout.fins, fins));
}

/** A box that two layouts have in two places: it is cut once. */
export interface BoxApart {
  one: string;
  other: string;
  role: FinBox['role'];
  /** How far apart along the stringer and across it, mm. */
  along_mm: number;
  across_mm: number;
}

/** So far apart two boxes of one role are still one: a fin moves as much in its box. Common practice, no source. */
const ONE_BOX_mm = 3;

/** Boxes that layouts of one board do not share. */
export function boxesApart(record: BoardRecord): BoxApart[] {
  const layouts = layoutsOf(record);
  const places = layouts.flatMap(({ name, fins }) =>
    fins.boxes.map(({ role, trailingEdge_mm, inset_mm, template }) => ({
      name,
      role,
      // The middle of the base: that is where a box is cut, whatever fin is in it.
      x_mm: trailingEdge_mm + template.base_mm / 2,
      y_mm: role === 'centre' ? 0 : inset_mm,
    })),
  );
  return places.flatMap((one, i) =>
    places.slice(i + 1).flatMap((other): BoxApart[] => {
      const [along_mm, across_mm] = [Math.abs(one.x_mm - other.x_mm), Math.abs(one.y_mm - other.y_mm)];
      if (one.name === other.name || one.role !== other.role || Math.max(along_mm, across_mm) <= ONE_BOX_mm) return [];
      return [{ one: one.name, other: other.name, role: one.role, along_mm, across_mm }];
    }),
  );
}

/** Slots as they are commonly cut. Common practice, from memory; the shop's own box is typed. */
export const USUAL_BOX_mm: Readonly<Record<BoxKind, number>> = {
  glassedOn: 0,
  longBox: 10.5 * INCH_mm,
  twoTab: 4.5 * INCH_mm,
  shortBox: 4.5 * INCH_mm,
};

export const BOX_WORDS: Readonly<Record<BoxKind, string>> = {
  glassedOn: 'glassed on',
  longBox: 'long box, the fin slides',
  twoTab: 'two tabs',
  shortBox: 'short box',
};

/** Foam and cloth at either end of a slot that the fin cannot stand over, mm. Our own choice. */
const BOX_END_mm = 6;

/** How far a fin slides in its box, mm: none but in a long one; negative where the base is longer than the slot. */
export function slide_mm({ kind, length_mm }: CutBox, base_mm: number): number {
  if (kind === 'glassedOn' || kind === 'twoTab') return 0;
  const room = length_mm - base_mm;
  // A base as long as its slot stands in it; over a long one the fin is slid between its ends.
  return kind === 'longBox' ? room - BOX_END_mm : Math.min(0, room + BOX_END_mm);
}

/** A box of a board by its role; without one, where it is not said. */
export function withCutBox(
  record: BoardRecord,
  role: CutBox['role'],
  box: Omit<CutBox, 'role'> | undefined,
): BoardRecord {
  const others = (record.finBoxes ?? []).filter((entry) => entry.role !== role);
  return { ...record, finBoxes: box ? [...others, { role, ...box }] : others };
}

/** The fins of a set put into the boxes of their roles; boxes of roles the set has nothing for keep their fin. */
export function withFinSet(board: Board, { fins }: Pick<FinSet, 'fins'>): Board {
  const boxes = board.fins.boxes.map((box) => {
    const fin = fins.find(({ role }) => role === box.role);
    if (!fin) return box;
    // Put in at the same middle of the base: there the box is cut.
    const trailingEdge_mm = box.trailingEdge_mm + (box.template.base_mm - fin.template.base_mm) / 2;
    return { ...box, template: fin.template, trailingEdge_mm };
  });
  return { ...board, fins: { ...board.fins, boxes } };
}
