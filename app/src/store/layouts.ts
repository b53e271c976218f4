import type { FinSetup } from '@june-tide/core/document';
import { SETUP_WORDS, withSetup } from '@june-tide/core/fins';
import {
  type CutBox,
  MOST_LAYOUTS,
  layoutsOf,
  withCutBox,
  withLayoutAdded,
  withLayoutFitted,
  withLayoutKept,
  withLayoutNamed,
  withoutLayout,
} from '@june-tide/core/record';
import { edit } from './records.ts';
import { type EditResult, entryOf, refused, useShed } from './shedState.ts';

/** Fin layouts of a board of the rack: kept side by side, one of them in the boxes. */

const FULL = refused('layouts', `a board has at most ${MOST_LAYOUTS} fin layouts: take one off first`);

const hasRoom = (id: string, wanted = 1): boolean => {
  const record = entryOf(useShed.getState().records, id);
  return record !== undefined && layoutsOf(record).length + wanted <= MOST_LAYOUTS;
};

/** The fins as they stand kept by a name. */
export function keepLayout(id: string, name: string): EditResult {
  if (!hasRoom(id)) return FULL;
  return edit(id, `fin layout ${name}`, (record) => withLayoutKept(record, crypto.randomUUID(), name));
}

/** Another setup on the same board as a layout of its own; what stands in the boxes now stays in its layout. */
export function addLayout(id: string, setup: FinSetup): EditResult {
  if (!hasRoom(id, 2)) return FULL;
  return edit(id, `fin layout ${called(setup)}`, (record) => {
    const { fins } = withSetup(record.board, setup);
    return withLayoutAdded(
      record,
      { id: crypto.randomUUID(), name: called(setup), fins },
      { id: crypto.randomUUID(), name: called(record.board.fins.setup) },
    );
  });
}

const called = (setup: FinSetup) => SETUP_WORDS[setup].replace(/^./, (c) => c.toUpperCase());

export function fitLayout(id: string, layout: string): EditResult {
  if (!hasRoom(id, 0)) return FULL;
  return edit(id, 'fins changed', (record) =>
    withLayoutFitted(record, layout, { id: crypto.randomUUID(), name: 'As it stood' }),
  );
}

export function nameLayout(id: string, layout: string, name: string): EditResult {
  return edit(id, 'fin layout named', (record) => withLayoutNamed(record, layout, name));
}

export function dropLayout(id: string, layout: string): EditResult {
  return edit(id, 'fin layout taken off', (record) => withoutLayout(record, layout));
}

/** What is cut for the fins of a role; nothing said of it without a box. */
export function cutBox(id: string, role: CutBox['role'], box: Omit<CutBox, 'role'> | undefined): EditResult {
  return edit(id, 'fin box', (record) => withCutBox(record, role, box));
}
