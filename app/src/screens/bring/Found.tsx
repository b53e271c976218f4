import { useRef } from 'react';
import type { BroughtIn, Point } from '@june-tide/core/bring';
import { BoardPlan, FoamGradient } from '../../parts/BoardPlan.tsx';
import { useSize } from '../../parts/useSize.ts';
import { BoardSide } from './BoardSide.tsx';

/** Height of the strip the profile has, px. */
const SIDE_px = 130;

interface FoundProps {
  found: Pick<BroughtIn, 'board' | 'plan' | 'bottom' | 'foil'> | undefined;
}

/** The board as it came out, as large as there is room, with what was found as dots on it. */
export function Found({ found }: FoundProps) {
  const { board, plan, bottom, foil } = found ?? {};
  const box = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(box);
  // Where nothing was found of the profile it is another board's: the plan has the room.
  const side = bottom || foil ? SIDE_px : 0;
  const scale = board ? Math.min((height - side - 40) / board.length_mm, (width - 40) / board.outline.width_mm) : 0;
  return (
    <div ref={box} className="found">
      {board && height > 200 && (
        <>
          <svg width={width} height={height - side - 12} role="img" aria-label="The board, and what was found of it">
            <FoamGradient />
            <g transform={`translate(${width / 2} ${height - side - 28})`}>
              <BoardPlan board={board} scale={scale} />
              {plan && <Dots points={plan.points} scale={scale} />}
            </g>
          </svg>
          {side > 0 && <BoardSide board={board} width={width} height={side} bottom={bottom} foil={foil} />}
        </>
      )}
    </div>
  );
}

function Dots({ points, scale }: { points: readonly Point[]; scale: number }) {
  const d = points
    .flatMap(({ x, y }) => [1, -1].map((side) => `M${(side * y * scale).toFixed(1)} ${(-x * scale).toFixed(1)}h0`))
    .join('');
  return <path d={d} className="found-dots" />;
}
