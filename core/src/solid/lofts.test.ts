import { beforeAll, describe, expect, it } from '@jest/globals';
import { shapeOf } from '../shape/shape.ts';
import { litresBetween } from '../measure/distribution.ts';
import { modelNamed } from '../models/models.ts';
import { loftedByJscad, loftedByOpenCascade, openCascade, sectionsOf } from '../testing/lofts.ts';

beforeAll(() => openCascade(), 60_000);

// Two geometry libraries of the registry build a solid through our sections their own way.
describe('litres against lofts by other libraries', () => {
  it.each(['Slack Water', 'Long Quay', 'North Ledge'])(
    '%s within 0.5 % by OpenCascade',
    (name) => {
      const shape = shapeOf(modelNamed(name)!);
      const sections = sectionsOf(shape, 20, 10);
      const ours = litresBetween(shape, sections.from_mm, sections.to_mm);
      expect(Math.abs(loftedByOpenCascade(sections) / 1e6 / ours - 1)).toBeLessThan(0.005);
    },
    60_000,
  );

  it.each(['Slack Water', 'Kettle', 'Broad Acre', 'Gannet'])(
    '%s within 0.5 % by JSCAD',
    (name) => {
      const shape = shapeOf(modelNamed(name)!);
      const sections = sectionsOf(shape, 80, 20);
      const ours = litresBetween(shape, sections.from_mm, sections.to_mm);
      expect(Math.abs(loftedByJscad(sections) / 1e6 / ours - 1)).toBeLessThan(0.005);
    },
    60_000,
  );
});
