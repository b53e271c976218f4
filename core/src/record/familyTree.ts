import type { BoardRecord, Parent, ParentKind } from './record.ts';

/** A board of the tree; of one that was thrown away only its name is left. */
export interface TreeBoard {
  id: string;
  name: string;
  record: BoardRecord | undefined;
}

/** One board comes from another. */
export interface TreeLine {
  parent: string;
  child: string;
  kind: ParentKind;
  version: string | undefined;
}

/** A board with those drawn from it, in the order they were begun. */
export interface TreeBranch extends TreeBoard {
  children: TreeBranch[];
}

export interface FamilyTree {
  /** Each family by its oldest board, those with the most boards first; a board nothing comes from and that comes from nothing stands in none. */
  families: TreeBranch[];
  /** Lines to second parents: those of joined halves and of lessons taken over. */
  second: TreeLine[];
  /** Boards without relatives. */
  alone: BoardRecord[];
  lines: TreeLine[];
}

/** What a parent is to its child, said before the parent's name. */
export const PARENT_WORDS: Readonly<Record<ParentKind, string>> = {
  copy: 'a copy of',
  next: 'the next after',
  size: 'a size of',
  branch: 'branched from',
  front: 'its front half from',
  back: 'its back half from',
  softened: 'softened from',
  lessons: 'with lessons of',
};

/** Parents of a part of a board, not of the whole. */
const TAKEN_IN: ReadonlySet<ParentKind> = new Set(['front', 'back', 'lessons']);

/** Is `ancestor` among the boards that this one comes from, or the board itself? */
function comesFrom(id: string, ancestor: string, parents: ReadonlyMap<string, readonly TreeLine[]>): boolean {
  const seen = new Set<string>();
  const open = [id];
  for (let next = open.pop(); next !== undefined; next = open.pop()) {
    if (next === ancestor) return true;
    if (seen.has(next)) continue;
    seen.add(next);
    for (const { parent } of parents.get(next) ?? []) open.push(parent);
  }
  return false;
}

/**
 * The boards of a shed by descent. A line that would make a board its own ancestor, as no board can be, is left out; so there is no
 * cycle whatever the records say.
 */
export function familyTree(records: readonly BoardRecord[]): FamilyTree {
  const inOrder = [...records].sort((a, b) => a.createdAt.localeCompare(b.createdAt) || a.id.localeCompare(b.id));
  const boards = new Map<string, TreeBoard>(
    inOrder.map((record) => [record.id, { id: record.id, name: called(record), record }]),
  );
  const parents = new Map<string, TreeLine[]>();
  const lines: TreeLine[] = [];
  const draw = (child: BoardRecord, { id, name, kind, version }: Parent): void => {
    if (comesFrom(id, child.id, parents)) return;
    if (!boards.has(id)) boards.set(id, { id, name, record: undefined });
    const line: TreeLine = { parent: id, child: child.id, kind, version };
    parents.set(child.id, [...(parents.get(child.id) ?? []), line]);
    lines.push(line);
  };
  // What a board was begun from comes before what was taken into it later: that may even be of its own line.
  for (const later of [false, true]) {
    for (const child of inOrder)
      for (const parent of child.parents ?? []) if (TAKEN_IN.has(parent.kind) === later) draw(child, parent);
  }
  const first = new Map<string, string[]>();
  const second: TreeLine[] = [];
  for (const line of lines) {
    if (parents.get(line.child)?.[0] === line) first.set(line.parent, [...(first.get(line.parent) ?? []), line.child]);
    else second.push(line);
  }
  const related = new Set(lines.flatMap(({ parent, child }) => [parent, child]));
  const branch = (id: string): TreeBranch => ({
    ...boards.get(id)!,
    children: (first.get(id) ?? []).map(branch),
  });
  const families = [...boards.keys()]
    .filter((id) => related.has(id) && !parents.has(id))
    .map(branch)
    .map((family) => ({ family, count: boardsOf(family).length }))
    .sort((a, b) => b.count - a.count)
    .map(({ family }) => family);
  return { families, second, alone: inOrder.filter(({ id }) => !related.has(id)), lines };
}

/** A branch and all that stand on it, the oldest first. */
export function boardsOf(branch: TreeBranch): TreeBoard[] {
  return [branch, ...branch.children.flatMap(boardsOf)];
}

/**
 * The boards asked for with those they come from and those that come from them: what a filter leaves of the tree.
 * @param asked ids.
 */
export function withRelatives(asked: ReadonlySet<string>, lines: readonly TreeLine[]): Set<string> {
  const reach = (from: 'parent' | 'child', to: 'parent' | 'child') => {
    const found = new Set<string>();
    const open = [...asked];
    for (let next = open.pop(); next !== undefined; next = open.pop()) {
      if (found.has(next)) continue;
      found.add(next);
      for (const line of lines) if (line[from] === next) open.push(line[to]);
    }
    return found;
  };
  return new Set([...reach('child', 'parent'), ...reach('parent', 'child')]);
}

const called = ({ board, number }: BoardRecord): string => `${board.name} ${number}`;
