import { useMemo } from 'react';
import { markRows } from '@june-tide/core/edit';
import { finSpots } from '@june-tide/core/fins';
import { halfBreadthAt } from '@june-tide/core/outline';
import { Facts } from '@june-tide/core/measure';
import { straightedgeAcross } from '@june-tide/core/section';
import { sectionAt, type Shape } from '@june-tide/core/shape';
import { DrawnMeasure } from '../../parts/Measure.tsx';
import type { PlankScale } from './scale.ts';
import { useSession } from './session.ts';
import { useBay } from './useBay.ts';

/** A foot: from heel to toe and across the ball, mm. */
const FOOT_mm = { long: 265, wide: 98 };
/** A pad reaches so far ahead of the middle of the back foot, so far behind it to its kick, and so far out. */
const PAD_mm = { ahead: 110, behind: 190, half: 140 };
/** Pad and plug keep off the very tail. */
const OFF_TAIL_mm = 25;
const PLUG_mm = 75;
const STATIONS = 80;

/** Where it is stood on, what it is stood on by, and where under it the concave is deepest and the rocker flat: seen together. */
export function FeetOnPlan({ scale }: { scale: PlankScale }) {
  const together = useSession((session) => session.together);
  return together ? <Drawn scale={scale} /> : null;
}

function Drawn({ scale }: { scale: PlankScale }) {
  const { record, shape, rider, step } = useBay();
  const { board } = record;
  const { backFoot_mm, frontFoot_mm } = new Facts(shape, rider?.height_mm).feet;
  const { notch_mm } = shape.outline.end;
  const pad = {
    from_mm: Math.max(notch_mm + OFF_TAIL_mm, backFoot_mm - PAD_mm.behind),
    to_mm: backFoot_mm + PAD_mm.ahead,
  };
  const deepest = useMemo(() => deepestAt(shape), [shape]);
  const flat = markRows(board, 'rocker').find(({ key }) => key === 'flat');
  const y = (y_mm: number) => scale.centre - y_mm * scale.k;
  const low = scale.half ? 0 : 1;
  const padHalf = (x_mm: number) => Math.min(PAD_mm.half, 0.82 * halfBreadthAt(shape.outline, x_mm));
  const corners = [
    [pad.from_mm, padHalf(pad.from_mm)],
    [pad.to_mm, padHalf(pad.to_mm)],
    [pad.to_mm, -low * padHalf(pad.to_mm)],
    [pad.from_mm, -low * padHalf(pad.from_mm)],
  ].map(([x_mm, y_mm]) => `${scale.x(x_mm).toFixed(1)} ${y(y_mm).toFixed(1)}`);
  return (
    <g pointerEvents="none" data-testid="feet-on-plan">
      <defs>
        <clipPath id="over-stringer">
          <rect x={0} y={0} width={scale.width} height={Math.max(0, scale.half ? scale.centre : scale.height)} />
        </clipPath>
      </defs>
      <path d={`M${corners.join('L')}Z`} fill="var(--on-board)" fillOpacity={0.08} stroke="var(--on-board-quiet)" />
      {[backFoot_mm, frontFoot_mm].map((x_mm) => (
        <g key={x_mm} clipPath="url(#over-stringer)">
          <ellipse
            cx={scale.x(x_mm)}
            cy={scale.centre}
            rx={(FOOT_mm.wide / 2) * scale.k}
            ry={(FOOT_mm.long / 2) * scale.k}
            fill="var(--sea)"
            fillOpacity={0.22}
            stroke="var(--sea-text)"
            strokeWidth={1.4}
          />
        </g>
      ))}
      <circle
        cx={scale.x(notch_mm + PLUG_mm)}
        cy={scale.centre}
        r={4}
        fill="none"
        stroke="var(--on-board)"
        strokeWidth={2}
      />
      {step !== 'fins' &&
        finSpots(shape)
          .filter((spot) => !scale.half || spot.side >= 0)
          .map((spot, i) => (
            <line
              key={i}
              x1={scale.x(spot.rear.x_mm)}
              y1={y(spot.rear.y_mm)}
              x2={scale.x(spot.front.x_mm)}
              y2={y(spot.front.y_mm)}
              stroke="var(--on-board)"
              strokeWidth={4}
              strokeLinecap="round"
            />
          ))}
      {deepest && <Place scale={scale} x_mm={deepest.x_mm} mm={deepest.light_mm} words="light, deepest here" row={0} />}
      {flat && <Place scale={scale} x_mm={flat.x_mm} mm={flat.x_mm} words="from tail, flat point" row={1} />}
      <DrawnMeasure
        mm={frontFoot_mm - backFoot_mm}
        x={scale.x((backFoot_mm + frontFoot_mm) / 2)}
        y={scale.centre - 8}
        size={16}
        anchor="middle"
        after={rider ? `between ${rider.name}’s feet` : 'between the feet, as for most riders'}
      />
    </g>
  );
}

interface PlaceProps {
  scale: PlankScale;
  x_mm: number;
  mm: number;
  words: string;
  row: number;
}

/** A station across the plan, named at the rail. */
function Place({ scale, x_mm, mm, words, row }: PlaceProps) {
  const { shape } = useBay();
  const half = halfBreadthAt(shape.outline, x_mm) * scale.k;
  const x = scale.x(x_mm);
  return (
    <g>
      <line
        x1={x}
        x2={x}
        y1={scale.centre - half}
        y2={scale.half ? scale.centre : scale.centre + half}
        stroke="var(--coral)"
        strokeWidth={1.2}
        strokeDasharray="2 4"
      />
      <DrawnMeasure
        mm={mm}
        x={x + 8}
        y={scale.half ? scale.centre - half + 40 + 24 * row : scale.centre + 62 + 22 * row}
        size={15}
        after={words}
      />
    </g>
  );
}

/** Where a straightedge across the bottom shows most light; undefined for a bottom without a concave. */
function deepestAt(shape: Shape): { x_mm: number; light_mm: number } | undefined {
  let best: { x_mm: number; light_mm: number } | undefined;
  for (let k = 1; k < STATIONS; k++) {
    const x_mm = (shape.board.length_mm * k) / STATIONS;
    const section = sectionAt(shape, x_mm);
    if (!section) continue;
    const { kind, gap_mm } = straightedgeAcross(section);
    if (kind === 'light' && gap_mm > (best?.light_mm ?? 0)) best = { x_mm, light_mm: gap_mm };
  }
  return best;
}
