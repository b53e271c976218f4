import { workerTrouble } from './trouble.ts';
import type { BringAnswer, BringKind, BringRequest, BringWork } from './bringMessages.ts';

/** A piece of work under way, that can be given up. */
export interface Going<A> {
  result: Promise<A>;
  stop: () => void;
}

/** A worker that neither answers nor says how far it is for so long has ended without a word. */
const SILENCE_ms = 120_000;

/** The work was given up. */
export class Stopped extends Error {}

let worker: Worker | undefined;
let count = 0;

/** Has a board made of what exists, in a worker of its own; `onGoing` is told how far it is. One at a time: a further one ends the one before. */
export function bring<K extends BringKind>(
  kind: K,
  of: BringWork[K]['of'],
  onGoing: (step: string, share: number | undefined) => void,
): Going<BringWork[K]['answer']> {
  worker?.terminate();
  const own = new Worker(new URL('./bring.worker.ts', import.meta.url), { type: 'module', name: 'bring' });
  worker = own;
  const id = ++count;
  let giveUp: () => void = () => undefined;
  const result = new Promise<BringWork[K]['answer']>((resolve, reject) => {
    let silence: ReturnType<typeof setTimeout>;
    const end = () => {
      clearTimeout(silence);
      own.terminate();
      if (worker === own) worker = undefined;
    };
    giveUp = () => {
      end();
      reject(new Stopped());
    };
    const failed = (why: string) => {
      workerTrouble(why);
      end();
      reject(new Error(why));
    };
    const listen = () => {
      clearTimeout(silence);
      silence = setTimeout(() => failed('it gave no answer; try it once more'), SILENCE_ms);
    };
    listen();
    own.addEventListener('message', ({ data }: MessageEvent<BringAnswer>) => {
      listen();
      if (data.say === 'going') return onGoing(data.step, data.share);
      end();
      // The worker answers a request with the answer of its kind.
      if (data.say === 'done') resolve(data.answer as BringWork[K]['answer']);
      else {
        workerTrouble(data.words);
        reject(new Error(data.words));
      }
    });
    own.addEventListener('error', (event) => failed(event.message || 'the worker stopped'));
    own.addEventListener('messageerror', () => failed('what the worker said could not be read'));
    own.postMessage({ kind, id, of } as BringRequest);
  });
  return { result, stop: () => giveUp() };
}
