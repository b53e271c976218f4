import { hierarchy, tree } from 'd3-hierarchy';
import type { FamilyTree, TreeBranch, TreeLine } from '@june-tide/core/record';

/** Room for one board with its words, and from one generation to the next, px at the usual size. */
export const ROW_px = 212;
export const COLUMN_px = 208;
/** Between two families. */
const APART_px = 20;

/** A board in its place on the tree. */
export interface Placed {
  branch: TreeBranch;
  x: number;
  y: number;
}

export interface Laid {
  placed: readonly Placed[];
  /** Lines from parent to child, second parents dashed. */
  lines: readonly { line: TreeLine; second: boolean; from: Placed; to: Placed }[];
  width: number;
  height: number;
}

/** Families one under the other, the oldest board of each at the left, its children to the right of it (Reingold and Tilford, by d3-hierarchy). */
export function laidOut({ families, second, lines }: FamilyTree, keep?: ReadonlySet<string>): Laid {
  const placed: Placed[] = [];
  let top = 0;
  let deepest = 0;
  for (const family of families) {
    const kept = keep ? cut(family, keep) : family;
    if (!kept) continue;
    // The layout stands its root at the top; turned on its side its x is our y.
    const root = tree<TreeBranch>()
      .nodeSize([ROW_px, COLUMN_px])
      .separation(() => 1)(hierarchy(kept));
    const nodes = root.descendants();
    const lowest = Math.min(...nodes.map(({ x }) => x));
    const highest = Math.max(...nodes.map(({ x }) => x));
    for (const { data, x, y } of nodes) placed.push({ branch: data, x: y + COLUMN_px / 2, y: top + x - lowest });
    deepest = Math.max(deepest, ...nodes.map(({ y }) => y));
    top += highest - lowest + ROW_px + APART_px;
  }
  const at = new Map(placed.map((place) => [place.branch.id, place]));
  const dashed = new Set(second);
  return {
    placed,
    lines: lines.flatMap((line) => {
      const [from, to] = [at.get(line.parent), at.get(line.child)];
      return from && to ? [{ line, second: dashed.has(line), from, to }] : [];
    }),
    width: placed.length === 0 ? 0 : deepest + COLUMN_px,
    height: Math.max(0, top - APART_px),
  };
}

/** A branch without what is not kept; nothing where none of it is. */
function cut(branch: TreeBranch, keep: ReadonlySet<string>): TreeBranch | undefined {
  const children = branch.children.flatMap((child) => cut(child, keep) ?? []);
  return keep.has(branch.id) || children.length > 0 ? { ...branch, children } : undefined;
}
