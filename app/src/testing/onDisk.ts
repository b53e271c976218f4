/** How long a test waits for the disk before it looks at what there is: a write that fails on purpose never ends. */
const MOST_LOOKS = 240;
const LOOK_ms = 5;

/** Waits until a queue has nothing left to write, and a moment more for what is told after it. */
export async function onDisk(queue: { readonly busy: boolean }): Promise<void> {
  for (let look = 0; look < MOST_LOOKS; look++) {
    await new Promise((resolve) => setTimeout(resolve, LOOK_ms));
    if (!queue.busy && look > 0) return;
  }
}
