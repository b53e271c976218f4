import { DOMParser } from '@xmldom/xmldom';
import svgpath from 'svgpath';
import type { DrawingRead } from './drawingRead.ts';
import { cubicPoints } from './flatten.ts';
import { MOST_POINTS, MOST_STROKES, TOO_MANY_LINES } from './limits.ts';
import type { Point, Stroke } from './plane.ts';

/** Absolute lengths of CSS, mm (CSS Values and Units 3, 6.2); a bare number is a pixel. */
const CSS_mm: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  in: 25.4,
  pt: 25.4 / 72,
  pc: 25.4 / 6,
  q: 0.25,
  px: 25.4 / 96,
};
/** Drawn nowhere by themselves. */
const NOT_DRAWN = new Set(['defs', 'clippath', 'mask', 'symbol', 'pattern', 'marker', 'metadata', 'style', 'script']);
const DEEPEST = 64;
/** Two tags a stroke, and as many again about them. */
const MOST_TAGS = 4 * MOST_STROKES;
/** Of one path. */
const MOST_LETTERS = 2_000_000;

/** Is a letter in a text more often than so? */
function isMoreThan(most: number, letter: string, text: string): boolean {
  let at = -1;
  for (let count = 0; count <= most; count++) {
    at = text.indexOf(letter, at + 1);
    if (at < 0) return false;
  }
  return true;
}

interface Node {
  nodeName: string;
  childNodes: ArrayLike<unknown>;
  getAttribute?: (name: string) => string | null;
}

/**
 * The lines of an SVG, read for its geometry alone: paths, lines, polylines, polygons, rectangles, circles, ellipses, under all their
 * transforms. Scripts, pictures, styles and what is only defined are not looked at.
 */
export function svgStrokes(text: string): DrawingRead {
  if (/<!ENTITY/i.test(text))
    return { ok: false, reason: 'The SVG defines entities of its own: save it without them.' };
  // Looked at before the whole is taken apart: what would fill the memory is refused here.
  if (isMoreThan(MOST_TAGS, '<', text)) return { ok: false, reason: TOO_MANY_LINES };
  let root: Node | undefined;
  let wrong = false;
  try {
    root = new DOMParser({ onError: (level) => (wrong ||= level === 'fatalError') }).parseFromString(
      text,
      'image/svg+xml',
    ).documentElement as unknown as Node;
  } catch {
    wrong = true;
  }
  if (wrong || root === undefined || nameOf(root) !== 'svg') {
    return { ok: false, reason: 'The SVG cannot be read: it was written wrong, or cut off.' };
  }
  const strokes: Stroke[] = [];
  const state = { points: 0 };
  const told = elementsInto(strokes, root, [], undefined, state, 0);
  return told === undefined ? { ok: true, strokes, unit_mm: unitOf(root) } : { ok: false, reason: told };
}

const nameOf = ({ nodeName }: Node) => nodeName.replace(/^.*:/, '').toLowerCase();
const numberOf = (node: Node, name: string, otherwise = 0) => {
  const text = node.getAttribute?.(name);
  const value = text === null || text === undefined || text === '' ? otherwise : Number.parseFloat(text);
  return Number.isFinite(value) ? value : otherwise;
};

/** What a unit of the drawing's coordinates is, mm: its width in CSS's lengths over that of its view box. Undefined where it does not say. */
function unitOf(root: Node): number | undefined {
  const view = (root.getAttribute?.('viewBox') ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number);
  for (const [attribute, index] of [
    ['width', 2],
    ['height', 3],
  ] as const) {
    const [, value, unit] =
      /^\s*([\d.eE+-]+)\s*(mm|cm|in|pt|pc|q|px)?\s*$/i.exec(root.getAttribute?.(attribute) ?? '') ?? [];
    // A size in pixels, or none, says nothing of how large the thing is that was drawn.
    if (value === undefined || unit === undefined || unit.toLowerCase() === 'px') continue;
    const size_mm = Number(value) * CSS_mm[unit.toLowerCase()];
    const shown = view.length === 4 && view[index] > 0 ? view[index] : size_mm / CSS_mm.px;
    if (size_mm > 0) return size_mm / shown;
  }
  return undefined;
}

function elementsInto(
  strokes: Stroke[],
  node: Node,
  transforms: readonly string[],
  layer: string | undefined,
  state: { points: number },
  deep: number,
): string | undefined {
  if (deep > DEEPEST) return 'The SVG’s groups lie in one another too deep.';
  for (let i = 0; i < node.childNodes.length; i++) {
    const child = node.childNodes[i] as Node;
    if (!child.getAttribute || NOT_DRAWN.has(nameOf(child))) continue;
    const own = child.getAttribute('transform');
    const all = own ? [...transforms, own] : transforms;
    const named = child.getAttribute('data-layer') ?? child.getAttribute('id') ?? layer;
    const path = pathOf(child);
    if (path !== undefined) {
      const told = pathInto(strokes, path, all, named ?? undefined, state);
      if (told !== undefined) return told;
    }
    const told = elementsInto(
      strokes,
      child,
      all,
      nameOf(child) === 'g' ? (named ?? undefined) : layer,
      state,
      deep + 1,
    );
    if (told !== undefined) return told;
  }
  return undefined;
}

/** A shape as the path it stands for (SVG 2, 10); undefined for what is none. */
function pathOf(node: Node): string | undefined {
  const n = (name: string) => numberOf(node, name);
  const ellipse = (cx: number, cy: number, rx: number, ry: number) =>
    rx > 0 && ry > 0
      ? `M${cx - rx} ${cy}A${rx} ${ry} 0 0 1 ${cx + rx} ${cy}A${rx} ${ry} 0 0 1 ${cx - rx} ${cy}Z`
      : undefined;
  switch (nameOf(node)) {
    case 'path':
      return node.getAttribute?.('d') ?? undefined;
    case 'line':
      return `M${n('x1')} ${n('y1')}L${n('x2')} ${n('y2')}`;
    case 'polyline':
    case 'polygon': {
      const points = (node.getAttribute?.('points') ?? '').trim();
      return points === '' ? undefined : `M${points}${nameOf(node) === 'polygon' ? 'Z' : ''}`;
    }
    case 'rect':
      return n('width') > 0 && n('height') > 0
        ? `M${n('x')} ${n('y')}h${n('width')}v${n('height')}h${-n('width')}Z`
        : undefined;
    case 'circle':
      return ellipse(n('cx'), n('cy'), n('r'), n('r'));
    case 'ellipse':
      return ellipse(n('cx'), n('cy'), n('rx'), n('ry'));
    default:
      return undefined;
  }
}

function pathInto(
  strokes: Stroke[],
  d: string,
  transforms: readonly string[],
  layer: string | undefined,
  state: { points: number },
): string | undefined {
  if (d.length > MOST_LETTERS) return TOO_MANY_LINES;
  let path = svgpath(d).abs().unshort().unarc();
  for (const transform of transforms.toReversed()) path = path.transform(transform);
  let points: Point[] = [];
  let [at, start]: Point[] = [
    { x: 0, y: 0 },
    { x: 0, y: 0 },
  ];
  const end = (closed: boolean) => {
    if (points.length > 1) strokes.push({ points, closed, ...(layer === undefined ? {} : { layer }) });
    state.points += points.length;
    points = [];
  };
  // y runs down in a picture, up on the bench.
  const to = (x: number, y: number): Point => ({ x, y: -y });
  path.iterate((segment) => {
    // Curves become many points each: no more are made than are taken.
    if (state.points + points.length > MOST_POINTS) return;
    switch (segment[0]) {
      case 'M':
        end(false);
        at = start = to(segment[1], segment[2]);
        points = [at];
        break;
      case 'L':
        at = to(segment[1], segment[2]);
        points.push(at);
        break;
      case 'H':
        at = { x: segment[1], y: at.y };
        points.push(at);
        break;
      case 'V':
        at = { x: at.x, y: -segment[1] };
        points.push(at);
        break;
      case 'C':
      case 'Q': {
        const q = segment[0] === 'Q';
        const c = to(segment[1], segment[2]);
        const e = q ? to(segment[3], segment[4]) : to(segment[5]!, segment[6]!);
        const third = (a: Point) => ({ x: a.x + (2 / 3) * (c.x - a.x), y: a.y + (2 / 3) * (c.y - a.y) });
        const curve = q
          ? cubicPoints([at, third(at), third(e), e])
          : cubicPoints([at, c, to(segment[3], segment[4]), e]);
        points.push(...curve);
        at = e;
        break;
      }
      case 'Z':
      case 'z':
        if (points.length > 1 && points[0].x === at.x && points[0].y === at.y) points.pop();
        end(true);
        at = start;
        points = [at];
        break;
    }
  });
  end(false);
  if (strokes.length > MOST_STROKES || state.points >= MOST_POINTS) {
    return TOO_MANY_LINES;
  }
  return undefined;
}
