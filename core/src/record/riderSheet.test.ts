import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from '@jest/globals';
import Ajv from 'ajv/dist/2020.js';
import { DEMO_RIDERS, demoRecords } from '../demo/demoShed.ts';
import { daySchema } from '../make/workingDays.ts';
import { recordJsonSchemas, writeRiderSheet } from './riderSheet.ts';
import { USUAL_SETTINGS } from './settings.ts';

const published = (name: string): Record<string, unknown> =>
  JSON.parse(readFileSync(join(import.meta.dirname, `../../../docs/schema/${name}.schema.json`), 'utf8')) as Record<
    string,
    unknown
  >;
const check = (name: string, data: unknown): unknown[] => {
  const ajv = new Ajv({ strict: false, allErrors: true });
  const validate = ajv.compile(published(name));
  validate(data);
  return validate.errors ?? [];
};

describe('the published schemas', () => {
  it.each(['rider', 'shop'] as const)('%s is what the program has now', (name) => {
    expect(published(name)).toEqual(JSON.parse(JSON.stringify(recordJsonSchemas()[name])));
  });

  it('hold for what is written, by another library', () => {
    const records = demoRecords(daySchema.parse('2026-11-26'));
    for (const rider of DEMO_RIDERS) {
      const boards = records.filter(({ riderId }) => riderId === rider.id);
      expect(check('rider', JSON.parse(writeRiderSheet(rider, boards)))).toEqual([]);
    }
    expect(check('shop', JSON.parse(JSON.stringify(USUAL_SETTINGS)))).toEqual([]);
  });

  it('refuse what is not so', () => {
    expect(check('rider', { format: 'june-tide-rider', version: 1, rider: {}, boards: [] }).length).toBeGreaterThan(3);
    expect(check('shop', { ...USUAL_SETTINGS, paper: 'B5' })).not.toEqual([]);
  });
});
