import { Button, Input, message, Segmented } from 'antd';
import { useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { type BoardRecord, FAMILY_WORDS, FOOT_mm, formatLitres, readBoardFile } from '@june-tide/core';
import { BoardPlan, FoamGradient } from '../../parts/BoardPlan.tsx';
import { DrawnMeasure, Measure } from '../../parts/Measure.tsx';
import { TopBar } from '../../parts/TopBar.tsx';
import { useSize } from '../../parts/useSize.ts';
import { measuresFor } from '../../store/derived.ts';
import { addBoard, useShed } from '../../store/shed.ts';

type Order = 'length' | 'litres' | 'date';

const LEFT = 66;
const CAPTION = 108;
const LEAST_SLOT = 108;

/** Home: every board of the shed standing on its tail, at one true scale. */
export function Rack() {
  const records = useShed((shed) => shed.records);
  const riders = useShed((shed) => shed.riders);
  const unreadable = useShed((shed) => shed.unreadable);
  const [find, setFind] = useState('');
  const [order, setOrder] = useState<Order>('length');
  const wall = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(wall);
  const navigate = useNavigate();
  const picker = useRef<HTMLInputElement>(null);
  const [notice, holder] = message.useMessage();

  const riderName = (record: BoardRecord) =>
    record.riderId === null ? 'unsold' : (riders[record.riderId]?.name ?? 'unsold');
  const shown = useMemo(() => {
    const words = find.trim().toLowerCase().split(/\s+/).filter(Boolean);
    const text = (record: BoardRecord) =>
      `${record.board.name} ${record.number} ${FAMILY_WORDS[record.board.family]} ${record.riderId ? (riders[record.riderId]?.name ?? '') : ''}`.toLowerCase();
    const key: Record<Order, (r: BoardRecord) => number> = {
      length: (r) => r.board.length_mm,
      litres: (r) => measuresFor(r.board).volume_L,
      date: (r) => -Date.parse(r.updatedAt),
    };
    return Object.values(records)
      .filter((record) => words.every((word) => text(record).includes(word)))
      .sort((a, b) => key[order](a) - key[order](b) || a.id.localeCompare(b.id));
  }, [records, riders, find, order]);

  const longest = Math.max(2600, ...shown.map((r) => r.board.length_mm));
  const floor = height - CAPTION;
  const scale = Math.max(0.05, (floor - 16) / longest);
  const slot = Math.max(LEAST_SLOT, (width - LEFT - 16) / Math.max(1, shown.length));
  const drawnWidth = Math.max(width, LEFT + slot * shown.length + 16);

  const openFile = async (file: File | undefined) => {
    if (!file) return;
    const read = readBoardFile(await file.text());
    if (read.ok) {
      const id = addBoard(read.board, null);
      await navigate(`/bay/${id}/outline`);
    } else
      void notice.error({ content: `${file.name}: ${read.reason} Nothing on the rack was changed.`, duration: 12 });
  };

  return (
    <div className="page">
      {holder}
      <TopBar>
        <Input
          aria-label="Find a board, a rider, a family"
          placeholder="Find a board, a rider, a family"
          value={find}
          allowClear
          onChange={(event) => setFind(event.target.value)}
          style={{ width: 230 }}
        />
        <Segmented<Order>
          aria-label="Order of the rack"
          value={order}
          onChange={setOrder}
          options={[
            { value: 'length', label: 'Length' },
            { value: 'litres', label: 'Litres' },
            { value: 'date', label: 'Latest' },
          ]}
        />
      </TopBar>
      <main className="rack">
        <div className="heading">
          <h1>The rack at Skarn Point</h1>
          <p>
            {shown.length === 1 ? 'One board' : `${shown.length} boards`} at one true scale. Lines are feet.
            {unreadable > 0 && ` ${unreadable} more could not be read and were left as they are.`}
          </p>
        </div>
        <div className="rack-wall" ref={wall}>
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
              {shown.map((record, i) => {
                const x = LEFT + slot * (i + 0.5);
                const { board } = record;
                const litres = measuresFor(board).volume_L;
                const open = () => void navigate(`/bay/${record.id}/outline`);
                return (
                  <g
                    key={record.id}
                    role="listitem"
                    className="stood"
                    tabIndex={0}
                    aria-label={`Open ${board.name} ${record.number}, ${riderName(record)}, ${formatLitres(litres)}`}
                    onClick={open}
                    onKeyDown={(event) => {
                      if (event.key === 'Enter' || event.key === ' ') open();
                    }}
                  >
                    <rect className="hover-wash" x={x - slot / 2 + 2} y={floor} width={slot - 4} height={CAPTION - 2} />
                    <rect
                      x={x - slot / 2}
                      y={floor - board.length_mm * scale}
                      width={slot}
                      height={board.length_mm * scale}
                      fill="transparent"
                    />
                    <g transform={`translate(${x} ${floor})`}>
                      <BoardPlan board={board} scale={scale} />
                    </g>
                    <g textAnchor="middle" fontFamily="var(--serif)" fill="var(--ink)" className="on-paper">
                      <text x={x} y={floor + 22} fontSize={16} fontWeight={600}>
                        {board.name}
                      </text>
                      <text x={x} y={floor + 40} fontSize={14} fontStyle="italic" fill="var(--pencil)">
                        {record.number}, {riderName(record)}
                      </text>
                      <DrawnMeasure mm={board.length_mm} feet x={x} y={floor + 62} size={20} anchor="middle" />
                      <SizeBelow
                        x={x}
                        y={floor + 82}
                        width_mm={board.outline.width_mm}
                        thickness_mm={board.foil.thickness_mm}
                      />
                      <text x={x} y={floor + 101} fontSize={16} fontWeight={600}>
                        {formatLitres(litres)}
                      </text>
                    </g>
                  </g>
                );
              })}
            </svg>
          )}
          {shown.length === 0 && (
            <p className="serif" style={{ position: 'absolute', left: 84, top: 120, fontSize: 18 }}>
              {find
                ? 'No board answers to that. Clear the search to see them all.'
                : 'The rack is empty. Start a board below, or open a board file.'}
            </p>
          )}
        </div>
        <footer className="rack-foot">
          <h2>Start a board from</h2>
          <Button type="primary" onClick={() => void navigate('/start')}>
            a rider and a model
          </Button>
          <Button onClick={() => picker.current?.click()}>a board file</Button>
          <input
            ref={picker}
            type="file"
            accept=".json,application/json"
            aria-label="Board file"
            hidden
            onChange={(event) => {
              void openFile(event.target.files?.[0]);
              event.target.value = '';
            }}
          />
        </footer>
      </main>
    </div>
  );
}

function SizeBelow({ x, y, width_mm, thickness_mm }: { x: number; y: number; width_mm: number; thickness_mm: number }) {
  return (
    <foreignObject x={x - 70} y={y - 16} width={140} height={22}>
      <div className="serif" style={{ textAlign: 'center', fontSize: 15, lineHeight: '20px', color: 'var(--ink)' }}>
        <Measure mm={width_mm} /> × <Measure mm={thickness_mm} />
      </div>
    </foreignObject>
  );
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
