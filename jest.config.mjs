const swc = {
  '^.+\\.tsx?$': [
    '@swc/jest',
    {
      jsc: {
        parser: { syntax: 'typescript', tsx: true },
        target: 'es2022',
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
};

export default {
  projects: [
    {
      ...common,
      displayName: 'core',
      testEnvironment: 'node',
      roots: ['<rootDir>/core/src', '<rootDir>/cli/src', '<rootDir>/server/src'],
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
