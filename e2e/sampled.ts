/** `npm test` goes through a sample of the interface tests and of their long walks, the whole run through all of them. */
export const IS_SAMPLED = process.env.TEST_SAMPLE === '1';
