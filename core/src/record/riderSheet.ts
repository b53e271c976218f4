import * as z from 'zod';
import { type Rider, riderSchema } from '../rider/rider.ts';
import { type BoardRecord, boardRecordSchema } from './record.ts';
import { settingsSchema } from './settings.ts';

/** All that is kept of one rider, as a file: the card and every board made for them. Private: only on the rider's own asking. */
const riderSheetSchema = z.strictObject({
  format: z.literal('june-tide-rider'),
  version: z.literal(1),
  rider: riderSchema,
  boards: z.array(boardRecordSchema),
});

export function writeRiderSheet(rider: Rider, boards: readonly BoardRecord[]): string {
  const sheet = { format: 'june-tide-rider', version: 1, rider, boards };
  return `${JSON.stringify(sheet, null, 2)}\n`;
}

const published = (schema: z.ZodType, name: string, title: string): Record<string, unknown> => ({
  ...z.toJSONSchema(schema, { target: 'draft-2020-12', io: 'output', unrepresentable: 'any' }),
  $id: `urn:june-tide:${name}:1`,
  title: `June Tide ${title}`,
});

/** JSON Schemas, draft 2020-12, of what else is kept or written: docs/schema publishes them by these names. */
export const recordJsonSchemas = (): Readonly<Record<'rider' | 'shop', Record<string, unknown>>> => ({
  rider: published(riderSheetSchema, 'rider', 'rider’s sheet, version 1'),
  shop: published(settingsSchema, 'shop', 'shop: its choices, stages, prices and library'),
});
