import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { riderNameOf } from '../rack/found.ts';
import { BoardPlan, FoamGradient } from '../../parts/BoardPlan.tsx';
import { useSize } from '../../parts/useSize.ts';
import { formatLength, formatLitres } from '@june-tide/core/units';
import { useLengthStyle } from '../../parts/Measure.tsx';
import { litresOf, useShed } from '../../store/shed.ts';
import { type Laid, type Placed, COLUMN_px, ROW_px } from './layout.ts';

/** The longest board stands so tall. */
const TALL_px = 136;
const MARGIN_px = 24;

/** What a line is, in one word on it. */
const LINE_WORDS = {
  copy: 'copy',
  next: 'next',
  size: 'size',
  branch: 'branch',
  front: 'front half',
  back: 'back half',
  softened: 'softened',
  lessons: 'lessons',
} as const;

/** The tree drawn; arrow keys go to parent, child and siblings, Enter opens. Only what is in sight is drawn. */
export function TreeDrawing({ laid, zoom, picked }: { laid: Laid; zoom: number; picked: string | undefined }) {
  const box = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(box);
  const [at, setAt] = useState({ x: 0, y: 0 });
  const [focus, setFocus] = useState<string>();
  const navigate = useNavigate();
  const { placed, lines } = laid;
  const longest = Math.max(...placed.map(({ branch }) => branch.record?.board.length_mm ?? 0), 1);
  const scale = TALL_px / longest;
  const inSight = ({ x, y }: Placed) =>
    x * zoom > at.x - 300 && x * zoom < at.x + width + 300 && y * zoom > at.y - 300 && y * zoom < at.y + height + 300;
  const first = focus ?? picked ?? placed[0]?.branch.id;
  // The board that was asked for stands in sight.
  useEffect(() => {
    const place = placed.find(({ branch }) => branch.id === picked);
    if (!place || !box.current) return;
    box.current.scrollTo({ left: place.x * zoom - box.current.clientWidth / 2, top: place.y * zoom - 80 });
  }, [picked, placed, zoom]);
  const go = (to: Placed | undefined) => {
    if (!to) return;
    setFocus(to.branch.id);
    box.current?.scrollTo({ left: to.x * zoom - width / 2, top: to.y * zoom - height / 3 });
    requestAnimationFrame(() => box.current?.querySelector<SVGGElement>(`[data-id="${to.branch.id}"]`)?.focus());
  };
  const onKey = (event: KeyboardEvent, place: Placed) => {
    const { id, record } = place.branch;
    const generation = placed.filter(({ x }) => x === place.x).sort((a, b) => a.y - b.y);
    const beside = generation.indexOf(place);
    const moves: Readonly<Record<string, () => void>> = {
      ArrowLeft: () => go(lines.find(({ line, second }) => line.child === id && !second)?.from),
      ArrowRight: () => go(lines.find(({ line, second }) => line.parent === id && !second)?.to),
      ArrowUp: () => go(generation[beside - 1]),
      ArrowDown: () => go(generation[beside + 1]),
      Enter: () => record && void navigate(`/bay/${id}/ride`),
      ' ': () => record && void navigate(`/bay/${id}/ride`),
    };
    const move = moves[event.key];
    if (!move) return;
    event.preventDefault();
    move();
  };
  return (
    <div
      className="tree"
      ref={box}
      onScroll={({ currentTarget }) => setAt({ x: currentTarget.scrollLeft, y: currentTarget.scrollTop })}
    >
      <svg
        width={(laid.width + 2 * MARGIN_px) * zoom}
        height={(laid.height + 2 * MARGIN_px) * zoom}
        role="group"
        aria-label="The family tree, drawn"
      >
        <FoamGradient />
        <g transform={`scale(${zoom}) translate(${MARGIN_px} ${MARGIN_px})`}>
          {lines
            .filter(({ from, to }) => inSight(from) || inSight(to))
            .map(({ line, second, from, to }, i) => (
              <TreeLineDrawn key={i} from={from} to={to} second={second} word={LINE_WORDS[line.kind]} />
            ))}
          {placed.filter(inSight).map((place) => (
            <TreeBoardDrawn
              key={place.branch.id}
              place={place}
              scale={scale}
              reached={place.branch.id === first}
              picked={place.branch.id === picked}
              onKey={(event) => onKey(event, place)}
              open={() => place.branch.record && void navigate(`/bay/${place.branch.id}/ride`)}
            />
          ))}
        </g>
      </svg>
    </div>
  );
}

/** From the parent's rail to the child's: a bracket, or dashed and bent for a second parent. */
function TreeLineDrawn({ from, to, second, word }: { from: Placed; to: Placed; second: boolean; word: string }) {
  const HALF_px = 30;
  const [y1, y2] = [from.y + TALL_px / 2, to.y + TALL_px / 2];
  const [x1, x2] = [from.x + HALF_px, to.x - HALF_px];
  const bend = x2 - 66;
  const path = second
    ? `M${x1} ${y1 + 10}C${bend} ${y1 + 10} ${x1} ${y2 + 10} ${x2} ${y2 + 10}`
    : `M${x1} ${y1}H${bend}V${y2}H${x2}`;
  return (
    <g>
      <path
        d={path}
        fill="none"
        stroke={second ? 'var(--sea)' : 'var(--pencil)'}
        strokeWidth={1.5}
        {...(second ? { strokeDasharray: '6 4' } : {})}
      />
      <text
        x={x2 - 4}
        y={second ? y2 + 42 : y2 - 5}
        textAnchor="end"
        fontSize={13}
        className="on-paper"
        fill={second ? 'var(--sea-text)' : 'var(--pencil)'}
      >
        {word}
      </text>
    </g>
  );
}

const counted = (count: number, word: string) => `${count} ${count === 1 ? word : `${word}s`}`;

interface TreeBoardProps {
  place: Placed;
  scale: number;
  reached: boolean;
  picked: boolean;
  onKey: (event: KeyboardEvent) => void;
  open: () => void;
}

function TreeBoardDrawn({ place: { branch, x, y }, scale, reached, picked, onKey, open }: TreeBoardProps) {
  const riders = useShed((shed) => shed.riders);
  const style = useLengthStyle();
  const { record, name } = branch;
  const won = record?.versions?.some(({ frozen }) => frozen);
  const rider = record && riderNameOf(record, riders);
  const sizes = record
    ? [formatLength(record.board.length_mm, style, { feet: true }), formatLitres(litresOf(record))].join(', ')
    : 'thrown away';
  const said = [
    rider,
    record?.versions && counted(record.versions.length, 'version'),
    record && record.rides.length > 0 && counted(record.rides.length, 'ride'),
    won && 'winner',
  ].filter(Boolean);
  return (
    <g
      role="link"
      tabIndex={reached ? 0 : -1}
      data-id={branch.id}
      className="tree-board"
      aria-label={[`Open ${name}`, sizes, ...said].join(', ')}
      onKeyDown={onKey}
      onClick={open}
    >
      <rect
        x={x - COLUMN_px / 2 + 20}
        y={y - 4}
        width={COLUMN_px - 40}
        height={ROW_px - 6}
        className={picked ? 'wash picked' : 'wash'}
      />
      {record && (
        <g transform={`translate(${x} ${y + TALL_px})`}>
          <BoardPlan board={record.board} scale={scale} {...(won ? { stroke: 'var(--coral)' } : {})} />
        </g>
      )}
      <g textAnchor="middle" fontFamily="var(--serif)" fill="var(--ink)">
        <text x={x} y={y + TALL_px + 18} fontSize={15} fontWeight={600}>
          {name}
        </text>
        <text x={x} y={y + TALL_px + 35} fontSize={14}>
          {sizes}
        </text>
        <text x={x} y={y + TALL_px + 52} fontSize={13} fontStyle="italic" fill="var(--pencil)">
          {said.slice(0, 3).join(', ')}
        </text>
      </g>
    </g>
  );
}
