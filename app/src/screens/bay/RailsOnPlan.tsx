import { stationOfMark } from '@june-tide/core/document';
import { halfBreadthAt } from '@june-tide/core/outline';
import { sectionRing } from '@june-tide/core/section';
import { sectionAt } from '@june-tide/core/shape';
import { DrawnMeasure } from '../../parts/Measure.tsx';
import { editBoard } from '../../store/shed.ts';
import { Handle } from './Handle.tsx';
import type { PlankScale } from './scale.ts';
import { useLiveBay } from './useBay.ts';

/** So much of the section is drawn in from the rail. */
const SHOWN_mm = 85;

/** At each rail station the rail itself, cut and laid flat on the board: the outer edge toward the rail it belongs to. */
export function RailsOnPlan({ scale }: { scale: PlankScale }) {
  const { shape, record } = useLiveBay();
  const size = Math.max(0.75, scale.k);
  return (
    <g data-testid="rails-on-plan">
      <EdgeOnPlan scale={scale} />
      {record.board.rails.stations.map((station, i) => {
        const x_mm = stationOfMark(station, shape.anchors);
        const section = sectionAt(shape, x_mm);
        if (!section) return null;
        const ring = sectionRing(section, 24).filter((p) => p.y_mm >= Math.max(0, section.half_mm - SHOWN_mm));
        const middle = section.input.thickness_mm / 2;
        const x = scale.x(x_mm);
        const rail = scale.centre + section.half_mm * scale.k;
        const path = ring
          .map(
            (p) =>
              `${(x + (p.z_mm - middle) * size).toFixed(1)} ${(rail - 4 + (p.y_mm - section.half_mm) * size).toFixed(1)}`,
          )
          .join('L');
        return (
          <g key={i} pointerEvents="none" data-rail={i}>
            <line x1={x} x2={x} y1={scale.centre} y2={rail} stroke="var(--on-board-quiet)" strokeDasharray="3 4" />
            <path
              d={`M${path}`}
              fill="var(--board)"
              stroke="var(--on-board)"
              strokeWidth={1.6}
              strokeLinejoin="round"
            />
          </g>
        );
      })}
    </g>
  );
}

/** The hard edge along the tail as a heavy line on the far rail, thinning where it fades; its end is pulled along. */
function EdgeOnPlan({ scale }: { scale: PlankScale }) {
  const { shape, record, moveHook } = useLiveBay();
  const { length_mm, fade_mm } = record.board.rails.tailEdge;
  const set = (to_mm: number, key: string) =>
    editBoard(
      record.id,
      'hard edge',
      (b) => ({ ...b, rails: { ...b.rails, tailEdge: { ...b.rails.tailEdge, length_mm: to_mm } } }),
      key,
    );
  const at = (x_mm: number) =>
    `${scale.x(x_mm).toFixed(1)} ${(scale.centre - halfBreadthAt(shape.outline, x_mm) * scale.k).toFixed(1)}`;
  const along = (from: number, to: number) =>
    `M${Array.from({ length: 25 }, (_, i) => at(Math.max(1, Math.min(record.board.length_mm, from + ((to - from) * i) / 24)))).join('L')}`;
  const x = scale.x(length_mm);
  const y = scale.centre - halfBreadthAt(shape.outline, Math.max(1, length_mm)) * scale.k;
  return (
    <g>
      {length_mm > 0 && (
        <g fill="none" stroke="var(--coral)" pointerEvents="none">
          <path d={along(0, length_mm)} strokeWidth={5} />
          <path d={along(length_mm, length_mm + fade_mm)} strokeWidth={2.5} strokeDasharray="7 4" />
        </g>
      )}
      <Handle
        label="End of the hard edge"
        now={Math.round(length_mm)}
        low={0}
        high={Math.round(record.board.length_mm)}
        along={{ value_mm: length_mm, pixels: scale.k, low_mm: 0, high_mm: record.board.length_mm, set }}
        onTake={() => moveHook(length_mm)}
        group={{ 'data-edge': 'end' }}
      >
        <circle className="grab" cx={x} cy={y} r={18} />
        <circle className="ring" cx={x} cy={y} r={6} />
        <DrawnMeasure mm={length_mm} x={x + 10} y={y + 26} size={16} after="hard edge" />
      </Handle>
    </g>
  );
}
