import { createRequire } from 'node:module';
import { describe, expect, it } from '@jest/globals';
import { strFromU8, unzipSync } from 'fflate';
import jscad from '@jscad/modeling';
import { JSDOM } from 'jsdom';
import { STLLoader } from 'three/examples/jsm/loaders/STLLoader.js';
import { OBJLoader } from 'three/examples/jsm/loaders/OBJLoader.js';
import { PLYLoader } from 'three/examples/jsm/loaders/PLYLoader.js';
import { Vector3, Mesh as ThreeMesh, type BufferGeometry } from 'three';
import { shapeOf } from '../shape/shape.ts';
import { modelNamed } from '../models/models.ts';
import { meshOf, meshVolume_mm3 } from '../solid/mesh.ts';
import { meshToObj, meshToPly } from './obj.ts';
import { meshToStl } from './stl.ts';
import { meshToThreeMf } from './threeMf.ts';

const shape = shapeOf(modelNamed('Peat Fire')!);
const mesh = meshOf(shape, { stations: 120, ring: 72 });

/** Volume of another library's triangles. */
function volumeOf(geometry: BufferGeometry): number {
  const flat = geometry.index ? geometry.toNonIndexed() : geometry;
  const position = flat.getAttribute('position');
  return meshVolume_mm3({
    positions: Float64Array.from(position.array),
    triangles: Uint32Array.from({ length: position.count }, (_, i) => i),
  });
}

/** JSCAD's readers, which have no types. */
type Geom3 = ReturnType<typeof jscad.primitives.cube>;
interface Reader {
  deserialize: (options: object, file: ArrayBufferLike | string) => Geom3[];
}
const require = createRequire(import.meta.url);
const READERS = {
  stl: require('@jscad/stl-deserializer') as Reader,
  obj: require('@jscad/obj-deserializer') as Reader,
};

describe('solids read back by other programs', () => {
  it("STL by three's loader: the same facets, the same volume", () => {
    const geometry = new STLLoader().parse(meshToStl(mesh, 'Peat Fire').buffer);
    expect(geometry.getAttribute('position').count).toBe(mesh.triangles.length);
    expect(volumeOf(geometry) / meshVolume_mm3(mesh)).toBeCloseTo(1, 5);
  });

  it("STL's normals are the triangles' own, of length one, by three's cross product", () => {
    const geometry = new STLLoader().parse(meshToStl(mesh, 'Peat Fire').buffer);
    const [position, normal] = [geometry.getAttribute('position'), geometry.getAttribute('normal')];
    const at = (i: number) => new Vector3().fromBufferAttribute(position, i);
    for (let t = 0; t < position.count / 3; t += 41) {
      const own = at(3 * t + 1)
        .sub(at(3 * t))
        .cross(at(3 * t + 2).sub(at(3 * t)));
      if (own.length() < 1e-4) continue;
      const written = new Vector3().fromBufferAttribute(normal, 3 * t);
      expect(written.length()).toBeCloseTo(1, 5);
      expect(written.dot(own.normalize())).toBeGreaterThan(0.9999);
    }
  });

  it("OBJ and PLY by three's loaders", () => {
    const group = new OBJLoader().parse(meshToObj(mesh, 'Peat Fire'));
    const [child] = group.children;
    expect(child instanceof ThreeMesh && volumeOf(child.geometry as BufferGeometry) / meshVolume_mm3(mesh)).toBeCloseTo(
      1,
      5,
    );
    const ply = new PLYLoader().parse(meshToPly(mesh, 'Peat Fire'));
    expect(volumeOf(ply) / meshVolume_mm3(mesh)).toBeCloseTo(1, 5);
  });

  it("STL and OBJ by JSCAD's readers: the same facets, and its own measure of the volume", () => {
    const { measureVolume } = jscad.measurements;
    const options = { output: 'geometry', addMetaData: false };
    const small = meshOf(shape, { stations: 40, ring: 24 });
    const stl = READERS.stl.deserialize(options, meshToStl(small, 'Peat Fire').buffer);
    const obj = READERS.obj.deserialize(options, meshToObj(small, 'Peat Fire'));
    for (const [solid] of [stl, obj]) {
      expect(jscad.geometries.geom3.toPolygons(solid)).toHaveLength(small.triangles.length / 3);
      expect(measureVolume(solid) / meshVolume_mm3(small)).toBeCloseTo(1, 5);
    }
  });

  it('3MF by the rules of its core specification', () => {
    const small = meshOf(shape, { stations: 24, ring: 24 });
    const bytes = meshToThreeMf(small, 'Fire & <foam>');
    const parts = unzipSync(bytes);
    expect(Object.keys(parts).sort()).toEqual(['3D/3dmodel.model', '[Content_Types].xml', '_rels/.rels']);
    const xml = (name: string) => new JSDOM(strFromU8(parts[name]), { contentType: 'text/xml' }).window.document;
    const types = xml('[Content_Types].xml');
    const kinds = [...types.getElementsByTagName('Default')].map((d) => d.getAttribute('ContentType'));
    expect(kinds).toContain('application/vnd.ms-package.3dmanufacturing-3dmodel+xml');
    const relation = xml('_rels/.rels').getElementsByTagName('Relationship')[0];
    expect(relation.getAttribute('Target')).toBe('/3D/3dmodel.model');
    expect(relation.getAttribute('Type')).toBe('http://schemas.microsoft.com/3dmanufacturing/2013/01/3dmodel');

    const model = xml('3D/3dmodel.model').documentElement;
    expect(model.namespaceURI).toBe('http://schemas.microsoft.com/3dmanufacturing/core/2015/02');
    expect(model.getAttribute('unit')).toBe('millimeter');
    const items = [...model.getElementsByTagName('item')].map((i) => i.getAttribute('objectid'));
    expect(items).toEqual([model.getElementsByTagName('object')[0].getAttribute('id')]);
    const vertices = [...model.getElementsByTagName('vertex')].map((v) =>
      ['x', 'y', 'z'].map((k) => Number(v.getAttribute(k))),
    );
    const triangles = [...model.getElementsByTagName('triangle')].map((t) =>
      ['v1', 'v2', 'v3'].map((k) => Number(t.getAttribute(k))),
    );
    // Indices are in range and no triangle names a vertex twice; nothing lies below the plate.
    expect(triangles.every((t) => new Set(t).size === 3 && t.every((v) => v >= 0 && v < vertices.length))).toBe(true);
    expect(Math.min(...vertices.flat())).toBeGreaterThanOrEqual(0);
    const volume = meshVolume_mm3({
      positions: Float64Array.from(vertices.flat()),
      triangles: Uint32Array.from(triangles.flat()),
    });
    expect(volume / meshVolume_mm3(small)).toBeCloseTo(1, 6);
    expect(model.getElementsByTagName('object')[0].getAttribute('name')).toBe('Fire & <foam>');
    expect(meshToThreeMf(small, 'Fire & <foam>')).toEqual(bytes);
  });
});
