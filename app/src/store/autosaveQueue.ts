/** How saving stands: everything safe, being written, or not written and why. */
export type SaveState = { kind: 'saved' } | { kind: 'saving' } | { kind: 'failed'; reason: string };

interface Job {
  write: (isPatient: boolean) => Promise<unknown>;
  /** May wait a moment for a newer one: a state in the middle of a drag. */
  patient: boolean;
}

const RETRY_ms = 3000;
/** A write that is not answered for so long: the store says nothing any more. */
const SILENCE_ms = 10_000;
/** A drag is at most so far ahead of the disk. */
const APART_ms = 120;
/** A hand that has not moved for so long has ended its drag. */
const REST_ms = 600;

/**
 * Writes the latest state of each thing, one write at a time, at once and without waiting for a pause: a drag is on disk
 * while it lasts, its states a little apart. A newer state replaces one still waiting. A failed write is
 * kept in memory and tried again.
 */
export class AutosaveQueue {
  private readonly waiting = new Map<string, Job>();
  private running = false;
  private readonly tell: (state: SaveState) => void;
  private readonly retry_ms: number;

  private readonly apart_ms: number;
  private hurry: () => void = () => undefined;
  /** Written last in a drag: written once more when it has ended. */
  private readonly dragged = new Map<string, Job>();
  private resting: ReturnType<typeof setTimeout> | undefined;

  constructor(tell: (state: SaveState) => void, retry_ms = RETRY_ms, apart_ms = APART_ms) {
    this.tell = tell;
    this.retry_ms = retry_ms;
    this.apart_ms = apart_ms;
  }

  /** @param write is told whether all it stands for may wait: a state of a drag that takes the place of another change does not. */
  put(key: string, write: (isPatient: boolean) => Promise<unknown>, patient = false): void {
    this.waiting.set(key, { write, patient: this.isPatient(key, patient) });
    clearTimeout(this.resting);
    if (!patient) this.hurry();
    if (!this.running) void this.run();
  }

  private isPatient(key: string, patient: boolean): boolean {
    return patient && (this.waiting.get(key)?.patient ?? true);
  }

  /** Is anything not on disk yet? */
  get busy(): boolean {
    return this.running || this.waiting.size > 0;
  }

  /** Is something being written, and not waiting to be tried again? */
  get writes(): boolean {
    return this.running;
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
      try {
        await job.write(job.patient);
        clearTimeout(silent);
      } catch (error) {
        clearTimeout(silent);
        this.waiting.set(key, { ...(this.waiting.get(key) ?? job), patient: this.isPatient(key, job.patient) });
        this.tell({ kind: 'failed', reason: reasonOf(error) });
        this.running = false;
        setTimeout(() => {
          if (!this.running && this.waiting.size > 0) void this.run();
        }, this.retry_ms);
        return;
      }
      if (job.patient) {
        this.dragged.set(key, job);
        await this.pause();
      } else this.dragged.delete(key);
    }
    this.running = false;
    this.tell({ kind: 'saved' });
    this.resting = setTimeout(() => {
      for (const [key, { write }] of this.dragged) this.put(key, write);
    }, REST_ms);
  }
}

/** An error and what it wraps, the outermost first. */
function chainOf(error: unknown): unknown[] {
  const chain: unknown[] = [];
  for (let at = error; at !== undefined && at !== null && chain.length < 6; at = (at as { inner?: unknown }).inner)
    chain.push(at);
  return chain;
}

/** Is an error, or one it wraps, of this name? */
export const hasName = (error: unknown, name: string): boolean =>
  chainOf(error).some((each) => (each as { name?: unknown }).name === name);

/** What was refused, in words. A sentence that sends one to an address of the web is left out. */
export function reasonOf(error: unknown): string {
  if (hasName(error, 'QuotaExceededError')) return 'the browser’s store is full: pictures take the most room';
  if (hasName(error, 'DatabaseClosedError')) return 'the browser has shut its store: open this window anew';
  if (hasName(error, 'VersionError')) return 'a newer June Tide has been open in this browser: open this window anew';
  const said = chainOf(error)
    .map((each) => (each instanceof Error ? each.message.split('\n')[0] : ''))
    .find((words) => words !== '');
  return (said ?? 'the browser refused').replace(/[^.;!?]*https?:\/\/\S+/gi, '').trim() || 'the browser refused';
}
