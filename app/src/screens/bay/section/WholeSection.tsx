import { railRatio } from '@june-tide/core/rails';
import { type Section, straightedgeAcross, undersideHeightAt } from '@june-tide/core/section';
import { DrawnMeasure } from '../../../parts/Measure.tsx';
import { CrownHandle, DepthHandle, RailHandles } from './RailHandles.tsx';
import { sectionPath, type SectionScale } from './sectionScale.ts';
import { straightedgeWords } from './sectionWords.tsx';

/** What is drawn behind the section: the board a little ahead and behind, another station, the board laid over. */
export interface Behind {
  kind: 'neighbour' | 'against' | 'over';
  section: Section;
}

interface WholeSectionProps {
  section: Section;
  scale: SectionScale;
  behind: readonly Behind[];
  /** The contour that a pull on the bottom is for. */
  layer: number | undefined;
}

/** The whole section at its true shape, its numbers where they are measured, its rail, crown and bottom pulled on it. */
export function WholeSection({ section, scale, behind, layer }: WholeSectionProps) {
  const { width, height, X, Y } = scale;
  const { thickness_mm, notch_mm, rail } = section.input;
  const { half_mm, edgeY_mm, edgeZ_mm, crown_mm } = section;
  const across = straightedgeAcross(section);
  const right = X(half_mm);
  const left = X(-half_mm);
  const foot = Math.max(Y(0), Y(edgeZ_mm)) + 22;
  const deck = Y(thickness_mm);
  const fallen = Y(thickness_mm - crown_mm);
  return (
    <svg width={width} height={height} role="group" aria-label="The whole section at the hook">
      {behind.map(({ kind, section: other }, i) => (
        <path key={i} d={sectionPath(other, scale)} className={`section-${kind}`} data-testid={`section-${kind}`} />
      ))}
      <path d={sectionPath(section, scale)} className="section-foam" data-testid="section-foam" />
      {notch_mm === 0 && <line x1={X(0)} x2={X(0)} y1={deck} y2={Y(0)} stroke="#a08c63" strokeWidth={4} />}
      <Straightedge section={section} scale={scale} />
      <g stroke="var(--ink)" strokeWidth={1}>
        <line x1={X(0)} x2={left - 12} y1={deck} y2={deck} strokeDasharray="5 5" opacity={0.7} />
        <line x1={left} x2={left} y1={deck} y2={fallen} />
        <line x1={right - 18} x2={right + 10} y1={Y(section.apex_mm)} y2={Y(section.apex_mm)} />
        <line x1={left} x2={right} y1={foot} y2={foot} />
        {[left, X(edgeY_mm), right].map((x) => (
          <line key={x} x1={x} x2={x} y1={foot - 5} y2={foot + 5} />
        ))}
      </g>
      <g className="on-paper">
        <g data-testid="crown-says">
          <DrawnMeasure mm={section.input.crown_mm} x={left - 12} y={deck - 8} size={17} after="crown" />
        </g>
        <text
          data-testid="apex-says"
          x={right + 14}
          y={Y(section.apex_mm) + 6}
          fontSize={19}
          className="drawn"
          fontFamily="var(--serif)"
          fontWeight={600}
        >
          {railRatio(rail.apex)}
        </text>
        <DrawnMeasure mm={2 * half_mm} x={X(0.3 * half_mm)} y={foot + 22} size={19} anchor="middle" after="wide" />
        <g data-testid="straightedge-says">
          {across.kind === 'flat' ? (
            <text x={left} y={foot + 21} fontSize={15} fontStyle="italic" fontFamily="var(--serif)" className="drawn">
              {straightedgeWords(across)}
            </text>
          ) : (
            <DrawnMeasure mm={across.gap_mm} x={left} y={foot + 22} size={17} after={straightedgeWords(across)} />
          )}
        </g>
        <DrawnMeasure mm={half_mm - edgeY_mm} x={right + 8} y={foot + 22} size={16} anchor="end" after="tuck" />
      </g>
      {notch_mm === 0 && (
        <DrawnMeasure
          mm={thickness_mm}
          x={X(0) + 12}
          y={Y(thickness_mm / 2) + 7}
          size={20}
          after="thick at the stringer"
        />
      )}
      <RailHandles section={section} scale={scale} />
      <CrownHandle section={section} scale={scale} />
      {layer !== undefined && <DepthHandle section={section} scale={scale} layer={layer} />}
    </svg>
  );
}

/** A straightedge across the bottom, where it rests, and the light under it where there is most. */
function Straightedge({ section, scale: { X, Y } }: { section: Section; scale: SectionScale }) {
  const across = straightedgeAcross(section);
  if (across.kind === 'flat') return null;
  const lowest = undersideHeightAt(section, across.rests_mm);
  const reach = section.edgeY_mm + 8;
  return (
    <g stroke="var(--coral)">
      <line
        x1={X(-reach)}
        x2={X(reach)}
        y1={Y(lowest)}
        y2={Y(lowest)}
        strokeWidth={1.4}
        strokeDasharray="6 4"
        data-testid="straightedge"
      />
      {[1, -1].map((side) => (
        <line
          key={side}
          x1={X(side * across.at_mm)}
          x2={X(side * across.at_mm)}
          y1={Y(lowest)}
          y2={Y(lowest + across.gap_mm)}
          strokeWidth={2.4}
        />
      ))}
    </g>
  );
}
