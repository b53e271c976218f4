import type { Board } from '../../document/schema.ts';
import { boardFrom } from '../../shape/issues.ts';

/** Paths of every number of a document that a shaper sets. */
function pathsIn(value: unknown, path: readonly string[] = []): string[][] {
  if (typeof value === 'number') return path.at(-1) === 'version' ? [] : [[...path]];
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, entry]) => pathsIn(entry, [...path, key]));
}

const at = (value: unknown, path: readonly string[]): unknown =>
  path.reduce((of, key) => (of as Record<string, unknown>)[key], value);

function withAt<T>(value: T, [key, ...rest]: readonly string[], number: number): T {
  const changed = rest.length === 0 ? number : withAt((value as Record<string, unknown>)[key], rest, number);
  return (Array.isArray(value)
    ? value.map((entry: unknown, i) => (String(i) === key ? changed : entry))
    : { ...value, [key]: changed }) as unknown as T;
}

/** Halvings of the way to a limit. */
const ROUNDS = 7;

const isLegal = (board: Board): boolean => boardFrom(board).ok;

/** A board with as little on it as there can be: no lift at all, no marks on a curve, no layer, no feature; each where it is a board so. */
function bareOf(board: Board): Board[] {
  const unmarked =
    (curve: 'outline' | 'rocker' | 'foil') =>
    (of: Board): Board => ({
      ...of,
      [curve]: { ...of[curve], marks: [] },
    });
  const ways: ((of: Board) => Board)[] = [
    (of) => ({
      ...of,
      rocker: {
        ...of.rocker,
        noseLift_mm: 0,
        tailLift_mm: 0,
        marks: of.rocker.marks.map((mark) => ({ ...mark, value_mm: 0 })),
      },
    }),
    unmarked('foil'),
    unmarked('outline'),
    unmarked('rocker'),
    (of) => ({ ...of, bottom: { layers: [] } }),
    (of) => ({ ...of, deck: { ...of.deck, features: [] } }),
  ];
  let bare = board;
  return ways.flatMap((way) => {
    const next = way(bare);
    if (!isLegal(next)) return [];
    bare = next;
    return [next];
  });
}

/**
 * Boards that are only just boards: one that loses its lifts, marks, layers and features one after the other; and each number of it, alone,
 * as small and as large as the rules let it be. A number that can be nothing is nothing.
 */
export function boardsAtEdges(board: Board): Board[] {
  const far = pathsIn(board).flatMap((path) => {
    const value = at(board, path) as number;
    const farthest = (to: number): number => {
      if (isLegal(withAt(board, path, to))) return to;
      let [legal, not] = [value, to];
      for (let round = 0; round < ROUNDS; round++) {
        const half = (legal + not) / 2;
        if (isLegal(withAt(board, path, half))) legal = half;
        else not = half;
      }
      return legal;
    };
    return [farthest(0), farthest(4 * value + 50)]
      .filter((number) => number !== value)
      .map((number) => withAt(board, path, number));
  });
  return [...bareOf(board), ...far];
}
