/** Without another asked for, a solid's facets lie within so much of the board, mm. */
export const USUAL_CHORD_mm = 0.2;

/** So many bytes a facet a file has: exact for STL, from our own files for the others. */
export const BYTES_A_FACET = { stl: 50, '3mf': 16, obj: 75, ply: 55 } as const;

/** How large a solid's file will be, as it is said: 3.0 MB. */
export const solidSizeWords = (to: keyof typeof BYTES_A_FACET, facets: number): string =>
  `${((BYTES_A_FACET[to] * facets) / 1e6).toFixed(1)} MB`;
