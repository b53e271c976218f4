import { type FinSpot, finSpots } from '@june-tide/core/fins';
import { DrawnMeasure } from '../../parts/Measure.tsx';
import { FinHandle } from './FinHandle.tsx';
import { useLiveBay } from './useBay.ts';
import type { PlankScale } from './scale.ts';

/** The boxes on the tail as lines of their bases, their distances written, toe lines drawn forward to where they meet. */
export function FinsOnPlan({ scale }: { scale: PlankScale }) {
  const { shape } = useLiveBay();
  const spots = finSpots(shape);
  const y = (y_mm: number) => scale.centre - y_mm * scale.k;
  return (
    <g>
      {spots
        .filter((spot) => spot.side !== 0 && spot.box.toe_rad > 0)
        .map((spot, i) => (
          <ToeLine key={i} spot={spot} scale={scale} length_mm={shape.board.length_mm} />
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
              mm={spot.box.trailingEdge_mm}
              x={scale.x(spot.front.x_mm) + 10}
              y={y(spot.middle.y_mm) + (spot.side === 0 ? -6 : 18)}
              size={17}
              after="from tail"
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

function ToeLine({ spot, scale, length_mm }: { spot: FinSpot; scale: PlankScale; length_mm: number }) {
  const slope = (spot.front.y_mm - spot.rear.y_mm) / (spot.front.x_mm - spot.rear.x_mm);
  const meet = spot.rear.x_mm - spot.rear.y_mm / slope;
  const end = Math.min(meet, length_mm);
  return (
    <line
      x1={scale.x(spot.front.x_mm)}
      y1={scale.centre - spot.front.y_mm * scale.k}
      x2={scale.x(end)}
      y2={scale.centre - (spot.rear.y_mm + slope * (end - spot.rear.x_mm)) * scale.k}
      stroke="var(--sea)"
      strokeWidth={1.2}
      strokeDasharray="8 5"
    />
  );
}
