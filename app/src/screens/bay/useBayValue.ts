import { useCallback, useMemo } from 'react';
import type { BoardRecord } from '@june-tide/core/record';
import {
  type Beside,
  besideOf,
  caseFor,
  kindFor,
  measuresFor,
  type OrderOf,
  shapeFor,
  sizesFor,
} from '../../store/derived.ts';
import { entryOf, useShed } from '../../store/shed.ts';
import { useRested } from './drag.ts';
import { AS_OPENED, laidOver, type Over } from './over.ts';
import { hold, layOver, moveHookOn, useSession } from './session.ts';
import type { BayContext, StepKey } from './useBay.ts';

/** What an order hangs on, where there is no board. */
const NOBODYS: Pick<OrderOf, 'riderId' | 'brief' | 'createdAt'> = { riderId: null, createdAt: '' };

/** What `made` makes, made when it is first asked for. */
function once<T>(made: () => T): () => T {
  let kept: { value: T } | undefined;
  return () => (kept ??= { value: made() }).value;
}

const NOTHING: Beside = { last: undefined, own: [] };

/** The board laid over: another of the rack, this one as it was opened, or an earlier state of it. */
function useOver(record: BoardRecord | undefined): Over | undefined {
  const choice = useSession((session) => session.over);
  const opened = useSession((session) => session.opened);
  const other = useShed((shed) => entryOf(shed.records, choice?.id));
  return useMemo(() => {
    if (!record || !choice) return undefined;
    if (choice.earlier) return laidOver(record, choice.earlier.board, choice.earlier.name, choice);
    if (choice.id === AS_OPENED) return opened && laidOver(record, opened, 'as opened', choice);
    return other && laidOver(record, other.board, `${other.board.name} ${other.number}`, choice);
  }, [record, choice, opened, other]);
}

/** Everything the parts of the bay read of the board on the stand; undefined without one, or at no step. */
export function useBayValue(record: BoardRecord | undefined, step: StepKey | undefined): BayContext | undefined {
  const riders = useShed((shed) => shed.riders);
  const settings = useShed((shed) => shed.settings);
  const shelf = useShed((shed) => shed.shelf);
  const hook = useSession((session) => session.hook_mm);
  const held = useSession((session) => session.held);
  const over = useOver(record);
  const length_mm = record?.board.length_mm ?? 0;
  const moveHook = useCallback((x_mm: number) => moveHookOn(length_mm, x_mm), [length_mm]);
  // What is aimed for hangs on rider and order, not on the lines: a drag leaves it alone.
  const { riderId, brief, createdAt } = record ?? NOBODYS;
  const id = record?.id;
  const family = record?.board.family;
  // What kind it is follows when the hand rests: nothing that follows a drag hangs on it but the litres aimed for.
  const still = useRested(record);
  const kind = useMemo(() => still && kindFor(still, riders), [still, riders]);
  const sizes = useMemo(() => {
    if (id === undefined || family === undefined) return [];
    const { records, shelf } = useShed.getState();
    const shop = { records, riders, settings, shelf };
    return sizesFor({ id, riderId, brief, createdAt, kind, board: { family } }, shop);
  }, [id, riderId, brief, createdAt, kind, family, riders, settings]);
  // Other boards change no verdict while this one is dragged: they are looked for anew at each step.
  const { last, own } = useMemo((): Beside => {
    if (id === undefined || family === undefined || step === undefined) return NOTHING;
    return besideOf({ id, riderId, brief, createdAt, board: { family } }, useShed.getState().records);
  }, [id, riderId, brief, createdAt, family, step]);
  // Neither a step nor the hook changes what is judged: the notes are not read anew for them. Nor does what nobody reads cost anything
  // in a drag: it is put together when it is asked for.
  const judged = useMemo(() => {
    const shop = { records: useShed.getState().records, riders, settings, shelf };
    return record && once(() => caseFor(record, shop, sizes[0], over, { last, own }));
  }, [record, riders, settings, shelf, sizes, over, last, own]);
  return useMemo((): BayContext | undefined => {
    if (!record || !step || !judged) return undefined;
    return {
      record,
      shape: shapeFor(record.board, record.id),
      measures: measuresFor(record.board, record.id),
      rider: entryOf(riders, record.riderId),
      sizes,
      target: sizes[0],
      get judgedAs() {
        return judged();
      },
      step,
      hook_mm: Math.min(record.board.length_mm, Math.max(0, hook)),
      moveHook,
      held,
      hold,
      over,
      layOver,
    };
  }, [record, riders, sizes, judged, step, hook, moveHook, held, over]);
}
