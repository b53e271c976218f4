import { describe, expect, it } from '@jest/globals';
import { DEMO_RIDERS } from '../demo/demoShed.ts';
import { boardSchema } from '../document/schema.ts';
import { Facts } from '../measure/facts.ts';
import { measure } from '../measure/measure.ts';
import { modelNamed, models } from '../models/models.ts';
import { litresFor } from '../rider/litres.ts';
import type { Rider } from '../rider/rider.ts';
import { boardIssues } from '../shape/issues.ts';
import { shapeOf } from '../shape/shape.ts';
import { INCH_mm } from '../units/length.ts';
import { softenedFor } from './soften.ts';

const slack = modelNamed('Slack Water')!;

describe('a board softened', () => {
  const sharp = { ...slack, rocker: { ...slack.rocker, noseLift_mm: slack.rocker.noseLift_mm + INCH_mm } };
  const rider = DEMO_RIDERS.find(({ id }) => id === 'petra')!;

  it('has less lift, a narrower block and the rider’s litres, each told', () => {
    const soft = softenedFor(sharp, 'performanceShortboard', rider);
    const [was, is] = [sharp, soft.board].map((board) => measure(shapeOf(board)));
    expect(is.noseRocker_mm).toBeLessThan(was.noseRocker_mm);
    expect(is.block_mm).toBeLessThan(was.block_mm);
    expect(is.length_mm).toBe(was.length_mm);
    const { low_L, target_L } = litresFor(rider, 'performanceShortboard');
    if (was.volume_L < low_L) expect(is.volume_L).toBeCloseTo(target_L, 1);
    else expect(soft.litres).toBeUndefined();
    expect(soft.told.map(({ key }) => key)).toEqual(expect.arrayContaining(['noseRocker_mm', 'block_mm']));
    for (const { key, from, to } of soft.told) {
      expect(from).toBeCloseTo(was[key as keyof typeof was], 6);
      expect(to).toBeCloseTo(is[key as keyof typeof is], 6);
    }
    expect(boardSchema.safeParse(soft.board).success).toBe(true);
    expect(Math.abs(new Facts(shapeOf(soft.board)).foilBias_mm)).toBeLessThan(0.05 * INCH_mm);
  });

  it('gets more foam for a heavier one, and none where it has enough', () => {
    const heavy: Rider = { ...rider, mass_kg: 95 };
    const [light, more] = [rider, heavy].map((who) =>
      measure(shapeOf(softenedFor(slack, 'performanceShortboard', who).board)),
    );
    expect(more.volume_L).toBeGreaterThan(light.volume_L + 3);
    expect(softenedFor(slack, 'performanceShortboard', { ...rider, mass_kg: 45 }).litres).toBeUndefined();
  });

  it('whose block is narrow already keeps it, and is a board all the same', () => {
    const [model] = models().filter(({ outline }) => outline.tail.kind === 'swallow');
    const narrow = { ...model, outline: { ...model.outline, tail: { ...model.outline.tail, block_mm: 41 } } };
    expect(boardIssues(narrow)).toEqual([]);
    const { board } = softenedFor(narrow, 'modernFish', rider);
    expect(boardIssues(board)).toEqual([]);
    expect(board.outline.tail.block_mm).toBeGreaterThanOrEqual(40);
  });
});
