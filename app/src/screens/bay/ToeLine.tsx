import type { Board } from '@june-tide/core/document';
import { withFinBox } from '@june-tide/core/edit';
import { type FinSpot, toeFor_rad } from '@june-tide/core/fins';
import { editBoard } from '../../store/shed.ts';
import { Handle } from './Handle.tsx';
import { useLiveBay } from './useBay.ts';

interface ToeLineProps {
  spot: FinSpot;
  x: (x_mm: number) => number;
  y: (y_mm: number) => number;
  k: number;
  /** The line ends where it meets the stringer, or here. */
  to_mm: number;
  /** The ring that is pulled stands so far ahead of the base's middle. */
  ring_mm: number;
}

/** A pull turns a fin in by no more than this, and out by half of it. */
const MOST_TOE_rad = 0.2;

/** The line of a base carried forward to the stringer, with a ring on it that is pulled across to turn the fin. */
export function ToeLine({ spot, x, y, k, to_mm, ring_mm }: ToeLineProps) {
  const { record } = useLiveBay();
  const { box, side, middle } = spot;
  const index = record.board.fins.boxes.indexOf(box);
  const slope = Math.tan(box.toe_rad);
  const at = (x_mm: number) => middle.y_mm - side * slope * (x_mm - middle.x_mm);
  const meets_mm = slope > 0 ? middle.x_mm + Math.abs(middle.y_mm) / slope : to_mm;
  const end_mm = Math.min(meets_mm, to_mm);
  const ring = middle.x_mm + ring_mm;
  const set = (in_mm: number, key: string) =>
    editBoard(
      record.id,
      `toe of the ${box.role} fins`,
      (b: Board) =>
        withFinBox(b, index, {
          toe_rad: Math.max(-MOST_TOE_rad / 2, Math.min(MOST_TOE_rad, toeFor_rad(in_mm, ring_mm))),
        }),
      key,
    );
  return (
    <g>
      <line
        x1={x(spot.front.x_mm)}
        y1={y(spot.front.y_mm)}
        x2={x(end_mm)}
        y2={y(at(end_mm))}
        stroke="var(--sea)"
        strokeWidth={1.2}
        strokeDasharray="8 5"
        pointerEvents="none"
      />
      {side > 0 && (
        <Handle
          label={`Toe of the ${box.role} fins`}
          now={Math.round((box.toe_rad * 1800) / Math.PI) / 10}
          low={-6}
          high={12}
          across={{ value_mm: slope * ring_mm, pixels: k, nudges: 0.5, grid_mm: 0.5, set }}
          group={{ 'data-toe': box.role }}
        >
          <circle className="grab" cx={x(ring)} cy={y(at(ring))} r={15} />
          <circle className="ring" cx={x(ring)} cy={y(at(ring))} r={5} />
        </Handle>
      )}
    </g>
  );
}
