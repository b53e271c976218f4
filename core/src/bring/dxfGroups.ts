import { MOST_STROKES, TOO_MANY_LINES } from './limits.ts';

/** The group codes there are. DXF Reference, group code value types. */
const CODES: readonly (readonly [from: number, to: number])[] = [
  [-5, 149],
  [160, 179],
  [210, 239],
  [270, 289],
  [290, 409],
  [410, 481],
  [999, 999],
  [1000, 1071],
];
/** What is read of a drawing; tables, classes and objects say nothing of its lines. */
const SECTIONS = new Set(['HEADER', 'BLOCKS', 'ENTITIES']);
const ENTITIES = new Set(['LINE', 'LWPOLYLINE', 'POLYLINE', 'ARC', 'CIRCLE', 'ELLIPSE', 'SPLINE', 'INSERT']);
const FRAME = new Set(['SECTION', 'ENDSEC', 'BLOCK', 'ENDBLK', 'EOF']);
const OF_POLYLINE = new Set(['VERTEX', 'SEQEND']);

export type DxfGroups = { ok: true; text: string } | { ok: false; reason: string };

const wrong = (line: number, what: string): DxfGroups => ({
  ok: false,
  reason: `Line ${line} of the DXF ${what}: it was written wrong, or cut off.`,
});

/**
 * The text of a DXF with only the sections and entities whose lines are read, and with what its parser trusts made true: a code a line,
 * a polyline’s points ended, a polyline’s count of points as many as there are. What cannot be made so is refused with its line.
 */
export function dxfGroups(text: string): DxfGroups {
  const lines = text.split(/\r\n|\r|\n/);
  const kept: string[] = [];
  /** Is the section kept; the entity; are points of a polyline awaited, and since which line? */
  let inSection = false;
  let inEntity = true;
  let open: number | undefined;
  /** Where the count of a light polyline stands in `kept`, and how many points it has. */
  let counted: number | undefined;
  let points = 0;
  let entities = 0;
  const settle = () => {
    if (counted !== undefined) kept[counted] = String(points);
    counted = undefined;
    points = 0;
  };
  for (let i = 0; i + 1 < lines.length; i += 2) {
    const code = Number(lines[i]);
    if (lines[i].trim() === '' || !CODES.some(([from, to]) => code >= from && code <= to)) {
      return wrong(i + 1, 'is no group code');
    }
    const value = lines[i + 1].trim();
    if (code === 0) {
      settle();
      if (open !== undefined && !OF_POLYLINE.has(value)) return wrong(open, 'begins a polyline without an end');
      if (value === 'SECTION') inSection = SECTIONS.has(lines[i + 3]?.trim() ?? '');
      inEntity = FRAME.has(value) || ENTITIES.has(value) || (open !== undefined && OF_POLYLINE.has(value));
      if (inSection && ENTITIES.has(value)) entities += 1;
      if (entities > MOST_STROKES) return { ok: false, reason: TOO_MANY_LINES };
      if (value === 'POLYLINE' && inSection) open = i + 1;
      else if (value === 'SEQEND') open = undefined;
    }
    const isEnd = code === 0 && value === 'EOF';
    if ((inSection && inEntity) || isEnd) kept.push(String(code), value);
    if (code === 90 && inSection && inEntity && counted === undefined) counted = kept.length - 1;
    if (code === 10) points += 1;
    if (isEnd) return { ok: true, text: `${kept.join('\n')}\n` };
    if (code === 0 && value === 'ENDSEC') inSection = false;
  }
  return wrong(lines.length, 'is its last, and no end of the file is said');
}
