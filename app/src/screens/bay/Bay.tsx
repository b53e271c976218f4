import { Button, Result } from 'antd';
import { memo, useCallback, useEffect, useMemo, useState } from 'react';
import { Link, Navigate, useNavigate, useParams } from 'react-router';
import type { Board } from '@june-tide/core/document';
import { TWELVE_mm } from '@june-tide/core/measure';
import { INCH_mm } from '@june-tide/core/units';
import { TopBar } from '../../parts/TopBar.tsx';
import { caseFor, measuresFor, type OrderOf, shapeFor, sizesFor } from '../../store/derived.ts';
import { entryOf, putBack, redo, undo, useShed } from '../../store/shed.ts';
import { BayBar } from './BayBar.tsx';
import { BayNotes } from './notes/BayNotes.tsx';
import { useRested } from './drag.ts';
import { JobCard } from './JobCard.tsx';
import { Keys } from './Keys.tsx';
import { LayOver } from './LayOver.tsx';
import { AS_OPENED, laidOver, type OverChoice } from './over.ts';
import { Plank } from './Plank.tsx';
import { SectionView } from './SectionView.tsx';
import { StepBench } from './steps/StepBench.tsx';
import { TailView } from './TailView.tsx';
import { CopyTicket, Ticket } from './Ticket.tsx';
import { type BayContext, BayProvider, LiveBayProvider, type StepKey, STEPS } from './useBay.ts';

/** These draw anew only when what they are given moves on, not with each move of a drag. */
const QuietBar = memo(BayBar);
const QuietJobCard = memo(JobCard);
const QuietBench = memo(StepBench);
const QuietLayOver = memo(LayOver);
const QuietCopy = memo(CopyTicket);
const QuietKeys = memo(Keys);
const QuietNotes = memo(BayNotes);

/** Steps that are about people and paper take the room of the section too. */
const WIDE_STEPS: ReadonlySet<string> = new Set(['rider', 'check', 'make', 'ride']);

/** What an order hangs on, where there is no board. */
const NOBODYS: Pick<OrderOf, 'riderId' | 'brief' | 'createdAt'> = { riderId: null, createdAt: '' };

const isStep = (text: string | undefined): text is StepKey => STEPS.some((step) => step === text);

/** One board on the stand. */
export function Bay() {
  const { id = '', step } = useParams();
  const record = useShed((shed) => entryOf(shed.records, id));
  const binned = useShed((shed) => entryOf(shed.bin, id) !== undefined);
  const riders = useShed((shed) => shed.riders);
  const settings = useShed((shed) => shed.settings);
  const history = useShed((shed) => shed.histories[id]);
  const [hook, setHook] = useState(20 * INCH_mm);
  const [held, hold] = useState<string>();
  const [overChoice, layOver] = useState<OverChoice>();
  const overRecord = useShed((shed) => entryOf(shed.records, overChoice?.id));
  const [opened, setOpened] = useState<Board>();
  const [keys, setKeys] = useState(false);
  const [inRoom, setInRoom] = useState(false);
  const navigate = useNavigate();

  useEffect(() => hold(undefined), [step]);

  const board = record?.board;
  if (board && opened === undefined) setOpened(board);
  const length_mm = board?.length_mm ?? 0;
  const wide_mm = length_mm / 2 + (board?.outline.widePoint_mm ?? 0);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target instanceof Element ? event.target : undefined;
      const typing = target?.closest('input, textarea, select, [contenteditable], [role="combobox"], [role="listbox"]');
      const command = event.ctrlKey || event.metaKey;
      if (command && event.key.toLowerCase() === 'z' && !target?.closest('textarea')) {
        event.preventDefault();
        if (event.shiftKey) redo(id);
        else undo(id);
        return;
      }
      if (command && event.key.toLowerCase() === 'y') {
        event.preventDefault();
        redo(id);
        return;
      }
      if (typing || command || event.altKey) return;
      const by = event.shiftKey ? INCH_mm / 4 : INCH_mm;
      const moves: Record<string, (x: number) => number> = {
        ArrowLeft: (x) => x - by,
        ArrowRight: (x) => x + by,
        n: () => length_mm - TWELVE_mm,
        t: () => TWELVE_mm,
        w: () => wide_mm,
      };
      if (event.key === '?') {
        setKeys(true);
        return;
      }
      if (event.key.toLowerCase() === 'r') {
        setInRoom((now) => !now);
        return;
      }
      const digit = '1234567890'.indexOf(event.key);
      if (digit >= 0 && event.key.length === 1) {
        void navigate(`/bay/${id}/${STEPS[digit]}`);
        return;
      }
      const move = moves[event.key.length === 1 ? event.key.toLowerCase() : event.key];
      if (!move) return;
      event.preventDefault();
      setHook((x) => Math.min(length_mm, Math.max(0, move(x))));
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [id, length_mm, wide_mm, navigate]);

  const moveHook = useCallback((x: number) => setHook(Math.min(length_mm, Math.max(0, x))), [length_mm]);
  const { riderId, brief, createdAt } = record ?? NOBODYS;
  const family = record?.board.family;
  const sizes = useMemo(() => {
    if (family === undefined) return [];
    const shop = { records: useShed.getState().records, riders, settings };
    return sizesFor({ id, riderId, brief, createdAt, board: { family } }, shop);
  }, [id, riderId, brief, createdAt, family, riders, settings]);
  const value = useMemo((): BayContext | undefined => {
    if (!record || !isStep(step)) return undefined;
    const L = record.board.length_mm;
    const other = overChoice?.earlier?.board ?? (overChoice?.id === AS_OPENED ? opened : overRecord?.board);
    const otherName =
      overChoice?.earlier?.name ??
      (overChoice?.id === AS_OPENED ? 'as opened' : `${overRecord?.board.name ?? ''} ${overRecord?.number ?? ''}`);
    const over = overChoice && other ? laidOver(record, other, otherName, overChoice) : undefined;
    // Other boards change no verdict while this one is dragged: they are read as they are now.
    const shop = { records: useShed.getState().records, riders, settings };
    return {
      record,
      shape: shapeFor(record.board, record.id),
      measures: measuresFor(record.board, record.id),
      rider: entryOf(riders, record.riderId),
      sizes,
      target: sizes[0],
      judgedAs: caseFor(record, shop, sizes[0], over),
      step,
      hook_mm: Math.min(L, Math.max(0, hook)),
      moveHook,
      held,
      hold,
      over,
      layOver,
    };
  }, [record, riders, settings, sizes, step, hook, moveHook, held, overChoice, overRecord, opened]);

  // While a mark is dragged its curve, the section and the ticket follow each move; all else when the hand rests.
  const rested = useRested(value) ?? value;
  const openKeys = useCallback(() => setKeys(true), []);
  const closeKeys = useCallback(() => setKeys(false), []);

  if (!record) {
    return (
      <div className="page">
        <TopBar />
        <Result
          title={binned ? 'This board is in the bin' : 'This board is not on the rack'}
          subTitle={binned ? 'It was taken off the rack; nothing of it is lost.' : 'There is no board at this address.'}
          extra={
            <>
              {binned && (
                <Button type="primary" onClick={() => putBack(id)}>
                  Put it back on the rack
                </Button>
              )}{' '}
              <Link to="/">Back to the rack</Link>
            </>
          }
        />
      </div>
    );
  }
  if (!value) return <Navigate to={`/bay/${id}/outline`} replace />;
  const lastStep = history?.past.at(-1);
  const nextStep = history?.future[0];
  return (
    <BayProvider value={rested}>
      <LiveBayProvider value={value}>
        <div className="page">
          <QuietBar
            id={id}
            name={`${record.board.name} ${record.number}`}
            riderName={value.rider?.name}
            lastStep={lastStep?.name}
            nextStep={nextStep?.name}
            onKeys={openKeys}
          />
          <QuietKeys open={keys} onClose={closeKeys} />
          <main className="bay">
            <QuietJobCard />
            <div className={WIDE_STEPS.has(step ?? '') ? 'stand people-stand' : 'stand'}>
              <Plank inRoom={inRoom} onRoom={setInRoom} />
              <div className={WIDE_STEPS.has(step ?? '') ? 'bench wide' : 'bench'}>
                <QuietBench />
                {WIDE_STEPS.has(step ?? '') ? null : step === 'fins' ? <TailView /> : <SectionView />}
                <Ticket copy={<QuietCopy />}>
                  <QuietLayOver />
                  <QuietNotes />
                </Ticket>
              </div>
            </div>
          </main>
        </div>
      </LiveBayProvider>
    </BayProvider>
  );
}
