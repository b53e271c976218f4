import { thicknessAt } from '@june-tide/core/foil';
import { outlinePoints } from '@june-tide/core/outline';
import type { Shape } from '@june-tide/core/shape';
import type { PlankScale } from './scale.ts';
import { useLiveBay } from './useBay.ts';

/** The board laid over, as lines on our plan and profile, and ours pushed beyond it when that is asked. */
export function OverOnPlank({ scale, profiled }: { scale: PlankScale; profiled: boolean }) {
  const { over } = useLiveBay();
  if (!over) return null;
  return (
    <g pointerEvents="none" fill="none" data-testid="laid-over">
      <Lines
        profiled={profiled}
        shape={over.shape}
        shift_mm={over.shift_mm}
        scale={scale}
        stroke="var(--sea)"
        dash="7 4"
      />
      {over.pushed && (
        <Lines
          profiled={profiled}
          shape={over.pushed.shape}
          shift_mm={over.pushed.shift_mm}
          scale={scale}
          stroke="var(--coral)"
          dash="2 4"
        />
      )}
    </g>
  );
}

/** What of a plank's layout its lines hang on. */
export type LinesScale = Pick<PlankScale, 'x' | 'k' | 'centre' | 'half' | 'ground' | 'stretch'>;

interface LinesProps {
  shape: Shape;
  shift_mm: number;
  scale: LinesScale;
  stroke: string;
  dash?: string;
  /** The profile is drawn, and these two lines of it. */
  profiled: boolean;
}

/** Plan and profile of one board as lines. */
export function Lines({ shape, shift_mm, scale, stroke, dash, profiled }: LinesProps) {
  const points = outlinePoints(shape.outline, 160);
  const plan = (side: 1 | -1) =>
    points
      .map((p) => `${scale.x(p.x_mm + shift_mm).toFixed(1)} ${(scale.centre - side * p.y_mm * scale.k).toFixed(1)}`)
      .join('L');
  const up = scale.k * scale.stretch;
  const L = shape.board.length_mm;
  const stations = Array.from({ length: 81 }, (_, i) => (L * (1 - Math.cos((Math.PI * i) / 80))) / 2);
  const line = (height: (x: number) => number) =>
    stations.map((x) => `${scale.x(x + shift_mm).toFixed(1)} ${(scale.ground - height(x) * up).toFixed(1)}`).join('L');
  const bottom = (x: number) => shape.rocker.line.valueAt(x);
  return (
    <g stroke={stroke} strokeWidth={2} {...(dash === undefined ? {} : { strokeDasharray: dash })}>
      <path d={`M${plan(1)}`} />
      {!scale.half && <path d={`M${plan(-1)}`} />}
      {profiled && (
        <>
          <path d={`M${line(bottom)}`} strokeWidth={1.5} />
          <path d={`M${line((x) => bottom(x) + thicknessAt(shape.foil, x))}`} strokeWidth={1.5} />
        </>
      )}
    </g>
  );
}
