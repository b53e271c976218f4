import { useMemo } from 'react';
import { bottomRelief } from '@june-tide/core/measure';
import { INCH_mm } from '@june-tide/core/units';
import { useLengthStyle } from '../../parts/Measure.tsx';
import type { PlankScale } from './scale.ts';
import { useLiveBay } from './useBay.ts';

/** Contour lines of the bottom: equal light under a straightedge laid across, every 1/32 in or 1 mm. */
export function ReliefOnPlan({ scale }: { scale: PlankScale }) {
  const { shape } = useLiveBay();
  const style = useLengthStyle();
  const metric = style.kind === 'cm' || style.kind === 'mm';
  const step_mm = metric ? 1 : INCH_mm / 32;
  const lines = useMemo(() => bottomRelief(shape, step_mm), [shape, step_mm]);
  if (lines.length === 0) return null;
  const path = (points: { x_mm: number; y_mm: number }[], side: 1 | -1) =>
    `M${points.map((p) => `${scale.x(p.x_mm).toFixed(1)} ${(scale.centre - side * p.y_mm * scale.k).toFixed(1)}`).join('L')}`;
  const every = (level: number) => Math.round(level / step_mm) % 4 === 0;
  return (
    <g fill="none" pointerEvents="none" data-testid="relief">
      {lines.map((line, i) => (
        <path
          key={i}
          d={path(line.points, 1) + (scale.half ? '' : path(line.points, -1))}
          stroke="var(--on-board)"
          strokeWidth={every(line.light_mm) ? 1.5 : 0.7}
          opacity={0.75}
        />
      ))}
      <text
        x={12}
        y={22}
        textAnchor="start"
        fontSize={13}
        fontStyle="italic"
        fontFamily="var(--serif)"
        className="drawn-words from-left"
      >
        lines: light under a straightedge, every {metric ? '1 mm' : '1/32 in'}
      </text>
    </g>
  );
}
