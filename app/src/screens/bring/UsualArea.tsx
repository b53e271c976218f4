import { useMemo } from 'react';
import type { Board } from '@june-tide/core/document';
import { usualRange } from '@june-tide/core/judge';
import { Facts, measureOf } from '@june-tide/core/measure';
import { KIND_WORDS, kindOf } from '@june-tide/core/rider';
import { formatArea } from '@june-tide/core/units';
import { Measure, useLengthStyle } from '../../parts/Measure.tsx';
import { shapeFor } from '../../store/derived.ts';

/** The area of an outline that is copied beside what is usual, and whether it carries more tail than is usual today. */
export function UsualArea({ board }: { board: Board }) {
  const style = useLengthStyle();
  const told = useMemo(() => {
    const facts = new Facts(shapeFor(board));
    const kind = kindOf(facts);
    const of = (key: 'area_mm2' | 'tailWidth12_mm') => ({
      value: measureOf(key).read(facts),
      usual: usualRange(facts, key, { kind }),
    });
    return { kind, area: of('area_mm2'), tail: of('tailWidth12_mm') };
  }, [board]);
  const { kind, area, tail } = told;
  return (
    <>
      <p data-testid="usual-area">
        Plan area <b>{formatArea(area.value, style)}</b>; {formatArea(area.usual.low, style)} to{' '}
        {formatArea(area.usual.high, style)} is usual of this kind, {KIND_WORDS[kind]}.
      </p>
      {tail.value > tail.usual.high && (
        <p className="trouble">
          12 in from its tail it is <Measure mm={tail.value} /> wide, where <Measure mm={tail.usual.high} /> is much: a
          literal copy carries that much tail.
        </p>
      )}
    </>
  );
}
