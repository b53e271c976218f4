import { BOARD_VERSION } from '../document/schema.ts';
import { tipsAndDeck } from './tipsAndDeck.ts';

/** One step of the document's history: how data of version `from` becomes data of the next. */
export interface Migration {
  from: number;
  /** What it did, in a few words. */
  name: string;
  /** Gives the data of the next version, `version` included; the old is left as it is. */
  apply: (data: Readonly<Record<string, unknown>>) => Record<string, unknown>;
}

/**
 * The steps of the board document, the oldest first. One is added with each new version, never changed afterwards, and files
 * of the version it starts from stay in `core/src/files/fixtures`.
 */
export const BOARD_MIGRATIONS: readonly Migration[] = [
  { from: 1, name: 'tips have a radius, deck features a place and a fade', apply: tipsAndDeck },
];

/**
 * Data brought up to a version, one named step after the other. What is no object, has no version that is a number, or is
 * already there or newer comes back as it is: the schema says what is wrong with it.
 * @throws RangeError when a step is missing or does not lead to the next version: a fault of the program, not of the file.
 */
export function migrated(
  data: unknown,
  steps: readonly Migration[] = BOARD_MIGRATIONS,
  to: number = BOARD_VERSION,
): unknown {
  if (typeof data !== 'object' || data === null || !('version' in data)) return data;
  let now = data as Record<string, unknown>;
  while (typeof now.version === 'number' && Number.isInteger(now.version) && now.version >= 1 && now.version < to) {
    const version = now.version;
    const step = steps.find(({ from }) => from === version);
    if (!step) throw new RangeError(`migrated: there is no step from version ${version}`);
    now = step.apply(now);
    if (now.version !== version + 1) {
      throw new RangeError(`migrated: “${step.name}” leads from ${version} to ${String(now.version)}`);
    }
  }
  return now;
}
