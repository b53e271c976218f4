import type { ReactNode } from 'react';
import { type Drawing, sheetsOf, windowOrigin } from '@june-tide/core/files';
import { PAPERS, type PrintedOn } from '@june-tide/core/make';

interface SheetsPreviewProps {
  drawing: Drawing;
  on: PrintedOn;
  reading: { across_mm: number; along_mm: number };
  /** What it is of, for those who cannot see it. */
  words: string;
}

/** A small picture of a drawing with the sheets it is printed on, and how many of what they are. */
export function SheetsPreview({ drawing, on, reading, words }: SheetsPreviewProps) {
  const { tiling, drawing: printed } = sheetsOf(drawing, on, reading);
  const { columns, rows, page_mm, window_mm } = tiling;
  const count = columns * rows;
  const paper = typeof on === 'string' ? PAPERS[on].words : `a roll ${Math.round(on.roll_mm)} mm wide`;
  const turned = typeof on === 'string' && page_mm.width > page_mm.height ? ', on their side' : '';
  const said = `${count} ${count === 1 ? 'sheet' : 'sheets'} of ${paper}${turned}, and one with the map`;
  const { width_mm, height_mm } = printed;
  // A number is as large as it can be read in so small a picture.
  const letter = Math.max(width_mm / 30, height_mm / 9);
  const sheets: ReactNode[] = [];
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      const from = windowOrigin(tiling, row, column);
      const [wide, high] = [
        Math.min(window_mm.width, width_mm - from.x_mm),
        Math.min(window_mm.height, height_mm - from.y_mm),
      ];
      const number = row * columns + column + 1;
      sheets.push(
        <g key={number}>
          <rect
            x={from.x_mm}
            y={height_mm - from.y_mm - high}
            width={wide}
            height={high}
            fill="none"
            stroke="var(--ink-quiet, #8a8577)"
            strokeDasharray="4 3"
            vectorEffect="non-scaling-stroke"
          />
          <text
            x={from.x_mm + wide / 2}
            y={height_mm - from.y_mm - high / 2 + letter / 3}
            fontSize={letter}
            textAnchor="middle"
            fill="currentColor"
          >
            {number}
          </text>
        </g>,
      );
    }
  }
  return (
    <figure className="sheets-preview" data-testid="sheets-preview">
      <svg viewBox={`-4 -4 ${width_mm + 8} ${height_mm + 8}`} role="img" aria-label={`${words}: ${said}`}>
        {printed.lines
          .filter(({ dashed, layer }) => !dashed && layer !== 'stations')
          .map(({ points, closed }, i) => (
            <path
              key={i}
              d={`M${points.map((p) => `${p.x_mm.toFixed(1)} ${(height_mm - p.y_mm).toFixed(1)}`).join('L')}${closed ? 'Z' : ''}`}
              fill="none"
              stroke="currentColor"
              strokeWidth={1.2}
              vectorEffect="non-scaling-stroke"
            />
          ))}
        {sheets}
      </svg>
      <figcaption className="quiet">{said}</figcaption>
    </figure>
  );
}
