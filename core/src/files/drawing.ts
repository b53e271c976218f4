/** A drawing at true scale, mm, x to the right and y up: what SVG, PDF and DXF are written from. */
export interface Drawing {
  title: string;
  /** Bounds: x from 0 to width, y from 0 to height. */
  width_mm: number;
  height_mm: number;
  lines: DrawnLine[];
  texts: DrawnText[];
}

export interface DrawnLine {
  layer: string;
  points: readonly { x_mm: number; y_mm: number }[];
  closed?: boolean;
  weight_mm: number;
  dashed?: boolean;
}

export interface DrawnText {
  layer: string;
  x_mm: number;
  y_mm: number;
  size_mm: number;
  text: string;
  anchor?: 'start' | 'middle' | 'end';
}

/** Moves everything so that the lower left of all lines is at 0, 0, and measures the sheet. */
export function framed(title: string, lines: readonly DrawnLine[], texts: readonly DrawnText[]): Drawing {
  let [left, low, right, high] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const { points } of lines) {
    for (const p of points) {
      left = Math.min(left, p.x_mm);
      right = Math.max(right, p.x_mm);
      low = Math.min(low, p.y_mm);
      high = Math.max(high, p.y_mm);
    }
  }
  const moved = <P extends { x_mm: number; y_mm: number }>(p: P): P => ({
    ...p,
    x_mm: p.x_mm - left,
    y_mm: p.y_mm - low,
  });
  return {
    title,
    width_mm: right - left,
    height_mm: high - low,
    lines: lines.map((line) => ({ ...line, points: line.points.map(moved) })),
    texts: texts.map(moved),
  };
}
