import { hollowLineAt, railLineAt, straightRunOf } from '@june-tide/core/measure';
import type { Shape } from '@june-tide/core/shape';
import { useMemo } from 'react';
import { DrawnMeasure } from '../../parts/Measure.tsx';
import { type ProfileLine, useSession } from './session.ts';
import type { PlankScale } from './scale.ts';
import { useLiveBay } from './useBay.ts';

const LINES: Readonly<
  Record<ProfileLine, { at: (shape: Shape, x_mm: number) => number; words: string; stroke: string }>
> = {
  rail: { at: railLineAt, words: 'rail line', stroke: 'var(--coral)' },
  concave: { at: hollowLineAt, words: 'concave line', stroke: 'var(--sea)' },
};
const PIECES = 120;
/** Under the tape, where on other steps the numbers at the hook stand over these. */
const WRITTEN_UNDER = 52;

/** The rail line and the concave line over the profile, each when it is asked for, and how far it is off the stringer's at the hook. */
export function LinesOnProfile({ scale }: { scale: PlankScale }) {
  const drawn = useSession((session) => session.drawn);
  return (
    <g className="on-paper" pointerEvents="none">
      {(Object.keys(LINES) as ProfileLine[]).map((line, i) =>
        drawn[line] ? <Line key={line} line={line} row={i} scale={scale} /> : null,
      )}
      {drawn.rail && <Run scale={scale} />}
    </g>
  );
}

function Line({ line, row, scale }: { line: ProfileLine; row: number; scale: PlankScale }) {
  const { shape, hook_mm } = useLiveBay();
  const { at, words, stroke } = LINES[line];
  const L = shape.board.length_mm;
  const up = scale.k * scale.stretch;
  const path = Array.from({ length: PIECES + 1 }, (_, i) => {
    const x_mm = 1 + ((L - 2) * i) / PIECES;
    return `${scale.x(x_mm).toFixed(1)} ${(scale.ground - at(shape, x_mm) * up).toFixed(1)}`;
  }).join('L');
  const ahead = hook_mm < L / 2;
  const off_mm = at(shape, hook_mm) - shape.rocker.line.valueAt(hook_mm);
  return (
    <g data-testid={`line-${line}`}>
      <path
        d={`M${path}`}
        fill="none"
        stroke={stroke}
        strokeWidth={1.6}
        strokeDasharray={line === 'rail' ? '' : '6 3'}
      />
      <DrawnMeasure
        mm={Math.abs(off_mm)}
        x={ahead ? scale.x(hook_mm) + 10 : scale.x(hook_mm) - 10}
        y={scale.tapeTop + WRITTEN_UNDER + 20 * row}
        size={15}
        anchor={ahead ? 'start' : 'end'}
        after={`${words} ${off_mm < 0 ? 'under' : 'over'} the stringer at the hook`}
      />
    </g>
  );
}

/** Where the rail line is straight: a bar on the straightedge, the bends beginning at its ends. */
function Run({ scale }: { scale: PlankScale }) {
  const { shape } = useLiveBay();
  const { tail_mm, nose_mm } = useMemo(() => straightRunOf(shape), [shape]);
  return (
    <g stroke="var(--coral)" data-testid="straight-run">
      <line x1={scale.x(tail_mm)} x2={scale.x(nose_mm)} y1={scale.ground + 3} y2={scale.ground + 3} strokeWidth={4} />
      {[tail_mm, nose_mm].map((x) => (
        <line key={x} x1={scale.x(x)} x2={scale.x(x)} y1={scale.ground - 6} y2={scale.ground + 8} strokeWidth={1.4} />
      ))}
    </g>
  );
}
