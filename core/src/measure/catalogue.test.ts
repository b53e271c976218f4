import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from '@jest/globals';
import { finBoxes } from '../fins/placement.ts';
import { LEVERS } from '../judge/levers.ts';
import { TRAITS } from '../judge/traits.ts';
import { modelNamed, models } from '../models/models.ts';
import { shapeOf } from '../shape/shape.ts';
import { allMeasures } from './allMeasures.ts';
import { MEASURE_GROUPS, MEASURE_KEYS, type MeasureKey, measureOf, titleOf } from './catalogue.ts';
import { Facts } from './facts.ts';
import { measure } from './measure.ts';
import { measuresDocument } from './measuresDocument.ts';
import { measureText } from './measureText.ts';
import { ticketLines } from './ticket.ts';

const style = { kind: 'fraction', denominator: 16 } as const;

describe('the catalogue of measures', () => {
  it('says each once: no two have the same words, and every unit is that of its key', () => {
    const words = MEASURE_KEYS.map((key) => measureOf(key).words);
    expect(new Set(words).size).toBe(words.length);
    const ends = { mm: '_mm', mm2: '_mm2', L: '_L', rad: '_rad', '': '' } as const;
    for (const key of MEASURE_KEYS) {
      const { unit, group, says, formula } = measureOf(key);
      expect([key, /_(mm2|mm|L|rad)$/.exec(key)?.[0] ?? '']).toEqual([key, ends[unit]]);
      expect(Object.keys(MEASURE_GROUPS)).toContain(group);
      expect(says).toMatch(/\.$/);
      expect(formula).not.toBe('');
    }
  });

  it('reads the same headline as measure(), and a number everywhere, on every model', () => {
    for (const board of models()) {
      const shape = shapeOf(board);
      const all = allMeasures(shape);
      expect(all).toMatchObject({ ...measure(shape) });
      for (const key of MEASURE_KEYS) expect([key, Number.isNaN(all[key])]).toEqual([key, false]);
    }
  });

  it('has areas and litres of the ends that sum to the whole, and shares that are those of their parts', () => {
    for (const board of models()) {
      const m = allMeasures(shapeOf(board));
      // Each is integrated by itself, within 5e-5 (docs/measures.md).
      expect(Math.abs((m.volumeAhead_L + m.volumeBehind_L) / m.volume_L - 1)).toBeLessThan(5e-5);
      expect(Math.abs((m.areaAhead_mm2 + m.areaBehind_mm2) / m.area_mm2 - 1)).toBeLessThan(5e-5);
      expect(m.tailShare).toBeCloseTo(m.tailWidth12_mm / m.width_mm, 12);
      expect(m.noseShare).toBeCloseTo(m.noseWidth12_mm / m.width_mm, 12);
      expect(m.blockShare).toBeCloseTo(m.block_mm / m.width_mm, 12);
      expect(m.wideShare).toBeCloseTo(m.widePointFromCentre_mm / m.length_mm, 12);
      expect(m.noseRockerShare).toBeCloseTo(m.noseRocker_mm / m.length_mm, 12);
      expect(m.tailRockerShare).toBeCloseTo(m.tailRocker_mm / m.length_mm, 12);
      expect(m.entryShare).toBeCloseTo(m.noseRocker12_mm / m.noseRocker_mm, 12);
      expect(m.tailKick).toBeCloseTo(m.tailRocker12_mm / m.tailRocker_mm, 12);
      expect(m.foilBias12_mm).toBeCloseTo(m.noseThickness12_mm - m.tailThickness12_mm, 9);
      expect(m.fullness).toBeCloseTo((m.volume_L * 1e6) / (m.length_mm * m.width_mm * m.thickness_mm), 12);
      expect(m.chestShare).toBeCloseTo(m.chest_L / m.volume_L, 12);
      expect(m.foamCentreShare).toBeCloseTo(m.foamCentre_mm / m.length_mm, 12);
      expect(m.areaCentreShare).toBeCloseTo(m.areaCentre_mm / m.length_mm, 12);
      expect(m.flatShare).toBeCloseTo(m.flatLength_mm / m.length_mm, 12);
      expect(m.straightness).toBeCloseTo(m.outlineRadiusMiddle_mm / m.length_mm, 12);
      expect(m.tailVeeShare).toBeCloseTo((2 * m.tailVee_mm) / m.tailWidth12_mm, 12);
      expect(m.foreVeeShare).toBeCloseTo((2 * m.foreVee_mm) / m.width_mm, 12);
      expect(m.tailRollShare).toBeCloseTo((2 * m.tailRoll_mm) / m.tailWidth12_mm, 12);
      expect(m.bevelShare).toBeCloseTo((2 * m.bevel_mm) / m.width_mm, 12);
      expect(m.finsAheadShare).toBeCloseTo(m.finsAhead_mm / m.length_mm, 12);
    }
  });

  it('is what traits and levers read, and what the ticket calls its lines', () => {
    for (const { terms } of TRAITS) for (const { of } of terms) expect(MEASURE_KEYS).toContain(of);
    for (const { reads } of Object.values(LEVERS) as { reads?: MeasureKey }[])
      if (reads !== undefined) expect(MEASURE_KEYS).toContain(reads);
    const [board] = models();
    const names = ticketLines(shapeOf(board), style).map(({ name }) => name);
    for (const key of ['length_mm', 'width_mm', 'noseWidth12_mm', 'tailRocker_mm', 'tailThickness12_mm'] as const)
      expect(names).toContain(titleOf(key));
  });

  it('is docs/measures.md', () => {
    const path = join(import.meta.dirname, '..', '..', '..', 'docs', 'measures.md');
    const flat = (text: string) => text.replace(/-{3,}/g, '---').replace(/\s+/g, ' ').trim();
    expect(flat(readFileSync(path, 'utf8'))).toBe(flat(measuresDocument()));
  });
});

describe('a measure written', () => {
  it('is a length, an area, litres, degrees or a plain share in the shop’s way', () => {
    expect(measureText(12.7, 'mm', style)).toBe('1/2');
    expect(measureText(645160, 'mm2', style)).toBe('1000 sq in');
    expect(measureText(645160, 'mm2', { kind: 'cm' })).toBe('6452 cm²');
    expect(measureText(29.06, 'L', style)).toBe('29.1 L');
    expect(measureText(Math.PI / 6, 'rad', style)).toBe('30°');
    expect(measureText(0.5347, '', style)).toBe('0.535');
  });
});

describe('the area of the fins against the usual', () => {
  it('is one for the boxes of its set-up, and goes with base times depth', () => {
    const board = modelNamed('Slack Water')!;
    const { boxes } = finBoxes('thruster', board.family, board.length_mm, measure(shapeOf(board)).tailWidth12_mm);
    const shareOf = (k: number) => {
      const grown = boxes.map((box) => {
        const { base_mm, depth_mm } = box.template;
        return { ...box, template: { ...box.template, base_mm: k * base_mm, depth_mm: k * depth_mm } };
      });
      return new Facts(shapeOf({ ...board, fins: { setup: 'thruster', boxes: grown } }), undefined).finAreaShare;
    };
    expect(shareOf(1)).toBeCloseTo(1, 9);
    expect(shareOf(1.1)).toBeCloseTo(1.21, 6);
    // One fin less: the centre's share of the three goes.
    const [centre, pair] = [boxes.find(({ role }) => role === 'centre')!, boxes.find(({ role }) => role === 'front')!];
    const { base_mm, depth_mm } = pair.template;
    expect(centre.template).toMatchObject({ base_mm, depth_mm });
    const two = { ...board, fins: { setup: 'thruster' as const, boxes: boxes.filter(({ role }) => role === 'front') } };
    expect(new Facts(shapeOf(two), undefined).finAreaShare).toBeCloseTo(2 / 3, 6);
  });
});
