import type { FinTemplate } from '../document/schema.ts';
import { finFaces } from './finFoil.ts';
import type { Mesh } from '../solid/mesh.ts';

/** From this share of the depth on the tip rounds off, an ellipse's quarter. */
const TIP_FROM = 0.85;
/** How the middle of the chord leaves the base: square to it at first, raked more toward the tip. */
const RAKE_POWER = 1.3;

/** The chord of a fin at a share of its depth: mm along the board from the trailing edge of the base. */
function finChord(template: FinTemplate, share: number): { rear_mm: number; front_mm: number } {
  const { base_mm, depth_mm, rake_rad, tip } = template;
  const middle = base_mm / 2 - depth_mm * Math.tan(rake_rad) * share ** RAKE_POWER;
  const beyond = share > TIP_FROM ? (share - TIP_FROM) / (1 - TIP_FROM) : 0;
  const half = (base_mm / 2) * (1 - (1 - tip) * share) * Math.sqrt(Math.max(0, 1 - beyond * beyond));
  return { rear_mm: middle - half, front_mm: middle + half };
}

/**
 * The fin from the side: leading edge from base to tip, then trailing edge back to the base. x from the trailing edge of
 * the base toward the nose, z from the base to the tip; mm.
 */
export function finPlan(template: FinTemplate, count = 48): { x_mm: number; z_mm: number }[] {
  const shares = Array.from({ length: count + 1 }, (_, k) => Math.sin((Math.PI / 2) * (k / count)));
  const front = shares.map((share) => ({ x_mm: finChord(template, share).front_mm, z_mm: share * template.depth_mm }));
  const rear = shares
    .slice(0, -1)
    .map((share) => ({ x_mm: finChord(template, share).rear_mm, z_mm: share * template.depth_mm }));
  return [...front, ...rear.reverse()];
}

/**
 * Area of one side of a fin, mm². Closed form: a trapezoid to 85 % of the depth, then ∫ (1 − kη) √(1 − u²) with
 * η = 0.85 + 0.15 u, which is quarter-circle integrals.
 */
export function finArea_mm2(template: FinTemplate): number {
  const k = 1 - template.tip;
  const trapezoid = TIP_FROM * (1 - (k * TIP_FROM) / 2);
  const span = 1 - TIP_FROM;
  const rounded = span * ((1 - k * TIP_FROM) * (Math.PI / 4) - (k * span) / 3);
  return template.base_mm * template.depth_mm * (trapezoid + rounded);
}

/**
 * Centroid of one side of a fin: x from the trailing edge of the base toward the nose, z from the base; mm. By Simpson over the depth
 * to 1e-6 of it: ∫ middle × chord dη and ∫ η × chord dη over ∫ chord dη.
 */
export function finCentroid(template: FinTemplate): { x_mm: number; z_mm: number } {
  const PANELS = 64;
  const sums = { chord: 0, x: 0, z: 0 };
  // Depth runs as a sine, so that the round of the tip is as smooth as the rest.
  for (let k = 0; k <= 2 * PANELS; k++) {
    const angle = (Math.PI / 2) * (k / (2 * PANELS));
    const share = Math.sin(angle);
    const { rear_mm, front_mm } = finChord(template, share);
    const weight = (k === 0 || k === 2 * PANELS ? 1 : k % 2 === 1 ? 4 : 2) * Math.cos(angle) * (front_mm - rear_mm);
    sums.chord += weight;
    sums.x += (weight * (front_mm + rear_mm)) / 2;
    sums.z += weight * share * template.depth_mm;
  }
  return { x_mm: sums.x / sums.chord, z_mm: sums.z / sums.chord };
}

/** What tells one template from another. Area in mm², the sweep of the tip behind the trailing edge of the base, mm. */
export function finNumbers(template: FinTemplate): {
  area_mm2: number;
  aspect: number;
  tipChord_mm: number;
  sweep_mm: number;
} {
  const area_mm2 = finArea_mm2(template);
  return {
    area_mm2,
    aspect: template.depth_mm ** 2 / area_mm2,
    tipChord_mm: template.base_mm * template.tip,
    sweep_mm: -Math.min(...finPlan(template).map((p) => p.x_mm)),
  };
}

/**
 * A fin as a closed mesh: x from the trailing edge of the base toward the nose, y to the outer face, z from base to tip.
 * `side` −1 turns the outer face over, for the fin on the other side.
 */
export function finMesh(template: FinTemplate, side: 1 | 0 | -1 = 1, rows = 20, around = 24): Mesh {
  const half = around / 2;
  const turn = side === -1 ? -1 : 1;
  const positions: number[] = [];
  const triangles: number[] = [];
  for (let i = 0; i < rows; i++) {
    const share = Math.sin((Math.PI / 2) * (i / rows));
    const { rear_mm, front_mm } = finChord(template, share);
    const chord = front_mm - rear_mm;
    for (let j = 0; j < around; j++) {
      // Leading edge first, along the outer face, back along the inner one.
      const onOuter = j <= half;
      const u = onOuter ? j / half : (around - j) / half;
      const along = (1 - Math.cos(Math.PI * u)) / 2;
      const faces = finFaces(template.foil, along);
      positions.push(
        front_mm - along * chord,
        turn * chord * (onOuter ? faces.outer : faces.inner),
        share * template.depth_mm,
      );
    }
  }
  const tip = positions.length / 3;
  const middle = finChord(template, 1);
  positions.push(middle.rear_mm, 0, template.depth_mm);
  const push = (a: number, b: number, c: number) => {
    if (turn > 0) triangles.push(a, b, c);
    else triangles.push(a, c, b);
  };
  for (let i = 0; i < rows; i++) {
    for (let j = 0; j < around; j++) {
      const a = i * around + j;
      const b = i * around + ((j + 1) % around);
      if (i + 1 === rows) push(a, b, tip);
      else {
        push(a, b, b + around);
        push(a, b + around, a + around);
      }
    }
  }
  for (let j = 1; j + 1 < around; j++) push(0, j + 1, j);
  return { positions: Float64Array.from(positions), triangles: Uint32Array.from(triangles) };
}
