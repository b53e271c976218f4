import { useEffect, useRef } from 'react';
import type { ScanFindings } from '@june-tide/core/bring';
import type { Board } from '@june-tide/core/document';
import { thicknessAt } from '@june-tide/core/foil';
import { outlinePoints } from '@june-tide/core/outline';
import { shapeFor } from '../../store/derived.ts';
import { useSize } from '../../parts/useSize.ts';
import { apartColour } from './apartColour.ts';

interface ApartMapProps {
  board: Board | undefined;
  apart: ScanFindings['apart'];
}

const APEX_SHARE = 0.4;

/**
 * Deck and bottom as one looks at each, nose up: of the bottom the right rail is on the left. Each place of the scan in the colour of how far
 * it is off the board: blue inside, red outside.
 */
export function ApartMap({ board, apart }: ApartMapProps) {
  const box = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const { width, height } = useSize(box);
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context || !board || width < 10) return;
    const shape = shapeFor(board);
    const ratio = window.devicePixelRatio || 1;
    context.setTransform(ratio, 0, 0, ratio, 0, 0);
    context.clearRect(0, 0, width, height);
    const scale = Math.min((height - 70) / board.length_mm, (width - 60) / (2 * board.outline.width_mm));
    const line = outlinePoints(shape.outline, 160);
    const ink = getComputedStyle(context.canvas).color;
    // The apex of a rail lies about so high in the foam: what is over it is deck.
    const apex = (x: number) => {
      const on = Math.min(board.length_mm, Math.max(0, x));
      return shape.rocker.line.valueAt(on) + APEX_SHARE * thicknessAt(shape.foil, on);
    };
    for (const [centre, isDeck] of [
      [width / 4, true],
      [(3 * width) / 4, false],
    ] as const) {
      // y runs to the left rail.
      const left = isDeck ? -1 : 1;
      for (const { x_mm, y_mm, z_mm, off_mm } of apart) {
        if (z_mm > apex(x_mm) !== isDeck) continue;
        context.fillStyle = `rgb(${apartColour(off_mm).join(' ')})`;
        context.fillRect(centre + left * y_mm * scale - 1.5, height - 40 - x_mm * scale - 1.5, 3, 3);
      }
      context.beginPath();
      for (const side of [1, -1]) {
        line.forEach(({ x_mm, y_mm }, k) => {
          const [x, y] = [centre + side * y_mm * scale, height - 40 - x_mm * scale];
          if (k === 0) context.moveTo(x, y);
          else context.lineTo(x, y);
        });
      }
      context.strokeStyle = ink;
      context.lineWidth = 1.2;
      context.stroke();
      context.fillStyle = ink;
      context.textAlign = 'center';
      context.font = `14px ${getComputedStyle(document.body).fontFamily}`;
      context.fillText(isDeck ? 'Deck' : 'Bottom', centre, height - 16);
      // Beside the nose there is room.
      for (const side of [-1, 1]) {
        const across = centre + side * 0.42 * board.outline.width_mm * scale;
        context.fillText(side === left ? 'left' : 'right', across, height - 40 - 0.97 * board.length_mm * scale);
      }
    }
  }, [board, apart, width, height]);
  return (
    <div ref={box} className="found">
      {board && (
        <canvas
          ref={canvas}
          width={width * (window.devicePixelRatio || 1)}
          height={height * (window.devicePixelRatio || 1)}
          className="apart-map"
          role="img"
          aria-label="How far the scan is off the board, deck and bottom: blue inside, red outside"
        />
      )}
    </div>
  );
}
