/** What a file of a scan is, and how much is in it, told from its beginning before it is read. */
export type ScanFileKind =
  { ok: true; kind: 'stl' | 'obj' | 'ply' | 'xyz'; points: number | undefined } | { ok: false; reason: string };

/** More than this is not read: a board needs a hundredth of it. */
const MOST_TRIANGLES = 12e6;
const MOST_bytes = 600e6;
const STL_HEAD = 84;
const STL_FACET = 50;

const tooMany = (count: number): ScanFileKind => ({
  ok: false,
  reason: `The file says it has ${count.toLocaleString('en')} triangles or points: thin it out to a few million.`,
});
const cutOff: ScanFileKind = { ok: false, reason: 'The file is shorter than it says: it was cut off.' };

/**
 * The kind of a scan's file by what it begins with, whatever its name: STL in binary or text, OBJ, PLY, or a text of points, three
 * numbers a line. Counts that the head states are held against the size, so that nothing is made room for that is not there.
 */
export function scanFileKind(head: Uint8Array, size: number): ScanFileKind {
  if (size === 0 || head.length === 0) return { ok: false, reason: 'The file is empty.' };
  if (size > MOST_bytes) {
    return {
      ok: false,
      reason: `The file has ${Math.round(size / 1e6)} MB: more than ${MOST_bytes / 1e6} are not read.`,
    };
  }
  const text = new TextDecoder('latin1').decode(head.subarray(0, 4096));
  if (/^ply\s/.test(text)) return plyKind(text, size);
  if (/^PK\x03\x04/.test(text))
    return { ok: false, reason: 'This is a packed file: unpack it and open the scan inside.' };
  if (size >= STL_HEAD && head.length >= STL_HEAD) {
    const facets = new DataView(head.buffer, head.byteOffset, head.length).getUint32(80, true);
    const whole = STL_HEAD + STL_FACET * facets;
    if (whole === size)
      return facets > MOST_TRIANGLES ? tooMany(facets) : { ok: true, kind: 'stl', points: 3 * facets };
    const binary = [...head.subarray(0, STL_HEAD)].some((byte) => byte === 0);
    if (binary && facets > 0) return facets > MOST_TRIANGLES ? tooMany(facets) : cutOff;
  }
  if (/\0/.test(text)) return { ok: false, reason: 'This is no scan: STL, OBJ, PLY or a text of points is read here.' };
  if (/^\s*solid\b[^]*\bfacet\b/i.test(text)) return { ok: true, kind: 'stl', points: undefined };
  if (/^\s*v\s+[-+\d.]/m.test(text)) return { ok: true, kind: 'obj', points: undefined };
  if (/^\s*[-+\d.eE]+[\s,;]+[-+\d.eE]+[\s,;]+[-+\d.eE]+/.test(text))
    return { ok: true, kind: 'xyz', points: undefined };
  return { ok: false, reason: 'This is no scan: STL, OBJ, PLY or a text of points is read here.' };
}

function plyKind(text: string, size: number): ScanFileKind {
  const end = text.indexOf('end_header');
  if (end < 0) return cutOff;
  const count = (element: string) => Number(new RegExp(`element ${element} (\\d+)`).exec(text)?.[1] ?? 0);
  const [vertices, faces] = [count('vertex'), count('face')];
  if (Math.max(vertices, faces) > MOST_TRIANGLES) return tooMany(Math.max(vertices, faces));
  if (vertices === 0) return { ok: false, reason: 'There are no points in the file.' };
  // The least a point can take: three numbers of a byte each, or three figures and their blanks.
  if (size < end + 6 * vertices) return cutOff;
  return { ok: true, kind: 'ply', points: vertices };
}
