/**
 * Asks for the latest thing wanted and nothing else: while one answer is awaited, each new wish takes the place of the one
 * before it. What failed is not asked again by itself: the last answer stays, and the next wish asks anew.
 */
export class Latest<Q, A> {
  private wanted: { of: Q } | undefined;
  private busy = false;
  private readonly ask: (of: Q) => Promise<A>;
  private readonly take: (answer: A, of: Q) => void;
  private readonly apart_ms: number;

  /** @param apart_ms the least time from an answer to the next question. */
  constructor(ask: (of: Q) => Promise<A>, take: (answer: A, of: Q) => void, apart_ms = 0) {
    this.ask = ask;
    this.take = take;
    this.apart_ms = apart_ms;
  }

  want(of: Q): void {
    this.wanted = { of };
    if (!this.busy) void this.run();
  }

  private async run(): Promise<void> {
    this.busy = true;
    while (this.wanted) {
      const { of } = this.wanted;
      this.wanted = undefined;
      try {
        this.take(await this.ask(of), of);
      } catch {
        // What is in sight stays right; the next wish asks again.
      }
      if (this.apart_ms > 0) await new Promise((done) => setTimeout(done, this.apart_ms));
    }
    this.busy = false;
  }
}
