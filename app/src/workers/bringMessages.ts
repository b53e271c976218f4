import type {
  Brought,
  DrawingChoicesIn,
  DrawnPart,
  PhotoChoices,
  PhotoMade,
  Picture,
  RailChoices,
  RailRead,
  ScanMade,
  ScanUnit,
  SheetChoices,
  SheetMade,
  SheetReadings,
  Stroke,
} from '@june-tide/core/bring';
import type { Board } from '@june-tide/core/document';
import type { BackupRead } from '@june-tide/core/files/packages';

/** What is made of what exists, for each way in: what is asked and what is answered. */
export interface BringWork {
  scan: {
    of: {
      /** A file, or the name of one of our boards to make a scan of. */
      from: { file: File } | { madeUp: string };
      name: string;
      /** The one it looks like where left out. */
      unit: ScanUnit | undefined;
      turned: boolean;
    };
    answer: ScanAnswer;
  };
  photo: { of: { picture: Picture } & Omit<PhotoChoices, 'onRound' | 'among'>; answer: PhotoMade };
  rail: { of: { board: Board; x_mm: number; stroke: Stroke; choices: RailChoices }; answer: RailRead };
  sheet: { of: { readings: SheetReadings; choices: Omit<SheetChoices, 'among'> }; answer: SheetMade };
  /** A back-up of the shed. */
  backup: { of: { file: File }; answer: BackupRead };
  drawing: { of: { parts: readonly DrawnPart[]; choices: Omit<DrawingChoicesIn, 'onRound'> }; answer: Brought };
}
export type BringKind = keyof BringWork;

/** A scan that was read, with the units it could be in; what it makes where the unit is known. */
type ScanAnswer =
  | { ok: false; reason: string; units: ScanUnit[] }
  | (Extract<ScanMade, { ok: true }> & { units: ScanUnit[]; unit: ScanUnit });

export type BringRequest = { [K in BringKind]: { kind: K; id: number; of: BringWork[K]['of'] } }[BringKind];

export type BringAnswer =
  | { id: number; say: 'going'; step: string; share: number | undefined }
  | { id: number; say: 'done'; answer: BringWork[BringKind]['answer'] }
  | { id: number; say: 'failed'; words: string };
