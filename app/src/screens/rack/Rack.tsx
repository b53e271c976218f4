import { Input } from 'antd';
import { lazy, Suspense, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import type { BoardRecord } from '@june-tide/core/record';
import { FOOT_mm } from '@june-tide/core/units';
import { FoamGradient } from '../../parts/BoardPlan.tsx';
import { TopBar } from '../../parts/TopBar.tsx';
import { type Done, useDone } from '../../parts/useDone.tsx';
import { useSize } from '../../parts/useSize.ts';
import { useShed } from '../../store/shed.ts';
import { found, type Order, riderNameOf, type Which } from './found.ts';
import { RackFoot } from './RackFoot.tsx';
import { useFewAtATime } from './useFewAtATime.ts';
import { useQuestion } from './useQuestion.ts';
import { Stood } from './Stood.tsx';

/** The boards stand before it is there to choose from. */
const RackOrder = lazy(() => import('./RackOrder.tsx'));

const LEFT = 66;
const CAPTION = 108;
const LEAST_SLOT = 108;
/** So many boards are drawn beyond either end of what is seen. */
const BESIDE = 2;

/** Home: every board of the shed standing on its tail, at one true scale. */
export function Rack() {
  const records = useShed((shed) => shed.records);
  const riders = useShed((shed) => shed.riders);
  const house = useShed((shed) => shed.settings.house);
  const [find, setFind] = useState('');
  const [order, setOrder] = useState<Order>('length');
  const [family, setFamily] = useState<Which>('all');
  const bin = useShed((shed) => shed.bin);
  const binned = Object.keys(bin).length;
  const [scrolled, setScrolled] = useState(0);
  const wall = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(wall);
  const { say, refuse, holder } = useDone();

  const { filters, drop, asking } = useQuestion(find);
  const shown = useMemo(
    () => found(family === 'bin' ? bin : records, riders, { filters, asking, family, order }),
    [records, bin, riders, filters, asking, order, family],
  );

  const longest = Math.max(2600, ...shown.map((r) => r.board.length_mm));
  const floor = height - CAPTION;
  const scale = Math.max(0.05, (floor - 16) / longest);
  const widest = Math.max(0, ...shown.map(({ board }) => board.outline.width_mm)) * scale + 4;
  const slot = Math.max(LEAST_SLOT, widest, (width - LEFT - 16) / Math.max(1, shown.length));
  const place = useMemo(() => ({ slot, floor, scale }), [slot, floor, scale]);
  const drawnWidth = Math.max(width, LEFT + slot * shown.length + 16);

  return (
    <div className="page">
      {holder}
      <TopBar>
        <Input
          aria-label="Ask the shed: a board, a rider, a size, how it went"
          placeholder="Ask the shed"
          value={find}
          allowClear
          onChange={(event) => setFind(event.target.value)}
          className="rack-find"
        />
        <Suspense fallback={<span className="rack-order-room" />}>
          <RackOrder order={order} setOrder={setOrder} which={family} setWhich={setFamily} binned={binned} />
        </Suspense>
      </TopBar>
      <main className="rack">
        <div className="heading">
          <h1>{family === 'bin' ? 'The bin' : `The rack at ${house.name}`}</h1>
          <p>
            {shown.length === 1 ? 'One board' : `${shown.length} boards`} at one true scale. Lines are feet.
            <Unread />
          </p>
          {asking && filters.length > 0 && <asking.Asked filters={filters} drop={drop} found={shown} />}
        </div>
        <div className="rack-wall" ref={wall} onScroll={(event) => setScrolled(event.currentTarget.scrollLeft)}>
          {height > 0 && (
            <svg width={drawnWidth} height={height} role="list" aria-label="Boards on the rack">
              <FoamGradient />
              {Array.from({ length: Math.floor(longest / FOOT_mm) }, (_, i) => i + 1).map((foot) => (
                <line
                  key={foot}
                  x1={LEFT}
                  x2={drawnWidth}
                  y1={floor - foot * FOOT_mm * scale}
                  y2={floor - foot * FOOT_mm * scale}
                  stroke="var(--rule)"
                />
              ))}
              <StandingTape floor={floor} scale={scale} longest_mm={longest} />
              <line x1={LEFT} x2={drawnWidth} y1={floor} y2={floor} stroke="var(--ink)" strokeWidth={2} />
              <Standing
                boards={shown}
                from={(scrolled - LEFT) / slot - BESIDE}
                to={(scrolled + width - LEFT) / slot + BESIDE}
                place={place}
                onDone={say}
              />
            </svg>
          )}
          {shown.length === 0 && <p className="serif nothing-stands">{emptyWords(find, family)}</p>}
        </div>
        <RackFoot refuse={refuse} />
      </main>
    </div>
  );
}

interface StandingProps {
  boards: readonly BoardRecord[];
  /** Places along the wall that are seen. */
  from: number;
  to: number;
  place: { slot: number; floor: number; scale: number };
  onDone: (done: Done) => void;
}

/** The boards of one stretch of the wall. */
function Standing({ boards, from, to, place: { slot, floor, scale }, onDone }: StandingProps) {
  const riders = useShed((shed) => shed.riders);
  const first = Math.max(0, Math.floor(from));
  const seen = boards.slice(first, Math.max(first, Math.ceil(to)));
  const drawn = useFewAtATime(seen.map(({ id }) => id));
  return seen.map((record, k) =>
    drawn.has(record.id) ? (
      <Stood
        key={record.id}
        record={record}
        rider={riderNameOf(record, riders) ?? 'unsold'}
        x={LEFT + slot * (first + k + 0.5)}
        slot={slot}
        floor={floor}
        caption={CAPTION}
        scale={scale}
        onDone={onDone}
      />
    ) : null,
  );
}

/** What the store has and this app cannot read, and the way to it. */
function Unread() {
  const count = useShed((shed) => shed.spoilt.length);
  if (count === 0) return null;
  return (
    <>
      {' '}
      <Link to="/keeping">
        {count === 1 ? 'One thing' : `${count} things`} kept here cannot be read: see what is to be done.
      </Link>
    </>
  );
}

/** Why nothing stands on the wall. */
function emptyWords(find: string, which: Which): string {
  if (!find && which === 'all') return 'The rack is empty. Start a board below, or open a board file.';
  return which === 'bin' && !find
    ? 'The bin is empty. A board taken off the rack lies here until it is thrown away.'
    : 'No board answers to that. Clear the search and choose all families to see the rest.';
}

function StandingTape({ floor, scale, longest_mm }: { floor: number; scale: number; longest_mm: number }) {
  const feet = Math.floor(longest_mm / FOOT_mm + 0.4);
  const top = floor - (longest_mm + 40) * scale;
  return (
    <g aria-hidden="true">
      <rect
        x={22}
        y={top}
        width={30}
        height={floor - top}
        fill="var(--tape)"
        stroke="var(--tape-ink)"
        strokeWidth={0.8}
      />
      {Array.from({ length: feet * 4 + 1 }, (_, q) => {
        const y = floor - (q * FOOT_mm * scale) / 4;
        return (
          <line
            key={q}
            x1={52}
            x2={q % 4 === 0 ? 39 : 46}
            y1={y}
            y2={y}
            stroke="var(--tape-ink)"
            strokeWidth={q % 4 === 0 ? 1.4 : 0.8}
          />
        );
      })}
      {Array.from({ length: feet }, (_, i) => (
        <text
          key={i}
          x={37}
          y={floor - (i + 1) * FOOT_mm * scale + 15}
          textAnchor="end"
          fontSize={13}
          fontWeight={600}
          fill="var(--tape-ink)"
        >
          {i + 1}′
        </text>
      ))}
      <rect x={18} y={floor - 2} width={38} height={5} fill="var(--pencil)" />
    </g>
  );
}
