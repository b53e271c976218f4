import { useId } from 'react';
import { type LengthStyle, writeLength, type WrittenLength } from '@june-tide/core/units';
import { useShed } from '../store/shed.ts';
import { styleOf } from '../store/derived.ts';

interface MeasureProps {
  mm: number;
  feet?: boolean;
  signed?: boolean;
  /** Another way of writing than the shop's. */
  style?: LengthStyle;
}

export function useLengthStyle(): LengthStyle {
  return styleOf(useShed((shed) => shed.settings));
}

/** A length in the shop's writing, its fraction built. Screen readers get the plain form. */
export function Measure({ mm, feet = false, signed = false, style }: MeasureProps) {
  const shop = useLengthStyle();
  const written = writeLength(mm, style ?? shop, { feet, signed });
  return (
    <span className="fraction">
      <span className="visually-hidden">{written.text}</span>
      <span aria-hidden="true">{built(written)}</span>
    </span>
  );
}

export function built(written: WrittenLength) {
  return (
    <>
      {written.sign}
      {written.feet !== undefined && `${written.feet}′`}
      {written.whole}
      {written.numerator !== undefined && (
        <>
          {written.feet !== undefined && ' '}
          <span className="over">{written.numerator}</span>
          <span className="slash">⁄</span>
          <span className="under">{written.denominator}</span>
        </>
      )}
      {(written.unit === 'cm' || written.unit === 'mm') && ` ${written.unit}`}
    </>
  );
}

interface DrawnMeasureProps extends MeasureProps {
  x: number;
  y: number;
  size: number;
  anchor?: 'start' | 'middle' | 'end';
  /** Words after the number, in italics. */
  after?: string | undefined;
  held?: boolean;
}

/** The same, drawn in an SVG, with a halo so that it reads over lines. */
export function DrawnMeasure({
  mm,
  feet = false,
  x,
  y,
  size,
  anchor = 'start',
  after,
  held = false,
}: DrawnMeasureProps) {
  const w = writeLength(mm, useLengthStyle(), { feet });
  const small = size * 0.79;
  const id = useId();
  // Its halo is drawn whole before the letters: piece by piece, the halo of a denominator would eat the slash before it.
  return (
    <g className={held ? 'drawn held' : 'drawn'}>
      <g className="halo">
        <text
          id={id}
          x={x}
          y={y}
          fontSize={size}
          textAnchor={anchor}
          fontFamily="var(--serif)"
          fontWeight={600}
          pointerEvents="none"
        >
          {w.sign}
          {w.feet !== undefined && `${w.feet}′`}
          {w.whole}
          {w.numerator !== undefined && (
            <>
              <tspan fontSize={small} dy={-size * 0.26}>
                {w.numerator}
              </tspan>
              <tspan dy={size * 0.26}>⁄</tspan>
              <tspan fontSize={small} dy={size * 0.05}>
                {w.denominator}
              </tspan>
              <tspan dy={-size * 0.05}>{'\u200b'}</tspan>
            </>
          )}
          {(w.unit === 'cm' || w.unit === 'mm') && <tspan fontSize={small}> {w.unit}</tspan>}
          {after && (
            <tspan fontSize={Math.max(13, size * 0.72)} fontStyle="italic" fontWeight={400} className="after">
              {' '}
              {after}
            </tspan>
          )}
        </text>
      </g>
      <use href={`#${id}`} className="letters" />
    </g>
  );
}

/** Text in which plain fractions of an inch (3/8, 15/16) are built; ratios such as 60/40 and layers such as 4+4/4 stay as they are. */
export function BuiltText({ text }: { text: string }) {
  const parts = text.split(/((?<![+\d])\d+\/(?:2|4|8|16|32|64)\b(?! oz))/);
  return (
    <span className="fraction wraps">
      <span className="visually-hidden">{text}</span>
      <span aria-hidden="true">
        {parts.map((part, i) => {
          if (i % 2 === 0) return i + 1 < parts.length ? part.replace(/(\d) $/, '$1') : part;
          const [over, under] = part.split('/');
          return (
            <span key={i} className="one-line">
              <span className="over">{over}</span>
              <span className="slash">⁄</span>
              <span className="under">{under}</span>
            </span>
          );
        })}
      </span>
    </span>
  );
}
