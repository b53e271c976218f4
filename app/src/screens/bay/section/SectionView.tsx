import { type ReactNode, useRef } from 'react';
import { bottomHeight } from '@june-tide/core/bottom';
import { railRatio } from '@june-tide/core/rails';
import { type HalfCounts, halfSection, type Section, straightedgeAcross } from '@june-tide/core/section';
import { sectionAt } from '@june-tide/core/shape';
import { DrawnMeasure, Measure } from '../../../parts/Measure.tsx';
import { useSize } from '../../../parts/useSize.ts';
import { useLiveBay } from '../useBay.ts';
import { BottomFigure, edgeWords } from './sectionWords.tsx';

/** So fine is the half section drawn: no corner shows at the size of the bench. */
const DRAWN: HalfCounts = { deck: 32, under: 14, fillet: 6, bottom: 40 };

/** The cross-section at the hook, at as large a scale as fits, with its numbers. */
export function SectionView({ tools }: { tools?: ReactNode }) {
  const box = useRef<HTMLDivElement>(null);
  const { width, height } = useSize(box);
  const { shape, hook_mm, record } = useLiveBay();
  const section = sectionAt(shape, hook_mm);
  const fromTail = hook_mm;
  const fromNose = record.board.length_mm - hook_mm;
  return (
    <section aria-label="Section at the hook" className="in-a-column">
      <div className="head">
        <h2>Section</h2>
        <span className="quiet long">
          <Measure mm={fromTail} /> from tail, <Measure mm={fromNose} /> from nose
        </span>
        {tools}
      </div>
      <div ref={box} className="grow">
        {width > 0 && section && <Drawn section={section} width={width} height={height} />}
        {!section && <p className="quiet">The tip: no breadth here. Slide the hook inward.</p>}
      </div>
      {section && (
        <div className="section-figures" data-testid="section-figures">
          <span>
            <b>
              <Measure mm={shape.rocker.line.valueAt(hook_mm)} />
            </b>{' '}
            lift
          </span>
          <span>
            <b>
              <Measure mm={section.crown_mm} />
            </b>{' '}
            crown
          </span>
          <span>{edgeWords(section)}</span>
          <BottomFigure section={section} />
        </div>
      )}
    </section>
  );
}

const EDGES = { left: 66, right: 64, top: 6, foot: 44 };
/** A half wider than this, px, has room for its number beside the tuck's. */
const LEAST_FOR_HALF = 150;

/** Half the section, stringer at the left, as large as fits; thickness, apex, tuck and the straightedge written on it. */
function Drawn({ section, width, height }: { section: Section; width: number; height: number }) {
  const points = halfSection(section, DRAWN);
  const low = Math.min(...points.map((p) => p.z_mm));
  const high = Math.max(...points.map((p) => p.z_mm));
  const k = Math.min(
    (width - EDGES.left - EDGES.right) / section.half_mm,
    (height - EDGES.top - EDGES.foot) / (high - low),
  );
  const x0 = EDGES.left;
  const room = height - EDGES.top - EDGES.foot - (high - low) * k;
  const base = EDGES.top + (high - low) * k + Math.max(0, room / 2);
  const X = (y_mm: number) => x0 + y_mm * k;
  const Y = (z_mm: number) => base - (z_mm - low) * k;
  const path = `M${points.map((p) => `${X(p.y_mm).toFixed(2)} ${Y(p.z_mm).toFixed(2)}`).join('L')}Z`;
  const rail = X(section.half_mm);
  const edge = X(section.edgeY_mm);
  const foot = base + 16;
  const notch = section.input.notch_mm;
  const { thickness_mm } = section.input;
  const across = straightedgeAcross(section);
  const lowest = across.kind === 'rocks' ? 0 : bottomHeight(section.input.bottom, across.rests_mm / section.edgeY_mm);
  return (
    <svg width={width} height={height} role="img" aria-label="Half the cross-section, stringer at the left">
      <defs>
        <pattern id="hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" y1="0" x2="0" y2="7" stroke="var(--on-board-quiet)" strokeWidth="0.7" opacity="0.55" />
        </pattern>
      </defs>
      <path d={path} fill="var(--board)" />
      <path d={path} fill="url(#hatch)" stroke="var(--ink)" strokeWidth={2} strokeLinejoin="round" />
      {across.kind !== 'flat' && (
        <g stroke="var(--coral)">
          <line
            x1={x0 - 6}
            x2={edge + 10}
            y1={Y(lowest)}
            y2={Y(lowest)}
            strokeWidth={1.4}
            strokeDasharray="6 4"
            data-testid="straightedge"
          />
          <line
            x1={X(across.at_mm)}
            x2={X(across.at_mm)}
            y1={Y(lowest)}
            y2={Y(lowest + across.gap_mm)}
            strokeWidth={2.4}
          />
        </g>
      )}
      <line
        x1={rail - 14}
        x2={rail + 12}
        y1={Y(section.apex_mm)}
        y2={Y(section.apex_mm)}
        stroke="var(--ink)"
        strokeWidth={1}
      />
      <text
        x={rail + 15}
        y={Y(section.apex_mm) + 6}
        fontSize={17}
        fontWeight={600}
        fontFamily="var(--serif)"
        fill="var(--ink)"
      >
        {railRatio(section.input.rail.apex)}
      </text>
      {notch === 0 && (
        <g stroke="var(--ink)" strokeWidth={1}>
          <line x1={x0} x2={x0} y1={Y(thickness_mm)} y2={Y(0)} stroke="#a08c63" strokeWidth={4} />
          <line x1={x0 - 12} x2={x0 - 12} y1={Y(thickness_mm)} y2={Y(0)} />
          <line x1={x0 - 17} x2={x0 - 7} y1={Y(thickness_mm)} y2={Y(thickness_mm)} />
          <line x1={x0 - 17} x2={x0 - 7} y1={Y(0)} y2={Y(0)} />
        </g>
      )}
      <g stroke="var(--ink)" strokeWidth={1}>
        <line x1={x0} x2={rail} y1={foot} y2={foot} />
        {[x0, edge, rail].map((x) => (
          <line key={x} x1={x} x2={x} y1={foot - 5} y2={foot + 5} />
        ))}
      </g>
      <g className="on-paper">
        {notch === 0 && (
          <DrawnMeasure mm={thickness_mm} x={x0 - 20} y={Y(thickness_mm / 2) + 6} size={17} anchor="end" />
        )}
        <DrawnMeasure
          mm={section.half_mm}
          x={x0 + 0.38 * (edge - x0)}
          y={foot + 24}
          size={18}
          anchor="middle"
          after={rail - x0 > LEAST_FOR_HALF ? 'half' : undefined}
        />
        <DrawnMeasure
          mm={section.half_mm - section.edgeY_mm}
          x={rail + 4}
          y={foot + 24}
          size={15}
          anchor="middle"
          after="tuck"
        />
      </g>
    </svg>
  );
}
