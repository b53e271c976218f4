import type { KeyboardEvent } from 'react';
import type { RoomScene } from './scene.ts';

const TURN_rad = (5 * Math.PI) / 180;
const NEARER = 1.1;

/** What keys do with the eye: round, up, nearer. */
const TURNS: Readonly<Record<string, readonly [round: number, up: number, nearer: number]>> = {
  ArrowLeft: [-1, 0, 1],
  ArrowRight: [1, 0, 1],
  ArrowUp: [0, 1, 1],
  ArrowDown: [0, -1, 1],
  '+': [0, 0, NEARER],
  '=': [0, 0, NEARER],
  '-': [0, 0, 1 / NEARER],
};

/** Turns the eye round the board or takes it nearer by a key, with Shift a fifth as far; false for any other key. */
export function turnedByKey(scene: RoomScene | undefined, event: KeyboardEvent): boolean {
  const [round, up, nearer] = TURNS[event.key] ?? [];
  if (round === undefined || up === undefined) return false;
  const by = event.shiftKey ? TURN_rad / 5 : TURN_rad;
  scene?.turn(round * by, up * by, nearer);
  return true;
}
