import { useRef } from 'react';
import type { Band, Bands } from '@june-tide/core/bring';
import type { Board } from '@june-tide/core/document';
import { BoardPlan, FoamGradient } from '../../parts/BoardPlan.tsx';
import { useSize } from '../../parts/useSize.ts';
import { BoardSide } from '../bring/BoardSide.tsx';

const SIDE_px = 90;

interface MeasuredBoardProps {
  board: Board | undefined;
  bands: Bands | undefined;
}

/** The board as it is so far, from above and from the side, as large as there is room, with what the readings leave open as a band. */
export function MeasuredBoard({ board, bands }: MeasuredBoardProps) {
  const box = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(box);
  const tall = height - SIDE_px - 30;
  const scale = board ? Math.min(tall / board.length_mm, (width - 24) / board.outline.width_mm) : 0;
  return (
    <div ref={box} className="found measured-board">
      {board && tall > 60 && (
        <>
          <svg width={width} height={tall + 12} role="img" aria-label="The board as it was read">
            <FoamGradient />
            <g transform={`translate(${width / 2} ${tall + 2})`}>
              <BoardPlan board={board} scale={scale} />
              {bands && <path d={planBand(bands.halfBreadth, board.length_mm, scale)} className="open-band" />}
            </g>
          </svg>
          <BoardSide board={board} bands={bands} width={width} height={SIDE_px} />
          {bands && (
            <p className="band-key">
              <i /> what the readings leave open
            </p>
          )}
        </>
      )}
    </div>
  );
}

const at = (x: number, y: number) => `${x.toFixed(1)} ${y.toFixed(1)}`;
const along = (band: readonly Band[], length_mm: number, k: number) => (k / (band.length - 1)) * length_mm;

/** Both rails' bands, standing on the tail. */
function planBand(band: readonly Band[], length_mm: number, scale: number): string {
  const side = (sign: number) => {
    const low = band.map(({ low_mm }, k) => at(sign * low_mm * scale, -along(band, length_mm, k) * scale));
    const high = band.map(({ high_mm }, k) => at(sign * high_mm * scale, -along(band, length_mm, k) * scale));
    return `M${[...low, ...high.reverse()].join('L')}Z`;
  };
  return side(1) + side(-1);
}
