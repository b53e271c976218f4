import type { SolidAnswer, SolidKind, SolidRequest, SolidWork } from './solidMessages.ts';

interface Waiting {
  request: SolidRequest;
  resolve: (answer: never) => void;
  reject: (error: Error) => void;
  again: boolean;
}

/** Asks the solid worker. Answers carry the request's revision; a crashed worker is restarted and asked once more. */
export class SolidClient {
  private worker: Worker | undefined;
  private readonly make: () => Worker;
  private readonly waiting = new Map<number, Waiting>();
  private revision = 0;

  constructor(make: () => Worker) {
    this.make = make;
  }

  /** Has a piece of work done. Rejects with the worker's own words when it cannot be. */
  ask<K extends SolidKind>(kind: K, of: SolidWork[K]['of']): Promise<SolidWork[K]['answer']> {
    this.revision += 1;
    const request = { kind, revision: this.revision, of } as SolidRequest;
    return new Promise<SolidWork[K]['answer']>((resolve, reject) => {
      this.waiting.set(request.revision, { request, resolve, reject, again: true });
      this.running().postMessage(request);
    });
  }

  private running(): Worker {
    if (this.worker) return this.worker;
    const worker = this.make();
    worker.addEventListener('message', ({ data }: MessageEvent<SolidAnswer>) => {
      const found = this.waiting.get(data.revision);
      this.waiting.delete(data.revision);
      if (!found) return;
      // The worker answers a request with the answer of its kind: the revision says which that was.
      if (data.ok) found.resolve(data.answer as never);
      else found.reject(new Error(data.words));
    });
    worker.addEventListener('error', (event) => {
      worker.terminate();
      this.worker = undefined;
      for (const [revision, entry] of this.waiting) {
        if (entry.again) {
          entry.again = false;
          this.running().postMessage(entry.request);
        } else {
          this.waiting.delete(revision);
          entry.reject(new Error(event.message || 'the solid worker stopped'));
        }
      }
    });
    this.worker = worker;
    return worker;
  }
}

export const solidClient = new SolidClient(
  () => new Worker(new URL('./solid.worker.ts', import.meta.url), { type: 'module', name: 'solid' }),
);
