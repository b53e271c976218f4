/** How often a random test is run: as many as said, or ten times that in the deep run (`npm run test:deep`). */
export const runs = (usual: number): number => (process.env.TEST_DEEP === '1' ? 10 * usual : usual);
