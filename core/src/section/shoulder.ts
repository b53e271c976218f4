import { deckHeightAt } from './heights.ts';
import { type Section, sectionOf } from './section.ts';

/** Where on the deck the fullness of the rail shows most. */
export interface Shoulder {
  y_mm: number;
  /** Height of the deck there as it is, over the bottom at the stringer. */
  z_mm: number;
  /** How far the deck rises there between a pinched rail (0) and a boxy one (1). */
  rise_mm: number;
}

/** It is looked for between these shares of the half width. */
const FROM = 0.6;
const TO = 0.98;
const PLACES = 20;

/** The shoulder of a rail: the place on its deck that moves most as it is made fuller. */
export function shoulderOf(section: Section): Shoulder {
  const withFullness = (fullness: number) => sectionOf({ ...section.input, rail: { ...section.input.rail, fullness } });
  const [pinched, boxy] = [withFullness(0), withFullness(1)];
  let best: Shoulder = { y_mm: section.half_mm * FROM, z_mm: 0, rise_mm: -Infinity };
  for (let k = 0; k <= PLACES; k++) {
    const y_mm = section.half_mm * (FROM + ((TO - FROM) * k) / PLACES);
    const rise_mm = deckHeightAt(boxy, y_mm) - deckHeightAt(pinched, y_mm);
    if (rise_mm > best.rise_mm) best = { y_mm, z_mm: 0, rise_mm };
  }
  return { ...best, z_mm: deckHeightAt(section, best.y_mm) };
}
