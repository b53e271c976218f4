import { workerTrouble } from './trouble.ts';
import type { WorkAnswer, WorkKind, WorkRequest, Work } from './workMessages.ts';

interface Waiting {
  request: WorkRequest;
  resolve: (answer: never) => void;
  reject: (error: Error) => void;
  again: boolean;
}

/** A worker that answers nothing for so long while it is asked has ended without a word: the longest paper takes a tenth of it. */
export const SILENCE_ms = 90_000;

/**
 * Asks the worker. Answers carry the request's revision; a worker that crashed, or says nothing for `SILENCE_ms`, is started again and
 * asked once more.
 */
export class WorkClient {
  private worker: Worker | undefined;
  private readonly make: () => Worker;
  private readonly waiting = new Map<number, Waiting>();
  private revision = 0;
  private silence: ReturnType<typeof setTimeout> | undefined;

  constructor(make: () => Worker) {
    this.make = make;
  }

  /** Has a piece of work done. Rejects with the worker's own words when it cannot be. */
  ask<K extends WorkKind>(kind: K, of: Work[K]['of']): Promise<Work[K]['answer']> {
    this.revision += 1;
    const request = { kind, revision: this.revision, of } as WorkRequest;
    return new Promise<Work[K]['answer']>((resolve, reject) => {
      this.waiting.set(request.revision, { request, resolve, reject, again: true });
      this.running().postMessage(request);
      if (this.waiting.size === 1) this.listen();
    });
  }

  private running(): Worker {
    if (this.worker) return this.worker;
    const worker = this.make();
    worker.addEventListener('message', ({ data }: MessageEvent<WorkAnswer>) => {
      const found = this.waiting.get(data.revision);
      this.waiting.delete(data.revision);
      this.listen();
      if (!found) return;
      // The worker answers a request with the answer of its kind: the revision says which that was.
      if (data.ok) found.resolve(data.answer as never);
      else {
        workerTrouble(data.words);
        found.reject(new Error(data.words));
      }
    });
    worker.addEventListener('error', (event) => this.beginAgain(event.message || 'the worker stopped'));
    worker.addEventListener('messageerror', () => this.beginAgain('what the worker said could not be read'));
    this.worker = worker;
    return worker;
  }

  /** From now on the silence counts anew, as long as an answer is awaited. */
  private listen(): void {
    clearTimeout(this.silence);
    this.silence =
      this.waiting.size === 0
        ? undefined
        : setTimeout(() => this.beginAgain('it gave no answer; try it once more'), SILENCE_ms);
  }

  private beginAgain(why: string): void {
    workerTrouble(why);
    this.worker?.terminate();
    this.worker = undefined;
    for (const [revision, entry] of this.waiting) {
      if (entry.again) {
        entry.again = false;
        this.running().postMessage(entry.request);
      } else {
        this.waiting.delete(revision);
        entry.reject(new Error(why));
      }
    }
    this.listen();
  }
}

const worker = (name: string) => () =>
  new Worker(new URL('./work.worker.ts', import.meta.url), { type: 'module', name });
/** For what is seen meanwhile: shade, room, bands, blanks, solids. */
export const solidClient = new WorkClient(worker('solid'));
/** For paper, which takes seconds: nothing that is seen waits for it. */
export const paperClient = new WorkClient(worker('paper'));
