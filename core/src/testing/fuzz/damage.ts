/** Draws a number from 0 to below 1. */
export type Even = () => number;

export const drawn = <T>(from: readonly T[], even: Even): T => from[Math.floor(even() * from.length)];
const below = (most: number, even: Even): number => Math.floor(even() * most);

/** What has broken readers before, anywhere: as a piece of a text. */
const PIECES: readonly string[] = [
  ...['', ' ', ',', ';', '\t', '\n', '\r\n', '\r', '"', "'", '""', '\\', '\0', '\u0007', '\u200b', '\u202e', '\ufeff'],
  ...['NaN', 'Infinity', '-Infinity', 'undefined', 'null', 'true', '[]', '{}', '[object Object]', '1e309', '-1e-309'],
  ...['-0', '0', '-1', '1/0', '3/', '/8', '1 1/2', "6'", '6\'2"', '1,5', '1.5.5', '0x10', '1_000', '٣', '½', '−4'],
  ...['__proto__', 'constructor', 'toString', '=1+1', '@SUM(A1)', '+', '-', '<', '>', '&', '&lt;', '<!--', ']]>'],
  ...['<g>', '</g>', '<path d="M0 0L', 'A1 1 0 0 1', '%PDF', 'PK\u0003\u0004', 'SECTION', '0\nEOF\n', '999999999999'],
  ...['\ud800', '🏄', 'é', 'ﬃ', '𝟙', '\u2028'],
];

/** A text with one to six pieces of it lost, said twice, changed places, or something else in their place. */
export function damagedText(text: string, even: Even): string {
  let out = text;
  for (let round = 1 + below(6, even); round > 0; round--) {
    const from = below(out.length + 1, even);
    // Most cuts are small, some take nearly all.
    const to = Math.min(out.length, from + below(even() < 0.8 ? 12 : out.length + 1, even));
    const [before, cut, after] = [out.slice(0, from), out.slice(from, to), out.slice(to)];
    switch (below(7, even)) {
      case 0:
        out = before + after;
        break;
      case 1:
        out = before + cut + cut + after;
        break;
      case 2:
        out = before;
        break;
      case 3:
        out = after + before;
        break;
      case 4:
        out = before + String.fromCharCode(below(0x2ff, even)) + after;
        break;
      case 5:
        out = before + drawn(PIECES, even).repeat(1 + below(4, even)) + after;
        break;
      default:
        // A number is another number.
        out = before + after.replace(/-?\d+(\.\d+)?/, () => String(drawn(NUMBERS, even)));
    }
    if (out.length > 400_000) out = out.slice(0, 400_000);
  }
  return out;
}

/** Bytes with one to six of them, or a stretch, changed or lost. */
export function damagedBytes(bytes: Uint8Array, even: Even): Uint8Array {
  let out = Uint8Array.from(bytes);
  for (let round = 1 + below(6, even); round > 0 && out.length > 0; round--) {
    // What a file begins with says what it is.
    const at = below(even() < 0.5 ? Math.min(64, out.length) : out.length, even);
    switch (below(5, even)) {
      case 0:
        out[at] ^= 1 << below(8, even);
        break;
      case 1:
        out[at] = drawn([0, 1, 0x7f, 0x80, 0xff], even);
        break;
      case 2:
        out = out.slice(0, at);
        break;
      case 3:
        out.fill(below(256, even), at, at + below(16, even));
        break;
      default: {
        const to = Math.min(out.length, at + below(40, even));
        out = Uint8Array.from([...out.subarray(0, at), ...out.subarray(to)]);
      }
    }
  }
  return out;
}

const NUMBERS: readonly number[] = [
  ...[0, -0, 1, -1, 0.5, 1e-12, -1e-12, 1e9, -1e9, 1e308, -1e308, Number.MIN_VALUE, Number.MAX_SAFE_INTEGER],
  ...[25.4, 304.8, 1829, 2 ** 31, 2 ** 53, 1e21, 12.5, 100, 4000],
];
const VALUES: readonly unknown[] = [
  ...NUMBERS,
  ...[null, undefined, true, false, '', ' ', 'nose', 'NaN', '12', [], {}, [[]], [null], { toString: 1 }, Number.NaN],
  ...[Infinity, 'x'.repeat(5000), '\u200b', 'a\nb', '=1+1', '2026-02-30', '0000-00-00', '2026-11-26T25:61:00.000Z'],
];

type Holder = Record<string, unknown>;

/** Every place of a value where another could stand. */
function placesOf(value: unknown, out: [Holder, string][] = []): [Holder, string][] {
  if (typeof value !== 'object' || value === null) return out;
  for (const key of Object.keys(value)) {
    out.push([value as Holder, key]);
    placesOf((value as Holder)[key], out);
  }
  return out;
}

/**
 * A copy of a value with one to three of its places changed: another value there, a number moved, the place gone, one more key, an entry
 * said twice, two entries changed over.
 */
export function damagedValue(value: unknown, even: Even): unknown {
  const whole: Holder = { value: structuredClone(value) };
  for (let round = 1 + below(3, even); round > 0; round--) {
    const places = placesOf(whole);
    // What was taken out whole has no place left to change.
    if (places.length === 0) break;
    const [holder, key] = drawn(places, even);
    const was = holder[key];
    switch (below(7, even)) {
      case 0:
        delete holder[key];
        break;
      case 1:
        if (typeof was === 'number') holder[key] = was * (2 * even());
        break;
      case 2:
        if (typeof was === 'number') holder[key] = was + (even() - 0.5) * 300;
        break;
      case 3:
        if (typeof was === 'object' && was !== null && !Array.isArray(was)) {
          (was as Holder)[drawn(['extra', '__proto__x', 'constructor', ''], even)] = drawn(VALUES, even);
        }
        break;
      case 4:
        if (Array.isArray(was) && was.length > 0)
          was.push(...Array.from({ length: 1 + below(60, even) }, () => was[0]));
        break;
      case 5: {
        const [from, name] = drawn(places, even);
        holder[key] = structuredClone(from[name]);
        break;
      }
      default:
        holder[key] = structuredClone(drawn(VALUES, even));
    }
  }
  return whole.value;
}
