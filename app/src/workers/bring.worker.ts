import { boardFromDrawing } from '@june-tide/core/bring';
import type { BringAnswer, BringKind, BringRequest, BringWork } from './bringMessages.ts';

type Tell = (step: string, share?: number) => void;

const WORK: {
  readonly [K in BringKind]: (of: BringWork[K]['of'], tell: Tell) => BringWork[K]['answer'];
} = {
  drawing: ({ parts, choices }, tell) => {
    let tried = 0;
    return boardFromDrawing(parts, { ...choices, onRound: () => tell(`Fitting the lines: ${++tried} tried`) });
  },
};

function done<K extends BringKind>(kind: K, of: BringWork[K]['of'], tell: Tell): BringWork[K]['answer'] {
  return WORK[kind](of, tell);
}

const say = (answer: BringAnswer) => self.postMessage(answer);

self.addEventListener('message', ({ data: { kind, id, of } }: MessageEvent<BringRequest>) => {
  try {
    say({ id, say: 'done', answer: done(kind, of, (step, share) => say({ id, say: 'going', step, share })) });
  } catch (error) {
    say({ id, say: 'failed', words: error instanceof Error ? error.message : String(error) });
  }
});
