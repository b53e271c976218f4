import { formatLength, formatLitres, formatMass, type LengthStyle } from '../units/format.ts';
import type { Writer } from './rule.ts';

/** Writes in the shop’s units. */
export function writerOf(style: LengthStyle, mass: 'kg' | 'lb' = 'kg'): Writer {
  return {
    mm: (value) => {
      const text = formatLength(value, style);
      return /[a-z]/.test(text) ? text : `${text} in`;
    },
    feet: (value) => formatLength(value, style, { feet: true }),
    L: formatLitres,
    kg: (value) => formatMass(value, mass),
  };
}
