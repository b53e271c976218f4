import type { BringAnswer, BringKind, BringRequest, BringWork } from './bringMessages.ts';

/** A piece of work under way, that can be given up. */
export interface Going<A> {
  result: Promise<A>;
  stop: () => void;
}

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
    const end = () => {
      own.terminate();
      if (worker === own) worker = undefined;
    };
    giveUp = () => {
      end();
      reject(new Stopped());
    };
    own.addEventListener('message', ({ data }: MessageEvent<BringAnswer>) => {
      if (data.say === 'going') return onGoing(data.step, data.share);
      end();
      // The worker answers a request with the answer of its kind.
      if (data.say === 'done') resolve(data.answer as BringWork[K]['answer']);
      else reject(new Error(data.words));
    });
    own.addEventListener('error', (event) => {
      end();
      reject(new Error(event.message || 'the worker stopped'));
    });
    own.postMessage({ kind, id, of } as BringRequest);
  });
  return { result, stop: () => giveUp() };
}
