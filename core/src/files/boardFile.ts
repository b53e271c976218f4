import { BOARD_FORMAT, BOARD_VERSION, type Board } from '../document/schema.ts';
import { boardFrom, type Issue } from '../shape/issues.ts';

/** Larger than any board file by far: what is larger is something else. */
const LARGEST_FILE = 2_000_000;

export type Read = { ok: true; board: Board } | { ok: false; reason: string; issues: Issue[] };

/**
 * The board as the text of a file: JSON, two spaces, keys in the schema's order, a final newline.
 * Numbers are written so that reading gives the same bits (ECMA-262, Number::toString).
 */
export function writeBoardFile(board: Board): string {
  const checked = boardFrom(board);
  if (!checked.ok) {
    throw new RangeError(
      `writeBoardFile: not a board: ${checked.issues.map((i) => `${i.path}: ${i.words}`).join('; ')}`,
    );
  }
  return `${JSON.stringify(checked.board, null, 2)}\n`;
}

/** Reads the text of a board file. Never throws: a foreign, cut-off or newer file is refused with the reason. */
export function readBoardFile(text: string): Read {
  const refuse = (reason: string, issues: Issue[] = []): Read => ({ ok: false, reason, issues });
  if (text.trim() === '') return refuse('The file is empty.');
  if (text.length > LARGEST_FILE) return refuse('The file is far too large for a board.');
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    const cutOff = text.includes(BOARD_FORMAT);
    return refuse(
      cutOff
        ? 'The file begins as a June Tide board and breaks off or is damaged: it is not whole JSON.'
        : 'The file is not a June Tide board: it is not JSON.',
    );
  }
  if (typeof data !== 'object' || data === null || !('format' in data) || data.format !== BOARD_FORMAT) {
    return refuse('The file is not a June Tide board: its format is not “june-tide-board”.');
  }
  const version = 'version' in data ? data.version : undefined;
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1) {
    return refuse(
      'The file does not say which version of a June Tide board it is: it is damaged, or was changed by hand.',
    );
  }
  if (version > BOARD_VERSION) {
    return refuse(
      `The file was written by a newer June Tide (version ${version}); this one reads up to ${BOARD_VERSION}.`,
    );
  }
  const opened = boardFrom(data);
  if (opened.ok) return { ok: true, board: opened.board };
  const first = opened.issues[0];
  const more = opened.issues.length > 1 ? ` and ${opened.issues.length - 1} more` : '';
  return refuse(
    `The file is a June Tide board with values it cannot have: ${first.path === '' ? 'the board' : first.path}: ${first.words}${more}.`,
    opened.issues,
  );
}
