import { createRequire } from 'node:module';
import { readFileSync } from 'node:fs';
import jscad from '@jscad/modeling';
import initOpenCascade from 'replicad-opencascadejs';
import { assembleWire, loft, makeLine, measureVolume, type Point, setOC } from 'replicad';
import { sectionAt, type Shape } from '../shape/shape.ts';
import { sectionRing } from '../section/walk.ts';

/** A board's sections at stations closer together toward its ends, each a closed ring of points in space, mm. */
export interface Sections {
  from_mm: number;
  to_mm: number;
  rings: [number, number, number][][];
}

/** The sections from 100 mm of the tail to 100 mm of the nose: whole rings, clear of the tips and of a swallow's cut. */
export function sectionsOf(shape: Shape, count: number, points: number): Sections {
  const from_mm = Math.max(100, shape.outline.end.notch_mm + 1);
  const to_mm = shape.board.length_mm - 100;
  const rings = Array.from({ length: count }, (_, k) => {
    const x = (from_mm + to_mm) / 2 - ((to_mm - from_mm) / 2) * Math.cos((Math.PI * k) / (count - 1));
    const section = sectionAt(shape, x);
    if (!section) throw new RangeError(`sectionsOf: no section at ${x}`);
    const rocker = shape.rocker.line.valueAt(x);
    return sectionRing(section, points).map((p): [number, number, number] => [x, p.y_mm, p.z_mm + rocker]);
  });
  return { from_mm, to_mm, rings };
}

let started: Promise<void> | undefined;

/** Starts OpenCascade, once. */
export function openCascade(): Promise<void> {
  started ??= (async () => {
    const wasm = createRequire(import.meta.url).resolve('replicad-opencascadejs/wasm');
    const start = initOpenCascade as unknown as (options: object) => Promise<Parameters<typeof setOC>[0]>;
    setOC(await start({ wasmBinary: readFileSync(wasm) }));
  })();
  return started;
}

/** Volume of OpenCascade's smooth loft through the sections, mm³. Needs openCascade() first. */
export function loftedByOpenCascade({ rings }: Sections): number {
  const wires = rings.map((ring) =>
    assembleWire(ring.map((p, i) => makeLine(p as Point, ring[(i + 1) % ring.length] as Point))),
  );
  return measureVolume(loft(wires, { ruled: false }));
}

/** Volume of JSCAD's solid through the sections, mm³. */
export function loftedByJscad({ rings }: Sections): number {
  const { extrusions, measurements } = jscad;
  // JSCAD wants slices wound to face along the extrusion; ours run the other way round x.
  const solid = extrusions.extrudeFromSlices(
    {
      numberOfSlices: rings.length,
      callback: (_progress, index) => extrusions.slice.fromPoints([...rings[index]].reverse() as never),
    },
    extrusions.slice.fromPoints(rings[0] as never),
  );
  return Math.abs(measurements.measureVolume(solid));
}
