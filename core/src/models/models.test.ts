import { beforeAll, describe, expect, it } from '@jest/globals';
import { DECK_FEATURES } from '../document/kinds.ts';
import { FAMILIES, type Family, FIN_SETUPS, LAYER_KINDS, TAIL_KINDS } from '../document/schema.ts';
import { boardFrom } from '../shape/issues.ts';
import { halfBreadthAt } from '../outline/outline.ts';
import { levers } from '../shape/gains.ts';
import { type Shape, shapeOf } from '../shape/shape.ts';
import { curveTroubles, hollowsOf } from '../shape/troubles.ts';
import { allMeasures } from '../measure/allMeasures.ts';
import { MEASURE_KEYS } from '../measure/catalogue.ts';
import { volume_L } from '../measure/volume.ts';
import { meshOf } from '../solid/mesh.ts';
import { judgedByManifold, manifoldLibrary } from '../testing/manifold.ts';
import { models } from './models.ts';
import { RAIL_PRESETS } from './recipe.ts';

/** How much of the length a family's plan may run within 2 % of its width: an ellipse does over a fifth. Our own lines. */
const PARALLEL: Readonly<Record<Family, number>> = {
  shortboard: 0.21,
  fish: 0.21,
  twin: 0.21,
  midLength: 0.26,
  longboard: 0.28,
  gun: 0.24,
};

function parallelShare({ outline }: Shape): number {
  const COUNT = 1000;
  const wide = 0.49 * outline.document.width_mm;
  const at = Array.from({ length: COUNT }, (_, k) => halfBreadthAt(outline, (outline.length_mm * (k + 0.5)) / COUNT));
  return at.filter((half) => half > wide).length / COUNT;
}

beforeAll(async () => void (await manifoldLibrary()));

describe('the models', () => {
  it('together use every family, tail, nose, wing, contour, rail, deck feature and setup', () => {
    const list = models();
    expect(new Set(list.map((b) => b.name)).size).toBe(list.length);
    // Four and more of a family, so that what is usual is a range.
    for (const family of FAMILIES) expect(list.filter((b) => b.family === family).length).toBeGreaterThanOrEqual(4);
    const used = <T>(pick: (board: (typeof list)[number]) => readonly T[]) => new Set(list.flatMap(pick));
    expect(used((b) => [b.family])).toEqual(new Set(FAMILIES));
    expect(used((b) => [b.outline.tail.kind])).toEqual(new Set(TAIL_KINDS));
    expect(used((b) => b.bottom.layers.map((l) => l.kind))).toEqual(new Set(LAYER_KINDS));
    expect(used((b) => [b.fins.setup])).toEqual(new Set(FIN_SETUPS));
    expect(used((b) => b.deck.features.map((f) => f.kind))).toEqual(new Set(Object.keys(DECK_FEATURES)));
    const noses = used((b) => [
      b.outline.nose.kind === 'pointed' ? 'pointed' : 'radius_mm' in b.outline.nose ? 'radius' : 'free',
    ]);
    expect(noses).toEqual(new Set(['pointed', 'radius', 'free']));
    const wings = used((b) =>
      b.outline.wings.map((w) => (w.raised > 0 ? 'raised' : w.length_mm > 40 ? 'bump' : 'sharp')),
    );
    expect(wings).toEqual(new Set(['raised', 'bump', 'sharp']));
    expect(used((b) => [b.outline.wings.length])).toEqual(new Set([0, 1, 2, 3]));
    for (const { apex, fullness, tuck_mm } of Object.values(RAIL_PRESETS)) {
      const has = list.some((b) =>
        b.rails.stations.some((s) => s.apex === apex && s.fullness === fullness && s.tuck_mm === tuck_mm),
      );
      expect(has).toBe(true);
    }
  });

  it.each(models().map((board) => [board.name, board] as const))('%s is a good board', async (_name, board) => {
    expect(boardFrom(board)).toEqual({ ok: true, board });
    const shape = shapeOf(board);
    expect(curveTroubles(shape)).toEqual([]);
    expect(hollowsOf(shape)).toEqual([]);
    const m = allMeasures(shape);
    expect(Object.keys(m).sort()).toEqual([...MEASURE_KEYS].sort());
    expect(Object.values(m).every(Number.isFinite)).toBe(true);
    // Thickness at matching stations within 0.1 in at the most (common practice, no source).
    expect(Math.abs(m.foilBias12_mm)).toBeLessThanOrEqual(2.54);
    // Litres over length x width x thickness of ordinary boards: half and a little more (from memory, no source).
    expect(m.fullness).toBeGreaterThanOrEqual(0.53);
    expect(m.fullness).toBeLessThanOrEqual(0.6);
    expect(levers(shape)).toEqual([]);
    // Nothing is parallel but what is wanted so: the plan stays within 2 % of its width over a share of its length.
    expect(parallelShare(shape)).toBeLessThan(PARALLEL[board.family]);
    expect(m.noseRail12_mm - m.noseRocker12_mm).toBeLessThan(12);
    const judged = await judgedByManifold(meshOf(shape));
    expect(judged).toMatchObject({ status: 'NoError', genus: 0 });
    expect(Math.abs(judged.volume_mm3 / 1e6 / volume_L(shape) - 1)).toBeLessThan(0.0015);
  });
});
