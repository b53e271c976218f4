/** What the batten is held to. Values in mm, slopes dimensionless. */
export type CurveMark =
  | { readonly kind: 'value'; readonly x_mm: number; readonly value_mm: number }
  /** Drawn toward the value, within about `give_mm`, and not through it: for traced or measured points. */
  | { readonly kind: 'soft'; readonly x_mm: number; readonly value_mm: number; readonly give_mm: number }
  | { readonly kind: 'slope'; readonly x_mm: number; readonly slope: number }
  /** The second derivative d²y/dx² is zero: a straight stretch. */
  | { readonly kind: 'straight'; readonly x_mm: number }
  /** The radius of a round end. */
  | { readonly kind: 'tipRadius'; readonly end: 'tail' | 'nose'; readonly radius_mm: number };

/** A number at a station as the batten takes it: through it, or within about `give_mm` of it. */
export function curveMark(x_mm: number, value_mm: number, give_mm: number | undefined): CurveMark {
  return give_mm === undefined ? { kind: 'value', x_mm, value_mm } : { kind: 'soft', x_mm, value_mm, give_mm };
}
