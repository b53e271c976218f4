import { useRef } from 'react';
import {
  bottomHeight,
  bottomPoint,
  deckPoint,
  filletPoint,
  railRatio,
  type Section,
  sectionAt,
  type SectionPoint,
  underPoint,
} from '@june-tide/core';
import { DrawnMeasure, Measure } from '../../parts/Measure.tsx';
import { useSize } from '../../parts/useSize.ts';
import { useBay } from './useBay.ts';

/** The half section as points, deck at the stringer (or notch) round the rail to the bottom at the stringer. */
function halfPoints(section: Section): SectionPoint[] {
  const points: SectionPoint[] = [];
  const point: SectionPoint = { y_mm: 0, z_mm: 0 };
  const run = (write: (section: Section, s: number, out: SectionPoint) => void, count: number, from = 0, to = 1) => {
    for (let k = 0; k <= count; k++) {
      write(section, from + ((to - from) * k) / count, point);
      points.push({ ...point });
    }
  };
  run(deckPoint, 32);
  run(underPoint, 14);
  run(filletPoint, 6);
  run(bottomPoint, 40, section.bottomEnd, 0);
  const notch = section.input.notch_mm;
  return notch > 0 ? points.filter((p) => p.y_mm >= notch) : points;
}

/** The cross-section at the hook, at as large a scale as fits, with its numbers. */
export function SectionView() {
  const box = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(box);
  const { shape, hook_mm, record } = useBay();
  const section = sectionAt(shape, hook_mm);
  const fromTail = hook_mm;
  const fromNose = record.board.length_mm - hook_mm;
  return (
    <section aria-label="Section at the hook" style={{ display: 'flex', flexDirection: 'column' }}>
      <div className="head">
        <h2>
          Section<span className="long"> at the hook</span>
        </h2>
        <span className="quiet">
          <Measure mm={fromTail} /> from tail, <Measure mm={fromNose} /> from nose
        </span>
      </div>
      <div ref={box} style={{ flex: 1, minHeight: 90 }}>
        {width > 0 && section && <Drawn section={section} width={width} height={height} />}
        {!section && <p className="quiet">The tip: no breadth here. Slide the hook inward.</p>}
      </div>
      {section && (
        <div className="section-figures" data-testid="section-figures">
          <span>
            <b>
              <Measure mm={section.input.thickness_mm} />
            </b>{' '}
            thick
          </span>
          <span>
            <b>
              <Measure mm={shape.rocker.line.valueAt(hook_mm)} />
            </b>{' '}
            lift
          </span>
          <span>
            <b>{railRatio(section.input.rail.apex)}</b> rail
          </span>
          <span>
            <b>
              <Measure mm={section.half_mm - section.edgeY_mm} />
            </b>{' '}
            tuck
          </span>
          <BottomFigure section={section} />
        </div>
      )}
    </section>
  );
}

function BottomFigure({ section }: { section: Section }) {
  const edge = bottomHeight(section.input.bottom, 1);
  if (Math.abs(edge) < 0.2) return <span>flat across</span>;
  return (
    <span>
      <b>
        <Measure mm={Math.abs(edge)} />
      </b>{' '}
      {edge < 0 ? 'concave at the edge' : 'rail up from the stringer'}
    </span>
  );
}

function Drawn({ section, width, height }: { section: Section; width: number; height: number }) {
  const points = halfPoints(section);
  const low = Math.min(...points.map((p) => p.z_mm));
  const high = Math.max(...points.map((p) => p.z_mm));
  const k = Math.min((width - 12) / (2 * section.half_mm), (height - 44) / (high - low));
  const cx = width / 2;
  const base = 10 + (high - low) * k + Math.max(0, (height - 44 - (high - low) * k) / 2) * 0.6;
  const at = (p: SectionPoint, side: number) =>
    `${(cx + side * p.y_mm * k).toFixed(2)} ${(base - (p.z_mm - low) * k).toFixed(2)}`;
  const notch = section.input.notch_mm > 0;
  const right = points.map((p) => at(p, 1));
  const left = points.map((p) => at(p, -1));
  const path = notch ? `M${right.join('L')}ZM${left.join('L')}Z` : `M${right.join('L')}L${left.reverse().join('L')}Z`;
  const half = section.half_mm * k;
  const y = base + 20;
  return (
    <svg width={width} height={height} role="img" aria-label="Cross-section, tail toward you">
      <defs>
        <pattern id="hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="7" stroke="var(--on-board-quiet)" strokeWidth="0.7" opacity="0.55" />
        </pattern>
      </defs>
      <path d={path} fill="var(--board)" />
      <path d={path} fill="url(#hatch)" stroke="var(--ink)" strokeWidth={2} strokeLinejoin="round" />
      {!notch && (
        <line
          x1={cx}
          x2={cx}
          y1={base - (section.input.thickness_mm - low) * k}
          y2={base + low * k}
          stroke="#a08c63"
          strokeWidth={4}
        />
      )}
      <g stroke="var(--ink)" strokeWidth={1}>
        <line x1={cx - half} x2={cx + half} y1={y} y2={y} />
        <line x1={cx - half} x2={cx - half} y1={y - 6} y2={y + 6} />
        <line x1={cx + half} x2={cx + half} y1={y - 6} y2={y + 6} />
      </g>
      <g className="on-paper">
        <DrawnMeasure mm={2 * section.half_mm} x={cx} y={y + 7} size={20} anchor="middle" />
      </g>
    </svg>
  );
}
