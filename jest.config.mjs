import { TEST_NOW_ms, TEST_ZONE } from './testing/clock.mjs';

process.env.TZ = TEST_ZONE;

const swc = {
  '^.+\\.tsx?$': [
    '<rootDir>/testing/swcJest.mjs',
    {
      jsc: {
        parser: { syntax: 'typescript', tsx: true },
        target: 'es2022',
        experimental: { keepImportAttributes: true },
        transform: { react: { runtime: 'automatic' } },
      },
      module: { type: 'es6' },
    },
  ],
};
const common = {
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: swc,
  transformIgnorePatterns: ['/node_modules/(?!@june-tide)'],
  // The clock stands still; everything that only waits is real, unless a test takes it in hand.
  fakeTimers: {
    enableGlobally: true,
    now: TEST_NOW_ms,
    doNotFake: [
      'hrtime',
      'nextTick',
      'performance',
      'queueMicrotask',
      'requestAnimationFrame',
      'cancelAnimationFrame',
      'requestIdleCallback',
      'cancelIdleCallback',
      'setImmediate',
      'clearImmediate',
      'setInterval',
      'clearInterval',
      'setTimeout',
      'clearTimeout',
    ],
  },
};

export default {
  // For what hangs: how long a test takes says nothing of what it tests.
  testTimeout: 60_000,
  projects: [
    {
      ...common,
      displayName: 'core',
      testEnvironment: 'node',
      runtime: '<rootDir>/testing/node/runtime.cjs',
      roots: ['<rootDir>/core/src', '<rootDir>/cli/src', '<rootDir>/server/src', '<rootDir>/testing'],
    },
    {
      ...common,
      displayName: 'app',
      testEnvironment: 'jsdom',
      roots: ['<rootDir>/app/src'],
      setupFiles: ['<rootDir>/app/src/testing/setup.ts'],
      moduleNameMapper: { '\\.css$': '<rootDir>/app/src/testing/empty.ts' },
    },
  ],
};
