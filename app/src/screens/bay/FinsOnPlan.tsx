import { finSpots, leadingEdge_mm } from '@june-tide/core/fins';
import { DrawnMeasure } from '../../parts/Measure.tsx';
import { FinHandle } from './FinHandle.tsx';
import type { PlankScale } from './scale.ts';
import { useSession } from './session.ts';
import { ToeLine } from './ToeLine.tsx';
import { useLiveBay } from './useBay.ts';

/** The ring that turns a fin stands so far ahead of it, as a share of the length. */
const RING_AHEAD = 0.3;

/** The boxes on the tail as lines of their bases, their distances written, toe lines drawn forward to where they meet. */
export function FinsOnPlan({ scale }: { scale: PlankScale }) {
  const { shape } = useLiveBay();
  const spots = finSpots(shape);
  const finEdge = useSession((session) => session.finEdge);
  const y = (y_mm: number) => scale.centre - y_mm * scale.k;
  return (
    <g>
      {spots
        .filter((spot) => spot.side !== 0)
        .map((spot, i) => (
          <ToeLine
            key={i}
            spot={spot}
            x={scale.x}
            y={y}
            k={scale.k}
            to_mm={shape.board.length_mm}
            ring_mm={RING_AHEAD * shape.board.length_mm}
          />
        ))}
      {spots.map((spot, i) => (
        <g key={i} stroke="var(--on-board)">
          <FinHandle spot={spot} x={scale.x} y={y} k={scale.k} width={6} />
          {spot.box.role !== 'centre' && (
            <line
              x1={scale.x(spot.middle.x_mm)}
              x2={scale.x(spot.middle.x_mm)}
              y1={y(spot.middle.y_mm)}
              y2={y(spot.rail_mm)}
              strokeWidth={1}
              strokeDasharray="3 2"
              pointerEvents="none"
            />
          )}
        </g>
      ))}
      {spots
        .filter((spot) => spot.side >= 0)
        .map((spot, i) => (
          <g key={i}>
            <DrawnMeasure
              mm={finEdge === 'leading' ? leadingEdge_mm(spot.box) : spot.box.trailingEdge_mm}
              x={scale.x(spot.front.x_mm) + 10}
              y={y(spot.middle.y_mm) + (spot.side === 0 ? -6 : 18)}
              size={17}
              after={finEdge === 'leading' ? 'to the leading edge' : 'from tail'}
            />
            {spot.side === 1 && (
              <DrawnMeasure
                mm={spot.box.inset_mm}
                x={scale.x(spot.middle.x_mm) - 6}
                y={y(spot.rail_mm) - 6}
                size={15}
                anchor="end"
                after="in"
              />
            )}
          </g>
        ))}
    </g>
  );
}
