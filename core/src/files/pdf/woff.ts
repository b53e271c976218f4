import { unzlibSync } from 'fflate';

/** 'wOFF', the first four bytes. */
const SIGNATURE = 0x774f4646;
/** Sizes of the parts of both kinds of file, bytes. */
const WOFF_HEADER = 44;
const WOFF_ENTRY = 20;
const SFNT_HEADER = 12;
const SFNT_ENTRY = 16;

/**
 * A WOFF font as a plain one, its tables bit for bit as they were packed (W3C, WOFF File Format 1.0): a reader of fonts inflates the table of
 * letters anew for every letter it takes from a WOFF. What is no WOFF is given back as it is.
 *
 * @throws RangeError or fflate's error where the file is cut off
 */
export function plainFont(file: Uint8Array): Uint8Array {
  const from = new DataView(file.buffer, file.byteOffset, file.byteLength);
  if (file.byteLength < WOFF_HEADER || from.getUint32(0) !== SIGNATURE) return file;
  const count = from.getUint16(12);
  const font = new Uint8Array(from.getUint32(16));
  const to = new DataView(font.buffer);
  to.setUint32(0, from.getUint32(4));
  to.setUint16(4, count);
  // The largest power of two within the count, for a search by halves (OpenType, table directory).
  const halvings = Math.floor(Math.log2(count));
  to.setUint16(6, 2 ** halvings * SFNT_ENTRY);
  to.setUint16(8, halvings);
  to.setUint16(10, (count - 2 ** halvings) * SFNT_ENTRY);
  const entries = Array.from({ length: count }, (_, i) => {
    const at = WOFF_HEADER + i * WOFF_ENTRY;
    return {
      i,
      tag: from.getUint32(at),
      offset: from.getUint32(at + 4),
      packed: from.getUint32(at + 8),
      length: from.getUint32(at + 12),
      checksum: from.getUint32(at + 16),
    };
  });
  let end = SFNT_HEADER + count * SFNT_ENTRY;
  // The directory goes by tag; the tables lie in the order they lay in.
  for (const { i, tag, offset, packed, length, checksum } of entries.sort((a, b) => a.offset - b.offset)) {
    const at = SFNT_HEADER + i * SFNT_ENTRY;
    to.setUint32(at, tag);
    to.setUint32(at + 4, checksum);
    to.setUint32(at + 8, end);
    to.setUint32(at + 12, length);
    const table = file.subarray(offset, offset + packed);
    font.set(packed < length ? unzlibSync(table) : table, end);
    end += Math.ceil(length / 4) * 4;
  }
  return font;
}
