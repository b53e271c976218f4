import { useRef } from 'react';
import { type Section, straightedgeAcross, undersideHeightAt } from '@june-tide/core/section';
import { DrawnMeasure } from '../../../parts/Measure.tsx';
import { useSize } from '../../../parts/useSize.ts';
import { DepthHandle } from './RailHandles.tsx';
import type { SectionScale } from './sectionScale.ts';

/** Heights of the bottom are drawn so many times as tall, or the most of them there is room for. */
const TALLER = [30, 20, 16, 12, 8, 6, 4, 3, 2, 1] as const;
const ROOM = { side: 22, top: 40, foot: 42 };
const PLACES = 120;

interface AcrossLargeProps {
  section: Section;
  /** The contour that a pull is for. */
  layer: number | undefined;
  /** The board laid over, at the same station. */
  over: Section | undefined;
}

/** The bottom across the board from edge to edge over a straightedge, its heights drawn taller, and the light under it. */
export function AcrossLarge({ section, layer, over }: AcrossLargeProps) {
  const box = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(box);
  return (
    <div ref={box} className="grow">
      {width > 60 && height > 60 && <Drawn section={section} layer={layer} over={over} width={width} height={height} />}
    </div>
  );
}

/** Heights of the bottom from one edge to the other. */
function bottomLine(section: Section): { y_mm: number; z_mm: number }[] {
  return Array.from({ length: PLACES + 1 }, (_, k) => {
    const y_mm = section.edgeY_mm * ((2 * k) / PLACES - 1);
    return { y_mm, z_mm: undersideHeightAt(section, y_mm) };
  }).filter(({ y_mm }) => Math.abs(y_mm) >= section.input.notch_mm);
}

function Drawn({ section, layer, over, width, height }: AcrossLargeProps & { width: number; height: number }) {
  const line = bottomLine(section);
  const heights = line.map(({ z_mm }) => z_mm);
  const [low, high] = [Math.min(...heights), Math.max(...heights)];
  const k = (width - 2 * ROOM.side) / (2 * section.half_mm);
  const room = height - ROOM.top - ROOM.foot;
  const up = TALLER.find((times) => (high - low) * k * times <= room) ?? 1;
  const base = height - ROOM.foot;
  const scale: SectionScale = {
    width,
    height,
    k,
    X: (y_mm) => width / 2 + y_mm * k,
    Y: (z_mm) => base - (z_mm - low) * k * up,
  };
  const { X, Y } = scale;
  const path = (points: typeof line, by_mm = 0) =>
    points.map((p) => `${X(p.y_mm).toFixed(1)} ${Y(p.z_mm + by_mm).toFixed(1)}`).join('L');
  const across = straightedgeAcross(section);
  const overLine = over && bottomLine(over);
  const overLow = overLine ? Math.min(...overLine.map(({ z_mm }) => z_mm)) : 0;
  const top = Y(high) - 30;
  return (
    <svg width={width} height={height} role="group" aria-label={`The bottom across the board, ${up} times as tall`}>
      <path d={`M${path(line)}L${X(section.edgeY_mm)} ${top}L${X(-section.edgeY_mm)} ${top}Z`} fill="var(--board)" />
      {/* The board laid over rests on the same straightedge. */}
      {overLine && <path d={`M${path(overLine, low - overLow)}`} className="section-over" />}
      <path d={`M${path(line)}`} fill="none" stroke="var(--ink)" strokeWidth={2} />
      <line x1={8} x2={width - 8} y1={base} y2={base} stroke="var(--coral)" strokeWidth={1.6} strokeDasharray="6 4" />
      {across.kind !== 'flat' && (
        <g>
          <line
            x1={X(across.at_mm)}
            x2={X(across.at_mm)}
            y1={base}
            y2={Y(low + across.gap_mm)}
            stroke="var(--coral)"
            strokeWidth={2.4}
          />
          <g className="on-paper">
            <DrawnMeasure
              mm={across.gap_mm}
              x={Math.min(width - 60, X(across.at_mm) + 8)}
              y={base + 22}
              size={19}
              anchor={across.at_mm > 0.8 * section.half_mm ? 'end' : 'start'}
              after="light"
            />
          </g>
        </g>
      )}
      <text x={8} y={16} className="drawn-words from-left">
        {up === 1 || across.kind === 'flat' ? '' : `heights drawn ${up} times as tall`}
      </text>
      {layer !== undefined && <DepthHandle section={section} scale={scale} layer={layer} up={up} />}
    </svg>
  );
}
