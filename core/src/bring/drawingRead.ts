import type { Stroke } from './plane.ts';

export type DrawingRead =
  | {
      ok: true;
      strokes: Stroke[];
      /** What one unit of the file is, mm, where the file says so; its strokes are in its own units, y up. */
      unit_mm: number | undefined;
    }
  | { ok: false; reason: string };
