import { type ReactNode, useRef } from 'react';
import { bandedSection } from '@june-tide/core/make';
import type { Section } from '@june-tide/core/section';
import { DrawnMeasure } from '../../../parts/Measure.tsx';
import { useSize } from '../../../parts/useSize.ts';
import { useBands } from '../steps/useBands.ts';
import { useBay } from '../useBay.ts';
import { EdgeHandle, RailHandles } from './RailHandles.tsx';
import { railScale, sectionPath, type SectionScale } from './sectionScale.ts';
import type { Behind } from './WholeSection.tsx';

interface RailLargeProps {
  section: Section;
  /** Pixels a mm, where there is height for it. */
  k: number;
  behind: readonly Behind[];
  /** The flat cuts of its bands are drawn too. */
  banded: boolean;
  /** Numbers that are typed, written on it. */
  children?: ReactNode;
}

/** One rail, large: how its height is shared by deck and bottom, its tuck, the radius of its edge, what it is held against. */
export function RailLarge({ section, k, behind, banded, children }: RailLargeProps) {
  const box = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(box);
  const ready = width > 60 && height > 60;
  return (
    <div ref={box} className="grow drawn-on">
      {ready && (
        <Drawn
          section={section}
          scale={railScale(section, k, width, height)}
          behind={behind}
          banded={banded}
          from={children ? WRITTEN : 0}
        />
      )}
      {children}
    </div>
  );
}

interface DrawnProps {
  section: Section;
  scale: SectionScale;
  behind: readonly Behind[];
  banded: boolean;
  /** The foam is drawn from here on, px. */
  from: number;
}

/** What is written beside the rail on the left has so much room, px. */
const WRITTEN = 112;

function Drawn({ section, scale, behind, banded, from }: DrawnProps) {
  const { width, height, X, Y } = scale;
  const { half_mm, edgeY_mm, edgeZ_mm, apex_mm, crown_mm } = section;
  const { thickness_mm, rail } = section.input;
  const square = thickness_mm - crown_mm;
  const apex = Math.round((rail.apex * 100) / 5) * 5;
  const side = X(half_mm) + 18;
  const foot = Math.max(Y(0), Y(edgeZ_mm)) + 18;
  const [deck, middle, low] = [Y(square), Y(apex_mm), Y(edgeZ_mm)];
  return (
    <svg width={width} height={height} role="group" aria-label="The rail, larger than the section">
      <defs>
        <clipPath id="rail-cut">
          <rect x={from} y={0} width={width - from} height={height} />
        </clipPath>
      </defs>
      <g clipPath="url(#rail-cut)">
        {behind
          .filter(({ kind }) => kind !== 'neighbour')
          .map(({ kind, section: other }, i) => (
            // Rails are held together at their apexes, as two cards are.
            <path
              key={i}
              d={sectionPath(other, scale, { y_mm: half_mm - other.half_mm, z_mm: apex_mm - other.apex_mm })}
              className={`section-${kind}`}
            />
          ))}
        <path d={sectionPath(section, scale)} className="section-foam" />
        {banded && <Bands scale={scale} />}
      </g>
      <g stroke="var(--ink)" strokeWidth={1}>
        <line x1={side} x2={side} y1={deck} y2={low} />
        {[deck, middle, low].map((y) => (
          <line key={y} x1={side - 5} x2={side + 5} y1={y} y2={y} />
        ))}
        <line x1={X(half_mm) + 7} x2={side} y1={middle} y2={middle} strokeDasharray="3 3" />
        <line x1={X(edgeY_mm)} x2={X(half_mm)} y1={foot} y2={foot} />
        {[X(edgeY_mm), X(half_mm)].map((x) => (
          <line key={x} x1={x} x2={x} y1={foot - 5} y2={foot + 5} />
        ))}
      </g>
      <g className="on-paper" fontSize={20} fontFamily="var(--serif)" fontWeight={600}>
        <text x={side + 9} y={(deck + middle) / 2 + 7} className="drawn">
          {100 - apex}
        </text>
        <text x={side + 9} y={(middle + low) / 2 + 7} className="drawn">
          {apex}
        </text>
        <DrawnMeasure
          mm={half_mm - edgeY_mm}
          x={X((edgeY_mm + half_mm) / 2)}
          y={foot + 22}
          size={18}
          anchor="middle"
          after="tuck"
        />
      </g>
      <EdgeHandle section={section} scale={scale} />
      <RailHandles section={section} scale={scale} large from={from} />
    </svg>
  );
}

/** The rail as the flat cuts leave it, before it is sanded round. */
function Bands({ scale: { X, Y } }: { scale: SectionScale }) {
  const { record, shape, hook_mm } = useBay();
  const { bands } = useBands(record.board, record.bands);
  if (!bands) return null;
  const points = bandedSection(shape, bands, hook_mm);
  if (points.length === 0) return null;
  const path = points.map((p) => `${X(p.y_mm).toFixed(1)} ${Y(p.z_mm).toFixed(1)}`).join('L');
  return <path d={`M${path}`} className="band-line" data-testid="bands-on-rail" />;
}
