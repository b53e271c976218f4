/**
 * How long random and exhaustive tests go on: 1 in `npm test`, 10 in the deep run (`npm run test:deep`), a tenth while faults
 * are put in on purpose (`npm run mutants`), where each fault asks for all the related tests anew.
 */
const SHARE = Number(process.env.TEST_RUNS ?? 1);

/** How often a random test is run, for what is usual. */
export const runs = (usual: number): number => Math.max(5, Math.round(usual * SHARE));

/**
 * The cases of a list that are gone through: all of them, or an even spread over it where less is asked; of what is slow every
 * `usual`th in `npm test` and all in the deep run.
 */
export const thinned = <T>(cases: readonly T[], usual = 1): readonly T[] => {
  const every = Math.max(1, Math.round(usual / SHARE));
  return cases.filter((_, i) => i % every === 0);
};
