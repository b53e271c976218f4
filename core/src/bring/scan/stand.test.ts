// How a cloud is made to lie as a board: a plank of closed forms, turned by known angles.
import { describe, expect, it } from '@jest/globals';
import { type Cloud, countOf, posed } from './cloud.ts';
import { stood, strip } from './stand.ts';

const LONG = 1800;

interface Choices {
  /** How high the ends lie over the flat place, mm. */
  lifts?: [tail: number, nose: number];
  fins?: number;
  /** Every point of the plank so many times. */
  step?: number;
}

/** A plank 480 wide and 60 thick, its flat place in the middle, its ends rounded, each end lifted by its own square. */
function plank({ lifts = [40, 120], fins = 0, step = 6 }: Choices = {}): Cloud {
  const points: number[] = [];
  for (let x = step / 2; x < LONG; x += step) {
    const u = (2 * x) / LONG - 1;
    const half = 240 * Math.sqrt(1 - u ** 4);
    const lift = (u < 0 ? lifts[0] : lifts[1]) * u * u;
    for (let k = 0; k <= 24; k++) {
      const y = (half * k) / 24;
      for (const side of [-1, 1]) points.push(x, side * y, lift, x, side * y, lift + 60 * (1 - 0.4 * (y / 240) ** 2));
    }
  }
  for (let k = 0; k < fins; k++) points.push(150 + (k % 60), k % 2 === 0 ? 130 : -130, -30 - (k % 70));
  return Float64Array.from(points);
}

/** Turned about the middle by yaw, pitch and roll, small angles. */
function turned(cloud: Cloud, yaw: number, pitch: number, roll: number): Cloud {
  const z = [
    [Math.cos(yaw), -Math.sin(yaw), 0],
    [Math.sin(yaw), Math.cos(yaw), 0],
    [0, 0, 1],
  ];
  const y = [
    [Math.cos(pitch), 0, -Math.sin(pitch)],
    [0, 1, 0],
    [Math.sin(pitch), 0, Math.cos(pitch)],
  ];
  const x = [
    [1, 0, 0],
    [0, Math.cos(roll), -Math.sin(roll)],
    [0, Math.sin(roll), Math.cos(roll)],
  ];
  const about = [LONG / 2, 0, 40];
  let out = cloud;
  for (const turn of [x, y, z]) out = posed(out, { turn, about: out === cloud ? about : [0, 0, 0] });
  return out;
}

const flipped = (cloud: Cloud, ...axes: number[]) => cloud.map((value, i) => (axes.includes(i % 3) ? -value : value));

/** The most of a coordinate of what lies between two stations. */
function most(cloud: Cloud, axis: number, low: number, high: number, sign = 1): number {
  let out = -Infinity;
  for (let i = 0; i < cloud.length; i += 3) {
    if (cloud[i] >= low && cloud[i] <= high) out = Math.max(out, sign * cloud[i + axis]);
  }
  return out;
}

/** How it may lie: small turns, and half turns as the axes they flip. */
const POSES = [
  ['as it is', 0, 0, 0, []],
  ['yawed', 0.05, 0, 0, []],
  ['rolled', 0, 0, 0.06, []],
  ['pitched', 0, 0.04, 0, []],
  ['turned all ways', -0.04, 0.03, -0.05, []],
  ['upside down', 0.02, 0, 0.03, [1, 2]],
  ['end for end', 0.02, 0.02, 0, [0, 1]],
  ['both', -0.03, 0, 0.04, [0, 2]],
] as const;

describe('a cloud that is stood', () => {
  it.each(POSES)(
    '%s, lies with its tail at 0, its stringer in the middle, its flat place level, its deck up',
    (_how, yaw, pitch, roll, axes) => {
      const found = stood(flipped(turned(plank(), yaw, pitch, roll), ...axes));
      if (!found) throw new Error('is no board');
      const { cloud, length, fins, noseBy } = found;
      // From its first row of points to its last.
      expect(Math.abs(length - (LONG - 6))).toBeLessThan(2);
      expect([fins, noseBy]).toEqual([0, 'lift']);
      // Left and right alike; a tenth of a degree would be 0.8 mm at a rail.
      expect(Math.abs(most(cloud, 1, 850, 950) - most(cloud, 1, 850, 950, -1))).toBeLessThan(1.5);
      expect(Math.abs(most(cloud, 1, 300, 340) - most(cloud, 1, 300, 340, -1))).toBeLessThan(2);
      // The bottom at the flat place is 0, the deck there 60; the nose lies three times as high as the tail.
      // It is levelled by the middle quarter, whose bottom rises to 120 · 0.24² = 6.9 mm and has its median some 1.5 mm up.
      expect(Math.abs(most(cloud, 2, 880, 920) - 60)).toBeLessThan(2);
      expect(Math.abs(most(cloud, 2, 890, 910, -1))).toBeLessThan(2);
      expect(most(cloud, 2, LONG - 12, LONG + 9, -1)).toBeLessThan(-100);
      expect(most(cloud, 2, -9, 12, -1)).toBeGreaterThan(-55);
    },
  );

  it.each(POSES)('%s, has its left where it was: it is turned, and never mirrored', (_how, yaw, pitch, roll, axes) => {
    // A lump on the left rail toward the tail: y runs to the left, seen from the tail with the deck up.
    const lumped = plank().map((value, i, all) => {
      const near = i % 3 === 1 && value > 0 && Math.abs(all[i - 1] - 450) < 60;
      return near ? 1.05 * value : value;
    });
    const { cloud } = stood(flipped(turned(lumped, yaw, pitch, roll), ...axes))!;
    expect(most(cloud, 1, 420, 480) - most(cloud, 1, 420, 480, -1)).toBeGreaterThan(8);
  });

  it('is told by its fins where its ends lie alike, and by its fins before its lift', () => {
    const even = stood(plank({ lifts: [70, 70], fins: 400 }))!;
    expect(even.noseBy).toBe('fins');
    expect(even.fins).toBeCloseTo(400 / countOf(plank({ fins: 400 })), 3);
    expect(most(even.cloud, 2, 100, 260, -1)).toBeGreaterThan(25);
    const turnedRound = stood(flipped(plank({ lifts: [70, 70], fins: 400 }), 0, 1))!;
    expect(most(turnedRound.cloud, 2, 100, 260, -1)).toBeGreaterThan(25);
    // A tail higher than the nose, with fins under it, is a tail.
    const strange = stood(plank({ lifts: [120, 40], fins: 400 }))!;
    expect([strange.noseBy, most(strange.cloud, 2, 100, 260, -1) > 25]).toEqual(['fins', true]);
    expect(stood(plank({ lifts: [70, 70] }))!.noseBy).toBe('guess');
    // A few strays under it are no fins.
    expect(stood(plank({ lifts: [70, 70], fins: 20 }))!.noseBy).toBe('guess');
  });

  it('is none without a deck and a bottom along its length', () => {
    const sheet = plank().map((value, i) => (i % 3 === 2 ? 0 : value));
    expect(stood(sheet)).toBeUndefined();
    expect(stood(new Float64Array())).toBeUndefined();
  });
});

describe('a strip beside the stringer', () => {
  // Bottom at 0, deck at 60; a fin at the stringer; the right side 2 higher.
  const points: number[] = [];
  for (let y = -100; y <= 100; y += 2) points.push(0, y, y > 0 ? 2 : 0, 0, y, y > 0 ? 62 : 60);
  for (let z = -90; z < 0; z += 3) points.push(0, 0, z);
  const cloud = Float64Array.from(points);
  const all = Array.from({ length: countOf(cloud) }, (_, i) => i);

  it('has the heights of bottom and deck, of both sides or one', () => {
    expect(strip(cloud, all, 10, 50, 1)).toEqual([2, 62]);
    expect(strip(cloud, all, 10, 50, -1)).toEqual([0, 60]);
    const [low, high] = strip(cloud, all, 10, 50)!;
    expect([low >= 0 && low <= 2, high >= 60 && high <= 62]).toEqual([true, true]);
  });

  it('is none where there are too few points, or one skin', () => {
    expect(strip(cloud, all.slice(0, 3), 0, 100)).toBeUndefined();
    expect(strip(cloud, all, 200, 300)).toBeUndefined();
    expect(strip(cloud, all.filter((i) => cloud[3 * i + 2] < 30 && i % 2 === 0).slice(0, 7), 0, 100)).toBeUndefined();
  });
});
