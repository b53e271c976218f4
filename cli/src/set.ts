import { type Board, FIN_SETUPS, type FinSetup } from '@june-tide/core/document';
import { withSetup } from '@june-tide/core/fins';
import { boardFrom } from '@june-tide/core/shape';
import { parseLength } from '@june-tide/core/units';
import { Told } from './files.ts';

/** Short names for what is set most. Lengths without a unit are inches. */
const SHORT: Readonly<Record<string, string>> = {
  length: 'length_mm',
  width: 'outline.width_mm',
  widePoint: 'outline.widePoint_mm',
  block: 'outline.tail.block_mm',
  thickness: 'foil.thickness_mm',
  noseLift: 'rocker.noseLift_mm',
  tailLift: 'rocker.tailLift_mm',
};

/**
 * The board with `path=value` changes made, all or none.
 * @throws Told for an unknown path, a value that cannot be read, or a board that could not be built.
 */
export function setNumbers(board: Board, changes: readonly string[]): Board {
  let changed: unknown = structuredClone(board);
  for (const change of changes) {
    const cut = change.indexOf('=');
    if (cut < 1) throw new Told(`“${change}” is not path=value.`);
    const name = change.slice(0, cut);
    if (name === 'fins.setup') {
      changed = structuredClone(withSetup(checked(changed), setupNamed(change.slice(cut + 1))));
      continue;
    }
    setOne(changed, SHORT[name] ?? name, change.slice(cut + 1), name in SHORT ? 'in' : 'mm');
  }
  return checked(changed);
}

/** A setup is its boxes too: they go with it. */
function setupNamed(text: string): FinSetup {
  const setup = FIN_SETUPS.find((known) => known === text.trim());
  if (setup) return setup;
  throw new Told(`There is no setup “${text}”; there are ${FIN_SETUPS.join(', ')}.`);
}

function checked(changed: unknown): Board {
  const opened = boardFrom(changed);
  if (opened.ok) return opened.board;
  throw new Told(
    `That board cannot be built, so nothing was changed.${opened.issues
      .slice(0, 12)
      .map((issue) => `\n  ${issue.path}: ${issue.words}`)
      .join('')}`,
  );
}

function setOne(root: unknown, path: string, text: string, bare: 'in' | 'mm'): void {
  const keys = path.split('.');
  let at = root;
  for (const key of keys.slice(0, -1)) at = own(at, key, path);
  const last = keys[keys.length - 1];
  const before = own(at, last, path);
  (at as Record<string, unknown>)[last] = readValue(before, last, text, bare, path);
}

/** Only what the document itself holds: never a prototype's. */
function own(at: unknown, key: string, path: string): unknown {
  if (typeof at === 'object' && at !== null && Object.hasOwn(at, key)) return (at as Record<string, unknown>)[key];
  throw new Told(`The board has no “${path}”.`);
}

function readValue(before: unknown, key: string, text: string, bare: 'in' | 'mm', path: string): unknown {
  if (typeof before === 'string') return text;
  if (typeof before === 'number' && key.endsWith('_mm')) {
    const parsed = parseLength(text, bare);
    if (!parsed.ok) throw new Told(`${path}: ${parsed.reason}`);
    return parsed.value;
  }
  if (typeof before === 'number') {
    const value = text.trim() === '' ? NaN : Number(text);
    if (!Number.isFinite(value)) throw new Told(`${path}: “${text}” is not a number.`);
    return value;
  }
  try {
    return JSON.parse(text) as unknown;
  } catch (cause) {
    throw new Told(`${path} holds more than one number: give it as JSON.`, { cause });
  }
}

/** The number at a path, short names allowed. @throws Told when there is none. */
export function numberAt(board: Board, name: string): number {
  let at: unknown = board;
  for (const key of pathOf(name).split('.')) at = own(at, key, name);
  if (typeof at !== 'number') throw new Told(`“${name}” is not a number.`);
  return at;
}

/** A copy with another number at a path, not yet checked. @throws Told for an unknown path. */
export function withNumberAt(board: Board, name: string, value: number): Board {
  const copy = structuredClone(board);
  const keys = pathOf(name).split('.');
  let at: unknown = copy;
  for (const key of keys.slice(0, -1)) at = own(at, key, name);
  (at as Record<string, unknown>)[keys[keys.length - 1]] = value;
  return copy;
}

function pathOf(name: string): string {
  return SHORT[name] ?? name;
}
