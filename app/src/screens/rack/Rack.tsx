import { Button, Input, Segmented, Select } from 'antd';
import { useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { type Board, FAMILIES, type Family, FAMILY_WORDS } from '@june-tide/core/document';
import { withLength } from '@june-tide/core/edit';
import { readBoardFile } from '@june-tide/core/files';
import { models } from '@june-tide/core/models';
import type { BoardRecord } from '@june-tide/core/record';
import { FOOT_mm } from '@june-tide/core/units';
import { FoamGradient } from '../../parts/BoardPlan.tsx';
import { TopBar } from '../../parts/TopBar.tsx';
import { useDone } from '../../parts/useDone.tsx';
import { useSize } from '../../parts/useSize.ts';
import { measuresFor } from '../../store/derived.ts';
import { addBoard, type ShedState, useShed } from '../../store/shed.ts';
import { Stood } from './Stood.tsx';

type Order = 'length' | 'litres' | 'rider' | 'date';

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
  const [family, setFamily] = useState<Family | 'all' | 'archived' | 'bin'>('all');
  const bin = useShed((shed) => shed.bin);
  const binned = Object.keys(bin).length;
  const [scrolled, setScrolled] = useState(0);
  const wall = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(wall);
  const navigate = useNavigate();
  const picker = useRef<HTMLInputElement>(null);
  const tablePicker = useRef<HTMLInputElement>(null);
  const { say, refuse, holder } = useDone();

  const riderName = (record: BoardRecord) =>
    record.riderId === null ? 'unsold' : (riders[record.riderId]?.name ?? 'unsold');
  const shown = useMemo(() => {
    const words = find.trim().toLowerCase().split(/\s+/).filter(Boolean);
    const text = (record: BoardRecord) =>
      `${record.board.name} ${record.number} ${FAMILY_WORDS[record.board.family]} ${record.riderId ? (riders[record.riderId]?.name ?? '') : ''}`.toLowerCase();
    const name = (record: BoardRecord) => (record.riderId ? (riders[record.riderId]?.name ?? '') : '') || '\uffff';
    const before: Record<Order, (a: BoardRecord, b: BoardRecord) => number> = {
      length: (a, b) => a.board.length_mm - b.board.length_mm,
      litres: (a, b) => measuresFor(a.board).volume_L - measuresFor(b.board).volume_L,
      rider: (a, b) => name(a).localeCompare(name(b)),
      date: (a, b) => Date.parse(b.updatedAt) - Date.parse(a.updatedAt),
    };
    const kind = (record: BoardRecord) =>
      family === 'bin' ||
      (family === 'archived'
        ? record.archived === true
        : record.archived !== true && (family === 'all' || record.board.family === family));
    return Object.values(family === 'bin' ? bin : records)
      .filter((record) => kind(record) && words.every((word) => text(record).includes(word)))
      .sort((a, b) => before[order](a, b) || a.board.length_mm - b.board.length_mm || a.id.localeCompare(b.id));
  }, [records, bin, riders, find, order, family]);

  const longest = Math.max(2600, ...shown.map((r) => r.board.length_mm));
  const floor = height - CAPTION;
  const scale = Math.max(0.05, (floor - 16) / longest);
  const slot = Math.max(LEAST_SLOT, (width - LEFT - 16) / Math.max(1, shown.length));
  const drawnWidth = Math.max(width, LEFT + slot * shown.length + 16);

  const openFile = async (file: File | undefined) => {
    if (!file) return;
    const text = await file.text();
    const read = /\.csv$/i.test(file.name) ? await measuredBoard(text, file.name) : readBoardFile(text);
    if (read.ok) {
      const id = addBoard(read.board, null);
      await navigate(`/bay/${id}/outline`);
    } else refuse(`${file.name}: ${read.reason} Nothing on the rack was changed.`);
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
          className="rack-find"
        />
        <Segmented<Order>
          aria-label="Order of the rack"
          value={order}
          onChange={setOrder}
          options={[
            { value: 'length', label: 'Length' },
            { value: 'litres', label: 'Litres' },
            { value: 'rider', label: 'Rider' },
            { value: 'date', label: 'Latest' },
          ]}
        />
        <Select
          aria-label="Which boards"
          value={family}
          onChange={setFamily}
          style={{ width: 132 }}
          options={[
            { value: 'all', label: 'All families' },
            ...FAMILIES.map((value) => ({ value, label: FAMILY_WORDS[value].replace(/^./, (c) => c.toUpperCase()) })),
            { value: 'archived', label: 'Put away' },
            { value: 'bin', label: binned === 0 ? 'The bin, empty' : `The bin, ${binned}` },
          ]}
        />
      </TopBar>
      <main className="rack">
        <div className="heading">
          <h1>{family === 'bin' ? 'The bin' : 'The rack at Skarn Point'}</h1>
          <p>
            {shown.length === 1 ? 'One board' : `${shown.length} boards`} at one true scale. Lines are feet.
            {unreadWords(unreadable)}
          </p>
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
              {shown.map((record, i) => {
                const x = LEFT + slot * (i + 0.5);
                if (x < scrolled - 2 * slot || x > scrolled + width + 2 * slot) return null;
                return (
                  <Stood
                    key={record.id}
                    record={record}
                    rider={riderName(record)}
                    x={x}
                    slot={slot}
                    floor={floor}
                    caption={CAPTION}
                    scale={scale}
                    onDone={say}
                  />
                );
              })}
            </svg>
          )}
          {shown.length === 0 && (
            <p className="serif" style={{ position: 'absolute', left: 84, top: 120, fontSize: 18 }}>
              {find || family !== 'all'
                ? family === 'bin' && !find
                  ? 'The bin is empty. A board taken off the rack lies here until it is thrown away.'
                  : 'No board answers to that. Clear the search and choose all families to see the rest.'
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
          <Button onClick={() => tablePicker.current?.click()}>a measured board (CSV)</Button>
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
          <input
            ref={tablePicker}
            type="file"
            accept=".csv,text/csv"
            aria-label="Station table"
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

/** What the store has and this app cannot read, in words; empty when there is nothing of it. */
function unreadWords({ boards, riders, blanks }: ShedState['unreadable']): string {
  const parts = [
    [boards, 'board'],
    [riders, 'rider’s card'],
    [blanks, 'blank'],
  ] as const;
  const said = parts.flatMap(([count, word]) => (count === 0 ? [] : [`${count} ${count === 1 ? word : many(word)}`]));
  return said.length === 0 ? '' : ` Not readable here, and left as it is: ${said.join(', ')}.`;
}

const many = (word: string) => (word === 'rider’s card' ? 'riders’ cards' : `${word}s`);

/** A board from the station table somebody measured: the model of that length is what the table does not say. */
async function measuredBoard(
  text: string,
  fileName: string,
): Promise<{ ok: true; board: Board } | { ok: false; reason: string }> {
  const { boardFromStations, lengthOfStations } = await import('@june-tide/core/files/packages');
  const length_mm = lengthOfStations(text);
  const near = [...models()].sort((a, b) => {
    const off = (board: Board) => Math.abs(board.length_mm - (length_mm ?? board.length_mm));
    return off(a) - off(b);
  })[0];
  const base = { ...near, name: fileName.replace(/\.csv$/i, '').slice(0, 80) || 'Measured board' };
  return boardFromStations(length_mm === undefined ? base : withLength(base, length_mm), text);
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
