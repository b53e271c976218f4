import type { Shape } from '../../shape/shape.ts';
import type { Interpolation, Point } from './bSpline.ts';
import { exactOf, listOf, Part21, realOf, textOf } from './part21.ts';
import { type Patches, patchesOf, STRIPS } from './patches.ts';

/** The board is tried with so many stations and so fine round the sections, in turn, until its surfaces are near enough. */
const DETAILS = [
  [120, 1.5],
  [240, 2],
  [480, 2.5],
] as const;
/** More points than this make a file that programs are slow to open: the next finer would have some three times as many. */
const MOST_POINTS = 120_000;
/** Nearer than this nobody cuts. */
const STEP_ERROR_mm = 0.05;

/** What a STEP file of a board came out as. */
export interface StepFile {
  text: string;
  faces: number;
  /** How far its surfaces were found off the board's own. */
  error_mm: number;
}

/**
 * The solid as STEP (ISO 10303-21, schema AP214): one closed shell of B-spline surfaces through the sections, cut where the plan has
 * corners, the flat end of a tail a plane; neighbours share their edges to the last digit. Millimetres, the pose of the other solids.
 * The coarsest that lies within `error_mm`, or the finest there is: the file says which.
 */
export function shapeToStep(shape: Shape, error_mm = STEP_ERROR_mm): StepFile {
  let best: Patches | undefined;
  for (const [count, fine] of DETAILS) {
    const patches = patchesOf(shape, count, fine);
    if (!best || patches.error_mm < best.error_mm) best = patches;
    if (patches.error_mm <= error_mm || 3 * patches.rows.length * patches.rows[0].half.length > MOST_POINTS) break;
  }
  if (!best) throw new RangeError('shapeToStep: no surfaces');
  const writer = new ShellWriter(best);
  const { name } = shape.board;
  const within = `surfaces within ${best.error_mm.toFixed(3)} mm of the board`;
  return { text: writer.file(name, within), faces: writer.faces.length, error_mm: best.error_mm };
}

/** Sides of the board: its right half as it is walked, and its mirror image. */
const SIDES = [1, -1] as const;
type Side = (typeof SIDES)[number];
const mirrored = (side: Side, [x, y, z]: Point): Point => [x, side * y, z];
/** Boundaries of strips: before each, and after the last. */
const LAST = STRIPS.length;

/** An edge of a loop, with the way it is run through. */
interface Run {
  edge: string;
  forward: boolean;
}

class ShellWriter {
  readonly faces: string[] = [];
  private readonly out = new Part21();
  private readonly of: Patches;
  private readonly known = new Map<string, string>();

  constructor(of: Patches) {
    this.of = of;
    for (const side of SIDES) {
      for (const patch of of.patches) this.patch(patch, side);
      for (const wall of of.walls) this.wall(wall, side);
    }
    this.cap(0);
    this.cap(of.cuts.length - 1);
  }

  file(name: string, within: string): string {
    const { out } = this;
    const shell = out.add('CLOSED_SHELL', `'',${listOf(this.faces)}`);
    const brep = out.add('MANIFOLD_SOLID_BREP', `${textOf(name)},${shell}`);
    const axes = this.placement([0, 0, 0], [0, 0, 1], [1, 0, 0]);
    const length = out.addComplex('LENGTH_UNIT()NAMED_UNIT(*)SI_UNIT(.MILLI.,.METRE.)');
    const angle = out.addComplex('NAMED_UNIT(*)PLANE_ANGLE_UNIT()SI_UNIT($,.RADIAN.)');
    const solid = out.addComplex('NAMED_UNIT(*)SI_UNIT($,.STERADIAN.)SOLID_ANGLE_UNIT()');
    const sure = out.add(
      'UNCERTAINTY_MEASURE_WITH_UNIT',
      `LENGTH_MEASURE(1.E-5),${length},'distance_accuracy_value',''`,
    );
    const context = out.addComplex(
      `GEOMETRIC_REPRESENTATION_CONTEXT(3)GLOBAL_UNCERTAINTY_ASSIGNED_CONTEXT((${sure}))` +
        `GLOBAL_UNIT_ASSIGNED_CONTEXT((${length},${angle},${solid}))REPRESENTATION_CONTEXT('','')`,
    );
    const form = out.add('ADVANCED_BREP_SHAPE_REPRESENTATION', `${textOf(name)},(${axes},${brep}),${context}`);
    const application = out.add('APPLICATION_CONTEXT', "'core data for automotive mechanical design processes'");
    out.add('APPLICATION_PROTOCOL_DEFINITION', `'international standard','automotive_design',2000,${application}`);
    const mechanical = out.add('PRODUCT_CONTEXT', `'',${application},'mechanical'`);
    const product = out.add('PRODUCT', `${textOf(name)},${textOf(name)},'',(${mechanical})`);
    out.add('PRODUCT_RELATED_PRODUCT_CATEGORY', `'part',$,(${product})`);
    const formation = out.add('PRODUCT_DEFINITION_FORMATION', `'','',${product}`);
    const design = out.add('PRODUCT_DEFINITION_CONTEXT', `'part definition',${application},'design'`);
    const definition = out.add('PRODUCT_DEFINITION', `'design','',${formation},${design}`);
    const shape = out.add('PRODUCT_DEFINITION_SHAPE', `'','',${definition}`);
    out.add('SHAPE_DEFINITION_REPRESENTATION', `${shape},${form}`);
    return out.text(name, within);
  }

  /** Said once, by what it is of. */
  private once(key: string, make: () => string): string {
    let found = this.known.get(key);
    if (found === undefined) this.known.set(key, (found = make()));
    return found;
  }

  private point([x, y, z]: Point): string {
    return this.out.add('CARTESIAN_POINT', `'',(${realOf(x)},${realOf(y)},${realOf(z)})`);
  }

  private direction([x, y, z]: Point): string {
    return this.out.add('DIRECTION', `'',(${realOf(x)},${realOf(y)},${realOf(z)})`);
  }

  private placement(at: Point, axis: Point, across: Point): string {
    return this.out.add('AXIS2_PLACEMENT_3D', `'',${this.point(at)},${this.direction(axis)},${this.direction(across)}`);
  }

  private rowOf(cut: number) {
    return this.of.rows[this.of.cuts[cut]];
  }

  /** Where right and left meet: at the stringer of deck and bottom, unless the tail is split there. */
  private isShared(cut: number, boundary: number): boolean {
    return (boundary === 0 || boundary === LAST) && this.rowOf(cut).kind !== 'split';
  }

  private vertex(cut: number, boundary: number, side: Side): string {
    const row = this.rowOf(cut);
    const pole = row.kind === 'pole';
    const key = pole ? `vertex ${cut}` : `vertex ${cut} ${boundary} ${this.isShared(cut, boundary) ? 1 : side}`;
    const at = row.half[this.of.bounds[boundary]];
    return this.once(key, () => this.out.add('VERTEX_POINT', `'',${this.point(mirrored(side, at))}`));
  }

  private knots({ degree, knots }: Interpolation): { values: string; times: string } {
    const values: number[] = [];
    const times: number[] = [];
    for (const knot of knots) {
      if (values.length > 0 && knot === values[values.length - 1]) times[times.length - 1]++;
      else {
        values.push(knot);
        times.push(1);
      }
    }
    if (times[0] !== degree + 1) throw new RangeError('knots: not clamped');
    return {
      values: listOf(values.map(exactOf)),
      times: listOf(times.map(String)),
    };
  }

  private curve(by: Interpolation, points: readonly Point[]): string {
    const { values, times } = this.knots(by);
    const control = points.map((p) => this.point(p));
    return this.out.add(
      'B_SPLINE_CURVE_WITH_KNOTS',
      `'',${by.degree},${listOf(control)},.UNSPECIFIED.,.F.,.F.,${times},${values},.UNSPECIFIED.`,
    );
  }

  private edge(from: string, to: string, curve: () => string, key: string): string {
    return this.once(key, () => this.out.add('EDGE_CURVE', `'',${from},${to},${curve()},.T.`));
  }

  private patchAt(segment: number, strip: number) {
    return this.of.patches[segment * STRIPS.length + strip];
  }

  /** Along the board, between two strips of a segment. */
  private along(segment: number, boundary: number, side: Side): string {
    // The segment before a notch's end is split where its other end is.
    const both = (boundary === 0 || boundary === LAST) && this.rowOf(segment).kind !== 'split';
    const strip = Math.min(boundary, LAST - 1);
    const { u, net } = this.patchAt(segment, strip);
    const column = boundary === LAST ? net[0].length - 1 : 0;
    const own = both ? 1 : side;
    return this.edge(
      this.vertex(segment, boundary, own),
      this.vertex(segment + 1, boundary, own),
      () =>
        this.curve(
          u,
          net.map((row) => mirrored(own, row[column])),
        ),
      `along ${segment} ${boundary} ${own}`,
    );
  }

  /** Round the section at a cut, over one strip; none at a closed tip. */
  private round(cut: number, strip: number, side: Side): string | undefined {
    if (this.rowOf(cut).kind === 'pole') return undefined;
    const last = cut === this.of.cuts.length - 1;
    const { v, net } = this.patchAt(last ? cut - 1 : cut, strip);
    const row = last ? net[net.length - 1] : net[0];
    return this.edge(
      this.vertex(cut, strip, side),
      this.vertex(cut, strip + 1, side),
      () =>
        this.curve(
          v,
          row.map((p) => mirrored(side, p)),
        ),
      `round ${cut} ${strip} ${side}`,
    );
  }

  /** Straight down the inner wall of a split tail at a cut. */
  private down(cut: number, side: Side): string {
    const own = this.rowOf(cut).kind === 'split' ? side : 1;
    const row = this.rowOf(cut);
    const ends = [row.half[0], row.half[row.half.length - 1]].map((p) => mirrored(own, p));
    return this.edge(
      this.vertex(cut, 0, own),
      this.vertex(cut, LAST, own),
      () => this.curve(STRAIGHT, ends),
      `down ${cut} ${own}`,
    );
  }

  private face(surface: string, runs: readonly (Run | undefined)[], same: boolean): void {
    const edges = runs
      .filter((run) => run !== undefined)
      .map(({ edge, forward }) => this.out.add('ORIENTED_EDGE', `'',*,*,${edge},${forward ? '.T.' : '.F.'}`));
    const loop = this.out.add('EDGE_LOOP', `'',${listOf(edges)}`);
    const bound = this.out.add('FACE_OUTER_BOUND', `'',${loop},.T.`);
    this.faces.push(this.out.add('ADVANCED_FACE', `'',(${bound}),${surface},${same ? '.T.' : '.F.'}`));
  }

  private surface(u: Interpolation, v: Interpolation, net: readonly (readonly Point[])[], side: Side): string {
    const [ku, kv] = [this.knots(u), this.knots(v)];
    const rows = net.map((row) => listOf(row.map((p) => this.point(mirrored(side, p)))));
    return this.out.add(
      'B_SPLINE_SURFACE_WITH_KNOTS',
      `'',${u.degree},${v.degree},${listOf(rows)},.UNSPECIFIED.,.F.,.F.,.F.,${ku.times},${kv.times},${ku.values},${kv.values},.UNSPECIFIED.`,
    );
  }

  /** One surface with its four edges, three where an end is closed. Outward on the right, turned over on the left. */
  private patch({ segment, strip, u, v, net }: Patches['patches'][number], side: Side): void {
    const inner = this.along(segment, strip, side);
    const outer = this.along(segment, strip + 1, side);
    const aft = this.round(segment, strip, side);
    const fore = this.round(segment + 1, strip, side);
    const right = side === 1;
    const runs = [
      { edge: inner, forward: true },
      fore && { edge: fore, forward: true },
      { edge: outer, forward: false },
      aft && { edge: aft, forward: false },
    ].map((run) => (run ? run : undefined));
    this.face(this.surface(u, v, net, side), right ? runs : turned(runs), right);
  }

  /** The inner wall of a split tail, from deck to bottom: it faces the notch. */
  private wall({ segment, u, net }: Patches['walls'][number], side: Side): void {
    const runs = [
      { edge: this.along(segment, 0, side), forward: true },
      { edge: this.down(segment + 1, side), forward: true },
      { edge: this.along(segment, LAST, side), forward: false },
      { edge: this.down(segment, side), forward: false },
    ];
    const right = side === 1;
    this.face(this.surface(u, STRAIGHT, net, side), right ? turned(runs) : runs, !right);
  }

  /** The flat end at the first or the last cut; two beside one another where the tail is split, none where it is closed. */
  private cap(cut: number): void {
    const row = this.rowOf(cut);
    if (row.kind === 'pole') return;
    const aft = cut === 0;
    const plane = () =>
      this.out.add('PLANE', `'',${this.placement([row.x_mm, 0, 0], [aft ? -1 : 1, 0, 0], [0, 1, 0])}`);
    const strips = STRIPS.map((_, t) => t);
    const edgeOf = (strip: number, side: Side) => this.round(cut, strip, side) ?? '';
    const right: Run[] = strips.map((t) => ({ edge: edgeOf(t, 1), forward: true }));
    const left: Run[] = strips.toReversed().map((t) => ({ edge: edgeOf(t, -1), forward: false }));
    const loops =
      row.kind === 'split'
        ? [
            [...right, { edge: this.down(cut, 1), forward: false }],
            [...left, { edge: this.down(cut, -1), forward: true }],
          ]
        : [[...right, ...left]];
    for (const loop of loops) this.face(plane(), aft ? loop : turned(loop), true);
  }
}

/** The same loop run through the other way. */
const turned = <R extends Run | undefined>(runs: readonly R[]): R[] =>
  runs.toReversed().map((run) => (run ? { ...run, forward: !run.forward } : run));

/** From one point straight to another. */
const STRAIGHT: Interpolation = { degree: 1, knots: [0, 0, 1, 1], params: [0, 1], rows: [] };
