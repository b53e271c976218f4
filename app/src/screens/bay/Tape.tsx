import { memo } from 'react';
import { formatLength, INCH_mm } from '@june-tide/core/units';
import { useLengthStyle } from '../../parts/Measure.tsx';
import { startDrag } from './drag.ts';
import { Handle } from './Handle.tsx';
import { type PlankScale, TAPE_HEIGHT } from './scale.ts';

/** Half of the hook's box, px: room for “72 3/4” beside its arrow. */
const HOOK_HALF = 58;

interface TapeProps {
  scale: PlankScale;
  length_mm: number;
  hook_mm: number;
  moveHook: (x_mm: number) => void;
}

/** The one tape: ticks from the tail above, from the nose below. A click moves the hook, a drag slides it. */
export const Tape = memo(function Tape({ scale, length_mm, hook_mm, moveHook }: TapeProps) {
  const style = useLengthStyle();
  const metric = style.kind === 'cm' || style.kind === 'mm';
  const unit = metric ? 10 : INCH_mm;
  const [middle, major] = metric ? [5, 10] : [6, 12];
  const count = Math.floor(length_mm / unit);
  const top = scale.tapeTop;
  const bottom = top + TAPE_HEIGHT;
  const ticks = Array.from({ length: count + 1 }, (_, i) => i);
  const size = (i: number) => (i % major === 0 ? 11 : i % middle === 0 ? 8 : 5);
  const labelEvery = metric ? 10 : 6;
  const x0 = scale.x(0) - 12;
  const x1 = scale.x(length_mm) + 12;
  return (
    <g>
      <g
        className="tape pressed"
        onPointerDown={(event) => {
          const at = scale.station(event.nativeEvent.offsetX);
          moveHook(at);
          startDrag(event, { onMove: (dx) => moveHook(at + dx / scale.k) });
        }}
      >
        <rect
          x={x0}
          y={top}
          width={x1 - x0}
          height={TAPE_HEIGHT}
          fill="var(--tape)"
          stroke="var(--tape-ink)"
          strokeWidth={0.7}
        />
        <rect x={x0 - 5} y={top - 3} width={6} height={TAPE_HEIGHT + 6} fill="var(--pencil)" />
        <g stroke="var(--tape-ink)">
          {ticks.map((i) => (
            <line
              key={i}
              x1={scale.x(i * unit)}
              x2={scale.x(i * unit)}
              y1={top}
              y2={top + size(i)}
              strokeWidth={i % major === 0 ? 1.4 : 0.8}
            />
          ))}
          {ticks.map((i) => (
            <line
              key={i}
              x1={scale.x(length_mm - i * unit)}
              x2={scale.x(length_mm - i * unit)}
              y1={bottom}
              y2={bottom - size(i) * 0.75}
              strokeWidth={i % major === 0 ? 1.4 : 0.8}
            />
          ))}
        </g>
        <g fill="var(--tape-ink)" textAnchor="end" aria-hidden="true">
          {ticks
            .filter((i) => i > 0 && i % labelEvery === 0)
            .map((i) => (
              <text
                key={i}
                x={scale.x(i * unit) - 4}
                y={top + 21}
                fontSize={i % major === 0 ? 15 : 13}
                fontWeight={i % major === 0 ? 700 : 500}
              >
                {i}
              </text>
            ))}
        </g>
      </g>
      <Hook scale={scale} length_mm={length_mm} hook_mm={hook_mm} moveHook={moveHook} />
    </g>
  );
});

/** Where on the board everything is read: its line over both views and its two distances. ← → move it from anywhere. */
function Hook({ scale, length_mm, hook_mm, moveHook }: TapeProps) {
  const style = useLengthStyle();
  const metric = style.kind === 'cm' || style.kind === 'mm';
  const short = (mm: number) => formatLength(mm, metric ? style : { kind: 'fraction', denominator: 4 as 8 });
  const top = scale.tapeTop;
  const hookX = scale.x(hook_mm);
  return (
    <>
      <line
        x1={hookX}
        x2={hookX}
        y1={6}
        y2={scale.height - 4}
        stroke="var(--tape)"
        strokeWidth={5}
        opacity={0.85}
        pointerEvents="none"
      />
      <line
        x1={hookX}
        x2={hookX}
        y1={6}
        y2={scale.height - 4}
        stroke="var(--tape-ink)"
        strokeWidth={1.2}
        pointerEvents="none"
      />
      <Handle
        label="Hook on the tape"
        now={Math.round(hook_mm)}
        low={0}
        high={Math.round(length_mm)}
        along={{ value_mm: hook_mm, pixels: scale.k, pulledOnly: true, grid_mm: 0, set: moveHook }}
        group={{
          className: 'hook slides',
          'aria-valuetext': `${formatLength(hook_mm, style)} from tail, ${formatLength(length_mm - hook_mm, style)} from nose`,
        }}
      >
        <rect
          x={hookX - HOOK_HALF}
          y={top - 5}
          width={2 * HOOK_HALF}
          height={TAPE_HEIGHT + 10}
          fill="var(--tape)"
          stroke="var(--tape-ink)"
          strokeWidth={1.8}
        />
        <line x1={hookX} x2={hookX} y1={top - 5} y2={top + TAPE_HEIGHT + 5} stroke="var(--tape-ink)" />
        <path
          d={`M${hookX - HOOK_HALF + 4} ${top + 15}l5 -4v8zM${hookX + HOOK_HALF - 4} ${top + 15}l-5 -4v8z`}
          fill="var(--tape-ink)"
        />
        <g fill="var(--tape-ink)" fontSize={14} fontWeight={600}>
          <text x={hookX - 4} y={top + 20} textAnchor="end">
            {short(hook_mm)}
          </text>
          <text x={hookX + 5} y={top + 20}>
            {short(length_mm - hook_mm)}
          </text>
        </g>
      </Handle>
    </>
  );
}
