import type { Shape } from '../shape/shape.ts';
import { sectionAt } from '../shape/shape.ts';
import {
  bottomPoint,
  deckPoint,
  filletPoint,
  type Section,
  type SectionPoint,
  underPoint,
} from '../section/section.ts';
import { bottomShares, type HalfCounts, halfSection } from '../section/walk.ts';
import { type MeshDetail, ringDetail } from './mesh.ts';
import { meshStations } from './stations.ts';

/** The coarsest and the finest mesh that is made for a chord error. */
const COARSEST: MeshDetail = { stations: 24, ring: 24 };
const FINEST: MeshDetail = { stations: 1600, ring: 768 };

/**
 * The mesh detail whose facets stay within `chord_mm` of the surface, coarsest first: stations by the sag of chords along
 * the board, ring by the sag of chords across it, both measured on this board half way between vertices.
 * @returns the detail and the error it was measured to have, which is above `chord_mm` only at the finest there is.
 * @throws RangeError for an error that is not positive.
 */
export function detailForChord(shape: Shape, chord_mm: number): { detail: MeshDetail; error_mm: number } {
  if (!(chord_mm > 0)) throw new RangeError(`detailForChord: chord_mm must be positive, got ${chord_mm}`);
  // Sag falls with the square of the count: aim straight, then double where creases made the aim fall short.
  const aim = (count: number, sag: number, most: number) =>
    Math.min(most, Math.max(count, 2 * Math.ceil((count * Math.sqrt(sag / (0.5 * chord_mm))) / 2)));
  let stations = COARSEST.stations;
  let ring = COARSEST.ring;
  let along = sagAlong(shape, stations);
  let across = sagAcross(shape, ring);
  for (let round = 0; round < 12 && along > chord_mm / 2 && stations < FINEST.stations; round++) {
    stations = Math.max(aim(stations, along, FINEST.stations), Math.min(FINEST.stations, Math.ceil(1.1 * stations)));
    along = sagAlong(shape, stations);
  }
  for (let round = 0; round < 12 && across > chord_mm / 2 && ring < FINEST.ring; round++) {
    ring = Math.max(aim(ring, across, FINEST.ring), Math.min(FINEST.ring, 12 * Math.ceil((1.1 * ring) / 12)));
    across = sagAcross(shape, ring);
  }
  return { detail: { stations, ring }, error_mm: along + across };
}

const PARTS = [
  { write: deckPoint, key: 'deck' },
  { write: underPoint, key: 'under' },
  { write: filletPoint, key: 'fillet' },
] as const;

/** The points of a half section at given parameters, in space. */
function ringAt(shape: Shape, x_mm: number, samples: number): { y: number; z: number }[] | undefined {
  const section = sectionAt(shape, x_mm);
  if (!section) return undefined;
  const rocker = shape.rocker.line.valueAt(x_mm);
  const counts = { deck: samples, under: samples, fillet: samples, bottom: samples };
  return halfSection(section, counts).map(({ y_mm, z_mm }) => ({ y: y_mm, z: rocker + z_mm }));
}

/** Points on each part of a ring that is tried. */
const SAMPLES = 10;

/** The greatest distance, square to the surface, from the middle of a chord between neighbouring stations to the section there. */
function sagAlong(shape: Shape, count: number): number {
  const stations = meshStations(shape, count);
  let worst = 0;
  let before = ringAt(shape, stations[0], SAMPLES);
  for (let i = 1; i < stations.length; i++) {
    const here = ringAt(shape, stations[i], SAMPLES);
    const between = before && here ? ringAt(shape, (stations[i - 1] + stations[i]) / 2, SAMPLES) : undefined;
    if (before && here && between) {
      for (let j = 1; j + 1 < here.length; j++) {
        const dy = between[j + 1].y - between[j - 1].y;
        const dz = between[j + 1].z - between[j - 1].z;
        const run = stations[i] - stations[i - 1];
        const across = (here[j].y - before[j].y) * dz - (here[j].z - before[j].z) * dy;
        const size = Math.sqrt(across * across + run * run * (dy * dy + dz * dz));
        if (!(size > 0)) continue;
        const offY = (before[j].y + here[j].y) / 2 - between[j].y;
        const offZ = (before[j].z + here[j].z) / 2 - between[j].z;
        worst = Math.max(worst, (run * Math.abs(offZ * dy - offY * dz)) / size);
      }
    }
    before = here;
  }
  return worst;
}

/** The greatest sag of a ring's chords over a spread of stations. */
function sagAcross(shape: Shape, ring: number): number {
  const detail = ringDetail(shape, ring);
  const { length_mm } = shape.board;
  let worst = 0;
  for (let i = 1; i < 40; i++) {
    const section = sectionAt(shape, (length_mm * i) / 40);
    if (!section) continue;
    for (const { write, key } of PARTS) worst = Math.max(worst, partSag(section, write, detail[key]));
    worst = Math.max(worst, bottomSag(section, detail));
  }
  return worst;
}

/** The greatest distance of the bottom from the facets across it: between vertices, and where a corner of a channel has none of its own. */
function bottomSag(section: Section, detail: HalfCounts): number {
  const first = detail.deck + detail.under + detail.fillet;
  const vertices = halfSection(section, detail).slice(first);
  const at: SectionPoint = { y_mm: 0, z_mm: 0 };
  let worst = 0;
  let k = 0;
  for (const share of bottomShares(section, 4 * detail.bottom)) {
    bottomPoint(section, share, at);
    while (k + 2 < vertices.length && at.y_mm < vertices[k + 1].y_mm) k++;
    const [a, b] = [vertices[k], vertices[k + 1]];
    const [dy, dz] = [b.y_mm - a.y_mm, b.z_mm - a.z_mm];
    const chord = Math.hypot(dy, dz);
    if (chord > 0) worst = Math.max(worst, Math.abs((at.y_mm - a.y_mm) * dz - (at.z_mm - a.z_mm) * dy) / chord);
  }
  return worst;
}

function partSag(
  section: Section,
  write: (section: Section, s: number, out: SectionPoint) => void,
  count: number,
): number {
  const a: SectionPoint = { y_mm: 0, z_mm: 0 };
  const b: SectionPoint = { y_mm: 0, z_mm: 0 };
  const m: SectionPoint = { y_mm: 0, z_mm: 0 };
  let worst = 0;
  write(section, 0, a);
  for (let k = 1; k <= count; k++) {
    write(section, k / count, b);
    write(section, (k - 0.5) / count, m);
    const dy = b.y_mm - a.y_mm;
    const dz = b.z_mm - a.z_mm;
    const chord = Math.hypot(dy, dz);
    if (chord > 0) worst = Math.max(worst, Math.abs((m.y_mm - a.y_mm) * dz - (m.z_mm - a.z_mm) * dy) / chord);
    a.y_mm = b.y_mm;
    a.z_mm = b.z_mm;
  }
  return worst;
}
