import type { BringChoices, Brought, DrawingChoicesIn, DrawnPart } from '@june-tide/core/bring';

/** What is made of what exists, for each way in: what is asked and what is answered. */
export interface BringWork {
  drawing: { of: { parts: readonly DrawnPart[]; choices: Omit<DrawingChoicesIn, 'onRound'> }; answer: Brought };
}
export type BringKind = keyof BringWork;
export type { BringChoices };

export type BringRequest = { [K in BringKind]: { kind: K; id: number; of: BringWork[K]['of'] } }[BringKind];

export type BringAnswer =
  | { id: number; say: 'going'; step: string; share: number | undefined }
  | { id: number; say: 'done'; answer: BringWork[BringKind]['answer'] }
  | { id: number; say: 'failed'; words: string };
