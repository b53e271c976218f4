import { describe, expect, it } from '@jest/globals';
import { Color, PlaneGeometry, SphereGeometry } from 'three';
import type { LitMesh } from '@june-tide/core/solid';
import { bendColours, FLAT, HOLLOW, ROUND, toneOf } from './skins.ts';

function lit(geometry: SphereGeometry | PlaneGeometry, side = 1): LitMesh {
  return {
    positions: Float32Array.from(geometry.getAttribute('position').array),
    normals: Float32Array.from(geometry.getAttribute('normal').array, (n) => side * n),
    triangles: Uint32Array.from(geometry.getIndex()!.array),
  };
}

/** The colour of a vertex half way down a mesh: of a ball on its girth, away from where it looks along the board. */
function middle(colours: Float32Array): Color {
  return new Color().fromArray(colours, 3 * (Math.floor(colours.length / 6) + 16));
}

/** How far two colours are apart, 0 to √3. */
const apart = (a: Color, hex: number): number => {
  const b = new Color(hex);
  return Math.hypot(a.r - b.r, a.g - b.g, a.b - b.b);
};

describe('the colour of a bend', () => {
  it('is half at a rocker of 2.5 m along and a crown of 0.7 m across, and never more than whole', () => {
    expect(toneOf(1 / 2500, 'along')).toBeCloseTo(0.5, 9);
    expect(toneOf(-1 / 700, 'across')).toBeCloseTo(-0.5, 9);
    expect(toneOf(0, 'across')).toBe(0);
    expect(toneOf(1, 'along')).toBeLessThan(1);
  });

  it('is white where it is flat, one colour where it is round, another seen from within', () => {
    expect(apart(middle(bendColours(lit(new PlaneGeometry(100, 100, 10, 10)), 'across')), FLAT)).toBeLessThan(1e-3);
    const ball = new SphereGeometry(5, 64, 32);
    const round = middle(bendColours(lit(ball), 'across'));
    const hollow = middle(bendColours(lit(ball, -1), 'across'));
    expect(apart(round, ROUND)).toBeLessThan(0.03);
    expect(apart(hollow, HOLLOW)).toBeLessThan(0.03);
  });
});
