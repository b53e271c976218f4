import { describe, expect, it } from '@jest/globals';
import { modelNamed, models } from '../models/models.ts';
import { sectionRing } from '../section/walk.ts';
import { sectionAt, shapeOf } from '../shape/shape.ts';
import { thinned } from '../testing/runs.ts';
import { USUAL_ALLOWANCE } from './blankFit.ts';
import { USUAL_WIRE_BLOCK, WIRE_LEAD_mm, type WireBlock, wirePlan, type WirePoint } from './hotWire.ts';

const BLOCK: WireBlock = { ...USUAL_WIRE_BLOCK, length_mm: 3400 };
const named = (...names: string[]) => names.map((name) => ({ name, shape: shapeOf(modelNamed(name)!) }));

function heightAt(line: readonly WirePoint[], x: number): number {
  const k = Math.max(
    1,
    line.findIndex((p) => p.x_mm >= x),
  );
  const [a, b] = [line[k - 1], line[k]];
  return a.z_mm + ((x - a.x_mm) / (b.x_mm - a.x_mm)) * (b.z_mm - a.z_mm);
}

/** The least distance from a point to a line of points. */
function distance(line: readonly WirePoint[], p: WirePoint): number {
  let least = Infinity;
  for (let i = 1; i < line.length; i++) {
    const [a, b] = [line[i - 1], line[i]];
    const [dx, dz] = [b.x_mm - a.x_mm, b.z_mm - a.z_mm];
    const t = Math.min(1, Math.max(0, ((p.x_mm - a.x_mm) * dx + (p.z_mm - a.z_mm) * dz) / (dx * dx + dz * dz)));
    least = Math.min(least, Math.hypot(a.x_mm + t * dx - p.x_mm, a.z_mm + t * dz - p.z_mm));
  }
  return least;
}

describe('boards in a block, for a hot wire', () => {
  it('the foam off the wire holds the whole of every model, by what is wanted outside it', () => {
    for (const board of thinned(models(), 2)) {
      const shape = shapeOf(board);
      const [layer] = wirePlan([{ name: board.name, shape }], BLOCK).layers;
      for (let k = 1; k < 40; k++) {
        const x = 20 + ((board.length_mm - 40) * k) / 40;
        const rocker = shape.rocker.line.valueAt(x);
        for (const { z_mm } of sectionRing(sectionAt(shape, x)!, 40)) {
          const z = layer.base_mm + rocker + z_mm;
          const at = layer.tail_mm + x;
          // The lines are drawn through points some 4 mm apart.
          const [under, over] = [z - heightAt(layer.bottom, at), heightAt(layer.deck, at) - z];
          if (under < USUAL_ALLOWANCE.surface_mm - 0.06 || over < USUAL_ALLOWANCE.surface_mm - 0.06)
            throw new Error(`${board.name} at ${x}: ${under} under, ${over} over`);
        }
      }
    }
  });

  it('a wire that rides on the edges melts up to the foam wanted and no further', () => {
    const [layer] = wirePlan(named('Slack Water'), BLOCK).layers;
    const { kerf_mm: kerf, wire_mm: wire } = BLOCK;
    for (const [edge, foam, side] of [
      [layer.deckEdge, layer.deck, 1],
      [layer.bottomEdge, layer.bottom, -1],
    ] as const) {
      // The wire's middle: half its diameter off the edge, upward, without the level runs.
      const middles = edge.slice(1, -1).map((p, i, all) => {
        const [a, b] = [all[Math.max(0, i - 1)], all[Math.min(all.length - 1, i + 1)]];
        const long = Math.hypot(b.x_mm - a.x_mm, b.z_mm - a.z_mm);
        return {
          x_mm: p.x_mm - ((wire / 2) * (b.z_mm - a.z_mm)) / long,
          z_mm: p.z_mm + ((wire / 2) * (b.x_mm - a.x_mm)) / long,
        };
      });
      for (const p of middles.slice(5, -5)) {
        expect(distance(foam, p)).toBeCloseTo(kerf / 2, 2);
        expect(Math.sign(p.z_mm - heightAt(foam, p.x_mm))).toBe(side);
      }
    }
  });

  it('lie one in the other as near as the cuts leave them, and none above the block', () => {
    const plan = wirePlan(named('Slack Water', 'Kettle', 'Long Quay', 'Slack Water'), BLOCK);
    expect(plan.layers).toHaveLength(4);
    for (let i = 1; i < 4; i++) {
      const gaps = plan.layers[i].bottom.map((p, k) => p.z_mm - plan.layers[i - 1].deck[k].z_mm);
      expect(Math.min(...gaps)).toBeCloseTo(BLOCK.apart_mm + 2 * BLOCK.kerf_mm, 9);
    }
    const lowest = Math.min(...plan.layers[0].bottomEdge.map((p) => p.z_mm));
    expect(lowest).toBeGreaterThan(14.9);
    const top = Math.max(...plan.layers[3].deck.map((p) => p.z_mm)) + BLOCK.kerf_mm;
    expect(plan.used_mm).toBeCloseTo(top, 9);
    expect(plan.used_mm).toBeLessThan(BLOCK.height_mm);
    // Spooned: four boards of some 70 mm and their rockers in less than four times a rocker's height.
    expect(plan.used_mm).toBeLessThan(4 * 130 + 15);
    // Two boards of 488 mm beside one another in 1219.
    expect(plan.layers.map(({ abreast }) => abreast)).toEqual([2, 2, 2, 2]);
  });

  it('says what a block does not hold and by how much: as much larger it holds it', () => {
    const boards = named('Slack Water', 'Slack Water', 'Long Quay');
    const small = { ...USUAL_WIRE_BLOCK, height_mm: 200, width_mm: 520, length_mm: 1900 };
    const { layers, left } = wirePlan(boards, small);
    expect([layers.length, ...left.map(({ of }) => of)]).toEqual([1, 'height', 'length']);
    for (const { of, short_mm } of left) expect([of, short_mm > 1]).toEqual([of, true]);
    const [height, length] = left;
    const grown = { ...small, height_mm: 200 + height.short_mm + 1e-6 };
    expect(wirePlan(boards, grown).layers).toHaveLength(2);
    const long = wirePlan(boards.slice(2), { ...small, length_mm: 1900 + length.short_mm + 1e-6 });
    expect(long.left.map(({ of }) => of)).toEqual(['width']);
    const wide = {
      ...small,
      length_mm: 1900 + length.short_mm + 1e-6,
      width_mm: 520 + long.left[0].short_mm,
      height_mm: 300,
    };
    expect(wirePlan(boards.slice(2), wide).layers).toHaveLength(1);
  });

  it('runs level past both ends of the block', () => {
    const [{ deckEdge, bottomEdge }] = wirePlan(named('Kettle'), BLOCK).layers;
    for (const edge of [deckEdge, bottomEdge]) {
      const [first, second] = edge;
      const [before, last] = edge.slice(-2);
      expect([first.z_mm, last.z_mm]).toEqual([second.z_mm, before.z_mm]);
      expect(second.x_mm - first.x_mm).toBe(WIRE_LEAD_mm);
      expect(last.x_mm).toBeGreaterThan(BLOCK.length_mm + WIRE_LEAD_mm - 2);
    }
  });
});
