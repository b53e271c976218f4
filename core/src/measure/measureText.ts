import { formatArea, formatLength, formatLitres, type LengthStyle } from '../units/format.ts';
import type { MeasureUnit } from './catalogue.ts';

/** A measure's number in the shop's way of writing: lengths, areas, litres, degrees, plain shares to three places. */
export function measureText(value: number, unit: MeasureUnit, style: LengthStyle): string {
  switch (unit) {
    case 'mm':
      return formatLength(value, style);
    case 'mm2':
      return formatArea(value, style);
    case 'L':
      return formatLitres(value);
    case 'rad':
      return `${((value * 180) / Math.PI).toFixed(0)}°`;
    case '':
      return value.toFixed(3);
  }
}
