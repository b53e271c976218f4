import { type Shape } from '../shape/shape.ts';
import { thicknessAt } from '../foil/foil.ts';
import { halfBreadthAt } from '../outline/outline.ts';
import { hasBlock } from '../outline/tails.ts';
import { INCH_mm } from '../units/length.ts';
import { planArea_mm2, volume_L } from './volume.ts';

/** The trade's universal station: 12 in from an end. */
export const TWELVE_mm = 12 * INCH_mm;

/** The headline numbers of a board. docs/measures.md defines each. */
export interface Measures {
  length_mm: number;
  width_mm: number;
  thickness_mm: number;
  /** Forward of centre is positive. */
  widePointFromCentre_mm: number;
  noseWidth12_mm: number;
  tailWidth12_mm: number;
  /** Width across the tail block or the tips; 0 for a tail that closes. */
  block_mm: number;
  noseRocker_mm: number;
  tailRocker_mm: number;
  noseRocker12_mm: number;
  tailRocker12_mm: number;
  noseThickness12_mm: number;
  tailThickness12_mm: number;
  area_mm2: number;
  volume_L: number;
}

/** Measures a shape. Rocker is read from the tangent at the flat point. Area and volume are integrals, not the mesh's. */
export function measure(shape: Shape): Measures {
  const { board, outline, rocker, foil } = shape;
  const nose12 = board.length_mm - TWELVE_mm;
  return {
    length_mm: board.length_mm,
    width_mm: 2 * halfBreadthAt(outline, outline.wide_mm),
    thickness_mm: thicknessAt(foil, foil.thickest_mm),
    widePointFromCentre_mm: board.outline.widePoint_mm,
    noseWidth12_mm: 2 * halfBreadthAt(outline, nose12),
    tailWidth12_mm: 2 * halfBreadthAt(outline, TWELVE_mm),
    block_mm: hasBlock(board.outline.tail.kind) ? board.outline.tail.block_mm : 0,
    noseRocker_mm: rocker.line.valueAt(board.length_mm),
    tailRocker_mm: rocker.line.valueAt(0),
    noseRocker12_mm: rocker.line.valueAt(nose12),
    tailRocker12_mm: rocker.line.valueAt(TWELVE_mm),
    noseThickness12_mm: thicknessAt(foil, nose12),
    tailThickness12_mm: thicknessAt(foil, TWELVE_mm),
    area_mm2: planArea_mm2(shape),
    volume_L: volume_L(shape),
  };
}
