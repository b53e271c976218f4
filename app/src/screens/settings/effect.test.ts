import { describe, expect, it } from '@jest/globals';
import { DEMO_RIDERS, demoRecords } from '@june-tide/core/demo';
import { USUAL_SETTINGS } from '@june-tide/core/record';
import type { Shop } from '../../store/derived.ts';
import { boardsChanged, latestBoards } from './effect.ts';

const byId = <T extends { id: string }>(items: readonly T[]) =>
  Object.fromEntries(items.map((item) => [item.id, item]));
const SHOP: Shop = {
  records: byId(demoRecords('2026-11-25')),
  riders: byId(DEMO_RIDERS),
  settings: USUAL_SETTINGS,
  shelf: [],
};

describe('what a side taken changes', () => {
  it('is named by board: a longboard’s rocker is spoken of on the longboard alone', () => {
    const { names, read } = boardsChanged(SHOP, 'longRocker', 'kicked');
    expect(names).toEqual(['Long Quay 9']);
    expect(read).toBe(Object.values(SHOP.records).filter(({ archived }) => archived !== true).length);
  });

  it('is nothing where the side is the shop’s own already', () => {
    const own = USUAL_SETTINGS.schools.longRocker;
    expect(boardsChanged(SHOP, 'longRocker', own).names).toEqual([]);
  });

  it('is asked of the latest boards that stand on the rack, no more than twelve', () => {
    const [some] = Object.values(SHOP.records);
    const many = Array.from({ length: 20 }, (_, k) => ({
      ...some,
      id: `board-${k}`,
      updatedAt: `2026-11-${String(k + 1).padStart(2, '0')}T08:00:00.000Z`,
      ...(k === 19 ? { archived: true } : {}),
      ...(k === 18 ? { binnedAt: '2026-11-20T08:00:00.000Z' } : {}),
    }));
    const latest = latestBoards(byId(many));
    expect(latest.map(({ id }) => id)).toEqual(Array.from({ length: 12 }, (_, k) => `board-${17 - k}`));
  });
});
