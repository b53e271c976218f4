// The transform of the unit tests: swc, and the globals that geometry asks for millions of times looked up once a module. In the
// tests' own context each lookup of Math costs as much as a whole sine, which made the slow tests up to ten times as slow.
import { createTransformer } from '@swc/jest';

const ONCE = ['Math', 'Float64Array', 'Int32Array', 'Uint32Array'];

const withOnce = (code) => {
  const used = ONCE.filter((name) => new RegExp(`\\b${name}\\b`).test(code));
  // On the first line, so that every other keeps its number.
  return used.length === 0 ? code : `const {${used.join(', ')}} = globalThis; ${code}`;
};

export default {
  createTransformer(options) {
    const swc = createTransformer(options);
    const after = (result) => ({ ...result, code: withOnce(result.code) });
    return {
      ...swc,
      // Another key than swc's own: what was kept without the lookup is not taken.
      getCacheKey: (...of) => `${swc.getCacheKey(...of)}-once`,
      process: (...of) => after(swc.process(...of)),
      processAsync: async (...of) => after(await swc.processAsync(...of)),
    };
  },
};
