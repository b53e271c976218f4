import { bottomHeight } from '../bottom/bottom.ts';
import { deckParameterAt, deckPoint, filletPoint, type Section, type SectionPoint, underPoint } from './section.ts';

/** Height of the deck at y off the stringer, mm over the bottom at the stringer; the apex beyond the rail. */
export function deckHeightAt(section: Section, y_mm: number): number {
  const point: SectionPoint = { y_mm: 0, z_mm: 0 };
  deckPoint(section, deckParameterAt(section, Math.abs(y_mm)), point);
  return point.z_mm;
}

/** Height of the underside at y off the stringer: bottom, edge and tuck in turn; the apex beyond the rail. mm. */
export function undersideHeightAt(section: Section, y_mm: number): number {
  const y = Math.abs(y_mm);
  if (y >= section.half_mm) return section.apex_mm;
  const v = y / section.edgeY_mm;
  if (v <= section.bottomEnd) {
    const z = bottomHeight(section.input.bottom, v);
    return section.apex_mm + (z - section.apex_mm) * section.input.lens;
  }
  const part = y <= section.fillet[0] ? filletPoint : underPoint;
  // Both parts run inward as the parameter grows.
  const point: SectionPoint = { y_mm: 0, z_mm: 0 };
  let low = 0;
  let high = 1;
  for (let k = 0; k < 50; k++) {
    const s = (low + high) / 2;
    part(section, s, point);
    if (point.y_mm > y) low = s;
    else high = s;
  }
  return point.z_mm;
}
