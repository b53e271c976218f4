import { lazy, memo, Suspense, useState } from 'react';
import { useNavigate } from 'react-router';
import type { BoardRecord } from '@june-tide/core/record';
import { formatLitres } from '@june-tide/core/units';
import { BoardPlan } from '../../parts/BoardPlan.tsx';
import { DrawnMeasure, Measure } from '../../parts/Measure.tsx';
import type { Done } from '../../parts/useDone.tsx';
import { measuresFor } from '../../store/derived.ts';
import { MoreButton } from './MoreButton.tsx';

/** What can be done with a board comes when it is asked for the first time: most boards are only opened. */
const StoodMenu = lazy(() => import('./StoodMenu.tsx'));

interface StoodProps {
  record: BoardRecord;
  rider: string;
  /** Middle of its place on the wall, width of the place, y of the floor, height under the floor, pixels a mm. */
  x: number;
  slot: number;
  floor: number;
  caption: number;
  scale: number;
  onDone: (done: Done) => void;
}

/** One board standing on its tail, with its name and size under it and what can be done with it; left alone while the wall is scrolled. */
export const Stood = memo(function Stood({ record, rider, x, slot, floor, caption, scale, onDone }: StoodProps) {
  const navigate = useNavigate();
  const [acting, setActing] = useState(false);
  const { board } = record;
  const litres = measuresFor(board).volume_L;
  const called = `${board.name} ${record.number}`;
  const open = () => void navigate(`/bay/${record.id}/outline`);

  return (
    <g role="listitem" className="stood" data-board={called}>
      <g
        role="link"
        tabIndex={0}
        className="stood-board"
        aria-label={`Open ${called}, ${rider}, ${formatLitres(litres)}`}
        onClick={open}
        onKeyDown={(event) => {
          if (event.key === 'Enter' || event.key === ' ') open();
        }}
      >
        <rect className="hover-wash" x={x - slot / 2 + 2} y={floor} width={slot - 4} height={caption - 2} />
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
            {record.number}, {rider}
          </text>
          <DrawnMeasure mm={board.length_mm} feet x={x} y={floor + 62} size={20} anchor="middle" />
          <SizeBelow x={x} y={floor + 82} width_mm={board.outline.width_mm} thickness_mm={board.foil.thickness_mm} />
          <text x={x} y={floor + 101} fontSize={16} fontWeight={600}>
            {formatLitres(litres)}
          </text>
        </g>
      </g>
      <foreignObject x={x + slot / 2 - 32} y={floor + 46} width={30} height={30}>
        <div className="stood-tools">
          {acting ? (
            <Suspense fallback={<MoreButton called={called} />}>
              <StoodMenu record={record} called={called} onDone={onDone} />
            </Suspense>
          ) : (
            <MoreButton called={called} onClick={() => setActing(true)} />
          )}
        </div>
      </foreignObject>
    </g>
  );
});

function SizeBelow({ x, y, width_mm, thickness_mm }: { x: number; y: number; width_mm: number; thickness_mm: number }) {
  return (
    <foreignObject x={x - 70} y={y - 16} width={140} height={22}>
      <div className="serif size-below">
        <Measure mm={width_mm} /> × <Measure mm={thickness_mm} />
      </div>
    </foreignObject>
  );
}
