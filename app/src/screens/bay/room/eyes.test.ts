import { describe, expect, it } from '@jest/globals';
import { PerspectiveCamera, Vector3 } from 'three';
import { type Eye, EYES, placeOf } from './eyes.ts';

const BOARDS = [
  { length_mm: 1829, width_mm: 489, top_mm: 190 },
  { length_mm: 2845, width_mm: 584, top_mm: 210 },
  { length_mm: 1676, width_mm: 533, top_mm: 150 },
];

/** A board's corners as a camera puts them on the window, -1 to 1 each way. */
function seenBy(eye: Eye, board: (typeof BOARDS)[number], aspect: number): Vector3[] {
  const { from, at, fov_rad } = placeOf(eye, board, aspect);
  const camera = new PerspectiveCamera((fov_rad * 180) / Math.PI, aspect, 20, 60_000);
  camera.up.set(0, 0, 1);
  camera.position.copy(from);
  camera.lookAt(at);
  camera.updateMatrixWorld();
  return [0, board.length_mm].flatMap((x) =>
    [-board.width_mm / 2, board.width_mm / 2].flatMap((y) =>
      [0, board.top_mm].map((z) => new Vector3(x, y, z).project(camera)),
    ),
  );
}

describe('where the eye stands', () => {
  it.each(Object.keys(EYES) as Eye[])(
    '%s: the whole board is in sight below the tools, and as large as that allows',
    (eye) => {
      for (const board of BOARDS) {
        for (const aspect of [3.57, 2.54, 1.33, 0.8]) {
          const seen = seenBy(eye, board, aspect);
          const [across, high] = [seen.map(({ x }) => x), seen.map(({ y }) => y)];
          expect(Math.max(...across.map(Math.abs))).toBeLessThan(1);
          expect(Math.max(...high)).toBeLessThan(0.88);
          expect(Math.min(...high)).toBeGreaterThan(-1);
          const spread = Math.max(Math.max(...across) - Math.min(...across), Math.max(...high) - Math.min(...high));
          expect(spread).toBeGreaterThan(1.6);
        }
      }
    },
  );

  it('is far enough off that a near end does not look larger than it is', () => {
    const { from } = placeOf('right', BOARDS[0], 2.5);
    const [near, far] = [
      from.distanceTo(new Vector3(0, 0, 0)),
      from.distanceTo(new Vector3(BOARDS[0].length_mm, 0, 0)),
    ];
    expect(far / near).toBeLessThan(1.7);
  });
});
