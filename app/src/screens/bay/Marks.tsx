import type { KeyboardEvent } from 'react';
import { distanceFrom } from '@june-tide/core/document';
import { type MarkRow, markRows, withMarkAt, withMarkValue } from '@june-tide/core/edit';
import { nudgeOf } from '../../parts/LengthField.tsx';
import { DrawnMeasure, useLengthStyle } from '../../parts/Measure.tsx';
import { editBoard } from '../../store/shed.ts';
import { startDrag } from './drag.ts';
import type { PlankScale } from './scale.ts';
import { curveOf, useLiveBay } from './useBay.ts';

interface Handle {
  row: MarkRow;
  x: number;
  y: number;
  /** The mirrored one on the lower rail. */
  y2?: number;
  /** Pixels on screen for a mm of the mark's number, along the screen's y. */
  pixels: number;
}

/** The step's marks on their line: drag up and down for the number, sideways for those that slide. */
export function Marks({ scale }: { scale: PlankScale }) {
  const { shape, record, step, held, hold, moveHook } = useLiveBay();
  const style = useLengthStyle();
  const curve = curveOf(step);
  if (!curve) return null;
  const { board } = record;
  const up = scale.k * scale.stretch;
  const handles = markRows(board, curve).map((row): Handle => {
    const x = scale.x(row.x_mm);
    if (curve === 'outline') {
      const half = (row.value_mm / 2) * scale.k;
      return { row, x, y: scale.centre - half, y2: scale.centre + half, pixels: scale.k / 2 };
    }
    const ground = scale.ground - shape.rocker.line.valueAt(row.x_mm) * up;
    if (curve === 'rocker') return { row, x, y: ground, pixels: up };
    return { row, x, y: ground - row.value_mm * up, pixels: up };
  });

  const setValue = (row: MarkRow, value_mm: number, mergeKey: string) =>
    editBoard(
      record.id,
      `${row.label.toLowerCase()} on the ${curve}`,
      (b) => withMarkValue(b, curve, row.key, value_mm),
      mergeKey,
    );
  const slide = (row: MarkRow, at_mm: number, mergeKey: string) =>
    editBoard(record.id, `${row.label.toLowerCase()} moved`, (b) => withMarkAt(b, curve, row.key, at_mm), mergeKey);

  const labels = labelled(handles);
  return (
    <g className={curve === 'outline' ? '' : 'on-paper'}>
      {handles.map((handle, i) => {
        const { row, x, y } = handle;
        const isHeld = held === row.key;
        const grid = nudgeOf(style, { shiftKey: false, altKey: false });
        const snap = (value: number) => Math.round(value / grid) * grid;
        const onKey = (event: KeyboardEvent) => {
          const nudge = nudgeOf(style, event);
          const vertical = event.key === 'ArrowUp' ? 1 : event.key === 'ArrowDown' ? -1 : 0;
          const along = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0;
          if (vertical !== 0 && row.valued) setValue(row, row.value_mm + vertical * nudge, `nudge:${row.key}`);
          else if (along !== 0 && row.movable) {
            const sense = row.from === 'nose' ? -1 : 1;
            slide(row, row.at_mm + sense * along * nudge, `slide:${row.key}`);
          } else return;
          event.preventDefault();
          event.stopPropagation();
        };
        const grab = (sign: 1 | -1) => (event: React.PointerEvent<SVGElement>) => {
          hold(row.key);
          moveHook(row.x_mm);
          event.currentTarget.focus();
          startDrag(event, {
            onMove: (dx, dy, key) => {
              const sideways =
                row.movable &&
                Math.abs(dx) > Math.abs(dy) &&
                (row.key === 'wide' || row.key === 'flat' || row.key === 'thickest');
              if (sideways) slide(row, snap(distanceFrom(row.from, row.x_mm + dx / scale.k, shape.anchors)), key);
              else if (row.valued) setValue(row, snap(row.value_mm - (sign * dy) / handle.pixels), key);
            },
          });
        };
        return (
          <g key={row.key}>
            {handle.y2 !== undefined && row.key !== 'block' && (
              <g stroke="var(--on-board)" strokeWidth={1} pointerEvents="none">
                <line x1={x} x2={x} y1={y + 8} y2={handle.y2 - 8} />
                <path
                  d={`M${x} ${y + 7}l-3.5 9h7zM${x} ${handle.y2 - 7}l-3.5 -9h7z`}
                  fill="var(--on-board)"
                  stroke="none"
                />
              </g>
            )}
            {(handle.y2 === undefined || scale.half ? [y] : [y, handle.y2]).map((at, side) => (
              <g
                key={side}
                role="slider"
                tabIndex={side === 0 ? 0 : -1}
                aria-label={side === 0 ? `${row.label}, mark on the ${curve}` : `${row.label}, the other rail`}
                aria-valuenow={Math.round(row.value_mm)}
                aria-valuemin={0}
                aria-valuemax={1500}
                aria-orientation="vertical"
                className={`mark${isHeld ? ' held' : ''}`}
                data-mark={`${curve}.${row.key}${side === 1 ? '.far' : ''}`}
                onPointerDown={grab(side === 0 ? 1 : -1)}
                onFocus={() => hold(row.key)}
                onKeyDown={onKey}
              >
                <circle className="grab" cx={x} cy={at} r={20} />
                <circle className="ring" cx={x} cy={at} r={isHeld ? 7 : 5} />
                <path
                  d={`M${x - 5} ${at}h10M${x} ${at - 5}v10`}
                  stroke={isHeld ? 'var(--coral)' : 'var(--on-board)'}
                  strokeWidth={1}
                  pointerEvents="none"
                />
              </g>
            ))}
            <DrawnMeasure
              mm={row.valued ? row.value_mm : row.at_mm}
              x={labels[i].x}
              y={labels[i].y}
              size={20}
              anchor={labels[i].anchor}
              held={isHeld}
              after={curve === 'outline' ? undefined : row.label.toLowerCase()}
            />
            {curve === 'outline' && (
              <text
                x={labels[i].x}
                y={labels[i].y + 19}
                textAnchor={labels[i].anchor}
                fontSize={15}
                fontStyle="italic"
                fontFamily="var(--serif)"
                className="drawn"
                style={{ fill: isHeld ? '#a52f1b' : 'var(--on-board-quiet)' }}
              >
                {row.label.toLowerCase()}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );

  /** Where each number stands: on the board for the plan, over its mark on the profile; neighbours step aside. */
  function labelled(all: readonly Handle[]): { x: number; y: number; anchor: 'start' | 'middle' | 'end' }[] {
    const placed: { x: number; y: number; anchor: 'start' | 'middle' | 'end' }[] = [];
    for (const { row, x, y } of all) {
      const edge = row.x_mm < 100 ? 'start' : row.x_mm > board.length_mm - 100 ? 'end' : 'middle';
      const shift = edge === 'start' ? 10 : edge === 'end' ? -10 : 0;
      let at = curve === 'outline' ? scale.centre - 42 : y - (curve === 'rocker' ? 14 : 16);
      if (curve === 'outline' && row.key === 'block') at = scale.centre + 6;
      if (curve === 'rocker') at = Math.min(y + 26, scale.ground + 16) - (row.key === 'flat' ? 0 : 46);
      while (placed.some((other) => Math.abs(other.x - (x + shift)) < 74 && Math.abs(other.y - at) < 34)) {
        at += curve === 'outline' ? 46 : -24;
      }
      placed.push({ x: x + shift, y: at, anchor: edge });
    }
    return placed;
  }
}
