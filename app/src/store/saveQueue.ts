/** How saving stands: everything safe, being written, or not written and why. */
export type SaveState = { kind: 'saved' } | { kind: 'saving' } | { kind: 'failed'; reason: string };

interface Job {
  write: () => Promise<unknown>;
  /** May wait a moment for a newer one: a state in the middle of a drag. */
  patient: boolean;
}

const RETRY_ms = 3000;
/** A write that is not answered for so long: the store says nothing any more. */
const SILENCE_ms = 10_000;
/** A drag is at most so far ahead of the disk. */
const APART_ms = 120;

/**
 * Writes the latest state of each thing, one write at a time, at once and without waiting for a pause: a drag is on disk
 * while it lasts, its states a little apart. A newer state replaces one still waiting. A failed write is
 * kept in memory and tried again.
 */
export class SaveQueue {
  private readonly waiting = new Map<string, Job>();
  private running = false;
  /** What is being written now. */
  private writing: string | undefined;
  private readonly tell: (state: SaveState) => void;
  private readonly retry_ms: number;

  private readonly apart_ms: number;
  private hurry: () => void = () => undefined;

  constructor(tell: (state: SaveState) => void, retry_ms = RETRY_ms, apart_ms = APART_ms) {
    this.tell = tell;
    this.retry_ms = retry_ms;
    this.apart_ms = apart_ms;
  }

  put(key: string, write: () => Promise<unknown>, patient = false): void {
    this.waiting.set(key, { write, patient });
    if (!patient) this.hurry();
    if (!this.running) void this.run();
  }

  /** Is anything not on disk yet? */
  get busy(): boolean {
    return this.running || this.waiting.size > 0;
  }

  /** Is something being written, and not waiting to be tried again? */
  get writes(): boolean {
    return this.running;
  }

  /** What is not on disk yet, by its key. */
  get unsaved(): string[] {
    return [...new Set([...(this.writing === undefined ? [] : [this.writing]), ...this.waiting.keys()])];
  }

  /** Waits a moment unless what waits is in a hurry; a put that is ends it. */
  private async pause(): Promise<void> {
    if (![...this.waiting.values()].every((job) => job.patient)) return;
    await new Promise<void>((done) => {
      const timer = setTimeout(done, this.apart_ms);
      this.hurry = () => {
        clearTimeout(timer);
        done();
      };
    });
  }

  private async run(): Promise<void> {
    this.running = true;
    this.tell({ kind: 'saving' });
    while (this.waiting.size > 0) {
      const [key, job] = this.waiting.entries().next().value!;
      this.waiting.delete(key);
      const silent = setTimeout(
        () => this.tell({ kind: 'failed', reason: 'the browser’s store does not answer' }),
        SILENCE_ms,
      );
      this.writing = key;
      try {
        await job.write();
        clearTimeout(silent);
        this.writing = undefined;
      } catch (error) {
        clearTimeout(silent);
        this.writing = undefined;
        if (!this.waiting.has(key)) this.waiting.set(key, job);
        this.tell({ kind: 'failed', reason: reasonOf(error) });
        this.running = false;
        setTimeout(() => {
          if (!this.running && this.waiting.size > 0) void this.run();
        }, this.retry_ms);
        return;
      }
      if (job.patient) await this.pause();
    }
    this.running = false;
    this.tell({ kind: 'saved' });
  }
}

/** What was refused, in words: the error may be wrapped in others. No address of the web is passed on. */
export function reasonOf(error: unknown): string {
  const chain: unknown[] = [];
  for (let at = error; at !== undefined && at !== null && chain.length < 6; at = (at as { inner?: unknown }).inner)
    chain.push(at);
  const named = (name: string) => chain.some((each) => (each as { name?: unknown }).name === name);
  if (named('QuotaExceededError')) return 'the browser’s store is full: pictures take the most room';
  if (named('DatabaseClosedError')) return 'the browser has shut its store: open this window anew';
  if (named('VersionError')) return 'a newer June Tide has been open in this browser: open this window anew';
  const said = chain.map((each) => (each instanceof Error ? each.message : '')).find((words) => words !== '');
  return (said ?? 'the browser refused').replace(/\s*(see\s+)?https?:\/\/\S+/gi, '').trim() || 'the browser refused';
}
