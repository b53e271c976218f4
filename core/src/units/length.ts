import { saidBack } from './oneLine.ts';
import { type Parsed, parsedAs, refused } from './parsed.ts';

/** Exactly, by definition: NIST SP 811 (2008), appendix B.8, "inch (in) to metre (m) 2.54 E-02". */
export const INCH_mm = 25.4;
export const FOOT_mm = 12 * INCH_mm;

/** What a bare number means: inches in an inch shop, millimetres or centimetres in a metric one. */
export type BareUnit = 'in' | 'mm' | 'cm';

const UNIT_mm: Readonly<Record<string, number>> = {
  '"': INCH_mm,
  in: INCH_mm,
  inch: INCH_mm,
  inches: INCH_mm,
  mm: 1,
  cm: 10,
  m: 1000,
  "'": FOOT_mm,
  ft: FOOT_mm,
  foot: FOOT_mm,
  feet: FOOT_mm,
};

const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/** One spelling for quotes, dashes, fraction slashes, spaces and decimal commas. */
function plain(text: string): string {
  return text
    .trim()
    .toLowerCase()
    .replace(/[½¼¾⅛⅜⅝⅞]/g, (c) => ` ${VULGAR[c]}`)
    .replace(/[’‘′`]/g, "'")
    .replace(/[”“″]|''/g, '"')
    .replace(/[−–—]/g, '-')
    .replace(/⁄/g, '/')
    .replace(/(\d),(\d)/g, '$1.$2')
    .replace(/\s+/g, ' ')
    .trim();
}

const DECIMAL = String.raw`(?:\d+\.?\d*|\.\d+)`;
/** 19, 19.5, 19 7/8, 19-7/8 or 7/8 */
const AMOUNT = String.raw`(?:\d+(?:\s*-\s*|\s+)\d+\s*/\s*\d+|\d+\s*/\s*\d+|${DECIMAL})`;
const FEET_INCHES = new RegExp(
  String.raw`^(${DECIMAL})\s*(?:'|ft|foot|feet)\s*-?\s*(?:(${AMOUNT})\s*(?:"|in|inch|inches)?)?$`,
);
const ONE_UNIT = new RegExp(String.raw`^(${AMOUNT})\s*("|in|inch|inches|mm|cm|m)?$`);

/** Nobody writes a length in more letters. */
const MOST_TYPED = 100;

/** The value of "19 7/8", "7/8" or "19.875"; undefined for a fraction over zero. */
function amount(text: string): number | undefined {
  const mixed = /^(?:(\d+)[\s-]+)?(\d+)\s*\/\s*(\d+)$/.exec(text.trim());
  if (!mixed) return Number(text);
  const under = Number(mixed[3]);
  if (under === 0) return undefined;
  return Number(mixed[1] ?? 0) + Number(mixed[2]) / under;
}

/**
 * The length, in mm, that a shaper's writing means: 5'11, 5'11 1/2", 71, 71in, 19 7/8, 19-7/8, 2.375, 505mm, 50.5 cm, 6 ft.
 *
 * A leading minus or plus is taken ("-1" for an inch behind centre). A bare number is read in `bare`.
 * Inches after feet must be below 12 and no part of a board is longer than 20 m: more is refused, with the reason.
 */
export function parseLength(text: string, bare: BareUnit = 'in'): Parsed {
  if (text.length > MOST_TYPED) return refused('notALength', `${saidBack(text)} is far too long for a length.`);
  const whole = plain(text);
  if (whole === '') return refused('empty', 'Write a length, such as 19 7/8 or 505mm.');
  const sign = whole.startsWith('-') ? -1 : 1;
  const body = whole.replace(/^[-+]\s*/, '');

  const feet = FEET_INCHES.exec(body);
  if (feet) {
    const inches = feet[2] === undefined ? 0 : amount(feet[2]);
    if (inches === undefined) return refused('zeroUnder', 'A fraction cannot have zero below the line.');
    if (inches >= 12)
      return refused('inchesOverTwelve', `After feet the inches stay below 12; ${saidBack(feet[2])} is more.`);
    return bounded(sign * (Number(feet[1]) * FOOT_mm + inches * INCH_mm));
  }

  const single = ONE_UNIT.exec(body);
  if (!single) return refused('notALength', `${saidBack(text)} is not a length. Try 5'11, 19 7/8, 2.375 or 505mm.`);
  const value = amount(single[1]);
  if (value === undefined) return refused('zeroUnder', 'A fraction cannot have zero below the line.');
  return bounded(sign * value * UNIT_mm[single[2] ?? bare]);
}

function bounded(value_mm: number): Parsed {
  if (!(Math.abs(value_mm) <= 20_000)) return refused('tooLong', 'That is longer than 20 m; check the unit.');
  return parsedAs(value_mm);
}
