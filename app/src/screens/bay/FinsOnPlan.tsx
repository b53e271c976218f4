import { finSpots } from '@june-tide/core';
import { useBay } from './useBay.ts';
import type { PlankScale } from './scale.ts';

/** The boxes on the tail as lines of their bases, with the rail distance drawn. Seen through the board, as on a plan. */
export function FinsOnPlan({ scale }: { scale: PlankScale }) {
  const { shape } = useBay();
  return (
    <g pointerEvents="none">
      {finSpots(shape).map((spot, i) => (
        <g key={i} stroke="var(--on-board)">
          <line
            x1={scale.x(spot.rear.x_mm)}
            y1={scale.centre - spot.rear.y_mm * scale.k}
            x2={scale.x(spot.front.x_mm)}
            y2={scale.centre - spot.front.y_mm * scale.k}
            strokeWidth={6}
            strokeLinecap="round"
            data-fin={`${spot.box.role}${spot.side}`}
          />
          {spot.box.role !== 'centre' && (
            <line
              x1={scale.x(spot.middle.x_mm)}
              x2={scale.x(spot.middle.x_mm)}
              y1={scale.centre - spot.middle.y_mm * scale.k}
              y2={scale.centre - spot.rail_mm * scale.k}
              strokeWidth={1}
              strokeDasharray="3 2"
            />
          )}
        </g>
      ))}
    </g>
  );
}
