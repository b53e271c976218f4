import {
  boardFromDrawing,
  boardFromPhoto,
  boardFromScan,
  boardFromSheet,
  madeUpScan,
  railFromTemplate,
  ROUGH_SCANNER,
  SCAN_UNITS,
  scanLength,
} from '@june-tide/core/bring';
import { modelNamed } from '@june-tide/core/models';
import { shapeOf } from '@june-tide/core/shape';
import { readScan, type ScanRead } from './scanRead.ts';
import type { BringAnswer, BringKind, BringRequest, BringWork } from './bringMessages.ts';

type Tell = (step: string, share?: number) => void;

const WORK: {
  readonly [K in BringKind]: (
    of: BringWork[K]['of'],
    tell: Tell,
  ) => Promise<BringWork[K]['answer']> | BringWork[K]['answer'];
} = {
  scan: scanned,
  photo: ({ picture, ...choices }, tell) =>
    boardFromPhoto(picture, { ...choices, onRound: () => tell('Finding and fitting the outline') }),
  rail: ({ board, x_mm, stroke, choices }) => railFromTemplate(shapeOf(board), x_mm, stroke, choices),
  sheet: ({ readings, choices }) => boardFromSheet(readings, choices),
  backup: backedUp,
  drawing: ({ parts, choices }, tell) => {
    let tried = 0;
    return boardFromDrawing(parts, { ...choices, onRound: () => tell(`Fitting the lines: ${++tried} tried`) });
  },
};

async function backedUp({ file }: BringWork['backup']['of'], tell: Tell): Promise<BringWork['backup']['answer']> {
  tell('Reading the file', 0);
  const [zip, { readBackup }] = await Promise.all([file.arrayBuffer(), import('@june-tide/core/files/packages')]);
  let told = 0;
  return readBackup(new Uint8Array(zip), (share) => {
    if (share < 1 && share - told < 0.02) return;
    told = share;
    tell('Looking whether all of it is as it was written', share);
  });
}

async function scanned(
  { from, name, unit, turned }: BringWork['scan']['of'],
  tell: Tell,
): Promise<BringWork['scan']['answer']> {
  tell('Reading the file', 0.01);
  const read: ScanRead = 'file' in from ? readScan(await from.file.arrayBuffer()) : madeUp(from.madeUp);
  if (!read.ok) return { ...read, units: [] };
  tell('Finding its size', 0.01);
  const { length, units } = scanLength(read.scan);
  const taken = unit ?? (units.length === 1 ? units[0] : undefined);
  if (taken === undefined) {
    const reason =
      units.length === 0
        ? `It is ${length.toFixed(2)} units long: in no unit is that a board of 1.3 to 3.7 m. Say which it is, if it is one.`
        : `It is ${length.toFixed(1)} units long: that is a board in ${units.join(' and in ')}. Say which it is.`;
    return { ok: false, reason, units };
  }
  const made = boardFromScan(read.scan, { name, unit_mm: SCAN_UNITS[taken], turned, onGoing: tell });
  return made.ok ? { ...made, units, unit: taken } : { ...made, units };
}

function madeUp(name: string): ScanRead {
  const board = modelNamed(name);
  if (!board) return { ok: false, reason: 'There is no such board.' };
  return { ok: true, scan: { positions: madeUpScan(shapeOf(board), ROUGH_SCANNER) } };
}

function done<K extends BringKind>(kind: K, of: BringWork[K]['of'], tell: Tell) {
  return WORK[kind](of, tell);
}

const say = (answer: BringAnswer) => self.postMessage(answer);

async function answer({ kind, id, of }: BringRequest): Promise<void> {
  try {
    say({ id, say: 'done', answer: await done(kind, of, (step, share) => say({ id, say: 'going', step, share })) });
  } catch (error) {
    say({ id, say: 'failed', words: error instanceof Error ? error.message : String(error) });
  }
}
self.addEventListener('message', ({ data }: MessageEvent<BringRequest>) => void answer(data));
