import DxfParser, {
  type IArcEntity,
  type IBlock,
  type ICircleEntity,
  type IEllipseEntity,
  type IEntity,
  type IInsertEntity,
  type ILineEntity,
  type ILwpolylineEntity,
  type IPolylineEntity,
  type ISplineEntity,
} from 'dxf-parser';
import { dxfGroups } from './dxfGroups.ts';
import type { DrawingRead } from './drawingRead.ts';
import { arcPoints, bulgePoints, splinePoints } from './flatten.ts';
import { MOST_STROKES, TOO_MANY_LINES } from './limits.ts';
import type { Point, Stroke } from './plane.ts';

/** $INSUNITS, mm a unit. DXF Reference, header variables. */
const INSUNITS_mm: Readonly<Record<number, number>> = {
  1: 25.4,
  2: 304.8,
  4: 1,
  5: 10,
  6: 1000,
  9: 0.0254,
  10: 914.4,
  14: 100,
};
/** Blocks in blocks are followed so deep. */
const DEEPEST = 8;

type To = (point: Point) => Point;

/** The lines of a DXF: lines, polylines with their bulges, arcs, circles, ellipses, splines, and blocks set in. Texts and the rest are left. */
export function dxfStrokes(text: string): DrawingRead {
  const groups = dxfGroups(text);
  if (!groups.ok) return groups;
  let parsed;
  try {
    parsed = new DxfParser().parseSync(groups.text);
  } catch {
    return { ok: false, reason: 'The DXF cannot be read: it was written wrong, or cut off.' };
  }
  if (!parsed) return { ok: false, reason: 'The DXF cannot be read: it was written wrong, or cut off.' };
  const strokes: Stroke[] = [];
  const blocks = parsed.blocks ?? {};
  const told = entitiesInto(strokes, parsed.entities ?? [], blocks, (p) => p, 0);
  if (told !== undefined) return { ok: false, reason: told };
  const units: unknown = parsed.header?.$INSUNITS;
  return { ok: true, strokes, unit_mm: typeof units === 'number' ? INSUNITS_mm[units] : undefined };
}

/** Why it cannot be gone on; undefined when all is in. */
function entitiesInto(
  strokes: Stroke[],
  entities: readonly IEntity[],
  blocks: Readonly<Record<string, IBlock>>,
  to: To,
  deep: number,
): string | undefined {
  for (const entity of entities) {
    if (strokes.length > MOST_STROKES) return TOO_MANY_LINES;
    if (entity.type === 'INSERT') {
      const told = insertInto(strokes, entity as IInsertEntity, blocks, to, deep);
      if (told !== undefined) return told;
      continue;
    }
    const stroke = strokeOf(entity);
    if (stroke) strokes.push({ ...stroke, points: stroke.points.map(to), layer: entity.layer });
  }
  return undefined;
}

function insertInto(
  strokes: Stroke[],
  insert: IInsertEntity,
  blocks: Readonly<Record<string, IBlock>>,
  to: To,
  deep: number,
): string | undefined {
  const block = blocks[insert.name];
  if (!block?.entities) return undefined;
  if (deep >= DEEPEST) return 'The drawing’s blocks are set into one another without an end.';
  const angle = ((insert.rotation ?? 0) * Math.PI) / 180;
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const base = block.position ?? { x: 0, y: 0 };
  const placed: To = (p) => {
    const [x, y] = [(p.x - base.x) * (insert.xScale ?? 1), (p.y - base.y) * (insert.yScale ?? 1)];
    return to({ x: insert.position.x + x * cos - y * sin, y: insert.position.y + x * sin + y * cos });
  };
  return entitiesInto(strokes, block.entities, blocks, placed, deep + 1);
}

function strokeOf(entity: IEntity): Stroke | undefined {
  switch (entity.type) {
    case 'LINE':
      return { points: (entity as ILineEntity).vertices.map(({ x, y }) => ({ x, y })), closed: false };
    case 'LWPOLYLINE':
    case 'POLYLINE': {
      const { vertices, shape } = entity as ILwpolylineEntity & IPolylineEntity;
      return polyline(
        vertices.map(({ x, y, bulge }) => ({ x, y, bulge: bulge ?? 0 })),
        shape,
      );
    }
    case 'ARC':
    case 'CIRCLE': {
      const { center, radius, startAngle = 0, endAngle = 2 * Math.PI } = entity as IArcEntity & ICircleEntity;
      const whole = entity.type === 'CIRCLE';
      const to = whole ? 2 * Math.PI : endAngle <= startAngle ? endAngle + 2 * Math.PI : endAngle;
      const from = whole ? 0 : startAngle;
      const at = (t: number) => ({ x: center.x + radius * Math.cos(t), y: center.y + radius * Math.sin(t) });
      return { points: whole ? arcPoints(at, from, to).slice(0, -1) : arcPoints(at, from, to), closed: whole };
    }
    case 'ELLIPSE': {
      const { center, majorAxisEndPoint: major, axisRatio, startAngle, endAngle } = entity as IEllipseEntity;
      const at = (t: number) => ({
        x: center.x + major.x * Math.cos(t) - major.y * axisRatio * Math.sin(t),
        y: center.y + major.y * Math.cos(t) + major.x * axisRatio * Math.sin(t),
      });
      const to = endAngle <= startAngle ? endAngle + 2 * Math.PI : endAngle;
      const whole = to - startAngle > 2 * Math.PI - 1e-6;
      const points = arcPoints(at, startAngle, to);
      return { points: whole ? points.slice(0, -1) : points, closed: whole };
    }
    case 'SPLINE': {
      const {
        controlPoints = [],
        knotValues = [],
        degreeOfSplineCurve,
        fitPoints = [],
        closed,
      } = entity as ISplineEntity;
      const points =
        splinePoints(controlPoints, knotValues, degreeOfSplineCurve) ?? fitPoints.map(({ x, y }) => ({ x, y }));
      return points.length > 1 ? { points, closed: closed ?? false } : undefined;
    }
    default:
      return undefined;
  }
}

function polyline(vertices: readonly (Point & { bulge: number })[], closed: boolean): Stroke {
  const points: Point[] = [];
  vertices.forEach((a, i) => {
    const b = vertices[i + 1] ?? (closed ? vertices[0] : undefined);
    if (!b || (b.x === a.x && b.y === a.y)) points.push({ x: a.x, y: a.y });
    else points.push(...bulgePoints({ x: a.x, y: a.y }, { x: b.x, y: b.y }, a.bulge));
  });
  return { points, closed };
}
