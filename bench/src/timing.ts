/** Runs `work` some times to warm up and then `runs` times, and gives each time in ms, sorted. */
export function timesOf(work: () => unknown, runs = 400, warm = 400): number[] {
  for (let i = 0; i < warm; i++) work();
  const times: number[] = [];
  for (let i = 0; i < runs; i++) {
    const from = performance.now();
    work();
    times.push(performance.now() - from);
  }
  return times.sort((a, b) => a - b);
}

export const median = (sorted: readonly number[]): number => sorted[Math.floor(sorted.length / 2)];
export const medianOf = (work: () => unknown, runs = 400, warm = 400): number => median(timesOf(work, runs, warm));

/** The same for work that has to be awaited. */
export async function medianOfAsync(work: () => Promise<unknown>, runs = 20, warm = 2): Promise<number> {
  for (let i = 0; i < warm; i++) await work();
  const times: number[] = [];
  for (let i = 0; i < runs; i++) {
    const from = performance.now();
    await work();
    times.push(performance.now() - from);
  }
  return median(times.sort((a, b) => a - b));
}
