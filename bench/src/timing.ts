/** Runs `work` some times to warm up and then `runs` times, and gives each time in ms, sorted. */
function timesOf(work: () => unknown, runs = 400, warm = 400): number[] {
  for (let i = 0; i < warm; i++) work();
  const times: number[] = [];
  for (let i = 0; i < runs; i++) {
    const from = performance.now();
    work();
    times.push(performance.now() - from);
  }
  return times.sort((a, b) => a - b);
}

const median = (sorted: readonly number[]): number => sorted[Math.floor(sorted.length / 2)];
export const medianOf = (work: () => unknown, runs = 400, warm = 400): number => median(timesOf(work, runs, warm));
