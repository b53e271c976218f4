import { useEffect, useMemo, useRef } from 'react';
import { thicknessAt } from '@june-tide/core/foil';
import { outlinePoints } from '@june-tide/core/outline';
import { useSize } from '../../../parts/useSize.ts';
import { useShed } from '../../../store/shed.ts';
import { useAnswer } from '../../../parts/useAnswer.ts';
import { solidClient } from '../../../workers/workClient.ts';
import { useLiveBay } from '../useBay.ts';

/** Where the browser opens no 3D view: the deck shaded under the same low lamps and the side of the board, and why. */
export function Silhouettes({ reason }: { reason: string }) {
  const box = useRef<HTMLDivElement>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const { width, height } = useSize(box);
  const { record, shape } = useLiveBay();
  const light = useShed((shed) => shed.settings.light);
  const { board } = record;
  const { width_mm } = board.outline;
  const tall_mm = width_mm + board.rocker.noseLift_mm + 120;
  const k = Math.max(0.02, Math.min((width - 60) / board.length_mm, (height - 90) / tall_mm));
  const left = (width - board.length_mm * k) / 2;
  const centre = 56 + (width_mm / 2) * k;
  const ground = centre + (width_mm / 2 + 60 + board.rocker.noseLift_mm) * k;

  const rows = Math.max(1, Math.round((width_mm / 2) * k));
  const columns = Math.max(1, Math.round(board.length_mm * k));
  // Without the shade the side view and the words are still there.
  const { answer: shade } = useAnswer(
    useMemo(() => {
      const dark: [number, number, number] = light === 'night' ? [8, 40, 42] : [60, 54, 44];
      return width === 0 ? undefined : () => solidClient.ask('shade', { board, columns, rows, dark, strength: 0.6 });
    }, [board, columns, rows, light, width]),
  );

  useEffect(() => {
    const element = canvas.current;
    const pen = element?.getContext('2d');
    if (!shade || !element || !pen) return;
    const half = document.createElement('canvas');
    half.width = shade.columns;
    half.height = shade.rows;
    half.getContext('2d')?.putImageData(new ImageData(shade.rgba, shade.columns, shade.rows), 0, 0);
    pen.clearRect(0, 0, element.width, element.height);
    pen.save();
    const plan = new Path2D();
    for (const side of [1, -1]) {
      const points = outlinePoints(shape.outline, 160);
      points.forEach((p, i) => {
        const at = [left + p.x_mm * k, centre + side * p.y_mm * k] as const;
        if (i === 0) plan.moveTo(...at);
        else plan.lineTo(...at);
      });
    }
    pen.fillStyle = '#fdfbf6';
    pen.fill(plan, 'nonzero');
    pen.clip(plan);
    pen.translate(left, centre);
    pen.drawImage(half, 0, 0, columns, rows);
    pen.scale(1, -1);
    pen.drawImage(half, 0, 0, columns, rows);
    pen.restore();
  }, [shade, shape, width, height, k, left, centre, columns, rows]);

  const stations = Array.from({ length: 81 }, (_, i) => (board.length_mm * i) / 80);
  const line = (z: (x: number) => number) =>
    stations.map((x) => `${(left + x * k).toFixed(1)} ${(ground - z(x) * k).toFixed(1)}`);
  const bottom = (x: number) => shape.rocker.line.valueAt(x);
  const side = [...line(bottom), ...line((x) => bottom(x) + thicknessAt(shape.foil, x)).reverse()].join('L');
  return (
    <div className="silhouettes" ref={box} data-testid="silhouettes">
      <p role="alert">
        This browser opens no 3D view ({reason}), so the deck is shaded under the same low lamps and the side is drawn
        below it. Every number and line is the same board.
      </p>
      {width > 0 && (
        <>
          <canvas ref={canvas} width={width} height={height} aria-label="The deck, shaded" />
          <svg width={width} height={height} role="img" aria-label="The board from the side">
            <path d={`M${side}Z`} fill="var(--board)" stroke="var(--ink)" strokeWidth={1.5} />
          </svg>
        </>
      )}
    </div>
  );
}
