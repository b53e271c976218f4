import type { Board } from '../document/schema.ts';
import { LAYER_WORDS } from '../document/kinds.ts';
import { grown } from './grow.ts';
import { stretched, thickened, widened } from './size.ts';
import { type LeverDifference, leverDifferences, leverWords } from '../measure/compare.ts';
import { formatLength, type LengthStyle } from '../units/format.ts';

/** Another value at one place of the document, or none any more. */
export interface Replaced {
  path: readonly string[];
  to: unknown;
}

/** Parts of a board that are replaced whole: they have no names of their own to be told apart by inside. */
type Plain = Readonly<Record<string, unknown>>;
const isPlain = (value: unknown): value is Plain =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * What makes one board, or one record, of another, exactly: applied to `from` it gives `to` to the last digit. Lists are replaced whole.
 */
export function replacedBetween<T extends object>(from: T, to: T): Replaced[] {
  const out: Replaced[] = [];
  const walk = (a: unknown, b: unknown, path: readonly string[]): void => {
    if (Object.is(a, b)) return;
    if (isPlain(a) && isPlain(b)) {
      for (const key of new Set([...Object.keys(a), ...Object.keys(b)])) walk(a[key], b[key], [...path, key]);
    } else if (typeof b === 'number' || JSON.stringify(a) !== JSON.stringify(b)) out.push({ path, to: b });
  };
  walk(from, to, []);
  return out;
}

/** A board with parts of it replaced; what is replaced by nothing is left out. */
export function withReplaced<T extends object>(board: T, replaced: readonly Replaced[]): T {
  const put = (value: unknown, [key, ...rest]: readonly string[], to: unknown): unknown => {
    if (key === undefined) return to;
    const object = isPlain(value) ? value : {};
    const next = put(object[key], rest, to);
    if (next !== undefined) return { ...object, [key]: next };
    const { [key]: _gone, ...without } = object;
    return without;
  };
  return replaced.reduce<unknown>((now, { path, to }) => put(now, path, to), board) as T;
}

/** One change as a person counts them: one rail set harder is one, however many stations it has. */
export interface Change {
  /** What was changed, by a name that two changes of the same thing share. */
  key: string;
  group: LeverDifference['group'];
  differences: readonly LeverDifference[];
}

/** A path's first words, as many as name one change; of lists by kind, role or place. Longer ones first. */
const ONE_CHANGE: readonly (readonly [RegExp, string])[] = [
  [/^rails\.stations\.[^.]+ \d+(\.\d+)?\.(at_mm|from)$/, 'rails.place'],
  [/^rails\.stations\..*\.(apex|fullness|tuck_mm|edge|edgeRadius_mm)$/, 'rails.$1'],
  [/^rails\.tailEdge\..*$/, 'rails.tailEdge'],
  [/^outline\.(nose|tail|wings)\..*$/, 'outline.$1'],
  [/^(outline|rocker|foil)\.marks\.((?:nose|tail|centre|wide) [-\d.]+)\..*$/, '$1.marks.$2'],
  [/^deck\.(crown|features)\..*$/, 'deck.$1'],
  [/^bottom\.layers\.([A-Za-z]+(?: \(\d+\))?)\..*$/, 'bottom.$1'],
  [/^fins\.boxes\.([a-z]+(?: \(\d+\))?)\.template\..*$/, 'fins.$1.template'],
  [/^fins\.boxes\.([a-z]+(?: \(\d+\))?)\.([A-Za-z]+_(?:mm|rad))$/, 'fins.$1.$2'],
];

/** The name of the change that a lever's path belongs to. */
function changeKey(path: string): string {
  for (const [pattern, key] of ONE_CHANGE) if (pattern.test(path)) return path.replace(pattern, key);
  return path;
}

/**
 * What a person changed from one board to the next, in the order of the work. A board made longer, wider or thicker as a whole is one
 * change, with all that goes along with it; what was done beside that counts by itself.
 */
export function changesBetween(from: Board, to: Board): Change[] {
  const out: Change[] = [];
  let now = from;
  let left = grouped(leverDifferences(now, to));
  for (const { key, group, made } of AS_A_WHOLE) {
    for (const board of made(now, to)) {
      const after = grouped(leverDifferences(board, to));
      if (after.length + 1 >= left.length) continue;
      out.push({ key, group, differences: leverDifferences(now, board) });
      [now, left] = [board, after];
      break;
    }
  }
  return [...out, ...left];
}

/** What is done to a board as a whole: the boards it would be made into that way. */
const AS_A_WHOLE: readonly {
  key: string;
  group: Change['group'];
  made: (from: Board, to: Board) => Board[];
}[] = [
  {
    key: 'length_mm',
    group: 'size',
    made: (from, { length_mm }) =>
      length_mm === from.length_mm ? [] : [grown(from, length_mm), stretched(from, length_mm)],
  },
  {
    key: 'outline.width_mm',
    group: 'outline',
    made: (from, { outline }) => {
      const by_mm = outline.width_mm - from.outline.width_mm;
      return by_mm === 0 ? [] : [widened(from, by_mm)];
    },
  },
  {
    key: 'foil.thickness_mm',
    group: 'foil',
    made: (from, { foil }) => {
      const by_mm = foil.thickness_mm - from.foil.thickness_mm;
      return by_mm === 0 ? [] : [thickened(from, by_mm)];
    },
  },
];

/** Changes that go with another, where that is made too: a nose that is lifted lifts what is behind it. */
const GOES_WITH: readonly (readonly [RegExp, string])[] = [
  [/^rocker\.marks\.nose /, 'rocker.noseLift_mm'],
  [/^rocker\.marks\.tail /, 'rocker.tailLift_mm'],
  [/^rails\.tailEdge$/, 'rails.edge'],
];

/** Differences by the change each belongs to. */
function grouped(differences: readonly LeverDifference[]): Change[] {
  // A rail that was not there has all its numbers new: that is one change, not five.
  const whole = differences
    .filter((d) => /^rails\.stations\..*\.at_mm$/.test(d.path) && (d.from === undefined || d.to === undefined))
    .map(({ path }) => path.replace(/at_mm$/, ''));
  const setup = differences.some(({ path }) => path === 'fins.setup');
  const keyOf = ({ path, group }: LeverDifference): string => {
    const station = whole.find((name) => path.startsWith(name));
    if (station) return station.replace(/\.$/, '');
    return setup && group === 'fins' ? 'fins.setup' : changeKey(path);
  };
  const byKey = new Map<string, LeverDifference[]>();
  for (const difference of differences) {
    const key = keyOf(difference);
    byKey.set(key, [...(byKey.get(key) ?? []), difference]);
  }
  for (const [pattern, into] of GOES_WITH) {
    const main = byKey.get(into);
    if (!main) continue;
    for (const [key, all] of [...byKey]) {
      if (!pattern.test(key)) continue;
      main.push(...all);
      byKey.delete(key);
    }
  }
  return finsAsASet(byKey);
}

/** Fins that all go the same way by as much, and templates changed together, are one change of the set. */
function finsAsASet(byKey: Map<string, LeverDifference[]>): Change[] {
  const fields = new Map<string, string[]>();
  for (const key of byKey.keys()) {
    const field = /^fins\.[a-z]+(?: \(\d+\))?\.(\w+)$/.exec(key)?.[1];
    if (field) fields.set(field, [...(fields.get(field) ?? []), key]);
  }
  for (const [field, keys] of fields) {
    const all = keys.flatMap((key) => byKey.get(key) ?? []);
    if (keys.length < 2 || !(field === 'template' || evenly(all))) continue;
    for (const key of keys) byKey.delete(key);
    byKey.set(`fins.${field}`, all);
  }
  return [...byKey].map(([key, all]) => ({ key, group: all[0].group, differences: all }));
}

/** Whether all moved by as much. */
function evenly(differences: readonly LeverDifference[]): boolean {
  const by = differences.map(({ from, to }) => (typeof from === 'number' && typeof to === 'number' ? to - from : NaN));
  return by.every((each) => Math.abs(each - by[0]) < EVEN);
}
/** Numbers that moved as far as one another, to a rounding. */
const EVEN = 1e-6;

/** How the trade calls what was changed. */
const CHANGE_WORDS: Readonly<Record<string, string>> = {
  length_mm: 'length',
  family: 'kind',
  'outline.width_mm': 'width',
  'outline.widePoint_mm': 'wide point',
  'outline.nose': 'nose',
  'outline.tail': 'tail',
  'outline.wings': 'wings',
  'rocker.noseLift_mm': 'nose lift',
  'rocker.tailLift_mm': 'tail lift',
  'rocker.flatPoint_mm': 'flat point',
  'foil.thickness_mm': 'thickness',
  'foil.thickest_mm': 'thickest point',
  'foil.noseTip_mm': 'nose tip thickness',
  'foil.tailTip_mm': 'tail tip thickness',
  'deck.crown': 'crown',
  'deck.features': 'deck',
  'rails.apex': 'apex of the rails',
  'rails.fullness': 'fullness of the rails',
  'rails.tuck_mm': 'tuck',
  'rails.edge': 'edge of the rails',
  'rails.edgeRadius_mm': 'radius of the edge',
  'rails.tailEdge': 'hard edge in the tail',
  'rails.place': 'place of a rail',
  'fins.setup': 'fins',
  'fins.trailingEdge_mm': 'all fins up',
  'fins.inset_mm': 'all fins from the rail',
  'fins.toe_rad': 'toe of all fins',
  'fins.cant_rad': 'cant of all fins',
  'fins.template': 'template of the fins',
};
const FIN_WORDS: Readonly<Record<string, string>> = {
  trailingEdge_mm: 'up',
  inset_mm: 'from the rail',
  toe_rad: 'toe',
  cant_rad: 'cant',
  template: 'template',
};

/** What a mark of each curve says. */
const MARKED: Readonly<Record<string, string>> = { outline: 'width', rocker: 'lift', foil: 'thickness' };

/** One number of a fin's template, where only that was changed. */
const TEMPLATE_WORDS: Readonly<Record<string, string>> = {
  rake_rad: 'rake',
  tip: 'tip',
  base_mm: 'base',
  depth_mm: 'depth',
  foil: 'foil',
};

/** A change of fin templates is named by the number that was changed, where it is one number. */
function templateWords({ key, differences }: Change): string | undefined {
  const fields = new Set(differences.map(({ path }) => path.split('.').at(-1) ?? ''));
  const [field] = fields;
  if (!key.endsWith('.template') || fields.size !== 1 || !TEMPLATE_WORDS[field]) return undefined;
  const [, role] = key.split('.');
  return `${TEMPLATE_WORDS[field]} of ${role === 'template' ? 'all' : `the ${role}`} fins`;
}

/** What was changed, in words. */
function nameOf(key: string, style: LengthStyle): string {
  const known = CHANGE_WORDS[key];
  if (known) return known;
  const [group, second, third] = key.split('.');
  if (group === 'fins' && third) return `${second} fins ${FIN_WORDS[third] ?? third}`;
  if (group === 'bottom') {
    const [kind, ...rest] = second.split(' ');
    return [(LAYER_WORDS as Readonly<Record<string, string>>)[kind] ?? kind, ...rest].join(' ');
  }
  const mark = /^(outline|rocker|foil)\.marks\.(\w+) ([-\d.]+)$/.exec(key);
  if (mark) return `${MARKED[mark[1]] ?? mark[1]} at ${mark[2]} ${formatLength(Number(mark[3]), style)}`;
  if (key.startsWith('rails.stations.')) return 'a rail';
  return key;
}

const DEGREES = 180 / Math.PI;

/** One value as the shop writes it, by what its path ends in. */
function written(path: string, value: number | string | undefined, style: LengthStyle): string {
  if (typeof value !== 'number') return leverWords(value);
  if (path.endsWith('_mm')) return formatLength(value, style, { feet: path === 'length_mm' });
  if (path.endsWith('_rad')) return `${(value * DEGREES).toFixed(1).replace(/\.0$/, '')}°`;
  return `${Math.round(value * 100)} %`;
}

/** A change as a few words: "nose lift 5 1/8 to 5 3/8"; where several numbers moved, how many. */
export function changeSays(change: Change, style: LengthStyle): string {
  const { key, differences } = change;
  const name = templateWords(change) ?? nameOf(key, style);
  const kind = differences.find(({ path }) => path.endsWith('.kind') || path.endsWith('.setup') || path === 'family');
  const told = kind ?? (differences.length === 1 ? differences[0] : undefined);
  if (told && told.from !== undefined && told.to !== undefined)
    return `${name} ${written(told.path, told.from, style)} to ${written(told.path, told.to, style)}`;
  if (differences.every(({ from }) => from === undefined)) return `${name} added`;
  if (differences.every(({ to }) => to === undefined)) return `${name} taken off`;
  const main = differences.find(({ path }) => path === key);
  if (main && typeof main.from === 'number' && typeof main.to === 'number')
    return `${name} ${written(main.path, main.from, style)} to ${written(main.path, main.to, style)}`;
  const [first] = differences;
  if (evenly(differences) && typeof first.from === 'number' && typeof first.to === 'number')
    return `${name} ${written(first.path, first.from, style)} to ${written(first.path, first.to, style)}${differences.length > 1 && !key.startsWith('fins.') ? `, ${differences.length} places alike` : ''}`;
  return `${name} at ${differences.length} places`;
}

/** All that was changed from one board to the next, as one sentence; empty where nothing was. */
export function changesSentence(from: Board, to: Board, style: LengthStyle): string {
  const words = changesBetween(from, to).map((change) => changeSays(change, style));
  if (words.length === 0) return '';
  return `${words.join('; ').replace(/^./, (c) => c.toUpperCase())}.`;
}
