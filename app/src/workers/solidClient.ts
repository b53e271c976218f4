import type { SolidAnswer, SolidRequest } from './solidMessages.ts';

type Ask = SolidRequest extends infer R ? (R extends SolidRequest ? Omit<R, 'revision'> : never) : never;

interface Waiting {
  request: SolidRequest;
  resolve: (answer: SolidAnswer) => void;
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

  ask(ask: Ask): Promise<SolidAnswer> {
    this.revision += 1;
    const request = { ...ask, revision: this.revision } as SolidRequest;
    return new Promise((resolve, reject) => {
      this.waiting.set(request.revision, { request, resolve, reject, again: true });
      this.running().postMessage(request);
    });
  }

  private running(): Worker {
    if (this.worker) return this.worker;
    const worker = this.make();
    worker.addEventListener('message', (event: MessageEvent<SolidAnswer>) => {
      const found = this.waiting.get(event.data.revision);
      this.waiting.delete(event.data.revision);
      if (!found) return;
      if (event.data.kind === 'failed') found.reject(new Error(event.data.words));
      else found.resolve(event.data);
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
