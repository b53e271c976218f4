import { Button } from 'antd';
import { CopyOutlined } from '@ant-design/icons';
import { memo, type ReactNode, useRef, useState } from 'react';
import { TAIL_WORDS } from '@june-tide/core/document';
import {
  type MeasureKey,
  measureOf,
  curveLength_mm,
  READING_WORDS,
  type TicketLine,
  ticketLines,
  tipLifts,
} from '@june-tide/core/measure';
import type { LitresTarget } from '@june-tide/core/rider';
import { formatLitres, formatMass } from '@june-tide/core/units';
import { BuiltText, Measure, useLengthStyle } from '../../parts/Measure.tsx';
import { useSize } from '../../parts/useSize.ts';
import { useShed } from '../../store/shed.ts';
import { useBay, useLiveBay } from './useBay.ts';

/** What hangs on the board: the headline, litres against the target, the key numbers. Always in sight. */
export function Ticket({ copy, children }: { copy: ReactNode; children?: ReactNode }) {
  const { record, shape, measures: m, rider, target, over } = useLiveBay();
  const than = over?.measures;
  const massUnit = useShed((shed) => shed.settings.massUnit);
  const { board } = record;
  const wide = m.widePointFromCentre_mm;
  const { lengthAlong, reading } = useShed((shed) => shed.settings);
  const lifts = tipLifts(shape, reading);
  const thanLifts = over && tipLifts(over.shape, reading);
  const readHow = `At the stringer, ${READING_WORDS[reading]}.`;
  return (
    <section className="ticket" aria-label="Ticket">
      <div className="who">
        <span>
          {board.name} {record.number}
          {copy}
        </span>
        {rider && (
          <span>
            <i>for</i> {rider.name}, {formatMass(rider.mass_kg, massUnit)}
          </span>
        )}
      </div>
      <div className="headline" data-testid="headline">
        <Measure mm={lengthAlong === 'bottom' ? curveLength_mm(shape) : m.length_mm} feet />
        {lengthAlong === 'bottom' && <small className="quiet"> along the bottom</small>} × <Measure mm={m.width_mm} /> ×{' '}
        <Measure mm={m.thickness_mm} />
      </div>
      <div className="litres-row">
        <span className="litres" data-testid="litres" title={measureOf('volume_L').says}>
          {formatLitres(m.volume_L)}
        </span>
        {than && Math.abs(m.volume_L - than.volume_L) >= 0.05 && (
          <span className="change" data-testid="litres-change">
            {m.volume_L > than.volume_L ? '+' : '−'}
            {Math.abs(m.volume_L - than.volume_L).toFixed(1)}
          </span>
        )}
        {target && <LitresScale litres={m.volume_L} target={target} />}
      </div>
      <div className="target">
        {target && rider ? (
          <>
            <span title={target.sentence}>
              aim {target.low_L.toFixed(1)} to {target.high_L.toFixed(1)} L
            </span>
            <span>{(m.volume_L / rider.mass_kg).toFixed(2)} L per kg</span>
            <span>{gap(m.volume_L, target)}</span>
          </>
        ) : (
          <span>No rider yet: choose one in step 1 for a target.</span>
        )}
      </div>
      <dl>
        <Line of="noseWidth12_mm" mm={m.noseWidth12_mm} than={than?.noseWidth12_mm} />
        <Line of="noseRocker_mm" mm={lifts.noseLift_mm} than={thanLifts?.noseLift_mm} said={readHow} />
        <Line of="tailWidth12_mm" mm={m.tailWidth12_mm} than={than?.tailWidth12_mm} />
        <Line of="tailRocker_mm" mm={lifts.tailLift_mm} than={thanLifts?.tailLift_mm} said={readHow} />
        {m.block_mm > 0 ? (
          <Line of="block_mm" mm={m.block_mm} than={than?.block_mm} />
        ) : (
          <div>
            <dt>Tail</dt>
            <dd>{TAIL_WORDS[board.outline.tail.kind]}</dd>
          </div>
        )}
        <Line of="noseThickness12_mm" mm={m.noseThickness12_mm} than={than?.noseThickness12_mm} />
        <div>
          <dt>Wide point</dt>
          <dd>
            {Math.abs(wide) < 0.4 ? (
              'centre'
            ) : (
              <>
                <Measure mm={Math.abs(wide)} /> {wide > 0 ? 'ahead' : 'behind'}
              </>
            )}
          </dd>
        </div>
        <Line of="tailThickness12_mm" mm={m.tailThickness12_mm} than={than?.tailThickness12_mm} />
      </dl>
      {children}
    </section>
  );
}

/** What stands in the ticket's own lines already. */
const GROUPS_BELOW: ReadonlySet<TicketLine['group']> = new Set<TicketLine['group']>(['rails', 'bottom', 'fins']);

/** The rest of the numbers, where the ticket has the height for them: rails, bottom and fins, in the order of the work. */
export function TicketRest() {
  const { shape } = useBay();
  const style = useLengthStyle();
  return (
    <ul className="ticket-rest" aria-label="Rails, bottom and fins">
      {ticketLines(shape, style)
        .filter(({ group }) => GROUPS_BELOW.has(group))
        .map(({ name, value }) => (
          <li key={name}>
            <span>{name}</span> <BuiltText text={value} />
          </li>
        ))}
    </ul>
  );
}

/** The whole ticket as plain lines on the clipboard, for a message or a note. */
export function CopyTicket() {
  const { record, shape } = useBay();
  const style = useLengthStyle();
  const [said, say] = useState<string>();
  const copy = async () => {
    const lines = ticketLines(shape, style).map((line) => `${line.name}: ${line.value}`);
    try {
      await navigator.clipboard.writeText([`${record.board.name} ${record.number}`, ...lines, ''].join('\n'));
      say('copied');
    } catch {
      say('this browser keeps the clipboard to itself');
    }
    setTimeout(() => say(undefined), 4000);
  };
  return (
    <>
      <Button
        type="text"
        size="small"
        aria-label="Copy the ticket as text"
        title="Copy the ticket as text"
        icon={<CopyOutlined aria-hidden />}
        onClick={() => void copy()}
      />
      {said && (
        <small role="status" className="quiet">
          {said}
        </small>
      )}
    </>
  );
}

/** Closer than this two sizes read the same on any tape. */
const SAME_mm = 0.4;

interface LineProps {
  of: MeasureKey;
  mm: number;
  than?: number | undefined;
  /** How it is taken, when that is the shop's choice. */
  said?: string;
}

const Line = memo(function Line({ of, mm, than, said }: LineProps) {
  const { words, short = words, says } = measureOf(of);
  const change = than === undefined ? 0 : mm - than;
  return (
    <div title={said ?? says}>
      <dt>{short.replace(/^./, (c) => c.toUpperCase())}</dt>
      <dd>
        {Math.abs(change) > SAME_mm && (
          <span className="change">
            {change > 0 ? '+' : '−'}
            <Measure mm={Math.abs(change)} />
          </span>
        )}
        <Measure mm={mm} />
      </dd>
    </div>
  );
});

function gap(litres: number, target: LitresTarget): string {
  if (litres < target.low_L) return `${(target.low_L - litres).toFixed(1)} L under`;
  if (litres > target.high_L) return `${(litres - target.high_L).toFixed(1)} L over`;
  return 'in the range';
}

/** The most it is drawn wide, and how much of that a number on it needs, px. */
const WIDEST = 180;
const PER_NUMBER = 28;

/** The litres as a stroke on a little scale, the range as a band; as wide as there is room for. */
function LitresScale({ litres, target }: { litres: number; target: LitresTarget }) {
  const room = useRef<HTMLSpanElement>(null);
  const width = Math.min(WIDEST, useSize(room).width);
  const from = Math.floor(Math.min(litres, target.low_L) - 1);
  const to = Math.ceil(Math.max(litres, target.high_L) + 1);
  const x = (value: number) => 10 + ((value - from) / (to - from)) * (width - 20);
  const every = Math.max(1, Math.ceil((to - from) / Math.max(1, Math.floor(width / PER_NUMBER) - 1)));
  const ticks = Array.from({ length: Math.floor((to - from) / every) + 1 }, (_, i) => from + i * every);
  return (
    <span ref={room} className="litres-scale">
      {width > 0 && (
        <svg width={width} height={34} aria-hidden="true">
          <rect
            x={x(target.low_L)}
            width={x(target.high_L) - x(target.low_L)}
            y={16}
            height={11}
            fill="var(--faint)"
            opacity={0.45}
          />
          <line x1={10} x2={width - 10} y1={27} y2={27} stroke="var(--ink)" />
          {ticks.map((tick) => (
            <g key={tick}>
              <line x1={x(tick)} x2={x(tick)} y1={22} y2={27} stroke="var(--ink)" />
              <text x={x(tick)} y={12} textAnchor="middle" fontSize={13} fontFamily="var(--serif)" fill="var(--pencil)">
                {tick}
              </text>
            </g>
          ))}
          <line x1={x(litres)} x2={x(litres)} y1={13} y2={33} stroke="var(--ink)" strokeWidth={4} />
        </svg>
      )}
    </span>
  );
}
