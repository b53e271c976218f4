import type { Board } from '@june-tide/core/document';
import { outlinePoints } from '@june-tide/core/outline';
import { shapeFor } from '../store/derived.ts';

const paths = new WeakMap<Board, string>();

/** The whole plan as an SVG path in mm: nose up (−y), tail at 0, stringer at x = 0. Made once a board. */
function standingPath(board: Board): string {
  let path = paths.get(board);
  if (path === undefined) {
    const points = outlinePoints(shapeFor(board).outline, 120);
    const right = points.map((p) => `${p.y_mm.toFixed(1)} ${(-p.x_mm).toFixed(1)}`);
    const left = points.map((p) => `${(-p.y_mm).toFixed(1)} ${(-p.x_mm).toFixed(1)}`).reverse();
    path = `M${right.join('L')}L${left.join('L')}Z`;
    paths.set(board, path);
  }
  return path;
}

interface BoardPlanProps {
  board: Board;
  /** Pixels a mm. */
  scale: number;
  stroke?: string;
}

/** A silhouette standing on its tail, from the board's own geometry; the origin is the tail on the stringer. */
export function BoardPlan({ board, scale, stroke = 'var(--on-board)' }: BoardPlanProps) {
  const notch = shapeFor(board).outline.end.notch_mm;
  return (
    <g transform={`scale(${scale})`}>
      <path d={standingPath(board)} fill="url(#foam)" stroke={stroke} strokeWidth={1.6 / scale} />
      <line x1={0} x2={0} y1={-notch} y2={-board.length_mm} stroke="#b9b09c" strokeWidth={1 / scale} />
    </g>
  );
}

/** The gradient every silhouette is filled with: rounded toward the rails. */
export function FoamGradient() {
  return (
    <defs>
      <linearGradient id="foam" x1="0" x2="1" y1="0" y2="0">
        <stop offset="0" stopColor="#e9e4d8" />
        <stop offset="0.16" stopColor="#fbf9f3" />
        <stop offset="0.62" stopColor="#fdfbf6" />
        <stop offset="0.86" stopColor="#e6e1d5" />
        <stop offset="1" stopColor="#bdb7aa" />
      </linearGradient>
    </defs>
  );
}
