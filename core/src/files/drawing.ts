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
