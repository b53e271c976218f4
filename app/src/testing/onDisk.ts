const LOOK_ms = 5;

/** So long a test waits for what another window's word brings about; it takes milliseconds. */
const MOST_ms = 30_000;

/** Waits until something holds: `check` throws until it does. */
export async function eventually(check: () => void): Promise<void> {
  for (const began = performance.now(); ;) {
    try {
      return check();
    } catch (error) {
      if (performance.now() - began > MOST_ms) throw error;
      await new Promise((resolve) => setTimeout(resolve, LOOK_ms));
    }
  }
}

/**
 * Waits until a queue writes nothing any more, and a moment more for what is told after it: all is written, or a write has failed and
 * waits to be tried again.
 */
export async function onDisk(queue: { readonly writes: boolean }): Promise<void> {
  do await new Promise((resolve) => setTimeout(resolve, LOOK_ms));
  while (queue.writes);
  await new Promise((resolve) => setTimeout(resolve, LOOK_ms));
}
