import { describe, expect, it } from '@jest/globals';
import {
  formatArea,
  formatLength,
  INCH_mm,
  type LengthStyle,
  parseLength,
  parseMass,
  POUND_kg,
  styleApart,
} from './index.ts';

function mmOf(text: string, bare: 'in' | 'mm' | 'cm' = 'in'): number {
  const parsed = parseLength(text, bare);
  if (!parsed.ok) throw new Error(`${text}: ${parsed.reason}`);
  return parsed.value;
}

const sixteenth: LengthStyle = { kind: 'fraction', denominator: 16 };

describe('the inch and the pound', () => {
  it('are the exact ones of NIST SP 811 (2008), appendix B.8', () => {
    expect(INCH_mm).toBe(25.4);
    expect(POUND_kg).toBe(0.45359237);
  });
});

describe('parseLength', () => {
  it('reads every fraction from 1/64 to 63/64, alone, after a whole number and after feet', () => {
    for (let n = 1; n < 64; n++) {
      expect(mmOf(`${n}/64`)).toBeCloseTo((n / 64) * 25.4, 10);
      expect(mmOf(`19 ${n}/64`)).toBeCloseTo((19 + n / 64) * 25.4, 10);
      expect(mmOf(`19-${n}/64`)).toBeCloseTo((19 + n / 64) * 25.4, 10);
      expect(mmOf(`5'11 ${n}/64`)).toBeCloseTo((71 + n / 64) * 25.4, 10);
    }
  });

  it.each([
    ["5'11", 71 * 25.4],
    ['5\'11"', 71 * 25.4],
    ['5’11”', 71 * 25.4],
    ["5' 11 1/2", 71.5 * 25.4],
    ["6'", 72 * 25.4],
    ["6'0", 72 * 25.4],
    ['6 ft', 72 * 25.4],
    ['6ft 2in', 74 * 25.4],
    ["6'2.5", 74.5 * 25.4],
    ['71', 71 * 25.4],
    ['71in', 71 * 25.4],
    ['71 inches', 71 * 25.4],
    ['19 7/8', 19.875 * 25.4],
    ['19-7/8', 19.875 * 25.4],
    ['19 7/8"', 19.875 * 25.4],
    ['19⅞', 19.875 * 25.4],
    ['2 3⁄8', 2.375 * 25.4],
    ['2.375', 2.375 * 25.4],
    ['2,375', 2.375 * 25.4],
    ['.5', 12.7],
    ['505mm', 505],
    ['50.5 cm', 505],
    ['1.83 m', 1830],
    ['-1', -25.4],
    ['−1/2', -12.7],
    ['+3/4', 19.05],
    ['  19  7/8  ', 19.875 * 25.4],
  ])('reads %s', (text, mm) => {
    expect(mmOf(text)).toBeCloseTo(mm, 9);
  });

  it('reads a bare number in the unit of the shop', () => {
    expect(mmOf('505', 'mm')).toBe(505);
    expect(mmOf('50.5', 'cm')).toBe(505);
    expect(mmOf('19 7/8"', 'mm')).toBeCloseTo(19.875 * 25.4, 9);
  });

  it.each([
    ['', 'empty'],
    ['   ', 'empty'],
    ['wide', 'notALength'],
    ['19 7/8 7/8', 'notALength'],
    ['19 7/0', 'zeroUnder'],
    ['7/', 'notALength'],
    ['/8', 'notALength'],
    ["5'12", 'inchesOverTwelve'],
    ["5'5'", 'notALength'],
    ['1e3', 'notALength'],
    ['NaN', 'notALength'],
    ['Infinity', 'notALength'],
    ['--3', 'notALength'],
    ['19 kg', 'notALength'],
    ['999999', 'tooLong'],
    ['19..5', 'notALength'],
    ['<script>', 'notALength'],
  ])('refuses %s, and says why', (text, code) => {
    const parsed = parseLength(text);
    expect(parsed).toMatchObject({ ok: false, code });
    if (!parsed.ok) expect(parsed.reason.length).toBeGreaterThan(10);
  });
});

describe('formatLength', () => {
  it.each([
    [19.875 * 25.4, {}, '19 7/8'],
    [12.7, {}, '1/2'],
    [0, {}, '0'],
    [71 * 25.4, { feet: true }, "5'11"],
    [74.5 * 25.4, { feet: true }, "6'2 1/2"],
    [71.99 * 25.4, { feet: true }, "6'0"],
    [-12.7, { signed: true }, '−1/2'],
    [12.7, { signed: true }, '+1/2'],
    [0.1, { signed: true }, '0'],
    [NaN, {}, '–'],
  ])('writes %d mm %j as %s', (mm, options, text) => {
    expect(formatLength(mm, sixteenth, options)).toBe(text);
  });

  it('writes the shop’s other ways', () => {
    expect(formatLength(505, { kind: 'mm' })).toBe('505 mm');
    expect(formatLength(505.04, { kind: 'mm' })).toBe('505 mm');
    expect(formatLength(505, { kind: 'cm' })).toBe('50.5 cm');
    expect(formatLength(2.375 * 25.4, { kind: 'decimal', places: 3 })).toBe('2.375');
    expect(formatLength(74.5 * 25.4, { kind: 'decimal', places: 2 }, { feet: true })).toBe("6'2.5");
  });

  it('round-trips every 64th to 10 ft in every fraction style that can hold it', () => {
    for (const denominator of [8, 16, 32, 64] as const) {
      for (let n = 0; n <= 120 * denominator; n += 7) {
        const mm = (n / denominator) * 25.4;
        for (const feet of [false, true]) {
          expect(mmOf(formatLength(mm, { kind: 'fraction', denominator }, { feet }))).toBeCloseTo(mm, 9);
        }
      }
    }
  });
});

describe('two lengths that differ', () => {
  it.each<[number, number, LengthStyle, string]>([
    // 7/16 and 1/2 in differ in the shop's sixteenths already.
    [11.1, 12.7, sixteenth, '7/16'],
    // 12.5 and 12.7 mm both read 1/2 in sixteenths and in 32nds, 31/64 in 64ths.
    [12.4, 12.7, sixteenth, '31/64'],
    [12.4, 12.7, { kind: 'fraction', denominator: 8 }, '31/64'],
    [12.6, 12.7, { kind: 'decimal', places: 2 }, '0.496'],
    [12.5, 12.54, { kind: 'cm' }, '12.5 mm'],
  ])('%d and %d mm do not read the same', (a, b, style, text) => {
    const apart = styleApart(a, b, style);
    expect(formatLength(a, apart)).toBe(text);
  });

  it('stay in the shop’s way when nothing finer tells them apart', () => {
    expect(formatLength(12.7, styleApart(12.7, 12.7, { kind: 'mm' }))).toBe('12.7 mm');
  });
});

describe('an area', () => {
  it('is in square inches, 645.16 mm² each by definition, or in cm² in a metric shop', () => {
    expect(formatArea(6451.6, sixteenth, 1)).toBe('10.0 sq in');
    expect(formatArea(6451.6, { kind: 'decimal', places: 2 })).toBe('10 sq in');
    expect(formatArea(6451.6, { kind: 'mm' }, 1)).toBe('64.5 cm²');
    expect(formatArea(6451.6, { kind: 'cm' })).toBe('65 cm²');
    expect(formatArea(NaN, { kind: 'cm' })).toBe('–');
  });
});

describe('parseMass', () => {
  it.each([
    ['104kg', 104],
    ['230 lb', 230 * 0.45359237],
    ['230lbs', 230 * 0.45359237],
    ['76', 76],
    ['16 st 5', (16 * 14 + 5) * 0.45359237],
    ['2400 g', 2.4],
    ['76,5 kg', 76.5],
  ])('reads %s', (text, kg) => {
    const parsed = parseMass(text);
    expect(parsed.ok && parsed.value).toBeCloseTo(kg, 10);
  });

  it.each(['', 'heavy', '-5 kg', '5000 kg', '7 stones of foam'])('refuses “%s”', (text) => {
    expect(parseMass(text).ok).toBe(false);
  });
});
