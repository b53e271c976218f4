import { type MeasureKey, measureOf, measureText } from '@june-tide/core/measure';
import { Measure, useLengthStyle } from './Measure.tsx';

/** One measure's number in the shop's writing: a length with its fraction built, anything else as text. */
export function MeasuredValue({ of, value }: { of: MeasureKey; value: number }) {
  const style = useLengthStyle();
  const { unit } = measureOf(of);
  return unit === 'mm' ? <Measure mm={value} /> : measureText(value, unit, style);
}
