/** How saving stands: everything safe, being written, or not written and why. */
export type SaveState = { kind: 'saved' } | { kind: 'saving' } | { kind: 'failed'; reason: string };

interface Job {
  write: () => Promise<unknown>;
}

const RETRY_ms = 3000;

/**
 * Writes the latest state of each thing, one write at a time, at once and without waiting for a pause: a drag is on
 * disk while it lasts. A newer state replaces one still waiting. A failed write is kept in memory and tried again.
 */
export class SaveQueue {
  private readonly waiting = new Map<string, Job>();
  private running = false;
  private readonly tell: (state: SaveState) => void;
  private readonly retry_ms: number;

  constructor(tell: (state: SaveState) => void, retry_ms = RETRY_ms) {
    this.tell = tell;
    this.retry_ms = retry_ms;
  }

  put(key: string, write: () => Promise<unknown>): void {
    this.waiting.set(key, { write });
    if (!this.running) void this.run();
  }

  /** Is anything not on disk yet? */
  get busy(): boolean {
    return this.running || this.waiting.size > 0;
  }

  private async run(): Promise<void> {
    this.running = true;
    this.tell({ kind: 'saving' });
    while (this.waiting.size > 0) {
      const [key, job] = this.waiting.entries().next().value!;
      this.waiting.delete(key);
      try {
        await job.write();
      } catch (error) {
        if (!this.waiting.has(key)) this.waiting.set(key, job);
        this.tell({ kind: 'failed', reason: reasonOf(error) });
        this.running = false;
        setTimeout(() => {
          if (!this.running && this.waiting.size > 0) void this.run();
        }, this.retry_ms);
        return;
      }
    }
    this.running = false;
    this.tell({ kind: 'saved' });
  }
}

function reasonOf(error: unknown): string {
  const name = error instanceof Error ? error.name : '';
  if (name === 'QuotaExceededError') return 'the browser’s store is full';
  return error instanceof Error && error.message ? error.message : 'the browser refused';
}
