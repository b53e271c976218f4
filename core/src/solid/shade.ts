import { sectionAt, type Shape } from '../shape/shape.ts';
import { deckPoint, type SectionPoint } from '../section/section.ts';

/** How light the deck is seen from above, under two low lamps at the rails: rows of bytes, 0 dark to 255 light. */
export interface DeckShade {
  columns: number;
  rows: number;
  /** Row-major, tail at the left; only one half, row 0 at the stringer. Beyond the rail: 255. */
  tone: Uint8Array<ArrayBuffer>;
}

/** Slopes are drawn this much steeper than they are, so that a low light tells. */
const EXAGGERATED = 2.5;
const LAMP_ELEVATION_rad = 0.34;

/**
 * The deck's shade from the exact sections: each column is one station, tail to nose, each row an even step from the
 * stringer (row 0) to half the greatest width. Slopes along the board come from neighbouring columns.
 */
export function deckShade(shape: Shape, columns: number, rows: number): DeckShade {
  const tone = new Uint8Array(columns * rows).fill(255);
  const halfMost = shape.board.outline.width_mm / 2;
  const stepY = halfMost / rows;
  const stepX = shape.board.length_mm / columns;
  const height = new Float32Array(columns * rows).fill(NaN);
  const point: SectionPoint = { y_mm: 0, z_mm: 0 };
  const samples = 96;
  for (let column = 0; column < columns; column++) {
    const x = (column + 0.5) * stepX;
    const section = sectionAt(shape, x);
    if (!section) continue;
    const notch = section.input.notch_mm;
    let row = 0;
    let lastY = 0;
    let lastZ = section.input.thickness_mm;
    for (let k = 1; k <= samples; k++) {
      deckPoint(section, k / samples, point);
      while (row < rows && (row + 0.5) * stepY <= point.y_mm) {
        const y = (row + 0.5) * stepY;
        const share = (y - lastY) / Math.max(1e-9, point.y_mm - lastY);
        if (y >= notch) height[row * columns + column] = lastZ + share * (point.z_mm - lastZ);
        row += 1;
      }
      lastY = point.y_mm;
      lastZ = point.z_mm;
    }
  }
  const sin = Math.sin(LAMP_ELEVATION_rad);
  const cos = Math.cos(LAMP_ELEVATION_rad);
  for (let row = 0; row < rows; row++) {
    for (let column = 0; column < columns; column++) {
      const at = row * columns + column;
      const z = height[at];
      if (Number.isNaN(z)) continue;
      const inner = row > 0 ? height[at - columns] : z;
      const dy = Number.isNaN(inner) ? 0 : ((z - inner) / stepY) * EXAGGERATED;
      const before = column > 0 ? height[at - 1] : z;
      const dx = Number.isNaN(before) ? 0 : ((z - before) / stepX) * EXAGGERATED;
      const size = Math.sqrt(1 + dx * dx + dy * dy);
      // The far lamp leaves this side as it turns away; a little light from above keeps it from going black.
      const far = Math.max(0, (sin + dy * cos) / size);
      const above = 1 / size;
      tone[at] = Math.round(255 * Math.min(1, 0.52 * above + 1.35 * far + 0.02));
    }
  }
  return { columns, rows, tone };
}
