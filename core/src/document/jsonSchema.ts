import * as z from 'zod';
import { BOARD_VERSION, boardSchema } from './schema.ts';

/** The board document as JSON Schema, draft 2020-12: what docs/schema/board.schema.json publishes. */
export function boardJsonSchema(): Record<string, unknown> {
  const made = z.toJSONSchema(boardSchema, { target: 'draft-2020-12' });
  return {
    ...made,
    $id: `urn:june-tide:board:${BOARD_VERSION}`,
    title: `June Tide board, version ${BOARD_VERSION}`,
  };
}
