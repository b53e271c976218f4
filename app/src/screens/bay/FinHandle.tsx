import type { KeyboardEvent } from 'react';
import { withFinBox } from '@june-tide/core/edit';
import type { FinSpot } from '@june-tide/core/fins';
import { nudgeOf } from '../../parts/LengthField.tsx';
import { useLengthStyle } from '../../parts/Measure.tsx';
import { editBoard } from '../../store/shed.ts';
import { startDrag } from './drag.ts';
import { useLiveBay } from './useBay.ts';

interface FinHandleProps {
  spot: FinSpot;
  /** Pixels of a station, and of a distance off the stringer. */
  x: (x_mm: number) => number;
  y: (y_mm: number) => number;
  /** Pixels a mm. */
  k: number;
  width: number;
}

const ROLE_WORDS = { centre: 'Centre fin', front: 'Front fin', rear: 'Rear fin' } as const;
const LEAST_mm = 3;

/** The base of one fin, to be dragged along the board and in from the rail; its twin on the other side follows. */
export function FinHandle({ spot, x, y, k, width }: FinHandleProps) {
  const { record } = useLiveBay();
  const style = useLengthStyle();
  const index = record.board.fins.boxes.indexOf(spot.box);
  const grid = nudgeOf(style, { shiftKey: false, altKey: false });
  const snap = (mm: number) => Math.max(LEAST_mm, Math.round(mm / grid) * grid);
  const name = ROLE_WORDS[spot.box.role];
  const { trailingEdge_mm, inset_mm, role } = spot.box;
  const set = (change: { trailingEdge_mm?: number; inset_mm?: number }, key: string) =>
    editBoard(record.id, `${name.toLowerCase()} moved`, (b) => withFinBox(b, index, change), key);
  const onKey = (event: KeyboardEvent) => {
    const nudge = nudgeOf(style, event);
    const along = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
    const inward = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (along !== 0) set({ trailingEdge_mm: trailingEdge_mm + along * nudge }, `fin:along${index}`);
    else if (inward !== 0 && role !== 'centre') set({ inset_mm: inset_mm + inward * nudge }, `fin:in${index}`);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const ends = {
    x1: x(spot.rear.x_mm),
    y1: y(spot.rear.y_mm),
    x2: x(spot.front.x_mm),
    y2: y(spot.front.y_mm),
    strokeLinecap: 'round' as const,
  };
  return (
    <g
      role="slider"
      tabIndex={spot.side >= 0 ? 0 : -1}
      aria-label={spot.side >= 0 ? `${name} on the tail` : `${name}, the other side`}
      aria-valuenow={Math.round(trailingEdge_mm)}
      aria-valuemin={0}
      aria-valuemax={1500}
      className="mark"
      style={{ cursor: 'move' }}
      data-fin={`${role}${spot.side}`}
      onKeyDown={onKey}
      onPointerDown={(event) => {
        event.currentTarget.focus();
        startDrag(event, {
          onMove: (dx, dy, key) =>
            set(
              {
                trailingEdge_mm: snap(trailingEdge_mm + dx / k),
                ...(role === 'centre' ? {} : { inset_mm: snap(inset_mm + ((spot.side < 0 ? -1 : 1) * dy) / k) }),
              },
              key,
            ),
        });
      }}
    >
      <line {...ends} stroke="transparent" strokeWidth={Math.max(22, width)} />
      <line {...ends} className="fin-base" stroke="var(--on-board)" strokeWidth={width} />
    </g>
  );
}
