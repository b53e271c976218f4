import type { KeyboardEvent } from 'react';
import type { Wing } from '@june-tide/core/document';
import { withWing } from '@june-tide/core/edit';
import { halfBreadthAt } from '@june-tide/core/outline';
import { nudgeOf } from '../../parts/LengthField.tsx';
import { DrawnMeasure, useLengthStyle } from '../../parts/Measure.tsx';
import { editBoard } from '../../store/shed.ts';
import { startDrag } from './drag.ts';
import type { PlankScale } from './scale.ts';
import { useLiveBay } from './useBay.ts';

/** The wings on the rail: slide one along, pull it deeper, its distance from the tail written beside it. */
export function WingsOnPlan({ scale }: { scale: PlankScale }) {
  const { record, shape, moveHook } = useLiveBay();
  const style = useLengthStyle();
  const grid = nudgeOf(style, { shiftKey: false, altKey: false });
  const snap = (mm: number) => Math.round(mm / grid) * grid;
  const set = (index: number, change: Partial<Wing>, key: string) =>
    editBoard(record.id, `wing ${index + 1} moved`, (b) => withWing(b, index, change), key);
  return record.board.outline.wings.map((wing, i) => {
    const x = scale.x(wing.fromTail_mm);
    const half = halfBreadthAt(shape.outline, wing.fromTail_mm) * scale.k;
    const onKey = (event: KeyboardEvent) => {
      const nudge = nudgeOf(style, event);
      const along = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
      const deep = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
      if (along !== 0) set(i, { fromTail_mm: wing.fromTail_mm + along * nudge }, `wing:along${i}`);
      else if (deep !== 0) set(i, { depth_mm: wing.depth_mm + deep * nudge }, `wing:deep${i}`);
      else return;
      event.preventDefault();
      event.stopPropagation();
    };
    return (
      <g
        key={i}
        role="slider"
        tabIndex={0}
        className="mark"
        aria-label={`Wing ${i + 1} on the rail`}
        aria-valuenow={Math.round(wing.fromTail_mm)}
        aria-valuemin={20}
        aria-valuemax={2000}
        data-wing={i}
        onFocus={() => moveHook(wing.fromTail_mm)}
        onKeyDown={onKey}
        onPointerDown={(event) => {
          event.currentTarget.focus();
          startDrag(event, {
            onMove: (dx, dy, key) =>
              set(
                i,
                Math.abs(dx) >= Math.abs(dy)
                  ? { fromTail_mm: snap(wing.fromTail_mm + dx / scale.k) }
                  : { depth_mm: Math.max(grid, snap(wing.depth_mm + dy / scale.k)) },
                key,
              ),
          });
        }}
      >
        <circle className="grab" cx={x} cy={scale.centre - half} r={18} />
        <path d={`M${x} ${scale.centre - half - 4}l-6 -11h12z`} fill="var(--coral)" stroke="var(--on-board)" />
        <DrawnMeasure
          mm={wing.fromTail_mm}
          x={x - 10}
          y={scale.centre - half - 8}
          size={16}
          anchor="end"
          after={`wing ${i + 1}, from tail`}
        />
      </g>
    );
  });
}
