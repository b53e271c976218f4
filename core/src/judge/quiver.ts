import type { Facts } from '../measure/facts.ts';
import { kindOf } from '../rider/kinds.ts';
import { litresFor } from '../rider/litres.ts';
import type { Rider, Waves } from '../rider/rider.ts';
import type { Schools } from '../rider/schools.ts';
import { verdict } from './judge.ts';

/** A board of a rider's, by name. */
export interface Owned {
  name: string;
  facts: Facts;
}

/** Size and power of the waves a quiver is asked for; the steeper the more powerful. */
const SIZES = ['kneeToWaist', 'waistToHead', 'overhead', 'wellOverhead'] as const;
const POWERS = ['weak', 'medium', 'powerful'] as const;
const STEEPNESS = { weak: 'soft', medium: 'medium', powerful: 'steep' } as const;

export interface Sea {
  size: Waves['size'];
  power: Waves['power'];
}

export interface Quiver {
  /** The two (or the one) that between them go in the most of these waves, and in how many of them. */
  best: { names: string[]; goes: number; of: number };
  /** Pairs of one kind that go in the same waves. */
  same: [string, string][];
  /** Waves within the rider's surfing in which none of them goes. */
  gaps: Sea[];
  /** Every kind of waves, by size and power: which of them go there; beyond the rider, none is asked. */
  map: { sea: Sea; goes: string[]; beyond: boolean }[];
}

/** Rules that speak of the rider in these waves and of no board. */
const BEYOND = 'waves-beyond-rider';

/**
 * What a rider's boards cover between them: a board goes in waves where nothing worse than a note is said of it there. Waves that are
 * beyond the rider are left out of it.
 * @param trip waves the best two are asked for; all of them where none is named.
 */
export function quiverOf(boards: readonly Owned[], rider: Rider, schools: Schools, trip: readonly Sea[] = []): Quiver {
  const seas = SIZES.flatMap((size) => POWERS.map((power): Sea => ({ size, power })));
  const beyond = new Set<Sea>();
  const goes = boards.map(({ facts }) => {
    const kind = kindOf(facts, rider.mass_kg);
    return seas.map((sea) => {
      const waves: Waves = { ...rider.waves, ...sea, steepness: STEEPNESS[sea.power], chop: 'some' };
      const who = { ...rider, waves };
      const said = verdict({ facts, kind, rider: who, waves, schools, target: litresFor(who, kind) });
      if (said.some(({ id }) => id === BEYOND)) beyond.add(sea);
      return said.every(({ level, group }) => level === 'note' || group === 'making');
    });
  });
  const within = seas.map((sea, i) => ({ sea, i })).filter(({ sea }) => !beyond.has(sea));
  const asked = within.filter(({ sea }) => trip.length === 0 || trip.some((other) => same(other, sea)));
  const covered = (...of: number[]) => asked.filter(({ i }) => of.some((b) => goes[b][i])).length;
  let best: Quiver['best'] = { names: [], goes: 0, of: asked.length };
  const better = (...of: number[]): void => {
    const count = covered(...of);
    if (count > best.goes) best = { names: of.map((b) => boards[b].name), goes: count, of: asked.length };
  };
  // One board before two: a second that adds nothing is left at home.
  boards.forEach((_, a) => better(a));
  boards.forEach((_, a) => {
    for (let b = a + 1; b < boards.length; b++) better(a, b);
  });
  const alikes: Quiver['same'] = [];
  boards.forEach((board, a) => {
    for (let b = a + 1; b < boards.length; b++) {
      const alike = within.every(({ i }) => goes[a][i] === goes[b][i]);
      const kinds = [a, b].map((k) => kindOf(boards[k].facts, rider.mass_kg));
      if (alike && kinds[0] === kinds[1]) alikes.push([board.name, boards[b].name]);
    }
  });
  const gaps = within.filter(({ i }) => goes.every((seen) => !seen[i])).map(({ sea }) => sea);
  const map = seas.map((sea, i) => ({
    sea,
    beyond: beyond.has(sea),
    goes: beyond.has(sea) ? [] : boards.flatMap(({ name }, b) => (goes[b][i] ? [name] : [])),
  }));
  return { best, same: alikes, gaps, map };
}

const same = (a: Sea, b: Sea): boolean => a.size === b.size && a.power === b.power;
