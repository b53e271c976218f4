export type PictureFileKind = { ok: true; width: number; height: number } | { ok: false; reason: string };

/** No side of a picture is longer: what unpacks to more would stop the page. */
const MOST_SIDE_px = 20_000;
const MOST_bytes = 80e6;

/**
 * The size of a picture, told from its head before it is unpacked: PNG, JPEG, WebP. HEIC and the rest are refused in words.
 */
export function pictureFileKind(head: Uint8Array, bytes: number): PictureFileKind {
  if (bytes === 0 || head.length === 0) return { ok: false, reason: 'The file is empty.' };
  if (bytes > MOST_bytes) return { ok: false, reason: `The picture has over ${MOST_bytes / 1e6} MB: save it smaller.` };
  const text = (from: number, to: number) => String.fromCharCode(...head.subarray(from, to));
  if (text(4, 8) === 'ftyp' && /^(hei|hev|mif1|msf1)/.test(text(8, 12))) {
    return { ok: false, reason: 'This is a HEIC picture, which browsers do not open: save it as JPEG and open that.' };
  }
  const size = sizeOf(head, text);
  if (size === 'cut') return { ok: false, reason: 'The picture is cut off at its very beginning.' };
  if (!size) return { ok: false, reason: 'This is no picture: PNG, JPEG or WebP is read here.' };
  const [width, height] = size;
  if (!(width > 0 && height > 0)) return { ok: false, reason: 'The picture has no size.' };
  if (Math.max(width, height) > MOST_SIDE_px) {
    return {
      ok: false,
      reason: `The picture is ${width} by ${height} pixels: over ${MOST_SIDE_px} along a side is not read.`,
    };
  }
  return { ok: true, width, height };
}

function sizeOf(head: Uint8Array, text: (from: number, to: number) => string): [number, number] | 'cut' | undefined {
  const view = new DataView(head.buffer, head.byteOffset, head.length);
  if (text(1, 4) === 'PNG') return head.length < 24 ? 'cut' : [view.getUint32(16), view.getUint32(20)];
  if (text(0, 4) === 'RIFF' && text(8, 12) === 'WEBP') {
    if (head.length < 30) return 'cut';
    const three = (at: number) => head[at] | (head[at + 1] << 8) | (head[at + 2] << 16);
    if (text(12, 16) === 'VP8X') return [1 + three(24), 1 + three(27)];
    if (text(12, 16) === 'VP8 ') return [view.getUint16(26, true) & 0x3fff, view.getUint16(28, true) & 0x3fff];
    const bits = view.getUint32(21, true);
    return [1 + (bits & 0x3fff), 1 + ((bits >> 14) & 0x3fff)];
  }
  if (head[0] !== 0xff || head[1] !== 0xd8) return undefined;
  // JPEG: from segment to segment until the one that begins the frame (ITU-T T.81, annex B).
  let at = 2;
  while (at + 9 < head.length) {
    if (head[at] !== 0xff) return 'cut';
    const marker = head[at + 1];
    if (marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker)) {
      return [view.getUint16(at + 7), view.getUint16(at + 5)];
    }
    at += 2 + view.getUint16(at + 2);
  }
  return 'cut';
}
