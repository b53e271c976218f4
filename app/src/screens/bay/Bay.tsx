import { Button } from 'antd';
import { lazy, memo, Suspense, useCallback, useEffect, useLayoutEffect } from 'react';
import { Link, Navigate, useLocation, useNavigate, useParams } from 'react-router';
import { Instead } from '../../parts/Instead.tsx';
import { TopBar } from '../../parts/TopBar.tsx';
import { entryOf, putBack, recallSteps, useShed } from '../../store/shed.ts';
import { BayBar } from './BayBar.tsx';
import { bayKey } from './bayKeys.ts';
import { BayNotes } from './notes/BayNotes.tsx';
import { useRested } from './drag.ts';
import { GuideBar } from './guide/GuideBar.tsx';
import { JobCard } from './JobCard.tsx';
import { Keys } from './Keys.tsx';
import { LayOver } from './LayOver.tsx';
import { OtherEdition } from './OtherEdition.tsx';
import { Plank } from './Plank.tsx';
import { BoardSection } from './section/BoardSection.tsx';
import { SectionView } from './section/SectionView.tsx';
import { stepStations } from './section/stepStations.ts';
import {
  closeSession,
  goToRoom,
  hold,
  leave,
  openSession,
  showKeys,
  showStations,
  showWords,
  useSession,
} from './session.ts';
import { Stations } from './Stations.tsx';
import { StepBench } from './steps/StepBench.tsx';
import { useMakePart } from './steps/useMakePart.ts';
import { TailView } from './TailView.tsx';
import { CopyTicket, Ticket, TicketRest } from './Ticket.tsx';
import { BayProvider, curveOf, isSectionStep, LiveBayProvider, type StepKey, STEPS } from './useBay.ts';
import { Words } from './Words.tsx';
import { useBayValue } from './useBayValue.ts';

/** three.js comes only when it is asked for. */
const SmallRoom = lazy(() => import('./room/SmallRoom.tsx'));

/** These draw anew only when what they are given moves on, not with each move of a drag. */
const QuietBar = memo(BayBar);
const QuietJobCard = memo(JobCard);
const QuietBench = memo(StepBench);
const QuietLayOver = memo(LayOver);
const QuietCopy = memo(CopyTicket);
const QuietKeys = memo(Keys);
const QuietStations = memo(Stations);
const QuietWords = memo(Words);
const QuietNotes = memo(BayNotes);
const QuietRest = memo(TicketRest);

/** Steps that are about people and paper. */
const WIDE_STEPS: ReadonlySet<StepKey> = new Set<StepKey>(['rider', 'check', 'make', 'ride']);

/** How a step lays out its stand: a line on the plank, the section large, or the bench wide. */
function compositionOf(step: StepKey): 'line' | 'section' | 'wide' {
  if (WIDE_STEPS.has(step)) return 'wide';
  return isSectionStep(step) ? 'section' : 'line';
}

/** How the stand is laid out: the plank a strip over a bench that has the wall, or large where making is drawn on it. */
function standClass(composition: string, strip: boolean, drawn: boolean): string {
  return ['stand', `${composition}-stand`, ...(strip ? ['strip-stand'] : []), ...(drawn ? ['drawn-stand'] : [])].join(
    ' ',
  );
}

/** What the address says is on the stand. */
export function Bay() {
  const { id = '', step: named } = useParams();
  const { drawn } = useMakePart();
  return <OnStand id={id} step={STEPS.find((key) => key === named)} drawn={drawn} />;
}

interface OnStandProps {
  id: string;
  step: StepKey | undefined;
  /** Is the part of making that is open drawn on the plank? */
  drawn: boolean;
}

/** One board on the stand. Nothing of the address is read here: it is not, at each move of a drag. */
function OnStand({ id, step, drawn }: OnStandProps) {
  const record = useShed((shed) => entryOf(shed.records, id));
  const history = useShed((shed) => shed.histories[id]);
  const keys = useSession((session) => session.keys);
  const stations = useSession((session) => session.stations);
  const words = useSession((session) => session.words);
  const inRoom = useSession((session) => session.inRoom);
  const pinned = useSession((session) => session.pinned);
  const board = record?.board;
  useLayoutEffect(() => {
    if (board) openSession(id, board);
  }, [id, board]);
  useEffect(() => closeSession, []);
  useEffect(() => {
    // Without them the board is whole all the same.
    void recallSteps(id).catch(() => undefined);
  }, [id]);
  useEffect(() => hold(undefined), [step]);

  const value = useBayValue(record, step);
  // While a mark is dragged its curve, the section and the ticket follow each move; all else when the hand rests.
  const rested = useRested(value) ?? value;
  const openKeys = useCallback(() => showKeys(true), []);
  const closeKeys = useCallback(() => showKeys(false), []);
  const openStations = useCallback(() => showStations(true), []);
  const openWords = useCallback(() => showWords(true), []);
  const closeWords = useCallback(() => showWords(false), []);
  const closeStations = useCallback(() => showStations(false), []);

  if (!record) return <NoBoard id={id} />;
  if (!value || !step) return <Navigate to={`/bay/${id}/outline`} replace />;
  const composition = compositionOf(step);
  const strip = composition === 'wide' && !(step === 'make' && drawn);
  return (
    <BayProvider value={rested}>
      <LiveBayProvider value={value}>
        <div className="page">
          <QuietBar
            id={id}
            name={`${record.board.name} ${record.number}`}
            riderName={value.rider?.name}
            lastStep={history?.past.at(-1)?.name}
            nextStep={history?.future[0]?.name}
            onKeys={openKeys}
            onStations={openStations}
            onWords={openWords}
          />
          <OtherEdition />
          <GuideBar />
          <BayKeys id={id} step={step} />
          <QuietKeys open={keys} onClose={closeKeys} />
          <QuietStations open={stations} onClose={closeStations} />
          <QuietWords open={words} onClose={closeWords} />
          <main className="bay">
            <QuietJobCard />
            <div className={standClass(composition, strip, step === 'make' && !strip)}>
              <div className={pinned && !inRoom ? 'wall with-room' : 'wall'}>
                <Plank inRoom={inRoom} onRoom={goToRoom} strip={strip && !inRoom} />
                {pinned && !inRoom && (
                  <Suspense fallback={<p className="quiet room-wait">Opening the room.</p>}>
                    <SmallRoom />
                  </Suspense>
                )}
              </div>
              <div className={`bench ${composition}-bench on-${step}`}>
                {composition === 'section' && <BoardSection />}
                <QuietBench />
                {composition === 'line' && (step === 'fins' ? <TailView /> : <SectionView />)}
                <Ticket copy={<QuietCopy />}>
                  <QuietLayOver />
                  <QuietNotes />
                  {composition !== 'line' && <QuietRest />}
                </Ticket>
              </div>
            </div>
          </main>
        </div>
      </LiveBayProvider>
    </BayProvider>
  );
}

/** The keys of the bay, and the step that was left open last: both read the board when they are asked, and so do not follow a drag. */
const BayKeys = memo(function BayKeys({ id, step }: { id: string; step: StepKey }) {
  const navigate = useNavigate();
  const { search } = useLocation();
  useEffect(() => leave(step, search), [step, search]);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const board = entryOf(useShed.getState().records, id)?.board;
      if (!board) return;
      const { length_mm, outline } = board;
      bayKey(event, {
        id,
        length_mm,
        wide_mm: length_mm / 2 + outline.widePoint_mm,
        curve: curveOf(step),
        stations: () => stepStations(board, step, Number(useSession.getState().held ?? 0)),
        go: (address) => void navigate(address),
      });
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [id, step, navigate]);
  return null;
});

/** Nothing stands at this address: the board is in the bin, or there never was one. */
function NoBoard({ id }: { id: string }) {
  const binned = useShed((shed) => entryOf(shed.bin, id) !== undefined);
  const spoilt = useShed((shed) => shed.spoilt.some((row) => row.table === 'boards' && row.id === id));
  if (spoilt) {
    return (
      <div className="page">
        <TopBar />
        <Instead title="This board cannot be read" why="It lies in the store as it was; nothing of it is lost.">
          <Link to="/keeping">See why, and what is to be done</Link>
        </Instead>
      </div>
    );
  }
  return (
    <div className="page">
      <TopBar />
      <Instead
        title={binned ? 'This board is in the bin' : 'This board is not on the rack'}
        why={binned ? 'It was taken off the rack; nothing of it is lost.' : 'There is no board at this address.'}
      >
        {binned && (
          <Button type="primary" onClick={() => putBack(id)}>
            Put it back on the rack
          </Button>
        )}
        <Link to="/">Back to the rack</Link>
      </Instead>
    </div>
  );
}
