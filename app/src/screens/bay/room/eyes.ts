import { Vector3 } from 'three';

/** Where a shaper puts the eye: from the board toward it, in the board's own axes (nose +x, left +y, deck +z). */
const FROM = {
  quarter: [-0.62, -0.62, 0.5],
  right: [-0.94, -0.3, 0.16],
  left: [-0.94, 0.3, 0.16],
  deck: [-0.985, 0, 0.174],
  bottom: [-0.985, 0.06, -0.174],
  standing: [-0.7, 0, 0.71],
  over: [0, -0.2, 1],
  tail: [-1, 0, 0.06],
  nose: [1, 0, 0.08],
  beach: [-0.35, -0.93, 0.3],
} as const;
export type Eye = keyof typeof FROM;
export const EYES: Readonly<Record<Eye, string>> = {
  quarter: 'Three-quarter',
  right: 'Down the right rail',
  left: 'Down the left rail',
  deck: 'Along the deck',
  bottom: 'Along the bottom',
  standing: 'Standing over the tail',
  over: 'Over the deck',
  tail: 'Behind the tail',
  nose: 'In front of the nose',
  beach: 'From the beach',
};

/** The eye is so many board lengths away: nearer, the end of the board that is nearer looks as wide as it is long. */
const AWAY = 2.2;
/** Empty room round the board, as a share of the window. */
const ROOM = 1.16;
/** The tools lie over the top of it: the board is seen so much lower, as a share of half the window. */
const LOWER = 0.08;

/** What the eye is to take in: a board, and what lies to its left beside it. */
export interface Seen {
  length_mm: number;
  width_mm: number;
  top_mm: number;
  /** So much farther to the left reaches what lies beside it. */
  beside_mm?: number;
}

/** The corners of the box a board lies in. */
function cornersOf({ length_mm, width_mm, top_mm, beside_mm = 0 }: Seen): Vector3[] {
  return [0, length_mm].flatMap((x) =>
    [-width_mm / 2, width_mm / 2 + beside_mm].flatMap((y) => [-5, top_mm].map((z) => new Vector3(x, y, z))),
  );
}

/** Where the eye stands, where it looks, and how much it takes in up and down, so that the whole board fills the window. */
export function placeOf(eye: Eye, board: Seen, aspect: number): { from: Vector3; at: Vector3; fov_rad: number } {
  const at = new Vector3(board.length_mm / 2, 0, board.top_mm / 2);
  const back = new Vector3(...FROM[eye]).normalize();
  const right = new Vector3(0, 0, 1).cross(back).normalize();
  const up = back.clone().cross(right);
  const distance = AWAY * board.length_mm;
  let high = 0;
  // The middle of what is seen moves the target, and that what is seen: a few rounds settle it.
  for (let round = 0; round < 6; round++) {
    const seen = cornersOf(board).map((corner) => {
      const to = corner.sub(at);
      const away = distance - to.dot(back);
      return [to.dot(right) / away, to.dot(up) / away];
    });
    const ends = [0, 1].map((axis) => {
      const all = seen.map((share) => share[axis]);
      return [Math.min(...all), Math.max(...all)];
    });
    const [across, upward] = ends.map(([low, most]) => (most - low) / 2);
    high = ROOM * Math.max(upward, across / aspect);
    const [x, y] = ends.map(([low, most]) => ((low + most) / 2) * distance);
    at.addScaledVector(right, x).addScaledVector(up, y);
  }
  at.addScaledVector(up, LOWER * high * distance);
  return { from: at.clone().addScaledVector(back, distance), at, fov_rad: 2 * Math.atan(high) };
}
