import { INCH_mm } from './length.ts';
import { POUND_kg } from './mass.ts';

/** The shop's way of writing lengths. */
export type LengthStyle =
  | { kind: 'fraction'; denominator: 8 | 16 | 32 | 64 }
  | { kind: 'decimal'; places: 2 | 3 }
  | { kind: 'cm' }
  | { kind: 'mm' };

/** A length ready to be set in type: the fraction apart, so that an interface can build it. `text` is the plain form. */
export interface WrittenLength {
  text: string;
  sign: '' | '+' | '−';
  feet?: number;
  whole: string;
  numerator?: number;
  denominator?: number;
  unit: '' | 'in' | 'cm' | 'mm';
}

interface WriteOptions {
  /** 6'2 and not 74. Only for lengths of boards and people. */
  feet?: boolean;
  /** Always show + or −: for differences. */
  signed?: boolean;
}

function greatestDivisor(a: number, b: number): number {
  return b === 0 ? a : greatestDivisor(b, a % b);
}

/**
 * A length as the shop writes it. Fractions round half up on the magnitude, so that −x reads as x does.
 * Error: at most half of the last fraction or place.
 */
export function writeLength(value_mm: number, style: LengthStyle, options: WriteOptions = {}): WrittenLength {
  if (!Number.isFinite(value_mm)) return { text: '–', sign: '', whole: '–', unit: '' };
  if (style.kind === 'cm' || style.kind === 'mm') {
    const scaled = style.kind === 'cm' ? value_mm / 10 : value_mm;
    const whole = Math.abs(scaled).toFixed(1).replace(/\.0$/, '');
    const sign = signOf(scaled, whole, options);
    return { text: `${sign}${whole} ${style.kind}`, sign, whole, unit: style.kind };
  }
  const inches = Math.abs(value_mm) / INCH_mm;
  if (style.kind === 'decimal') {
    const unit = 10 ** style.places;
    const rounded = Math.round(inches * unit) / unit;
    const sign = signOf(value_mm, rounded.toFixed(style.places), options);
    if (options.feet) {
      const feet = Math.floor(rounded / 12);
      const whole = String(Number((rounded - feet * 12).toFixed(style.places)));
      return { text: `${sign}${feet}'${whole}`, sign, feet, whole, unit: '' };
    }
    const whole = rounded.toFixed(style.places);
    return { text: `${sign}${whole}`, sign, whole, unit: 'in' };
  }
  const parts = Math.round(inches * style.denominator);
  const sign = signOf(value_mm, String(parts), options);
  let whole = Math.floor(parts / style.denominator);
  const over = parts % style.denominator;
  const divisor = greatestDivisor(over, style.denominator);
  const fraction = over === 0 ? {} : { numerator: over / divisor, denominator: style.denominator / divisor };
  const fractionText = over === 0 ? '' : `${over / divisor}/${style.denominator / divisor}`;
  if (options.feet) {
    const feet = Math.floor(whole / 12);
    whole -= feet * 12;
    const text = `${sign}${feet}'${whole}${fractionText && ` ${fractionText}`}`;
    return { text, sign, feet, whole: String(whole), ...fraction, unit: '' };
  }
  const wholeText = whole === 0 && over !== 0 ? '' : String(whole);
  const text = `${sign}${[wholeText, fractionText].filter(Boolean).join(' ')}`;
  return { text, sign, whole: wholeText, ...fraction, unit: 'in' };
}

function signOf(value: number, digits: string, options: WriteOptions): '' | '+' | '−' {
  if (Number(digits) === 0) return '';
  if (value < 0) return '−';
  return options.signed ? '+' : '';
}

/** The plain text of a length: 6'2, 19 7/8, 50.5 cm. */
export function formatLength(value_mm: number, style: LengthStyle, options: WriteOptions = {}): string {
  return writeLength(value_mm, style, options).text;
}

/** A length with its unit, whatever the shop writes in: 7/8 in, 505 mm. */
export function lengthWords(value_mm: number, style: LengthStyle, options: WriteOptions = {}): string {
  const text = formatLength(value_mm, style, options);
  return /[a-z']/.test(text) ? text : `${text} in`;
}

/** From the coarsest to the finest of each way of writing. */
const FINER: readonly (readonly LengthStyle[])[] = [
  [8, 16, 32, 64].map((denominator) => ({ kind: 'fraction', denominator }) as LengthStyle),
  [
    { kind: 'decimal', places: 2 },
    { kind: 'decimal', places: 3 },
  ],
  [{ kind: 'cm' }, { kind: 'mm' }],
];

/** The shop's way of writing, or the next finer one of its kind, in which two lengths that differ do not read the same. */
export function styleApart(a_mm: number, b_mm: number, style: LengthStyle): LengthStyle {
  const row = FINER.find((styles) => styles.some(({ kind }) => kind === style.kind)) ?? [];
  const from = row.findIndex((entry) => JSON.stringify(entry) === JSON.stringify(style));
  const apart = (entry: LengthStyle) => formatLength(a_mm, entry) !== formatLength(b_mm, entry);
  return [style, ...row.slice(from + 1)].find(apart) ?? row.at(-1) ?? style;
}

/** Litres to one place, with the unit. */
export function formatLitres(volume_L: number, places = 1): string {
  return Number.isFinite(volume_L) ? `${volume_L.toFixed(places)} L` : '–';
}

/** A person's or a board's mass: 76 kg or 168 lb. */
export function formatMass(mass_kg: number, unit: 'kg' | 'lb', places = 0): string {
  return `${(unit === 'kg' ? mass_kg : mass_kg / POUND_kg).toFixed(places)} ${unit}`;
}

/** An area as the shop writes it: square inches, or square centimetres where lengths are metric. Error: half of the last place. */
export function formatArea(area_mm2: number, style: LengthStyle, places = 0): string {
  if (!Number.isFinite(area_mm2)) return '–';
  const metric = style.kind === 'cm' || style.kind === 'mm';
  return metric ? `${(area_mm2 / 100).toFixed(places)} cm²` : `${(area_mm2 / INCH_mm ** 2).toFixed(places)} sq in`;
}
