import { sectionAt, sectionRing, stationOfMark } from '@june-tide/core';
import type { PlankScale } from './scale.ts';
import { useLiveBay } from './useBay.ts';

/** So much of the section is drawn in from the rail. */
const SHOWN_mm = 85;

/** At each rail station the rail itself, cut and laid flat on the board: the outer edge toward the rail it belongs to. */
export function RailsOnPlan({ scale }: { scale: PlankScale }) {
  const { shape, record } = useLiveBay();
  const size = Math.max(0.75, scale.k);
  return (
    <g pointerEvents="none" data-testid="rails-on-plan">
      {record.board.rails.stations.map((station, i) => {
        const x_mm = stationOfMark(station, shape.anchors);
        const section = sectionAt(shape, x_mm);
        if (!section) return null;
        const ring = sectionRing(section, 24).filter((p) => p.x_mm >= Math.max(0, section.half_mm - SHOWN_mm));
        const middle = section.input.thickness_mm / 2;
        const x = scale.x(x_mm);
        const rail = scale.centre + section.half_mm * scale.k;
        const path = ring
          .map(
            (p) =>
              `${(x + (p.y_mm - middle) * size).toFixed(1)} ${(rail - 4 + (p.x_mm - section.half_mm) * size).toFixed(1)}`,
          )
          .join('L');
        return (
          <g key={i}>
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
