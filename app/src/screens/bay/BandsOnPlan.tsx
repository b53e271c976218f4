import { useMemo } from 'react';
import { bandLines } from '@june-tide/core/files';
import type { PlankScale } from './scale.ts';
import { useBands } from './steps/useBands.ts';
import { useMakePart } from './steps/useMakePart.ts';
import { useBay } from './useBay.ts';

/** The lines to draw for the rail bands: those of the deck above the stringer, those under the board below it, dashed. */
export function BandsOnPlan({ scale }: { scale: PlankScale }) {
  const { part, drawn } = useMakePart();
  return part === 'bands' && drawn ? <Lines scale={scale} /> : null;
}

function Lines({ scale }: { scale: PlankScale }) {
  const { record, shape } = useBay();
  const { bands } = useBands(record.board, record.bands);
  const lines = useMemo(() => (bands ? bandLines(shape, bands, 120) : undefined), [bands, shape]);
  if (!lines) return null;
  const path = (points: readonly { x_mm: number; y_mm: number }[], way: 1 | -1) =>
    `M${points.map((p) => `${scale.x(p.x_mm).toFixed(1)} ${(scale.centre - way * p.y_mm * scale.k).toFixed(1)}`).join('L')}`;
  return (
    <g role="img" aria-label={`Rail bands: ${lines.deck.length} on the deck, ${lines.under.length} under`}>
      {lines.deck.map((points, k) => (
        <path key={`deck ${k}`} d={path(points, 1)} className="band-line" />
      ))}
      {lines.under.map((points, k) => (
        <path key={`under ${k}`} d={path(points, -1)} className="band-line under" />
      ))}
      <text x={scale.x(0.62 * record.board.length_mm)} y={scale.centre - 4} className="drawn-words">
        deck
      </text>
      <text x={scale.x(0.62 * record.board.length_mm)} y={scale.centre + 15} className="drawn-words">
        under, dashed
      </text>
    </g>
  );
}
